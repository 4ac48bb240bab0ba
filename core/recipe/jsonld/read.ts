import { minutesOf } from './duration.ts';

type Json = Record<string, unknown>;

/** A recipe as a file had it, in plain text: nothing guessed yet. */
export interface FileRecipe {
  name: string;
  lines: string[];
  steps: { section?: string; text: string }[];
  yieldText?: string;
  servings?: number;
  totalMin?: number;
  tags: string[];
  author?: string;
  /** Parts of the recipe node that are not understood, kept to be shown. */
  notUnderstood: { field: string; value: string }[];
}

export type ReadFileResult = { ok: true; recipes: FileRecipe[] } | { ok: false; why: 'notJson' | 'noRecipe' | 'empty'; detail: string };

const isObject = (value: unknown): value is Json => typeof value === 'object' && value !== null && !Array.isArray(value);
const list = (value: unknown): unknown[] => (Array.isArray(value) ? value : value === undefined || value === null ? [] : [value]);

const entities: Readonly<Record<string, string>> = {
  amp: '&',
  lt: '<',
  gt: '>',
  quot: '"',
  apos: "'",
  nbsp: ' ',
  deg: '°',
  frac12: '½',
  frac14: '¼',
  frac34: '¾',
  eacute: 'é',
  egrave: 'è',
  ndash: '–',
  mdash: '—',
  rsquo: '’',
  lsquo: '‘',
  hellip: '…',
};

/** Plain text of a value that may carry tags and entities. */
function plain(value: unknown): string {
  if (typeof value === 'number') return String(value);
  if (typeof value !== 'string') return '';
  return value
    .replace(/<\s*(?:br|\/p|\/li|\/div)\s*\/?>/gi, '\n')
    .replace(/<[^>]*>/g, ' ')
    .replace(/&#(?:x([0-9a-f]+)|(\d+));/gi, (_, hex: string | undefined, dec: string | undefined) =>
      String.fromCodePoint(Math.min(0x10ffff, hex ? parseInt(hex, 16) : Number(dec))),
    )
    .replace(/&([a-z0-9]+);/gi, (whole, name: string) => entities[name.toLowerCase()] ?? whole)
    .replace(/[ \t\u00A0]+/g, ' ')
    .trim();
}

const hasType = (node: Json, type: string): boolean =>
  list(node['@type']).some((t) => typeof t === 'string' && t.replace(/^https?:\/\/schema\.org\//, '').toLowerCase() === type.toLowerCase());

/** Every recipe node, wherever it stands: alone, in an array, in `@graph`, inside another node. */
function findRecipes(value: unknown, depth = 0): Json[] {
  if (depth > 8) return [];
  if (Array.isArray(value)) return value.flatMap((v) => findRecipes(v, depth + 1));
  if (!isObject(value)) return [];
  if (hasType(value, 'Recipe')) return [value];
  return Object.values(value).flatMap((v) => (typeof v === 'object' ? findRecipes(v, depth + 1) : []));
}

const sentences = (text: string): string[] =>
  text
    .split(/\n+|(?<=[.!])\s+(?=\d+[.)]\s)/)
    .map((s) => s.replace(/^\s*(?:step\s*)?\d+[.):]\s*/i, '').trim())
    .filter(Boolean);

function stepsOf(value: unknown, section?: string, depth = 0): FileRecipe['steps'] {
  if (depth > 6) return [];
  if (typeof value === 'string') return sentences(plain(value)).map((text) => ({ text, ...(section && { section }) }));
  if (Array.isArray(value)) return value.flatMap((v) => stepsOf(v, section, depth + 1));
  if (!isObject(value)) return [];
  if (hasType(value, 'HowToSection') || (value.itemListElement !== undefined && !hasType(value, 'HowToStep'))) {
    return stepsOf(value.itemListElement, plain(value.name) || section, depth + 1);
  }
  const text =
    plain(value.text) ||
    plain(value.description) ||
    list(value.itemListElement)
      .map((v) => (isObject(v) ? plain(v.text) : plain(v)))
      .filter(Boolean)
      .join(' ') ||
    plain(value.name);
  return text ? [{ text, ...(section && { section }) }] : [];
}

