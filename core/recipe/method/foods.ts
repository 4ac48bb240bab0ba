import type { Line } from '#core/contract';
import type { IngredientFinder, IngredientRow } from '#core/kitchen';
import { tokensOf, type Token } from './sentences.ts';
import { sameStem, stemOf } from './language.ts';

/** The words a line goes by in a method. */
export interface LineNames {
  line: Line;
  row: IngredientRow | undefined;
  /** Each name as its words in order; the first is its own. */
  names: readonly (readonly string[])[];
  /** All words that may mean it, alone: heads of its names, and what sets it apart. */
  heads: ReadonlySet<string>;
  words: ReadonlySet<string>;
  /** Words of the title it stands under. */
  sectionWords: readonly string[];
}

/** Words of state, size and measure: they name nothing by themselves. */
const stateWords = new Set(
  (
    'tinned chopped fresh dried ground cooked white plain whole table large small medium big ripe hot cold warm soft hard raw red green black brown yellow dark light strong extra virgin fine finely roughly thinly coarse flaky unsalted salted good ' +
    'frozen fatty lean boneless skinless peeled diced sliced grated crushed juiced melted toasted shredded jointed cubed halved stoned soaked drained rinsed minced smoked spring sweet to serve and or of the a an with for in on each about pinch ' +
    'half quarter third kilo dozen couple few good glug knob splash drop little ' +
    'clove head stick sprig bunch leaf sheet tin can jar pack piece stalk handful thumb cup spoon tbsp tsp litre kilo glass knob ' +
    'getrocknete getrocknet frisch gehackt gewürfelt grosse kleine zehe zehen bund prise dose glas ' +
    'de la le les du des hoja hojas gousse gousses cucharada cucharadas cucharadita cucharaditas cucchiaio cucchiai bicchiere di secchi verde rojo blanco bianco rape feuille feuilles hachee sec'
  )
    .split(' ')
    .map(stemOf),
);

const wordsOf = (text: string): string[] => tokensOf(text, 0, text.length).map((t) => t.stem);

