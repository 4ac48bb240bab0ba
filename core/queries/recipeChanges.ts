import type { Batch, Id, Instant, Session } from '#core/contract';
import { differences, type Difference } from '#core/recipe';
import { sessionView, type SessionView, type World } from '#core/session';
import type { Records } from './records.ts';

/** A dish of a session whose recipe was changed since it was planned. */
export interface ChangedDish {
  batchId: Id;
  recipeId: Id;
  name: string;
  /** The recipe as it is now. */
  revisionId: Id;
  differences: Difference[];
}

/** What of the list would be otherwise; absent amounts are new or gone. */
export interface ChangedLine {
  key: string;
  name: string;
  before?: string;
  after?: string;
  /** It is in the basket or at home already. */
  ticked: boolean;
}

export interface ChangesAnswer {
  session: Session;
  dishes: ChangedDish[];
  lines: ChangedLine[];
  minutes: { before: number; after: number };
  /** Work that was done and is no longer part of it: it stays in History. */
  undone: string[];
}

const linesOf = (view: SessionView): Map<string, SessionView['list'][number]['lines'][number]> =>
  new Map(view.list.flatMap((s) => s.lines).map((l) => [l.key, l]));

/** A session with dishes as their recipes are now. @example withRevisions(saturday, changes.dishes).batches[0]?.revisionId */
export const withRevisions = (session: Session, dishes: readonly Pick<ChangedDish, 'batchId' | 'revisionId'>[]): Session => ({
  ...session,
  batches: session.batches.map((b): Batch => {
    const { declined: _, ...batch } = b;
    const to = dishes.find((d) => d.batchId === b.id);
    return to ? { ...batch, revisionId: to.revisionId } : b;
  }),
});

/** A session that stays as it was planned, though recipes were changed: it is not asked about these changes again. @example declineRevisions(saturday, changes.dishes) */
export const declineRevisions = (session: Session, dishes: readonly Pick<ChangedDish, 'batchId' | 'revisionId'>[]): Session => ({
  ...session,
  batches: session.batches.map((b): Batch => {
    const not = dishes.find((d) => d.batchId === b.id);
    return not ? { ...b, declined: not.revisionId } : b;
  }),
});

/**
 * What a session's recipes say otherwise since it was planned, and what that changes on its list and tasks. Dishes that came out of the pot already are
 * as they were cooked.
 * @example changesAnswer(saturday, world, records, now).lines[0] // leeks, 1.2 kg before, 1.4 kg after
 */
export function changesAnswer(session: Session, world: World, records: Records, now: Instant): ChangesAnswer {
  const events = records.eventsOf(session.id);
  const packs = records.packsOf(session.id);
  const before = sessionView(session, events, packs, world, now);
  const cooked = new Set(before.batches.filter((b) => b.flags.cooked).map((b) => b.batch.id));
  const dishes = session.batches.flatMap((b): ChangedDish[] => {
    const now_ = world.recipe(b.recipeId);
    const planned = world.revision(b.revisionId);
    if (!now_ || !planned || cooked.has(b.id) || now_.revision.id === b.revisionId || now_.revision.id === b.declined) return [];
    const found = differences(planned, now_.revision).filter((d) => d.part !== 'words' && d.part !== 'name');
    return found.length === 0
      ? []
      : [{ batchId: b.id, recipeId: now_.recipe.id, name: now_.revision.name, revisionId: now_.revision.id, differences: found }];
  });
  if (dishes.length === 0) return { session, dishes, lines: [], minutes: { before: 0, after: 0 }, undone: [] };
  const after = sessionView(withRevisions(session, dishes), events, packs, world, now);
  const [was, is] = [linesOf(before), linesOf(after)];
  const lines = [...new Set([...was.keys(), ...is.keys()])].flatMap((key): ChangedLine[] => {
    const [a, b] = [was.get(key), is.get(key)];
    if (a?.out === b?.out) return [];
    return [{ key, name: (b ?? a)!.name, ticked: a?.ticked !== undefined, ...(a && { before: a.out }), ...(b && { after: b.out }) }];
  });
  const hands = (v: SessionView): number => v.tasks.reduce((sum, t) => sum + t.handsOnMin, 0);
  const kept = new Set(after.tasks.map((t) => t.id));
  return {
    session,
    dishes,
    lines,
    minutes: { before: hands(before), after: hands(after) },
    undone: before.tasks.filter((t) => t.log?.state === 'done' && !kept.has(t.id)).map((t) => t.title),
  };
}
