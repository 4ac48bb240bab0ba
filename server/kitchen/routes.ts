import { Router } from 'express';
import { kitchenAnswer } from '#core/session';
import { answer, type Context } from '../http.ts';
import { settingOf } from '../session/index.ts';

/** Who eats, what there is to cook, pack and store in. */
export function kitchenRoutes(ctx: Context): Router {
  const r = Router();
  r.get(
    '/kitchen',
    answer(() => {
      const { world, book, now } = settingOf(ctx);
      return kitchenAnswer(world, book, now);
    }),
  );
  return r;
}
