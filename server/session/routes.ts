import { Router } from 'express';
import { refusals, sessionSchema } from '#core/contract';
import { documentById } from '../db/index.ts';
import { answer, HttpRefusal, param, type Context } from '../http.ts';
import { frameAnswer, sessionById, sessionsAnswer, todayAnswer, viewOf } from './answers.ts';
import { findIndex } from './find.ts';
import { worldOf } from './world.ts';

/** The frame, Today, sessions as all stations see them, and the fit check of a draft plan. */
export function sessionRoutes(ctx: Context): Router {
  const r = Router();
  r.get(
    '/frame',
    answer(() => frameAnswer(ctx)),
  );
  r.get(
    '/today',
    answer(() => todayAnswer(ctx)),
  );
  r.get(
    '/find',
    answer(() => findIndex(ctx)),
  );
  r.get(
    '/sessions',
    answer(() => sessionsAnswer(ctx)),
  );
  r.get(
    '/sessions/:id',
    answer((req) => sessionById(ctx, param(req, 'id')).view),
  );
  r.post(
    '/plan/check',
    answer((req) => {
      const parsed = sessionSchema.safeParse(req.body);
      if (!parsed.success) throw new HttpRefusal(422, 'This plan cannot be checked.', refusals(parsed.error, req.body));
      const missing = parsed.data.batches.findIndex((b) => !documentById(ctx.db, 'recipe_revision', b.revisionId));
      if (missing >= 0)
        throw new HttpRefusal(422, 'This plan cannot be checked.', [
          { path: `batches.${missing}.revisionId`, expected: 'a recipe that exists', got: parsed.data.batches[missing]?.revisionId ?? '' },
        ]);
      return viewOf(ctx, parsed.data, worldOf(ctx.db));
    }),
  );
  return r;
}
