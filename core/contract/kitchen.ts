import { z } from 'zod';
import { inUnit } from './words.ts';
import { clockSchema, daySchema, idSchema, kindSchema, localeSchema, mealSchema, zoneSchema } from './basics.ts';

/** Grown guests at one meal; each eats a plate. What one of them is allergic to holds for that meal. */
export const guestsSchema = z.object({
  day: daySchema,
  meal: mealSchema,
  plates: z.number().int().min(1).max(20),
  allergens: z.array(z.string().max(40)).max(14).optional(),
});

/** Household settings (K6). */
export const householdSchema = z.object({
  id: idSchema,
  name: z.string().min(1).max(80),
  country: z.enum(['GB', 'US', 'EU']),
  timeZone: zoneSchema,
  locale: localeSchema,
  currency: z.string().length(3),
  units: z.enum(['metric', 'us', 'uk']),
  lives: z.enum(['usual', 'cautious']),
  dinnerAt: clockSchema,
  parDays: inUnit(z.number().int().min(0).max(60), { unit: 'days' }),
  leadDays: inUnit(z.number().int().min(0).max(30), { unit: 'days' }),
  brothPacksPerWeek: inUnit(z.number().min(0).max(50), { unit: 'packs' }),
  groupSizes: z.array(z.number().int().min(1).max(12)).min(1).max(6),
  scaleStepG: z.union([z.literal(1), z.literal(0.1)]),
  address: z.string().max(120).optional(),
  singleKeys: z.boolean(),
  demoAnchor: daySchema.optional(),
  /** Guests at a dinner of the household's own days. */
  guests: z.array(guestsSchema).max(120).optional(),
  /** When Today reminds: of what must leave the freezer, and of a dinner not written down. Without a time it goes by dinner. */
  reminders: z.object({ takeOutAt: clockSchema.optional(), askDinner: z.boolean(), askDinnerAt: clockSchema.optional() }).optional(),
});

const weekSchema = z.partialRecord(z.enum(['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun']), z.array(mealSchema));

/** When somebody eats at home: a weekly pattern, cut by a rota and by days away, with one-day exceptions on top. */
export const presenceSchema = z.object({
  weekly: weekSchema,
  rota: z
    .object({
      firstDay: daySchema,
      daysOn: inUnit(z.number().int().min(1).max(120), { unit: 'days' }),
      daysOff: inUnit(z.number().int().min(1).max(120), { unit: 'days' }),
    })
    .optional(),
  /** Days away, both included; those of a calendar file carry its entry's id, so that reading it again replaces them. */
  away: z
    .array(z.object({ from: daySchema, to: daySchema, label: z.string().max(80).optional(), uid: z.string().max(200).optional() }))
    .max(400),
  exceptions: z.array(z.object({ day: daySchema, meal: mealSchema, present: z.boolean() })).max(500),
});

export const eaterSchema = z.object({
  id: idSchema,
  name: z.string().min(1).max(60),
  stage: z.enum(['baby', 'toddler', 'child', 'adult', 'elder']),
  birthDay: daySchema.optional(),
  appetite: inUnit(z.number().min(0.1).max(3), { unit: 'plates' }),
  allergens: z.array(z.string().max(40)),
  needs: z.array(z.enum(['lowSalt', 'noPork', 'vegetarian'])),
  presence: presenceSchema,
  baby: z.object({ mealsPerDay: z.number().int().min(1).max(6), cubesPerMeal: z.number().int().min(1).max(12) }).optional(),
  note: z.string().max(200).optional(),
});

