import { olderTub } from './fixtures.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { readDocument, readEvent } from './read.ts';
import { NewerShape, steps, upcast, versions, versionsOf, type Shape, type Steps } from './upcast.ts';

/** A Tambo of some year to come: places say whether they defrost by themselves, and what stood in one field stands in two. */
const later: Steps = {
  ...steps,
  place: [(p) => ({ ...p, frostFree: false }), ({ note, ...p }) => ({ ...p, notes: note === undefined ? [] : [note] })],
};
const laterPlace = z.object({ id: z.string(), frostFree: z.boolean(), notes: z.array(z.string()) });

describe('values of older versions', () => {
  it('are brought up to a schema with new fields that must be there', () => {
    const old = { id: 'shed', note: 'hums' };
    expect(laterPlace.safeParse(old).success).toBe(false);
    expect(laterPlace.parse(upcast('place', 1, old, later))).toEqual({ id: 'shed', frostFree: false, notes: ['hums'] });
    expect(laterPlace.parse(upcast('place', 2, { ...old, frostFree: true }, later)).frostFree).toBe(true);
    expect(versionsOf(later).place).toBe(3);
  });
  it('in two goes as in one, and of today as they are', () => {
    fc.assert(
      fc.property(fc.record({ id: fc.string(), note: fc.string() }, { requiredKeys: ['id'] }), (value) => {
        const upToTwo: Steps = { ...later, place: later.place.slice(0, 1) };
        expect(upcast('place', 2, upcast('place', 1, value, upToTwo), later)).toEqual(upcast('place', 1, value, later));
        expect(upcast('place', 3, value, later)).toBe(value);
      }),
    );
  });
  it('of a newer Tambo are refused, never guessed at', () => {
    expect(() => upcast('place', 4, { id: 'x' }, later)).toThrow(NewerShape);
    for (const shape of Object.keys(steps) as Shape[]) expect(() => upcast(shape, versions[shape] + 1, {})).toThrow('newer Tambo');
    expect(readDocument('container', versions.container + 1, { id: 'x' })).toEqual({
      why: expect.stringContaining('newer Tambo') as string,
    });
  });
  it('never throw when they are read, whatever they are', () => {
    fc.assert(
      fc.property(fc.anything(), fc.integer({ min: -2, max: 9 }), (value, version) => {
        for (const table of ['container', 'household', 'recipe_revision', 'session'] as const)
          expect(readDocument(table, version, value)).toHaveProperty('why');
        expect(readEvent({ version, data: value })).toHaveProperty('why');
      }),
    );
  });
  it('a container from before the question about microwaves is one of which nobody knows', () => {
    expect(readDocument('container', 1, olderTub).value?.microwave).toBe('unknown');
    expect(readDocument('container', 1, { ...olderTub, microwave: 'no' }).value?.microwave).toBe('no');
    expect(readDocument('container', 2, olderTub)).toHaveProperty('why');
  });
});
