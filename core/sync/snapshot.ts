import type {
  Container,
  Eater,
  Equipment,
  Figures,
  Household,
  Place,
  Recipe,
  ReferenceEdit,
  Revision,
  Session,
  TamboEvent,
  WriteRequest,
} from '#core/contract';
import type { LastTime } from '#core/cook';
import {
  createMemo,
  groupOf,
  ingredientFinder,
  isDinnerKind,
  withSaid,
  type IngredientRow,
  type LifeRow,
  type ReferenceRow,
} from '#core/kitchen';
import { eatenPortions, applyEvent, effective, newestOf, statusOf, type ContainerUse, type PackState } from '#core/store';
import type { Records, ClashBrief, EatenEntry, Unreadable } from '#core/queries';
import {
  ateOtherwise,
  eatenUnits,
  newestWord,
  ratingsOf,
  runOf,
  saidOfTable,
  scaleIn,
  withDensity,
  type EatenDay,
  type Run,
  type World,
} from '#core/session';

/** A household as plain data: all that the pages' numbers are made from, kept on a device for when there is no connection. */
export interface Snapshot {
  storeId: string;
  /** How many changes of documents there have been, and how far the log had come. */
  changes: number;
  logged: number;
  /** As their documents hold them; `table` is laid over them. */
  household: Household;
  eaters: Eater[];
  /** What was said of who is at single meals, with what was taken back of it. */
  table: TamboEvent[];
  unreadable: Unreadable[];
  clashes: ClashBrief[];
  equipment: Equipment[];
  containers: Container[];
  places: Place[];
  /** Packs that hold food. */
  packs: PackState[];
  usage: [containerId: string, use: ContainerUse][];
  recipes: Recipe[];
  revisions: Revision[];
  /** Every session by name; events and packs of those lately and to come. */
  sessions: Session[];
  events: [sessionId: string, events: TamboEvent[]][];
  sessionPacks: [sessionId: string, packs: PackState[]][];
  eatenDays: EatenDay[];
  lately: EatenEntry[];
  /** What was said of how dishes are liked, with what was taken back of it. */
  rated: TamboEvent[];
  /** Weighed runs by recipe. */
  runs: [recipeId: string, runs: Run[]][];
  /** The last run of each piece of work. */
  times: [key: string, time: LastTime][];
  /** How the last sessions went against what was foretold. */
  paces: number[];
  ingredients: IngredientRow[];
  lives: LifeRow[];
  materials: ReferenceRow[];
  reheats: ReferenceRow[];
  thaws: ReferenceRow[];
  figures: Figures;
  presets: ReferenceRow[];
  allergenNames: [id: string, name: string][];
  /** Ids of the newest events and writes in it, so that none is counted twice. */
  acknowledged: string[];
}

/** What waits on a device: logged events and documents written. */
export interface PendingEntries {
  events: readonly TamboEvent[];
  writes: readonly Pick<WriteRequest, 'writeId' | 'changes'>[];
}

/**
 * The world and the records of a kept household.
 * @example todayAnswer(openSnapshot(snapshot).world, openSnapshot(snapshot).records, now)
 */
