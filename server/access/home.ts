import { createServer as plainServer, type RequestListener, type Server } from 'node:http';
import { createServer, type Server as SecureServer } from 'node:https';
import { networkInterfaces } from 'node:os';
import type { Logger } from 'pino';
import { isHomeAddress, localName } from '#core/access';
import { addMs } from '#core/kitchen';
import { worldMs } from '../clock/index.ts';
import { HttpRefusal, type Context } from '../http.ts';
import { listen } from '../listen.ts';
import { Announcer } from './announce.ts';
import { derOf, fingerprintOf, makeAuthority, makeLeaf, stillGood, type LeafNames } from './authority.ts';
import type { Door } from './door.ts';
import type { Helpers } from './helpers.ts';

/** The first https port that is tried; the helpers' plain one stands behind it. */
const firstPort = 4274;
const firstHelpPort = 4374;
/** A name of before still answers for so long, that devices may bring over what waits on them. */
const oldNameDays = 30;
/** The page that tells how to trust it is shut again by itself. */
const trustOpenMs = 30 * 60_000;
/** How often the certificate and the computer's addresses are looked at. */
const lookEveryMs = 60_000;
const dayMs = 24 * 60 * 60_000;

/** What tests set: fixed addresses, ports of their own, no multicast. */
export interface HomeEnv {
  TAMBO_HOME_ADDRESSES?: string;
  TAMBO_HOME_PORT?: string;
  TAMBO_HOME_QUIET?: string;
}

/** Networks that a computer has within itself, or far away: no phone of the home is on them. */
const notTheHome = /^(docker|br-|veth|virbr|vmnet|vboxnet|vEthernet|tun|tap|utun|wg|zt|tailscale)/i;

/** The computer's own IPv4 addresses on networks of homes. */
const ownAddresses = (): string[] =>
  Object.entries(networkInterfaces())
    .flatMap(([name, list]) => (notTheHome.test(name) ? [] : (list ?? [])))
    .flatMap((i) => (!i.internal && i.family === 'IPv4' && isHomeAddress(i.address) ? [i.address] : []));

/** The household on its home network: an https listener with a certificate of its own making, its name, and a small plain listener for what comes before trust. */
export class Home {
  readonly door: Door;
  readonly helpers: Helpers;
  readonly #ctx: Context;
  readonly #log: Logger;
  readonly #env: HomeEnv;
  #app: RequestListener = () => undefined;
  #guests: RequestListener = () => undefined;
  #secure: SecureServer | undefined;
  #plain: Server | undefined;
  #announcer: Announcer | undefined;
  #look: NodeJS.Timeout | undefined;
  #addresses: readonly string[] = [];
  #port = 0;
  #helpPort = 0;
  #trustUntil = 0;
  #trouble: string[] = [];
  #turn: Promise<unknown> = Promise.resolve();

  constructor(ctx: Context, door: Door, helpers: Helpers, log: Logger, env: HomeEnv = process.env as HomeEnv) {
    this.#ctx = ctx;
    this.door = door;
    this.helpers = helpers;
    this.#log = log;
    this.#env = env;
  }

  /** What the two listeners answer with. */
  serve(app: RequestListener, guests: RequestListener): void {
    this.#app = app;
    this.#guests = guests;
  }

  get isOpen(): boolean {
    return this.#secure !== undefined;
  }

  get port(): number {
    return this.#port;
  }

