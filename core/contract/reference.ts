import { z } from 'zod';
import { daySchema, idSchema } from './basics.ts';
import { unreadCells } from './figures.ts';
import { referenceTables } from './referenceTables.ts';
import { inUnit } from './words.ts';

const gPerMl = inUnit(z.number().min(0.01).max(3), { unit: 'g' });
const grams = inUnit(z.number().positive().max(50_000), { unit: 'g' });
const words = z.string().max(400);

/** What one pack costs in a shop, and when that was seen. Made-up prices say so. */
export const priceSchema = z.object({
  amount: z.number().positive().max(100_000),
  unit: z.enum(['g', 'ml', 'piece']),
  cents: inUnit(z.number().int().min(0).max(1_000_000), { times: 0.01 }),
  shop: z.string().max(60).optional(),
  day: daySchema.optional(),
  madeUp: z.boolean().optional(),
});

/** An ingredient (K5). An absent field is not known: it is never read as 0 or 1. */
export const ingredientRowSchema = z.object({
  id: idSchema,
  name: z.string().min(1).max(80),
  otherNames: z.array(z.string().max(80)).max(20),
  aisle: z.string().min(1).max(40),
  baseState: z.string().max(20).optional(),
  /** Fibres halve the size it is cut to. */
  texture: z.enum(['tender', 'stringy']).optional(),
  /** Grams per millilitre by state. */
  density: z.object({
    whole: gPerMl.optional(),
    chopped: gPerMl.optional(),
    grated: gPerMl.optional(),
    pureed: gPerMl.optional(),
    dry: gPerMl.optional(),
    liquid: gPerMl.optional(),
    cooked: gPerMl.optional(),
  }),
  pieceName: z.string().max(40).optional(),
  /** Grams of one piece as bought. */
  pieceG: grams.optional(),
  pieceGSmall: grams.optional(),
  pieceGLarge: grams.optional(),
  /** Edible percent of bought weight. */
  ediblePct: inUnit(z.number().min(1).max(100), { unit: '%' }).optional(),
  cookedMethod: z.string().max(160).optional(),
  /** Cooked grams by raw, edible grams. */
  cookedFactor: inUnit(z.number().min(0.1).max(12), { unit: 'times' }).optional(),
  contains: z.array(z.string().max(40)),
  mayHold: z.array(z.string().max(40)),
  allergenCheck: z.enum(['plain', 'read_label', 'unknown']),
  freeze: z.enum(['well', 'changes', 'badly']).optional(),
  freezeNote: words.optional(),
  blanchId: z.string().max(60).optional(),
  washBeforeStoring: z.enum(['yes', 'late', 'no']).optional(),
  keepPlace: z.string().max(40).optional(),
  liner: words.optional(),
  keepDaysLow: inUnit(z.number().min(0).max(4000), { unit: 'days' }).optional(),
  keepDaysHigh: inUnit(z.number().min(0).max(4000), { unit: 'days' }).optional(),
  lifeId: z.string().max(60).optional(),
  scrap: z.enum(['good', 'little', 'never']).optional(),
  /** Packs it is sold in, newest price first. */
  prices: z.array(priceSchema).max(20).optional(),
  source: z.string().min(1).max(200),
  conf: z.enum(['A', 'B', 'confirm']),
  refRows: z.array(z.string().max(80)).optional(),
});

const rangeSchema = z.object({ low: z.number().min(0), high: z.number().min(0) });
const life = z.union([rangeSchema, z.string().max(40)]);

/** A storage life: months and days as ranges, `no` for do not, `use-by` for the date on the pack. */
export const lifeRowSchema = z.object({
  id: idSchema,
  group: z.string().min(1).max(60),
  item: z.string().min(1).max(160),
  fridgeUsDays: life.optional(),
  fridgeUkDays: life.optional(),
  freezerMonths: life.optional(),
  roomDays: life.optional(),
  note: z.string().max(600).optional(),
  source: z.string().min(1).max(200),
  conf: z.string().min(1).max(20),
});

/** Any other reference row: the columns of its table, with its source. */
export const referenceRowSchema = z
  .object({ id: idSchema, source: z.string().min(1).max(200), conf: z.string().min(1).max(20) })
  .catchall(z.union([z.string().max(800), z.number()]));

const tableName = z.enum(referenceTables);

/** A household's own version of one reference row; taking it away sets the shipped one back. */
export const referenceEditSchema = z.object({ id: idSchema, table: tableName, row: z.unknown() }).superRefine((edit, ctx) => {
  const schema = edit.table === 'ingredient' ? ingredientRowSchema : edit.table === 'life' ? lifeRowSchema : referenceRowSchema;
  const parsed = schema.safeParse(edit.row);
  if (!parsed.success)
    for (const issue of parsed.error.issues) ctx.addIssue({ code: 'custom', path: ['row', ...issue.path], message: issue.message });
  else if (edit.id !== `${edit.table}:${parsed.data.id}`)
    ctx.addIssue({ code: 'custom', path: ['id'], message: `expected ${edit.table}:${parsed.data.id}` });
  else
    for (const { column, message } of unreadCells(edit.table, parsed.data))
      ctx.addIssue({ code: 'custom', path: ['row', column], message });
});

export type ReferenceEdit = z.infer<typeof referenceEditSchema>;
export type Price = z.infer<typeof priceSchema>;
export type IngredientRow = z.infer<typeof ingredientRowSchema>;
export type LifeRow = z.infer<typeof lifeRowSchema>;
export type ReferenceRow = z.infer<typeof referenceRowSchema>;
