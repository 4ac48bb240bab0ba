import type { Recipe, Revision } from '#core/contract';
import { ingredientFinder, type IngredientRow } from '#core/kitchen';
import { draftRecipe, linesOf, potBalance, type Pour } from '#core/recipe';
import type { Instant } from '#core/contract';

/** What has gone in so far; kept on the device until it is saved, so that a pot boiling over loses nothing. */
export interface FeelDraft {
  /** Continues this recipe; a new one when absent. */
  recipeId?: string;
  name: string;
  pours: Pour[];
  /** What is known of what went in. */
  rows: IngredientRow[];
  emptyG: string;
  fullG: string;
  plates: string;
  minutes: string;
}

export const emptyDraft: FeelDraft = { name: '', pours: [], rows: [], emptyG: '', fullG: '', plates: '4', minutes: '30' };

const key = 'tambo.feel';

export function savedDraft(): FeelDraft {
  try {
    const text = localStorage.getItem(key);
    return text ? { ...emptyDraft, ...(JSON.parse(text) as Partial<FeelDraft>) } : emptyDraft;
  } catch {
    return emptyDraft;
  }
}

export function saveDraft(draft: FeelDraft): void {
  try {
    localStorage.setItem(key, JSON.stringify(draft));
  } catch {
    // a device that keeps nothing still cooks
  }
}

/** Grams of all that went in; undefined when something was poured whose weight is not known. A pinch weighs nothing that counts. */
export function wentInG(pours: readonly Pour[], rows: ReadonlyMap<string, IngredientRow>): number | undefined {
  let sum = 0;
  for (const p of pours) {
    const row = p.ingredientId ? rows.get(p.ingredientId) : undefined;
    if (p.unit === 'g') sum += p.amount;
    else if (p.unit === 'ml') {
      if (row?.density.liquid === undefined) return undefined;
      sum += p.amount * row.density.liquid;
    } else if (p.unit === 'piece' && row?.pieceG !== undefined) sum += (p.amount * row.pieceG * (row.ediblePct ?? 100)) / 100;
  }
  return sum;
}

export interface FeelIds {
  recipe: string;
  revision: string;
  line: (n: number) => string;
  step: string;
}

/** The pours as a recipe that can be made again: its serving from the weighed pot, one step by feel. */
export function feelRecipe(
  draft: FeelDraft,
  before: { recipe: Recipe; revision: Revision } | undefined,
  rows: readonly IngredientRow[],
  ids: FeelIds,
  at: Instant,
): { recipe: Recipe; revision: Revision } {
  const finder = ingredientFinder(rows);
  const balance = potBalance(Number(draft.emptyG) || 0, Number(draft.fullG), undefined);
  const plates = Math.max(1, Number(draft.plates) || 1);
  const lines = linesOf(draft.pours, finder, ids.line);
  const base =
    before?.revision ??
    draftRecipe({ name: draft.name.trim(), lines: [], steps: [], tags: [], servings: plates, notUnderstood: [] }, finder, () => ids.step)
      .revision;
  const minutes = Math.max(0, Number(draft.minutes) || 0);
  const made = balance.ok ? balance.madeG : undefined;
  const revision: Revision = {
    ...base,
    id: ids.revision,
    recipeId: ids.recipe,
    name: draft.name.trim() || base.name,
    servings: plates,
    serving: made === undefined ? base.serving : { amount: Math.max(1, Math.round(made / plates)), unit: 'g' },
    lines,
    steps: [
      {
        id: before?.revision.steps[0]?.id ?? ids.step,
        text: 'Cook it by feel: everything into the pot, simmer, taste.',
        uses: lines.map((l) => ({ lineId: l.id, share: 1 })),
        needs: [{ kind: 'hob' }],
        handsOnMin: 10,
        handsOnPerKgMin: 0,
        waitMin: minutes,
        hazards: [],
        after: [],
        guess: true,
      },
    ],
    tags: [...new Set([...base.tags, 'by feel'])],
    source: 'cooked by feel',
    confirmed: ['kind', 'yield', 'serving'],
    madeAt: at,
  };
  return {
    recipe: before
      ? { ...before.recipe, revisionId: ids.revision, name: revision.name }
      : { id: ids.recipe, revisionId: ids.revision, name: revision.name, kind: revision.kind, archived: false },
    revision,
  };
}
