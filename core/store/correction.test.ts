import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { PackCorrection, TamboEvent } from '#core/contract';
import { testFilled, testInstant } from './fixtures.ts';
import { applyEvent, bestByFrom, correctionFrom, correctionOf, foldPack, movedTo, type PackState } from './index.ts';

const filled = (over = {}): PackState =>
  foldPack(
    [
      {
        id: 'f',
        subjects: ['p'],
        instant: testInstant(0),
        device: 'd',
        counter: 0,
        version: 1,
        type: 'filled',
        data: testFilled({ containerId: 'tub', ...over }),
      },
    ],
    'p',
  )!;
const lives = new Map([
  ['stew_meat', filled().life],
  ['fish', { rowId: 'fish', part: 'fish', months: 1, monthsHigh: 2, fridgeDays: 1, source: 'FSA' }],
]);
let n = 0;
const corrected = (pack: PackState, said: PackCorrection): PackState => {
  const { portions, ...facts } = correctionOf(pack, said, lives);
  n += 1;
  const event: TamboEvent = {
    id: `c${n}`,
    subjects: ['p'],
    instant: testInstant(n),
    device: 'd',
    counter: n,
    version: 1,
    type: 'corrected',
    data: { reason: said.reason, ...facts, ...(portions !== undefined && { portions }) },
  };
  return applyEvent(pack, event, 'p')!;
};

describe('a pack corrected', () => {
  it('says nothing of what was left as it is', () => {
    const pack = filled();
    expect(correctionOf(pack, correctionFrom(pack))).toEqual({ is: {}, was: {} });
  });
  it.each([
    [{ name: 'Leek soup' }, { name: 'Leek soup' }],
    [
      { made: undefined, bestBy: undefined },
      { made: null, bestBy: null },
    ],
    [{ made: '2026-10-10' }, { made: { earliest: '2026-10-10', latest: '2026-10-10' } }],
    [{ containerId: '' }, { containerId: null }],
    [{ massG: 800 }, { massG: 800, volumeMl: 800 }],
    [{ contains: ['al_milk'] }, { allergens: { contains: ['al_milk'], check: [], unmatched: [] } }],
  ] as const)('%j', (change, is) => {
    const pack = filled();
    expect(correctionOf(pack, { ...correctionFrom(pack), ...(change as Partial<PackCorrection>) })).toMatchObject({ is });
  });
  it('is still whole when it held otherwise than was entered; one begun is not', () => {
    const pack = filled();
    expect(correctionOf(pack, { ...correctionFrom(pack), portions: 3 })).toMatchObject({ is: { portions: 3 }, portions: 3 });
    const begun = { ...pack, left: 2 };
    expect(correctionOf(begun, { ...correctionFrom(begun), portions: 3 }).portions).toBeUndefined();
    expect(correctionOf(begun, { ...correctionFrom(begun), left: 1 })).toEqual({ is: {}, was: {}, portions: 1 });
  });
  it('keeps a vague day vague until it is said anew', () => {
    const vague = filled({ made: { earliest: '2026-09-01', latest: '2026-09-30' } });
    expect(correctionOf(vague, { ...correctionFrom(vague), name: 'Soup' }).is).toEqual({ name: 'Soup' });
  });
  it('keeps like something else: its limit follows, and its day too where one was made', () => {
    const pack = filled({ made: { earliest: '2026-10-10', latest: '2026-10-10' } });
    expect(correctionOf(pack, { ...correctionFrom(pack), lifeId: 'fish' }, lives).is).toEqual({
      life: lives.get('fish'),
      limit: '2026-12-10',
    });
    expect(correctionOf(pack, { ...correctionFrom(pack), lifeId: 'nobody knows' }, lives)).toEqual({ is: {}, was: {} });
  });
  it('stands elsewhere only where it stands anywhere', () => {
    const stands = { ...filled(), placeId: 'shed', zoneId: 'left' };
    expect(movedTo(stands, correctionFrom(stands))).toBeUndefined();
    expect(movedTo(stands, { ...correctionFrom(stands), zoneId: 'right' })).toEqual({ placeId: 'shed', zoneId: 'right' });
    expect(movedTo(filled(), { ...correctionFrom(filled()), placeId: 'shed', zoneId: 'left' })).toBeUndefined();
  });
  it('follows the day of making with the date it keeps to', () => expect(bestByFrom(filled(), '2026-10-10')).toBe('2026-12-10'));
  it('is what was said, and as it was once it is corrected back', () => {
    const day = fc.integer({ min: 10, max: 28 }).map((d) => `2026-10-${d}`);
    const said = fc.record({
      name: fc.constantFrom('Stew', 'Soup', 'Pot'),
      kind: fc.constantFrom('meal' as const, 'base' as const),
      portions: fc.integer({ min: 1, max: 24 }).map((q) => q / 4),
      left: fc.integer({ min: 0, max: 24 }).map((q) => q / 4),
      massG: fc.integer({ min: 1, max: 3000 }),
      made: fc.option(day, { nil: undefined }),
      bestBy: fc.option(day, { nil: undefined }),
      containerId: fc.constantFrom('', 'tub', 'bag'),
      contains: fc.subarray(['al_egg', 'al_milk']),
      lifeId: fc.constantFrom('stew_meat', 'fish'),
      placeId: fc.constant(''),
      zoneId: fc.constant(''),
      reason: fc.constant('lid'),
    });
    fc.assert(
      fc.property(said, (values) => {
        const pack = filled();
        const { made, bestBy, ...rest } = values;
        const meant: PackCorrection = { ...rest, ...(made && { made }), ...(bestBy && { bestBy }) };
        const after = corrected(pack, meant);
        expect({ ...correctionFrom(after), left: meant.left, reason: 'lid' }).toEqual(meant);
        const back = corrected(after, { ...correctionFrom(pack), left: pack.left });
        expect(correctionFrom(back)).toEqual(correctionFrom(pack));
      }),
    );
  });
});
