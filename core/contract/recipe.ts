import { z } from 'zod';
import { daySchema, idSchema, instantSchema, kindSchema, rationalSchema, unitSchema } from './basics.ts';

const share = z.object({ lineId: idSchema, share: z.number().positive().max(1) });

/** How a line grows when the recipe does (R2). */
export const scalingRuleSchema = z.discriminatedUnion('rule', [
  z.object({ rule: z.literal('proportional') }),
  z.object({ rule: z.literal('whole') }),
  z.object({ rule: z.literal('toTaste') }),
  z.object({
    rule: z.literal('ratio'),
    percent: z.number().positive().max(99),
    of: z.enum(['rest', 'total']),
    lines: z.array(idSchema).min(1),
  }),
  z.object({ rule: z.literal('perVessel'), containerId: idSchema.optional() }),
  z.object({ rule: z.literal('cover'), lines: z.array(idSchema).optional(), aboveMm: z.number().min(0).max(200).optional() }),
  z.object({ rule: z.literal('fixed') }),
]);

/** What a cook said about one line's allergens, after reading a label or for something home-made. */
const allergenAnswerSchema = z.object({ contains: z.array(z.string().max(40)), checked: z.literal(true) });

/** What a line's ingredient is brought into before it goes in. */
export const formSchema = z.enum([
  'whole',
  'diced',
  'sliced',
  'grated',
  'chopped',
  'minced',
  'pureed',
  'peeled',
  'cubed',
  'drained',
  'cooked',
  'halved',
  'torn',
  'rinsed',
]);

export const lineSchema = z.object({
  id: idSchema,
  /** As it was written; shown again when something was not understood. */
  written: z.string().max(400),
  /** Several foods of one written line ("salt and pepper") carry one and the same. */
  textId: idSchema.optional(),
  section: z.string().max(80).optional(),
  amount: rationalSchema.optional(),
  /** High end of a range ("2 to 3 onions"). */
  amountTo: rationalSchema.optional(),
  unit: unitSchema.optional(),
  item: z.discriminatedUnion('type', [
    z.object({ type: z.literal('ingredient'), id: idSchema }),
    z.object({ type: z.literal('recipe'), id: idSchema }),
    z.object({ type: z.literal('unmatched') }),
  ]),
  name: z.string().min(1).max(160),
  form: formSchema.optional(),
  /** What is done to it, as written; `form` is its class. */
  formText: z.string().max(160).optional(),
  /** What may be taken in its place, as written. */
  alternatives: z.array(z.string().min(1).max(160)).max(4).optional(),
  sizeMm: z.number().positive().max(200).optional(),
  note: z.string().max(200).optional(),
  moment: z.enum(['batch', 'cookDay']),
  scaling: scalingRuleSchema,
  allergens: allergenAnswerSchema.optional(),
});

/** What kind of work a step is: how its minutes grow and where it stands follow from it. */
export const workKindSchema = z.enum([
  'cut',
  'mix',
  'knead',
  'brown',
  'soften',
  'fry',
  'melt',
  'boil',
  'simmer',
  'reduce',
  'steam',
  'preheat',
  'bake',
  'slow',
  'rest',
  'soak',
  'cool',
  'freeze',
  'blend',
  'strain',
  'shape',
  'fill',
  'finish',
  'serve',
]);

/** What of a step the cook has said: it is never overwritten by a reading. */
export const saidSchema = z.enum(['hands', 'wait', 'uses', 'after', 'needs', 'cue', 'kind', 'moment', 'lid']);

/** A written step, with what is inferred from it: what it uses, needs and waits for (R3). */
export const stepSchema = z.object({
  id: idSchema,
  text: z.string().min(1).max(1200),
  uses: z.array(share),
  needs: z.array(
    z.object({
      kind: z.enum(['hob', 'oven', 'microwave', 'pot', 'pan', 'processor', 'blender', 'steamer', 'sheetPan']),
      minMl: z.number().positive().max(1_000_000).optional(),
      tempC: z.number().min(-40).max(400).optional(),
    }),
  ),
  handsOnMin: z.number().min(0).max(600),
  handsOnPerKgMin: z.number().min(0).max(120),
  /** Up to ten weeks: what steeps by itself. */
  waitMin: z.number().min(0).max(100_000),
  /** What lies on the pot while it simmers; read from the text when absent. */
  lid: z.enum(['off', 'ajar', 'on']).optional(),
  cue: z.string().max(200).optional(),
  hazards: z.array(z.enum(['hotBlending', 'rawPoultry', 'rawMeat', 'beans', 'garlicOil', 'rice', 'baby', 'hotFat'])),
  after: z.array(idSchema),
  /** Of those it comes after, the steps whose results it takes. */
  takes: z.array(idSchema).optional(),
  guess: z.boolean(),
  /** The written paragraph it is told in, and where; several steps of one paragraph share it. */
  textId: idSchema.optional(),
  span: z.tuple([z.number().int().min(0), z.number().int().min(0)]).optional(),
  kind: workKindSchema.optional(),
  /** The evening before, or the day of eating; absent: in the session. */
  moment: z.enum(['eve', 'serve']).optional(),
  /** Long end of the wait. */
  waitToMin: z.number().min(0).max(100_000).optional(),
  /** How much of the hands at the written size grows with the amount; the rest is set-up. */
  handsGrow: z.number().min(0).max(1).optional(),
  /** Minutes that nobody said: guessed by the kind of work. */
  guessed: z.array(z.enum(['hands', 'wait', 'uses'])).optional(),
  said: z.array(saidSchema).optional(),
});

