import { describe, expect, it } from 'vitest';
import type { Container } from '#core/contract';
import { noName, ownMix, readRow, sumRows } from './ownMix.ts';

const tub = { ...noName(430), id: 'tub', name: 'Tub 0.5 L', fillMl: 430, brimMl: 500 } as Container;
const what = { containers: [tub], portionMl: 400, toPackMl: 2000, bags: false };

describe('a mix of one’s own', () => {
  it('takes singles, some for the family, and what has no name', () => {
    const r = ownMix(
      [
        { containerId: 'tub', packs: '2', each: '1' },
        { containerId: '', packs: '1', each: '2,5' },
      ],
      what,
    );
    expect(r).toMatchObject({ ok: true, choice: { packs: 3, portionsPacked: 4.5, portionsLeft: 0, tonightMl: 200 } });
    expect(r.ok && r.choice.groups[1]!.container.id).toBe('');
  });
  it.each([
    [[{ containerId: 'tub', packs: '2', each: '2' }], /over its line/],
    [[{ containerId: '', packs: '6', each: '1' }], /more than there is/],
    [[{ containerId: 'tub', packs: 'two', each: '1' }], /how many/],
    [[{ containerId: 'tub', packs: '1', each: '0.3' }], /quarters/],
  ])('%j is refused in words', (rows, words) => {
    const r = ownMix(rows, what);
    expect(r.ok ? '' : r.why).toMatch(words);
  });
  it('puts cubes loose into a bag, up to its brim, and says what finds no pack', () => {
    const bag = { ...noName(1000), id: 'bag', shape: 'bag', fillMl: 800, brimMl: 1000 } as Container;
    const r = ownMix([{ containerId: 'bag', packs: '1', each: '36' }], { containers: [bag], portionMl: 27, toPackMl: 1512, bags: true });
    expect(r).toMatchObject({ ok: true, choice: { portionsPacked: 36, portionsLeft: 20 } });
  });
  it('reads rows as they are typed', () => {
    expect(readRow({ containerId: '', packs: '3', each: '1,25' })).toEqual({ packs: 3, each: 1.25 });
    expect(readRow({ containerId: '', packs: '3.5', each: '1' })).toBeUndefined();
    expect(
      sumRows([
        { containerId: '', packs: '3', each: '2' },
        { containerId: '', packs: '', each: '1' },
      ]),
    ).toEqual({ packs: 3, portions: 6, wrong: true });
  });
});
