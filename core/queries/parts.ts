import type { BatchView, SessionView } from '#core/session';

/** A session as each of its pages needs it: what is asked for is what is shown. */
export interface SessionParts {
  plan: Pick<SessionView, 'session'>;
  shop: Pick<SessionView, 'session' | 'list'> & { containers: SessionView['fit']['rows'][number] | undefined };
  cook: Pick<SessionView, 'session' | 'dishes' | 'tasks' | 'schedule' | 'scheduleError' | 'cooling' | 'notes'>;
  pack: Pick<SessionView, 'session'> & { batches: PackedBatch[] };
}

/** A batch to be packed: what came out of the pot, not how it was cooked. */
export type PackedBatch = Omit<BatchView, 'scaled'>;

export type SessionPart = keyof SessionParts;

const cut: { [P in SessionPart]: (view: SessionView) => SessionParts[P] } = {
  plan: ({ session }) => ({ session }),
  shop: ({ session, list, fit }) => ({ session, list, containers: fit.rows.find((r) => r.id === 'containers') }),
  cook: ({ session, dishes, tasks, schedule, scheduleError, cooling, notes }) => ({
    session,
    dishes,
    tasks,
    cooling,
    notes,
    ...(schedule && { schedule }),
    ...(scheduleError !== undefined && { scheduleError }),
  }),
  pack: ({ session, batches }) => ({ session, batches: batches.map(({ scaled: _, ...b }) => b) }),
};

export const isSessionPart = (part: string): part is SessionPart => Object.hasOwn(cut, part);

/**
 * One part of a session with everything derived.
 * @example sessionPart(view, 'shop').list // the list, without tasks and packs
 */
export const sessionPart = <P extends SessionPart>(view: SessionView, part: P): SessionParts[P] => cut[part](view);
