import type { Revision } from '#core/contract';

/** One thing that two revisions say differently, or that only one of them says. */
export interface Difference {
  part: 'name' | 'makes' | 'lines' | 'steps' | 'keeping' | 'words';
  /** As it was; absent when it is new. */
  before?: string;
  /** As it is; absent when it is gone. */
  after?: string;
}

/** The longest run of texts that both have in the same order, as pairs of places. */
function common(a: readonly string[], b: readonly string[]): [number, number][] {
  const length = a.map(() => new Array<number>(b.length + 1).fill(0));
  length.push(new Array<number>(b.length + 1).fill(0));
  for (let i = a.length - 1; i >= 0; i -= 1)
    for (let j = b.length - 1; j >= 0; j -= 1)
      length[i]![j] = a[i] === b[j] ? length[i + 1]![j + 1]! + 1 : Math.max(length[i + 1]![j]!, length[i]![j + 1]!);
  const pairs: [number, number][] = [];
  for (let i = 0, j = 0; i < a.length && j < b.length;) {
    if (a[i] === b[j]) pairs.push([i++, j++]);
    else if (length[i + 1]![j]! >= length[i]![j + 1]!) i += 1;
    else j += 1;
  }
  return pairs;
}

/** Texts that came, went or were changed; what stands between the same neighbours is one change. */
function listed(part: Difference['part'], a: readonly string[], b: readonly string[]): Difference[] {
  const found: Difference[] = [];
  let [i, j] = [0, 0];
  for (const [x, y] of [...common(a, b), [a.length, b.length] as const]) {
    const [gone, come] = [a.slice(i, x), b.slice(j, y)];
    for (let k = 0; k < Math.max(gone.length, come.length); k += 1)
      found.push({ part, ...(gone[k] !== undefined && { before: gone[k] }), ...(come[k] !== undefined && { after: come[k] }) });
    [i, j] = [x + 1, y + 1];
  }
  return found;
}

const one = (part: Difference['part'], before: string | undefined, after: string | undefined): Difference[] =>
  (before ?? '') === (after ?? '') ? [] : [{ part, ...(before && { before }), ...(after && { after }) }];

const amountOf = (l: Revision['lines'][number]): string => [l.amount, l.amountTo && `to ${l.amountTo}`, l.unit].filter(Boolean).join(' ');
/** A line as it counts: its text, and what was said of it beside. */
const lineText = (l: Revision['lines'][number]): string => {
  const beside = [
    l.scaling.rule === 'proportional' ? '' : l.scaling.rule,
    l.moment === 'batch' ? '' : 'on the day',
    l.written.includes(l.name) ? '' : l.name,
  ].filter(Boolean);
  return `${l.written || `${amountOf(l)} ${l.name}`}${beside.length > 0 ? ` (${beside.join(', ')})` : ''}`;
};
const makes = (r: Revision): string => `${Number(r.servings.toFixed(2))} of ${r.serving.amount} ${r.serving.unit}`;
const stepText = (s: Revision['steps'][number]): string =>
  `${s.text} (${s.handsOnMin} min of hands${s.waitMin > 0 ? `, ${s.waitMin} by itself` : ''})`;

/**
 * What one revision says otherwise than another, part by part, in the order of the recipe.
 * Law: no difference between a revision and itself; swapped, before and after are swapped.
 * @example differences(revision, { ...revision, name: 'Leek pie' }) // [{ part: 'name', before: 'Test stew', after: 'Leek pie' }]
 */
export const differences = (a: Revision, b: Revision): Difference[] => [
  ...one('name', `${a.name}, ${a.kind}`, `${b.name}, ${b.kind}`),
  ...one('makes', makes(a), makes(b)),
  ...listed('lines', a.lines.map(lineText), b.lines.map(lineText)),
  ...listed('steps', a.steps.map(stepText), b.steps.map(stepText)),
  ...one('keeping', a.storage.map((s) => s.rowId).join(', '), b.storage.map((s) => s.rowId).join(', ')),
  ...one('words', a.note, b.note),
  ...one('words', a.ownReheat, b.ownReheat),
  ...one('words', a.ownThaw, b.ownThaw),
  ...one('words', a.tags.join(', '), b.tags.join(', ')),
];
