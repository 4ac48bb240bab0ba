import mdns from 'multicast-dns';
import { localName } from '#core/access';

/** Seconds that others may remember the answer (RFC 6762, 10). */
const ttlS = 120;
/** How long one listens whether somebody else has the name (RFC 6762, 8.1: three questions 250 ms apart). */
const probeMs = 800;

export interface AddressRecord {
  name: string;
  type: 'A';
  ttl: number;
  flush: boolean;
  data: string;
}

/** What is answered to who asks for names: those of ours, at each address. */
export function answersTo(
  asked: readonly { name: string; type: string }[],
  names: readonly string[],
  addresses: readonly string[],
): AddressRecord[] {
  const ours = new Set(names.map(localName));
  const wanted = new Set(asked.filter((q) => q.type === 'A' || q.type === 'ANY').map((q) => q.name.toLowerCase()));
  return [...wanted]
    .filter((n) => ours.has(n))
    .flatMap((name) => addresses.map((data) => ({ name, type: 'A' as const, ttl: ttlS, flush: true, data })));
}

/** Makes the household's names known on its own network (multicast DNS), as long as it is open. */
export class Announcer {
  readonly #dns: mdns.MulticastDNS;
  #names: readonly string[] = [];
  #addresses: readonly string[] = [];
  trouble: string | undefined;

  constructor(options: mdns.Options = {}) {
    this.#dns = mdns(options);
    const failed = (error: unknown): void => {
      this.trouble = `The name cannot be made known on this network (${error instanceof Error ? error.message : 'no multicast'}); phones find it by its address.`;
    };
    this.#dns.on('error', failed);
    this.#dns.on('warning', failed);
    this.#dns.on('query', (q) => {
      const answers = answersTo(q.questions, this.#names, this.#addresses);
      if (answers.length > 0) this.#dns.respond({ answers });
    });
  }

  /** Whether another device answers to this name: its address then. */
  async heldBy(name: string, own: readonly string[]): Promise<string | undefined> {
    return new Promise((resolve) => {
      const listen = (r: mdns.ResponsePacket): void => {
        const other = r.answers.find((a) => a.type === 'A' && a.name.toLowerCase() === localName(name) && !own.includes(a.data));
        if (other?.type === 'A') done(other.data);
      };
      const timer = setTimeout(() => done(undefined), probeMs);
      const done = (held: string | undefined): void => {
        clearTimeout(timer);
        this.#dns.off('response', listen);
        resolve(held);
      };
      this.#dns.on('response', listen);
      this.#dns.query([{ name: localName(name), type: 'A' }]);
    });
  }

  /** From now on it answers to these names, and says so. */
  say(names: readonly string[], addresses: readonly string[]): void {
    if (names.join() === this.#names.join() && addresses.join() === this.#addresses.join()) return;
    this.#names = names;
    this.#addresses = addresses;
    const answers = answersTo(
      names.map((n) => ({ name: localName(n), type: 'A' })),
      names,
      addresses,
    );
    if (answers.length > 0) this.#dns.respond({ answers });
  }

  close(): void {
    this.#dns.destroy();
  }
}
