import { z } from 'zod';
import { clockSchema, daySchema, idSchema } from './basics.ts';

/** One recipe scaled inside a session. */
export const batchSchema = z.object({
  id: idSchema,
  recipeId: idSchema,
  revisionId: idSchema,
  portions: z.number().positive().max(2000),
  /** What came out of earlier runs by what was written, as it was known when this was planned. */
  yieldFactor: z.number().min(0.3).max(3).optional(),
  /** Portions dipped out before the salt goes in. */
  unsalted: z.number().min(0).max(500).optional(),
  /** A newer revision of its recipe that it was not to take. */
  declined: idSchema.optional(),
});

export const sessionSchema = z.object({
  id: idSchema,
  name: z.string().min(1).max(80),
  day: daySchema,
  startAt: clockSchema,
  cooks: z
    .array(z.object({ id: idSchema, name: z.string().min(1).max(60) }))
    .min(1)
    .max(6),
  batches: z.array(batchSchema).max(30),
});

export type Batch = z.infer<typeof batchSchema>;
export type Session = z.infer<typeof sessionSchema>;
