import type { IngredientFinder, UnitSystem } from '#core/kitchen';
import { fromNumber, measureIn, times } from '#core/kitchen';
import { saltIds } from './allergens.ts';
import type { ScaledRecipe } from './scale/index.ts';

/** Bought things that bring salt of their own, whatever the cook adds. */
const saltyIds = new Set([
  'stock_cube',
  'stock_paste',
  'soy_sauce',
  'fish_sauce',
  'worcestershire',
  'oyster_sauce',
  'miso',
  'anchovy',
  'olive',
  'bacon',
  'ham_cooked',
  'chorizo',
  'sausage',
  'fish_smoked',
  'feta',
  'parmesan',
  'cheese_hard',
  'baked_beans',
  'ketchup',
  'celery_salt',
  'curry_paste',
  'pesto',
]);

const isSalt = (l: ScaledRecipe['lines'][number]): boolean =>
  l.line.moment === 'batch' && l.line.item.type === 'ingredient' && saltIds.has(l.line.item.id);

/** A pot split before the salt: some portions are dipped out, the rest is salted as the recipe has it. */
export interface SplitPot {
  unsalted: number;
  salted: number;
  /** Dipped out, in millilitres, when a volume is known. */
  dipMl?: number;
  /** Salt for what stays in the pot, line by line. */
  salt: { lineId: string; name: string; out: string; massG?: number }[];
  /** Grams of added salt in one salted portion. */
  perPortionG?: number;
  /** Lines that hold salt of their own: the dipped portions have it too. */
  alsoSalty: string[];
}

export type SplitResult = { ok: true; split: SplitPot } | { ok: false; why: 'noSalt' | 'negative' | 'moreThanAll'; portions: number };

/**
 * Dips low-salt or baby portions out before the salt goes in, and gives the salt for the rest (R9).
 * Law: the salt of the rest is to the whole salt as the salted portions are to all.
 * @example splitPot(scaled, 2, options).split.salt[0].out // '17 g'
 */
export function splitPot(
  scaled: ScaledRecipe,
  unsalted: number,
  options: { finder: IngredientFinder; scaleStepG: number; units?: UnitSystem },
): SplitResult {
  const salts = scaled.lines.filter((l) => isSalt(l) && l.exact);
  if (salts.length === 0) return { ok: false, why: 'noSalt', portions: scaled.portions };
  if (!(unsalted >= 0)) return { ok: false, why: 'negative', portions: scaled.portions };
  if (unsalted > scaled.portions + 1e-9) return { ok: false, why: 'moreThanAll', portions: scaled.portions };
  const salted = scaled.portions - unsalted;
  const share = salted / scaled.portions;
  const salt = salts.map((l) => {
    const exact = l.exact && { amount: times(l.exact.amount, fromNumber(Number(share.toFixed(6)))), unit: l.exact.unit };
    const out =
      exact && salted > 0
        ? measureIn(options.units ?? 'metric', {
            quantity: exact,
            gPerMl: l.gPerMl,
            pour: false,
            cap: 0.02,
            scaleStepG: options.scaleStepG,
          }).text
        : 'none';
    return { lineId: l.lineId, name: l.line.name, out, ...(l.massG !== undefined && { massG: l.massG * share }) };
  });
  const known = salts.every((l) => l.massG !== undefined);
  const totalG = salts.reduce((s, l) => s + (l.massG ?? 0), 0);
  return {
    ok: true,
    split: {
      unsalted,
      salted,
      ...(scaled.finishedMl !== undefined && { dipMl: (scaled.finishedMl * unsalted) / scaled.portions }),
      salt,
      ...(known && salted > 0 && { perPortionG: totalG / scaled.portions }),
      alsoSalty: scaled.lines
        .filter((l) => l.line.moment === 'batch' && l.line.item.type === 'ingredient' && saltyIds.has(l.line.item.id))
        .map((l) => l.line.name),
    },
  };
}
