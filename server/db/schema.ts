import { sql } from 'drizzle-orm';
import { index, integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { DocumentTable, EventData, Kind, Meal, ReferenceTable, TamboEvent, WritableTable } from '#core/contract';
import type { PackChanges } from '#core/store';

/** Everything logged, append-only. Stock is folded from here and can be rebuilt. */
export const event = sqliteTable(
  'event',
  {
    id: text().primaryKey(),
    stream: text().notNull(),
    type: text().notNull(),
    subjects: text({ mode: 'json' }).$type<string[]>().notNull(),
    instant: text().notNull(),
    device: text().notNull(),
    counter: integer().notNull(),
    version: integer().notNull(),
    data: text({ mode: 'json' }).$type<TamboEvent['data']>().notNull(),
    receivedAt: text('received_at').notNull(),
  },
  (t) => [index('event_by_instant').on(t.instant), index('event_by_stream').on(t.stream, t.instant)],
);

/** Which events speak of a pack or a session. */
export const eventSubject = sqliteTable(
  'event_subject',
  {
    subject: text().notNull(),
    eventId: text('event_id')
      .notNull()
      .references(() => event.id),
  },
  (t) => [primaryKey({ columns: [t.subject, t.eventId] })],
);

/** Projection: each pack as its events have made it. What it was filled with stands in its `filled` event and is not written twice. */
export const packState = sqliteTable(
  'pack_state',
  {
    packId: text('pack_id').primaryKey(),
    code: text().notNull(),
    status: text().notNull(),
    kind: text().$type<Kind>().notNull(),
    name: text().notNull(),
    left: real().notNull(),
    bestBy: text('best_by').notNull(),
    placeId: text('place_id'),
    containerId: text('container_id'),
    sessionId: text('session_id'),
    recipeId: text('recipe_id'),
    washed: integer({ mode: 'boolean' }).notNull(),
    lastInstant: text('last_instant').notNull(),
    lastDevice: text('last_device').notNull(),
    lastCounter: integer('last_counter').notNull(),
    madeDay: text('made_day').notNull(),
    filledId: text('filled_id').notNull(),
    changes: text({ mode: 'json' }).$type<PackChanges>().notNull(),
  },
  (t) => [
    uniqueIndex('pack_by_code').on(t.code),
    index('pack_by_status').on(t.status),
    index('pack_by_session').on(t.sessionId),
    index('pack_by_container').on(t.containerId, t.status, t.washed),
    index('pack_by_recipe').on(t.recipeId, t.madeDay),
  ],
);

/** Projection: what was eaten of which pack on which day; drives the runway. */
export const eatenLog = sqliteTable(
  'eaten_log',
  {
    eventId: text('event_id').notNull(),
    packId: text('pack_id').notNull(),
    day: text().notNull(),
    meal: text().$type<Meal>().notNull(),
    kind: text().$type<Kind>().notNull(),
    name: text().notNull(),
    portions: real().notNull(),
    shares: text({ mode: 'json' }).$type<{ eaterId: string; portions: number }[]>().notNull(),
    guests: real().notNull(),
  },
  (t) => [primaryKey({ columns: [t.eventId, t.packId] }), index('eaten_by_day').on(t.day), index('eaten_by_pack').on(t.packId)],
);

/** Codes given out, unique for ever. */
export const packCode = sqliteTable('pack_code', {
  code: text().primaryKey(),
  givenTo: text('given_to').notNull(),
  givenAt: text('given_at').notNull(),
});

const document = (name: string) =>
  sqliteTable(name, {
    id: text().primaryKey(),
    data: text({ mode: 'json' }).$type<unknown>().notNull(),
    /** Version of its shape when it was written (decision 57). */
    version: integer().notNull().default(1),
    deleted: integer({ mode: 'boolean' }).notNull().default(false),
    updatedAt: text('updated_at').notNull(),
  });

/** Documents that a cook edits; every write leaves a `change` row with before and after. */
export const household = document('household');
export const eater = document('eater');
export const equipment = document('equipment');
export const container = document('container');
export const place = document('place');
export const recipe = document('recipe');
export const recipeRevision = document('recipe_revision');
export const session = document('session');
export const picture = document('picture');
export const recipeList = document('recipe_list');
export const documents = {
  household,
  eater,
  equipment,
  container,
  place,
  recipe,
  recipe_revision: recipeRevision,
  session,
  picture,
  recipe_list: recipeList,
} as const;

/** Derived: which ingredients a revision uses, for search. */
export const recipeIngredient = sqliteTable(
  'recipe_ingredient',
  { revisionId: text('revision_id').notNull(), ingredientId: text('ingredient_id').notNull() },
  (t) => [primaryKey({ columns: [t.revisionId, t.ingredientId] }), index('revision_by_ingredient').on(t.ingredientId)],
);

/** History of document writes: undo is a new inverse change. */
export const change = sqliteTable(
  'change',
  {
    id: integer().primaryKey({ autoIncrement: true }),
    writeId: text('write_id').notNull(),
    table: text('table_name').$type<WritableTable>().notNull(),
    rowId: text('row_id').notNull(),
    before: text({ mode: 'json' }).$type<unknown>(),
    after: text({ mode: 'json' }).$type<unknown>(),
    /** Version of the shape of both. */
    version: integer().notNull().default(1),
    at: text().notNull(),
    device: text().notNull(),
    label: text().notNull(),
  },
  (t) => [index('change_by_write').on(t.writeId), index('change_by_time').on(t.at)],
);

/** What two devices wrote differently over the same state: the document has the one, here lies the other, until the cook has said (decision 58). */
export const clash = sqliteTable('clash', {
  id: text().primaryKey(),
  writeId: text('write_id').notNull(),
  table: text('table_name').$type<DocumentTable>().notNull(),
  rowId: text('row_id').notNull(),
  /** What this device meant; null when it meant to delete. */
  mine: text({ mode: 'json' }).$type<unknown>(),
  version: integer().notNull(),
  at: text().notNull(),
  device: text().notNull(),
  label: text().notNull(),
  settledBy: text('settled_by'),
});

/** The answer of each write, so that a retry gets the same one and changes nothing. */
export const writeAnswer = sqliteTable('write_answer', {
  writeId: text('write_id').primaryKey(),
  /** Digest of what was said with it; other content under the same number is refused. */
  digest: text(),
  status: integer().notNull(),
  body: text({ mode: 'json' }).$type<unknown>().notNull(),
});

/** Reference rows as shipped, with the household's own edit beside them. */
export const refRow = sqliteTable(
  'ref_row',
  {
    table: text('table_name').$type<ReferenceTable>().notNull(),
    id: text().notNull(),
    shipped: text({ mode: 'json' }).$type<Record<string, unknown>>().notNull(),
    edited: text({ mode: 'json' }).$type<Record<string, unknown>>(),
    source: text().notNull(),
    version: integer().notNull(),
  },
  (t) => [primaryKey({ columns: [t.table, t.id] })],
);

export const meta = sqliteTable('meta', { key: text().primaryKey(), value: text({ mode: 'json' }).$type<unknown>().notNull() });

/** What a pack was filled with, from the `filled` event that is joined to it. */
export const filledData = sql<EventData<'filled'>>`${event.data}`.mapWith((text: string) => JSON.parse(text) as EventData<'filled'>);
