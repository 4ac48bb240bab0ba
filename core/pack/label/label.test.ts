import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { reheatRows } from '../data/index.ts';
import { codeFrom } from '../code.ts';
import { heatRow, heatWays, labelWays, type HeatForm, type HeatMethod } from '../reheat/index.ts';
import { textWidthMm } from '../text.ts';
import { drawLabel, missingSigns, type DrawnLabel, type LabelContent, type LabelResult, type QrModules } from './index.ts';
import { adviceOf } from '#core/kitchen';
import { testFigures } from '../../kitchen/fixtures.ts';

const qr: QrModules = { size: 25, dark: Array.from({ length: 625 }, (_, i) => i % 3 === 0) };
const size = { widthMm: 63.5, heightMm: 38.1 };
const content = (over: Partial<LabelContent> = {}): LabelContent => ({
  packId: 'p',
  code: codeFrom(77),
  kind: 'meal',
  name: 'Smoky aubergine and chickpea stew',
  portions: '2 portions',
  weight: '800 ml',
  nOf: '3 of 10',
  made: '28 Nov 2026',
  bestBy: '28 Feb 2027',
  allergens: ['Contains: celery', 'Check: chickpeas (read its label)'],
  cautions: ['Not for Osk (2 g salt)'],
  add: [],
  dose: [],
  thaw: '18–44 h in the fridge, then eat within 24 h',
  heat: [
    [
      'From frozen: warm in a covered pan with 80 ml water for 25–35 min, stirring often, to 75 °C right through.',
      'From frozen: warm in a covered pan for 25–35 min, to 75 °C.',
    ],
  ],
  usual: true,
  ...over,
});
const drawn = (c: LabelContent): Extract<LabelResult, { ok: true }> => {
  const r = drawLabel(c, size, qr);
  if (!r.ok) throw new Error(r.needed);
  return r;
};
const textOf = (labels: readonly DrawnLabel[]): string =>
  labels
    .flatMap((l) => l.items)
    .flatMap((i) => (i.type === 'text' ? [i.text] : []))
    .join(' ')
    .replace(/[\s\u00A0]+/g, ' ');
/** What stands below the heads, without the lines that count labels: a sentence longer than a label's room goes on on the next. */
const bodyText = (labels: readonly DrawnLabel[]): string =>
  labels
    .flatMap((l) => l.items)
    .flatMap((i) => (i.type === 'text' && i.role === 'body' ? [i.text] : []))
    .join(' ')
    .replace(/Label \d of \d of this pack\./g, ' ');
/** Spaces are where lines break; words are never broken without need. */
const squeezed = (text: string): string => text.replace(/[\s\u00A0]/g, '');

function expectInside(label: DrawnLabel): void {
  const texts = label.items.filter((i) => i.type === 'text');
  for (const t of texts) {
    expect(t.x + textWidthMm(t.text, t.sizePt, t.weight)).toBeLessThanOrEqual(size.widthMm - 2 + 0.01);
    expect(t.x).toBeGreaterThanOrEqual(2);
    expect(t.y).toBeLessThanOrEqual(size.heightMm - 1.5);
    if (t.role === 'name') expect(t.sizePt).toBeGreaterThanOrEqual(11);
    if (t.role === 'bestBy') expect(t.sizePt).toBeGreaterThanOrEqual(10);
    if (t.role === 'body') expect(t.sizePt >= 6 && t.sizePt <= 8).toBe(true);
  }
  const rects = label.items.filter((i) => i.type === 'rect');
  const left = Math.min(...rects.map((x) => x.x)) - 4 * 0.4 + 0.01;
  const low = Math.max(...rects.map((x) => x.y + x.h));
  for (const t of texts.filter((x) => x.role !== 'code' && x.y < low))
    expect(t.x + textWidthMm(t.text, t.sizePt, t.weight)).toBeLessThanOrEqual(left);
  expect(Math.min(...rects.map((x) => x.h))).toBeGreaterThanOrEqual(0.4);
}

