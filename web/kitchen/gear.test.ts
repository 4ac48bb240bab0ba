import { describe, expect, it } from 'vitest';
import { equipmentSchema, schemaAt, shownOf } from '#core/contract';
import { fieldLabels, gearKinds, ofItsKind } from './gearKinds.ts';

describe('what is asked of a piece of gear', () => {
  it('are fields of the contract, each with a unit but the count', () => {
    for (const field of Object.keys(fieldLabels)) {
      const schema = schemaAt(equipmentSchema, field.split('.'));
      expect(schema, field).toBeDefined();
      if (field !== 'count') expect(shownOf(schema!).unit, field).toBeTruthy();
    }
    expect(new Set(gearKinds.map((k) => k.kind)).size).toBe(equipmentSchema.shape.kind.options.length);
  });
  it('is kept of its own kind alone', () => {
    const oven = {
      id: 'x',
      name: 'Oven',
      kind: 'oven' as const,
      count: 2,
      widthMm: 460,
      depthMm: 380,
      litres: 5,
      tareG: 900,
      fan: true,
      heat: 'gas' as const,
    };
    expect(ofItsKind({ ...oven, marks: { pureeMl: 900 }, note: 'old' })).toEqual({
      id: 'x',
      name: 'Oven',
      kind: 'oven',
      count: 2,
      widthMm: 460,
      depthMm: 380,
      fan: true,
      note: 'old',
    });
    expect(ofItsKind({ ...oven, kind: 'blender', marks: { pulseMl: 1, pureeMl: 900, hotMl: 500 } })).toEqual({
      id: 'x',
      name: 'Oven',
      kind: 'blender',
      count: 2,
      litres: 5,
      marks: { pureeMl: 900, hotMl: 500 },
    });
  });
});
