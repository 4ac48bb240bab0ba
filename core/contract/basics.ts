import { z } from 'zod';

/** ULID made by a client, or a slug for shipped rows (`ing_onion`, `life:stew_meat`). */
export const idSchema = z
  .string()
  .min(1)
  .max(80)
  .regex(/^[A-Za-z0-9_:.-]+$/, 'letters, digits, _ : . - only');
/** A calendar day in the household's zone, `YYYY-MM-DD`. */
export const daySchema = z.iso.date();
/** A moment in UTC. */
export const instantSchema = z.iso.datetime({ offset: false, precision: 3 });
export const mealSchema = z.enum(['breakfast', 'lunch', 'dinner']);
export const kindSchema = z.enum(['meal', 'kit', 'base', 'puree', 'broth', 'aromatic', 'dried', 'bread']);
/** Portions are counted in quarters of the recipe's own serving. */
export const portionsSchema = z.number().min(0).max(2000).multipleOf(0.25);
/** An exact amount as text: `3`, `3/4`; never less than nothing. */
export const rationalSchema = z.string().regex(/^\d{1,12}(\/[1-9]\d{0,11})?$/, 'a whole number or a fraction such as 3/4');
/** Hours and minutes of a day. */
export const clockSchema = z.string().regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'hours and minutes such as 18:30');
const works = (make: () => unknown): boolean => {
  try {
    make();
    return true;
  } catch {
    return false;
  }
};
/** A time zone that this machine's tables know. */
export const zoneSchema = z
  .string()
  .min(1)
  .max(60)
  .refine((zone) => works(() => new Intl.DateTimeFormat('en', { timeZone: zone })), 'a time zone such as Europe/London');
/** A language and region, such as `en-GB`. */
export const localeSchema = z
  .string()
  .min(2)
  .max(20)
  .refine((locale) => works(() => Intl.getCanonicalLocales(locale)), 'a language such as en-GB');
export const unitSchema = z.enum([
  'g',
  'kg',
  'mg',
  'oz',
  'lb',
  'ml',
  'l',
  'cl',
  'dl',
  'tsp',
  'tbsp',
  'cup',
  'usCup',
  'usFlOz',
  'usPint',
  'usQuart',
  'usGallon',
  'ukPint',
  'ukFlOz',
  'usTsp',
  'usTbsp',
  'piece',
  'pinch',
  'turn',
  'handful',
  'glug',
  'ladle',
  'splash',
  'drizzle',
  'squeeze',
  'clove',
  'stick',
  'slice',
  'stalk',
  'rib',
  'rasher',
  'bunch',
  'sprig',
  'head',
  'fillet',
  'leaf',
  'bulb',
  'thumb',
  'knob',
  'ear',
  'sheet',
  'ball',
  'cube',
  'block',
  'pod',
  'floret',
  'wedge',
  'strip',
  'loaf',
  'drop',
  'tin',
  'jar',
  'pack',
  'bottle',
  'bag',
  'tub',
  'carton',
  'sachet',
]);

export type Id = z.infer<typeof idSchema>;
export type Day = z.infer<typeof daySchema>;
export type Instant = z.infer<typeof instantSchema>;
export type Meal = z.infer<typeof mealSchema>;
export type Kind = z.infer<typeof kindSchema>;
export type Unit = z.infer<typeof unitSchema>;

/** Characters of a file that is brought in to be read. */
export const mostReadChars = 11_000_000;