describe('what a label gives up', () => {
  const way = (n: number): string[] => [
    `Way ${n} of heating: warm it slowly in a covered pan and stir it well now and then until it is hot.`,
  ];
  it('is the second way first, then the made date, the weight, the add-on amounts, then words of the first way', () => {
    const add = [
      { name: 'crème fraîche', amount: '60 g' },
      { name: 'parsley', amount: '10 g' },
    ];
    const given: string[][] = [];
    // the same words on ever lower labels
    for (let heightMm = 70; heightMm > 26; heightMm -= 0.25) {
      const r = drawLabel(content({ heat: [content().heat[0]!, way(2)], add }), { ...size, heightMm }, qr);
      if (!r.ok) continue;
      given.push(r.labels.length > 1 ? ['two labels'] : [...new Set(r.moved.map((m) => m.head))]);
    }
    const order = given.filter((g, i) => JSON.stringify(g) !== JSON.stringify(given[i - 1]));
    const all = ['Or', 'Made', 'Weight', 'Add', 'Heat'];
    for (const g of order.filter((x) => x[0] !== 'two labels')) expect(g).toEqual(all.slice(0, g.length));
    expect(order.at(-1)).toEqual(['two labels']);
    expect(order.length).toBeGreaterThan(3);
  });
  it('stands on the session sheet, and the label says so', () => {
    const r = drawn(
      content({
        heat: [content().heat[0]!, way(2), way(3)],
        cautions: Array.from({ length: 3 }, (_, i) => `A caution of some length, ${i}`),
      }),
    );
    expect(r.moved.map((m) => m.text)).toContain(way(2)[0]);
    expect(textOf(r.labels)).toContain('More on the session sheet');
  });
  it('is nothing while there is room: heating stays with a third of the label empty', () => {
    const r = drawn(content({ name: 'Beet soup', allergens: ['none of the 14 declared allergens'], cautions: [] }));
    expect(r.moved).toEqual([]);
    expect(textOf(r.labels)).toContain('25–35 min');
  });
});

describe('a label that cannot hold what must stay', () => {
  it('goes on over a second one of the same pack, both with name, date and code', () => {
    const c = content({
      allergens: Array.from({ length: 9 }, (_, i) => `Check: a bought part with a long name number ${i} (read its label)`),
    });
    const r = drawn(c);
    expect(r.labels.length).toBeGreaterThan(1);
    for (const label of r.labels) {
      expectInside(label);
      expect(textOf([label])).toContain(c.code);
      expect(textOf([label])).toContain('28 Feb 2027');
    }
    for (const line of [...c.allergens, ...c.cautions, c.thaw!]) expect(squeezed(textOf(r.labels))).toContain(squeezed(line));
  });
  it('is divided between its sentences, so that no allergen starts on one label and ends on the next', () => {
    const long = (n: number) => `Contains: ${Array.from({ length: 6 }, (_, i) => `allergenword${n}x${i}`).join(' ')}`;
    const { labels } = drawn(content({ allergens: [long(1), long(2), long(3)] }));
    expect(labels.length).toBeGreaterThan(2);
    const each = labels.map((l) => squeezed(textOf([l])));
    for (const n of [1, 2, 3])
      expect(each.filter((t) => t.includes(`allergenword${n}x`))).toEqual([expect.stringContaining(squeezed(long(n)))]);
  });
  it('refuses in words when not even six labels would do', () =>
    expect(drawLabel(content({ cautions: [Array.from({ length: 900 }, () => 'wordsandwords').join(' ')] }), size, qr)).toMatchObject({
      ok: false,
      why: 'tooSmall',
    }));
});

describe('signs', () => {
  it('of all Latin letters of Europe are there', () => {
    const letters =
      'ÀÁÂÃÄÅÆÇÈÉÊËÌÍÎÏÐÑÒÓÔÕÖØÙÚÛÜÝÞßàáâãäåæçèéêëìíîïðñòóôõöøùúûüýþÿĀāĂăĄąĆćĈĉĊċČčĎďĐđĒēĔĕĖėĘęĚěĜĝĞğĠġĢģĤĥĦħĨĩĪīĬĭĮįİıĴĵĶķĹĺĻļĽľŁłŃńŅņŇňŊŋŌōŎŏŐőŒœŔŕŖŗŘřŚśŜŝŞşŠšŢţŤťŦŧŨũŪūŬŭŮůŰűŲųŴŵŶŷŸŹźŻżŽžȘșȚțẀẁẂẃẄẅỲỳẞ';
    expect(missingSigns(letters)).toEqual([]);
  });
  it('that the type lacks are named and left out, never drawn as boxes', () => {
    const r = drawn(content({ name: 'Stew 鍋 for two 🍲' }));
    expect(r.missing).toEqual(['鍋', '🍲']);
    expect(textOf(r.labels)).toContain('Stew for two');
    expect(drawn(content({ name: '鍋' })).missing).toEqual(['鍋']);
  });
});

