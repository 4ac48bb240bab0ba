import type { WrittenRecipe } from './written.ts';

/** Bases, broths, purees, pastes, breads, kits, dried things and breakfasts. */
export const writtenOthers: readonly WrittenRecipe[] = [
  {
    key: 'sofrito_base',
    kind: 'base',
    lifeId: 'base_sweated',
    tags: ['base'],
    text: `Onion, carrot and celery base
Makes 25 portions of 75 g
Ingredients
1 kg onions, diced
600 g carrots, diced
400 g celery, diced
80 ml olive oil
8 g fine sea salt
Method
Sweat the onions, carrots and celery in the oil with the salt over a low heat for 25 minutes, lid on for the first 10, until soft and sweet.
Cool quickly, fill cubes and freeze.`,
  },
  {
    key: 'white_sauce_base',
    kind: 'base',
    lifeId: 'white_sauce',
    tags: ['base', 'meatless'],
    text: `White sauce in portions
Makes 10 portions of 150 g
Ingredients
100 g butter
100 g plain flour
1.4 litres milk
1 bay leaf
6 g fine sea salt
nutmeg
Method
Warm the milk with the bay leaf. Melt the butter, stir in the flour and cook for 2 minutes. Whisk in the milk little by little and cook for 8 minutes, stirring all the time, until it coats a spoon.
Season with the salt and nutmeg. Cool with paper on top and freeze.`,
  },
  {
    key: 'curry_base',
    kind: 'base',
    lifeId: 'tomato_sauce',
    tags: ['base', 'vegan'],
    text: `Ginger and tomato curry base
Makes 13 portions of 150 g
Ingredients
800 g onions, chopped
60 g ginger, grated
40 g garlic, chopped
80 ml vegetable oil
1.2 kg chopped tomatoes
3 tbsp curry powder
1 tbsp ground turmeric
12 g fine sea salt
Method
Fry the onions in the oil over a low heat for 20 minutes until golden. Add the ginger, garlic, curry powder and turmeric and fry for 3 minutes.
Add the tomatoes and salt and simmer for 30 minutes, lid ajar. Blend until smooth. Cool and freeze.`,
  },
  {
    key: 'scrap_broth',
    kind: 'broth',
    lifeId: 'broth',
    tags: ['from scraps', 'vegan'],
    text: `Vegetable broth from trimmings
Makes 6 portions of 500 ml
Ingredients
500 g leeks
400 g carrots
300 g onions
200 g celery
150 g mushrooms
2 bay leaves
4 litres water
Method
Roughly chop the leeks, carrots, onions and celery. Put everything into the big pot, cover with the water and bring slowly to the boil.
Simmer for 1 hour, lid ajar. Strain, cool in ice and freeze in half litres.`,
  },
  {
    key: 'chicken_broth',
    kind: 'broth',
    lifeId: 'broth',
    tags: ['from bones'],
    text: `Chicken broth from carcasses
Makes 8 portions of 500 ml
Ingredients
2 kg chicken carcasses
2 carrots
2 onions
2 sticks celery
2 bay leaves
5 litres water
Method
Put the carcasses, carrots, onions, celery and bay leaves into the stock pot, cover with the water and bring slowly to a simmer; skim.
Simmer for 4 hours, barely moving. Strain through a cloth.
Cool in a sink of ice within two hours and freeze in half litres.`,
  },
  {
    key: 'parsnip_apple_puree',
    kind: 'puree',
    lifeId: 'pu_fruit',
    tags: ['baby', 'stage 1'],
    text: `Parsnip and apple puree
Makes 44 cubes of 25 ml
Ingredients
700 g parsnips, sliced
400 g apples
100 ml water
Method
Steam the parsnips for 15 minutes. Peel, core and chop the apples and simmer them in the water for 10 minutes.
Blend both until smooth. Cool quickly and freeze in trays.`,
  },
  {
    key: 'pea_potato_puree',
    kind: 'puree',
    lifeId: 'pu_fruit',
    tags: ['baby', 'stage 1'],
    text: `Pea and sweet potato puree
Makes 40 cubes of 25 ml
Ingredients
800 g sweet potatoes, diced
300 g frozen peas
Method
Steam the sweet potatoes for 12 minutes. Add the peas for the last 4 minutes.
Blend with a little of the steaming water until smooth. Cool quickly and freeze in trays.`,
  },
  {
    key: 'turkey_carrot_puree',
    kind: 'puree',
    lifeId: 'pu_mix',
    tags: ['baby', 'stage 2'],
    text: `Turkey, carrot and millet mash
Makes 42 cubes of 30 ml
Ingredients
300 g turkey mince
600 g carrots, sliced
60 g millet
400 ml water
Method
Simmer the turkey, carrots and millet in the water for 25 minutes, lid on, until the carrots are soft.
Blend to a thick mash. Cool quickly and freeze in trays.`,
  },
  {
    key: 'ginger_garlic_cubes',
    kind: 'aromatic',
    lifeId: 'garlic_chop',
    tags: ['cubes'],
    text: `Ginger and garlic cubes
Makes 30 cubes of 15 ml
Ingredients
250 g ginger
200 g garlic, peeled
40 ml water
Method
Peel the ginger. Blitz the ginger and garlic with the water to a paste, scraping down twice. Fill cubes and freeze.`,
  },
  {
    key: 'parsley_dill_cubes',
    kind: 'aromatic',
    lifeId: 'herb_oil',
    tags: ['cubes', 'summer'],
    text: `Parsley and dill cubes in oil
Makes 24 cubes of 12 ml
Ingredients
120 g parsley
80 g dill
120 ml olive oil
Method
Wash and spin the parsley and dill dry. Blitz with the oil in two loads. Fill cubes and freeze within the hour.`,
  },
  {
    key: 'chicken_yogurt_kit',
    kind: 'kit',
    lifeId: 'poultry_parts_raw',
    tags: ['raw', 'grill'],
    text: `Yogurt and paprika chicken, ready to roast
Makes 8 portions of 230 g
Ingredients
1.4 kg boneless chicken thighs
300 g plain yogurt
4 cloves garlic, crushed
2 tbsp paprika
1 lemon, juiced
14 g fine sea salt
Method
Whisk everything but the chicken in a large bowl. Turn the thighs in it, bag them flat in fours and freeze raw.
Thaw overnight in the fridge. Roast at 210 C for 35 minutes, to 75 C at the core.`,
  },
  {
    key: 'stew_vegetable_kit',
    kind: 'kit',
    lifeId: 'veg_blanched',
    tags: ['vegan', 'winter'],
    text: `Root vegetable bags for a roast
Makes 8 portions of 240 g
Ingredients
800 g carrots, cut into chunks
600 g parsnips, cut into chunks
600 g swede, cut into chunks
60 ml olive oil
2 sprigs rosemary
Method
Blanch the carrots, parsnips and swede for 3 minutes in two dips and cool them in iced water. Drain and dry.
Toss with the oil and rosemary, freeze on trays for 3 hours and bag in fours.
On the day roast from frozen at 210 C for 40 minutes.`,
  },
  {
    key: 'oat_bread',
    kind: 'bread',
    lifeId: 'bread',
    tags: ['bread', 'breakfast'],
    text: `Oat and honey loaves
Makes 24 portions of 70 g
Ingredients
900 g strong bread flour
200 g rolled oats
14 g dried yeast
20 g fine sea salt
60 g honey
700 ml water
Method
Mix the flour, oats, yeast and salt in a large bowl. Stir the honey into the water, pour it in and knead for 10 minutes.
Let it prove, covered, for 1 hour 15 minutes. Shape into three loaves and prove again for 40 minutes. Meanwhile heat the oven to 220 C.
Bake for 35 minutes until they sound hollow. Cool on a rack, slice and freeze.`,
  },
  {
    key: 'flatbreads',
    kind: 'bread',
    lifeId: 'bread',
    tags: ['bread', 'quick'],
    text: `Yogurt flatbreads
Makes 16 portions of 75 g
Ingredients
700 g plain flour
500 g plain yogurt
14 g baking powder
12 g fine sea salt
2 tbsp olive oil
Method
Mix the flour, baking powder and salt. Stir in the yogurt and knead for 3 minutes. Rest for 20 minutes.
Divide into 16, roll out and brush with the oil. Fry in a hot dry pan, 2 minutes a side.
Cool, stack with paper between and freeze.`,
  },
  {
    key: 'muesli_kit',
    kind: 'dried',
    lifeId: 'nutmix',
    tags: ['breakfast'],
    text: `Toasted oat breakfast jars
Makes 20 portions of 60 g
Ingredients
700 g rolled oats
150 g almonds, chopped
100 g pumpkin seeds
200 g raisins
60 g honey
40 ml vegetable oil
Method
Heat the oven to 160 C. Warm the honey with the oil and stir it into the oats, almonds and pumpkin seeds.
Spread on two trays and bake for 25 minutes, turning once, until golden. Cool completely.
Stir in the raisins and fill jars.`,
  },
  {
    key: 'dried_soup_mix',
    kind: 'dried',
    lifeId: 'veg_dried',
    tags: ['dried', 'vegan'],
    text: `Barley and lentil soup jars
Makes 12 portions of 90 g
Ingredients
400 g pearl barley
400 g red lentils
200 g split peas
60 g dried vegetable flakes
2 tbsp dried mixed herbs
Method
Stir everything together and fill six jars.
To cook, simmer one jar in 1.5 litres stock for 50 minutes.`,
  },
  {
    key: 'plum_compote',
    kind: 'base',
    lifeId: 'puree_fruit_adult',
    tags: ['fruit', 'breakfast', 'autumn'],
    text: `Plum and ginger compote
Makes 17 portions of 120 g
Ingredients
2 kg plums
150 g white sugar
20 g ginger, grated
100 ml water
Method
Halve and stone the plums. Simmer them with the sugar, ginger and water for 20 minutes until they fall apart.
Cool quickly and freeze in tubs.`,
  },
  {
    key: 'spinach_blanched',
    kind: 'aromatic',
    lifeId: 'veg_blanched',
    tags: ['blanched', 'vegan', 'spring'],
    text: `Blanched spinach balls
Makes 20 portions of 40 g
Ingredients
1.2 kg spinach
Method
Wash the spinach. Blanch it for 2 minutes in four dips, straight into iced water.
Squeeze hard, chop roughly and press into balls. Freeze on trays for 2 hours, then bag.`,
  },
  {
    key: 'egg_muffins',
    kind: 'meal',
    lifeId: 'egg_cooked',
    tags: ['breakfast', 'lunchbox', 'meatless'],
    text: `Courgette and feta egg muffins
Makes 12 portions of 95 g
Ingredients
10 eggs
500 g courgettes, grated
150 g feta
4 spring onions
60 g plain flour
4 g fine sea salt
Method
Heat the oven to 180 C and line a 12-hole tin. Squeeze the courgettes dry. Slice the spring onions.
Beat the eggs with the flour and salt, stir in the courgettes, spring onions and crumbled feta and fill the tin.
Bake for 22 minutes until set. Cool and freeze on a tray.`,
  },
  {
    key: 'lunchbox_couscous',
    kind: 'meal',
    lifeId: 'grain_cooked',
    tags: ['lunchbox', 'vegan'],
    text: `Roast vegetable couscous for lunchboxes
Makes 8 portions of 280 g
Ingredients
500 g couscous
700 ml stock
3 red peppers, diced
2 courgettes, diced
2 onions, diced
80 ml olive oil
1 lemon, juiced
8 g fine sea salt
Method
Toss the peppers, courgettes and onions with half the oil and the salt and roast at 210 C for 30 minutes.
Pour the boiling stock over the couscous, cover and leave for 10 minutes. Fork through with the rest of the oil and the lemon juice.
Fold in the vegetables. Cool on trays and freeze in boxes.`,
  },
  {
    key: 'meat_sauce',
    kind: 'base',
    lifeId: 'meat_sauce',
    tags: ['base', 'family'],
    text: `Slow beef and pork sauce
Makes 17 portions of 170 g
Ingredients
800 g beef mince
500 g pork mince
2 onions, chopped
2 carrots, diced
2 sticks celery, diced
3 tbsp olive oil
1.4 kg passata
200 ml milk
12 g fine sea salt
Method
Sweat the onions, carrots and celery in the oil for 12 minutes. Brown the beef and pork in it in four batches, 6 minutes each.
Add the passata, milk and salt and simmer for 2 hours, lid ajar, stirring now and then.
Cool within two hours and freeze.`,
  },
];
