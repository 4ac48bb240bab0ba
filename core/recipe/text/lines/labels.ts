import { fromNumber, toNumber } from '#core/kitchen';
import type { Knows, ReadLine } from '../line.ts';
import { readLines } from '../line.ts';

/** One reading of a labelled line. */
export interface Label {
  heading: boolean;
  amount?: number;
  amountTo?: number;
  unit?: string;
  name: string;
  form: string;
}

export interface LabelledLine {
  written: string;
  foods: Label[];
}

const numberOf = (text: string): number => {
  const [n = '', d] = text.split('/');
  return d === undefined ? toNumber(fromNumber(Number(n))) : Number(n) / Number(d);
};

function labelOf(cells: readonly string[]): Label {
  const [amount = '', unit = '', name = '', form = ''] = cells.map((c) => c.trim());
  const [low = '', high] = amount === 'heading' ? [''] : amount.split(' to ');
  return {
    heading: amount === 'heading',
    ...(low && { amount: numberOf(low) }),
    ...(high && { amountTo: numberOf(high) }),
    ...(unit && { unit }),
    name,
    form,
  };
}

/** Labelled lines from their table; one that begins with `+` is one more food of the line above. */
export function labelled(table: string): LabelledLine[] {
  const lines: LabelledLine[] = [];
  for (const row of table.split('\n').filter((r) => r.trim())) {
    const [written = '', ...cells] = row
      .split(' | ')
      .flatMap((c) => c.split(/\| |\|$/))
      .map((c) => c.trim());
    if (written === '+') lines.at(-1)?.foods.push(labelOf(cells));
    else lines.push({ written, foods: [labelOf(cells)] });
  }
  return lines;
}

const small = new Set(['and', 'the', 'into', 'in', 'of', 'a']);
const words = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^\p{L}\d'’-]+/u)
    .filter((w) => w !== '' && !small.has(w));
/** A form may keep two words more than the label has. */
const moreWords = 2;

/** What of a reading is wrong; nothing when all of it is right. Case, order and joining words do not count. */
function wrongOf(read: ReadLine, label: Label): string[] {
  if (label.heading || read.heading !== undefined)
    return label.heading === (read.heading !== undefined) && read.name === label.name ? [] : ['heading'];
  const same = (a: string | undefined, b: number | undefined): boolean =>
    a === undefined || b === undefined ? (a === undefined) === (b === undefined) : Math.abs(toNumber(a) - b) < 1e-9;
  const wrong: string[] = [];
  if (!same(read.amount, label.amount) || !same(read.amountTo, label.amountTo)) wrong.push('amount');
  if (read.unit !== label.unit) wrong.push('unit');
  if (words(read.name).toSorted().join(' ') !== words(label.name).toSorted().join(' ')) wrong.push('name');
  const [is, should] = [words(read.formText ?? ''), words(label.form)];
  if (!should.every((w) => is.includes(w)) || is.length - should.length > (should.length === 0 ? 0 : moreWords)) wrong.push('form');
  return wrong;
}

/** What is wrong with how a line is read, food by food; undefined when it is right. @example missOf(line, knows) // 'amount, unit' */
export function missOf(line: LabelledLine, knows?: Knows): string | undefined {
  const read = readLines(line.written, knows);
  if (read.length !== line.foods.length) return `${read.length} foods for ${line.foods.length}`;
  const wrong = read.flatMap((r, i) =>
    wrongOf(r, line.foods[i]!).map(
      (w) => `${w}: ${JSON.stringify({ a: r.amount, to: r.amountTo, u: r.unit, n: r.name, f: r.formText, note: r.note })}`,
    ),
  );
  return wrong.length > 0 ? wrong.join('; ') : undefined;
}
