import type { Fix, Line, WrittenLine } from '#core/contract';
import { noMemo, toNumber, unitFacts, type IngredientFinder, type IngredientRow, type Memo } from '#core/kitchen';
import { readLines, type Knows, type ReadLine } from '../text/line.ts';
import { ownInLine, ownNames, type OwnRecipe } from './ownNames.ts';

/** What a line is read with. */
export interface ReadingContext {
  finder: IngredientFinder;
  /** Recipes of one's own, by name; the one being written is not among them. */
  recipes: readonly OwnRecipe[];
  /** Remembers how lines were read while they stay the same: an editor reads sixty at every key. */
  memo?: Memo;
}

/** One food of a written line, as it will be weighed. */
export interface ComposedFood {
  line: Line;
  read: ReadLine;
  /** A food that is known only in part: to be offered, not taken (decision 48). */
  offers: IngredientRow[];
}

/** A written line with what it is read as. */
export type ComposedRow = { id: string; text: string; heading: string } | { id: string; text: string; foods: ComposedFood[] };

const most = { written: 400, name: 160, note: 200 };
const plain = (name: string): string =>
  name
    .toLowerCase()
    .replace(/[^\p{L}\d]+/gu, ' ')
    .trim();
const singular = (name: string): string => plain(name).replace(/s$/, '');

/** The ingredient a line means; what comes in a tin is looked for among the tins first. */
function matchOf(read: ReadLine, finder: IngredientFinder): IngredientRow | undefined {
  const tinned = /\b(tins?|cans?|tinned|canned)\b/i.test(read.written);
  const asTin = tinned ? finder.match(`tinned ${read.form === 'chopped' ? 'chopped ' : ''}${read.name}`) : undefined;
  const found = asTin ?? finder.match(read.name) ?? finder.match(`${read.formText ?? ''} ${read.name}`);
  if (found) return found;
  // several foods go by one name: what is measured by the spoon is dried, by the sprig fresh, what is drained comes out of a tin
  const state = states.find(([, units, forms]) => (read.unit && units.has(read.unit)) || forms.test(read.formText ?? ''))?.[0];
  return state === undefined || finder.read(read.name)?.over.length !== 0
    ? undefined
    : (finder.match(`${state} ${read.name}`) ?? finder.match(`${read.name}, ${state}`));
}

/** In what state a food is meant, by what it is measured in and what is done to it. */
const states: readonly (readonly [string, ReadonlySet<string>, RegExp])[] = [
  ['tinned', new Set(['tin']), /\bdrained\b/i],
  ['dried', new Set(['tsp', 'tbsp', 'pinch']), /\bsoaked\b/i],
  ['fresh', new Set(['sprig', 'bunch', 'leaf', 'handful']), /\bleaves picked\b/i],
];

const seasonings = /\b(salt|pepper|salz|pfeffer|sel|poivre|sale|pepe|sal|pimienta)\b/i;

function scalingOf(read: ReadLine): Line['scaling'] {
  const { unit, amount } = read;
  if (read.toTaste || (unit && unitFacts[unit].dimension === 'none') || (amount === undefined && seasonings.test(read.name)))
    return { rule: 'toTaste' };
  if (/\bto cover\b/i.test(read.written) && /\b(water|stock|broth)\b/i.test(read.name)) return { rule: 'cover' };
  const counted = unit === 'piece' || unit === 'leaf';
  return counted && amount !== undefined && Number.isInteger(toNumber(amount)) && /\begg|\bbay\b/i.test(read.name)
    ? { rule: 'whole' }
    : { rule: 'proportional' };
}

/** The id of a food of a line: the line's own for the first. @example foodId('line1', 1) // 'line1.2' */
export const foodId = (lineId: string, n: number): string => (n === 0 ? lineId : `${lineId}.${n + 1}`);

/** What was said of a food: all of it while its text stays, of another text what does not speak of amounts while its name stays. */
function withFix(line: Line, read: ReadLine, text: string, fix: Fix | undefined): Line {
  if (!fix) return line;
  if (fix.text === text) {
    const kept = Object.fromEntries(Object.entries(line).filter(([key]) => !(fix.unset as string[]).includes(key))) as unknown as Line;
    return { ...kept, ...fix.set, id: line.id, written: line.written };
  }
  const { item, name, scaling, moment, allergens } = fix.set;
  const same = plain(fix.name) === plain(read.name);
  return {
    ...line,
    ...(scaling && { scaling }),
    ...(moment && { moment }),
    ...(same && item && { item, ...(name !== undefined && { name }) }),
    ...(same && allergens && { allergens }),
  };
}

