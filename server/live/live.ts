import type { Request, RequestHandler, Response } from 'express';

/** How far a household has come, as a page's frame says it too. */
export interface AsOf {
  storeId: string;
  asOf: string;
}

/** A line through a house's boxes stays open while something goes over it. */
const beatMs = 20_000;
/** A device that was cut off asks again after so long. */
const againMs = 1500;
/** More than a household has devices and pages; beyond that a page asks from time to time. */
const mostStreams = 60;

/**
 * Tells open pages that something was logged or written: server-sent events, each with how far the household has come as its id, so that who was cut off hears at once what was missed.
 * Only that there is something new is told; what it is, each page asks for itself.
 */
export class Live {
  /** Each with the device it goes to; the computer's own pages have none. */
  readonly #streams = new Map<Response, string | undefined>();
  readonly #look: () => AsOf;
  #told = '';
  #beat: NodeJS.Timeout | undefined;

  constructor(look: () => AsOf) {
    this.#look = look;
  }

  get open(): number {
    return this.#streams.size;
  }

  /** A page that wants to be told. */
  readonly stream: RequestHandler = (req: Request, res: Response): void => {
    if (this.#streams.size >= mostStreams)
      return void res.status(503).json({ message: 'Too many pages are open; this one asks from time to time.', refusals: [] });
    res.writeHead(200, { 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store', 'X-Accel-Buffering': 'no' });
    const now = this.#look();
    res.write(`retry: ${againMs}\n\n`);
    // who comes back and missed nothing has nothing to be told
    const last = req.headers['last-event-id'];
    if (last === undefined || last !== idOf(now)) res.write(message(now));
    this.#streams.set(res, res.locals.device as string | undefined);
    this.#beat ??= setInterval(() => this.#streams.forEach((_, s) => s.write(': still here\n\n')), beatMs).unref();
    res.on('close', () => this.#gone(res));
  };

  /** Something may have been taken in: tells every page when it was. */
  told(): void {
    if (this.#streams.size === 0) return;
    const now = this.#look();
    if (idOf(now) === this.#told) return;
    this.#told = idOf(now);
    for (const s of this.#streams.keys()) s.write(message(now));
  }

  /** Whether a page of this device is open. */
  isOpen(device: string): boolean {
    return [...this.#streams.values()].includes(device);
  }

  /** A device that was put out is told nothing more. */
  end(device: string): void {
    for (const [s, to] of this.#streams) if (to === device) s.end();
  }

  /** All that came over the home network. */
  endAll(): void {
    for (const [s, to] of this.#streams) if (to !== undefined) s.end();
  }

  close(): void {
    for (const s of this.#streams.keys()) s.end();
  }

  #gone(res: Response): void {
    this.#streams.delete(res);
    if (this.#streams.size > 0) return;
    clearInterval(this.#beat);
    this.#beat = undefined;
  }
}

const idOf = ({ storeId, asOf }: AsOf): string => `${storeId} ${asOf}`;
const message = (now: AsOf): string => `id: ${idOf(now)}\nevent: changed\ndata: ${JSON.stringify(now)}\n\n`;
