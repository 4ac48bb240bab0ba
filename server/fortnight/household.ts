import type { Container, Eater, Equipment, Household, Place } from '#core/contract';

/** A household that never saw the demo: two at the table, one of them allergic to nuts, a child who eats half a plate and one chest. */

const everyDinner: Eater['presence'] = {
  weekly: Object.fromEntries(['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'].map((d) => [d, ['dinner']])),
  away: [],
  exceptions: [],
};

const eater = (id: string, name: string, over: Partial<Eater> = {}): Eater => ({
  id,
  name,
  stage: 'adult',
  appetite: 1,
  allergens: [],
  needs: [],
  presence: everyDinner,
  ...over,
});

export const eaters: readonly Eater[] = [
  eater('ylva', 'Ylva', { allergens: ['al_treenut'] }),
  eater('tam', 'Tam', { appetite: 1.5 }),
  eater('pip', 'Pip', { stage: 'child', appetite: 0.5 }),
];

/** Plates that the table asks for each evening. */
export const platesADay = 1 + 1.5 + 0.5;

export const household = (was: Household): Household => ({
  ...was,
  name: 'The mill cottage',
  timeZone: 'Europe/London',
  dinnerAt: '18:30',
});

const box = (id: string, name: string, fillMl: number, owned: number, over: Partial<Container> = {}): Container => ({
  id,
  name,
  shape: 'tub',
  brimMl: fillMl / 0.9,
  fillMl,
  heightMm: 80,
  widthMm: 120,
  footMm: 120,
  depthMm: 120,
  owned,
  oneUse: false,
  materialId: 'pp',
  microwave: 'yes',
  ...over,
});

export const containers: readonly Container[] = [
  box('tub900', 'Blue-lid tub', 900, 14),
  box('tub450', 'Small tub', 450, 10, { heightMm: 60, widthMm: 100, footMm: 100, depthMm: 100 }),
  box('tray27', 'Ice tray', 27, 2, { shape: 'tray', cells: 16, heightMm: 30, widthMm: 30, footMm: 30, depthMm: 30, microwave: 'no' }),
  box('bag1', 'Litre bag', 1000, 40, {
    shape: 'bag',
    oneUse: true,
    heightMm: 25,
    widthMm: 180,
    depthMm: 220,
    seal: 'zip',
    materialId: 'ldpe',
  }),
];

/** Outside of a tub by hand: 4 mm of wall across and along, 6 mm of foot and lid. */
export const tubOuterMl = (id: string): number => {
  const c = containers.find((x) => x.id === id)!;
  return Math.round(((c.widthMm + 4) * (c.depthMm + 4) * (c.heightMm + 6)) / 1000);
};

export const places: readonly Place[] = [
  {
    id: 'chest',
    name: 'Cellar chest',
    kind: 'chest',
    litres: 120,
    usableShare: 0.75,
    temperatureC: -19,
    zones: [{ id: 'basket', name: 'basket', litres: 120 }],
    prefers: [],
  },
  {
    id: 'fridge',
    name: 'Fridge',
    kind: 'fridge',
    litres: 150,
    temperatureC: 4,
    zones: [{ id: 'shelf', name: 'shelf', litres: 150 }],
    prefers: [],
  },
];

export const equipment: readonly Equipment[] = [
  { id: 'hob', name: 'Hob', kind: 'hob', count: 4 },
  { id: 'pot', name: 'Big pot', kind: 'pot', count: 1, litres: 6, diameterMm: 240, heightMm: 140, tareG: 1400 },
  { id: 'mw', name: 'Microwave', kind: 'microwave', count: 1, watts: 700 },
];

/** Three recipes as their cook keeps them: no two written alike, one with foods that nobody has heard of. */
export const files = {
  soup: JSON.stringify({
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name: 'Lentil soup, the orange one',
    recipeYield: ['serves 7 or so', '7'],
    recipeIngredient: [
      '400g red lentils',
      '3 large carrots, grated',
      '2 onions (diced)',
      '1.9 l water',
      '30 ml sunflower oil',
      '1 tsp salt',
    ],
    recipeInstructions: 'Soften the onions in the oil for 10 minutes. Add everything else. Simmer 25 minutes until it falls apart.',
  }),
  stew: JSON.stringify([
    {
      '@type': 'Recipe',
      name: 'Quick walnut and bean stew',
      recipeYield: '6',
      recipeIngredient: ['1 kg tinned kidney beans', '200 g walnuts, chopped', '500 g passata', '1 Tbsp glimmer paste', 'salt'],
      recipeInstructions: [
        { '@type': 'HowToStep', text: 'Heat the passata with the beans.' },
        { '@type': 'HowToStep', text: 'Simmer everything for 40 minutes.' },
      ],
    },
  ]),
  puree: JSON.stringify({
    '@type': 'Recipe',
    name: 'Carrot purée for Pip',
    recipeYield: '20 cubes',
    recipeIngredient: ['600 g carrots, sliced', '100 ml water'],
    recipeInstructions: ['Boil the carrots 20 minutes.', 'Blend smooth.'],
  }),
} as const;
