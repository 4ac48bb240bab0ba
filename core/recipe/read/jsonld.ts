import { keptSchema, type Kept } from '#core/contract';
import { jsonrepair } from 'jsonrepair';
import { minutesOf } from './duration.ts';
import { fitted, most, type FileRecipe } from './file.ts';
import { textOfMarkup } from './html.ts';

type Json = Record<string, unknown>;

const isObject = (value: unknown): value is Json => typeof value === 'object' && value !== null && !Array.isArray(value);

/** More of one kind than any recipe has. */
const mostRows = 1000;
const list = (value: unknown): unknown[] =>
  Array.isArray(value) ? value.slice(0, mostRows) : value === undefined || value === null ? [] : [value];
/** Longer than any step somebody wrote; what is beyond is not looked at. */
const mostValueChars = 20_000;

/** Plain text of a value that may carry tags and entities, some of them written out twice. */
function plain(value: unknown): string {
  if (Array.isArray(value)) return plain(value[0]);
  if (typeof value === 'number') return String(value);
  if (typeof value !== 'string') return '';
  const once = textOfMarkup(value.slice(0, mostValueChars));
  return /&(?:#?\w{2,8});|<\/?(?:p|br|li|b|strong|em|span|ol|ul)\b/i.test(once) ? textOfMarkup(once) : once;
}
/** The same on one line. */
const plainLine = (value: unknown): string => plain(value).replaceAll('\n', ' ').trim();

const bareKey = (key: string): string => key.replace(/^(?:https?:\/\/(?:www\.)?schema\.org\/|schema:)/i, '');

/** Nodes by their `@id`, so that a reference leads to what it means. */
function byId(value: unknown, found = new Map<string, Json>(), depth = 0): Map<string, Json> {
  if (depth > 12 || found.size > 20_000) return found;
  if (Array.isArray(value)) for (const v of value) byId(v, found, depth + 1);
  else if (isObject(value)) {
    const id = value['@id'];
    if (typeof id === 'string' && Object.keys(value).length > 1 && !found.has(id)) found.set(id, value);
    for (const v of Object.values(value)) if (typeof v === 'object') byId(v, found, depth + 1);
  }
  return found;
}

/** The same node with bare names for keys, values out of their wrappers, and references followed. */
function plainNode(value: unknown, ids: ReadonlyMap<string, Json>, depth = 0): unknown {
  if (depth > 14) return undefined;
  if (Array.isArray(value)) return value.slice(0, mostRows).map((v) => plainNode(v, ids, depth + 1));
  if (!isObject(value)) return value;
  if ('@value' in value) return value['@value'];
  if ('@list' in value) return plainNode(value['@list'], ids, depth + 1);
  const id = value['@id'];
  const meant = typeof id === 'string' && Object.keys(value).length === 1 ? ids.get(id) : undefined;
  if (meant) return plainNode(meant, ids, depth + 1);
  return Object.fromEntries(Object.entries(value).map(([k, v]) => [bareKey(k), plainNode(v, ids, depth + 1)]));
}

const hasType = (node: Json, type: string): boolean =>
  list(node['@type'] ?? node.type).some((t) => typeof t === 'string' && bareKey(t).toLowerCase() === type.toLowerCase());

/** Every recipe node, wherever it stands: alone, in an array, in `@graph`, inside another node. */
function findRecipes(value: unknown, depth = 0): Json[] {
  if (depth > 10) return [];
  if (Array.isArray(value)) return value.flatMap((v) => findRecipes(v, depth + 1));
  if (!isObject(value)) return [];
  if (hasType(value, 'Recipe')) return [value];
  return Object.values(value).flatMap((v) => (typeof v === 'object' ? findRecipes(v, depth + 1) : []));
}

/** Numbered sentences of one text, and its lines. */
const sentences = (text: string): string[] =>
  text
    .split(/\n|(?<=[.!)]) +(?=(?:step\s*)?\d{1,3}[.):] )/i)
    .map((s) => s.replace(/^\s*(?:step\s*)?\d{1,3}[.):]\s*/i, '').trim())
    .filter(Boolean);

const inSection = (text: string, section: string | undefined): FileRecipe['steps'][number] => ({ text, ...(section && { section }) });

/** Steps as text, list items, sections, directions within steps: whatever stands there, in its order. */
function stepsOf(value: unknown, section?: string, depth = 0): FileRecipe['steps'] {
  if (depth > 8) return [];
  if (typeof value === 'string') return sentences(plain(value)).map((text) => inSection(text, section));
  if (Array.isArray(value)) return value.flatMap((v) => stepsOf(v, section, depth + 1));
  if (!isObject(value)) return [];
  const items = value.itemListElement ?? value.steps ?? value.step;
  const isStep = hasType(value, 'HowToStep') || hasType(value, 'HowToDirection') || hasType(value, 'HowToTip');
  if (items !== undefined && !isStep) return stepsOf(items, plainLine(value.name) || section, depth + 1);
  if (isObject(value.item)) return stepsOf(value.item, section, depth + 1);
  const text = plain(value.text) || plain(value.description);
  if (text) return sentences(text).map((t) => inSection(t, section));
  // directions within a step are one step
  const inner = stepsOf(items, section, depth + 1).map((s) => s.text);
  const own = inner.length > 0 ? inner.join(' ') : plainLine(value.name) || (typeof value.item === 'string' ? plainLine(value.item) : '');
  return own ? [inSection(own, section)] : [];
}

