import { looksLikeCsv, readCsv } from './csv.ts';
import { minutesOf } from './duration.ts';
import { fitted, type FileRecipe, type ReadFileResult } from './file.ts';
import { readPage, textOfMarkup } from './html.ts';
import { readBlocks, statedYield } from './jsonld.ts';
import { readPasted } from './pasted.ts';

const looksLikeJson = (text: string): boolean => /^[\s\uFEFF]{0,100}[[{]/.test(text);
const looksLikeHtml = (text: string): boolean =>
  /<(?:!doctype|html|head|body|div|p|script|article|section|ul|ol|h1|table|meta)\b/i.test(text.slice(0, 20_000));

/** A recipe that is marked up in the page itself. */
function ofMarked(marked: ReadonlyMap<string, readonly string[]>, title: string): FileRecipe | undefined {
  const all = (...names: string[]): string[] => names.flatMap((n) => marked.get(n) ?? []);
  const lines = all('recipeIngredient', 'ingredients').flatMap((l) => l.split('\n'));
  if (lines.length === 0) return undefined;
  const made = statedYield(all('recipeYield', 'yield'));
  const [prepMin, cookMin, totalMin] = ['prepTime', 'cookTime', 'totalTime'].map((n) => minutesOf(marked.get(n)?.[0]));
  return fitted({
    name: all('name')[0] ?? (title || 'Recipe without a name'),
    lines,
    steps: all('recipeInstructions', 'step').flatMap((t) =>
      t
        .split('\n')
        .map((text) => ({ text: text.replace(/^[•\s]*(?:\d{1,2}[.)]\s+)?/, '') }))
        .filter((s) => s.text),
    ),
    ...(made.text && { yieldText: made.text }),
    ...(made.servings !== undefined && { servings: made.servings }),
    ...(prepMin !== undefined && { prepMin }),
    ...(cookMin !== undefined && { cookMin }),
    ...(totalMin !== undefined && { totalMin }),
    tags: all('keywords', 'recipeCategory')
      .flatMap((k) => k.split(','))
      .map((t) => t.trim().slice(0, 40))
      .filter(Boolean)
      .slice(0, 12),
    ...(all('author')[0] && { author: all('author')[0]!.slice(0, 100) }),
    notUnderstood: [],
  });
}

function readHtml(text: string): ReadFileResult {
  const page = readPage(text);
  const { recipes, problems } = readBlocks(page.blocks);
  if (recipes.length > 0) return { ok: true, recipes };
  const marked = page.marked.flatMap((m) => ofMarked(m, page.title) ?? []);
  if (marked.length > 0) return { ok: true, recipes: marked };
  // no block for machines: what people read of the page is read as they would
  const told = readPasted(page.text);
  if (told.length > 0)
    return {
      ok: true,
      recipes: told.map((r) => (r.name === 'Recipe without a name' && page.title ? { ...r, name: page.title.slice(0, 120) } : r)),
    };
  return problems.length > 0
    ? { ok: false, why: 'notJson', detail: problems[0] ?? '' }
    : { ok: false, why: 'noRecipe', detail: 'The page is readable but holds no recipe.' };
}

/**
 * Reads the recipes of a file or a paste, whatever it is: JSON-LD, a saved page, a table, Markdown, plain text. Nothing of it is ever run.
 * @returns every recipe found, or why there is none; one broken block does not hide the others
 * @example readRecipeFile(savedPage) // the recipes in it, as they are written
 */
export function readRecipeFile(text: string): ReadFileResult {
  if (!text.trim()) return { ok: false, why: 'empty', detail: 'The file is empty.' };
  if (looksLikeJson(text)) {
    const { recipes, problems } = readBlocks([text]);
    if (recipes.length > 0) return { ok: true, recipes };
    return problems.length > 0
      ? { ok: false, why: 'notJson', detail: problems[0] ?? '' }
      : { ok: false, why: 'noRecipe', detail: 'The file is readable but holds no recipe.' };
  }
  // Markdown of ours keeps a comment; a page is told by its tags
  if (looksLikeHtml(text)) return readHtml(text);
  if (looksLikeCsv(text)) {
    const recipes = readCsv(text);
    if (recipes.length > 0) return { ok: true, recipes };
  }
  const told = readPasted(
    /&(?:#\d{2,6}|[a-z]{2,8});/i.test(text) && !/<!--\s*tambo/.test(text)
      ? text
          .split('\n')
          .map((l) => (l.includes('&') ? textOfMarkup(l) : l))
          .join('\n')
      : text,
  );
  return told.length > 0
    ? { ok: true, recipes: told }
    : { ok: false, why: 'noRecipe', detail: 'No two lines of it look like ingredients.' };
}
