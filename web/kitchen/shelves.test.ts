import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shelved } from './shelves.ts';

const shelf = (id: string, name = id) => ({ id, name, litres: '20' });
const before = [shelf('top'), shelf('middle'), shelf('drawer')];
/** Names typed into the field one after the other. */
const typed = (...lines: string[][]) => lines.reduce((now, names) => shelved(names, before, now), before);

describe('shelves by their names', () => {
  it('are who they were after the field was emptied and written anew, in any order', () => {
    const names = fc.shuffledSubarray(
      before.map((z) => z.name),
      { minLength: 1 },
    );
    fc.assert(
      fc.property(fc.array(names, { maxLength: 6 }), names, (between, last) => {
        expect(typed(...between, [], last)).toEqual(last.map((name) => before.find((z) => z.name === name)));
      }),
    );
  });
  it('keep who they are when they are renamed, letter by letter', () => {
    expect(typed(['top', 'middle', 'drawers'], ['top', 'middle', 'drawers b']).map((z) => z.id)).toEqual(['top', 'middle', 'drawer']);
  });
  it('make room for a new one at the front, which stays the same one while it is typed', () => {
    const once = typed(['d', 'top', 'middle', 'drawer']);
    const twice = shelved(['door', 'top', 'middle', 'drawer'], before, once);
    expect(twice.slice(1)).toEqual(before);
    expect(twice[0]!.id).toBe(once[0]!.id);
    expect(before.map((z) => z.id)).not.toContain(twice[0]!.id);
  });
  it('are never one and the same twice', () => {
    fc.assert(
      fc.property(
        fc.array(fc.uniqueArray(fc.constantFrom('top', 'middle', 'drawer', 'door', 'a', 'b'), { maxLength: 5 }), { maxLength: 5 }),
        (lines) => {
          const ids = typed(...lines).map((z) => z.id);
          expect(new Set(ids).size).toBe(ids.length);
        },
      ),
    );
  });
});
