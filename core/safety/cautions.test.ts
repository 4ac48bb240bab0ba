import { describe, expect, it } from 'vitest';
import { sources } from '#core/kitchen/data';
import { allergenRows, clockRows, hazardRows, hiddenAllergenRows, hotBlendingRows, setpointRows } from './data/index.ts';
import { cautions, cautionsFor } from './index.ts';
import { testFigures } from '../kitchen/fixtures.ts';

describe('cautions', () => {
  it.each(cautions.map((c) => [c.id, c] as const))('%s: reason, source, who comes first, and no promise', (_, c) => {
    expect(c.why.length).toBeGreaterThan(10);
    for (const code of c.source.split('; ')) expect(Object.keys(sources)).toContain(code);
    expect(c.defer.length).toBeGreaterThan(10);
    for (const text of Object.values(c.text))
      expect(typeof text === 'function' ? text(testFigures) : text).not.toMatch(/\b(is|are) safe\b|\bsafely\b|perfectly/i);
  });
  it('says every place something in every country', () => {
    for (const country of ['GB', 'US', 'EU'] as const)
      for (const c of cautions) expect(cautionsFor([c.place], country, testFigures).length).toBeGreaterThan(0);
  });
  it('tells the UK limit to the UK', () => expect(cautionsFor(['reheating'], 'GB', testFigures)[0]!.text).toContain('once only'));
});

describe('safety reference rows', () => {
  it.each(Object.entries({ allergenRows, clockRows, hiddenAllergenRows, setpointRows }))('%s: unique ids and a source', (_, rows) => {
    expect(new Set(rows.map((r) => r.id)).size).toBe(rows.length);
    for (const r of rows) expect(r.source.length).toBeGreaterThan(0);
  });
  it('lists the 14 of the UK', () => expect(allergenRows.filter((r) => r.uk14 === 'yes').length).toBe(14));
});

/** Both figures of every "74 C (165 F)" and "57 to 21 C (135 to 70 F)" in a text. */
const pairsIn = (text: string): [c: number[], f: number[]][] =>
  [...text.matchAll(/([-\d.]+(?: ?(?:to|-) ?[-\d.]+)?) C \(([-\d.]+(?: ?(?:to|-) ?[-\d.]+)?) F\)/g)].map((m) => [
    figuresIn(m[1]!),
    figuresIn(m[2]!),
  ]);

/** The figures of "57 to 21" or "4-60"; a minus counts only where no figure stands before it. */
const figuresIn = (text: string): number[] => [...text.matchAll(/(?<!\d)-?\d+(?:\.\d+)?/g)].map((m) => Number(m[0]));

/** Limits are rounded to a round number of their own scale, so two degrees Fahrenheit apart is the same limit. */
const agree = (c: readonly number[], f: readonly number[]) => {
  expect(f).toHaveLength(c.length);
  c.forEach((x, i) => expect(Math.abs(x * 1.8 + 32 - f[i]!)).toBeLessThanOrEqual(2));
};

describe('temperatures said twice', () => {
  const texts = Object.entries({ clockRows, hazardRows, hotBlendingRows, setpointRows }).flatMap(([table, rows]) =>
    rows.map((r) => [`${table} ${r.id}`, Object.values(r).join(' | ')] as const),
  );
  it.each(texts.filter(([, text]) => pairsIn(text).length > 0))('%s: Celsius and Fahrenheit say the same', (_, text) => {
    for (const [c, f] of pairsIn(text)) agree(c, f);
  });
  it.each(setpointRows.filter((r) => typeof r.tempC === 'number').map((r) => [r.id, r] as const))('set point %s', (_, r) => {
    agree([Number(r.tempC)], [Number(r.tempF)]);
  });
});

describe('cautions and the rows behind them', () => {
  const said = (place: (typeof cautions)[number]['place'], country: 'GB' | 'US' | 'EU') =>
    cautionsFor([place], country, testFigures)[0]!.text;
  const row = (rows: readonly { id: string }[], id: string) => Object.values(rows.find((r) => r.id === id)!).join(' | ');

  it('cool by the two stages of the clocks', () => {
    for (const country of ['GB', 'US', 'EU'] as const) expect(figuresIn(said('cooling', country)).slice(-4)).toEqual([21, 2, 5, 4]);
    expect(row(clockRows, 'cool_stage1_fc')).toContain('57 to 21 C');
    expect(row(clockRows, 'cool_stage2_fc')).toContain('next 4 h');
  });
  it('reheat to the set point of the country, which they do not share', () => {
    expect(said('reheating', 'US')).toContain(`${String(setpointRows.find((r) => r.id === 'reheat_us')!.tempC)} °C`);
    expect(said('reheating', 'GB')).toContain('70 °C for 2 min or 75 °C');
    expect(row(setpointRows, 'reheat_uk')).toContain('70 for 2 min, or 75');
  });
  it('keep thawed food as long as the clock of the country', () => {
    expect(said('thawing', 'GB')).toContain('24 h');
    expect(row(clockRows, 'thawed_uk')).toContain('24 h');
    expect(said('thawing', 'US')).toContain('3 days');
    expect(row(clockRows, 'thawed_us_cooked')).toContain('3-4 days');
  });
  it('fill a jug with hot liquid to a third, as the rows do', () => {
    for (const country of ['GB', 'US', 'EU'] as const) expect(said('hotBlending', country)).toContain('to a third');
    expect(row(hotBlendingRows, 'bl_fill')).toContain('<=1/3');
  });
  it('ask for several places at once in the order of the list, and for none without a place', () => {
    expect(cautionsFor(['baby', 'cooling'], 'GB', testFigures).map((c) => c.id)).toEqual(['cool', 'freezeCold', 'baby']);
    expect(cautionsFor([], 'GB', testFigures)).toEqual([]);
  });
});
