import type { WrittenRecipe } from './written.ts';

/** Dishes that draw from the bases: two and more from each. */
export const writtenDrawn: readonly WrittenRecipe[] = [
  {
    key: 'brown_lentil_soup',
    kind: 'meal',
    lifeId: 'soup_veg',
    tags: ['soup', 'vegan', 'winter'],
    text: `Brown lentil soup with lemon
Makes 9 portions of 400 g
Ingredients
450 g Onion, carrot and celery base
500 g brown lentils
2.6 litres water
1 tsp ground cumin
10 g fine sea salt
60 ml lemon juice
Method
Warm the base in a big pot with the cumin for 3 minutes. Add the lentils and water and simmer for 40 minutes, lid ajar, until they break at the edges.
Season with the salt and lemon juice. Cool and freeze flat.`,
  },
  {
    key: 'mushroom_barley_pot',
    kind: 'meal',
    lifeId: 'soup_veg',
    tags: ['vegan', 'autumn'],
    text: `Mushroom and barley pot
Makes 8 portions of 390 g
Ingredients
300 g Onion, carrot and celery base
900 g mushrooms, sliced
350 g pearl barley
1.9 litres stock
3 tbsp olive oil
2 tsp dried thyme
6 g fine sea salt
Method
Fry the mushrooms in the oil over a high heat for 12 minutes until they are dry and brown.
Add the base, barley, stock, thyme and salt and simmer for 40 minutes, lid ajar, until the barley is soft.
Cool and freeze.`,
  },
  {
    key: 'chickpeas_ginger_tomato',
    kind: 'meal',
    lifeId: 'curry',
    tags: ['vegan', 'curry', 'quick'],
    text: `Chickpeas and spinach in ginger tomato
Makes 6 portions of 380 g
Ingredients
900 g Ginger and tomato curry base
4 tins chickpeas, drained
400 g spinach
200 ml water
4 g fine sea salt
Method
Bring the base and water to a simmer. Add the chickpeas and salt and simmer for 15 minutes, lid ajar.
Stir the spinach through until it wilts. Cool and freeze.`,
  },
  {
    key: 'chicken_ginger_tomato',
    kind: 'meal',
    lifeId: 'curry',
    tags: ['curry', 'family'],
    text: `Chicken thighs in ginger tomato
Makes 7 portions of 370 g
Ingredients
900 g Ginger and tomato curry base
1.4 kg chicken thigh fillets, cubed
2 tbsp vegetable oil
250 g plain yogurt
300 g peas
8 g fine sea salt
Method
Brown the chicken in the oil in three batches, 5 minutes each.
Add the base and salt and simmer for 25 minutes, lid ajar, until the chicken is done through.
Stir in the peas and yogurt and warm through for 3 minutes. Cool fast and freeze.`,
  },
  {
    key: 'ham_macaroni_bake',
    kind: 'meal',
    lifeId: 'casserole_baked',
    tags: ['bake', 'family'],
    text: `Ham and broccoli macaroni bake
Makes 8 portions of 400 g
Ingredients
1.35 kg White sauce in portions
450 g macaroni
500 g broccoli
300 g ham, diced
200 g cheddar, grated
40 g dried breadcrumbs
Method
Boil the macaroni in plenty of water for 6 minutes, two minutes less than it says, and drain. Boil the broccoli for 2 minutes and drain.
Warm the sauce. Stir in the macaroni, broccoli, ham and half the cheddar. Fill into pans.
Strew the rest of the cheddar and the breadcrumbs over. Bake at 200 C for 25 minutes until golden. Cool and freeze.`,
  },
  {
    key: 'smoked_fish_spinach',
    kind: 'meal',
    lifeId: 'fish_cooked',
    tags: ['fish', 'bake'],
    text: `Smoked fish and spinach under a crust of potato
Makes 8 portions of 430 g
Ingredients
1.2 kg White sauce in portions
700 g smoked haddock
500 g frozen spinach
1.2 kg potatoes, peeled
60 g butter
60 ml milk
4 g fine sea salt
Method
Boil the potatoes with the salt for 20 minutes, drain and mash with the butter and milk.
Warm the sauce, add the fish and poach for 6 minutes. Thaw the spinach, squeeze it dry and fold it in.
Fill into dishes and spread the mash over. Cool and freeze.
On the day bake at 190 C for 45 minutes until the crust is brown.`,
  },
];
