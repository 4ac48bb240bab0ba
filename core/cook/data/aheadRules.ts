/** When something may be cut: on the day, the evening before, or then only under water. */
export type Ahead = 'fridge' | 'water' | 'day';

/**
 * What cannot be cut the evening before and simply covered in the fridge. All the rest can (kitchen practice).
 * @source reference/food-reference.md 1.12 and sc_chill (kept at 4 °C or under, meat apart from vegetables), 7.3 (browning, wilting); which food goes brown or limp: kitchen practice
 */
export const aheadRules: readonly { when: Exclude<Ahead, 'fridge'>; ids: readonly string[] }[] = [
  { when: 'water', ids: ['potato', 'potato_new', 'celeriac', 'parsnip', 'jerusalem_artichoke', 'artichoke', 'swede'] },
  {
    when: 'day',
    ids: [
      'apple',
      'pear',
      'banana',
      'avocado',
      'peach',
      'nectarine',
      'plum',
      'apricot',
      'aubergine',
      'mushroom',
      'basil',
      'parsley',
      'coriander',
      'dill',
      'mint',
      'lettuce',
      'tomato',
      'tomato_plum',
      'tomato_cherry',
      'cucumber',
    ],
  },
];

/** Cut the evening before: covered and cold, raw meat and fish apart and lowest. Garlic dry, never under oil. @example aheadOf('potato') // 'water' */
export const aheadOf = (ingredientId: string): Ahead => aheadRules.find((r) => r.ids.includes(ingredientId))?.when ?? 'fridge';
