import { z } from 'zod';
import { writingSchema } from '#core/contract';

/** A recipe that was read and waits to be looked over. */
const itemSchema = z.object({
  /** What it is kept as, however often that is tapped. */
  id: z.string(),
  writing: writingSchema,
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
/** The draft of a recipe that is being written. */
export const writingKey = (recipeId: string): string => `recipe ${recipeId}`;
export const writingName = ({ name }: { name: string }): string => name.trim() || 'A recipe without a name';