describe('two thousand generated labels', () => {
  const rows = reheatRows.map(heatRow);
  const classes = [...new Set(rows.map((r) => r.classId))];
  const letters = 'abcdefghijklmnopqrstuvwxyzäöüßåøæéèêëçñõãłńśźżčďěňřšťůžăâîșțőűğıđ';
  // one word in some hundred thousand would be a table's own
  const word = fc.string({ unit: fc.constantFrom(...letters), minLength: 1, maxLength: 13 }).filter((w) => w !== 'pct');
  const words = (most: number) => fc.array(word, { minLength: 1, maxLength: most }).map((w) => w.join(' '));
  const stoves = {
    has: new Set<HeatMethod>(['hob', 'boil', 'steam', 'oven', 'microwave', 'air fryer', 'pressure cooker', 'slow cooker', 'none']),
    fan: false,
    block: { slowMm: testFigures.blockSlow, mostMm: testFigures.blockMost, longer: testFigures.blockLonger },
  };
  const heatOf = fc
    .record({
      classId: fc.constantFrom(...classes),
      form: fc.constantFrom<HeatForm>('bag', 'tub', 'jar', 'foil', 'dish', 'loose'),
      massG: fc.integer({ min: 30, max: 4000 }),
      mm: fc.integer({ min: 8, max: 90 }),
    })
    .map(({ classId, form, massG, mm }) =>
      heatWays(rows, classId, { forms: [form], massG, volumeMl: massG, thicknessMm: mm }, stoves)
        .filter((w, i) => i === 0 || w.stop === undefined)
        .slice(0, 2)
        .map((w) => labelWays(w, adviceOf('GB', testFigures))),
    );
  const labels = fc.record({
    name: words(6),
    code: fc.nat({ max: 31 ** 4 - 1 }).map(codeFrom),
    heat: heatOf,
    allergens: fc.array(
      words(8).map((w) => `Contains: ${w}`),
      { maxLength: 3 },
    ),
    cautions: fc.array(words(6), { maxLength: 3 }),
    add: fc.array(fc.record({ name: words(2), amount: fc.constantFrom('60 g', '150 ml', '1½ tsp') }), { maxLength: 4 }),
    thaw: fc.constantFrom('18–44 h in the fridge, then eat within 24 h', '7–18 h in the fridge, then cook within 24 h'),
  });
  /** Found by chance: a name of four lines, under which one sentence of heating is longer than the room. */
  const longest = {
    name: 'ğřæêšpžzwőx øëâșňśâåecő oçłśçzğcæğnő ďéůtıboagsńm uvîițțčîtm źpůåüťq',
    code: '8S9Z9',
    heat: [['Too thick to heat from frozen: thaw in the fridge first, then heat to 75 °C right through.']],
    allergens: ['Contains: ťyiøéțpgf e'],
    cautions: [] as string[],
    add: [],
    thaw: '7–18 h in the fridge, then cook within 24 h' as const,
  };
  /** Signs that two labels hold in any words; with more, a long last word of a name can be one line too many. */
  const sureToFit = 400;
  /** A longer name, in the widest letters, leaves no room for a line below it. */
  const sureName = 48;
  it('keep all that may not be lost, whole, inside and in whole sentences, or say in words that a larger one is needed', () => {
    fc.assert(
      fc.property(labels, (over) => {
        const c = content(over);
        const musts = [c.name, c.code, c.bestBy!, ...c.allergens, ...c.cautions, c.thaw!, ...c.add.map((a) => a.name)];
        const r = drawLabel(c, size, qr);
        if (!r.ok) {
          expect(r.needed).toMatch(/need a larger label\. Write the code by hand/);
          const signs = [...musts, c.heat[0]?.at(-1) ?? ''].join(' ').length;
          expect(signs > sureToFit || c.name.length > sureName, `${signs} signs`).toBe(true);
          return;
        }
        for (const label of r.labels) expectInside(label);
        const shown = squeezed(`${textOf(r.labels)} | ${bodyText(r.labels)}`);
        const first = c.heat[0] ?? [];
        for (const must of musts) expect(shown).toContain(squeezed(must));
        // one way of heating stands there as one of its whole sentences
        expect(first.some((s) => shown.includes(squeezed(s)))).toBe(true);
        // what is not printed has moved to the sheet
        const movedText = squeezed(r.moved.map((m) => m.text).join(' '));
        for (const part of [...c.heat.slice(1).map((w) => w[0] ?? ''), c.made!, c.weight])
          expect(shown.includes(squeezed(part)) || movedText.includes(squeezed(part)), part).toBe(true);
        expect(textOf(r.labels)).not.toMatch(/undefined|NaN|(?<![\p{L}])pct(?![\p{L}])|�/u);
      }),
      // a failing label is told as it is: making it smaller takes longer than reading it
      { numRuns: process.env.TAMBO_THOROUGH ? 2000 : 400, endOnFailure: true, examples: [[longest]] },
    );
  });
});
