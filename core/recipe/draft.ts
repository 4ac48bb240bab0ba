import type { Kind, Line, Revision, Step } from '#core/contract';
import { isRawKind, toNumber, type IngredientFinder, type IngredientRow } from '#core/kitchen';
import type { FileRecipe } from './jsonld/index.ts';
import { minutesOf } from './jsonld/index.ts';
import { readLine, type ReadLine } from './text/line.ts';

/** A recipe read from a file, with every guess marked, ready for the review card. */
export interface RecipeDraft {
  revision: Omit<Revision, 'id' | 'recipeId' | 'madeAt'>;
  /** Lines whose ingredient was not recognised, by id. */
  unmatched: string[];
  /** What the file held that is not used; shown, never dropped. */
  notUnderstood: { field: string; value: string }[];
  yieldText?: string;
}

const kindWords: readonly [RegExp, Kind][] = [
  [/\b(broth|stock)\b/i, 'broth'],
  [/\bpur[ée]es?\b|\bbaby\b/i, 'puree'],
  [/\b(paste|pesto|cubes)\b/i, 'aromatic'],
  [/\b(bread|rolls?|wraps?|buns?|flatbreads?|dough)\b/i, 'bread'],
  [/\b(sauce|base|filling|gravy)\b/i, 'base'],
  [/\b(dried|powder|jerky|crisps)\b/i, 'dried'],
  [/\bkit\b/i, 'kit'],
];

