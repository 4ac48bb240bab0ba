import { and, count, eq, gte, inArray, ne, sum } from 'drizzle-orm';
import type { Eater, Figures, Household, Recipe, Revision, TamboEvent } from '#core/contract';
import { withForeignNames } from '#core/kitchen/data';
import {
  isDinnerKind,
  allKinds,
  addDays,
  createMemo,
  groupOf,
  ingredientFinder,
  withSaid,
  type IngredientFinder,
  type IngredientRow,
  type LifeRow,
  type Memo,
  type ReferenceRow,
} from '#core/kitchen';
import {
  brothUnitMl,
  learnedTimes,
  newestWord,
  runsOf,
  saidOfTable,
  scaleIn,
  trimsOf,
  withDensity,
  type EatenDay,
  type Run,
  type World,
} from '#core/session';
import type { ContainerUse, PackState } from '#core/store';
import { allDocuments, documentById, householdFigures, referenceEpoch, referenceRows, schema, type Db } from '../db/index.ts';
import { eventsOf, newestOfTable, packsWhere, tableEvents, yieldEvents } from '../events/index.ts';
import { cachedSince, loggedSince, touchedSince } from './cache.ts';

/** What a household is before anybody has said anything. */
export const newHousehold: Household = {
  id: 'household',
  name: 'Our kitchen',
  country: 'GB',
  timeZone: 'Europe/London',
  locale: 'en-GB',
  currency: 'GBP',
  units: 'metric',
  lives: 'usual',
  dinnerAt: '18:30',
  parDays: 7,
  leadDays: 3,
  brothPacksPerWeek: 0,
  groupSizes: [2],
  scaleStepG: 1,
  singleKeys: true,
};

export const householdOf = (db: Db): Household => documentById(db, 'household', 'household') ?? newHousehold;

interface Reference {
  finder: IngredientFinder;
  lives: Map<string, LifeRow>;
  materials: Map<string, ReferenceRow>;
  reheats: ReferenceRow[];
  thaws: ReferenceRow[];
  figures: Figures;
  allergenNames: Map<string, string>;
  epoch: number;
}

const references = new WeakMap<Db, Reference>();
/** Revisions never change: each is read once. */
const revisionsRead = new WeakMap<Db, Map<string, Revision>>();

/** Reference tables, read once per database and again when a row was edited. */
export function referenceOf(db: Db): Reference {
  const found = references.get(db);
  const epoch = referenceEpoch();
  if (found?.epoch === epoch) return found;
  const made: Reference = {
    finder: ingredientFinder(withForeignNames(withTrims(db, referenceRows(db, 'ingredient')))),
    lives: new Map(referenceRows(db, 'life').map((r) => [r.id, r])),
    materials: new Map(referenceRows(db, 'material').map((r) => [r.id, r])),
    reheats: referenceRows(db, 'reheat'),
    thaws: referenceRows(db, 'thaw'),
    figures: householdFigures(db),
    allergenNames: new Map(referenceRows(db, 'allergen').map((r) => [r.id, String(r.short ?? r.allergen)])),
    epoch,
  };
  references.set(db, made);
  return made;
}

/** Ingredients with the edible share that this kitchen weighed, where it did. */
function withTrims(db: Db, rows: IngredientRow[]): IngredientRow[] {
  const pct = new Map(rows.map((r) => [r.id, r.ediblePct]));
  const trims = trimsOf(yieldEvents(db, 'trimmed'), (id) => pct.get(id));
  return rows.map((r) => {
    const seen = trims.get(r.id);
    return seen ? { ...r, ediblePct: Math.min(100, Math.round(seen.factor * 1000) / 10), source: `${r.source};OWN` } : r;
  });
}

/** More than anybody merges one into the next. */
const mostMerges = 20;

/** The recipe that an id leads to: one that is the same as another leads to that one, from whenever it was cooked or packed. */
export function leadsTo(recipes: ReadonlyMap<string, Recipe>, id: string): string {
  let at = id;
  for (let i = 0; i < mostMerges; i += 1) {
    const next = recipes.get(at)?.mergedInto;
    if (next === undefined || next === id || !recipes.has(next)) break;
    at = next;
  }
  return at;
}

/** A revision as it is stored; each is read once. */
function storedRevision(db: Db, id: string): Revision | undefined {
  const known = revisionsRead.get(db) ?? new Map<string, Revision>();
  revisionsRead.set(db, known);
  const found = known.get(id) ?? documentById(db, 'recipe_revision', id);
  if (found) known.set(id, found);
  return found;
}

