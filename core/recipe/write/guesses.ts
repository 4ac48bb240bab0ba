import type { Kind, Revision } from '#core/contract';

const kindWords: readonly [RegExp, Kind][] = [
  [/\b(broth|stock|brühe|fond|bouillon|brodo|caldo)\b/i, 'broth'],
  [/\bpur[ée]es?\b|\bbaby\b|\bbrei\b/i, 'puree'],
  [/\b(paste|pesto|cubes|soffritto|herb butter|ginger garlic)\b/i, 'aromatic'],
  [/\b(bread|rolls?|wraps?|buns?|flatbreads?|dough|loaf|loaves|focaccia|brot|pita|naan)\b/i, 'bread'],
  [/\b(sauce|base|filling|gravy|rag[uù]|passata|soße|sugo)\b/i, 'base'],
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
  [/\b(gratin|bake|casserole|lasagne|lasagna|auflauf)\b/i, 'casserole_baked'],
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

/** What a dish of this name is, while nobody has said. @example kindGuess('Roast chicken stock') // 'broth' */
export const kindGuess = (name: string): Kind => firstOf(kindWords, name) ?? 'meal';

/** The storage row of a dish of this name and kind, while nobody has said. @example lifeGuess('Fish pie', 'meal') // 'fish_cooked' */
export const lifeGuess = (name: string, kind: Kind): string =>
  kind === 'meal' ? (firstOf(storageWords, name) ?? storageByKind.meal) : storageByKind[kind];