/** Storage row by what the name says, else by kind: the cautious one of its group, marked as a guess until confirmed. */
const storageWords: readonly [RegExp, string][] = [
  [/\bfish pie\b|\bfish\b|\bsalmon\b|\bhaddock\b/i, 'fish_cooked'],
  [/\bsoup\b/i, 'soup_veg'],
  [/\b(lentil|dal|dhal)\b/i, 'lentils_cooked'],
  [/\bmeatballs?\b/i, 'meatballs'],
  [/\b(curry|coconut)\b/i, 'curry'],
  [/\b(gratin|bake|casserole)\b/i, 'casserole_baked'],
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
const servingByKind: Readonly<Record<Kind, Revision['serving']>> = {
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

const waitingWords = /\b(simmer|bake|roast|braise|rest|chill|soak|steep|prove|proof|cool|boil|stew|marinate|leave|reduce|steam)\b/i;

function needsOf(text: string): Step['needs'] {
  const needs: Step['needs'] = [];
  const temp = /(\d{2,3})\s*°?\s*C\b/i.exec(text);
  if (/\b(oven|bake|roast)\b/i.test(text)) needs.push({ kind: 'oven', ...(temp?.[1] && { tempC: Number(temp[1]) }) });
  if (/\b(simmer|boil|fry|sweat|soften|sear|brown|pot|saucepan|pan|hob)\b/i.test(text) && needs.length === 0) needs.push({ kind: 'hob' });
  if (/\b(blend|blitz|pur[ée]e)\b/i.test(text)) needs.push({ kind: 'blender' });
  return needs;
}

function hazardsOf(text: string): Step['hazards'] {
  const hazards: Step['hazards'] = [];
  if (/\b(blend|blitz|pur[ée]e)\b/i.test(text)) hazards.push('hotBlending');
  if (/\b(chicken|turkey|poultry)\b/i.test(text)) hazards.push('rawPoultry');
  if (/\b(kidney beans?|dried beans?)\b/i.test(text)) hazards.push('beans');
  return hazards;
}

/** Words of names that say nothing about which ingredient a step means. */
const commonWords = new Set(['tinned', 'chopped', 'fresh', 'dried', 'ground', 'cooked', 'white', 'plain', 'whole', 'table']);

function usesOf(text: string, lines: readonly Line[], used: Map<string, boolean>): Step['uses'] {
  const low = text.toLowerCase();
  return lines
    .filter((line) =>
      line.name
        .toLowerCase()
        .split(/\s+/)
        .some((word) => word.length > 3 && !commonWords.has(word) && low.includes(word.replace(/(?:oes|es|s)$/, ''))),
    )
    .filter((line) => {
      if (used.has(line.id)) return false;
      used.set(line.id, true);
      return true;
    })
    .map((line) => ({ lineId: line.id, share: 1 }));
}

/** The ingredient a line means; what comes in a tin is looked for among the tins first. */
function matchLine(written: string, read: ReadLine, finder: IngredientFinder): IngredientRow | undefined {
  const tinned = /\b(tins?|cans?|tinned|canned)\b/i.test(written);
  const asTin = tinned ? finder.match(`tinned ${read.form === 'chopped' ? 'chopped ' : ''}${read.name}`) : undefined;
  return asTin ?? finder.match(read.name) ?? finder.match(written);
}

/**
 * Turns a file's recipe into a draft: lines read and matched, steps in a chain with guessed minutes (DECISIONS 11), kind, serving, storage and yield guessed.
 * @param ids gives a fresh id for each line and step
 * @example draftRecipe(read, finder, newId).revision.lines[0] // '3 leeks, sliced', understood
 */
export function draftRecipe(file: FileRecipe, finder: IngredientFinder, ids: () => string): RecipeDraft {
  let section: string | undefined;
  const lines: Line[] = [];
  for (const written of file.lines) {
    const read = readLine(written);
    if (read.heading) {
      section = read.heading.slice(0, 80);
      continue;
    }
    const found = matchLine(written, read, finder);
    const scaling: Line['scaling'] =
      read.toTaste || read.unit === 'pinch'
        ? { rule: 'toTaste' }
        : read.unit === 'piece' && Number.isInteger(toNumber(read.amount ?? '1')) && /egg|bay/i.test(read.name)
          ? { rule: 'whole' }
          : { rule: 'proportional' };
    lines.push({
      id: ids(),
      written: written.slice(0, 400),
      ...(section && { section }),
      ...(read.amount !== undefined && { amount: read.amount }),
      ...(read.amountTo !== undefined && { amountTo: read.amountTo }),
      ...(read.unit && { unit: read.unit }),
      item: found ? { type: 'ingredient', id: found.id } : { type: 'unmatched' },
      name: (found?.name ?? read.name).slice(0, 160),
      ...(read.form && { form: read.form }),
      ...(read.sizeMm && { sizeMm: read.sizeMm }),
      ...(read.note && { note: read.note }),
      moment: /\b(to serve|for serving)\b/i.test(written) ? 'cookDay' : 'batch',
      scaling,
    });
  }

  const used = new Map<string, boolean>();
  const steps: Step[] = [];
  for (const { text, section: part } of file.steps) {
    const stated = minutesOf(text);
    const waits = stated !== undefined && waitingWords.test(text);
    const previous = steps.at(-1);
    steps.push({
      id: ids(),
      text: (part ? `${part}: ${text}` : text).slice(0, 1200),
      uses: usesOf(text, lines, used),
      needs: needsOf(text),
      handsOnMin: waits ? 3 : (stated ?? 5),
      handsOnPerKgMin: 0,
      waitMin: waits ? (stated ?? 0) : 0,
      hazards: hazardsOf(text),
      after: previous ? [previous.id] : [],
      guess: true,
    });
  }

  const kind = firstOf(kindWords, file.name) ?? 'meal';
  const rowId = kind === 'meal' ? (firstOf(storageWords, file.name) ?? storageByKind.meal) : storageByKind[kind];
  return {
    revision: {
      name: file.name.slice(0, 120),
      kind,
      serving: servingByKind[kind],
      servings: file.servings ?? 4,
      ...((kind === 'puree' || kind === 'aromatic') && { cubeMl: servingByKind[kind].amount }),
      storage: [{ rowId, part: file.name.slice(0, 80) }],
      reheatIds: [],
      raw: isRawKind(kind),
      lines,
      steps,
      tags: file.tags,
      source: file.author ? `by ${file.author}`.slice(0, 200) : 'from a file',
      confirmed: [],
    },
    unmatched: lines.filter((l) => l.item.type === 'unmatched').map((l) => l.id),
    notUnderstood: file.notUnderstood,
    ...(file.yieldText && { yieldText: file.yieldText }),
  };
}
