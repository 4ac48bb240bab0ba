import type { Line, Revision } from '#core/contract';
import { methodFindings, understand } from './method/index.ts';
import { gramsOf, sayMass, unitNamed, type IngredientFinder, fromNumber } from '#core/kitchen';

/** Something a recipe leaves open, with where. */
export type RecipeGap =
  | { gap: 'neverUsed'; lineId: string; name: string }
  | { gap: 'notListed'; stepId: string; name: string; amount?: string }
  | { gap: 'sharesOver'; lineId: string; name: string; total: number }
  | { gap: 'twoAmounts'; lineId: string; name: string; first: string; second: string }
  | { gap: 'unmatched'; lineId: string; name: string }
  | { gap: 'noDensity' }
  | { gap: 'unconfirmed'; what: 'kind' | 'yield' };

/** A second amount in brackets, as in `2 cups (500 g) flour`. */
const inBrackets = /\((?:about |ca\.? ?|approx\.? ?)?(\d+(?:[.,]\d+)?)\s*(g|kg|ml|l|oz|lb)\b[^)]*\)/i;
/** Cups and spoons are never exact: two amounts agree within this share. */
const agreeWithin = 0.25;

/** Two different amounts of one line, when both can be weighed. */
function twoAmounts(line: Line, finder: IngredientFinder): RecipeGap | undefined {
  const found = inBrackets.exec(line.written);
  const row = line.item.type === 'ingredient' ? finder.byId(line.item.id) : undefined;
  const unit = found?.[2] && unitNamed(found[2]);
  if (!found?.[1] || !row || !unit || line.amount === undefined || !line.unit || line.unit === 'piece') return undefined;
  const first = gramsOf({ amount: line.amount, unit: line.unit }, row, line.form);
  const second = gramsOf({ amount: fromNumber(Number(found[1].replace(',', '.'))), unit }, row, line.form);
  if (!first.ok || !second.ok || Math.abs(first.massG - second.massG) <= agreeWithin * first.massG) return undefined;
  return {
    gap: 'twoAmounts',
    lineId: line.id,
    name: line.name,
    first: sayMass(Math.round(first.massG)),
    second: sayMass(Math.round(second.massG)),
  };
}

/** The method's texts: as written, or a step each. @example methodTexts(revision)[0] // 'Chop the leeks. Sweat them.' */
export const methodTexts = (revision: Pick<Revision, 'method' | 'steps'>): string[] =>
  revision.method?.map((m) => m.text) ?? revision.steps.map((s) => s.text);

/** Foods of the table that a step takes and no line lists. */
function notListed(revision: Revision, finder: IngredientFinder | undefined): RecipeGap[] {
  if (!finder || revision.steps.length === 0) return [];
  const read = understand(methodTexts(revision), revision.lines, { finder });
  return methodFindings(read, finder).flatMap((f): RecipeGap[] => {
    if (f.finding !== 'unlisted' || f.offer) return [];
    const words = read.steps[f.step]?.text ?? '';
    const step = revision.steps.find((s) => words.includes(s.text.slice(1, 30)) || s.text.includes(f.name)) ?? revision.steps[0]!;
    return [{ gap: 'notListed', stepId: step.id, name: f.name, ...(f.amount !== undefined && { amount: f.amount }) }];
  });
}

/**
 * What is listed and never used, named in a step and not listed, used more than once over, unknown, or not confirmed yet.
 * Law: a recipe whose every batch line is used in full by its steps has no `neverUsed` and no `sharesOver`.
 * @example recipeGaps(revision, finder) // what the cook still has to say
 */
export function recipeGaps(revision: Revision, finder?: IngredientFinder): RecipeGap[] {
  const gaps: RecipeGap[] = [];
  for (const line of revision.lines.filter((l) => l.moment === 'batch')) {
    const total = revision.steps
      .flatMap((s) => s.uses)
      .filter((u) => u.lineId === line.id)
      .reduce((sum, u) => sum + u.share, 0);
    if (total === 0 && revision.steps.length > 0) gaps.push({ gap: 'neverUsed', lineId: line.id, name: line.name });
    if (total > 1 + 1e-9) gaps.push({ gap: 'sharesOver', lineId: line.id, name: line.name, total });
    if (line.item.type === 'unmatched') gaps.push({ gap: 'unmatched', lineId: line.id, name: line.name });
    const twice = finder && twoAmounts(line, finder);
    if (twice) gaps.push(twice);
  }
  for (const found of notListed(revision, finder)) gaps.push(found);
  if (!revision.density) gaps.push({ gap: 'noDensity' });
  for (const what of ['kind', 'yield'] as const) if (!revision.confirmed.includes(what)) gaps.push({ gap: 'unconfirmed', what });
  return gaps;
}

/**
 * Whether a recipe may be planned: kind and yield confirmed, and something to cook.
 * @example canPlan(revision) // false while an amount, a yield or a food is open
 */
export const canPlan = (revision: Revision): boolean =>
  revision.confirmed.includes('kind') && revision.confirmed.includes('yield') && revision.lines.length > 0;
