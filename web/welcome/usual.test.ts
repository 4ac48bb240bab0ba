import { describe, expect, it } from 'vitest';
import { documentSchemas } from '#core/contract';
import { bagRows, panRows, tubRows } from '#core/kitchen/data';
import { missing, steps } from './steps.ts';
import { usualContainers, usualGear, usualPlaces } from './usual.ts';

const containers = usualContainers([...tubRows, ...bagRows, ...panRows]);

describe('what kitchens usually own', () => {
  it.each(usualGear.map((o) => [o.name, o] as const))('%s is what the contract calls equipment', (_name, o) =>
    expect(documentSchemas.equipment.safeParse(o.make()).error).toBeUndefined(),
  );
  it.each(usualPlaces.map((o) => [o.name, o] as const))('%s is a cold place whose zones make up its litres', (_name, o) => {
    const place = o.make();
    expect(documentSchemas.place.safeParse(place).error).toBeUndefined();
    expect(Math.abs(place.zones.reduce((s, z) => s + z.litres, 0) - place.litres)).toBeLessThanOrEqual(place.zones.length);
  });
  it.each(containers.map((o) => [o.name, o] as const))('%s is a container that holds no more than its brim', (_name, o) => {
    const c = o.make();
    expect(documentSchemas.container.safeParse(c).error).toBeUndefined();
    expect(c.fillMl).toBeLessThan(c.brimMl);
    expect(c.owned).toBeGreaterThan(0);
  });
  it('is made anew at each tap, so that two taps are two things', () => {
    for (const o of [...usualGear, ...usualPlaces, ...containers]) expect(o.make().id).not.toBe(o.make().id);
  });
  it('has every container that it promises', () => expect(containers).toHaveLength(7));
});

describe('the steps of a first evening', () => {
  it('are those that nothing stands for yet, in their order', () => {
    expect(missing({ eaters: false, gear: false, packs: false, session: false })).toEqual(steps);
    expect(missing({ eaters: true, gear: true, packs: false, session: true }).map((s) => s.id)).toEqual(['packs']);
    expect(missing({ eaters: true, gear: true, packs: true, session: true })).toEqual([]);
  });
});
