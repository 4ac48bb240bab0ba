import { revisionSchema, type Kind, type Line, type Revision, type Step, type Writing } from '#core/contract';
import type { Understood } from '../method/index.ts';
import { isRawKind } from '#core/kitchen';
import { kindGuess, lifeGuess, servingByKind, type MadeFrom } from './guesses.ts';
import { composeLines, type ComposedFood, type ComposedRow, type ReadingContext } from './lines.ts';
import { stepsOf, type ReadSteps } from './steps.ts';
import { readPortion, readServing, readYield, type ReadYield } from './yield.ts';

/** What a written recipe leaves open, with where. */
export type Ask =
  | { ask: 'name' | 'lines' | 'makes' | 'kind' }
  | { ask: 'food'; lineId: string; name: string }
  | { ask: 'cannotBeMeant'; lineId: string; text: string; why: 'nothing' | 'tooMuch' }
  | { ask: 'servingTooLarge'; amount: number; unit: 'g' | 'ml' }
  | { ask: 'tooMany'; what: 'lines' | 'steps'; most: number };

/** A recipe as written, with what it is understood as. */
export interface Composed {
  revision: Omit<Revision, 'id' | 'recipeId' | 'madeAt'>;
  rows: ComposedRow[];
  asks: Ask[];
  /** How the method was read; none where all of it was kept as it is. */
  understood: Understood | undefined;
  /** What of it is a guess that the cook has not said or confirmed. */
  guessed: ('kind' | 'makes' | 'serving' | 'storage')[];
}

const most = { lines: 120, steps: 80, serving: 2000, servings: 10_000, tags: 20 };
const cubes: ReadonlySet<Kind> = new Set<Kind>(['puree', 'aromatic']);

const tagsOf = (text: string): string[] =>
  [...new Set(text.split(/[,;\n]/).map((t) => t.trim().slice(0, 40)))].filter(Boolean).slice(0, most.tags);

/** Serving and servings of what is said of both; a total is divided by a serving, never taken for a count (R6). */
function sized(
  made: ReadYield,
  said: Revision['serving'] | undefined,
  base: Partial<Revision>,
  kind: Kind,
  packed?: Revision['serving'],
): { serving: Revision['serving']; servings: number } {
  const { total, count } = made;
  const counted =
    made.each ?? (total && count !== undefined ? { amount: Number((total.amount / count).toFixed(2)), unit: total.unit } : undefined);
  const usual = said ?? counted ?? base.serving ?? packed ?? servingByKind[kind];
  // litres are shared out in millilitres, grams in grams: without a density the one says nothing of the other
  const serving = total && usual.unit !== total.unit && count === undefined && said === undefined ? { ...usual, unit: total.unit } : usual;
  if (count !== undefined) return { serving, servings: count };
  if (total) return { serving, servings: Number((total.amount / serving.amount).toFixed(2)) };
  return { serving, servings: base.servings ?? 4 };
}

const plainNumber = (n: number): string => String(Number(n.toFixed(2)));

/** A serving as it is written in the editor. @example sayServing({ amount: 412.5, unit: 'g' }) // '412.5 g' */
export const sayServing = ({ amount, unit }: Revision['serving']): string => `${plainNumber(amount)} ${unit}`;

/**
 * What a kept recipe makes, in its own words while they still say so: when its size was mended since, in figures.
 * @example sayMakes({ kind: 'meal', servings: 8, serving: { amount: 400, unit: 'g' }, yieldText: 'serves 4' }) // '8 servings'
 */
export function sayMakes(base: Pick<Revision, 'kind' | 'serving' | 'servings' | 'yieldText'>): string {
  const { yieldText, servings } = base;
  const agrees = yieldText !== undefined && Math.abs(sized(readYield(yieldText), base.serving, {}, base.kind).servings - servings) < 0.01;
  return agrees ? yieldText : `${plainNumber(servings)} servings`;
}

/** The size a recipe had, when nothing about it was typed since: figures are rounded to be shown, and stay exact. */
function unchanged(
  { kind, serving, servings, yieldText }: Partial<Revision>,
  writing: Writing,
): Pick<Revision, 'serving' | 'servings'> | undefined {
  if (kind === undefined || serving === undefined || servings === undefined) return undefined;
  const same = writing.makes === sayMakes({ kind, serving, servings, yieldText }) && writing.serving === sayServing(serving);
  return same ? { serving, servings } : undefined;
}

const within = (n: number, low: number, high: number): number => Math.min(high, Math.max(low, n));

/** A method as it was read, with the lines it was read with. */
export interface ReadMethod extends ReadSteps {
  lines: readonly Line[];
}

/** The method of a recipe as it is written, read by itself. @example methodOf(writing, ctx).steps[0]?.kind // 'cut' */
export function methodOf(writing: Writing, ctx: ReadingContext): ReadMethod {
  const rows = composeLines(writing.lines, ctx);
  const lines = rows.flatMap((r) => ('foods' in r ? r.foods.map((f) => f.line) : [])).slice(0, most.lines);
  return { ...stepsOf(writing.steps, lines, { finder: ctx.finder }), lines };
}

/**
 * Understands a recipe as it is written: lines read and matched, steps in their order, kind, yield and storage said or guessed.
 * Law: the revision is always one that the contract takes; what was not understood is asked, never dropped.
 * @param method the method as it was read a moment ago, for whoever shows more than is typed at every key
 * @example compose(writing, { finder, recipes: [] }).asks // what the cook still has to say
 */
