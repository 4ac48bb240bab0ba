import { z } from 'zod';
import { daySchema, idSchema, instantSchema, kindSchema, mealSchema, portionsSchema } from './basics.ts';

export const codeSchema = z.string().regex(/^[2-9A-HJKMNP-Z]{5}$/, 'four signs and a check sign');

/** What a pack's allergen line is made from (DECISIONS 25). */
export const allergenSummarySchema = z.object({
  contains: z.array(z.string()),
  check: z.array(z.object({ name: z.string(), mayHold: z.array(z.string()) })),
  unmatched: z.array(z.string()),
});

const lifeSchema = z.object({
  rowId: idSchema,
  part: z.string(),
  months: z.number().min(0),
  monthsHigh: z.number().min(0),
  fridgeDays: z.number().min(0),
  source: z.string(),
});

/** When food was made, at the earliest and the latest. */
const madeSchema = z.object({ earliest: daySchema, latest: daySchema });

const filled = z.object({
  code: codeSchema,
  lotId: idSchema,
  batchId: idSchema.optional(),
  sessionId: idSchema.optional(),
  recipeId: idSchema.optional(),
  revisionId: idSchema.optional(),
  name: z.string().min(1).max(120),
  kind: kindSchema,
  containerId: idSchema.optional(),
  portions: portionsSchema,
  cubes: z.number().int().min(1).max(500).optional(),
  massG: z.number().min(0).max(60_000),
  volumeMl: z.number().min(0).max(60_000),
  outerMl: z.number().min(0).max(120_000),
  /** Absent when nobody knows: then it was only found on a day. */
  made: madeSchema.optional(),
  foundOn: daySchema.optional(),
  /** Packs that it was filled from, when food was packed anew. */
  from: z.array(idSchema).min(1).max(20).optional(),
  nOf: z.object({ n: z.number().int().min(1), of: z.number().int().min(1) }),
  life: lifeSchema,
  bestBy: daySchema.optional(),
  limit: daySchema.optional(),
  allergens: allergenSummarySchema,
  raw: z.boolean(),
  /** `Not for Osk (2 g salt)`: printed, since a pack may be given away. */
  cautions: z.array(z.string().max(160)).max(8),
  addOnDay: z.array(z.string().max(120)).max(20),
  /** How much of each, for this pack. */
  addAmounts: z.array(z.string().max(60)).max(20).optional(),
  /** What its amount is said in. */
  measure: z.enum(['g', 'ml']).optional(),
  /** Of a kit: a whole dish, or a part of one such as raw mince. */
  whole: z.boolean().optional(),
  /** Hours in the fridge until no ice is left. */
  thawH: z.object({ low: z.number().min(0).max(400), high: z.number().min(0).max(400) }).optional(),
  reheat: z.array(z.string().max(300)).max(6),
  thaw: z.string().max(200).optional(),
});

/** What was entered of a pack and may have been wrong; null where nobody knows, or there is none. */
export const packFactsSchema = z
  .object({
    name: z.string().trim().min(1).max(120),
    kind: kindSchema,
    /** When full. */
    portions: portionsSchema,
    massG: z.number().min(0).max(60_000),
    volumeMl: z.number().min(0).max(60_000),
    outerMl: z.number().min(0).max(120_000),
    made: madeSchema.nullable(),
    bestBy: daySchema.nullable(),
    limit: daySchema.nullable(),
    life: lifeSchema,
    containerId: idSchema.nullable(),
    allergens: allergenSummarySchema,
  })
  .partial();
export type PackFacts = z.infer<typeof packFactsSchema>;