export const revisionSchema = z.object({
  id: idSchema,
  recipeId: idSchema,
  name: z.string().min(1).max(120),
  kind: kindSchema,
  serving: z.object({ amount: z.number().min(0.1).max(20_000), unit: z.enum(['g', 'ml']) }),
  /** Servings that the written amounts make. */
  servings: z.number().min(0.05).max(10_000),
  /** What it makes, as written ("3 litres", "serves 4 to 6"). */
  yieldText: z.string().max(120).optional(),
  /** Minutes as its source has them; the plan reckons from its steps. */
  times: z
    .object({
      prepMin: z.number().min(0).max(20_000).optional(),
      cookMin: z.number().min(0).max(20_000).optional(),
      totalMin: z.number().min(0).max(40_000).optional(),
    })
    .optional(),
  /** Finished grams per millilitre, with where it comes from. */
  density: z.object({ gPerMl: z.number().min(0.1).max(2.5), reason: z.enum(['entered', 'computed', 'learned', 'texture']) }).optional(),
  /** Volume of one cube, for what is frozen in trays. */
  cubeMl: z.number().min(0.5).max(500).optional(),
  storage: z
    .array(z.object({ rowId: idSchema, part: z.string().max(80) }))
    .min(1)
    .max(8),
  /** Rows of an older reheating table; `reheatClass` takes their place. */
  reheatIds: z.array(idSchema).max(6),
  /** How it is heated: a class of the reheating table. A guess while `reheat` is not among `confirmed`, and guessed anew while absent. */
  reheatClass: idSchema.optional(),
  /** The cook's own words, which stand before the table's. */
  ownReheat: z.string().max(300).optional(),
  ownThaw: z.string().max(200).optional(),
  raw: z.boolean(),
  lines: z.array(lineSchema).max(120),
  steps: z.array(stepSchema).max(80),
  /** The method as written, where a paragraph holds other than one step. */
  method: z
    .array(z.object({ id: idSchema, text: z.string().max(4000) }))
    .max(80)
    .optional(),
  tags: z.array(z.string().max(40)).max(20),
  source: z.string().max(200),
  note: z.string().max(1000).optional(),
  /** What a concentrate gives: so much of it for so much water, or in place of so many pieces. */
  dose: z
    .object({
      amount: z.number().positive().max(1000),
      unit: z.enum(['tsp', 'tbsp', 'g', 'piece']),
      perMl: z.number().positive().max(10_000).optional(),
      insteadOf: z.object({ ingredientId: idSchema, count: z.number().positive().max(1000) }).optional(),
      noSalt: z.boolean(),
    })
    .optional(),
  /** What the cook has confirmed on the review card; planning needs kind and yield. */
  confirmed: z.array(z.enum(['kind', 'yield', 'serving', 'storage', 'hands', 'reheat'])),
  madeAt: instantSchema,
});

export const recipeSchema = z.object({
  id: idSchema,
  revisionId: idSchema,
  name: z.string().min(1).max(120),
  kind: kindSchema,
  archived: z.boolean(),
  /** What to do otherwise next time; done once a revision has taken it up. */
  notes: z
    .array(z.object({ id: idSchema, text: z.string().min(1).max(400), day: daySchema, doneIn: idSchema.optional() }))
    .max(60)
    .optional(),
  rating: z.number().int().min(1).max(5).optional(),
  /** It was the same as that one: whoever asks for this gets that. */
  mergedInto: idSchema.optional(),
  /** Its picture, made small. */
  pictureId: idSchema.optional(),
});

export type ScalingRule = z.infer<typeof scalingRuleSchema>;
export type Line = z.infer<typeof lineSchema>;
export type Step = z.infer<typeof stepSchema>;
export type WorkKind = z.infer<typeof workKindSchema>;
export type Said = z.infer<typeof saidSchema>;
export type Revision = z.infer<typeof revisionSchema>;
export type Recipe = z.infer<typeof recipeSchema>;
