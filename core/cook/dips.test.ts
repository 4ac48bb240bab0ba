import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Equipment } from '#core/contract';
import { ingredientFinder, noMemo } from '#core/kitchen';
import { ingredientRows, withForeignNames } from '#core/kitchen/data';
import { blanches, compose, emptyWriting, sayLimit, scaleTo, weighRecipe, type Gear } from '#core/recipe';
import { testFigures } from '../kitchen/fixtures.ts';
import { ownWords } from './ends.ts';
import { checkSchedule, isHot, scheduleTasks, tasksFor, type Kitchen, type Task } from './index.ts';

const finder = ingredientFinder(withForeignNames(ingredientRows));
const pot = (id: string, litres: number): Equipment => ({ id, name: `${litres} L pot`, kind: 'pot', count: 1, litres, diameterMm: 260 });
const kitchen: Kitchen = {
  cooks: [{ id: 'j', name: 'Joaquim' }],
  capacity: { hob: 4, pot: 2 },
  potsMl: [9000, 5400],
};
const gearOf = (...litres: number[]): Gear => ({
  equipment: litres.map((l) => pot(`p${l}`, l)),
  containers: [],
  hotShare: testFigures.hotShare,
});

/** A recipe as a cook writes it, for so many portions out of the six written. */
function cookedFrom(lines: readonly string[], method: string, portions: number, gear: Gear) {
  const { revision } = compose(
    {
      ...emptyWriting,
      name: 'Vegetables for the freezer',
      makes: '6 portions',
      lines: lines.map((text, i) => ({ id: `l${i}`, text })),
      steps: method.split('\n').map((text, i) => ({ id: `p${i}`, text })),
    },
    { finder, recipes: [], memo: noMemo },
  );
  const whole = { ...revision, id: 'r', recipeId: 'rec', madeAt: '2026-01-01T00:00:00.000Z' };
  const scaled = scaleTo(weighRecipe(whole, finder), { by: 'portions', portions }, { scaleStepG: 1, gear });
  if (!scaled.ok) throw new Error('not scaled');
  const dish = { batch: { id: 'b', recipeId: 'rec' }, revision: whole, scaled: scaled.scaled };
  const tasks = tasksFor([dish] as unknown as Parameters<typeof tasksFor>[0], finder);
  const named = (words: RegExp): Task[] => tasks.filter((t) => words.test(t.title));
  return { revision: whole, scaled: scaled.scaled, tasks, named };
}

const beans = ['3 kg green beans', '20 g salt'];
const method =
  'Top and tail the beans.\nBlanch the beans for 3 minutes.\nCool in iced water for 3 minutes.\nDrain, dry and freeze on trays.';