/** Weighed batches by recipe. */
export const weighedRuns = (db: Db): Map<string, Run[]> =>
  cachedSince(db, 'runs', () => runsOf(allDocuments(db, 'session'), yieldEvents(db, 'weighed'), (id) => storedRevision(db, id)));

/** What is worked out from documents and tables, for as long as they stand. */
const memos = new WeakMap<Db, Memo>();

function memoOf(db: Db): Memo {
  const memo = memos.get(db) ?? createMemo();
  memos.set(db, memo);
  return memo;
}

/** Sessions looked back at for how long things took. */
const sessionsTimed = 12;

const inStore = inArray(schema.packState.status, ['unplaced', 'frozen', 'fridge']);

/** The stock by pack, brought forward by the packs that events spoke of since it was last read. */
function stockOf(db: Db): ReadonlyMap<string, PackState> {
  return cachedSince<ReadonlyMap<string, PackState>>(db, 'stock', (before) => {
    const touched = before && touchedSince(db, before.version.events);
    const fresh = packsWhere(db, touched ? and(inStore, inArray(schema.packState.packId, touched)) : inStore);
    if (!touched) return new Map(fresh.map((p) => [p.packId, p]));
    const stock = new Map(before.value);
    for (const id of touched) stock.delete(id);
    for (const p of fresh) stock.set(p.packId, p);
    return stock;
  });
}

/** Packs that hold food, by code. */
export const packsInStore = (db: Db): PackState[] =>
  cachedSince(db, 'packs', () => [...stockOf(db).values()].sort((a, b) => (a.code < b.code ? -1 : 1)));

/** Packs of one session, empty ones too; read again when something was said of one of them, or one was filled from it. */
export const packsOfSession = (db: Db, sessionId: string): PackState[] =>
  cachedSince(db, `packs of ${sessionId}`, (before) => {
    const own = eq(schema.packState.sessionId, sessionId);
    const touched = before && touchedSince(db, before.version.events);
    if (!touched) return packsWhere(db, own);
    const mine = db
      .select({ id: schema.packState.packId })
      .from(schema.packState)
      .where(and(own, inArray(schema.packState.packId, touched)))
      .all();
    return mine.length > 0 || before.value.some((p) => touched.includes(p.packId)) ? packsWhere(db, own) : before.value;
  });

/** Events that speak of a session; read again when another one does. */
export const eventsOfSession = (db: Db, sessionId: string): readonly TamboEvent[] =>
  cachedSince<readonly TamboEvent[]>(db, `events of ${sessionId}`, (before) => {
    const touched = before && touchedSince(db, before.version.events);
    return touched && !touched.includes(sessionId) ? before.value : eventsOf(db, sessionId);
  });

/** What may fill a container, empty it or wash it. */
const fillsOrEmpties = ['filled', 'eaten', 'given', 'discarded', 'lost', 'found', 'corrected', 'repacked', 'washed', 'undone'] as const;

/** How the containers are used, counted by the database. */
const containerUsage = (db: Db): ReadonlyMap<string, ContainerUse> =>
  cachedSince<ReadonlyMap<string, ContainerUse>>(db, 'usage', (before) =>
    before && !loggedSince(db, before.version.events, fillsOrEmpties) ? before.value : countUsage(db),
  );

function countUsage(db: Db): Map<string, ContainerUse> {
  const t = schema.packState;
  const usage = new Map<string, ContainerUse>();
  for (const r of db
    .select({ id: t.containerId, status: t.status, washed: t.washed, n: count() })
    .from(t)
    .groupBy(t.containerId, t.status, t.washed)
    .all()) {
    if (r.id === null) continue;
    const u = usage.get(r.id) ?? { holding: 0, toWash: 0, ever: 0 };
    const empty = r.status === 'empty';
    usage.set(r.id, { holding: u.holding + (empty ? 0 : r.n), toWash: u.toWash + (empty && !r.washed ? r.n : 0), ever: u.ever + r.n });
  }
  return usage;
}

interface AtTable {
  newest: number;
  household: Household;
  eaters: readonly Eater[];
  seen: string;
  written: { household: Household; eaters: readonly Eater[] };
}
const atTable = new WeakMap<object, AtTable>();

/** Household and eaters with what was said of single meals laid over them; the same objects as long as nothing else was said. */
function tableOf(db: Db, written: AtTable['written']): AtTable {
  const newest = newestOfTable(db);
  const known = atTable.get(written);
  if (known?.newest === newest) return known;
  const all = tableEvents(db);
  const made = { newest, written, seen: newestWord(all) ?? '', ...withSaid(written.household, written.eaters, saidOfTable(all)) };
  atTable.set(written, made);
  return made;
}

/** The world as the database has it now. */
export const worldOf = (db: Db): World => cachedSince(db, 'world', () => readWorld(db));

