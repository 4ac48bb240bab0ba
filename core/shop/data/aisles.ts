/** Our own grouping of a shop, in the order of a walk through it; keys as in the ingredient rows. */
export const aisles: readonly { id: string; name: string }[] = [
  { id: 'greens_roots', name: 'Greens and roots' },
  { id: 'herbs', name: 'Herbs' },
  { id: 'fruit', name: 'Fruit' },
  { id: 'bread', name: 'Bread' },
  { id: 'dry_goods', name: 'Grains, pulses and nuts' },
  { id: 'baking', name: 'Baking' },
  { id: 'tins_jars', name: 'Tins and jars' },
  { id: 'oils_sauces', name: 'Oils and sauces' },
  { id: 'spices', name: 'Spices' },
  { id: 'drinks_other', name: 'Drinks and the rest' },
  { id: 'other', name: 'Not sorted yet' },
  { id: 'meat', name: 'Meat' },
  { id: 'fish', name: 'Fish' },
  { id: 'dairy_eggs', name: 'Chilled and eggs' },
  { id: 'frozen', name: 'Frozen' },
];
