import type { Line, Revision } from '#core/contract';

/** A line for tests: plain onions unless told otherwise. */
export const testLine = (id: string, over: Partial<Line> = {}): Line => ({
  id,
  written: '',
  amount: '450',
  unit: 'g',
  item: { type: 'ingredient', id: 'onion' },
  name: 'onion',
  moment: 'batch',
  scaling: { rule: 'proportional' },
  ...over,
});

/** A small stew for tests: six servings of 400 ml. */
export const testRevision = (over: Partial<Revision> = {}): Revision => ({
  id: 'rev1',
  recipeId: 'rec1',
  name: 'Test stew',
  kind: 'meal',
  serving: { amount: 400, unit: 'ml' },
  servings: 6,
  density: { gPerMl: 1.05, reason: 'entered' },
  storage: [{ rowId: 'stew_meat', part: 'stew' }],
  reheatIds: [],
  raw: false,
  lines: [
    testLine('onion', { form: 'diced' }),
    testLine('paprika', {
      name: 'smoked paprika',
      amount: '2',
      unit: 'tsp',
      item: { type: 'ingredient', id: 'paprika_smoked' },
      scaling: { rule: 'toTaste' },
    }),
    testLine('bay', {
      name: 'bay leaf',
      amount: '2',
      unit: 'piece',
      item: { type: 'ingredient', id: 'bay_leaf' },
      scaling: { rule: 'whole' },
    }),
  ],
  steps: [
    {
      id: 's1',
      text: 'Sweat the onion.',
      uses: [{ lineId: 'onion', share: 1 }],
      needs: [{ kind: 'hob' }],
      handsOnMin: 5,
      handsOnPerKgMin: 0,
      waitMin: 10,
      hazards: [],
      after: [],
      guess: false,
    },
    {
      id: 's2',
      text: 'Simmer with paprika and bay.',
      uses: [
        { lineId: 'paprika', share: 1 },
        { lineId: 'bay', share: 1 },
      ],
      needs: [{ kind: 'hob' }],
      handsOnMin: 4,
      handsOnPerKgMin: 0,
      waitMin: 40,
      hazards: [],
      after: ['s1'],
      guess: false,
    },
  ],
  tags: [],
  source: 'test',
  confirmed: ['kind', 'yield'],
  madeAt: '2026-11-01T10:00:00.000Z',
  ...over,
});