/** Ingredient lines in whatever form: texts, one text of many lines, nodes with amount and name, lists and sections of them. */
function linesOf(value: unknown, depth = 0): string[] {
  if (depth > 6) return [];
  if (typeof value === 'string')
    return plain(value)
      .split('\n')
      .map((l) => l.trim())
      .filter(Boolean);
  if (Array.isArray(value)) return value.flatMap((v) => linesOf(v, depth + 1));
  if (!isObject(value)) return [];
  const items = value.itemListElement ?? value.ingredients ?? value.recipeIngredient;
  const name = plainLine(value.name) || plainLine(value.text) || plainLine(value.item);
  if (items !== undefined) return [...(name ? [`${name}:`] : []), ...linesOf(items, depth + 1)];
  if (isObject(value.item)) return linesOf(value.item, depth + 1);
  const quantity = value.requiredQuantity ?? value.amount ?? value.quantity ?? value.value;
  const amount = isObject(quantity)
    ? [plainLine(quantity.value), plainLine(quantity.unitText) || plainLine(quantity.unitCode)].filter(Boolean).join(' ')
    : [plainLine(quantity), plainLine(value.unitText) || plainLine(value.unit)].filter(Boolean).join(' ');
  const line = [amount, name].filter(Boolean).join(' ');
  return line ? [line] : [];
}

/** Yield as text, number, list of either, or a quantity node. @example statedYield(['6', '6 portions']) // { text: '6 portions', servings: 6 } */
export function statedYield(value: unknown): { text?: string; servings?: number } {
  const texts = list(value)
    .map((v) => (isObject(v) ? [plainLine(v.value), plainLine(v.unitText)].filter(Boolean).join(' ') : plainLine(v)))
    .filter(Boolean);
  const found = texts.map((t) => ({ t, n: /(\d+)(?:\s*(?:-|–|to)\s*(\d+))?/.exec(t) })).find((x) => x.n);
  const text = texts.toSorted((a, b) => b.length - a.length)[0]?.slice(0, 120);
  const servings = found?.n?.[1] ? Number(found.n[1]) : undefined;
  return { ...(text && { text }), ...(servings !== undefined && servings > 0 && servings <= most.servings && { servings }) };
}

/** What of a recipe node is used, or is about the page and not the dish. */
const understood = new Set(
  [
    '@context @type @id name recipeIngredient ingredients ingredient recipeInstructions instructions recipeYield yield totalTime prepTime cookTime',
    'performTime keywords recipeCategory recipeCuisine author creator image url description datePublished dateModified dateCreated',
    'mainEntityOfPage publisher aggregateRating review video headline thumbnailUrl inLanguage isPartOf hasPart interactionStatistic',
    'commentCount comment isAccessibleForFree potentialAction speakable alternateName sameAs license copyrightHolder copyrightYear position',
    'isBasedOn type supply discussionUrl about mentions wordCount tambo',
  ].flatMap((words) => words.split(' ')),
);

const minutes = (value: unknown): number | undefined =>
  typeof value === 'number'
    ? value
    : list(value)
        .map((v) => minutesOf(isObject(v) ? v.value : v))
        .find((n) => n !== undefined);

/** A node of ours holds plain text, in which a `<` is a `<`. */
function ownNode(node: Json, kept: Kept): FileRecipe {
  const text = (value: unknown): string => (typeof value === 'string' ? value : '');
  const times = { prepMin: minutes(node.prepTime), cookMin: minutes(node.cookTime), totalMin: minutes(node.totalTime) };
  return fitted({
    name: text(node.name) || 'Recipe without a name',
    lines: list(node.recipeIngredient).map(text).filter(Boolean),
    steps: list(node.recipeInstructions).flatMap((s) => (isObject(s) && text(s.text) ? [{ text: text(s.text) }] : [])),
    ...(text(node.recipeYield) && { yieldText: text(node.recipeYield) }),
    ...(times.prepMin !== undefined && { prepMin: times.prepMin }),
    ...(times.cookMin !== undefined && { cookMin: times.cookMin }),
    ...(times.totalMin !== undefined && { totalMin: times.totalMin }),
    tags: text(node.keywords).split(', ').filter(Boolean),
    ...(text(node.isBasedOn) && { source: text(node.isBasedOn) }),
    ...(text(node.description) && { note: text(node.description) }),
    kept,
    notUnderstood: [],
  });
}

