import { Router } from 'express';
import { z } from 'zod';
import { refusals } from '#core/contract';
import type { ScaleReading } from '#core/session';
import { answer, HttpRefusal, type Context } from '../http.ts';
import { householdOf } from '../session/world.ts';
import { SimulatedScale } from './scale.ts';

const putSchema = z.object({ grams: z.number().min(0).max(50_000) });

/** The scale: read, taken to zero; and the hand that puts something on the stand-in. */
export function deviceRoutes(ctx: Context): Router {
  const r = Router();
  let scale: SimulatedScale | undefined;
  const one = (): SimulatedScale => (scale ??= new SimulatedScale(householdOf(ctx.db).scaleStepG, ctx.clock.stopped));
  r.get(
    '/devices/scale',
    answer((): ScaleReading => one().read(ctx.clock.now())),
  );
  r.post(
    '/devices/scale/tare',
    answer((): ScaleReading => {
      one().tare(ctx.clock.now());
      return one().read(ctx.clock.now());
    }),
  );
  r.post(
    '/devices/scale/put',
    answer((req): ScaleReading => {
      const parsed = putSchema.safeParse(req.body);
      if (!parsed.success) throw new HttpRefusal(422, 'That cannot be put on a scale.', refusals(parsed.error, req.body));
      one().put(parsed.data.grams, ctx.clock.now());
      return one().read(ctx.clock.now());
    }),
  );
  return r;
}