function readWorld(db: Db): World {
  const reference = referenceOf(db);
  const documents = cachedSince(
    db,
    'documents',
    () => ({
      written: { household: householdOf(db), eaters: allDocuments(db, 'eater') },
      equipment: allDocuments(db, 'equipment'),
      containers: allDocuments(db, 'container'),
      places: allDocuments(db, 'place'),
      recipes: new Map(allDocuments(db, 'recipe').map((r) => [r.id, r])),
    }),
    'documents',
  );
  const memo = memoOf(db);
  const runs = weighedRuns(db);
  const { written, recipes, ...gear } = documents;
  const table = tableOf(db, written);
  const own = { ...gear, household: table.household, eaters: table.eaters };
  const revision = (id: string): Revision | undefined => {
    const stored = storedRevision(db, id);
    return stored && withDensity(stored, runs.get(stored.recipeId), reference, memo);
  };
  // by the household as it is written: what was said of single meals changes no amount
  const scale = scaleIn({ ...gear, household: written.household, finder: reference.finder, figures: reference.figures }, memo);
  // read again when something is planned or changed, so that a session's minutes stand still while it is cooked
  const { times, paces } = cachedSince(
    db,
    'times',
    () =>
      learnedTimes(
        allDocuments(db, 'session')
          .toSorted((a, b) => b.day.localeCompare(a.day))
          .slice(0, sessionsTimed),
        (id) => eventsOf(db, id),
        { revision, scale, finder: reference.finder },
      ),
    'documents',
  );
  return {
    ...reference,
    ...own,
    written,
    tableSeen: table.seen,
    times,
    paces,
    runs,
    packs: packsInStore(db),
    usage: containerUsage(db),
    revision,
    scale,
    memo,
    recipe(id) {
      const recipe: Recipe | undefined = recipes.get(leadsTo(recipes, id));
      const r = recipe && revision(recipe.revisionId);
      return recipe && r ? { recipe, revision: r } : undefined;
    },
  };
}

/** Half litres in a portion of a pack of broth, which never changes: a litre of broth is two, however many portions it was called. */
const brothUnits = new WeakMap<Db, Map<string, number>>();

function unitsOfBroth(db: Db, packIds: readonly string[]): ReadonlyMap<string, number> {
  const known = brothUnits.get(db) ?? new Map<string, number>();
  brothUnits.set(db, known);
  const missing = [...new Set(packIds.filter((id) => !known.has(id)))];
  if (missing.length > 0)
    for (const p of packsWhere(db, inArray(schema.packState.packId, missing))) known.set(p.packId, p.volumeMl / p.portions / brothUnitMl);
  return known;
}

/** What was eaten lately, by group and day, in each group's units; older than a dozen half-lives weighs nothing. */
export const eatenDays = (db: Db, today: string): EatenDay[] =>
  cachedSince(db, `eaten until ${today}`, (before) =>
    before && !loggedSince(db, before.version.events, ['eaten', 'filled', 'undone']) ? before.value : sumEaten(db, today),
  );

function sumEaten(db: Db, today: string): EatenDay[] {
  const { eatenLog: t } = schema;
  const lately = gte(t.day, addDays(today, -336));
  const days = db
    .select({ day: t.day, kind: t.kind, portions: sum(t.portions).mapWith(Number) })
    .from(t)
    .where(and(lately, ne(t.kind, 'broth')))
    .groupBy(t.day, t.kind)
    .all();
  const broths = db
    .select({ day: t.day, packId: t.packId, portions: t.portions })
    .from(t)
    .where(and(lately, eq(t.kind, 'broth')))
    .all();
  const units = unitsOfBroth(
    db,
    broths.map((b) => b.packId),
  );
  const brothDays = new Map<string, number>();
  for (const b of broths) brothDays.set(b.day, (brothDays.get(b.day) ?? 0) + b.portions * (units.get(b.packId) ?? 1));
  return [...days, ...[...brothDays].map(([day, portions]) => ({ day, kind: 'broth', portions }))].flatMap((r) => {
    const group = groupOf(r.kind);
    return group ? [{ group, day: r.day, portions: r.portions }] : [];
  });
}

/** Whether a dinner of tonight has been written down. */
export const dinnerLogged = (db: Db, day: string): boolean =>
  db
    .select({ id: schema.eatenLog.eventId })
    .from(schema.eatenLog)
    .where(
      and(eq(schema.eatenLog.day, day), eq(schema.eatenLog.meal, 'dinner'), inArray(schema.eatenLog.kind, allKinds.filter(isDinnerKind))),
    )
    .limit(1)
    .get() !== undefined;
