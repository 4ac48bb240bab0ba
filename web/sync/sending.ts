import type { Refusal, TamboEvent, UndoRequest, WriteRequest } from '#core/contract';
import type { PendingEntry } from './outboxSlice.ts';

/** What the door said to what was sent. */
export interface Answered {
  gone: number[];
  refused: { entry: PendingEntry; message: string; refusals: Refusal[] }[];
  /** The server's time, when it told. */
  now?: string;
}

export type Post = (path: string, body: TamboEvent[] | WriteRequest | UndoRequest) => Promise<Response>;

/** No answer yet: the same is sent again later. */
export class Again extends Error {
  /** Why, in the server's own words, when it gave any. */
  readonly says: string | undefined;
  constructor(message: string, says?: string) {
    super(message);
    this.says = says;
  }
}
/** This device is not let in: everything is kept until it is. */
export class DoorShut extends Error {
  /** 401: it may come in again; 403: its page is not one of the household's. */
  readonly status: number;
  constructor(status: number) {
    super(`answered ${status}`);
    this.status = status;
  }
}

const mostEvents = 200;
/** A server that fails over one and the same entry this often will not take it the next time either. */
const mostFailures = 3;

/** Statuses that mean "later", whatever was sent: too slow, too early, too often, not now, somebody between us and the server. */
const later = new Set([408, 425, 429, 502, 503, 504]);

type Verdict = 'answered' | 'broke' | 'unread';

/**
 * What an answer's status means for what was sent.
 * @throws Again, DoorShut
 */
function verdictOf(status: number, says?: string): Verdict {
  if (later.has(status)) throw new Again(`answered ${status}`, says);
  if (status === 401 || status === 403) throw new DoorShut(status);
  if (status >= 500) return 'broke';
  return status < 300 || status === 409 || status === 422 ? 'answered' : 'unread';
}

interface EventsBody {
  now?: string;
  message?: string;
  answers?: { id: string; status: string; refusals?: Refusal[] }[];
}

const bodyOf = async <T>(res: Response): Promise<Partial<T>> => (await res.json().catch(() => ({}))) as Partial<T>;

/** Sends what waits, one kind at a time; remembers over which entries the server failed. */
export class Sender {
  private readonly failures = new Map<number, number>();
  private readonly post: Post;

  constructor(post: Post) {
    this.post = post;
  }

  /**
   * Sends the first of what waits: a batch of events, or one write. One entry that breaks a batch is found by halving and set aside alone.
   * @throws Again, DoorShut, and what `post` throws without a connection; nothing is gone then
   */
  async send(entries: readonly PendingEntry[]): Promise<Answered> {
    const first = entries[0];
    if (!first) return { gone: [], refused: [] };
    if (first.kind !== 'event') return this.sendOne(first);
    const firstOther = entries.findIndex((e) => e.kind !== 'event');
    return this.sendEvents(entries.slice(0, firstOther < 0 ? mostEvents : Math.min(mostEvents, firstOther)));
  }

  private async sendEvents(batch: readonly PendingEntry[]): Promise<Answered> {
    const res = await this.post(
      '/events',
      batch.flatMap((e) => (e.kind === 'event' ? [e.body] : [])),
    );
    const body = await bodyOf<EventsBody>(res);
    const verdict = verdictOf(res.status, body.message);
    if (verdict === 'answered' && body.answers) {
      const { answers } = body;
      return {
        gone: batch.map((e) => e.seq),
        refused: batch.flatMap((entry) => {
          const a = answers.find((x) => x.id === (entry.kind === 'event' ? entry.body.id : ''));
          return !a || a.status === 'refused' ? [this.no(entry, body.message, a?.refusals)] : [];
        }),
        ...(body.now !== undefined && { now: body.now }),
      };
    }
    const [only, second] = batch;
    // the first half alone: what comes after it follows with the next sending
    if (second) return this.sendEvents(batch.slice(0, Math.ceil(batch.length / 2)));
    return only ? this.alone(only, verdict, body) : { gone: [], refused: [] };
  }

  private async sendOne(entry: PendingEntry): Promise<Answered> {
    if (entry.kind === 'event') return this.sendEvents([entry]);
    const res = await this.post(entry.kind === 'write' ? '/writes' : '/undo', entry.body);
    const body = await bodyOf<{ message: string; refusals: Refusal[] }>(res);
    const verdict = verdictOf(res.status, body.message);
    if (verdict === 'broke') return this.alone(entry, verdict, body);
    return { gone: [entry.seq], refused: res.ok ? [] : [this.no(entry, body.message, body.refusals)] };
  }

  private alone(entry: PendingEntry, verdict: Verdict, body: { message?: string; refusals?: Refusal[] }): Answered {
    const times = (this.failures.get(entry.seq) ?? 0) + 1;
    this.failures.set(entry.seq, times);
    if (verdict === 'broke' && times < mostFailures) throw new Again(`failed ${times} times over ${entry.label}`);
    return { gone: [entry.seq], refused: [this.no(entry, body.message, body.refusals)] };
  }

  private no(entry: PendingEntry, message?: string, refusals?: Refusal[]): Answered['refused'][number] {
    return { entry, message: message ?? `“${entry.label}” was not kept.`, refusals: refusals ?? [] };
  }
}
