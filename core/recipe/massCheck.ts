import type { Revision } from '#core/contract';
import { unitFacts, type IngredientFinder } from '#core/kitchen';
import { finished } from './scale/portions.ts';
import { lineFacts, type LineFacts } from './scale/weigh.ts';

/** What goes in against what is said to come out. */
export interface MassCheck {
  /** Edible grams that go in, water counted, less what boils off. */
  inG: number;
  outG: number;
  /** Some lines weigh nothing that is known: at least this goes in. */
  atLeast: boolean;
  /** What would agree: as many servings of the written size, or a serving of another size. */
  servings: number;
  servingAmount: number;
}

/** Beyond this share the two figures are asked about (decision 43). */
export const massCheckShare = 0.2;

/** What is dried or baked loses water that no pot tells of; its yield is learned by weighing. */
const notChecked = new Set<Revision['kind']>(['dried', 'broth']);
/** A roast or a fry loses water by its surface, which nobody has entered: more may go in than comes out. */
const dries = (revision: Revision): boolean =>
  !revision.tags.includes('pan') && revision.steps.some((s) => s.needs.some((n) => n.kind === 'oven') || /\broast/i.test(s.text));
const strained = /\b(squeeze|wring|strain|sieve|drain off|discard the|lift out|throw away)\b/i;

/** What dry food takes up is water from the pot; what of it stands among the lines is counted there. */
const wet = new Set(['water', 'stock', 'milk']);

/**
 * Grams of water that dry food (pulses, grains, pasta) takes up while it cooks and that no line lists: tap water of the pot or of the soaking.
 * @example absorbedG(weighRecipe(beanSoup, finder).facts) // 700 for 567 g of dried beans
 */
export function absorbedG(facts: readonly LineFacts[]): number {
  const batch = facts.filter((f) => f.line.moment === 'batch' && f.writtenG !== undefined);
  const taken = batch.reduce(
    (sum, f) =>
      sum + (f.row?.baseState === 'dry' && (f.row.cookedFactor ?? 1) > 1 ? (f.writtenG ?? 0) * ((f.row.cookedFactor ?? 1) - 1) : 0),
    0,
  );
  const listed = batch.reduce((sum, f) => sum + (f.line.item.type === 'ingredient' && wet.has(f.line.item.id) ? (f.writtenG ?? 0) : 0), 0);
  // a bread's flour takes the water of its own lines
  return facts.some((f) => f.row?.aisle === 'baking' && (f.writtenG ?? 0) > taken) ? 0 : Math.max(0, Math.round(taken - listed));
}

/**
 * Whether a recipe's yield can be right: what goes in, less the boil-off, against servings times serving.
 * @param boiledOffG water that simmers away at the written size
 * @returns undefined when they agree within 20 %, or when nothing can be said: something is strained out, or too little is known
 * @example massCheck({ ...3.8 kg of lines, servings: 6, serving: { amount: 400, unit: 'g' } }, finder) // { inG: 3800, outG: 2400, servings: 9.5, ... }
 */
export function massCheck(revision: Revision, finder: IngredientFinder, boiledOffG = 0): MassCheck | undefined {
  if (notChecked.has(revision.kind) || revision.steps.some((s) => strained.test(s.text))) return undefined;
  const facts = lineFacts(revision, finder).filter(
    (f) =>
      f.line.moment === 'batch' &&
      f.line.amount !== undefined &&
      (f.line.unit === undefined || unitFacts[f.line.unit].dimension !== 'none'),
  );
  const weighed = facts.filter((f) => f.writtenG !== undefined);
  const outG = finished(revision, revision.servings).g;
  if (weighed.length === 0 || outG === undefined || outG <= 0) return undefined;
  const atLeast = weighed.length < facts.length;
  const inG = Math.max(0, weighed.reduce((sum, f) => sum + (f.writtenG ?? 0), 0) + absorbedG(weighed) - boiledOffG);
  const tooLittleIn = inG < outG * (1 - massCheckShare);
  // what nobody could weigh only ever adds
  if ((tooLittleIn && atLeast) || (!tooLittleIn && dries(revision)) || (!tooLittleIn && inG <= outG * (1 + massCheckShare)))
    return undefined;
  const oneG = outG / revision.servings;
  const servings = Math.max(1, Math.round(inG / oneG));
  const share = inG / outG;
  const step = revision.serving.amount * share >= 100 ? 10 : 5;
  return { inG, outG, atLeast, servings, servingAmount: Math.max(step, Math.round((revision.serving.amount * share) / step) * step) };
}
