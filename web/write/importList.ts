import { z } from 'zod';
import { writingSchema } from '#core/contract';

/** A recipe that was read and waits to be looked over. */
const itemSchema = z.object({
  /** What it is kept as, however often that is tapped. */
  id: z.string(),
  from: z.string(),
  writing: writingSchema,
  notUnderstood: z.array(z.object({ field: z.string(), value: z.string() })),
  /** It is not to be kept. */
  left: z.boolean().optional(),
});

/** What was read of files and waits on this device. */
export const importListSchema = z.object({ items: z.array(itemSchema) });

export type ImportItem = z.infer<typeof itemSchema>;
export type ImportList = z.infer<typeof importListSchema>;
export const noImports: ImportList = { items: [] };
/** The draft it is kept under. */
export const importKey = 'import';