const shares = z.array(z.object({ eaterId: idSchema, portions: portionsSchema })).max(20);
const dayMeal = z.object({ day: daySchema, meal: mealSchema });
/** What was ticked or done, in words, so that History can say it whatever becomes of the recipe. */
const what = z.string().max(200).optional();
/** Food that is prepared before it is cooked: what, to which form and size, how many grams. */
export const prepSchema = z.object({
  ingredientId: idSchema,
  form: z.string().min(1).max(40),
  name: z.string().min(1).max(200),
  sizeMm: z.number().positive().max(500).optional(),
  massG: z.number().min(0).max(1_000_000),
});
export type Prep = z.infer<typeof prepSchema>;

const ofTask = z.object({ sessionId: idSchema, taskId: z.string().min(1).max(200), what, prep: prepSchema.optional() });

/** Payload by event type. The stream is fixed by the type. */
export const eventData = {
  filled,
  /** `says`: what it says about allergies, so that one knows when it is no longer true. */
  labelled: z.object({ how: z.enum(['printed', 'hand']), says: z.string().max(2000).optional() }),
  moved: z.object({ placeId: idSchema, zoneId: idSchema }),
  planned: z.object({ for: dayMeal.nullable() }),
  pulled: dayMeal,
  opened: z.object({ at: instantSchema }),
  eaten: dayMeal.extend({ shares, guests: portionsSchema, rest: z.enum(['none', 'fridge', 'freezer', 'binned']) }),
  given: z.object({ portions: portionsSchema, to: z.string().max(80) }),
  discarded: z.object({ portions: portionsSchema, reason: z.string().max(200) }),
  lost: z.object({}),
  found: z.object({ portions: portionsSchema }),
  /** Counted again: so many portions are left; and what was entered wrong, as it is and as it was. */
  corrected: z.object({
    portions: portionsSchema.optional(),
    reason: z.string().max(200),
    is: packFactsSchema.optional(),
    was: packFactsSchema.optional(),
  }),
  /** So much of it went into other packs. */
  repacked: z.object({ portions: portionsSchema, into: z.array(idSchema).min(1).max(40) }),
  washed: z.object({}),
  ticked: z.object({
    sessionId: idSchema,
    key: z.string().min(1).max(200),
    amount: z.number().min(0),
    unit: z.string().max(20),
    how: z.enum(['bought', 'haveIt']),
    what,
  }),
  unticked: z.object({ sessionId: idSchema, key: z.string().min(1).max(200), what }),
  taskStarted: ofTask.extend({ cookId: idSchema.optional() }),
  /** From now on this cook's. */
  taskHanded: ofTask.extend({ cookId: idSchema }),
  taskDone: ofTask.extend({ actualMin: z.number().min(0).max(200_000).optional() }),
  taskSkipped: ofTask,
  /** Skipped or done by mistake: it is open again, with nothing on its clock. */
  taskReopened: ofTask,
  taskExtended: ofTask.extend({ minutes: z.number().int().min(1).max(600) }),
  weighed: z.object({
    batchId: idSchema,
    /** Grams on the scale; absent when it was measured by volume. */
    grossG: z.number().positive().max(200_000).optional(),
    tareG: z.number().min(0).max(50_000).optional(),
    netG: z.number().positive().max(200_000).optional(),
    volumeMl: z.number().positive().max(200_000),
    /** One tub filled to its line and weighed: what a litre of it weighs is known from then on. */
    tub: z.object({ ml: z.number().positive().max(30_000), g: z.number().positive().max(40_000) }).optional(),
    /** Grams per millilitre that the other of weight and volume was worked out with. */
    gPerMl: z.number().min(0.05).max(3).optional(),
    /** Weighed, dipped with a ruler, or ladled out; weighed when absent. */
    by: z.enum(['scale', 'ruler', 'ladle']).optional(),
  }),
  /** What was bought and what was left of it to cook with. */
  trimmed: z.object({
    ingredientId: idSchema,
    boughtG: z.number().positive().max(100_000),
    usableG: z.number().min(0).max(100_000),
  }),
  eatenTonight: z.object({ batchId: idSchema, day: daySchema, shares, volumeMl: z.number().min(0).max(200_000) }),
  yieldDiscarded: z.object({ batchId: idSchema, volumeMl: z.number().positive().max(200_000), reason: z.string().max(200) }),
  packingClosed: z.object({ batchId: idSchema }),
  /** Guests at one meal of this household, none when `plates` is 0; what one of them must not eat holds for that meal. */
  invited: dayMeal.extend({ plates: z.number().int().min(0).max(20), allergens: z.array(z.string().max(40)).max(14) }),
  /** An eater is, or is not, at one meal, whatever the week says. */
  atHome: dayMeal.extend({ home: z.boolean() }),
  /** A meal that came from nowhere in the store: cooked fresh, eaten out, or none at all. */
  ateOtherwise: dayMeal.extend({ how: z.enum(['fresh', 'out', 'none']) }),
  /** How an eater liked a dish, with the meal it was said of. */
  rated: z.object({ recipeId: idSchema, eaterId: idSchema, stars: z.number().int().min(1).max(5), day: daySchema }),
  undone: z.object({ eventId: idSchema }),
} as const;

