import type { Kind } from '#core/contract';
import { leadingMm, setText, textWidthMm, type Run, type SetLine, type Weight } from '../text.ts';
import { levelsOf, movedAt, paragraphsAt, printableContent, type LabelContent, type MovedPart } from './content.ts';

export interface QrModules {
  size: number;
  /** Row by row, true is dark. */
  dark: readonly boolean[];
}

/** Everything drawn, in millimetres from the label's top left; page, PDF and PNG draw the same list. */
export type DrawItem =
  | { type: 'text'; x: number; y: number; sizePt: number; weight: Weight; text: string; role: 'name' | 'bestBy' | 'code' | 'body' }
  | { type: 'rect'; x: number; y: number; w: number; h: number }
  | { type: 'mark'; x: number; y: number; size: number; kind: Kind };

export interface DrawnLabel {
  widthMm: number;
  heightMm: number;
  items: DrawItem[];
  /** Point size the body ended at. */
  bodyPt: number;
}

export interface LabelSize {
  widthMm: number;
  heightMm: number;
}

/** The labels of one pack: one, or more when what may never be left out needs them. */
export type LabelResult =
  | { ok: true; labels: DrawnLabel[]; moved: MovedPart[]; /** Signs that the type lacks, left out. */ missing: string[] }
  | { ok: false; why: 'tooSmall'; needed: string };

const pad = 2.2;
const quiet = 4;
/** The least a printed module may measure, so that a phone reads it from a frosty lid. */
const leastModuleMm = 0.4;
const namePts = [14, 13, 12, 11] as const;
const bodyPts = [8, 7.5, 7, 6.5, 6] as const;
const leastPt = 6;
const bestByPt = 10;
const codePt = 9;
const markSize = 4.4;
/** More labels than this for one pack help nobody. */
const mostLabels = 6;

/** Dark modules merged into horizontal bars. */
function qrRects(qr: QrModules, x: number, y: number, module: number): DrawItem[] {
  const items: DrawItem[] = [];
  for (let row = 0; row < qr.size; row += 1) {
    let from = -1;
    for (let col = 0; col <= qr.size; col += 1) {
      const dark = col < qr.size && qr.dark[row * qr.size + col] === true;
      if (dark && from < 0) from = col;
      if (!dark && from >= 0) {
        items.push({ type: 'rect', x: x + from * module, y: y + row * module, w: (col - from) * module, h: module });
        from = -1;
      }
    }
  }
  return items;
}

/** What stands on every label of a pack, and the room it leaves. */
interface Head {
  items: DrawItem[];
  top: number;
  bottom: number;
  widthAt: (y: number) => number;
}

const textItems = (
  lines: readonly SetLine[],
  sizePt: number,
  role: 'name' | 'bestBy' | 'body',
  indent: (i: number) => number = () => 0,
): DrawItem[] =>
  lines.flatMap((line, i) =>
    line.runs.map((run): DrawItem => ({
      type: 'text',
      x: pad + indent(i) + run.x,
      y: line.baseline,
      sizePt,
      weight: run.weight,
      text: run.text,
      role,
    })),
  );

/** Name, best by, code and its QR: the name at 11 pt or more and best by at 10 pt, never smaller. */
function headOf(content: LabelContent, size: LabelSize, qr: QrModules): Head {
  const module = Math.max(leastModuleMm, Math.min(0.5, 13.5 / (qr.size + 2 * quiet)));
  const qrMm = qr.size * module;
  const quietMm = quiet * module;
  const right = size.widthMm - quietMm - qrMm;
  const codeWidth = textWidthMm(content.code, codePt, 'bold');
  const qrBottom = quietMm + qrMm + Math.max(quietMm, leadingMm(codePt) + 0.6);
  const widthAt = (y: number): number => (y < qrBottom ? right - quietMm : size.widthMm - pad) - pad;
  const besideMark = (y: number): number => (y < pad + 5 ? markSize + 1.2 : 0);
  const nameRuns: Run[] = [{ text: content.name, weight: 'bold' }];
  const set = (pt: number) => setText(nameRuns, pt, pad - 0.4, (y) => widthAt(y) - besideMark(y));
  const pt = namePts.find((p) => set(p).lines.length === 1 || (p <= 12 && set(p).lines.length <= 2)) ?? 11;
  const name = set(pt);
  const dated: Run[] =
    content.bestBy === undefined
      ? [{ text: content.undated ?? 'Date not known', weight: 'bold' }]
      : [
          { text: 'Best by', weight: 'regular' },
          { text: content.bestBy.replace(/ /g, '\u00A0'), weight: 'bold' },
        ];
  const best = setText(dated, bestByPt, Math.max(name.bottom, pad + markSize) + 0.3, widthAt);
  return {
    items: [
      { type: 'mark', kind: content.kind, x: pad, y: pad, size: markSize },
      ...textItems(name.lines, pt, 'name', (i) =>
        i === 0 ? besideMark(0) : besideMark((name.lines[i]?.baseline ?? 99) - leadingMm(pt) * 0.78),
      ),
      ...textItems(best.lines, bestByPt, 'bestBy'),
      ...qrRects(qr, right, quietMm, module),
      {
        type: 'text',
        x: Math.min(right + (qrMm - codeWidth) / 2, size.widthMm - pad - codeWidth),
        y: quietMm + qrMm + leadingMm(codePt) * 0.95,
        sizePt: codePt,
        weight: 'bold',
        text: content.code,
        role: 'code',
      },
    ],
    top: best.bottom,
    bottom: size.heightMm - pad + 0.2,
    widthAt,
  };
}

