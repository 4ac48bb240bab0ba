import type { Instant } from '#core/contract';
import type { SaidCaution } from '#core/safety';
import type { BatchView, SessionView, TaskView } from '#core/session';

/** A session as each of its pages needs it: what is asked for is what is shown. */
export interface SessionParts {
  plan: Pick<SessionView, 'session'> & { begun: BegunDish[] };
  shop: Pick<SessionView, 'session' | 'list'> & { containers: SessionView['fit']['rows'][number] | undefined };
  cook: Pick<SessionView, 'session' | 'dishes' | 'tasks' | 'schedule' | 'scheduleError' | 'promise' | 'rests' | 'cooling' | 'notes'>;
  pack: Pick<SessionView, 'session'> & { batches: PackedBatch[] };
  /** What a plan comes to while it is made. */
  draft: Pick<SessionView, 'fit' | 'bases' | 'notes' | 'promise'> & {
    batches: Pick<BatchView, 'batch' | 'packing' | 'cubes'>[];
    makespanMin: number;
    boundMin: number;
    /** Cutting that dishes share. */
    cutOnce: Pick<TaskView, 'id' | 'title' | 'detail' | 'handsOnMin'>[];
    /** Things to buy, and what is bought by weight. */
    buy: { things: number; massG: number };
  };
}

/** What a helper's one-evening link shows: the work of one session, and nothing else of the household. */
export interface HelpAnswer {
  now: Instant;
  /** The server's clock stands, as for pictures. */
  stopped: boolean;
  zone: string;
  /** When the link ends. */
  until: Instant;
  cook: SessionParts['cook'];
  /** What to mind while it is done. */
  cautions: SaidCaution[];
}

/** A dish of which something was done already: what a plan without it leaves behind. */
export interface BegunDish {
  batchId: string;
  name: string;
  /** Pieces of work done or begun that are its own. */
  work: number;
  weighed: boolean;
  packs: number;
  /** In the pot, and not packed yet. */
  toPackMl: number;
}

function begunOf(b: BatchView, tasks: readonly TaskView[]): BegunDish[] {
  const work = tasks.filter((t) => t.batchIds.length === 1 && t.batchIds[0] === b.batch.id && t.log !== undefined).length;
  const weighed = b.yield.how === 'weighed';
  return work === 0 && !weighed && b.packs.length === 0
    ? []
    : [{ batchId: b.batch.id, name: b.revision.name, work, weighed, packs: b.packs.length, toPackMl: weighed ? b.toPackMl : 0 }];
}

/** A batch to be packed: what came out of the pot, not how it was cooked. */
export type PackedBatch = Omit<BatchView, 'scaled'>;

export type SessionPart = keyof SessionParts;

const cut: { [P in SessionPart]: (view: SessionView) => SessionParts[P] } = {
  plan: ({ session, batches, tasks }) => ({ session, begun: batches.flatMap((b) => begunOf(b, tasks)) }),
  shop: ({ session, list, fit }) => ({ session, list, containers: fit.rows.find((r) => r.id === 'containers') }),
  cook: ({ session, dishes, tasks, schedule, scheduleError, promise, rests, cooling, notes }) => ({
    session,
    dishes,
    tasks,
    rests,
    cooling,
    notes,
    ...(schedule && { schedule }),
    ...(promise && { promise }),
    ...(scheduleError !== undefined && { scheduleError }),
  }),
  draft: ({ fit, bases, notes, batches, schedule, promise, tasks, list }) => {
    const lines = list.filter((s) => s.id !== 'onTheDay').flatMap((s) => s.lines);
    return {
      fit,
      bases,
      notes,
      batches: batches.map(({ batch, packing, cubes }) => ({ batch, packing, ...(cubes && { cubes }) })),
      ...(promise && { promise }),
      makespanMin: schedule?.makespanMin ?? 0,
      boundMin: schedule?.boundMin ?? 0,
      cutOnce: tasks.filter((t) => t.batchIds.length > 1).map(({ id, title, detail, handsOnMin }) => ({ id, title, detail, handsOnMin })),
      buy: { things: lines.length, massG: lines.reduce((sum, l) => sum + (l.unit === 'g' ? l.amount : 0), 0) },
    };
  },
  pack: ({ session, batches }) => ({ session, batches: batches.map(({ scaled: _, ...b }) => b) }),
};

/** Whether a session is asked for in this part. @example isSessionPart('shop') // true */
export const isSessionPart = (part: string): part is SessionPart => Object.hasOwn(cut, part);

/**
 * One part of a session with everything derived.
 * @example sessionPart(view, 'shop').list // the list, without tasks and packs
 */
export const sessionPart = <P extends SessionPart>(view: SessionView, part: P): SessionParts[P] => cut[part](view);