/** Yield as text, number, list of either, or a quantity node. */
function yieldOf(value: unknown): { text?: string; servings?: number } {
  const texts = list(value)
    .map((v) => (isObject(v) ? [plain(v.value), plain(v.unitText)].filter(Boolean).join(' ') : plain(v)))
    .filter(Boolean);
  const found = texts.map((t) => ({ t, n: /(\d+)(?:\s*(?:-|–|to)\s*(\d+))?/.exec(t) })).find((x) => x.n);
  const text = texts.toSorted((a, b) => b.length - a.length)[0];
  const servings = found?.n?.[1] ? Number(found.n[1]) : undefined;
  return { ...(text && { text }), ...(servings !== undefined && servings > 0 && { servings }) };
}

const understood = new Set([
  '@context',
  '@type',
  '@id',
  'name',
  'recipeIngredient',
  'ingredients',
  'recipeInstructions',
  'recipeYield',
  'yield',
  'totalTime',
  'prepTime',
  'cookTime',
  'keywords',
  'recipeCategory',
  'recipeCuisine',
  'author',
  'image',
  'url',
  'description',
  'datePublished',
  'dateModified',
  'mainEntityOfPage',
  'publisher',
  'aggregateRating',
  'review',
  'video',
  'headline',
  'thumbnailUrl',
  'inLanguage',
  'isPartOf',
]);

function readNode(node: Json): FileRecipe {
  const made = yieldOf(node.recipeYield ?? node.yield);
  const ingredients = node.recipeIngredient ?? node.ingredients;
  const lines = (
    typeof ingredients === 'string'
      ? plain(ingredients).split('\n')
      : list(ingredients).map((v) => (isObject(v) ? plain(v.name) || plain(v.text) : plain(v)))
  )
    .map((l) => l.trim())
    .filter(Boolean);
  const prep = minutesOf(node.prepTime);
  const cook = minutesOf(node.cookTime);
  const totalMin = minutesOf(node.totalTime) ?? (prep !== undefined || cook !== undefined ? (prep ?? 0) + (cook ?? 0) : undefined);
  const author = list(node.author)
    .map((a) => (isObject(a) ? plain(a.name) : plain(a)))
    .find(Boolean);
  return {
    name: plain(node.name) || plain(node.headline) || 'Recipe without a name',
    lines,
    steps: stepsOf(node.recipeInstructions),
    ...(made.text && { yieldText: made.text }),
    ...(made.servings !== undefined && { servings: made.servings }),
    ...(totalMin !== undefined && { totalMin }),
    tags: [...list(node.keywords), ...list(node.recipeCategory)]
      .flatMap((k) => plain(k).split(','))
      .map((t) => t.trim().slice(0, 40))
      .filter(Boolean)
      .slice(0, 12),
    ...(author && { author }),
    notUnderstood: Object.entries(node)
      .filter(([field, value]) => !understood.has(field) && value !== null && value !== '')
      .map(([field, value]) => ({ field, value: (typeof value === 'string' ? plain(value) : JSON.stringify(value)).slice(0, 300) })),
  };
}

/** The JSON-LD blocks of a saved page, or the whole text when it is a JSON file. */
export function jsonBlocks(text: string): string[] {
  if (/^\s*[[{]/.test(text)) return [text];
  return [...text.matchAll(/<script\b[^>]*type\s*=\s*["']?application\/ld\+json[^>]*>([\s\S]*?)<\/script\s*>/gi)].map((m) =>
    (m[1] ?? '').replace(/^\s*<!--|-->\s*$/g, '').trim(),
  );
}

/**
 * Reads the recipes of a JSON-LD file or of a saved page that holds one.
 * @returns every recipe found, or in words why there is none; one broken block does not hide the others
 */
export function readRecipeFile(text: string): ReadFileResult {
  if (!text.trim()) return { ok: false, why: 'empty', detail: 'The file is empty.' };
  const blocks = jsonBlocks(text);
  if (blocks.length === 0) return { ok: false, why: 'noRecipe', detail: 'No JSON-LD block stands in this file.' };
  const problems: string[] = [];
  const recipes: FileRecipe[] = [];
  for (const block of blocks) {
    try {
      recipes.push(...findRecipes(JSON.parse(block) as unknown).map(readNode));
    } catch (error) {
      problems.push(error instanceof Error ? error.message : String(error));
    }
  }
  if (recipes.length > 0) return { ok: true, recipes };
  return problems.length > 0
    ? { ok: false, why: 'notJson', detail: problems[0] ?? '' }
    : { ok: false, why: 'noRecipe', detail: 'The file is readable but holds no recipe.' };
}
