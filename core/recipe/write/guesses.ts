import type { Kind, Revision, Step } from '#core/contract';
import type { IngredientRow } from '#core/kitchen';
import { blanches } from '../scale/index.ts';

/** What a dish is made from and how, where its name does not tell. */
export interface MadeFrom {
  /** Foods of the batch that are known. */
  rows: readonly Pick<IngredientRow, 'id' | 'aisle' | 'blanchId' | 'freeze'>[];
  /** Names of the foods that are not. */
  unknown: readonly string[];
  steps: readonly Pick<Step, 'text' | 'kind' | 'moment'>[];
}

const kindWords: readonly [RegExp, Kind][] = [
  [/\b(broth|stock|brühe|fond|bouillon|brodo|caldo)\b/i, 'broth'],
  [
    /\bpur[ée]es?\b|\bbaby\b|\bweaning\b|\bbrei\b|\b(?:\d+|six|seven|eight|nine|ten|eleven|twelve)\+? ?(?:months?|mo|Monate?|mois|meses|mesi)\b/i,
    'puree',
  ],
  [/\b(paste|pesto|cubes|soffritto|herb butter|ginger garlic)\b/i, 'aromatic'],
  [/\b(bread|rolls?|wraps?|buns?|flatbreads?|dough|loaf|loaves|focaccia|brot|pita|naan)\b/i, 'bread'],
  [/\b(sauce|base|filling|gravy|rag[uù]|passata|compote|kompott|soße|sugo)\b/i, 'base'],
  [/\b(dried|powder|jerky|crisps)\b/i, 'dried'],
  [/\b(kit|marinated|freezer bag)\b/i, 'kit'],
];