function readNode(node: Json): FileRecipe {
  const ours = node.tambo === undefined ? undefined : keptSchema.safeParse(node.tambo);
  if (ours?.success) return ownNode(node, ours.data);
  const made = statedYield(node.recipeYield ?? node.yield);
  const own = linesOf(node.recipeIngredient ?? node.ingredients ?? node.ingredient ?? node.supply);
  const prepMin = minutes(node.prepTime);
  const cookMin = minutes(node.cookTime) ?? minutes(node.performTime);
  const both = prepMin !== undefined || cookMin !== undefined ? (prepMin ?? 0) + (cookMin ?? 0) : undefined;
  const totalMin = minutes(node.totalTime) ?? both;
  const author = list(node.author ?? node.creator)
    .map((a) => (isObject(a) ? plainLine(a.name) : plainLine(a)))
    .find(Boolean);
  const url = [node.url, node.mainEntityOfPage, isObject(node.mainEntityOfPage) ? node.mainEntityOfPage['@id'] : undefined].find(
    (u): u is string => typeof u === 'string' && /^https?:\/\/\S+$/.test(u),
  );
  const note = plain(node.description);
  const based = plainLine(node.isBasedOn);
  const source = based || (author && url ? `${author}, ${url}` : (author ?? url));
  return fitted({
    name: plainLine(node.name) || plainLine(node.headline) || 'Recipe without a name',
    lines: own,
    steps: stepsOf(node.recipeInstructions ?? node.instructions),
    ...(made.text && { yieldText: made.text }),
    ...(made.servings !== undefined && { servings: made.servings }),
    ...(prepMin !== undefined && { prepMin }),
    ...(cookMin !== undefined && { cookMin }),
    ...(totalMin !== undefined && { totalMin }),
    tags: [...list(node.keywords), ...list(node.recipeCategory), ...list(node.recipeCuisine)]
      .flatMap((k) => plainLine(k).split(','))
      .map((t) => t.trim().slice(0, 40))
      .filter((t, i, all) => t !== '' && all.indexOf(t) === i)
      .slice(0, 12),
    ...(author && { author }),
    ...(source && { source: source.slice(0, 200) }),
    ...(note && { note }),
    notUnderstood: Object.entries(node)
      .filter(([field, value]) => !understood.has(field) && value !== null && value !== '')
      .slice(0, 60)
      .map(([field, value]) => ({
        field: field.slice(0, 60),
        value: (typeof value === 'string' ? plain(value) : JSON.stringify(value)).slice(0, 300),
      })),
  });
}

/** A block without what pages wrap it in, however often: byte order mark, comments, CDATA. */
function unwrapped(block: string): string {
  let text = block.replace(/^\uFEFF/, '').trim();
  for (let i = 0; i < 4; i += 1)
    text = text
      .replace(/^(?:\/\/|\/\*)?\s*(?:<!--|<!\[CDATA\[)\s*(?:\*\/)?/, '')
      .replace(/(?:\/\/|\/\*)?\s*(?:-->|\]\]>)\s*(?:\*\/)?$/, '')
      .trim();
  return text.replace(/;$/, '');
}

/** A block as a value: strictly, else with its entities read, else mended; and whether it had to be mended. */
function valueOf(block: string): { value: unknown; mended: boolean } {
  const text = unwrapped(block);
  try {
    return { value: JSON.parse(text) as unknown, mended: false };
  } catch {
    const decoded = /&quot;|&#0?34;/.test(text)
      ? text
          .replace(/&quot;|&#0?34;/g, '"')
          .replace(/&#0?39;|&apos;/g, "'")
          .replace(/&amp;/g, '&')
      : text;
    return { value: JSON.parse(jsonrepair(decoded)) as unknown, mended: true };
  }
}

/** Pages say the same recipe more than once. */
const once = (recipes: readonly FileRecipe[]): FileRecipe[] =>
  [...new Map(recipes.toReversed().map((r) => [`${r.name.toLowerCase()}|${r.lines.join('\n')}`, r])).values()].toReversed();

const broken = {
  field: 'file',
  value: 'This file was cut off or broken, and what could be read of it was put together: look at its last lines and steps.',
};

/**
 * The recipes of JSON-LD blocks; one broken block does not hide the others.
 * @example readBlocks(['{"@type":"Recipe","name":"Soup"}']).recipes[0]?.name // 'Soup'
 */
export function readBlocks(blocks: readonly string[]): { recipes: FileRecipe[]; problems: string[] } {
  const problems: string[] = [];
  const recipes: FileRecipe[] = [];
  for (const block of blocks) {
    try {
      const { value, mended } = valueOf(block);
      const found = findRecipes(plainNode(value, byId(value))).map(readNode);
      const good = found.filter((r) => r.lines.length > 0 || r.steps.length > 0 || r.kept !== undefined);
      recipes.push(...good.map((r) => (mended ? { ...r, notUnderstood: [broken, ...r.notUnderstood] } : r)));
      if (mended && good.length === 0) problems.push('a block that breaks off');
    } catch (error) {
      problems.push(error instanceof Error ? error.message : String(error));
    }
  }
  return { recipes: once(recipes), problems };
}
