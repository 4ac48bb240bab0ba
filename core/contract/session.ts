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

const minuteSchema = z.number().int().min(0).max(10_000);

/** Where a task stands in an order that was taken; minutes from the session's start. */
export const keptTaskSchema = z.object({
  taskId: z.string().min(1).max(200),
  startMin: minuteSchema,
  cookId: idSchema.optional(),
  /** Which board or bowl, and the wash before it. */
  unit: z.number().int().min(0).max(20).optional(),
  washMin: z.number().int().min(0).max(60).optional(),
});

export const sessionSchema = z.object({
  id: idSchema,
  name: z.string().min(1).max(80),
  day: daySchema,
  startAt: clockSchema,
  cooks: z
    .array(
      z.object({
        id: idSchema,
        name: z.string().min(1).max(60),
        /** Comes and goes; from the start to the end when nothing is said. */
        from: clockSchema.optional(),
        until: clockSchema.optional(),
      }),
    )
    .min(1)
    .max(6),
  batches: z.array(batchSchema).max(30),
  /** It is to be over by this time. */
  finishBy: clockSchema.optional(),
  /** Loud machines rest from the first to the second: a nap. */
  quiet: z.tuple([clockSchema, clockSchema]).optional(),
  /** When hands rest: the cooks' own meal, the baby's; everybody's where it does not say whose. */
  breaks: z
    .array(z.object({ name: z.string().min(1).max(60), from: clockSchema, until: clockSchema, cookId: idSchema.optional() }))
    .max(12)
    .optional(),
  /** Hands-on work takes so many times as long that day: small children about. */
  interruptions: z.number().min(1).max(3).optional(),
  /** All clean work on the boards before any raw fish or meat. */
  cleanFirst: z.boolean().optional(),
  /** The order of work that was taken, and the tasks that stand where a cook put them. */
  order: z.object({ placed: z.array(keptTaskSchema).max(800), pinned: z.array(z.string().min(1).max(200)).max(800) }).optional(),
});

export type Batch = z.infer<typeof batchSchema>;
export type Session = z.infer<typeof sessionSchema>;
