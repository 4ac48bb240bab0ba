import { z } from 'zod';
import { batchSchema, clockSchema, daySchema, idSchema, sessionSchema, type Batch, type Session } from '#core/contract';
import { sayWeekday } from '#core/kitchen';
import { maxPortions } from '#core/recipe';
import type { RecipeBrief } from '#core/queries';

/** A plan as it is typed: portions and names stay text, so that a half-typed one is not lost. */
const planDraftSchema = z.object({
  id: idSchema,
  name: z.string(),
  day: daySchema,
  startAt: clockSchema,
  /** Names with commas. */
  cooks: z.string(),
  dishes: z.array(z.object({ batch: batchSchema, text: z.string() })),
  /** The session as it was when the plan was opened: what another device changed since is met, not overwritten. */
  was: sessionSchema.nullable(),
});

export type PlanDraft = z.infer<typeof planDraftSchema>;
export type PlannedDish = PlanDraft['dishes'][number];

/** A draft kept on this device, unless an older page wrote it in another shape. */
export const readPlanDraft = (kept: unknown): PlanDraft | undefined => {
  const read = planDraftSchema.safeParse(kept);
  return read.success ? read.data : undefined;
};

export const planName = (d: PlanDraft): string => `${d.name.trim() || 'A session'} for ${sayWeekday(d.day)}`;

/** A session to go on with, or a new one. */
export const planDraftOf = (session: Session, stored: Session | null): PlanDraft => ({
  id: session.id,
  name: session.name,
  day: session.day,
  startAt: session.startAt,
  cooks: session.cooks.map((c) => c.name).join(', '),
  dishes: session.batches.map((batch) => ({ batch, text: String(batch.portions) })),
  was: stored,
});

export const okPortions = (text: string): boolean => Number(text) > 0 && Number(text) <= maxPortions;

/** At most six hands at one worktop. */
const mostCooks = 6;

/** Cooks by their names; those who were there keep who they are. */
function cooksFrom(text: string, before: Session['cooks']): Session['cooks'] {
  const names = text
    .split(',')
    .map((n) => n.trim().slice(0, 60))
    .filter(Boolean)
    .slice(0, mostCooks);
  const list = names.length > 0 ? names : ['Cook'];
  return list.map((name, i) => ({ id: before.find((c) => c.name === name)?.id ?? before[i]?.id ?? `cook_${i + 1}`, name }));
}

/** What a draft comes to as a session: dishes whose portions cannot be read are left out. */
export const sessionOfDraft = (d: PlanDraft): Session => ({
  id: d.id,
  name: d.name.trim().slice(0, 80) || 'Session',
  day: d.day,
  startAt: d.startAt,
  cooks: cooksFrom(d.cooks, d.was?.cooks ?? []),
  batches: d.dishes.filter((p) => okPortions(p.text)).map((p) => ({ ...p.batch, portions: Number(p.text) })),
});

/** A recipe as a dish of a plan. */
export const batchOf = (id: string, r: RecipeBrief, portions: number, unsalted = 0): Batch => ({
  id,
  recipeId: r.recipe.id,
  revisionId: r.recipe.revisionId,
  portions,
  ...(r.yieldFactor !== undefined && { yieldFactor: r.yieldFactor }),
  ...(unsalted > 0 && { unsalted }),
});

/** A draft with a dish more; what is on the plan already is cooked at the new size, not twice. */
export const withDish = (d: PlanDraft, batch: Batch): PlanDraft => {
  const dish = (id: string): PlannedDish => ({ batch: { ...batch, id }, text: String(batch.portions) });
  return d.dishes.some((p) => p.batch.recipeId === batch.recipeId)
    ? { ...d, dishes: d.dishes.map((p) => (p.batch.recipeId === batch.recipeId ? dish(p.batch.id) : p)) }
    : { ...d, dishes: [...d.dishes, dish(batch.id)] };
};
