import { z } from 'zod';
import { daySchema, kindSchema, portionsSchema } from './basics.ts';
import { inUnit } from './words.ts';

/** A pack as it is corrected in a form; what it becomes are the facts of a `corrected` event. */
export const packCorrectionSchema = z.object({
  name: z.string().trim().min(1).max(120),
  kind: kindSchema,
  /** What it holds when full, and what is left of it. */
  portions: inUnit(z.number().positive().max(2000).multipleOf(0.25), { unit: 'when full' }),
  left: inUnit(portionsSchema, { unit: 'now' }),
  massG: inUnit(z.number().min(0).max(60_000), { unit: 'g' }),
  /** Empty while nobody knows. */
  made: daySchema.optional(),
  bestBy: daySchema.optional(),
  /** Empty for a container with no name of its own. */
  containerId: z.string().max(80),
  contains: z.array(z.string()),
  /** What it keeps like: a row of the storage table. */
  lifeId: z.string().max(80),
  /** Where it stands; empty for one that is in no freezer. */
  placeId: z.string().max(80),
  zoneId: z.string().max(80),
  reason: z.string().max(200),
});

export type PackCorrection = z.infer<typeof packCorrectionSchema>;