/** What was written of a line, without its amount and what is done to it. */
const written = (line: Line): string =>
  (line.written.split(/[,(]/)[0] ?? '')
    .replace(/[\d¼-¾⅐-⅞.,/]+/g, ' ')
    .replace(/(?<![\p{L}])(?:g|kg|ml|cl|dl|l|el|tl|oz|lb|tbsp|tsp|cups?|litres?|liter|spoons?)(?![\p{L}])/giu, ' ');

/** Words of a part's title that say which part it is. @example titleWords('For the filling') // ['filling'] */
export const titleWords = (title: string | undefined): string[] =>
  (title ?? '')
    .split(/[^\p{L}]+/u)
    .map(stemOf)
    .filter((w) => w.length > 2 && !/^(?:for|the|and)$/.test(w));

/** What a recipe of one's own is called: its whole name, commas and all, and the part that says what it is. */
const ownTexts = (name: string): string[] => {
  const whole = name.replace(/[^\p{L}\p{N}]+/gu, ' ');
  return [whole, whole.split(/\s(?:in|with|from|for|of|on|mit|aus|für|de|du|con|di|da)\s/iu)[0] ?? whole];
};

/** Names of a line in a method. @example namesOf(line, finder).heads.has('leek') // true for “2 leeks, sliced” */
export function namesOf(line: Line, finder: IngredientFinder | undefined): LineNames {
  const row = line.item.type === 'ingredient' ? finder?.byId(line.item.id) : undefined;
  const texts = [
    ...(line.item.type === 'recipe' ? ownTexts(line.name) : [line.name.split(/[,(]/)[0] ?? line.name, written(line)]),
    ...(line.alternatives ?? []),
    ...(row ? [row.name, ...row.otherNames] : []),
  ];
  const names = texts.map(wordsOf).filter((n) => n.length > 0);
  const heads = new Set<string>();
  const words = new Set<string>();
  for (const [i, name] of names.entries()) {
    const real = name.filter((w) => !stateWords.has(w) && w.length > 1);
    // the last word is the food in English and German, the first in the languages of the south
    // “spring greens” is all state and measure: its last word names it
    const head = real.at(-1) ?? (i < 2 ? name.at(-1) : undefined);
    if (head && i < 2) heads.add(head);
    if (i === 1 && real[0]) heads.add(real[0]);
    // other names count as a whole; what a cook wrote counts by the word
    if (i < 2) for (const w of real) if (w.length > 2) words.add(w);
  }
  return { line, row, names, heads, words, sectionWords: titleWords(line.section) };
}

/** Lines of one recipe, with those that a word may mean, found once for each word of a method. */
export type Lexicon = readonly LineNames[] & { near?: Map<string, readonly LineNames[]> };

/** @example lexiconOf(lines, finder).length // as many as there are lines */
export const lexiconOf = (lines: readonly Line[], finder: IngredientFinder | undefined): Lexicon =>
  Object.assign(
    lines.map((l) => namesOf(l, finder)),
    { near: new Map<string, readonly LineNames[]>() },
  );

const mayMean = (stem: string, line: LineNames): boolean => {
  for (const name of line.names) if (isWord(stem, name[0]!)) return true;
  for (const head of line.heads) if (isWord(stem, head)) return true;
  for (const word of line.words) if (isWord(stem, word)) return true;
  return false;
};

/** Lines that a word may begin to name. */
function nearOf(lines: Lexicon, stem: string): readonly LineNames[] {
  const known = lines.near?.get(stem);
  if (known) return known;
  const found = lines.filter((l) => mayMean(stem, l));
  lines.near?.set(stem, found);
  return found;
}

/** Where a text speaks of a line. */
export interface Mention {
  line: LineNames;
  /** First and last word. */
  from: number;
  to: number;
  /** How much of its name stands there; the longest wins. */
  weight: number;
}

const part = /^(?:n|en|e)?(?:saft|schale|abrieb|zeste|blatter|wurfel|stucke|scheiben|kerne|brei|ringe|streifen)$/;
const isWord = (token: string, word: string): boolean =>
  token === word || ((token[0] === word[0] || token.endsWith(word) || word.endsWith(token)) && isForm(token, word));

const isForm = (token: string, word: string): boolean =>
  sameStem(token, word) ||
  (word.length >= 5 &&
    token.startsWith(word.slice(0, -1)) &&
    part.test(token.slice(word.length - 1).replace(/^[a-z](?=n?(?:saft|schale|abrieb))/, ''))) ||
  (token.length >= 4 && word.length > token.length + 2 && word.endsWith(token)) ||
  (word.length >= 5 && token.length > word.length + 2 && token.endsWith(word));

/** Words after a food that make it something cooked: “the cheese mixture”. */
export const resultNouns = new Set(
  'mixture mix sauce mass filling dough batter base layer puree purée liquid water juice pan pot tray tin mash pulp flesh milk broth stock fat paste side'
    .split(' ')
    .map(stemOf),
);

/** How well the words of a text from one on name a line: words of a name in their order, all of it best. */
function weightAt(tokens: readonly Token[], i: number, line: LineNames): { to: number; weight: number } | undefined {
  const first = tokens[i]!.stem;
  let to = -1;
  let weight = 0;
  for (let n = 0; n < line.names.length; n += 1) {
    const name = line.names[n]!;
    if (!isWord(first, name[0]!) || (name.length === 1 && stateWords.has(name[0]!))) continue;
    let k = 1;
    while (k < name.length && i + k < tokens.length && tokens[i + k]!.before === 'space' && isWord(tokens[i + k]!.stem, name[k]!)) k += 1;
    const w = 10 * k + (n < 2 ? 3 : 1);
    if (k === name.length && w > weight) [to, weight] = [i + k - 1, w];
  }
  if (weight > 0) return { to, weight };
  if ((stateWords.has(first) && !line.heads.has(first)) || first.length < 2) return undefined;
  for (const head of line.heads) if (isWord(first, head)) weight = Math.max(weight, sameStem(first, head) ? 7 : 5);
  if (weight > 0) return { to: i, weight };
  for (const word of line.words) if (word.length > 3 && isWord(first, word) && !isGroupWord(first)) return { to: i, weight: 3 };
  return undefined;
}

/**
 * Where a sentence speaks of lines, the longest name first; several lines of one weight at one word are all told.
 * @param skip words that stand as verbs and mean no food
 * @param prefer lines of the section that is told of, which stand before others of their name
 */
export function mentionsIn(
  tokens: readonly Token[],
  lines: Lexicon,
  skip: ReadonlySet<number>,
  prefer?: (line: LineNames) => boolean,
): Mention[] {
  const found: Mention[] = [];
  for (let i = 0; i < tokens.length; i += 1) {
    if (skip.has(i)) continue;
    let here: Mention[] = [];
    for (const line of nearOf(lines, tokens[i]!.stem)) {
      const w = weightAt(tokens, i, line);
      if (!w) continue;
      const m = { line, from: i, to: w.to, weight: w.weight };
      const rank = (x: Mention): number => x.weight + (prefer?.(x.line) ? 100 : 0);
      const best = here[0] ? rank(here[0]) : 0;
      if (rank(m) > best) here = [m];
      else if (rank(m) === best) here.push(m);
    }
    if (here.length > 0) {
      found.push(...here);
      i = Math.max(...here.map((m) => m.to));
    }
  }
  return found;
}

const roots = new Set([
  'carrot',
  'celeriac',
  'parsnip',
  'beetroot',
  'turnip',
  'swede',
  'radish',
  'potato',
  'potato_new',
  'sweet_potato',
  'kohlrabi',
  'jerusalem_artichoke',
]);
const aromatics = new Set(['onion', 'spring_onion', 'leek', 'shallot', 'garlic', 'ginger', 'chilli', 'lemongrass', 'celery', 'carrot']);
const wet = new Set([
  'water',
  'milk',
  'cream_double',
  'cream_single',
  'yogurt',
  'egg',
  'honey',
  'oil_olive',
  'oil_vegetable',
  'stock',
  'butter',
  'maple_syrup',
  'lemon_juice',
]);

type Belongs = (row: IngredientRow, line: Line) => boolean;
/** Words that mean every line of a kind, by the food table; the most distinct stand first. */
const groups: readonly (readonly [RegExp, Belongs])[] = [
  [
    /^(?:vegetable|veg|veggie|gemuse|legume|verdura|verdure|ortaggi)$/,
    (r) => r.aisle === 'greens_roots' && r.id !== 'garlic' && r.id !== 'ginger',
  ],
  [/^(?:root|wurzelgemuse)$/, (r) => roots.has(r.id)],
  [/^(?:herb|krauter|herbe|hierba|erbe)$/, (r) => r.aisle === 'herbs' || /herbs/.test(r.id)],
  [/^(?:spice|gewurz|gewurze|epice|especia|spezie)$/, (r) => r.aisle === 'spices' && !/^(?:salt|pepper)/.test(r.id)],
  [/^aromatic$/, (r) => aromatics.has(r.id) || r.aisle === 'herbs'],
  [/^(?:flour|mehle|farine)$/, (r) => /^flour/.test(r.id)],
  [/^(?:meat|fleisch|viande|carne|bird)$/, (r) => r.aisle === 'meat'],
  [/^(?:fish|fisch|poisson|pescado)$/, (r) => r.aisle === 'fish'],
  [/^(?:fruit|obst)$/, (r) => r.aisle === 'fruit'],
  [/^(?:cheese|kase|fromage|queso|formaggi|formaggio)$/, (r) => /cheese|parmesan|mozzarella|feta|ricotta/.test(r.id)],
  [/^(?:nut)$/, (r) => /almond|walnut|cashew|peanut|pine_nut/.test(r.id)],
  [/^(?:seed)$/, (r) => /seed/.test(r.id)],
  [/^(?:bean|pulse)$/, (r) => /bean|chickpea|lentil|pea_dry|cannellini/.test(r.id)],
  [/^(?:seasoning)$/, (r) => /^(?:salt|pepper)/.test(r.id)],
];

const isGroupWord = (stem: string): boolean => groups.some(([pattern]) => pattern.test(stem));

/** Foods the table does not know, by what their names say. */
const byName: readonly (readonly [RegExp, RegExp])[] = [
  [
    /^(?:meat|fleisch|viande|carne|bird)$/,
    /\b(?:beef|lamb|pork|veal|rabbit|duck|goose|venison|goat|mutton|chicken|turkey|oxtail|shin|brisket|hock|mince|ham|boar|rind|huhn|hähnchen|pute|ente|gans|kalb|wild|schwein|lamm|poulet|pollo|ternera|cerdo|boeuf|bœuf|agneau|porc)|(?:huhn|hähnchen|fleisch|hack|keule)\b/iu,
  ],
  [
    /^(?:vegetable|veg|veggie|gemuse|legume|verdura|verdure)$/,
    /\b(?:squash|kohlrabi|fennel|chard|cabbage|marrow|salsify|sprouts?|greens|apio|pimiento|calabac|puerro)/iu,
  ],
  [/^aromatic$/, /\b(?:chil|galangal|lemongrass|shallot|garlic|ginger|onion)/iu],
  [/^(?:flour|mehle|farine)$/, /(?:flour|mehl|farine|harina|farina)\b/iu],
  [
    /^(?:herb|krauter|herbe|hierba|erbe)$/,
    /\b(?:chives|tarragon|chervil|marjoram|lovage|sorrel|basil|parsley|dill|mint|schnittlauch|ciboulette)\b/iu,
  ],
  [
    /^(?:spice|gewurz|gewurze|epice|especia|spezie)$/,
    /\b(?:cardamom|fenugreek|star anise|sumac|fennel seeds?|mustard seeds?|cumin seeds?|coriander seeds?)\b/iu,
  ],
  [
    /^(?:cheese|kase|fromage|queso|formaggio)$/,
    /(?:cheese|käse|fromage|queso|formaggio|comté|kefalotyri|gruy|cheddar|gouda|emmental|manchego|pecorino|halloumi|stilton|camembert|bergk)/iu,
  ],
  [/^(?:bean|pulse)$/, /\b(?:beans?|chickpeas?|lentils?|peas)\b/iu],
  [/^(?:fish|fisch|poisson|pescado)$/, /\b(?:cod|haddock|hake|trout|herring|pollack|fish|fisch)\b/iu],
  [/^(?:fruit|obst)$/, /\b(?:quinces?|apples?|pears?|plums?|berries|damsons?|figs?)\b/iu],
  [/^(?:seed)$/, /\bseeds?\b/iu],
  [/^(?:nut)$/, /(?:nuts?|pecans?|pistachios?)\b/iu],
];

/** Lines a group word means: “both flours”, “the herbs”, “dry ingredients”. Undefined when the word is no group. @example groupOf(tokens, 1, lines)?.length // 2, for “both flours” */
export function groupOf(tokens: readonly Token[], i: number, lines: readonly LineNames[]): LineNames[] | undefined {
  const { word } = tokens[i]!;
  const stem = word === 'greens' ? 'vegetable' : tokens[i]!.stem;
  const before = tokens[i - 1]?.stem ?? '';
  if (/^(?:ingredient|zutat|zutaten|ingredienti|ingrediente|thing|stuff)$/.test(stem)) {
    const isWet = (l: LineNames): boolean =>
      l.row !== undefined && (wet.has(l.row.id) || l.row.aisle === 'oils_sauces' || l.row.baseState === 'liquid');
    if (/^(?:dry|trockenen|sec)$/.test(before))
      return lines.filter((l) => !isWet(l) && (!l.row || /^(?:baking|dry_goods|spices|bread)$/.test(l.row.aisle)));
    if (/^(?:wet|liquid|flussigen)$/.test(before)) return lines.filter(isWet);
    return undefined;
  }
  const group = groups.find(([pattern]) => pattern.test(stem))?.[1];
  if (!group) return undefined;
  const names = byName.find(([pattern]) => pattern.test(stem))?.[1];
  const members = lines.filter((l) => (l.row ? group(l.row, l.line) : names?.test(l.line.name)));
  return members.length > 0 ? members : undefined;
}
