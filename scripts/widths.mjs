/** Makes core/pack/data/widths.rows.ts: advance widths of Source Sans 3 in thousandths of an em, from the very files that go into the PDF. */
import { readFileSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
const require = createRequire(import.meta.url);
const fontkit = require('fontkit');
const root = new URL('..', import.meta.url).pathname;
const file = (set, weight) =>
  fontkit.create(readFileSync(`${root}node_modules/@fontsource/source-sans-3/files/source-sans-3-${set}-${weight}-normal.woff`));
const points = [...Array(0x250).keys()]
  .slice(0x20)
  .concat([...Array(0x100).keys()].map((n) => 0x1e00 + n))
  .concat([0x2013, 0x2014, 0x2018, 0x2019, 0x201c, 0x201d, 0x2022, 0x2026, 0x2044, 0x20ac, 0x00d7]);
const table = (weight) => {
  const fonts = [file('latin', weight), file('latin-ext', weight)];
  return points.flatMap((cp) => {
    const font = fonts.find((f) => f.hasGlyphForCodePoint(cp));
    return font ? [[String.fromCodePoint(cp), Math.round((font.glyphForCodePoint(cp).advanceWidth / font.unitsPerEm) * 1000)]] : [];
  });
};
const lines = (name, rows) => `export const ${name}: Readonly<Record<string, number>> = ${JSON.stringify(Object.fromEntries(rows))};\n`;
writeFileSync(
  `${root}core/pack/data/widths.rows.ts`,
  `/** Advance widths of Source Sans 3 in thousandths of an em; made by scripts/widths.mjs. */\n${lines('regularWidths', table(400))}${lines('boldWidths', table(700))}`,
);
