import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readDurations } from './durations.ts';

const lows = (text: string): number[] => readDurations(text).map((d) => d.low);

describe('times as cooks write them', () => {
  it.each([
    ['simmer 1 1/4 h', [75]],
    ['an hour and twenty', [80]],
    ['half an hour', [30]],
    ['three quarters of an hour', [45]],
    ['2-2.5 hrs', [120]],
    ['20-25 min', [20]],
    ['25 to 30 minutes', [25]],
    ['1h15', [75]],
    ['1 hour 20 minutes', [80]],
    ['2 1/2 hours', [150]],
    ['eine halbe Stunde ruhen', [30]],
    ['une heure et demie', [90]],
    ['tres cuartos de hora', [45]],
    ['a couple of minutes', [2]],
    ['a few minutes', [3]],
    ['at least 2 h', [120]],
    ['another 5 minutes', [5]],
    ['an hour and a half', [90]],
    ['soak overnight', [480]],
    ['10 Minuten köcheln', [10]],
    ['35 min covered, then 10 min open', [35, 10]],
    ['fifteen minutes', [15]],
    ['90 seconds', [1.5]],
    ['at 180 C for 40 minutes', [40]],
    ['350 F, 25 min', [25]],
    ['cut into 2 cm dice', []],
    ['keeps 3 days', []],
    ['steep for 14 days', [20160]],
    ['leave a fortnight', [20160]],
    ['leave it 2 weeks, shaking it daily', [20160]],
    ['zwei Wochen ziehen lassen', [20160]],
    ['for 6 weeks', [60480]],
    ['keeps in the fridge for 2 weeks', []],
    ['store in the freezer, best eaten in 3 weeks', []],
    ['good for 4 weeks', []],
    ['within two hours', []],
    ['24 hours ahead', []],
    ['serves 6', []],
    ['gas mark 5', []],
    ['add 2 eggs and 3 carrots', []],
  ])('%s', (text, minutes) => expect(lows(text)).toEqual(minutes));
  it('keeps ranges, open ends and what adds on', () => {
    expect(readDurations('20-25 min')[0]).toMatchObject({ low: 20, high: 25 });
    expect(readDurations('at least 2 h')[0]).toMatchObject({ low: 120, open: true });
    expect(readDurations('another 5 min')[0]).toMatchObject({ low: 5, more: true });
    expect(readDurations('overnight')[0]).toMatchObject({ low: 480, high: 720 });
  });
  it('any hours and minutes, however written', () =>
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 9 }),
        fc.integer({ min: 1, max: 59 }),
        fc.constantFrom('h|min', ' hours | minutes', ' hr | mins', ' Stunden | Minuten', ' h and |'),
        (h, m, how) => {
          const [a = '', b = ''] = how.split('|');
          const text = h === 0 ? `${m} min` : `${h}${a}${m}${b}`;
          expect(lows(`Simmer for ${text}.`)).toEqual([h * 60 + m]);
        },
      ),
    ));
});

describe('any text', () => {
  it('is read at once, and no time is below nothing', () =>
    fc.assert(
      fc.property(fc.string({ maxLength: 200 }), (text) => {
        for (const d of readDurations(text)) expect(d.low).toBeGreaterThanOrEqual(0);
      }),
    ));
});
