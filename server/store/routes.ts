import { desc, eq, or } from 'drizzle-orm';
import { Router } from 'express';
import { readCode } from '#core/pack';
import { countAnswer, packAnswer, sayEvent, storeAnswer, type HistoryAnswer } from '#core/session';
import { byOrder, undoneIds, type PackState } from '#core/store';
import { schema, type Db } from '../db/index.ts';
import { eventFrom, eventsOf, packsWhere } from '../events/index.ts';
import { answer, HttpRefusal, param, type Context } from '../http.ts';
import { settingOf } from '../session/index.ts';

const packBy = (db: Db, key: string): PackState | undefined =>
  packsWhere(db, or(eq(schema.packState.packId, key), eq(schema.packState.code, key)))[0];

/** A pack by its id or by its code as typed; what was nearly right is offered, never taken. */
function findPack(db: Db, typed: string): PackState {
  const direct = packBy(db, typed);
  if (direct) return direct;
  const codes = db
    .select({ code: schema.packState.code })
    .from(schema.packState)
    .all()
    .map((r) => r.code);
  const read = readCode(typed, codes);
  const exact = read.kind === 'exact' ? packBy(db, read.code) : undefined;
  if (exact) return exact;
  const offers = read.kind === 'solved' ? read.offers.filter((o) => codes.includes(o)) : read.kind === 'wrong' ? read.near : [];
  const message =
    read.kind === 'exact'
      ? `No pack has the code ${read.code}. Nothing was changed.`
      : read.kind === 'notACode'
        ? 'A code has five signs, such as K4MD8. Nothing was changed.'
        : offers.length > 0
          ? `No pack has this code. Do you mean ${offers.slice(0, 3).join(' or ')}?`
          : 'This code does not add up: one sign is misread. Nothing was changed.';
  throw new HttpRefusal(
    404,
    message,
    (offers.length > 0 ? offers.slice(0, 5) : ['a code of five signs']).map((o) => ({ path: 'code', expected: o, got: typed })),
  );
}

/** Events and document changes, newest first, each with its undo. */
function history(ctx: Context, limit: number): HistoryAnswer {
  const { world, today } = settingOf(ctx);
  const names = new Map(world.eaters.map((e) => [e.id, e.name]));
  const events = ctx.db.select().from(schema.event).orderBy(desc(schema.event.instant)).limit(limit).all().map(eventFrom);
  const gone = undoneIds(events.toSorted(byOrder));
  // the undo that counts: undoing it brings its target back
  const undoOf = new Map(events.flatMap((e) => (e.type === 'undone' && !gone.has(e.id) ? [[e.data.eventId, e.id] as const] : [])));
  const packName = new Map(
    ctx.db
      .select({ id: schema.packState.packId, name: schema.packState.name })
      .from(schema.packState)
      .all()
      .map((r) => [r.id, r.name]),
  );
  const sessionName = new Map(
    ctx.db
      .select({ id: schema.session.id, data: schema.session.data })
      .from(schema.session)
      .all()
      .map((r) => [r.id, (r.data as { name: string }).name]),
  );
  const subject = (id: string | undefined): string => packName.get(id ?? '') ?? sessionName.get(id ?? '') ?? 'something';
  const logged = events
    .filter((e) => e.type !== 'undone')
    .map((e) => ({
      id: e.id,
      at: e.instant,
      says: `${packName.has(e.subjects[0] ?? '') ? '' : `${subject(e.subjects[0])}: `}${sayEvent(e, subject(e.subjects[0]), names, today)}`,
      type: 'event' as const,
      undone: gone.has(e.id),
      ...(undoOf.has(e.id) && { undoneBy: undoOf.get(e.id) ?? '' }),
      subjects: e.subjects,
    }));
  const writes = new Map<string, HistoryAnswer['entries'][number]>();
  for (const c of ctx.db.select().from(schema.change).orderBy(desc(schema.change.id)).limit(limit).all())
    if (!writes.has(c.writeId))
      writes.set(c.writeId, { id: c.writeId, at: c.at, says: c.label, type: 'change', undone: false, subjects: [] });
  return { entries: [...logged, ...writes.values()].toSorted((a, b) => b.at.localeCompare(a.at)).slice(0, limit) };
}

/** The store by place, one pack by id or code, and history. */
export function storeRoutes(ctx: Context): Router {
  const r = Router();
  r.get(
    '/store',
    answer(() => {
      const { world, book, now } = settingOf(ctx);
      return storeAnswer(world, book, now);
    }),
  );
  r.get(
    '/count',
    answer(() => {
      const { world, book, now } = settingOf(ctx);
      return countAnswer(world, book, now);
    }),
  );
  r.get(
    '/packs/:key',
    answer((req) => {
      const pack = findPack(ctx.db, param(req, 'key'));
      const { world, now } = settingOf(ctx);
      return packAnswer(pack, eventsOf(ctx.db, pack.packId), world, now);
    }),
  );
  r.get(
    '/history',
    answer((req) => history(ctx, Math.min(500, Math.max(1, Number(req.query.limit) || 100)))),
  );
  return r;
}