/** Storage row by what the name says, else by kind: the cautious one of its group, marked as a guess until confirmed. */
const storageWords: readonly [RegExp, string][] = [
  [/\bfish pie\b|\bfish\b|\bsalmon\b|\bhaddock\b|\bcod\b|\bprawns?\b|\bfisch\b/i, 'fish_cooked'],
  [/\bsoup\b|\bsuppe\b|\bsoupe\b|\bzuppa\b|\bsopa\b/i, 'soup_veg'],
  [/\b(lentil|dal|dhal)\b/i, 'lentils_cooked'],
  [/\bmeatballs?\b/i, 'meatballs'],
  [/\b(curry|coconut)\b/i, 'curry'],
  [/\b(lasagne|lasagna|pasta bake|cannelloni|moussaka)\b/i, 'lasagne'],
  [/\b(?:cottage|shepherd'?s|shepherd’s|pot) pie\b/i, 'meat_pie'],
  [/\b(burritos?|enchiladas?)\b/i, 'burrito'],
  [/\b(pancakes?|waffles?|muffins?|crepes?|crêpes?)\b/i, 'batter_bake'],
  [/\b(quiche|frittata)\b/i, 'quiche'],
  [/\b(dumplings?|pierogi|gyoza|ravioli)\b/i, 'dumpling_raw'],
  [/\b(gratin|bake|casserole|auflauf)\b/i, 'casserole_baked'],
];
const storageByKind: Readonly<Record<Kind, string>> = {
  meal: 'stew_meat',
  kit: 'stewmeat_raw',
  base: 'tomato_sauce',
  puree: 'pu_home',
  broth: 'broth',
  aromatic: 'base_sweated',
  dried: 'veg_dried',
  bread: 'bread',
};

/** A serving of each kind while nothing is said: a guess that the cook confirms. */
export const servingByKind: Readonly<Record<Kind, Revision['serving']>> = {
  meal: { amount: 400, unit: 'g' },
  kit: { amount: 400, unit: 'g' },
  base: { amount: 150, unit: 'ml' },
  puree: { amount: 30, unit: 'ml' },
  broth: { amount: 500, unit: 'ml' },
  aromatic: { amount: 15, unit: 'ml' },
  dried: { amount: 50, unit: 'g' },
  bread: { amount: 70, unit: 'g' },
};

const firstOf = <T>(words: readonly [RegExp, T][], text: string): T | undefined => words.find(([pattern]) => pattern.test(text))?.[1];

const blendedTrays = /\b(?:cube|ice|baby) trays?\b|\bcubes\b/i;
const heatsOn: ReadonlySet<Step['kind']> = new Set(['simmer', 'boil', 'bake', 'fry', 'soften', 'slow', 'reduce']);
const plant: ReadonlySet<string> = new Set(['greens_roots', 'fruit', 'frozen']);
const unimportant = /^(?:water|ice|salt|sugar|lemon|lime|oil_|vinegar)/;

const inBatch = ({ steps }: MadeFrom) => steps.filter((s) => s.moment !== 'serve');
const plantsOnly = ({ rows, unknown }: MadeFrom): boolean => {
  const foods = rows.filter((r) => !unimportant.test(r.id) && r.aisle !== 'spices');
  return foods.length > 0 && unknown.every((n) => /^(?:ice|water|salt)\b/i.test(n)) && foods.every((r) => plant.has(r.aisle));
};

/** Vegetables that are blanched and nothing else is cooked. */
const onlyBlanched = (of: MadeFrom): boolean => {
  const steps = inBatch(of);
  const dip = steps.findIndex(blanches);
  return dip >= 0 && plantsOnly(of) && !steps.slice(dip + 1).some((s) => heatsOn.has(s.kind) && !blanches(s));
};

/**
 * What a dish is, while nobody has said: by its name, else by what is made of what.
 * @example kindGuess('Roast chicken stock') // 'broth'
 */
export const kindGuess = (name: string, of?: MadeFrom): Kind =>
  firstOf(kindWords, name) ??
  (of === undefined
    ? 'meal'
    : onlyBlanched(of)
      ? 'base'
      : plantsOnly(of) && inBatch(of).some((s) => s.kind === 'blend') && inBatch(of).some((s) => blendedTrays.test(s.text))
        ? 'puree'
        : 'meal');

const fishy =
  /\b(?:fish|salmon|haddock|cod|hake|pollock|trout|mackerel|tuna|sardines?|anchov(?:y|ies)|prawns?|shrimps?|squid|mussels?|clams?|crab)\b(?! (?:sauce|stock|paste|sticks?))/i;

const meaty =
  /\b(?:beef|pork|lamb|mutton|veal|goat|venison|chicken|turkey|duck|goose|rabbit|mince|meat|bacon|ham|sausages?|oxtail|brisket|ribs?)\b(?! (?:stock|broth|dripping|fat)s?)/i;

/** The storage row that what goes in asks for: what keeps least decides. */
function lifeByFoods(of: MadeFrom): string | undefined {
  const { rows, unknown } = of;
  const has = (pattern: RegExp): boolean => rows.some((r) => pattern.test(r.id));
  const named = (pattern: RegExp): boolean => unknown.some((n) => pattern.test(n));
  if (rows.some((r) => r.aisle === 'fish') || named(fishy)) return 'fish_cooked';
  if (has(/^rice_/) || named(/\brice\b(?! (?:noodle|flour|paper|vinegar|wine|cake)s?)/i)) return 'rice_cooked';
  if (rows.some((r) => r.aisle === 'meat') || named(meaty)) return undefined;
  if (has(/^(?:cream|milk|creme|double_cream|soft_cheese|mascarpone)/)) return 'soup_cream';
  if (has(/^lentil/)) return 'lentils_cooked';
  return rows.length > 0 && rows.every((r) => r.aisle === 'fruit' || unimportant.test(r.id) || r.aisle === 'spices')
    ? 'puree_fruit_adult'
    : rows.some((r) => r.aisle === 'greens_roots' || r.aisle === 'frozen' || r.aisle === 'tins_jars')
      ? 'soup_veg'
      : undefined;
}

/**
 * The storage row of a dish, while nobody has said: by its name, else by what goes in, else the cautious one of its kind.
 * @example lifeGuess('Fish pie', 'meal') // 'fish_cooked'
 */
export function lifeGuess(name: string, kind: Kind, of?: MadeFrom): string {
  if (of && kind === 'base') {
    if (onlyBlanched(of)) return of.rows.some((r) => r.blanchId === 'spinach' || r.blanchId === 'collards') ? 'leaf_cook' : 'veg_blanched';
    const life = lifeByFoods(of);
    if (of.rows.some((r) => r.aisle === 'meat')) return 'meat_cooked_sauce';
    if (life === 'fish_cooked' || life === 'rice_cooked' || life === 'puree_fruit_adult') return life;
  }
  if (kind !== 'meal') return storageByKind[kind];
  return firstOf(storageWords, name) ?? (of && lifeByFoods(of)) ?? storageByKind.meal;
}
