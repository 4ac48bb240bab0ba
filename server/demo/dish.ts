import type { Kind, Line, Revision, ScalingRule, Step } from '#core/contract';
import { readLine } from '#core/recipe';

interface LineOptions {
  /** Drawn from another dish of the house, by its key. */
  draws?: string;
  /** What the cook read on the bought pack's label. */
  holds?: string[];
  rule?: ScalingRule;
  onTheDay?: boolean;
  name?: string;
  form?: NonNullable<Line['form']>;
}

/** A line as somebody wrote it, with the ingredient it means. */
export interface DishLine {
  ingredientId: string;
  written: string;
  options: LineOptions;
}

export const l = (ingredientId: string, written: string, options: LineOptions = {}): DishLine => ({ ingredientId, written, options });

interface StepOptions {
  uses?: number[];
  hands: number;
  perKg?: number;
  wait?: number;
  needs?: Step['needs'];
  cue?: string;
  hazards?: Step['hazards'];
  /** Steps that come first; the step before, unless said otherwise. */
  after?: number[];
}

export interface DishStep {
  text: string;
  options: StepOptions;
}

export const s = (text: string, options: StepOptions): DishStep => ({ text, options });

export interface Dish {
  key: string;
  name: string;
  kind: Kind;
  serving: [number, 'g' | 'ml'];
  servings: number;
  density: number;
  cubeMl?: number;
  storage: [string, string][];
  reheat: string[];
  raw?: boolean;
  tags: string[];
  note?: string;
  dose?: NonNullable<Revision['dose']>;
  lines: DishLine[];
  steps: DishStep[];
}

/** A dish as the revision a cook would have saved after the review card. */
export function revisionOf(dish: Dish, ids: { revision: string; recipe: string }, madeAt: string): Revision {
  const lines = dish.lines.map((d, i): Line => {
    const read = readLine(d.written);
    return {
      id: `${dish.key}-l${i}`,
      written: d.written,
      ...(read.amount !== undefined && { amount: read.amount }),
      ...(read.unit && { unit: read.unit }),
      item: d.options.draws
        ? { type: 'recipe', id: `recipe_${d.options.draws}` }
        : d.ingredientId
          ? { type: 'ingredient', id: d.ingredientId }
          : { type: 'unmatched' },
      name: d.options.name ?? read.name,
      ...((d.options.form ?? read.form) && { form: d.options.form ?? read.form }),
      ...(read.sizeMm && { sizeMm: read.sizeMm }),
      ...(read.note && { note: read.note }),
      moment: d.options.onTheDay ? 'cookDay' : 'batch',
      scaling: d.options.rule ?? { rule: 'proportional' },
      ...(d.options.holds && { allergens: { contains: d.options.holds, checked: true as const } }),
    };
  });
  const steps = dish.steps.map((d, i): Step => ({
    id: `${dish.key}-s${i}`,
    text: d.text,
    uses: (d.options.uses ?? []).map((n) => ({ lineId: `${dish.key}-l${n}`, share: 1 })),
    needs: d.options.needs ?? [],
    handsOnMin: d.options.hands,
    handsOnPerKgMin: d.options.perKg ?? 0,
    waitMin: d.options.wait ?? 0,
    ...(d.options.cue && { cue: d.options.cue }),
    hazards: d.options.hazards ?? [],
    after: (d.options.after ?? (i > 0 ? [i - 1] : [])).map((n) => `${dish.key}-s${n}`),
    guess: false,
  }));
  return {
    id: ids.revision,
    recipeId: ids.recipe,
    name: dish.name,
    kind: dish.kind,
    serving: { amount: dish.serving[0], unit: dish.serving[1] },
    servings: dish.servings,
    density: { gPerMl: dish.density, reason: 'entered' },
    ...(dish.cubeMl !== undefined && { cubeMl: dish.cubeMl }),
    storage: dish.storage.map(([rowId, part]) => ({ rowId, part })),
    reheatIds: dish.reheat,
    raw: dish.raw ?? false,
    lines,
    steps,
    tags: dish.tags,
    source: 'our own',
    ...(dish.note && { note: dish.note }),
    ...(dish.dose && { dose: dish.dose }),
    confirmed: ['kind', 'yield', 'serving', 'storage', 'hands'],
    madeAt,
  };
}