  get trouble(): string[] {
    const lost = this.door.file.lost
      ? [
          'The file of who may come in could not be read and was put aside. Set a passphrase again; phones come in and trust this household anew.',
        ]
      : [];
    return [...lost, ...this.#trouble, ...(this.#announcer?.trouble ? [this.#announcer.trouble] : [])];
  }

  /** Names that answer: today's, then those of before. */
  get names(): string[] {
    const { name, oldNames } = this.door.file.now;
    const now = this.#ctx.clock.now();
    return [name, ...oldNames.filter((o) => o.until > now).map((o) => o.name)];
  }

  /** Hosts that the https listener serves, with their port. */
  hosts(): ReadonlySet<string> {
    return new Set([...this.names.map(localName), ...this.#addresses].map((h) => `${h}:${this.#port}`));
  }

  /** And the plain one. */
  helpHosts(): ReadonlySet<string> {
    return new Set([...this.names.map(localName), ...this.#addresses].map((h) => `${h}:${this.#helpPort}`));
  }

  /** Where phones find it: by its name, then by each address. */
  urls(): string[] {
    return this.isOpen ? [localName(this.door.file.now.name), ...this.#addresses].map((h) => `https://${h}:${this.#port}`) : [];
  }

  /** Where the plain listener stands, by address: a name that once came by https would be asked for by https again. */
  get helpBase(): string | undefined {
    const [address] = this.#addresses;
    return this.#plain && address !== undefined ? `http://${address}:${this.#helpPort}` : undefined;
  }

  get trustUntil(): string | undefined {
    const left = this.#trustUntil - worldMs();
    return left > 0 ? addMs(this.#ctx.clock.now(), left) : undefined;
  }

  /** The authority as phones take it, and its fingerprint. */
  async authority(): Promise<{ der: Buffer; words: string[]; hex: string } | undefined> {
    const pair = this.door.file.now.authority;
    return pair && { der: derOf(pair.certPem), ...(await fingerprintOf(pair.certPem)) };
  }

  /** Opens the household to its home network, and keeps it so over later starts. */
  open(name: string): Promise<void> {
    return this.#inTurn(async () => {
      if (!this.door.file.now.passphrase) throw new HttpRefusal(409, 'Set a passphrase first; without one nobody could be kept out.');
      this.#rename(name);
      await this.#stand();
      const held = await this.#announcer?.heldBy(name, this.#addresses);
      if (held !== undefined) {
        await this.#end();
        throw nameHeld(name, held);
      }
      this.door.file.set({ open: true });
      this.door.note(`Opened to the home network as ${localName(name)}`);
    });
  }

  /** What stood open when Tambo was stopped stands open again. */
  reopen(): Promise<void> {
    return this.#inTurn(() => (this.door.file.now.open ? this.#stand() : Promise.resolve()));
  }

  /** Shuts it; devices stay known and come in again when it is opened. */
  shut(): Promise<void> {
    return this.#inTurn(async () => {
      await this.#end();
      if (this.door.file.now.open) this.door.note('Shut to the home network');
      this.door.file.set({ open: false });
    });
  }

  /** Ends what listens, for the stop of Tambo itself. */
  stop(): Promise<void> {
    return this.#inTurn(() => this.#end());
  }

  /** Another name; the one of before still answers for a month. */
  rename(name: string): Promise<void> {
    return this.#inTurn(async () => {
      const before = this.door.file.now.name;
      if (before === name) return;
      const held = await this.#announcer?.heldBy(name, this.#addresses);
      if (held !== undefined) throw nameHeld(name, held);
      this.#rename(name);
      this.door.note(`The name is ${localName(name)} now; ${localName(before)} still answers for ${oldNameDays} days`);
      if (this.isOpen) await this.refresh();
    });
  }

  /** Opens or shuts the page that tells how to trust it. */
  showTrust(on: boolean): Promise<void> {
    return this.#inTurn(async () => {
      this.#trustUntil = on ? worldMs() + trustOpenMs : 0;
      await this.#helpAsNeeded();
    });
  }

  /** The plain listener stands only while something is to be had there. */
  helpAsNeeded(): Promise<void> {
    return this.#inTurn(() => this.#helpAsNeeded());
  }

  /** Renews the certificate when it ends soon or the names and addresses are others. */
  async refresh(): Promise<void> {
    const { authority, leaf } = this.door.file.now;
    if (!authority || !this.#secure) return;
    const addresses = this.#ownAddresses();
    this.#addresses = addresses;
    const wanted: LeafNames = { names: this.names, addresses };
    if (!leaf || !stillGood(leaf, wanted, worldMs())) {
      const renewed = await makeLeaf(authority, wanted, worldMs());
      this.door.file.set({ leaf: renewed });
      this.#secure.setSecureContext({ cert: renewed.certPem + authority.certPem, key: renewed.keyPem });
    }
    this.#announcer?.say(this.names, addresses);
  }

  #rename(name: string): void {
    const { name: before, oldNames } = this.door.file.now;
    if (before === name) return;
    const until = addMs(this.#ctx.clock.now(), oldNameDays * dayMs);
    // a name that nobody has come by yet needs no way back
    const known = this.door.file.now.authority !== undefined;
    this.door.file.set({ name, oldNames: [...oldNames.filter((o) => o.name !== name), ...(known ? [{ name: before, until }] : [])] });
  }

  #ownAddresses(): string[] {
    const set = this.#env.TAMBO_HOME_ADDRESSES;
    return set === undefined ? ownAddresses() : set.split(',');
  }

  async #stand(): Promise<void> {
    if (this.#secure) return;
    const { file } = this.door;
    this.#trouble = [];
    this.#addresses = this.#ownAddresses();
    if (this.#addresses.length === 0) this.#trouble.push('This computer is on no network of a home just now; phones find it once it is.');
    const authority = file.now.authority ?? (await makeAuthority(file.now.name, worldMs()));
    if (!file.now.authority) file.set({ authority });
    const wanted: LeafNames = { names: this.names, addresses: this.#addresses };
    const kept = file.now.leaf;
    const leaf = kept && stillGood(kept, wanted, worldMs()) ? kept : await makeLeaf(authority, wanted, worldMs());
    if (leaf !== kept) file.set({ leaf });
    const server = createServer({ cert: leaf.certPem + authority.certPem, key: leaf.keyPem, minVersion: 'TLSv1.2' }, this.#app);
    onlyFromHome(server);
    const asked = this.#env.TAMBO_HOME_PORT;
    const at = await listen(server, '0.0.0.0', {
      first: firstPort,
      ...(asked !== undefined && { asked: Number(asked) }),
      ...(file.now.port !== undefined && { remembered: file.now.port }),
    });
    if ('taken' in at)
      throw new HttpRefusal(
        409,
        `Port ${at.taken} is used by another program. Phones know this household by it: stop that program, then open it again.`,
      );
    this.#secure = server;
    this.#port = at.port;
    if (asked === undefined) file.set({ port: at.port });
    if (this.#env.TAMBO_HOME_QUIET === undefined) {
      this.#announcer = new Announcer();
      this.#announcer.say(this.names, this.#addresses);
    }
    this.#look = setInterval(() => void this.#looked(), lookEveryMs).unref();
    await this.#helpAsNeeded();
  }

  async #looked(): Promise<void> {
    try {
      await this.#inTurn(async () => {
        await this.refresh();
        await this.#helpAsNeeded();
      });
    } catch (error) {
      this.#log.error(error, 'the home network was not looked at; it is tried again in a minute');
    }
  }

  async #helpAsNeeded(): Promise<void> {
    const needed = this.isOpen && (this.#trustUntil > worldMs() || this.helpers.list.length > 0);
    if (!needed) return this.#endPlain();
    if (this.#plain) return;
    const server = plainServer(this.#guests);
    onlyFromHome(server);
    const asked = this.#env.TAMBO_HOME_PORT;
    const remembered = this.door.file.now.helpPort;
    const at = await listen(server, '0.0.0.0', {
      first: firstHelpPort,
      ...(asked !== undefined && { asked: Number(asked) }),
      ...(remembered !== undefined && { remembered }),
    });
    if ('taken' in at) throw new HttpRefusal(409, `Port ${at.taken} is used by another program: stop it, then try again.`);
    this.#plain = server;
    this.#helpPort = at.port;
    if (asked === undefined) this.door.file.set({ helpPort: at.port });
  }

  async #end(): Promise<void> {
    clearInterval(this.#look);
    this.#announcer?.close();
    this.#announcer = undefined;
    await ended(this.#secure);
    this.#secure = undefined;
    await this.#endPlain();
  }

  async #endPlain(): Promise<void> {
    await ended(this.#plain);
    this.#plain = undefined;
  }

  /** One change at a time. */
  #inTurn<T>(work: () => Promise<T>): Promise<T> {
    const turn = this.#turn.then(work);
    this.#turn = turn.catch(() => undefined);
    return turn;
  }
}

const nameHeld = (name: string, address: string): HttpRefusal =>
  new HttpRefusal(409, `Another device on this network answers to ${localName(name)} (${address}). Take another name.`);

/** Speaks to nobody beyond the home's own network, whatever the box at its edge lets through. */
function onlyFromHome(server: Server | SecureServer): void {
  server.on('connection', (socket: { remoteAddress?: string; destroy(): void }) => {
    if (!isHomeAddress(socket.remoteAddress ?? '')) socket.destroy();
  });
}

const ended = (server: Server | SecureServer | undefined): Promise<void> =>
  new Promise((resolve) => {
    if (!server) return resolve();
    server.close(() => resolve());
    server.closeAllConnections();
  });
