import Papa from 'papaparse';
import { keptSchema } from '#core/contract';
import { minutesOf } from './duration.ts';
import { fitted, type FileRecipe } from './file.ts';

/** Names of columns, as tables of recipes have them. */
const columns = {
  name: /^(?:name|title|recipe(?: name| title)?|rezept|nom|titre|nome|titolo|nombre|receta)$/i,
  lines: /^(?:ingredients?|ingredient list|lines|zutaten|ingr[ée]dients|ingredienti|ingredientes)$/i,
  amount: /^(?:amount|quantity|qty|menge|quantit[ée]|quantit[àa]|cantidad)$/i,
  unit: /^(?:unit|units|measure|einheit|unit[ée]|unit[àa]|unidad)$/i,
  steps: /^(?:method|directions?|instructions?|steps?|preparation|zubereitung|pr[ée]paration|preparazione|preparaci[óo]n)$/i,
  makes: /^(?:makes|serves|servings?|yields?|portions?|portionen|personnes|porzioni|raciones)$/i,
  tags: /^(?:tags?|category|categories|keywords?|course|cuisine)$/i,
  source: /^(?:source|url|link|author|from|quelle)$/i,
  note: /^(?:notes?|comments?|description|notizen)$/i,
  prep: /^prep(?:aration)?[ _-]?(?:time|min(?:utes)?)?$/i,
  cook: /^cook(?:ing)?[ _-]?(?:time|min(?:utes)?)?$/i,
  total: /^total[ _-]?(?:time|min(?:utes)?)?$/i,
  tambo: /^tambo$/i,
} as const;
type Column = keyof typeof columns;

const minutes = (text: string): number | undefined => (/^\d+$/.test(text) ? Number(text) : minutesOf(text));

/** A cell's lines: broken, or parted by bars or semicolons. */
const listOf = (cell: string): string[] =>
  (/\n/.test(cell)
    ? cell.split(/\r?\n/)
    : /\s\|\s|\|\|/.test(cell)
      ? cell.split(/\s*\|+\s*/)
      : /;/.test(cell)
        ? cell.split(/\s*;\s*/)
        : [cell]
  )
    .map((l) => l.trim())
    .filter(Boolean);

const steps = (cell: string): FileRecipe['steps'] => listOf(cell).map((text) => ({ text: text.replace(/^\d{1,2}[.)]\s+/, '') }));

/** Whether a text is a table of recipes: a first row that names them and what they hold. */
export function looksLikeCsv(text: string): boolean {
  const first = Papa.parse<string[]>(text.slice(0, 4000), { preview: 1, skipEmptyLines: true }).data[0] ?? [];
  const has = (column: Column): boolean => first.some((cell) => columns[column].test(cell.replace(/^\uFEFF/, '').trim()));
  return first.length > 1 && has('lines') && (has('name') || has('amount'));
}

/**
 * Reads a table of recipes: a row a recipe, or a row an ingredient with the recipe's name in it.
 * @example readCsv('name,servings,ingredients,method\nSoup,4,"4 leeks\n1 l stock",Simmer.')[0]?.lines // ['4 leeks', '1 l stock']
 */
export function readCsv(text: string): FileRecipe[] {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const [head = [], ...rows] = data;
  const places = Object.fromEntries(
    (Object.keys(columns) as Column[]).map((column) => [column, head.findIndex((cell) => columns[column].test(cell.trim()))]),
  ) as Record<Column, number>;
  const extra = head.flatMap((cell, i) => (Object.values(places).includes(i) ? [] : [[cell.trim(), i] as const]));
  const recipes = new Map<string, FileRecipe>();
  let last = '';
  rows.forEach((row, n) => {
    // a quote before what looks like a formula was put there by a spreadsheet's export
    const cell = (column: Column): string =>
      places[column] < 0 ? '' : (row[places[column]] ?? '').replace(/^'(?=[=+\-@\t\r])/, '').trim();
    const named = cell('name');
    // a row an ingredient: the name stands in each, or in the first only
    const perLine = places.amount >= 0;
    const key = perLine ? named || last : `${n}`;
    if (perLine) last = key;
    const line = perLine ? [cell('amount'), cell('unit'), cell('lines')].filter(Boolean).join(' ') : '';
    const before = recipes.get(key);
    if (before) {
      if (line) before.lines.push(line);
      if (cell('steps')) before.steps.push(...steps(cell('steps')));
      return;
    }
    let kept: FileRecipe['kept'];
    try {
      const parsed = cell('tambo') ? keptSchema.safeParse(JSON.parse(cell('tambo'))) : undefined;
      kept = parsed?.success ? parsed.data : undefined;
    } catch {
      kept = undefined;
    }
    const [prepMin, cookMin, totalMin] = [minutes(cell('prep')), minutes(cell('cook')), minutes(cell('total'))];
    recipes.set(key, {
      name: named || 'Recipe without a name',
      lines: perLine ? (line ? [line] : []) : listOf(cell('lines')),
      steps: cell('steps') ? steps(cell('steps')) : [],
      ...(cell('makes') && { yieldText: cell('makes').slice(0, 120) }),
      ...(prepMin !== undefined && { prepMin }),
      ...(cookMin !== undefined && { cookMin }),
      ...(totalMin !== undefined && { totalMin }),
      tags: cell('tags')
        .split(/[,;|]/)
        .map((t) => t.trim().slice(0, 40))
        .filter(Boolean)
        .slice(0, 12),
      ...(cell('source') && { source: cell('source').slice(0, 200) }),
      ...(cell('note') && { note: cell('note') }),
      ...(kept && { kept }),
      notUnderstood: extra.flatMap(([field, i]) =>
        row[i]?.trim() ? [{ field: (field || `column ${i + 1}`).slice(0, 60), value: row[i].trim().slice(0, 300) }] : [],
      ),
    });
  });
  return [...recipes.values()].filter((r) => r.lines.length > 0 || r.kept !== undefined).map(fitted);
}
