import { describe, expect, it } from 'vitest';
import { lifeRows } from '#core/kitchen/data';
import { codeFrom } from '#core/pack';
import { eventData } from '#core/contract';
import { countLine } from '#core/store';
import { countWords, kindDefaults } from '../store/data/countWords.rows.ts';
import { countedPacks } from './countPacks.ts';

const lives = new Map(lifeRows.map((r) => [r.id, r]));
const home = { country: 'GB', lives: 'usual' } as const;
const codes = (n: number) => Array.from({ length: n }, (_, i) => codeFrom(100 + i));
const line = (text: string) => {
  const r = countLine(text, { today: '2026-11-24', places: [], dishes: [] });
  if (!r.ok) throw new Error(r.why);
  return r.line;
};

describe('packs of a counted line', () => {
  it('are as many as there are codes, each as the contract has it, with nothing known of what is in them', () => {
    const made = countedPacks(line('stew 3x1.5 oct'), codes(3), 'lot', lives, home, '2026-11-24');
    if (!made.ok) throw new Error(made.why);
    expect(made.packs).toHaveLength(3);
    for (const [i, p] of made.packs.entries()) {
      expect(eventData.filled.safeParse(p).success).toBe(true);
      expect(p).toMatchObject({
        portions: 1.5,
        volumeMl: 600,
        nOf: { n: i + 1, of: 3 },
        allergens: { contains: [], check: [], unmatched: ['Stew'] },
      });
    }
  });
  it('are best by what their storage row says, from the earliest day they may have been made', () => {
    const made = countedPacks(line('stew 1 oct'), codes(1), 'lot', lives, home, '2026-11-24');
    // meat stew: 2 to 3 months (FSIS)
    expect(made.ok && made.packs[0]).toMatchObject({
      bestBy: '2026-12-01',
      limit: '2027-01-01',
      life: { rowId: 'stew_meat', source: 'FSIS, USCS' },
    });
  });
  it('name what has no storage life', () => {
    const odd = { ...line('stew 1 oct'), lifeRow: 'mayo_salad' };
    expect(countedPacks(odd, codes(1), 'lot', lives, home, '2026-11-24')).toMatchObject({
      ok: false,
      why: expect.stringContaining('Stew') as unknown,
    });
  });
});

describe('the words of a first count', () => {
  it.each([...countWords, ...Object.values(kindDefaults)].map((w) => [w.id, w] as const))(
    '%s leads to a storage row that freezes',
    (_id, w) => {
      const life = lives.get(w.lifeRow);
      expect(life, w.lifeRow).toBeDefined();
      expect(life?.freezerMonths).not.toBe('no');
      expect(w.portions).toBeGreaterThan(0);
      expect(w.mlEach * w.portions).toBeLessThanOrEqual(2000);
      expect(w.source).not.toBe('');
    },
  );
  it('each mean one thing', () => {
    const all = countWords.flatMap((w) => w.words);
    expect(all.filter((w, i) => all.indexOf(w) !== i)).toEqual([]);
  });
});
