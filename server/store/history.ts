import { desc, inArray, sql } from 'drizzle-orm';
import { sayEvent, type HistoryAnswer } from '#core/session';
import { byOrder, undoneIds } from '#core/store';
import { schema, type Db } from '../db/index.ts';
import { eventFrom } from '../events/index.ts';
import type { Context } from '../http.ts';
import { settingOf } from '../session/index.ts';

type Entry = HistoryAnswer['entries'][number];

/** Names of the packs and sessions that are spoken of. */
function namesOf(db: Db, ids: readonly string[]): { packs: Map<string, string>; sessions: Map<string, string> } {
  const unique = [...new Set(ids)];
  return {
    packs: new Map(
      db
        .select({ id: schema.packState.packId, name: schema.packState.name })
        .from(schema.packState)
        .where(inArray(schema.packState.packId, unique))
        .all()
        .map((r) => [r.id, r.name]),
    ),
    sessions: new Map(
      db
        .select({ id: schema.session.id, data: schema.session.data })
        .from(schema.session)
        .where(inArray(schema.session.id, unique))
        .all()
        .map((r) => [r.id, (r.data as { name: string }).name]),
    ),
  };
}

function logged(ctx: Context, limit: number): Entry[] {
  const { world, today } = settingOf(ctx);
  const eaters = new Map(world.eaters.map((e) => [e.id, e.name]));
  const events = ctx.db.select().from(schema.event).orderBy(desc(schema.event.instant)).limit(limit).all().map(eventFrom);
  const gone = undoneIds(events.toSorted(byOrder));
  // the undo that counts: undoing it brings its target back
  const undoOf = new Map(events.flatMap((e) => (e.type === 'undone' && !gone.has(e.id) ? [[e.data.eventId, e.id] as const] : [])));
  const { packs, sessions } = namesOf(
    ctx.db,
    events.flatMap((e) => e.subjects.slice(0, 1)),
  );
  return events
    .filter((e) => e.type !== 'undone')
    .map((e): Entry => {
      const [id = ''] = e.subjects;
      const name = packs.get(id) ?? sessions.get(id) ?? 'something';
      const undoneBy = undoOf.get(e.id);
      return {
        id: e.id,
        at: e.instant,
        says: `${packs.has(id) ? '' : `${name}: `}${sayEvent(e, name, eaters, today)}`,
        type: 'event',
        undone: gone.has(e.id),
        ...(undoneBy && { undoneBy }),
        subjects: e.subjects,
      };
    });
}

function changed(db: Db, limit: number): Entry[] {
  const undoes = new Map(
    db
      .all<{ id: string; undoes: string }>(
        sql`select write_id as id, json_extract(body, '$.undoes') as undoes from ${schema.writeAnswer} where json_extract(body, '$.undoes') is not null`,
      )
      .map((r) => [r.id, r.undoes]),
  );
  /** What took a write back and was not taken back itself. */
  const undoOf = (id: string): string | undefined => [...undoes].find(([by, target]) => target === id && undoOf(by) === undefined)?.[0];
  const writes = new Map<string, Entry>();
  for (const c of db.select().from(schema.change).orderBy(desc(schema.change.id)).limit(limit).all()) {
    if (writes.has(c.writeId) || undoes.has(c.writeId)) continue;
    const undoneBy = undoOf(c.writeId);
    writes.set(c.writeId, {
      id: c.writeId,
      at: c.at,
      says: c.label,
      type: 'change',
      undone: undoneBy !== undefined,
      ...(undoneBy && { undoneBy }),
      subjects: [],
    });
  }
  return [...writes.values()];
}

/** Events and document changes, newest first, each with what takes it back or brings it back. */
export const history = (ctx: Context, limit: number): HistoryAnswer => ({
  entries: [...logged(ctx, limit), ...changed(ctx.db, limit)].toSorted((a, b) => b.at.localeCompare(a.at)).slice(0, limit),
});
