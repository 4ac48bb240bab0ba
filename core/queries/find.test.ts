import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { codeFrom } from '#core/pack';
import { find, type FindEntry } from './find.ts';

const code = codeFrom(12_345);
const entries: FindEntry[] = [
  { id: 'p1', type: 'pack', name: 'Smoky aubergine stew', note: `${code}, shed`, to: `/p/${code}`, code },
  { id: 'r1', type: 'recipe', name: 'Smoky aubergine stew', note: 'meal', to: '/recipes/r1' },
  { id: 'r2', type: 'recipe', name: 'Crème of leek', note: 'meal', to: '/recipes/r2', words: 'gratin' },
  { id: 's1', type: 'session', name: 'Big Saturday', note: '28 Nov', to: '/plan/s1' },
  { id: 'i1', type: 'ingredient', name: 'Stewing beef', note: 'in no recipe', to: '/recipes?q=beef' },
];
const ids = (typed: string): string[] => find(entries, typed).map((e) => e.id);

describe('the finder', () => {
  it.each([
    ['stew', ['i1', 'r1', 'p1']],
    ['smoky st', ['r1', 'p1']],
    ['creme', ['r2']],
    ['gratin', ['r2']],
    ['28 nov', ['s1']],
    [code.toLowerCase(), ['p1']],
    [`${code.slice(0, 2)} ${code.slice(2)}`, ['p1']],
    ['nothing like it', []],
    ['   ', []],
  ])('%s', (typed, want) => expect(ids(typed)).toEqual(want));

  it('solves one impossible sign of a code', () => {
    for (let i = 0; i < 5; i += 1) expect(ids(code.slice(0, i) + '0' + code.slice(i + 1))).toContain('p1');
  });

  it('never shows what a further word rules out', () => {
    const letters = fc.stringMatching(/^[a-z]{1,5}$/);
    fc.assert(
      fc.property(letters, letters, (a, b) => {
        const wide = new Set(find(entries, a, 100).map((e) => e.id));
        // a single word may be read as a misread code; two words together are never a name for something else
        for (const e of find(entries, `${a} ${b}`, 100)) if (e.type !== 'pack') expect(wide.has(e.id)).toBe(true);
      }),
    );
  });
});
