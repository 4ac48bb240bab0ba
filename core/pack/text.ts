import { boldWidths, regularWidths } from './data/widths.rows.ts';

export type Weight = 'regular' | 'bold';
/** Points in a millimetre. */
export const ptPerMm = 72 / 25.4;

/**
 * Width of a text in millimetres at a size in points, kerning off; unknown signs count as the widest letter.
 * @example textWidthMm('Leek gratin', 9, 600) // millimetres on paper
 */
export function textWidthMm(text: string, sizePt: number, weight: Weight): number {
  const table = weight === 'bold' ? boldWidths : regularWidths;
  const thousandths = [...text].reduce((sum, sign) => sum + (table[sign] ?? table['M'] ?? 900), 0);
  return ((thousandths / 1000) * sizePt) / ptPerMm;
}

/** Height from one baseline to the next. @example leadingMm(9) // from line to line at 9 pt */
export const leadingMm = (sizePt: number): number => (sizePt * 1.16) / ptPerMm;

/** A piece of a paragraph in one weight. */
export interface Run {
  text: string;
  weight: Weight;
}

export interface SetLine {
  runs: { text: string; weight: Weight; x: number }[];
  /** From the top of the block to the baseline. */
  baseline: number;
}

/** Breaks a word that is wider than the line, sign by sign. */
function pieces(word: string, widthMm: number, sizePt: number, weight: Weight): string[] {
  const out: string[] = [];
  let part = '';
  for (const sign of word) {
    if (part && textWidthMm(part + sign, sizePt, weight) > widthMm) {
      out.push(part);
      part = sign;
    } else part += sign;
  }
  return part ? [...out, part] : out;
}

/**
 * Sets runs of text into lines; `widthAt` gives the width free at a height, so that text can flow round the code.
 * Law: no line is wider than what is free there, and no sign of the text is lost.
 * @example setText([{ text: 'Leek gratin', weight: 600 }], 9, 2, () => 58).lines // one line
 */
export function setText(
  runs: readonly Run[],
  sizePt: number,
  top: number,
  widthAt: (y: number) => number,
): { lines: SetLine[]; bottom: number } {
  const lead = leadingMm(sizePt);
  const lines: SetLine[] = [];
  let current: SetLine['runs'] = [];
  let x = 0;
  let y = top;
  const close = (): void => {
    if (current.length > 0) lines.push({ runs: current, baseline: y + lead * 0.78 });
    current = [];
    x = 0;
    y += lead;
  };
  for (const run of runs) {
    const words = run.text.split(/ +/).filter(Boolean);
    for (const word of words) {
      const width = widthAt(y);
      for (const piece of textWidthMm(word, sizePt, run.weight) > width
        ? pieces(word, Math.max(5, Math.min(width, widthAt(y + lead))), sizePt, run.weight)
        : [word]) {
        const w = textWidthMm(piece, sizePt, run.weight);
        const space = x > 0 ? textWidthMm(' ', sizePt, run.weight) : 0;
        if (x > 0 && x + space + w > widthAt(y) + 1e-9) close();
        const gap = x > 0 ? space : 0;
        const last = current[current.length - 1];
        if (last && last.weight === run.weight && gap > 0) last.text += ` ${piece}`;
        else current.push({ text: piece, weight: run.weight, x: x + gap });
        x += gap + w;
      }
    }
  }
  if (current.length > 0) close();
  return { lines, bottom: y };
}
