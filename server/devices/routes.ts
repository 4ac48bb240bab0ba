import { Router } from 'express';
import { z } from 'zod';
import { refusals } from '#core/contract';
import type { ScaleReading } from '#core/queries';
import type { Db } from '../db/index.ts';
import { answer, HttpRefusal, type Context } from '../http.ts';
import { householdOf } from '../session/world.ts';
import { SimulatedScale } from './scale.ts';

const putSchema = z.object({ grams: z.number().min(0).max(50_000) });

/** The scale: read, taken to zero; and the hand that puts something on the stand-in. */
export function deviceRoutes(ctx: Context): Router {
  const r = Router();
  // a household put in place has a scale of its own
  const scales = new WeakMap<Db, SimulatedScale>();
  const one = (): SimulatedScale => {
    const scale = scales.get(ctx.db) ?? new SimulatedScale(householdOf(ctx.db).scaleStepG, ctx.clock.stopped);
    scales.set(ctx.db, scale);
    return scale;
  };
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