export function openSnapshot(snapshot: Snapshot): { world: World; records: Records } {
  const finder = ingredientFinder(snapshot.ingredients);
  const table = withSaid(snapshot.household, snapshot.eaters, saidOfTable(snapshot.table));
  const recipes = new Map(snapshot.recipes.map((r) => [r.id, r]));
  const revisions = new Map(snapshot.revisions.map((r) => [r.id, r]));
  const events = new Map(snapshot.events);
  const sessionPacks = new Map(snapshot.sessionPacks);
  const runs = new Map(snapshot.runs);
  const memo = createMemo();
  const otherwise = ateOtherwise(snapshot.table);
  const revision = (id: string): Revision | undefined => {
    const stored = revisions.get(id);
    return stored && withDensity(stored, runs.get(stored.recipeId), { finder, figures: snapshot.figures }, memo);
  };
  return {
    world: {
      ...snapshot,
      ...table,
      written: { household: snapshot.household, eaters: snapshot.eaters },
      tableSeen: newestWord(snapshot.table) ?? '',
      usage: new Map(snapshot.usage),
      finder,
      runs,
      times: new Map(snapshot.times),
      lives: new Map(snapshot.lives.map((r) => [r.id, r])),
      materials: new Map(snapshot.materials.map((r) => [r.id, r])),
      allergenNames: new Map(snapshot.allergenNames),
      revision,
      recipe(id) {
        const recipe = recipes.get(id);
        const current = recipe && revision(recipe.revisionId);
        return recipe && current ? { recipe, revision: current } : undefined;
      },
      scale: scaleIn({ ...snapshot, finder }, memo),
      memo,
    },
    records: {
      storeId: snapshot.storeId,
      unreadable: () => snapshot.unreadable,
      clashes: () => snapshot.clashes,
      changes: () => snapshot.changes,
      logged: () => snapshot.logged,
      sessions: () => snapshot.sessions,
      recipes: () => snapshot.recipes,
      eventsOf: (id) => events.get(id) ?? [],
      packsOf: (id) => sessionPacks.get(id) ?? [],
      eatenDays: () => snapshot.eatenDays,
      ateOtherwise: () => otherwise,
      dinnerLogged: (day) =>
        snapshot.lately.some((e) => e.day === day && e.meal === 'dinner' && isDinnerKind(e.kind)) ||
        otherwise.some((e) => e.day === day && e.meal === 'dinner'),
      lately: () => snapshot.lately,
      ratings: () => memo([snapshot], 'ratings', () => ratingsOf(snapshot.rated, (id) => recipes.get(id)?.mergedInto ?? id)),
      presets: () => snapshot.presets,
      cached: (name, make) => memo([snapshot], name, make),
    },
  };
}

type Changes = PendingEntries['writes'][number]['changes'];

/** A table of documents after what was written here. */
function written<T extends { id: string }>(rows: readonly T[], table: string, changes: Changes): T[] {
  const map = new Map(rows.map((r) => [r.id, r]));
  for (const c of changes) {
    if (c.table !== table) continue;
    if (c.data === null) map.delete(c.id);
    else map.set(c.id, c.data as unknown as T);
  }
  return [...map.values()];
}

/** Ingredients after edits written here; what was set back shows as shipped once the server has answered. */
function edited(rows: readonly IngredientRow[], changes: Changes): IngredientRow[] {
  const map = new Map(rows.map((r) => [r.id, r]));
  for (const c of changes) {
    const edit = c.table === 'reference' && c.data !== null ? (c.data as ReferenceEdit) : undefined;
    if (edit?.table === 'ingredient') map.set((edit.row as IngredientRow).id, edit.row as IngredientRow);
  }
  return [...map.values()];
}

/** Counts a container's use from one state of a pack to the next. */
function useAfter(use: ContainerUse, before: PackState | undefined, after: PackState): ContainerUse {
  const holds = (p: PackState | undefined): number => (p && statusOf(p) !== 'empty' ? 1 : 0);
  const toWash = (p: PackState | undefined): number => (p && statusOf(p) === 'empty' && !p.washed ? 1 : 0);
  return {
    holding: use.holding + holds(after) - holds(before),
    toWash: use.toWash + toWash(after) - toWash(before),
    ever: use.ever + (before ? 0 : 1),
  };
}

/** Runs with those weighed on this device since: weighed again, the newer one stands. */
function withWeighed(
  known: ReadonlyMap<string, Run[]>,
  events: readonly TamboEvent[],
  sessions: readonly Session[],
  revisions: readonly Revision[],
): Map<string, Run[]> {
  const runs = new Map(known);
  for (const e of events) {
    if (e.type !== 'weighed') continue;
    const session = sessions.find((s) => e.subjects.includes(s.id));
    const batch = session?.batches.find((b) => b.id === e.data.batchId);
    const revision = batch && revisions.find((r) => r.id === batch.revisionId);
    if (!session || !batch || !revision) continue;
    const others = (runs.get(batch.recipeId) ?? []).filter((r) => r.batchId !== batch.id);
    runs.set(
      batch.recipeId,
      [...others, runOf(session, batch, revision, e.data)].toSorted(
        (a, b) => a.day.localeCompare(b.day) || a.sessionId.localeCompare(b.sessionId),
      ),
    );
  }
  return runs;
}

/**
 * A kept household after what waits on this device, so that pages without a connection show it at once. An undo of something that
 * waits here takes it away; an undo of what the server has already is sent with the rest and shows once it answers.
 * Law: once everything is sent, the server's own answers are the same.
 * @example withPending(snapshot, { events: [eaten], writes: [] }).packs // a portion fewer
 */
