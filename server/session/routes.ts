import { Router } from 'express';
import { changesAnswer, frameAnswer, isSessionPart, sessionPart, sessionsAnswer, todayAnswer } from '#core/queries';
import { asksForCopy } from '../files/away.ts';
import { answer, notFound, param, type Context } from '../http.ts';
import { sessionOf, sessionViewOf } from './answers.ts';
import { snapshotOf, settingOf } from './records.ts';
import { cachedNow } from './cache.ts';
import { findIndex } from './find.ts';

/** The frame, Today, sessions as all stations see them, the finder's list, and the household for a device to keep. */
export function sessionRoutes(ctx: Context): Router {
  const r = Router();
  r.get(
    '/frame',
    answer(() => {
      const { world, records, now } = settingOf(ctx);
      const frame = cachedNow(ctx.db, 'frame', '', now, () => frameAnswer(world, records, now, ctx.clock.stopped));
      // clocks are set by it, and no log tells of what two devices changed: both are of this very moment
      return { ...frame, now, clashes: [...records.clashes()] };
    }),
  );
  r.get(
    '/today',
    answer(() => {
      const { world, records, now } = settingOf(ctx);
      return {
        ...cachedNow(ctx.db, 'Today', '', now, () => todayAnswer(world, records, now)),
        ...(asksForCopy(ctx) && { takeCopy: true }),
      };
    }),
  );
  r.get(
    '/snapshot',
    answer(() => snapshotOf(ctx)),
  );
  r.get(
    '/find',
    answer(() => findIndex(ctx)),
  );
  r.get(
    '/sessions',
    answer(() => {
      const { world, records, today, now } = settingOf(ctx);
      return cachedNow(ctx.db, 'sessions', '', now, () => sessionsAnswer(world, records, today));
    }),
  );
  r.get(
    '/sessions/:id',
    answer((req) => sessionViewOf(ctx, sessionOf(ctx, param(req, 'id')))),
  );
  r.get(
    '/sessions/:id/:part',
    answer((req) => {
      const part = param(req, 'part');
      if (!isSessionPart(part)) throw notFound('A part of a session', part);
      return sessionPart(sessionViewOf(ctx, sessionOf(ctx, param(req, 'id'))), part);
    }),
  );
  // under an address of its own: a page without a connection has no answer to it
  r.get(
    '/changes/:id',
    answer((req) => {
      const { world, records, now } = settingOf(ctx);
      const session = sessionOf(ctx, param(req, 'id'));
      return cachedNow(ctx.db, 'changes', session.id, now, () => changesAnswer(session, world, records, now));
    }),
  );
  return r;
}