export function compose(writing: Writing, ctx: ReadingContext, method?: ReadSteps): Composed {
  const base = writing.base ?? {};
  const name = writing.name.trim().slice(0, 120);
  const rows = composeLines(writing.lines, ctx);
  const foods: ComposedFood[] = rows.flatMap((r) => ('foods' in r ? r.foods : []));
  const lines: Line[] = foods.map((f) => f.line).slice(0, most.lines);
  const read = method ?? stepsOf(writing.steps, lines, { finder: ctx.finder });
  const steps = read.steps.length > most.steps ? read.steps.slice(0, most.steps) : read.steps;
  const paragraphs = paragraphsOf(writing, steps);
  const of: MadeFrom = {
    rows: lines.flatMap((l) => (l.moment === 'batch' && l.item.type === 'ingredient' ? (ctx.finder.byId(l.item.id) ?? []) : [])),
    unknown: lines.flatMap((l) => (l.moment === 'batch' && l.item.type === 'unmatched' ? [l.name] : [])),
    steps,
  };
  const kind = writing.kind ?? base.kind ?? kindGuess(name, of);
  const made = readYield(writing.makes);
  const said = readServing(writing.serving);
  const unsaid = made.count === undefined && made.total === undefined;
  const before = unchanged(base, writing);
  const { serving, servings } = before ?? sized(made, said, base, kind, readPortion(steps.map((s) => s.text)));
  const asks: Ask[] = [
    ...(name ? [] : [{ ask: 'name' } as const]),
    ...(lines.length > 0 ? [] : [{ ask: 'lines' } as const]),
    ...foods.flatMap((f): Ask[] =>
      f.read.asks && f.line.amount === f.read.amount
        ? [{ ask: 'cannotBeMeant', lineId: f.line.id, text: f.line.written, why: f.read.asks }]
        : [],
    ),
    ...foods.flatMap((f): Ask[] =>
      f.line.item.type === 'unmatched' && !f.line.allergens ? [{ ask: 'food', lineId: f.line.id, name: f.line.name }] : [],
    ),
    ...(unsaid ? [{ ask: 'makes' } as const] : []),
    ...(serving.amount > most.serving && kind !== 'broth' ? [{ ask: 'servingTooLarge', ...serving } as const] : []),
    ...(foods.length > most.lines ? [{ ask: 'tooMany', what: 'lines', most: most.lines } as const] : []),
    ...(writing.steps.length > most.steps ? [{ ask: 'tooMany', what: 'steps', most: most.steps } as const] : []),
  ];
  const confirmed = new Set(base.confirmed ?? []);
  if (writing.kind) confirmed.add('kind');
  if (!unsaid && writing.makes.trim() !== '') confirmed.add('yield');
  if (said || made.each) confirmed.add('serving');
  if (writing.lifeId) confirmed.add('storage');
  const guessed: Composed['guessed'] = [
    ...(confirmed.has('kind') ? [] : ['kind' as const]),
    ...(confirmed.has('yield') ? [] : ['makes' as const]),
    ...(confirmed.has('serving') ? [] : ['serving' as const]),
    ...(confirmed.has('storage') ? [] : ['storage' as const]),
  ];
  const rowId = writing.lifeId ?? base.storage?.[0]?.rowId ?? lifeGuess(name, kind, of);
  const { method: _me, yieldText: _y, note: _n, ownReheat: _r, ownThaw: _t, cubeMl, ...others } = base;
  const text = (value: string, chars: number): string | undefined => value.trim().slice(0, chars) || undefined;
  const [yieldText, note, ownReheat, ownThaw] = [
    text(writing.makes, 120),
    text(writing.note, 1000),
    text(writing.ownReheat, 300),
    text(writing.ownThaw, 200),
  ];
  const cube =
    before && base.kind === kind
      ? cubeMl
      : cubes.has(kind)
        ? serving.unit === 'ml' && serving.amount <= 500
          ? serving.amount
          : cubeMl
        : undefined;
  return {
    revision: {
      ...others,
      name: name || 'A recipe without a name',
      kind,
      serving: { amount: within(serving.amount, 0.1, 20_000), unit: serving.unit },
      servings: within(servings, 0.05, most.servings),
      ...(yieldText && { yieldText }),
      ...(cube !== undefined && { cubeMl: within(cube, 0.5, 500) }),
      storage: [
        { rowId, part: base.storage?.[0]?.rowId === rowId ? base.storage[0].part : (name || 'dish').slice(0, 80) },
        ...(base.storage ?? []).slice(1),
      ],
      reheatIds: base.reheatIds ?? [],
      raw: base.raw !== undefined && base.kind === kind ? base.raw : isRawKind(kind),
      lines,
      steps,
      ...(paragraphs && { method: paragraphs }),
      tags: tagsOf(writing.tags),
      source: text(writing.source, 200) ?? 'written here',
      ...(note && { note }),
      ...(ownReheat && { ownReheat }),
      ...(ownThaw && { ownThaw }),
      confirmed: [...confirmed],
    },
    rows,
    asks,
    understood: read.understood,
    guessed,
  };
}

/** The method's paragraphs, where they are other than one a step. */
function paragraphsOf(writing: Writing, steps: readonly Step[]): Revision['method'] {
  const written = writing.steps.filter((w) => w.text.trim() !== '');
  const plain = steps.length === written.length && steps.every((s, i) => s.text === written[i]!.text && s.id === written[i]!.id);
  return plain || written.length === 0
    ? undefined
    : written.map(({ id, text }) => ({ id, text: text.slice(0, 4000) })).slice(0, most.steps);
}

/** Whether a composed recipe is one that the contract takes; a law more than a question. @example isWhole(compose(writing, ctx)) // true */
export const isWhole = (c: Composed): boolean =>
  revisionSchema.omit({ id: true, recipeId: true, madeAt: true }).safeParse(c.revision).success;
