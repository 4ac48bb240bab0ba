import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  addMonths,
  clockPlus,
  capital,
  countOf,
  listOf,
  pluralOf,
  minuteOfDay,
  quarterDown,
  quarterUp,
  sayDayYear,
  sayLongDay,
  sayMass,
  sayMinutes,
  sayMoney,
  sayNear,
  sayPortions,
  sayVolume,
  sayWeekday,
} from './index.ts';

const plain = (text: string): string => text.replace(/\u00A0/g, ' ');

describe('how figures are said', () => {
  it.each([
    [0.25, '¼'],
    [1, '1'],
    [1.5, '1½'],
    [2.75, '2¾'],
    [17, '17'],
  ])('%d portions are %s', (n, text) => expect(sayPortions(n)).toBe(text));

  it.each([
    [950, '950 g'],
    [1650, '1.65 kg'],
    [8, '8 g'],
    [2.5, '2.5 g'],
  ])('%d g is %s', (g, text) => expect(plain(sayMass(g))).toBe(text));

  it.each([
    [500, '500 ml'],
    [3100, '3.1 L'],
    [4.5, '4.5 ml'],
  ])('%d ml is %s', (ml, text) => expect(plain(sayVolume(ml))).toBe(text));

  it.each([
    [45, '45 min'],
    [60, '1 h'],
    [152, '2 h 32 min'],
    [0.4, '0 min'],
  ])('%d minutes are %s', (min, text) => expect(plain(sayMinutes(min))).toBe(text));

  it('keeps numbers and their unit on one line', () => {
    for (const text of [sayMass(1650), sayVolume(500), sayMinutes(152), countOf(3, 'tub')]) expect(text).not.toContain(' ');
  });

  it('counts and lists', () => {
    expect(plain(countOf(1, 'tub'))).toBe('1 tub');
    expect(plain(countOf(6, 'dish', 'dishes'))).toBe('6 dishes');
    expect(listOf(['leek', 'onion', 'barley'])).toBe('leek, onion and barley');
    expect(listOf([])).toBe('');
    expect(capital('aubergine')).toBe('Aubergine');
  });

  it('says money in the household’s own', () => expect(sayMoney(134, 'GBP', 'en-GB')).toBe('£1.34'));

  it('says every quarter back as it was meant', () => {
    const value = (text: string): number => Number(/^\d*/.exec(text)![0] || 0) + ({ '¼': 0.25, '½': 0.5, '¾': 0.75 }[text.slice(-1)] ?? 0);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 400 }), (q) => {
        expect(value(sayPortions(q / 4))).toBe(q / 4);
      }),
    );
  });
});

describe('how days are said', () => {
  it('has the month in letters, always', () => {
    expect(plain(sayDayYear('2026-03-04'))).toBe('4 Mar 2026');
    expect(plain(sayWeekday('2026-11-28'))).toBe('Sat 28 Nov');
    expect(plain(sayLongDay('2026-11-24'))).toBe('Tuesday, 24 November');
  });
  it('three May and six months is best by 3 Nov', () => expect(plain(sayDayYear(addMonths('2026-05-03', 6)))).toBe('3 Nov 2026'));
  it.each([
    ['2026-11-24', 'today'],
    ['2026-11-25', 'tomorrow'],
    ['2026-11-23', 'yesterday'],
    ['2026-11-28', 'Saturday'],
    ['2026-12-04', 'Fri 4 Dec'],
    ['2026-11-20', 'Fri 20 Nov'],
  ])('%s is %s', (day, text) => expect(plain(sayNear(day, '2026-11-24'))).toBe(text));
});

describe('quarters of a portion', () => {
  it('are never short when asked for, never promised twice when there, and noise moves neither', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 500, noNaN: true }), fc.integer({ min: 0, max: 2000 }), (n, q) => {
        expect(quarterUp(n)).toBeGreaterThanOrEqual(n - 1e-6);
        expect(quarterDown(n)).toBeLessThanOrEqual(n + 1e-6);
        expect(quarterUp(n) - quarterDown(n)).toBeLessThanOrEqual(0.25);
        for (const noise of [-1e-8, 0, 1e-8]) {
          expect(quarterUp(q / 4 + noise)).toBe(q / 4);
          expect(quarterDown(q / 4 + noise)).toBe(q / 4);
        }
      }),
    );
  });
});

describe('a clock time later', () => {
  it('goes round the clock', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1439 }), fc.integer({ min: -5000, max: 5000 }), (from, by) => {
        const later = clockPlus(clockPlus('00:00', from), by);
        expect(later).toMatch(/^([01]\d|2[0-3]):[0-5]\d$/);
        expect((((minuteOfDay(later) - from - by) % 1440) + 1440) % 1440).toBe(0);
      }),
    );
    expect(clockPlus('23:30', 45)).toBe('00:15');
  });
});

describe('one and many', () => {
  it.each([
    ['leaf', 'leaves'],
    ['bay leaf', 'bay leaves'],
    ['loaf', 'loaves'],
    ['bunch', 'bunches'],
    ['pinch', 'pinches'],
    ['potato', 'potatoes'],
    ['berry', 'berries'],
    ['tray', 'trays'],
    ['month', 'months'],
    ['2.5 cm piece', '2.5 cm pieces'],
  ])('%s: %s', (one, many) => expect(pluralOf(one)).toBe(many));
  it.each([
    [0, '0 portions'],
    [0.5, '½ portion'],
    [1, '1 portion'],
    [1.5, '1½ portions'],
    [12, '12 portions'],
  ])('counts %f', (n, says) => expect(countOf(n, 'portion').replace('\u00a0', ' ')).toBe(says));
});