export type EventType = keyof typeof eventData;

/** Which stream an event of each type is written to. */
export const streamOf: Readonly<Record<EventType, 'pack' | 'shop' | 'cook' | 'yield' | 'label' | 'session' | 'table' | 'recipe' | 'any'>> =
  {
    filled: 'pack',
    moved: 'pack',
    planned: 'pack',
    pulled: 'pack',
    opened: 'pack',
    eaten: 'pack',
    given: 'pack',
    discarded: 'pack',
    lost: 'pack',
    found: 'pack',
    corrected: 'pack',
    repacked: 'pack',
    washed: 'pack',
    labelled: 'label',
    ticked: 'shop',
    unticked: 'shop',
    taskStarted: 'cook',
    taskHanded: 'cook',
    taskDone: 'cook',
    taskSkipped: 'cook',
    taskReopened: 'cook',
    taskExtended: 'cook',
    weighed: 'yield',
    trimmed: 'yield',
    eatenTonight: 'yield',
    yieldDiscarded: 'yield',
    packingClosed: 'session',
    invited: 'table',
    atHome: 'table',
    ateOtherwise: 'table',
    rated: 'recipe',
    undone: 'any',
  };

const envelope = {
  id: idSchema,
  subjects: z.array(idSchema).min(1).max(40),
  instant: instantSchema,
  device: z.string().min(1).max(40),
  counter: z.number().int().min(0),
  version: z.literal(1),
};

const one = <T extends EventType>(type: T) => z.object({ ...envelope, type: z.literal(type), data: eventData[type] });

/** One logged fact. The id is also its idempotency id: sending it again changes nothing. */
export const eventSchema = z.discriminatedUnion('type', [
  one('filled'),
  one('labelled'),
  one('moved'),
  one('planned'),
  one('pulled'),
  one('opened'),
  one('eaten'),
  one('given'),
  one('discarded'),
  one('lost'),
  one('found'),
  one('corrected'),
  one('repacked'),
  one('washed'),
  one('ticked'),
  one('unticked'),
  one('taskStarted'),
  one('taskHanded'),
  one('taskDone'),
  one('taskSkipped'),
  one('taskReopened'),
  one('taskExtended'),
  one('weighed'),
  one('trimmed'),
  one('eatenTonight'),
  one('yieldDiscarded'),
  one('packingClosed'),
  one('invited'),
  one('atHome'),
  one('ateOtherwise'),
  one('rated'),
  one('undone'),
]);

export type TamboEvent = z.infer<typeof eventSchema>;
export type EventOf<T extends EventType> = Extract<TamboEvent, { type: T }>;
export type EventData<T extends EventType> = z.infer<(typeof eventData)[T]>;
export type AllergenSummary = z.infer<typeof allergenSummarySchema>;
export type LifeSnapshot = z.infer<typeof lifeSchema>;
