import type { TamboEvent } from '#core/contract';
import { desc, inArray, sql } from 'drizzle-orm';
import { sayEvent } from '#core/session';
import { type HistoryAnswer } from '#core/queries';
import { actOf, byOrder, undoneIds } from '#core/store';
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

/** The newest link of each chain of taking back and bringing back, by what the chain began with. */
function newestOf(links: readonly { id: string; undoes: string }[]): ReadonlyMap<string, string> {
  const targets = new Map(links.map((l) => [l.id, l.undoes]));
  const rootOf = (id: string): string => {
    const target = targets.get(id);
    return target === undefined ? id : rootOf(target);
  };
  return new Map(links.map((l) => [rootOf(l.id), l.id]));
}

/** Events read for each entry shown: a list ticked in one go is many events and one entry. */
const gathersUpTo = 4;

/** Ticked within this many seconds of each other is one go through the kitchen. */
const oneGoS = 60;

const ticksOf = (event: TamboEvent): string | undefined =>
  event.type === 'ticked' ? `${event.subjects[0] ?? ''} ${event.data.how} ${event.device}` : undefined;

/** What was packed anew: the entry that tells of the whole act with all of it, and the others with none. */
function actsAmong(entries: readonly { entry: Entry; event: TamboEvent }[]): Map<string, Entry[]> {
  const acts = new Map<string, Entry[]>();
  const events = entries.map((e) => e.event);
  for (const { event } of entries) {
    if (event.type !== 'repacked' || acts.has(event.id)) continue;
    const act = actOf(event, events).map((e) => e.id);
    for (const id of act) acts.set(id, []);
    acts.set(
      event.id,
      entries.filter((e) => act.includes(e.event.id)).map((e) => e.entry),
    );
  }
  return acts;
}

/** Things of one list ticked in one go become one entry that opens. */
function gathered(entries: readonly { entry: Entry; event: TamboEvent; name: string }[]): Entry[] {
  const acts = actsAmong(entries);
  const out: { entry: Entry; key: string; at: number; name: string; how: string }[] = [];
  for (const { entry, event, name } of entries) {
    const whole = acts.get(event.id);
    if (whole !== undefined) {
      // one act, told once by what it was packed out of
      if (whole.length > 0)
        out.push({ entry: { ...entry, within: whole, whole: true }, key: entry.id, at: Date.parse(event.instant), name, how: '' });
      continue;
    }
    const last = out.at(-1);
    const key = `${ticksOf(event) ?? entry.id} ${entry.undone ? 'undone' : ''}`;
    const at = Date.parse(event.instant);
    if (last?.key === key && last.at - at <= oneGoS * 1000) {
      const within = [...(last.entry.within ?? [last.entry]), entry];
      last.entry = { ...last.entry, within, says: `${last.name}: ${within.length} things ${last.how}` };
      last.at = at;
    } else out.push({ entry, key, at, name, how: event.type === 'ticked' && event.data.how === 'bought' ? 'in the basket' : 'at home' });
  }
  return out.map((o) => o.entry);
}

function logged(ctx: Context, limit: number): Entry[] {
  const { world, today } = settingOf(ctx);
  const eaters = new Map(world.eaters.map((e) => [e.id, e.name]));
  const events = ctx.db
    .select()
    .from(schema.event)
    .orderBy(desc(schema.event.instant))
    .limit(limit * gathersUpTo)
    .all()
    .map(eventFrom);
  const gone = undoneIds(events.toSorted(byOrder));
  // the undo that counts: undoing it brings its target back
  const undoOf = new Map(events.flatMap((e) => (e.type === 'undone' && !gone.has(e.id) ? [[e.data.eventId, e.id] as const] : [])));
  const { packs, sessions } = namesOf(
    ctx.db,
    events.flatMap((e) => e.subjects.slice(0, 1)),
  );
  const newest = newestOf(events.toReversed().flatMap((e) => (e.type === 'undone' ? [{ id: e.id, undoes: e.data.eventId }] : [])));
  return gathered(
    events
      .filter((e) => e.type !== 'undone')
      .map((event) => {
        const [id = ''] = event.subjects;
        const name =
          packs.get(id) ?? sessions.get(id) ?? (event.type === 'rated' ? world.recipe(id)?.recipe.name : undefined) ?? 'something';
        const undoneBy = undoOf.get(event.id);
        const seen = newest.get(event.id);
        const entry: Entry = {
          id: event.id,
          at: event.instant,
          says: `${sessions.has(id) ? `${name}: ` : ''}${sayEvent(event, name, eaters, today, world.household.units)}`,
          type: 'event',
          undone: gone.has(event.id),
          ...(undoneBy && { undoneBy }),
          ...(seen && { seen }),
          subjects: event.subjects,
        };
        return { entry, event, name };
      }),
  );
}

function changed(db: Db, limit: number): Entry[] {
  const undoes = new Map(
    db
      .all<{ id: string; undoes: string }>(
        sql`select write_id as id, json_extract(body, '$.undoes') as undoes from ${schema.writeAnswer} where json_extract(body, '$.undoes') is not null order by rowid`,
      )
      .map((r) => [r.id, r.undoes]),
  );
  /** What took a write back and was not taken back itself. */
  const undoOf = (id: string): string | undefined => [...undoes].find(([by, target]) => target === id && undoOf(by) === undefined)?.[0];
  const newest = newestOf([...undoes].map(([id, target]) => ({ id, undoes: target })));
  const writes = new Map<string, Entry>();
  for (const c of db.select().from(schema.change).orderBy(desc(schema.change.id)).limit(limit).all()) {
    if (writes.has(c.writeId) || undoes.has(c.writeId)) continue;
    const undoneBy = undoOf(c.writeId);
    const seen = newest.get(c.writeId);
    writes.set(c.writeId, {
      id: c.writeId,
      at: c.at,
      says: c.label,
      type: 'change',
      undone: undoneBy !== undefined,
      ...(undoneBy && { undoneBy }),
      ...(seen && { seen }),
      subjects: [],
    });
  }
  return [...writes.values()];
}

const atTheDoor = (ctx: Context): Entry[] => (ctx.doorLines?.() ?? []).map((l) => ({ ...l, type: 'door', undone: false, subjects: [] }));

/** Events and document changes, newest first, each with what takes it back or brings it back; who came in over the home network among them. */
export const history = (ctx: Context, limit: number): HistoryAnswer => ({
  entries: [...logged(ctx, limit), ...changed(ctx.db, limit), ...atTheDoor(ctx)]
    .toSorted((a, b) => b.at.localeCompare(a.at))
    .slice(0, limit),
});
