import { describe, expect, it } from 'vitest';
import { sources } from '#core/kitchen/data';
import { allergenRows, clockRows, hiddenAllergenRows, setpointRows } from './data/index.ts';
import { cautions, cautionsFor } from './index.ts';

describe('cautions', () => {
  it.each(cautions.map((c) => [c.id, c] as const))('%s: reason, source, who comes first, and no promise', (_, c) => {
    expect(c.why.length).toBeGreaterThan(10);
    for (const code of c.source.split('; ')) expect(Object.keys(sources)).toContain(code);
    expect(c.defer.length).toBeGreaterThan(10);
    for (const text of Object.values(c.text)) expect(text).not.toMatch(/\b(is|are) safe\b|\bsafely\b|perfectly/i);
  });
  it('says every place something in every country', () => {
    for (const country of ['GB', 'US', 'EU'] as const)
      for (const c of cautions) expect(cautionsFor([c.place], country).length).toBeGreaterThan(0);
  });
  it('tells the UK limit to the UK', () => expect(cautionsFor(['reheating'], 'GB')[0]!.text).toContain('once only'));
});

describe('safety reference rows', () => {
  it.each(Object.entries({ allergenRows, clockRows, hiddenAllergenRows, setpointRows }))('%s: unique ids and a source', (_, rows) => {
    expect(new Set(rows.map((r) => r.id)).size).toBe(rows.length);
    for (const r of rows) expect(r.source.length).toBeGreaterThan(0);
  });
  it('lists the 14 of the UK', () => expect(allergenRows.filter((r) => r.uk14 === 'yes').length).toBe(14));
});
