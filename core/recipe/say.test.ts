import { describe, expect, it } from 'vitest';
import type { Because } from '#core/kitchen';
import { sayGap, sayLimit, sayRule, sayTargetError, sayWhy, type RecipeGap, type ScaledRecipe, type TargetError } from './index.ts';

const codes: [Because, RegExp][] = [
  [{ code: 'proportional' }, /portions/],
  [{ code: 'whole' }, /whole pieces/],
  [{ code: 'toTaste' }, /taste/],
  [{ code: 'toTasteFrom' }, /start here/],
  [{ code: 'ratio', params: { percent: 2, of: 'rest' } }, /2 % of the weighed rest/],
  [{ code: 'ratio', params: { percent: 10, of: 'total' } }, /10 % of the whole/],
  [{ code: 'ratioMissing' }, /weigh those first/],
  [{ code: 'ratioCircle', params: { names: 'cure, brine' } }, /cure, brine/],
  [{ code: 'fixed', params: { pots: 2 } }, /each of 2 pots/],
  [{ code: 'perVessel', params: { n: 7, name: 'Jar' } }, /7.vessels filled \(Jar\)/],
  [{ code: 'coverFrom', params: { mm: 25, pots: 1, diameterMm: 260 } }, /25 mm above/],
  [{ code: 'asIfProportional', params: { rule: 'cover' } }, /no pot/],
  [{ code: 'asIfProportional', params: { rule: 'perVessel' } }, /no vessel/],
  [{ code: 'boilOff', params: { ml: 620, min: 45, inProportionMl: 1240 } }, /620.ml boils off in 45 min/],
  [{ code: 'noWaterNeeded' }, /thinner/],
  [{ code: 'stringyHalves', params: { from: 12 } }, /half as large as the 12 mm/],
  [{ code: 'pieceWeight', params: { g: 150, edible: 89 }, source: 'USDA-Y;KIT' }, /150 g, 89 %.*USDA-Y, KIT/],
  [{ code: 'density', params: { gPerMl: 0.68 } }, /0.68 g per ml/],
  [{ code: 'noDensity' }, /weigh yours/],
  [{ code: 'noPieceWeight' }, /weigh yours/],
  [{ code: 'belowScale', params: { stepG: 1 } }, /1 g/],
  [{ code: 'ownLimit', params: { percent: 80 } }, /80 %/],
  [{ code: 'underRim', params: { mm: 25 } }, /25 mm under the rim/],
  [{ code: 'threeQuarters' }, /three quarters/],
  [{ code: 'bowlMark', params: { action: 'hot' } }, /mark for anything hot/],
  [{ code: 'bowlShare', params: { action: 'hot' } }, /third/],
  [{ code: 'bowlShare', params: { action: 'puree' } }, /two thirds/],
  [{ code: 'bowlShare', params: { action: 'pulse' } }, /half/],
  [{ code: 'oneLayer', params: { trays: 2 } }, /2.trays/],
  [{ code: 'pansInOven', params: { pans: 4, perRound: 6, pan: 'Loaf pan' } }, /4.pans in all, 6 at once/],
  [{ code: 'tiers', params: { tiers: 2 } }, /2.tiers/],
  [{ code: 'dipWater', params: { litres: 8 }, source: 'NCHFP' }, /8 l .* to a kilo, .*NCHFP/],
  [{ code: 'leafWater', params: { litres: 17 } }, /17 l .* a kilo of leaves/],
];

describe('reasons in words', () => {
  it.each(codes)('%o', (because, says) => {
    expect(sayWhy(because)).toMatch(says);
    expect(sayWhy(because)).not.toMatch(/undefined|NaN/);
  });
  it('every rule has a word of its own', () => expect(new Set(Object.values(sayRule)).size).toBe(7));
});

const error = (why: TargetError['why'], over: Partial<TargetError> = {}): TargetError => ({
  ok: false,
  why,
  got: 0,
  allowed: 'something',
  name: 'Big pot',
  ...over,
});
const whys: TargetError['why'][] = [
  'zero',
  'negative',
  'tooMany',
  'noVolume',
  'noWeight',
  'nothingOnHand',
  'noSuchLine',
  'noAmount',
  'doesNotGrow',
  'noPath',
  'noVessel',
  'noSize',
  'vesselTooSmall',
  'vesselNotUsed',
];

describe('what cannot be reached', () => {
  it.each(whys)('%s is said with what to do', (why) => {
    const says = sayTargetError(error(why));
    expect(says).toMatch(/\.$/);
    expect(says.length).toBeGreaterThan(20);
    expect(says).not.toMatch(/undefined|NaN/);
  });
  it('never shows a figure that is none', () =>
    expect(sayTargetError(error('zero', { got: NaN, allowed: 'a number' }))).toBe('That cannot be cooked. Give a number.'));
});

const load = {
  use: 'pot' as const,
  stepId: 's',
  loads: 1,
  rounds: 1,
  eachMl: 4000,
  usableMl: 6750,
  brimMl: 9000,
  fill: 0.6,
  runMin: 30,
  totalMin: 30,
  because: [{ code: 'threeQuarters' }],
  vessels: [{ id: 'p9', name: 'Big pot', usableMl: 6750, brimMl: 9000 }],
};
const scaled = (loads: Partial<typeof load>, limit?: ScaledRecipe['limit']): ScaledRecipe => {
  const l = { ...load, ...loads };
  return {
    factor: '1',
    portions: 6,
    lines: [],
    passage: {
      loads: [l],
      open: [],
      waits: {},
      hands: {},
      atOnce: {},
      limit: { vesselId: 'p9', name: 'Big pot', fill: l.fill, loads: l.loads, use: 'pot' },
    },
    ...(limit && { limit }),
  };
};

describe('what sets the size', () => {
  it.each([
    [scaled({}, { type: 'line', id: 'l', name: 'squash' }), 'Your squash sets the limit.'],
    [
      scaled({}, { type: 'vessel', id: 'p9', name: 'Big pot' }),
      'The Big pot sets the limit: filled to three quarters, so that it can be stirred.',
    ],
    [scaled({}), 'The Big pot fills up first: 60 % of what it may hold.'],
    [scaled({ fill: 0.97 }), 'The Big pot is all but full.'],
    [scaled({ loads: 3, rounds: 3 }), 'The Big pot takes it in 3 loads.'],
    [scaled({ loads: 2, rounds: 1 }), 'It takes 2 pots at once: Big pot.'],
  ])('%#', (s, says) => expect(sayLimit(s)).toBe(says));
  it('is nothing when nothing is known', () => expect(sayLimit({ factor: '1', portions: 1, lines: [] })).toBeUndefined());
});

const gaps: RecipeGap[] = [
  { gap: 'neverUsed', lineId: 'l', name: 'oil' },
  { gap: 'notListed', stepId: 's', name: 'butter' },
  { gap: 'sharesOver', lineId: 'l', name: 'stock', total: 1.5 },
  { gap: 'twoAmounts', lineId: 'l', name: 'flour', first: '265 g', second: '500 g' },
  { gap: 'unmatched', lineId: 'l', name: 'galangal' },
  { gap: 'noDensity' },
  { gap: 'unconfirmed', what: 'yield' },
];
describe('what a recipe leaves open', () => {
  it.each(gaps)('%o is said', (gap) => {
    expect(sayGap(gap).length).toBeGreaterThan(15);
    if ('name' in gap) expect(sayGap(gap).toLowerCase()).toContain(gap.name);
  });
});
