import { z } from 'zod';
import { idSchema, instantSchema } from './basics.ts';
import { recipeListSchema } from './lists.ts';
import { pictureSchema } from './picture.ts';
import { containerSchema, eaterSchema, equipmentSchema, householdSchema, placeSchema } from './kitchen.ts';
import { referenceEditSchema } from './reference.ts';
import { recipeSchema, revisionSchema } from './recipe.ts';
import { sessionSchema } from './session.ts';

/** What may be written, table by table; everything else is an event. */
export const documentSchemas = {
  household: householdSchema,
  eater: eaterSchema,
  equipment: equipmentSchema,
  container: containerSchema,
  place: placeSchema,
  recipe: recipeSchema,
  recipe_revision: revisionSchema,
  session: sessionSchema,
  picture: pictureSchema,
  recipe_list: recipeListSchema,
} as const;

/** Documents, and a household's own versions of reference rows: all that a write may change. */
export const writableSchemas = { ...documentSchemas, reference: referenceEditSchema } as const;

export type DocumentTable = keyof typeof documentSchemas;
export type DocumentOf<T extends DocumentTable> = z.infer<(typeof documentSchemas)[T]>;
export type WritableTable = keyof typeof writableSchemas;
export type WritableOf<T extends WritableTable> = z.infer<(typeof writableSchemas)[T]>;
export const documentTables = Object.keys(documentSchemas) as DocumentTable[];

const changeSchema = z.object({
  table: z.enum([
    'household',
    'eater',
    'equipment',
    'container',
    'place',
    'recipe',
    'recipe_revision',
    'session',
    'picture',
    'recipe_list',
    'reference',
  ]),
  id: idSchema,
  /** The whole new document, or null to delete it (softly). */
  data: z.unknown().nullable(),
  /** Version of its shape (`versions`); 1 when nothing is said, as pages did before there were others. */
  version: z.number().int().min(1).max(1000).optional(),
  /** The document's state that this was changed from (`stateOf`), null when there was none; without it nothing is compared. */
  from: idSchema.nullable().optional(),
});

/** As many documents as one tap may change: two hundred recipes with their revisions. */
export const mostChanges = 400;

/** One tap's worth of changes: kept or refused together, and undone together. */
export const writeSchema = z.object({
  writeId: idSchema,
  device: z.string().min(1).max(40),
  instant: instantSchema,
  label: z.string().min(1).max(120),
  changes: z.array(changeSchema).min(1).max(mostChanges),
  /** The question between two devices' versions that this answers. */
  settles: idSchema.optional(),
});

export const undoSchema = z.object({ writeId: idSchema, device: z.string().min(1).max(40), instant: instantSchema, undoes: idSchema });

export type WriteRequest = z.infer<typeof writeSchema>;
export type UndoRequest = z.infer<typeof undoSchema>;
/** A refused value: where, what was expected, what came. */
export interface Refusal {
  path: string;
  expected: string;
  got: string;
}
