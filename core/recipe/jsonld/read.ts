import { minutesOf } from './duration.ts';
import { ldBlocks, textOfMarkup } from './html.ts';

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
const list = (value: unknown): unknown[] =>
  Array.isArray(value) ? value.slice(0, mostRows) : value === undefined || value === null ? [] : [value];

/** Longer than any step somebody wrote; what is beyond is not looked at. */
const mostValueChars = 20_000;
/** More of one kind than any recipe has. */
const mostRows = 1000;
/** What a recipe can hold, as the contract has it; more is shown as not understood. */
const most = { lines: 120, lineChars: 400, steps: 80, stepChars: 1200, servings: 10_000 };

/** Plain text of a value that may carry tags and entities. */
const plain = (value: unknown): string =>
  typeof value === 'number' ? String(value) : typeof value === 'string' ? textOfMarkup(value.slice(0, mostValueChars)) : '';

/** The same on one line. */
const plainLine = (value: unknown): string => plain(value).replaceAll('\n', ' ');

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
    .split(/\n|(?<=[.!]) (?=\d{1,3}[.)] )/)
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
  return { ...(text && { text }), ...(servings !== undefined && servings > 0 && servings <= most.servings && { servings }) };
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

/** What a recipe has no room for, named with how it begins. */
const beyond = (field: string, rest: readonly string[], what: string): FileRecipe['notUnderstood'] =>
  rest.length === 0 ? [] : [{ field, value: `${rest.length} more ${what}, from “${(rest[0] ?? '').slice(0, 200)}” on` }];

function readNode(node: Json): FileRecipe {
  const made = yieldOf(node.recipeYield ?? node.yield);
  const ingredients = node.recipeIngredient ?? node.ingredients;
  const lines = (
    typeof ingredients === 'string'
      ? plain(ingredients).split('\n')
      : list(ingredients).map((v) => (isObject(v) ? plainLine(v.name) || plainLine(v.text) : plainLine(v)))
  )
    .map((l) => l.trim())
    .filter(Boolean);
  const steps = stepsOf(node.recipeInstructions);
  const prep = minutesOf(node.prepTime);
  const cook = minutesOf(node.cookTime);
  const totalMin = minutesOf(node.totalTime) ?? (prep !== undefined || cook !== undefined ? (prep ?? 0) + (cook ?? 0) : undefined);
  const author = list(node.author)
    .map((a) => (isObject(a) ? plainLine(a.name) : plainLine(a)))
    .find(Boolean);
  return {
    name: plainLine(node.name) || plainLine(node.headline) || 'Recipe without a name',
    lines: lines.slice(0, most.lines).map((l) => l.slice(0, most.lineChars)),
    steps: steps.slice(0, most.steps).map((s) => ({ ...s, text: s.text.slice(0, most.stepChars) })),
    ...(made.text && { yieldText: made.text }),
    ...(made.servings !== undefined && { servings: made.servings }),
    ...(totalMin !== undefined && { totalMin }),
    tags: [...list(node.keywords), ...list(node.recipeCategory)]
      .flatMap((k) => plain(k).split(','))
      .map((t) => t.trim().slice(0, 40))
      .filter(Boolean)
      .slice(0, 12),
    ...(author && { author }),
    notUnderstood: [
      ...beyond('recipeIngredient', lines.slice(most.lines), 'lines'),
      ...beyond(
        'recipeInstructions',
        steps.slice(most.steps).map((s) => s.text),
        'steps',
      ),
      ...Object.entries(node)
        .filter(([field, value]) => !understood.has(field) && value !== null && value !== '')
        .slice(0, 60)
        .map(([field, value]) => ({
          field: field.slice(0, 60),
          value: (typeof value === 'string' ? plain(value) : JSON.stringify(value)).slice(0, 300),
        })),
    ],
  };
}

/**
 * The JSON-LD blocks of a saved page, or the whole text when it is a JSON file.
 * @example jsonBlocks('<script type="application/ld+json">{"@type":"Recipe"}</script>') // ['{"@type":"Recipe"}']
 */
export const jsonBlocks = (text: string): string[] => (/^[\s\uFEFF]{0,100}[[{]/.test(text) ? [text] : ldBlocks(text));

/**
 * Reads the recipes of a JSON-LD file or of a saved page that holds one.
 * @returns every recipe found, or in words why there is none; one broken block does not hide the others
 * @example readRecipeFile(savedPage) // the recipes in it, as they are written
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