/** Paragraphs set below a head, and where they end. */
function bodyOf(head: Head, paragraphs: readonly Run[][], pt: number): { lines: SetLine[]; bottom: number } {
  const lines: SetLine[] = [];
  let y = head.top;
  for (const runs of paragraphs) {
    const set = setText(runs, pt, y, head.widthAt);
    lines.push(...set.lines);
    y = set.bottom + 0.15;
  }
  return { lines, bottom: y };
}

const fits = (head: Head, paragraphs: readonly Run[][], pt: number): boolean => bodyOf(head, paragraphs, pt).bottom <= head.bottom;

const labelOf = (head: Head, size: LabelSize, paragraphs: readonly Run[][], pt: number): DrawnLabel => ({
  ...size,
  items: [...head.items, ...textItems(bodyOf(head, paragraphs, pt).lines, pt, 'body')],
  bodyPt: pt,
});

const wordsOf = (paragraph: readonly Run[]): Run[] => paragraph.flatMap((r) => r.text.split(/ +/).map((text) => ({ ...r, text })));

/** As many paragraphs as fit under a head; one that is longer than a label is divided between its sentences, a sentence between words; the rest goes on. */
function poured(head: Head, paragraphs: readonly Run[][], pt: number): { here: Run[][]; rest: Run[][] } | undefined {
  let n = paragraphs.length;
  while (n > 0 && !fits(head, paragraphs.slice(0, n), pt)) n -= 1;
  const here = paragraphs.slice(0, n);
  const next = paragraphs[n];
  if (n > 0 || !next) return { here, rest: paragraphs.slice(n) };
  const words = wordsOf(next);
  let low = 0;
  let high = words.length;
  while (low < high) {
    const mid = (low + high + 1) >> 1;
    if (fits(head, [words.slice(0, mid)], pt)) low = mid;
    else high = mid - 1;
  }
  const whole = words.slice(0, low).findLastIndex((w) => /[.!?]$/.test(w.text)) + 1;
  const cut = whole || low;
  return cut === 0 ? undefined : { here: [words.slice(0, cut)], rest: [words.slice(cut), ...paragraphs.slice(1)] };
}

/** What may never be left out, over as many labels as it needs. */
function overLabels(head: Head, size: LabelSize, paragraphs: readonly Run[][], pt: number): DrawnLabel[] | undefined {
  const labels: Run[][][] = [];
  let rest: Run[][] = [...paragraphs];
  while (rest.length > 0) {
    if (labels.length === mostLabels) return undefined;
    // the line that says which label this is stands first, and its room is kept
    const p = poured(head, [[{ text: 'Label 8 of 8 of this pack.', weight: 'regular' }], ...rest], pt);
    if (!p || p.here.length < 2) {
      const alone = p && poured({ ...head, top: head.top + leadingMm(pt) + 0.15 }, rest, pt);
      if (!alone) return undefined;
      labels.push(alone.here);
      rest = alone.rest;
    } else {
      labels.push(p.here.slice(1));
      rest = p.rest;
    }
  }
  return labels.map((body, i) =>
    labelOf(head, size, [[{ text: `Label ${i + 1} of ${labels.length} of this pack.`, weight: 'regular' }], ...body], pt),
  );
}

const moreNote = 'More on the session sheet.';

/**
 * Lays a pack's label out: the body from 8 down to 6 pt, then giving up what may be given up with a line that says so, then on a second label.
 * Laws: every item lies inside its label, text never runs into the code, nothing that may never be left out is.
 * @example drawLabel(content, { widthMm: 63.5, heightMm: 38.1 }, qr) // its words, placed, or that they do not fit
 */
export function drawLabel(given: LabelContent, size: LabelSize, qr: QrModules): LabelResult {
  const { content, missing } = printableContent(given);
  const head = headOf(content, size, qr);
  const levels = levelsOf(content);
  for (const [i, level] of levels.entries()) {
    const paragraphs = paragraphsAt(content, level, i === 0 ? undefined : moreNote);
    const pt = bodyPts.find((p) => fits(head, paragraphs, p));
    if (pt !== undefined) return { ok: true, labels: [labelOf(head, size, paragraphs, pt)], moved: movedAt(content, level), missing };
  }
  const [whole] = levels;
  const paragraphs = whole ? paragraphsAt(content, whole, undefined) : [];
  const two = bodyPts.map((p) => overLabels(head, size, paragraphs, p)).find((labels) => labels && labels.length <= 2);
  const labels = two ?? overLabels(head, size, paragraphs, leastPt);
  return labels
    ? { ok: true, labels, moved: [], missing }
    : {
        ok: false,
        why: 'tooSmall',
        needed:
          'The name, allergens and cautions of this pack need a larger label. Write the code by hand, and keep the session sheet with it.',
      };
}
