import { eq, or } from 'drizzle-orm';
import { Router } from 'express';
import { readCode } from '#core/pack';
import { countAnswer, packAnswer, storeAnswer } from '#core/queries';
import type { PackState } from '#core/store';
import { schema, type Db } from '../db/index.ts';
import { aroundOf, eventsOf, packsWhere } from '../events/index.ts';
import { answer, HttpRefusal, param, type Context } from '../http.ts';
import { settingOf } from '../session/index.ts';
import { history } from './history.ts';

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

/** The store by place, one pack by id or code, and history. */
export function storeRoutes(ctx: Context): Router {
  const r = Router();
  r.get(
    '/store',
    answer(() => {
      const { world, records, now } = settingOf(ctx);
      return storeAnswer(world, records, now);
    }),
  );
  r.get(
    '/count',
    answer(() => {
      const { world, records, now } = settingOf(ctx);
      return countAnswer(world, records, now);
    }),
  );
  r.get(
    '/packs/:key',
    answer((req) => {
      const pack = findPack(ctx.db, param(req, 'key'));
      const { world, now } = settingOf(ctx);
      const events = eventsOf(ctx.db, pack.packId);
      return packAnswer(pack, events, world, now, aroundOf(ctx.db, events));
    }),
  );
  r.get(
    '/history',
    answer((req) => history(ctx, Math.min(500, Math.max(1, Number(req.query.limit) || 100)))),
  );
  return r;
}
