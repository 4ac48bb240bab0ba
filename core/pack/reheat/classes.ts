import type { Container, Kind, Line } from '#core/contract';
import type { HeatForm, HeatRow } from './rows.ts';

/** What is known of a food when its reheating class has to be guessed. */
export interface FoodHints {
  name: string;
  kind: Kind;
  /** Storage rows it names, the dish first. */
  lifeIds: readonly string[];
  /** Ingredients of its lines, by id or name. */
  parts?: readonly string[];
  raw: boolean;
  /** Frozen as cubes. */
  cubes: boolean;
  /** Frozen in the pan it is baked in. */
  pan: boolean;
}

/** Name words that decide between classes which share a storage row, or where no row fits; the first that matches. */
const nameWords: readonly [RegExp, string][] = [
  [/\b(creamy?|cream of) .*soup|soup .*cream/i, 'soup_cream'],
  [/\b(soup|minestrone|bisque)s?\b/i, 'soup'],
  [/\b(mash|mashed potato(es)?)\b/i, 'mash'],
  [/\b(lasagne?|gratin|moussaka|bake|casserole)\b/i, 'lasagne'],
  [/\bpasty|pasties|sausage rolls?|turnovers?\b/i, 'pasty'],
  [/\b(quiche|flan)\b/i, 'quiche'],
  [/\b(apple|plum|cherry|rhubarb|berry|fruit|quince) (pie|crumble|tart)\b|\bcrumble\b/i, 'pie_fruit'],
  [/\b(cottage|shepherd['’]?s|fish|crumb).*pie\b/i, 'pie_mash'],
  [/\bpie\b/i, 'pie_pastry'],
  [/\bmeatballs?\b.*\b(sauce|gravy|broth)\b|\b(sauce|gravy)\b.*\bmeatballs?\b/i, 'meatball_sauce'],
  [/\bmeatballs?|falafel|dumplings? in sauce\b/i, 'meatball'],
  [/\b(burger|patty|patties|fritters?|fishcakes?)\b/i, 'patty'],
  [/\b(nuggets?|schnitzel|goujons?|breaded|katsu)\b/i, 'breaded'],
  [/\b(pulled|shredded) /i, 'pulled'],
  [/\bsausages?\b(?!.*(stew|casserole|soup))/i, 'sausage'],
  [/\b(burritos?|enchiladas?)\b/i, 'burrito'],
  [/\bwraps?\b/i, 'wrap'],
  [/\b(dumplings?|gyoza|pierogi|momos?|wontons?)\b/i, 'dumpling'],
  [/\bgnocchi\b/i, 'gnocchi'],
  [/\bpizzas?\b/i, 'pizza'],
  [/\b(porridge|oatmeal|overnight oats)\b/i, 'porridge'],
  [/\begg (muffins?|bites?|cups?)\b/i, 'egg_muffin'],
  [/\b(pancakes?|crêpes?|crepes?|waffles?|drop scones?)\b/i, 'pancake'],
  [/\b(muffins?|scones?)\b/i, 'muffin'],
  [/\b(flatbreads?|naans?|pittas?|pitas?|tortillas?|chapatis?|rotis?)\b/i, 'flatbread'],
  [/\b(loaf|loaves|sourdough)\b/i, 'loaf'],
  [/\b(rolls?|buns?|baps?)\b/i, 'roll'],
  [/\b(cake|brownies?|traybake)\b/i, 'cake'],
  [/\b(dough|pastry)\b/i, 'dough'],
  [/\b(pasta|noodles?|spaghetti|macaroni|mac and cheese)\b/i, 'pasta_sauced'],
  [/\b(curry|dal|dhal|daal|korma|lentils?)\b/i, 'curry'],
  [/\b(fried rice|pilaf|pilau|risotto|biryani|paella|jollof)\b|\brice\b$/i, 'rice'],
  [/\b(barley|quinoa|bulgur|couscous|freekeh|millet)\b$/i, 'grain'],
  [/\b(gravy)\b/i, 'gravy'],
  [/\b(white|cheese|béchamel|bechamel|cream|alfredo) sauce\b/i, 'sauce_cream'],
  [/\b(sauce|ragù|ragu|passata|sugo)\b/i, 'sauce'],
  [/\b(beans?|chickpeas?)\b$/i, 'beans'],
  [/\b(broth|stock|bouillon)\b/i, 'broth'],
  [/\b(stew|ragout|chilli|chili|tagine|hotpot|goulash|ratatouille|pot)\b/i, 'stew'],
];

const byKind: Readonly<Record<Kind, string>> = {
  meal: 'stew',
  kit: 'kit_raw',
  base: 'sauce',
  puree: 'puree_baby',
  broth: 'broth',
  aromatic: 'aromatic',
  dried: 'veg_dry',
  bread: 'roll',
};

/** Meat and egg, of which a baby's puree never goes into a microwave. */
const meatOrEgg = /\b(chicken|turkey|beef|veal|lamb|pork|fish|cod|salmon|egg|liver|meat|haddock)/i;
const oily = /oil/i;

/** Raw meat as it was bought, against a kit that is cooked on its day. */
const plainRaw = 'raw_meat';

/**
 * The reheating class of a food, as a guess to be confirmed: its kind first where that settles it, then the storage rows it names, then its name.
 * @param rows the reheating table; a class nobody has a row of is never guessed
 * @example guessClass({ name: 'Beet and horseradish soup', kind: 'meal', lifeIds: ['soup_veg'], raw: false, cubes: false, pan: false }, rows) // 'soup'
 */
export function guessClass(food: FoodHints, rows: readonly HeatRow[]): string {
  const known = new Set(rows.map((r) => r.classId));
  const named = nameWords.find(([pattern]) => pattern.test(food.name))?.[1];
  const parts = (food.parts ?? []).join(' ');
  const stored = (id: string | undefined): string[] =>
    id === undefined ? [] : [...new Set(rows.filter((r) => r.lifeIds.includes(id)).map((r) => r.classId))];
  const guess = (): string => {
    switch (food.kind) {
      case 'puree':
        return meatOrEgg.test(`${food.name} ${parts}`) ? 'puree_baby_meat' : 'puree_baby';
      case 'aromatic':
        return food.lifeIds.some((id) => id.startsWith('stock_paste'))
          ? 'stock_paste'
          : food.lifeIds.some((id) => oily.test(id)) || /\b(in|with) oil\b|\boil\b/i.test(food.name)
            ? 'aromatic_oil'
            : 'aromatic';
      case 'broth':
        return food.cubes ? 'broth_cube' : 'broth';
      case 'kit':
        return food.raw ? (food.pan && named === 'lasagne' ? 'bake_unbaked' : 'kit_raw') : 'kit_part';
      default:
        break;
    }
    const [main] = food.lifeIds;
    const fitting = stored(main);
    if (food.raw && fitting.includes(plainRaw)) return 'kit_raw';
    if (named !== undefined && (fitting.length === 0 || fitting.includes(named) || sameFamily(named, fitting))) return named;
    // a dish frozen in its pan is baked in it
    if (food.pan && !fitting.some((c) => panClasses.has(c))) return named !== undefined && panClasses.has(named) ? named : 'lasagne';
    return fitting[0] ?? named ?? byKind[food.kind];
  };
  const found = guess();
  return known.has(found) ? found : known.has(byKind[food.kind]) ? byKind[food.kind] : (rows[0]?.classId ?? found);
}

const panClasses = new Set(['lasagne', 'pie_mash', 'pie_pastry', 'quiche', 'bake_unbaked', 'pie_fruit']);

/** Runny dishes share their storage rows more loosely than their name: a lentil pot is heated like a curry, a bean soup like a soup. */
const runny = new Set(['soup', 'soup_cream', 'stew', 'curry', 'sauce', 'gravy', 'broth', 'beans']);
const baked = new Set([...panClasses, 'pasta_sauced', 'mash']);
const sameFamily = (named: string, fitting: readonly string[]): boolean =>
  fitting.some((f) => (runny.has(named) && runny.has(f)) || (baked.has(named) && (baked.has(f) || f === 'fish')));

/**
 * Old row ids a recipe may still name, as the class they belong to.
 * @example classOfOldIds(['soup_micro'], rows) // the class that an older recipe meant
 */
export const classOfOldIds = (ids: readonly string[], rows: readonly HeatRow[]): string | undefined =>
  ids.map((id) => rows.find((r) => r.refRows.includes(id))?.classId).find((c) => c !== undefined);

/**
 * What a container is as far as heat goes, the likeliest first.
 * @example formsOf(foilPan) // what a pack of it looks like to an oven
 */
export function formsOf(container: Pick<Container, 'shape' | 'materialId'> | undefined, loose: boolean): HeatForm[] {
  if (loose) return ['loose', 'bag'];
  if (!container) return ['tub', 'bag'];
  const { materialId, shape } = container;
  if (shape === 'bag') return ['bag'];
  if (shape === 'tray' || shape === 'mould') return ['loose', 'bag'];
  if (materialId === 'm_foil' || materialId === 'm_metal_pan') return ['foil'];
  if (materialId.startsWith('m_glass') || materialId === 'm_ceramic' || materialId === 'm_castiron_enam')
    return shape === 'jar' ? ['jar', 'dish'] : ['dish', 'jar'];
  if (shape === 'jar' || materialId === 'm_jar') return ['jar'];
  // ovenable trays bear what foil bears, and the microwave too
  if (shape === 'pan') return ['foil', 'tub'];
  return ['tub'];
}

/**
 * Ingredient ids and names of lines, as hints.
 * @example partsOf(revision.lines, finder) // meat, beans, rice: what decides how it is heated
 */
export const partsOf = (lines: readonly Line[]): string[] =>
  lines.filter((l) => l.moment === 'batch').map((l) => (l.item.type === 'ingredient' ? `${l.item.id} ${l.name}` : l.name));

/** Foods that lie in their container as one block or layer, so that its thickness decides; of the others the piece does. */
const blocks = new Set([
  ...['soup', 'soup_cream', 'broth', 'gravy', 'stew', 'curry', 'beans', 'meatball_sauce', 'sauce', 'sauce_cream', 'puree', 'porridge'],
  ...[...panClasses, 'pasta_sauced', 'mash', 'stuffing', 'rice', 'grain', 'kit_raw', 'kit_part', 'pulled'],
]);
/** Whether food of a heating class freezes into one block. @example isBlock('stew') // it freezes into one block */
export const isBlock = (classId: string): boolean => blocks.has(classId);

/**
 * What a class is called where a cook chooses it: its id says more than its noun.
 * @example heatClassName({ classId: 'lasagne' }) // 'bake or gratin, cooked'
 */
export const heatClassName = (row: Pick<HeatRow, 'classId'>): string => {
  const words = row.classId.replace(/_/g, ' ');
  return classNames[row.classId] ?? words;
};

const classNames: Readonly<Record<string, string>> = {
  lasagne: 'bake or gratin, cooked',
  bake_unbaked: 'bake, not baked yet',
  pie_mash: 'pie with a mash or crumb top',
  pie_pastry: 'pie with pastry',
  pie_fruit: 'fruit pie or crumble',
  soup_cream: 'soup with cream',
  sauce_cream: 'sauce with cream or milk',
  pasta_sauced: 'pasta in its sauce',
  pasta: 'plain pasta',
  meatball: 'meatballs, dry',
  meatball_sauce: 'meatballs in sauce',
  puree_baby: 'baby purée without meat or egg',
  puree_baby_meat: 'baby purée with meat or egg',
  puree: 'purée, not for a baby',
  aromatic: 'aromatics, cubes or pieces',
  aromatic_oil: 'garlic or herbs in oil',
  broth_cube: 'broth in cubes',
  kit_raw: 'raw kit, cooked on the day',
  kit_part: 'assembled, no raw meat',
  kit_dry: 'dried meal',
  veg: 'vegetables',
  veg_roast: 'vegetables to roast',
  veg_dry: 'dried vegetables',
  mince_dry: 'dried mince',
  raw_meat: 'plain raw meat',
  raw_fish: 'plain raw fish',
  never: 'does not freeze',
  sliced: 'sliced cooked meat',
  pulled: 'pulled or shredded meat',
  chicken: 'cooked chicken pieces',
  slice: 'bread in slices',
  dumpling_raw: 'dumplings with a raw filling',
  dumpling: 'dumplings, cooked',
};
