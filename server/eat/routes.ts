import { Router } from 'express';
import { eatAnswer } from '#core/queries';
import { answer, type Context } from '../http.ts';
import { settingOf } from '../session/index.ts';

/** What comes out and when, what is left, who ate what. */
export function eatRoutes(ctx: Context): Router {
  const r = Router();
  r.get(
    '/eat',
    answer(() => {
      const { world, records, now } = settingOf(ctx);
      return eatAnswer(world, records, now);
    }),
  );
  return r;
}
