import { ulid } from 'ulid';
import { countedTries, waitMs } from '#core/access';
import type { ComeIn } from '#core/contract';
import { worldMs } from '../clock/index.ts';
import type { AccessDevice, AccessFile } from './accessFile.ts';
import { isRight, newToken, tokenHash } from './passphrase.ts';

/** A device that was away for so long is asked anew (OWASP ASVS 3.3.1). */
const idleDays = 30;
/** And each of them after so long, however often it came. */
const longestDays = 365;
/** How often it is written down that a device was here. */
const seenEveryMs = 60 * 60_000;
const mostLines = 2000;
/** Those that were put out are remembered, so that they can be told. */
const mostDevices = 200;
/** Passphrases that are being looked at; each takes 128 MB for a moment. */
const mostAtOnce = 3;

const dayMs = 24 * 60 * 60_000;
const msBetween = (from: string, to: string): number => Date.parse(to) - Date.parse(from);

/** What a try at the passphrase came to. */
export type CameIn = { ok: true; token: string; device: AccessDevice } | { ok: false; waitMs: number };

/** Who is let in: devices with a secret of their own, and the one passphrase that gives it to them. */
export class Door {
  readonly file: AccessFile;
  readonly #now: () => string;
  readonly #ms: () => number;
  readonly #waiting = new Map<string, { count: number; at: string }>();
  #looking: Promise<unknown> = Promise.resolve();
  #lookedAt = 0;

  /**
   * @param now the household's clock, for what is said
   * @param ms a clock that only goes on, for how fast one may try
   */
  constructor(file: AccessFile, now: () => string, ms: () => number = worldMs) {
    this.file = file;
    this.#now = now;
    this.#ms = ms;
  }

  /** Writes a line of History. */
  note(says: string): void {
    this.file.set({ log: [...this.file.now.log, { id: ulid(), at: this.#now(), says }].slice(-mostLines) });
  }

  /** The device that carries this secret, also one that was put out; undefined for any other. */
  deviceOf(token: string | undefined): AccessDevice | undefined {
    if (!token) return undefined;
    const hash = tokenHash(token);
    const device = this.file.now.devices.find((d) => d.tokenHash === hash);
    if (!device || device.ended !== undefined) return device;
    const now = this.#now();
    if (msBetween(device.seen, now) > idleDays * dayMs || msBetween(device.since, now) > longestDays * dayMs) {
      this.note(`${device.name} was not here for long: it is asked for the passphrase again`);
      return this.#put({ ...device, ended: 'by time' });
    }
    return device;
  }

  /** Whether this very secret still lets a device in. */
  isIn({ tokenHash: hash }: AccessDevice): boolean {
    return this.file.now.devices.some((d) => d.tokenHash === hash && d.ended === undefined);
  }

  /** It was here just now, from this address. */
  seen(device: AccessDevice, address: string): void {
    if (msBetween(device.seen, this.#now()) < seenEveryMs && device.address === address) return;
    this.#put({ ...device, seen: this.#now(), address });
  }

  heard(deviceId: string, count: number): void {
    this.#waiting.set(deviceId, { count, at: this.#now() });
  }

  waitingOn(deviceId: string): { count: number; at: string } | undefined {
    return this.#waiting.get(deviceId);
  }

  waitMs(address: string): number {
    return waitMs(this.file.now.wrong, address, this.#ms());
  }

  get wrongTries(): number {
    return countedTries(this.file.now.wrong, this.#ms()).length;
  }

  /** Lets anybody try again at once; said at the computer. */
  forgiveTries(): void {
    this.file.set({ wrong: [] });
  }

  /** A device asks to be let in. Each try counts before it is looked at, so that many at once are no quicker than one after another. */
  async comeIn(asked: ComeIn, address: string): Promise<CameIn> {
    const kept = this.file.now.passphrase;
    const wait = this.waitMs(address);
    if (!kept || wait > 0) return { ok: false, waitMs: Math.max(1000, wait) };
    if (this.#lookedAt >= mostAtOnce) return { ok: false, waitMs: 5000 };
    const at = this.#ms();
    const earlier = countedTries(this.file.now.wrong, at);
    this.file.set({ wrong: [...earlier, { at, address }] });
    if (!(await this.#oneAtATime(() => isRight(asked.passphrase, kept)))) {
      if (earlier.filter((t) => t.address === address).length % 3 === 2)
        this.note(`A wrong passphrase was typed three times at ${address}`);
      return { ok: false, waitMs: this.waitMs(address) };
    }
    this.file.set({ wrong: this.file.now.wrong.filter((t) => t.address !== address) });
    const now = this.#now();
    const token = newToken();
    const device: AccessDevice = {
      id: asked.device,
      tokenHash: tokenHash(token),
      name: asked.name,
      kind: asked.kind,
      since: now,
      seen: now,
      address,
    };
    // the same device again: what it carried before opens nothing any longer
    this.file.set({ devices: [...this.file.now.devices.filter((d) => d.id !== device.id), device].slice(-mostDevices) });
    this.note(`${device.name} came in, a ${device.kind} at ${address}`);
    return { ok: true, token, device };
  }

  /** Gives a device that is in another secret, for the household's new name; the old one goes on. */
  secondToken(device: AccessDevice): string {
    const token = newToken();
    const also: AccessDevice = { ...device, tokenHash: tokenHash(token) };
    this.file.set({ devices: [...this.file.now.devices, also].slice(-mostDevices) });
    return token;
  }

  /** Puts a device out, wherever it is; what it has not sent stays on it. */
  end(deviceId: string, says: string): boolean {
    const list = this.file.now.devices;
    const device = list.find((d) => d.id === deviceId && d.ended === undefined);
    if (!device) return false;
    this.file.set({ devices: list.map((d) => (d.id === deviceId ? { ...d, ended: 'by the computer' } : d)) });
    this.note(`${device.name} ${says}`);
    return true;
  }

  /** Puts all out, as when the passphrase is another one. */
  endAll(): void {
    this.file.set({ devices: this.file.now.devices.map((d) => ({ ...d, ended: d.ended ?? 'by the computer' })) });
  }

  #put(device: AccessDevice): AccessDevice {
    this.file.set({ devices: this.file.now.devices.map((d) => (d.tokenHash === device.tokenHash ? device : d)) });
    return device;
  }

  async #oneAtATime<T>(work: () => Promise<T>): Promise<T> {
    this.#lookedAt += 1;
    const turn = this.#looking.then(work);
    this.#looking = turn.catch(() => undefined);
    try {
      return await turn;
    } finally {
      this.#lookedAt -= 1;
    }
  }
}
