import { z } from 'zod';
import { idSchema, kindSchema } from './basics.ts';
import { lineSchema, revisionSchema, stepSchema } from './recipe.ts';

/** What a cook has said of a food of a written line, where it was read otherwise. */
export const fixSchema = z.object({
  /** The text it was said of: of another text only what is not measured holds on. */
  text: z.string().max(600),
  /** The name it was read with then. */
  name: z.string().max(200),
  set: lineSchema.partial(),
  unset: z.array(z.enum(['amount', 'amountTo', 'unit', 'form', 'formText', 'sizeMm', 'note', 'alternatives', 'section'])).max(12),
});

/** One line of a recipe as it stands in the editor: its text, and what was corrected of how it was read. */
export const writtenLineSchema = z.object({
  id: idSchema,
  text: z.string().max(2000),
  /** By the id of the food: the line's own for the first, `ID.2` for the second. */
  fixes: z.record(z.string(), fixSchema).optional(),
  /** It is one food, however many it reads like. */
  one: z.boolean().optional(),
});

/** What a cook has said of a step where it was read otherwise; held to the words it was said of. */
export const stepFixSchema = z.object({
  text: z.string().max(4000),
  /** Who the step is from then on, so that others can come after it. */
  id: idSchema,
  set: stepSchema
    .pick({ handsOnMin: true, waitMin: true, needs: true, cue: true, kind: true, lid: true, after: true, takes: true })
    .extend({ moment: z.enum(['eve', 'batch', 'serve']) })
    .partial(),
  /** Share of each line that goes in here; none takes it out. */
  uses: z.record(z.string(), z.number().min(0).max(1)).optional(),
});

/** One paragraph of the method as written. What was kept of its steps holds while their words stay; what was corrected stands before it. */
export const writtenStepSchema = z.object({
  id: idSchema,
  text: z.string().max(4000),
  /** Its one step, as it was kept. */
  step: stepSchema.optional(),
  /** Its steps as they were kept, and the text they were kept with. */
  kept: z.object({ text: z.string().max(4000), steps: z.array(stepSchema).max(80) }).optional(),
  fixes: z.array(stepFixSchema).max(80).optional(),
  /** Where a step begins against the reading, by the words there; `whole`: these words are one step. */
  cuts: z
    .array(z.object({ text: z.string().min(1).max(4000), whole: z.boolean().optional() }))
    .max(80)
    .optional(),
});

/** A recipe as it is being written: text and figures as typed, kept through everything until it is a revision. */
export const writingSchema = z.object({
  name: z.string().max(400),
  /** What the cook chose; guessed from the name while absent. */
  kind: kindSchema.optional(),
  /** What it makes, in the cook's words: "3 litres", "7 plates of 420 g", "24 cubes". */
  makes: z.string().max(400),
  /** One serving, in the cook's words; of its kind while empty. */
  serving: z.string().max(80),
  lines: z.array(writtenLineSchema).max(400),
  steps: z.array(writtenStepSchema).max(300),
  /** How it keeps: a row of the storage table; guessed while absent. */
  lifeId: idSchema.optional(),
  tags: z.string().max(800),
  source: z.string().max(400),
  note: z.string().max(4000),
  ownReheat: z.string().max(600),
  ownThaw: z.string().max(400),
  /** What is not written here, as the recipe had it. */
  base: revisionSchema.partial().optional(),
  /** Stars out of five; none while nobody has said. */
  rating: z.number().int().min(1).max(5).optional(),
  /** Its picture: of this recipe, or chosen just now. */
  pictureId: idSchema.optional(),
  /** The file it was read from. */
  from: z.string().max(300).optional(),
  /** What stood around it there and was not understood: shown while it is written, kept nowhere else. */
  around: z
    .array(z.object({ field: z.string().max(80), value: z.string().max(5000) }))
    .max(80)
    .optional(),
});

/** What a file of ours keeps beside what people read: corrections, and what has no words of its own. Held to the texts it stands with. */
export const keptSchema = z.object({
  lines: z.array(writtenLineSchema).max(400),
  steps: z.array(writtenStepSchema).max(300),
  fields: writingSchema.pick({ kind: true, serving: true, lifeId: true, ownReheat: true, ownThaw: true, note: true, base: true }).partial(),
});

export type Kept = z.infer<typeof keptSchema>;
export type Fix = z.infer<typeof fixSchema>;
export type WrittenLine = z.infer<typeof writtenLineSchema>;
export type StepFix = z.infer<typeof stepFixSchema>;
export type WrittenStep = z.infer<typeof writtenStepSchema>;
export type Writing = z.infer<typeof writingSchema>;
