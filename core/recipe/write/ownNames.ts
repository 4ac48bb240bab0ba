/** A recipe of one's own that a line may draw from. */
export interface OwnRecipe {
  id: string;
  name: string;
}

const words = (text: string): string[] => text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];
const spaced = (text: string): string => ` ${words(text).join(' ')} `;
const escaped = (word: string): string => word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** Stands for a name while the line around it is read: one word that is no food in any language. */
const standIn = 'xownrecipex';

/** Names of own recipes, made ready to be looked for in many lines. */
export type OwnNames = readonly { own: OwnRecipe; spaced: string }[];

/**
 * Names of more than one word; a single word is read as a food like any other.
 * @example ownNames([{ id: 'r1', name: 'Onion, carrot and celery base' }]).length // 1
 */
export const ownNames = (recipes: readonly OwnRecipe[]): OwnNames =>
  recipes.map((own) => ({ own, spaced: spaced(own.name) })).filter((n) => n.spaced.trim().includes(' '));

/** A line that names an own recipe, with a word standing in for the name. */
export interface OwnLine {
  own: OwnRecipe;
  masked: string;
  /** Whether a name that was read of the masked line is the recipe. */
  isOwn: (name: string) => boolean;
}

/**
 * The own recipe whose whole name stands in a line, commas, brackets and “and” and all; the longest when there are several.
 * @example ownInLine('300 g onion, carrot and celery base', ownNames(recipes))?.own.name // 'Onion, carrot and celery base'
 */
export function ownInLine(text: string, names: OwnNames): OwnLine | undefined {
  const line = spaced(text);
  let best: OwnNames[number] | undefined;
  for (const n of names) if (line.includes(n.spaced) && n.spaced.length > (best?.spaced.length ?? 0)) best = n;
  if (!best) return undefined;
  const pattern = new RegExp(
    `(?<![\\p{L}\\p{N}])${words(best.own.name).map(escaped).join('[^\\p{L}\\p{N}]+')}\\)?(?![\\p{L}\\p{N}])`,
    'iu',
  );
  const masked = text.replace(pattern, standIn);
  if (masked === text) return undefined;
  const only = new RegExp(`^(?:(?:portion(?:s|en)?|servings?|raciones|porzioni)(?: of| von| de| di)? )?${standIn}s?$`, 'i');
  return { own: best.own, masked, isOwn: (name) => only.test(name.trim()) };
}
