import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Kind } from '#core/contract';
import { labelSpots, ptPerMm, type DrawnLabel, type LabelGrid, type Weight } from '#core/pack';
import { kindPaths } from '#core/pack';

const fromHere = createRequire(import.meta.url);
const fontFile = (set: string, weight: number): Buffer =>
  readFileSync(fromHere.resolve(`@fontsource/source-sans-3/files/source-sans-3-${set}-${weight}-normal.woff`));

type Sets = Record<Weight, { latin: Buffer; ext: Buffer }>;
let fonts: Sets | undefined;
const fontSets = (): Sets =>
  (fonts ??= {
    regular: { latin: fontFile('latin', 400), ext: fontFile('latin-ext', 400) },
    bold: { latin: fontFile('latin', 700), ext: fontFile('latin-ext', 700) },
  });

interface Glyph {
  advanceWidth: number;
}

/** The part of pdfkit's font that is used here: its own font file, and how it lays a text out. */
interface PdfFont {
  font: { hasGlyphForCodePoint(point: number): boolean; glyphForCodePoint(point: number): Glyph };
  scale: number;
  layout: (text: string) => { glyphs: Glyph[]; positions: object[]; advanceWidth: number };
}

/** One glyph a sign, no kerning and no ligatures: the widths that core measured are the widths on paper, and nothing is shaped twice. */
function unshaped(font: PdfFont): PdfFont {
  const known = new Map<number, Glyph>();
  const glyph = (point: number): Glyph => {
    const g = known.get(point) ?? font.font.glyphForCodePoint(point);
    known.set(point, g);
    return g;
  };
  font.layout = (text) => {
    const glyphs = [...text].map((sign) => glyph(sign.codePointAt(0) ?? 63));
    const widths = glyphs.map((g) => g.advanceWidth * font.scale);
    return {
      glyphs,
      positions: widths.map((w) => ({ xAdvance: w, yAdvance: 0, xOffset: 0, yOffset: 0, advanceWidth: w })),
      advanceWidth: widths.reduce((sum, w) => sum + w, 0),
    };
  };
  return font;
}

/** Splits a text into runs that one of two font files can draw; a sign that neither has becomes a question mark. */
function runsOf(text: string, latin: PdfFont, ext: PdfFont): { text: string; ext: boolean }[] {
  const runs: { text: string; ext: boolean }[] = [];
  for (const sign of text) {
    const point = sign.codePointAt(0) ?? 63;
    const inLatin = latin.font.hasGlyphForCodePoint(point);
    const inExt = !inLatin && ext.font.hasGlyphForCodePoint(point);
    const shown = inLatin || inExt ? sign : '?';
    const last = runs[runs.length - 1];
    if (last && last.ext === inExt) last.text += shown;
    else runs.push({ text: shown, ext: inExt });
  }
  return runs;
}

/**
 * Labels on sheets as a PDF: draws core's list, nothing of its own.
 * @param start first free label of the first sheet
 */
export async function labelsPdf(labels: readonly DrawnLabel[], grid: LabelGrid, start: number, createdAt: Date): Promise<Buffer> {
  const { default: PDFDocument } = await import('pdfkit');
  const doc = new PDFDocument({ autoFirstPage: false, margin: 0, info: { Title: 'Labels', CreationDate: createdAt } });
  const chunks: Buffer[] = [];
  doc.on('data', (chunk: Buffer) => chunks.push(chunk));
  const done = new Promise<Buffer>((resolve) => doc.on('end', () => resolve(Buffer.concat(chunks))));
  const sets = fontSets();
  const used = {} as Record<Weight, { latin: PdfFont; ext: PdfFont }>;
  for (const weight of ['regular', 'bold'] as const) {
    doc.registerFont(`${weight}-latin`, sets[weight].latin);
    doc.registerFont(`${weight}-ext`, sets[weight].ext);
  }
  const page = { size: [grid.pageMm.w * ptPerMm, grid.pageMm.h * ptPerMm] as [number, number], margin: 0 };
  const fontOf = (name: string): PdfFont => unshaped((doc.font(name) as unknown as { _font: PdfFont })._font);
  const spots = labelSpots(labels.length, start, grid);
  let pages = 0;
  labels.forEach((label, i) => {
    const spot = spots[i];
    if (!spot) return;
    while (pages <= spot.page) {
      doc.addPage(page);
      pages += 1;
    }
    for (const weight of ['regular', 'bold'] as const) used[weight] ??= { latin: fontOf(`${weight}-latin`), ext: fontOf(`${weight}-ext`) };
    doc.fillColor('#000');
    // the dark modules of a code are one path, filled once: a rectangle at a time takes four times as long
    const bars = label.items.flatMap((item) => (item.type === 'rect' ? [item] : []));
    for (const bar of bars) doc.rect((spot.x + bar.x) * ptPerMm, (spot.y + bar.y) * ptPerMm, bar.w * ptPerMm, bar.h * ptPerMm);
    if (bars.length > 0) doc.fill();
    for (const item of label.items) {
      const x = (spot.x + item.x) * ptPerMm;
      const y = (spot.y + item.y) * ptPerMm;
      if (item.type === 'mark') drawMark(doc, item.kind, x, y, (item.size * ptPerMm) / 20);
      else if (item.type === 'text') {
        let at = x;
        const runs = runsOf(item.text, used[item.weight].latin, used[item.weight].ext);
        for (const run of runs) {
          const options = { lineBreak: false, baseline: 'alphabetic' as const };
          doc.font(`${item.weight}-${run.ext ? 'ext' : 'latin'}`).fontSize(item.sizePt);
          doc.text(run.text, at, y, options);
          if (runs.length > 1) at += doc.widthOfString(run.text, options);
        }
      }
    }
  });
  doc.end();
  return done;
}

function drawMark(doc: PDFKit.PDFDocument, kind: Kind, x: number, y: number, scale: number): void {
  doc.save().translate(x, y).scale(scale).path(kindPaths[kind]).fill().restore();
}