/** A pot, hob, oven, processor... that steps can need. `count` is burners for a hob, shelves for an oven. */
export const equipmentSchema = z.object({
  id: idSchema,
  name: z.string().min(1).max(80),
  kind: z.enum([
    'hob',
    'oven',
    'microwave',
    'pot',
    'pan',
    'processor',
    'blender',
    'steamer',
    'sheetPan',
    'scale',
    'probe',
    'slowCooker',
    'pressureCooker',
    'vacuumSealer',
    'dehydrator',
    'freezeDryer',
    'ice',
    'sink',
    'worktop',
    'airFryer',
    'toaster',
  ]),
  count: z.number().int().min(0).max(20),
  litres: inUnit(z.number().positive().max(100), { unit: 'L' }).optional(),
  diameterMm: inUnit(z.number().positive().max(1000), { unit: 'mm' }).optional(),
  heightMm: inUnit(z.number().positive().max(1000), { unit: 'mm' }).optional(),
  tareG: inUnit(z.number().positive().max(50_000), { unit: 'g' }).optional(),
  watts: inUnit(z.number().positive().max(20_000), { unit: 'W' }).optional(),
  /** An oven with a fan bakes 20 °C lower. */
  fan: z.boolean().optional(),
  /** How a hob heats; decides how much of its power reaches the pot. */
  heat: z.enum(['gas', 'ceramic', 'induction']).optional(),
  /** The owner's own limit, instead of the usual one for its kind. */
  fillShare: inUnit(z.number().min(0.1).max(1), { unit: '%', times: 100 }).optional(),
  /** Marks on a bowl by what is done in it; nothing more is left free above them. */
  marks: z
    .object({
      pulseMl: inUnit(z.number().positive().max(20_000), { unit: 'ml' }).optional(),
      pureeMl: inUnit(z.number().positive().max(20_000), { unit: 'ml' }).optional(),
      hotMl: inUnit(z.number().positive().max(20_000), { unit: 'ml' }).optional(),
    })
    .optional(),
  /** Usable size inside: an oven's shelf, a sheet pan, a dryer's tray. */
  widthMm: inUnit(z.number().positive().max(3000), { unit: 'mm' }).optional(),
  depthMm: inUnit(z.number().positive().max(3000), { unit: 'mm' }).optional(),
  /** Ice on hand, or what an ice maker gives a day; water a freeze dryer can take. */
  kg: inUnit(z.number().positive().max(200), { unit: 'kg' }).optional(),
  note: z.string().max(200).optional(),
});

export const containerSchema = z.object({
  id: idSchema,
  name: z.string().min(1).max(80),
  shape: z.enum(['tub', 'bag', 'pan', 'jar', 'tray', 'mould', 'box']),
  /** To the brim or seal, before headspace; for a tray, one cell. */
  brimMl: inUnit(z.number().positive().max(30_000), { unit: 'ml' }),
  /** Already after headspace, from the reference. */
  fillMl: inUnit(z.number().positive().max(30_000), { unit: 'ml' }),
  /** Inner size: height, width at the mouth and at the foot; a bag's inner width and length lie flat. */
  heightMm: inUnit(z.number().positive().max(1000), { unit: 'mm' }),
  widthMm: inUnit(z.number().positive().max(1000), { unit: 'mm' }),
  footMm: inUnit(z.number().positive().max(1000), { unit: 'mm' }),
  depthMm: inUnit(z.number().positive().max(1000), { unit: 'mm' }),
  cells: z.number().int().min(1).max(60).optional(),
  tareG: inUnit(z.number().min(0).max(5000), { unit: 'g' }).optional(),
  owned: z.number().int().min(0).max(2000),
  oneUse: z.boolean(),
  costCents: inUnit(z.number().int().min(0).max(100_000), { times: 0.01 }).optional(),
  /** How it closes. */
  seal: z.enum(['lid', 'screw', 'zip', 'crimp', 'heat', 'none']).optional(),
  materialId: idSchema,
  /** Whether it may go into a microwave, as marked on it. */
  microwave: z.enum(['yes', 'no', 'unknown']),
  presetId: idSchema.optional(),
  /** At somebody else's: still owned, and not here to be filled. */
  lent: z
    .array(z.object({ id: idSchema, to: z.string().trim().min(1).max(60), count: z.number().int().min(1).max(2000), day: daySchema }))
    .max(20)
    .optional(),
});

/** A freezer, fridge, cool room or shelf with its zones. */
export const placeSchema = z.object({
  id: idSchema,
  name: z.string().min(1).max(80),
  kind: z.enum(['freezer', 'chest', 'fridge', 'coolRoom', 'shelf']),
  litres: inUnit(z.number().positive().max(2000), { unit: 'L' }),
  temperatureC: inUnit(z.number().min(-60).max(40), { unit: '°C' }),
  /** Share of its litres that packs can really fill, as its owner found. */
  usableShare: inUnit(z.number().min(0.1).max(1), { unit: '%', times: 100 }).optional(),
  zones: z
    .array(z.object({ id: idSchema, name: z.string().min(1).max(60), litres: inUnit(z.number().positive().max(2000), { unit: 'L' }) }))
    .min(1)
    .max(20),
  freezingKgPerDay: inUnit(z.number().positive().max(200), { unit: 'kg' }).optional(),
  /** Places where a tray lies level. */
  levelPlaces: z.number().int().min(0).max(40).optional(),
  /** How far its owner trusts it: age, door, history. */
  trust: z.enum(['full', 'some', 'little']).optional(),
  note: z.string().max(200).optional(),
  prefers: z.array(kindSchema),
});

export type Household = z.infer<typeof householdSchema>;
export type Guests = z.infer<typeof guestsSchema>;
export type Presence = z.infer<typeof presenceSchema>;
export type Eater = z.infer<typeof eaterSchema>;
export type Equipment = z.infer<typeof equipmentSchema>;
export type Container = z.infer<typeof containerSchema>;
export type Place = z.infer<typeof placeSchema>;
