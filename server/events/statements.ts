import { eq, getTableColumns, sql, type Placeholder } from 'drizzle-orm';
import { schema, type Db } from '../db/index.ts';

const { event, eventSubject, packState, eatenLog } = schema;

/** A row whose every column is filled in when the statement runs. */
const blanks = <C extends object>(columns: C): { [K in keyof C]: Placeholder } =>
  Object.fromEntries(Object.keys(columns).map((name) => [name, sql.placeholder(name)])) as { [K in keyof C]: Placeholder };

const packColumns = getTableColumns(packState);

/** What every event needs, prepared once for a database: building these anew costs more than running them. */
function prepare(db: Db) {
  return {
    event: db
      .select()
      .from(event)
      .where(eq(event.id, sql.placeholder('id')))
      .prepare(),
    packIdByCode: db
      .select({ packId: packState.packId })
      .from(packState)
      .where(eq(packState.code, sql.placeholder('code')))
      .prepare(),
    packId: db
      .select({ packId: packState.packId })
      .from(packState)
      .where(eq(packState.packId, sql.placeholder('packId')))
      .prepare(),
    /** A pack's projection with what it was filled with. */
    pack: db
      .select({
        filledId: packState.filledId,
        changes: packState.changes,
        lastInstant: packState.lastInstant,
        lastDevice: packState.lastDevice,
        lastCounter: packState.lastCounter,
        filled: schema.filledData,
      })
      .from(packState)
      .innerJoin(event, eq(event.id, packState.filledId))
      .where(eq(packState.packId, sql.placeholder('packId')))
      .prepare(),
    addEvent: db
      .insert(event)
      .values(blanks(getTableColumns(event)))
      .prepare(),
    addSubject: db
      .insert(eventSubject)
      .values(blanks(getTableColumns(eventSubject)))
      .prepare(),
    putPack: db
      .insert(packState)
      .values(blanks(packColumns))
      .onConflictDoUpdate({
        target: packState.packId,
        set: Object.fromEntries(Object.entries(packColumns).map(([name, column]) => [name, sql.raw(`excluded."${column.name}"`)])),
      })
      .prepare(),
    addEaten: db
      .insert(eatenLog)
      .values(blanks(getTableColumns(eatenLog)))
      .prepare(),
  };
}

const prepared = new WeakMap<Db, ReturnType<typeof prepare>>();

/** The prepared statements of a database. They run on its one connection, so inside whatever transaction it is in. */
export function statements(db: Db): ReturnType<typeof prepare> {
  const known = prepared.get(db) ?? prepare(db);
  prepared.set(db, known);
  return known;
}
