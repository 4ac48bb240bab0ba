import { l, s, type Dish } from './dish.ts';

const taste = { rule: 'toTaste' } as const;
const whole = { rule: 'whole' } as const;
const hob = [{ kind: 'hob' as const }];
const oven = (tempC: number) => [{ kind: 'oven' as const, tempC }];
const wheat = ['al_wheat', 'al_gluten'];

/** The household's own dishes. Made up; amounts are for the servings each one states. */
export const dishes: readonly Dish[] = [
  {
    key: 'stew', name: 'Smoky aubergine and chickpea stew', kind: 'meal', serving: [400, 'ml'], servings: 6, density: 1.03, storage: [['chilli_bean', 'bean stew'], ['beans_cooked', 'chickpeas']], reheat: ['rt_stew_hob_f', 'rt_stew_hob_t', 'rt_stew_mw_t'], tags: ['vegetarian', 'big pot'], note: 'October: less water, it was thin.',
    lines: [
      l('aubergine', '1.1 kg aubergine, cut into 2 cm cubes'), l('onion', '450 g onions, diced'), l('garlic', '4 cloves of garlic, minced'), l('tomato_tin_chopped', '2 x 400 g tins chopped tomatoes', { holds: [], name: 'chopped tomatoes' }), l('chickpea_tin', '600 g chickpeas, drained', { holds: [] }),
      l('oil_olive', '60 ml olive oil'), l('paprika_smoked', '2 tsp smoked paprika', { rule: taste, holds: [] }), l('water', '350 ml water'), l('salt_table', '12 g fine salt', { name: 'fine salt' }), l('bay_leaf', '2 bay leaves', { rule: whole }), l('lemon', '1 lemon', { onTheDay: true }), l('parsley', '20 g parsley, chopped', { onTheDay: true }),
    ],
    steps: [
      s('Toss the aubergine with half the oil and roast it until the edges are dark.', { uses: [0], hands: 4, perKg: 3, wait: 35, needs: oven(220), cue: 'brown at the edges, soft when pressed', after: [] }),
      s('Sweat the onion and garlic in the rest of the oil.', { uses: [1, 2, 5], hands: 5, wait: 10, needs: hob, cue: 'glassy, not brown', after: [] }),
      s('Tip in tomatoes, paprika, bay and water and bring it to the boil.', { uses: [3, 6, 7, 9], hands: 4, wait: 12, needs: hob, cue: 'big bubbles right across' }),
      s('Add aubergine and chickpeas and simmer with the lid ajar.', { uses: [4], hands: 3, wait: 30, needs: hob, cue: 'a spoon drawn through leaves the base bare for a second', after: [0, 2] }),
      s('Dip out two plates for Osk, then salt the rest and taste.', { uses: [8], hands: 4 }),
    ],
  },
  {
    key: 'meatballs', name: 'Turkey and barley meatballs', kind: 'meal', serving: [380, 'ml'], servings: 6, density: 1.02, storage: [['meatballs', 'meatballs'], ['grain_cooked', 'barley']], reheat: ['rt_meatball_f', 'rt_stew_mw_t'], tags: ['turkey'],
    lines: [
      l('turkey_mince', '900 g turkey mince'), l('barley', '180 g pearl barley', { holds: ['al_gluten'] }), l('onion', '300 g onions, grated'), l('breadcrumb_fresh', '90 g fresh breadcrumbs', { holds: wheat }), l('egg', '2 eggs', { rule: whole }), l('carrot', '350 g carrots, diced', {}), l('stock', '900 ml stock', { holds: ['al_celery'] }),
      l('oil_olive', '2 tbsp olive oil'), l('thyme', '4 g thyme'), l('salt_table', '5 g fine salt', { name: 'fine salt' }), l('pepper_black', '1 tsp black pepper', { rule: taste, holds: [] }),
    ],
    steps: [
      s('Simmer the barley in half of the stock until it is just done.', { uses: [1], hands: 2, wait: 25, needs: hob, cue: 'tender with a bite', after: [] }),
      s('Mix turkey, crumbs, onion, egg, thyme, pepper and salt; roll 45 g balls.', { uses: [0, 2, 3, 4, 8, 9, 10], hands: 6, perKg: 12, hazards: ['rawPoultry'], after: [] }),
      s('Brown the meatballs in the oil on a hot tray.', { uses: [7], hands: 4, wait: 18, needs: oven(220), cue: '74 °C in the middle' }),
      s('Soften the carrots in the rest of the stock, add barley and meatballs, simmer.', { uses: [5, 6], hands: 4, wait: 15, needs: hob, cue: 'the sauce coats a spoon', after: [0, 2] }),
    ],
  },
  {
    key: 'pie', name: 'Rye-crumb fish pie', kind: 'meal', serving: [350, 'g'], servings: 8, density: 1.03, storage: [['meat_pie', 'pie'], ['fish_cooked', 'fish']], reheat: ['rt_pie_f', 'rt_pie_t'], tags: ['fish', 'pan'],
    lines: [
      l('white_fish', '900 g white fish, cubed'), l('leek', '400 g leeks, sliced'), l('milk', '700 ml milk'), l('butter', '70 g butter'), l('flour_plain', '70 g plain flour', { holds: wheat }), l('celeriac', '500 g celeriac, diced'), l('bread', '200 g rye bread, torn', { holds: wheat, name: 'rye bread' }), l('mustard', '1 tbsp mustard', { holds: ['al_mustard'] }),
      l('salt_table', '6 g fine salt', { name: 'fine salt' }), l('dill', '15 g dill, chopped'), l('lemon', '1 lemon', { onTheDay: true }),
    ],
    steps: [
      s('Boil the celeriac until it is soft.', { uses: [5], hands: 2, wait: 15, needs: hob, cue: 'a knife slips in', after: [] }),
      s('Sweat the leeks in the butter, stir in the flour, then the milk, little by little.', { uses: [1, 2, 3, 4], hands: 12, wait: 5, needs: hob, cue: 'coats the back of a spoon', after: [] }),
      s('Off the heat: fish, celeriac, mustard, dill and salt into the sauce.', { uses: [0, 7, 8, 9], hands: 5, after: [0, 1] }),
      s('Fill the pans, strew the rye crumbs over, bake until it bubbles.', { uses: [6], hands: 6, wait: 25, needs: oven(190), cue: '70 °C in the middle for 2 min' }),
    ],
  },
  {
    key: 'lentils', name: 'Coconut red-lentil pot', kind: 'meal', serving: [400, 'ml'], servings: 6, density: 1.04, storage: [['lentils_cooked', 'lentils']], reheat: ['rt_curry_f', 'rt_stew_mw_t'], tags: ['vegetarian', 'quick'],
    lines: [
      l('lentil_red', '450 g red lentils, rinsed', { holds: [] }), l('coconut_milk', '2 x 400 ml tins coconut milk', { holds: ['al_coconut'] }), l('onion', '300 g onions, diced'), l('ginger', '30 g ginger, grated'), l('garlic', '4 cloves of garlic, minced'), l('butternut', '500 g squash, cut into 15 mm cubes', { name: 'squash' }), l('turmeric', '2 tsp turmeric', { rule: taste, holds: [] }),
      l('oil_olive', '2 tbsp olive oil'), l('water', '800 ml water'), l('salt_table', '5 g fine salt', { name: 'fine salt' }), l('lime', '2 limes', { onTheDay: true }),
    ],
    steps: [
      s('Sweat onion, ginger, garlic and turmeric in the oil.', { uses: [2, 3, 4, 6, 7], hands: 6, wait: 6, needs: hob, cue: 'smells sweet, no longer sharp', after: [] }),
      s('Add lentils, squash, coconut milk and water; bring to the boil, then simmer.', { uses: [0, 1, 5, 8], hands: 4, wait: 28, needs: hob, cue: 'lentils fall apart' }),
      s('Salt, taste, loosen with a ladle of water if it stands.', { uses: [9], hands: 3 }),
    ],
  },
  {
    key: 'soup', name: 'Beet and horseradish soup', kind: 'meal', serving: [400, 'ml'], servings: 6, density: 1.02, storage: [['soup_puree', 'soup']], reheat: ['rt_soup_hob_f', 'rt_soup_hob_t', 'rt_soup_mw_t'], tags: ['soup', 'vegetarian'],
    lines: [
      l('beetroot', '1.2 kg beetroot, cut into 15 mm cubes'), l('onion', '300 g onions, diced'), l('apple', '250 g apples, chopped'), l('stock', '1.2 l stock', { holds: ['al_celery'] }), l('oil_olive', '2 tbsp olive oil'), l('', '40 g horseradish, grated', { holds: [], name: 'horseradish' }), l('salt_table', '4 g fine salt', { name: 'fine salt' }), l('soured_cream', '150 g soured cream', { onTheDay: true }),
    ],
    steps: [
      s('Sweat the onion in the oil, add beetroot, apple and stock and simmer.', { uses: [0, 1, 2, 3, 4], hands: 8, wait: 40, needs: hob, cue: 'a cube squashes against the pot', after: [] }),
      s('Blend it smooth with the horseradish and salt, in thirds of the jug.', { uses: [5, 6], hands: 6, perKg: 2, needs: [{ kind: 'blender' }], hazards: ['hotBlending'] }),
    ],
  },
  {
    key: 'gratin', name: 'Leek and mustard gratin', kind: 'meal', serving: [350, 'g'], servings: 8, density: 1.02, storage: [['casserole_baked', 'gratin'], ['veg_cooked', 'leeks']], reheat: ['rt_las8_f', 'rt_las8_t'], tags: ['vegetarian', 'pan'],
    lines: [
      l('leek', '1.6 kg leeks, sliced'), l('milk', '900 ml milk'), l('butter', '90 g butter'), l('flour_plain', '90 g plain flour', { holds: wheat }), l('cheese_hard', '250 g hard cheese, grated', { holds: ['al_milk'] }), l('mustard', '2 tbsp mustard', { holds: ['al_mustard'] }), l('breadcrumb_fresh', '120 g breadcrumbs', { holds: wheat }), l('salt_table', '4 g fine salt', { name: 'fine salt' }),
    ],
    steps: [
      s('Steam the leeks until they only just give.', { uses: [0], hands: 4, wait: 12, needs: hob, cue: 'bright, bends without breaking', after: [] }),
      s('Butter and flour to a pale roux, milk little by little, then mustard, salt and half the cheese.', { uses: [1, 2, 3, 5, 7], hands: 14, needs: hob, cue: 'coats the back of a spoon', after: [] }),
      s('Layer leeks and sauce in the pans, crumbs and cheese on top, bake.', { uses: [4, 6], hands: 10, wait: 25, needs: oven(190), cue: 'golden, bubbling at the rim', after: [0, 1] }),
    ],
  },
  {
    key: 'millet', name: 'Carrot-millet puree', kind: 'puree', serving: [27, 'ml'], servings: 42, density: 1.04, cubeMl: 27, storage: [['pu_grain', 'millet puree'], ['pu_fruit', 'carrot']], reheat: ['rt_puree_hob_f', 'rt_puree_mw_t'], tags: ['for Pip'],
    lines: [l('carrot', '750 g carrots, sliced'), l('millet', '90 g millet', { holds: [] }), l('water', '600 ml water'), l('oil_olive', '2 tbsp olive oil')],
    steps: [
      s('Steam the carrots until they squash without a push.', { uses: [0], hands: 3, wait: 18, needs: hob, cue: 'squashes between two fingers', after: [] }),
      s('Simmer the millet in the water until it has drunk it.', { uses: [1, 2], hands: 2, wait: 20, needs: hob, cue: 'grains have burst', after: [] }),
      s('Blend carrots, millet and oil smooth; loosen with steaming water.', { uses: [3], hands: 6, perKg: 3, needs: [{ kind: 'blender' }], hazards: ['hotBlending', 'baby'], after: [0, 1], cue: 'holds on a tilted spoon' }),
    ],
  },
  {
    key: 'quince', name: 'Quince and oat puree', kind: 'puree', serving: [27, 'ml'], servings: 36, density: 1.05, cubeMl: 27, storage: [['pu_fruit', 'quince'], ['pu_grain', 'oats']], reheat: ['rt_puree_hob_f', 'rt_puree_mw_t'], tags: ['for Pip'],
    lines: [l('', '700 g quinces, chopped', { name: 'quinces', holds: [] }), l('oats', '70 g oats', { holds: ['al_gluten'] }), l('water', '500 ml water')],
    steps: [
      s('Stew the quinces in the water, lid on, until they collapse.', { uses: [0, 2], hands: 4, wait: 35, needs: hob, cue: 'rose-coloured and falling apart', after: [] }),
      s('Stir in the oats and let them swell.', { uses: [1], hands: 2, wait: 8, needs: hob }),
      s('Blend smooth.', { hands: 6, perKg: 3, needs: [{ kind: 'blender' }], hazards: ['hotBlending', 'baby'], cue: 'no grain felt between the fingers' }),
    ],
  },
  {
    key: 'broth', name: 'Roast-bone barley broth', kind: 'broth', serving: [400, 'ml'], servings: 8, density: 1.0, storage: [['broth', 'broth']], reheat: ['rt_soup_hob_f', 'rt_soup_hob_t'], tags: ['big pot'],
    lines: [l('beef_bones', '2 kg beef bones'), l('onion', '300 g onions, halved'), l('carrot', '250 g carrots, chopped'), l('barley', '80 g pearl barley', { holds: ['al_gluten'] }), l('water', '4.2 l water'), l('bay_leaf', '3 bay leaves', { rule: whole })],
    steps: [
      s('Roast the bones until they are dark.', { uses: [0], hands: 4, wait: 45, needs: oven(210), cue: 'deep brown, not black', after: [] }),
      s('Bones, onion, carrot, bay and water into the big pot; bring up slowly and skim.', { uses: [1, 2, 4, 5], hands: 10, wait: 30, needs: hob, cue: 'barely moving' }),
      s('Keep it barely moving; barley in for the last 40 minutes.', { uses: [3], hands: 3, wait: 150, needs: hob, cue: 'bones fall clean' }),
      s('Strain it through a sieve.', { hands: 12 }),
    ],
  },
  {
    key: 'paste', name: 'Lemongrass-galangal paste', kind: 'aromatic', serving: [15, 'ml'], servings: 30, density: 0.98, cubeMl: 15, storage: [['ginger_grated', 'galangal and lemongrass'], ['garlic_chop', 'garlic']], reheat: ['rt_aromatic_cube'], tags: ['aromatics'],
    lines: [l('lemongrass', '180 g lemongrass, sliced'), l('', '120 g galangal, grated', { name: 'galangal', holds: [] }), l('garlic', '60 g garlic, peeled'), l('shallot', '120 g shallots, chopped'), l('lime', '40 g limes', { name: 'limes' })],
    steps: [s('Pound or blend everything to a coarse paste.', { uses: [0, 1, 2, 3, 4], hands: 12, perKg: 10, needs: [{ kind: 'processor' }], cue: 'no fibres longer than a grain of rice', after: [] })],
  },
  {
    key: 'base', name: 'Tomato and fennel base', kind: 'base', serving: [150, 'ml'], servings: 12, density: 1.03, storage: [['tomato_sauce', 'tomato base']], reheat: ['rt_pasta_sauce_f'], tags: ['vegetarian'],
    lines: [l('tomato_tin_plum', '3 x 400 g tins plum tomatoes', { holds: [] }), l('fennel', '600 g fennel, diced'), l('onion', '300 g onions, diced'), l('oil_olive', '3 tbsp olive oil'), l('salt_table', '4 g fine salt', { name: 'fine salt' })],
    steps: [s('Sweat fennel and onion in the oil.', { uses: [1, 2, 3], hands: 6, wait: 15, needs: hob, cue: 'soft, no colour', after: [] }), s('Add tomatoes and salt, simmer to a sauce.', { uses: [0, 4], hands: 4, wait: 35, needs: hob, cue: 'a spoon leaves a trail' })],
  },
  {
    key: 'kit', name: 'Chicken, leek and barley kit', kind: 'kit', serving: [400, 'g'], servings: 4, density: 0.95, storage: [['poultry_parts_raw', 'raw chicken'], ['carrot_celery_chop', 'vegetables']], reheat: ['rt_rawkit_oven_t'], raw: true, tags: ['kit'],
    lines: [l('chicken_thigh', '700 g chicken thighs, cubed'), l('leek', '400 g leeks, sliced'), l('barley', '150 g pearl barley', { holds: ['al_gluten'] }), l('carrot', '250 g carrots, diced'), l('thyme', '3 g thyme'), l('stock', '900 ml stock', { onTheDay: true, holds: ['al_celery'] })],
    steps: [s('Weigh leeks, carrots, barley and thyme into the bags.', { uses: [1, 2, 3, 4], hands: 8, after: [] }), s('Chicken last, press the air out, close.', { uses: [0], hands: 6, perKg: 3, hazards: ['rawPoultry'] })],
  },
  {
    key: 'rolls', name: 'Seeded rye rolls', kind: 'bread', serving: [70, 'g'], servings: 16, density: 0.35, storage: [['bread', 'rolls']], reheat: ['rt_bread_f'], tags: ['for lunchboxes'],
    lines: [l('flour_wholemeal', '400 g rye and wholemeal flour', { holds: wheat, name: 'rye and wholemeal flour' }), l('flour_bread', '300 g bread flour', { holds: wheat }), l('water', '480 ml water'), l('yeast_dried', '7 g dried yeast'), l('salt_table', '10 g fine salt', { name: 'fine salt' }), l('pumpkin_seed', '80 g pumpkin seeds', { holds: [] })],
    steps: [s('Mix and knead to a sticky dough.', { uses: [0, 1, 2, 3, 4, 5], hands: 15, wait: 90, cue: 'doubled', after: [] }), s('Shape 16 rolls and let them rise again.', { hands: 12, wait: 35, cue: 'a dent fills slowly' }), s('Bake.', { hands: 3, wait: 22, needs: oven(220), cue: 'hollow when tapped' })],
  },
];
