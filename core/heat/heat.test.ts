import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { sources } from '#core/kitchen/data';
import { efficiencyRows, rateRows } from '#core/heat/data';
import { boiledOffMl, boilUpMinutes, burnerOf, surfaceM2, type Burner } from './index.ts';

const ceramic: Burner = { watts: 2200, heat: 'ceramic' };

describe('water that boils off', () => {
  it('is 0.5 to 1.4 kg an hour from a pot of 24 cm, as the open surface allows', () => {
    const off = boiledOffMl({ diameterMm: 240, minutes: 60, lid: 'off' });
    expect(off.low).toBeCloseTo(543, 0);
    expect(off.high).toBeCloseTo(1357, 0);
  });
  it('grows with the surface and the minutes, and with nothing else', () => {
    fc.assert(
      fc.property(fc.integer({ min: 80, max: 500 }), fc.integer({ min: 1, max: 400 }), (d, min) => {
        const one = boiledOffMl({ diameterMm: d, minutes: min, lid: 'off' });
        expect(boiledOffMl({ diameterMm: d, minutes: 2 * min, lid: 'off' }).value).toBeCloseTo(2 * one.value, 6);
        expect(boiledOffMl({ diameterMm: 2 * d, minutes: min, lid: 'off' }).value).toBeCloseTo(4 * one.value, 6);
        expect(one.low).toBeLessThan(one.value);
        expect(one.value).toBeLessThan(one.high);
      }),
    );
  });
  it('is halved by a lid ajar and all but stopped by one that is on', () => {
    const at = (lid: 'off' | 'ajar' | 'on') => boiledOffMl({ diameterMm: 260, minutes: 45, lid });
    expect(at('ajar').value).toBeCloseTo(at('off').value / 2, 6);
    expect(at('on').value).toBe(0);
  });
  it.each([-1, NaN])('refuses %d minutes in words', (minutes) =>
    expect(() => boiledOffMl({ diameterMm: 200, minutes, lid: 'off' })).toThrow(/0 or more/),
  );
  it('knows the surface of a round pot', () => expect(surfaceM2(200)).toBeCloseTo(Math.PI / 100, 9));
});

describe('the time to boil', () => {
  it('is about 21 min for 6.6 kg of stew on a burner of 2.2 kW', () => {
    const up = boilUpMinutes({ massG: 6600, kind: 'meal', burner: ceramic });
    expect(Math.round(up.value)).toBe(21);
    expect(up.low).toBeLessThan(up.value);
    expect(up.high).toBeGreaterThan(up.value);
  });
  it('grows with the mass, and falls with the power', () => {
    fc.assert(
      fc.property(fc.integer({ min: 100, max: 40_000 }), fc.integer({ min: 500, max: 4000 }), (massG, watts) => {
        const one = boilUpMinutes({ massG, kind: 'meal', burner: { ...ceramic, watts } });
        expect(boilUpMinutes({ massG: 2 * massG, kind: 'meal', burner: { ...ceramic, watts } }).value).toBeCloseTo(2 * one.value, 6);
        expect(boilUpMinutes({ massG, kind: 'meal', burner: { ...ceramic, watts: 2 * watts } }).value).toBeCloseTo(one.value / 2, 6);
      }),
    );
  });
  it('takes longer on gas than on ceramic, and longer there than by induction', () => {
    const by = (heat: Burner['heat']) => boilUpMinutes({ massG: 4000, kind: 'broth', burner: { watts: 2000, heat } }).value;
    expect(by('gas')).toBeGreaterThan(by('ceramic'));
    expect(by('ceramic')).toBeGreaterThan(by('induction'));
  });
  it('knows no burner without its power, and says what it took for granted', () => {
    expect(burnerOf([{ id: 'h', name: 'Hob', kind: 'hob', count: 4 }])).toBeUndefined();
    expect(burnerOf([{ id: 'h', name: 'Hob', kind: 'hob', count: 0, watts: 2000 }])).toBeUndefined();
    expect(burnerOf([{ id: 'h', name: 'Hob', kind: 'hob', count: 4, watts: 2000 }])).toEqual({
      watts: 2000,
      heat: 'ceramic',
      assumed: 'heat',
    });
    expect(burnerOf([{ id: 'h', name: 'Hob', kind: 'hob', count: 4, watts: 2000, heat: 'gas' }])).toEqual({ watts: 2000, heat: 'gas' });
  });
  it('refuses a burner without power', () =>
    expect(() => boilUpMinutes({ massG: 100, kind: 'meal', burner: { ...ceramic, watts: 0 } })).toThrow(/some power/));
});

describe('figures of the models', () => {
  it('stand between their low and high end, with a source', () => {
    for (const row of [...rateRows, ...efficiencyRows]) {
      expect(row.low <= row.value && row.value <= row.high, row.id).toBe(true);
      for (const code of row.source.split(';')) expect(sources[code], `${row.id}: ${code}`).toBeDefined();
    }
  });
});