describe('blanching', () => {
  it('knows the dip from what was blanched before and from the water it was blanched in', () => {
    for (const text of ['Blanch for 2 minutes.', 'Bring salted water to a boil and blanch the kale.', 'Die Bohnen 3 Minuten blanchieren.'])
      expect(blanches({ text }), text).toBe(true);
    for (const text of [
      'Add the blanched almonds.',
      'Cook the pasta in the blanching water.',
      'Die blanchierten Bohnen.',
      'Simmer 5 minutes.',
    ])
      expect(blanches({ text }), text).toBe(false);
  });

  it('takes 3 kg of beans in four dips of 750 g in a 9 L pot, each into the ice within a minute', () => {
    const { named, scaled } = cookedFrom(beans, method, 6, gearOf(9, 5.4));
    const dips = named(/: Blanch/);
    expect(dips.map((t) => t.title)).toEqual([1, 2, 3, 4].map((k) => `Dip ${k} of 4: Blanch the beans for 3 minutes.`));
    expect(dips[0]!.detail).toMatch(/750\sg at once, 6\sL of boiling water$/);
    const ices = named(/^Dip . of 4: Cool/);
    expect(ices.map((t) => t.windows)).toEqual(dips.map((d) => [expect.objectContaining({ after: d.id, why: 'ice', maxMin: 1 })]));
    expect(sayLimit(scaled)).toBe('It is blanched in 4 dips, the 9 L pot full of water.');
  });

  it('needs twice the water for leaves', () => {
    const leaves = cookedFrom(['1.5 kg spinach'], 'Blanch the spinach for 2 minutes.', 6, gearOf(9));
    const peas = cookedFrom(['1.5 kg peas'], 'Blanch the peas for 2 minutes.', 6, gearOf(9));
    expect(leaves.named(/Blanch/)).toHaveLength(4);
    expect(peas.named(/Blanch/)).toHaveLength(2);
  });

  it('is one dip, in the smaller pot, where the water does for all of it', () => {
    const { tasks, named } = cookedFrom(['400 g green beans'], method, 6, gearOf(9, 5.4));
    const [only, ...more] = named(/Blanch/);
    expect(more).toEqual([]);
    expect(only).toMatchObject({ title: 'Blanch the beans for 3 minutes.', vessel: { count: 1, brimMl: 5400 } });
    expect(tasks.some((t) => /^Dip/.test(t.title))).toBe(false);
  });

  it('boils the water first where no step does, once for all dips, as long as its litres take; a step that is written is not doubled', () => {
    const hob: Equipment = { id: 'h', name: 'hob', kind: 'hob', count: 4, watts: 2000 };
    const gear = gearOf(9);
    const withHob: Gear = { ...gear, equipment: [...gear.equipment, hob] };
    const { named } = cookedFrom(beans, method, 6, withHob);
    const [water, ...more] = named(/^Bring/);
    expect(more).toEqual([]);
    expect(water).toMatchObject({ after: [], needs: named(/Dip 1 of 4: Blanch/)[0]!.needs, vessel: { count: 1, brimMl: 9000 } });
    expect(water!.title).toMatch(/^Bring 6\sL of water to the boil$/);
    // 6 kg from 15 to 95 °C want 2 MJ: 17 min of 2 kW if all of it reached the pot, twice that if half did
    expect(water!.waitMin).toBeGreaterThan(17);
    expect(water!.waitMin).toBeLessThan(50);
    expect(named(/Dip . of 4: Blanch/).map((t) => t.after.includes(water!.id))).toEqual([true, false, false, false]);
    const written = cookedFrom(beans, `Bring a large pot of water to the boil.\n${method}`, 6, withHob);
    expect(written.named(/^Bring/)).toHaveLength(1);
    expect(written.named(/^Bring/)[0]!.title).toBe('Bring a large pot of water to the boil.');
    expect(written.named(/^Bring/)[0]!.waitMin).toBe(water!.waitMin);
  });

  it.each([
    ['Bring salted water to a boil and blanch the beans for 3 minutes. Shock in ice water.', 'Shock in ice water.'],
    ['Blanch beans 3 min. Refresh in iced water.', 'Refresh in iced water.'],
    ['Blanch the beans for 3 minutes. Cool in iced water.', 'Cool in iced water.'],
    ['Blanch the beans, 3 min. Dunk in an ice bath.', 'Dunk in an ice bath.'],
  ])('puts every dip into ice of its own, however it is said: %s', (text, ice) => {
    const { named, tasks } = cookedFrom(beans, text, 6, gearOf(9));
    const dips = named(/lanch/);
    expect(dips).toHaveLength(4);
    expect(dips.map((t) => t.waitMin)).toEqual([3, 3, 3, 3]);
    const ices = tasks.filter((t) => t.title.endsWith(ice));
    expect(ices.map((t) => t.windows?.map((w) => [w.after, w.why]))).toEqual(dips.map((d) => [[d.id, 'ice']]));
    // as long as it was blanched at the most
    for (const t of ices) expect(t.waitMin).toBeLessThanOrEqual(3);
  });

  it('does not count the water and the salt that were brought to the boil before', () => {
    const { named } = cookedFrom(
      ['4 l water', '40 g salt', '500 g broccoli'],
      'Bring the water to the boil with the salt.\nBlanch the broccoli in it for 3 minutes.\nPlunge into ice water.',
      6,
      gearOf(9),
    );
    expect(named(/lanch the broccoli/)).toHaveLength(1);
  });

  it('is cold when it comes out of the ice, and a pot that is cooked after it is not', () => {
    const kept = (lines: readonly string[], text: string) => cookedFrom(lines, text, 6, gearOf(9)).revision;
    expect(isHot(kept(beans, method))).toBe(false);
    expect(isHot(kept(beans, 'Blanch the beans for 3 minutes and drain.'))).toBe(true);
    expect(
      isHot(kept(['500 g kale', '1 kg potatoes'], 'Blanch the kale.\nCool in ice water.\nSimmer the potatoes with the kale 20 min.')),
    ).toBe(true);
  });

  it('says how it is frozen and packed in the recipe’s order', () => {
    const { revision } = cookedFrom(
      beans,
      'Blanch the beans.\nCool in ice.\nOpen freeze on trays, then bag in 300 g portions.',
      6,
      gearOf(9),
    );
    expect(ownWords(revision, 'pack')).toBe('Open freeze on trays. Bag in 300 g portions.');
  });

  it('leaves it as it is written where no pot has a size', () => {
    expect(cookedFrom(beans, method, 6, gearOf()).named(/Blanch/)).toHaveLength(1);
  });

  it('laws: dips are equal and none above what the pot’s water takes, the next one boils only after the last, and the order is legal', () =>
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.constantFrom([9], [5.4], [9, 5.4], [2.8]), (portions, litres) => {
        const { tasks, named, scaled } = cookedFrom(beans, method, portions, gearOf(...litres));
        const load = scaled.passage!.loads.find((l) => l.use === 'dip')!;
        const grams = scaled.lines.find((l) => l.lineId === 'l0')!.massG!;
        expect(load.eachG! * load.loads).toBeCloseTo(grams, 6);
        expect(load.eachMl).toBeLessThanOrEqual(load.usableMl + 1e-6);
        const dips = named(/lanch the beans/);
        expect(dips).toHaveLength(load.loads);
        dips.slice(1).forEach((d, i) => expect(d.after).toContain(dips[i]!.id));
        // what waits for the ice waits for all of it
        const ices = named(/Cool in iced/);
        expect(ices).toHaveLength(load.loads);
        const r = scheduleTasks(tasks, kitchen, new Map(), { mostSteps: 20 });
        if (!r.ok) throw new Error(r.why);
        expect(checkSchedule(tasks, kitchen, r.schedule.slots)).toEqual([]);
        const at = new Map(r.schedule.slots.map((s) => [s.taskId, s]));
        dips.forEach((d, i) => {
          const waits = at.get(ices[i]!.id)!.startMin - at.get(d.id)!.endMin;
          expect(waits).toBeGreaterThanOrEqual(0);
          expect(waits).toBeLessThanOrEqual(1);
        });
      }),
      { numRuns: 25 },
    ));
});