function composeFood(
  written: WrittenLine,
  read: ReadLine,
  n: number,
  several: boolean,
  section: string | undefined,
  ctx: ReadingContext,
): ComposedFood {
  const own = ctx.recipes.find(
    (r) => singular(r.name) === singular(read.name) || plain(r.name) === plain(`${read.formText ?? ''} ${read.name}`),
  );
  const row = own ? undefined : matchOf(read, ctx.finder);
  const offered = own || row ? undefined : ctx.finder.read(read.name);
  const id = foodId(written.id, n);
  const line: Line = {
    id,
    written: written.text.slice(0, most.written),
    ...(several && { textId: written.id }),
    ...(section && { section: section.slice(0, 80) }),
    ...(read.amount !== undefined && { amount: read.amount }),
    ...(read.amountTo !== undefined && { amountTo: read.amountTo }),
    ...(read.unit && { unit: read.unit }),
    item: own ? { type: 'recipe', id: own.id } : row ? { type: 'ingredient', id: row.id } : { type: 'unmatched' },
    name: (own?.name ?? row?.name ?? (read.name || read.written)).slice(0, most.name).trim() || 'something',
    ...(read.form && { form: read.form }),
    ...(read.formText && { formText: read.formText }),
    ...(read.alternatives && { alternatives: read.alternatives.slice(0, 4).map((a) => a.slice(0, most.name)) }),
    ...(read.sizeMm && { sizeMm: read.sizeMm }),
    ...(read.note && { note: read.note.slice(0, most.note) }),
    moment: /\b(to serve|for serving|to garnish|for garnish|zum Servieren|pour servir|per servire|para servir)\b/i.test(read.written)
      ? 'cookDay'
      : 'batch',
    scaling: scalingOf(read),
  };
  const fixed = withFix(line, read, written.text, written.fixes?.[id]);
  return {
    line: fixed,
    read,
    offers:
      fixed.item.type === 'unmatched'
        ? [...new Set([...(offered ? [offered.row] : []), ...ctx.finder.search(read.name, 3)])].slice(0, 3)
        : [],
  };
}

/**
 * Written lines as they will be weighed, headings as sections; what was corrected of a line stands.
 * @example composeLines([{ id: 'a', text: 'salt and pepper' }], ctx)[0] // two foods of one text
 */
export function composeLines(written: readonly WrittenLine[], ctx: ReadingContext): ComposedRow[] {
  const { finder, memo = noMemo } = ctx;
  const knows: Knows = (name) => finder.read(name)?.sure ?? false;
  const names = memo([ctx.recipes], 'own names', () => ownNames(ctx.recipes));
  let section: string | undefined;
  return written
    .filter((w) => w.text.trim() !== '')
    .map((w): ComposedRow => {
      const row = memo([w, ctx], `line in ${section ?? ''}`, (): ComposedRow => {
        const named = ownInLine(w.text, names);
        const around = named && readLines(named.masked, knows).find((r) => named.isOwn(r.name));
        const reads: readonly [ReadLine, ...ReadLine[]] = around
          ? [{ ...around, name: named.own.name, written: w.text }]
          : readLines(w.text, knows);
        if (reads[0].heading !== undefined) return { id: w.id, text: w.text, heading: reads[0].heading };
        const foods = w.one ? reads.slice(0, 1) : reads;
        return { id: w.id, text: w.text, foods: foods.map((read, n) => composeFood(w, read, n, foods.length > 1, section, ctx)) };
      });
      if ('heading' in row) section = row.heading || undefined;
      return row;
    });
}

/** A correction of one food of a line, held to the text it was made of. @example fixOf(food, { amount: '3' }) */
export const fixOf = (food: ComposedFood, text: string, before: Fix | undefined, set: Partial<Line>, unset: Fix['unset'] = []): Fix => ({
  text,
  name: food.read.name.slice(0, 200),
  set: { ...(before?.text === text ? before.set : {}), ...set },
  unset: [...new Set([...(before?.text === text ? before.unset : []), ...unset])].filter((key) => !(key in set)),
});