export function withPending(snapshot: Snapshot, pending: PendingEntries): Snapshot {
  const acknowledged = new Set(snapshot.acknowledged);
  const changes = pending.writes.filter((w) => !acknowledged.has(w.writeId)).flatMap((w) => w.changes);
  const fresh = pending.events.filter((e) => !acknowledged.has(e.id));
  const events = effective(fresh);
  const packs = new Map(snapshot.packs.map((p) => [p.packId, p]));
  for (const [, list] of snapshot.sessionPacks) for (const p of list) if (!packs.has(p.packId)) packs.set(p.packId, p);
  const usage = new Map(snapshot.usage);
  const eatenDays = [...snapshot.eatenDays];
  const lately = [...snapshot.lately];
  const sessionEvents = new Map(snapshot.events);
  const runs = new Map(snapshot.runs);
  const sessions = written(snapshot.sessions, 'session', changes);
  const sessionIds = new Set(sessions.map((s) => s.id));
  for (const event of events) {
    for (const subject of event.subjects) {
      const before = packs.get(subject);
      const after = applyEvent(before, event, subject);
      if (!after) continue;
      packs.set(subject, after);
      if (after.containerId && after !== before)
        usage.set(after.containerId, useAfter(usage.get(after.containerId) ?? { holding: 0, toWash: 0, ever: 0 }, before, after));
      if (event.type !== 'eaten') continue;
      const portions = eatenPortions(event.data);
      const group = groupOf(after.kind);
      if (group) eatenDays.push({ group, day: event.data.day, portions: eatenUnits(after, portions) });
      lately.unshift({
        eventId: event.id,
        packId: subject,
        day: event.data.day,
        meal: event.data.meal,
        kind: after.kind,
        name: after.name,
        ...(after.recipeId !== undefined && { recipeId: after.recipeId }),
        portions,
        shares: event.data.shares,
        guests: event.data.guests,
      });
    }
  }
  // a session's log takes back by itself, and knows what was seen
  for (const event of fresh)
    for (const subject of event.subjects)
      if (sessionIds.has(subject)) sessionEvents.set(subject, [...(sessionEvents.get(subject) ?? []), event]);
  // what was done and taken back here has been seen, though it left nothing behind
  for (const subject of new Set(fresh.flatMap((e) => (e.type === 'undone' ? e.subjects : [])))) {
    const pack = packs.get(subject);
    const seen = newestOf(fresh, subject);
    if (pack && seen) packs.set(subject, { ...pack, seen });
  }
  const all = [...packs.values()].toSorted((a, b) => (a.code < b.code ? -1 : 1));
  const withPacks = new Set([...snapshot.sessionPacks.map(([id]) => id), ...all.flatMap((p) => p.sessionId ?? [])]);
  return {
    ...snapshot,
    changes: snapshot.changes + changes.length,
    logged: snapshot.logged + fresh.length,
    household: written([snapshot.household], 'household', changes)[0] ?? snapshot.household,
    eaters: written(snapshot.eaters, 'eater', changes),
    table: [...snapshot.table, ...fresh.filter((e) => ['invited', 'atHome', 'ateOtherwise', 'undone'].includes(e.type))],
    rated: [...snapshot.rated, ...fresh.filter((e) => e.type === 'rated' || e.type === 'undone')],
    equipment: written(snapshot.equipment, 'equipment', changes),
    containers: written(snapshot.containers, 'container', changes),
    places: written(snapshot.places, 'place', changes),
    ingredients: edited(snapshot.ingredients, changes),
    recipes: written(snapshot.recipes, 'recipe', changes),
    revisions: written(snapshot.revisions, 'recipe_revision', changes),
    sessions,
    packs: all.filter((p) => statusOf(p) !== 'empty'),
    usage: [...usage],
    events: [...sessionEvents],
    sessionPacks: [...withPacks].map((id) => [id, all.filter((p) => p.sessionId === id)]),
    eatenDays,
    runs: [...withWeighed(runs, events, sessions, snapshot.revisions)],
    lately: lately.toSorted((a, b) => b.day.localeCompare(a.day) || b.eventId.localeCompare(a.eventId)),
  };
}
