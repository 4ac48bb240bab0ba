import type { Kind } from '#core/contract';
import { leadingMm, setText, textWidthMm, type Run, type Weight } from './text.ts';

/** What a label says. Lines are full sentences; the order of `more` is the order of what stays longest. */
export interface LabelContent {
  packId: string;
  code: string;
  kind: Kind;
  name: string;
  /** `2 portions, 800 ml, 3 of 10`. */
  portions: string;
  /** `Made 28 Nov 2026`. */
  made: string;
  /** `28 Feb 2027`. */
  bestBy: string;
  /** Never left out. */
  allergens: readonly string[];
  /** Never left out: `Not for Osk (2 g salt)`. */
  cautions: readonly string[];
  /** Thaw, reheat, add: goes to the session sheet when it does not fit. */
  more: readonly { head: string; text: string }[];
}

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
  /** What went to the session sheet. */
  moved: { head: string; text: string }[];
}

export interface LabelSize {
  widthMm: number;
  heightMm: number;
}

export type LabelResult = { ok: true; label: DrawnLabel } | { ok: false; why: 'tooSmall'; needed: string };

const pad = 2.2;
const quiet = 4;
/** The least a printed module may measure, so that a phone reads it from a frosty lid. */
const leastModuleMm = 0.4;
const namePts = [14, 13, 12, 11] as const;
const bodyPts = [8, 7.5, 7, 6.5, 6] as const;
const bestByPt = 10;
const codePt = 9;

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

const paragraphs = (content: LabelContent, more: LabelContent['more'], note: boolean): Run[][] => [
  ...content.allergens.map((text): Run[] => {
    const colon = text.indexOf(':');
    return colon < 0
      ? [{ text: `Allergens: ${text}`, weight: 'regular' }]
      : [
          { text: text.slice(0, colon + 1), weight: 'bold' },
          { text: text.slice(colon + 1).trim(), weight: 'regular' },
        ];
  }),
  ...content.cautions.map((text): Run[] => [{ text, weight: 'bold' }]),
  ...more.map(({ head, text }): Run[] => [
    { text: `${head}:`, weight: 'bold' },
    { text, weight: 'regular' },
  ]),
  ...(note ? [[{ text: 'More on the session sheet.', weight: 'regular' } as Run]] : []),
];

/**
 * Lays a label out: name at 11 pt or more and best by at 10 pt, never smaller; the rest from 8 down to 6 pt, then to the session sheet with a line that says so.
 * Allergens and cautions stay, whatever their length.
 * Law: every item lies inside the label and text never runs into the code.
 */
export function drawLabel(content: LabelContent, size: LabelSize, qr: QrModules): LabelResult {
  const module = Math.max(leastModuleMm, Math.min(0.5, 13.5 / (qr.size + 2 * quiet)));
  const qrMm = qr.size * module;
  const quietMm = quiet * module;
  const right = size.widthMm - quietMm - qrMm;
  const codeWidth = textWidthMm(content.code, codePt, 'bold');
  const qrTop = quietMm;
  const qrBottom = qrTop + qrMm + Math.max(quietMm, leadingMm(codePt) + 0.6);
  const rightEdge = right - quietMm;
  const bottom = size.heightMm - pad;
  const widthAt = (y: number): number => (y < qrBottom ? rightEdge : size.widthMm - pad) - pad;
  const markSize = 4.4;

  const nameSet = (): { pt: number; lines: ReturnType<typeof setText> } => {
    const inset = (y: number): number => widthAt(y) - (y < pad + 5 ? markSize + 1.2 : 0);
    for (const pt of namePts) {
      const lines = setText([{ text: content.name, weight: 'bold' }], pt, pad - 0.4, inset);
      if (lines.lines.length === 1 || (pt <= 12 && lines.lines.length <= 2)) return { pt, lines };
    }
    return { pt: 11, lines: setText([{ text: content.name, weight: 'bold' }], 11, pad - 0.4, inset) };
  };
  const name = nameSet();
  const items: DrawItem[] = [{ type: 'mark', kind: content.kind, x: pad, y: pad, size: markSize }];
  const place = (
    lines: ReturnType<typeof setText>['lines'],
    sizePt: number,
    role: 'name' | 'bestBy' | 'body',
    indent: (i: number) => number = () => 0,
  ): void => {
    lines.forEach((line, i) =>
      line.runs.forEach((run) =>
        items.push({ type: 'text', x: pad + indent(i) + run.x, y: line.baseline, sizePt, weight: run.weight, text: run.text, role }),
      ),
    );
  };
  place(name.lines.lines, name.pt, 'name', (i) =>
    i === 0 || (name.lines.lines[i]?.baseline ?? 99) - leadingMm(name.pt) * 0.78 < pad + 5 ? markSize + 1.2 : 0,
  );

  const best = setText(
    [
      { text: 'Best by', weight: 'regular' },
      { text: content.bestBy.replace(/ /g, '\u00A0'), weight: 'bold' },
    ],
    bestByPt,
    Math.max(name.lines.bottom, pad + markSize) + 0.3,
    widthAt,
  );
  place(best.lines, bestByPt, 'bestBy');
  items.push(...qrRects(qr, right, qrTop, module));
  items.push({
    type: 'text',
    x: Math.min(right + (qrMm - codeWidth) / 2, size.widthMm - pad - codeWidth),
    y: qrTop + qrMm + leadingMm(codePt) * 0.95,
    sizePt: codePt,
    weight: 'bold',
    text: content.code,
    role: 'code',
  });

  const body = (pt: number, more: LabelContent['more'], note: boolean): { lines: ReturnType<typeof setText>['lines']; bottom: number } => {
    const all: ReturnType<typeof setText>['lines'] = [];
    let y = best.bottom;
    for (const runs of [[{ text: `${content.portions}. ${content.made}`, weight: 'regular' } as Run], ...paragraphs(content, more, note)]) {
      const set = setText(runs, pt, y, widthAt);
      all.push(...set.lines);
      y = set.bottom + 0.15;
    }
    return { lines: all, bottom: y };
  };
  for (let kept = content.more.length; kept >= 0; kept -= 1) {
    const note = kept < content.more.length;
    const fitting = bodyPts
      .map((pt) => ({ pt, set: body(pt, content.more.slice(0, kept), note) }))
      .find(({ set }) => set.bottom <= bottom + 0.2);
    if (fitting) {
      place(fitting.set.lines, fitting.pt, 'body');
      return {
        ok: true,
        label: { widthMm: size.widthMm, heightMm: size.heightMm, items, bodyPt: fitting.pt, moved: content.more.slice(kept) },
      };
    }
  }
  return {
    ok: false,
    why: 'tooSmall',
    needed: 'The allergens and cautions of this pack need a larger label, or write the code by hand and keep the session sheet with it.',
  };
}
