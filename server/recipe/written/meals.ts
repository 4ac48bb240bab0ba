import type { WrittenRecipe } from './written.ts';

/** Dinners: braises, soups, bakes, dumplings. */
export const writtenMeals: readonly WrittenRecipe[] = [
  {
    key: 'pork_swede_cider',
    kind: 'meal',
    lifeId: 'stew_meat',
    tags: ['braise', 'winter'],
    text: `Pork and swede in pale ale
Makes 9 portions of 400 g
Ingredients
1.5 kg boneless pork shoulder, diced
1 kg swede, diced
3 onions, sliced
2 tbsp vegetable oil
30 g plain flour
700 ml beer
300 ml stock
2 tbsp mustard
12 g fine sea salt
Method
Toss the pork in the flour and salt. Brown it in half the oil in four batches, 6 minutes each, and set aside.
In the same pot sweat the onions in the rest of the oil for 12 minutes.
Put the pork back with the swede, beer and stock. Simmer for 1 hour 30 minutes, lid ajar, until a fork slides in.
Stir in the mustard. Cool fast in shallow trays and freeze in twos.`,
  },
  {
    key: 'chickpea_cauliflower_korma',
    kind: 'meal',
    lifeId: 'curry',
    tags: ['meatless', 'curry'],
    text: `Cauliflower and chickpea coconut curry
Makes 6 portions of 400 g
Ingredients
1 large cauliflower
2 tins chickpeas, drained
2 onions, chopped
30 g ginger
4 cloves garlic
3 tbsp vegetable oil
2 tbsp curry powder
1 tin coconut milk
400 g chopped tomatoes
250 g spinach
10 g fine sea salt
Method
Blitz the ginger and garlic to a paste. Fry the onions in the oil for 10 minutes, add the paste and curry powder and fry 2 minutes more.
Break the cauliflower into florets and add it with the tomatoes, chickpeas, coconut milk and salt. Simmer for 20 minutes, lid on.
Stir the spinach through until it wilts. Cool and freeze.`,
  },
  {
    key: 'beef_barley_ale',
    kind: 'meal',
    lifeId: 'stew_meat',
    tags: ['braise', 'winter'],
    text: `Shin of beef with barley and ale
Makes 10 portions of 420 g
Ingredients
1.6 kg stewing beef
200 g pearl barley
4 carrots, diced
3 onions, chopped
200 g mushrooms, sliced
3 tbsp vegetable oil
500 ml beer
1.2 litres stock
2 sprigs thyme
2 bay leaves
14 g fine sea salt
Method
Brown the beef in half the oil in five batches, 6 minutes each. Set aside.
Soften the onions and carrots in the rest of the oil, 12 minutes.
Return the beef, pour in the beer and stock, add the thyme, bay leaves and salt and simmer for 1 hour 45 minutes, lid ajar.
Add the barley and mushrooms and simmer another 40 minutes, stirring now and then.
Cool within two hours and freeze flat.`,
  },
  {
    key: 'fish_fennel_pot',
    kind: 'meal',
    lifeId: 'fish_cooked',
    tags: ['fish'],
    text: `White fish with fennel and potatoes
Makes 7 portions of 430 g
Ingredients
900 g white fish fillets
700 g fennel bulb, sliced
700 g potatoes, diced
2 leeks, sliced
30 ml olive oil
400 g chopped tomatoes
500 ml stock
8 g fine sea salt
dill, to serve
Method
Soften the leeks and fennel in the oil for 12 minutes.
Add the potatoes, tomatoes, stock and salt; simmer for 20 minutes until a knife slides in.
Lay the fish in and poach for 6 minutes. Cool fast and pack without stirring.
Scatter dill over each plate.`,
  },
  {
    key: 'mushroom_spelt_bake',
    kind: 'meal',
    lifeId: 'casserole_baked',
    tags: ['meatless', 'bake'],
    text: `Mushroom and spelt bake
Makes 8 portions of 360 g
Ingredients
400 g pearled spelt
800 g mushrooms, sliced
2 leeks, sliced
40 g butter
1.2 litres stock
150 g cheddar, grated
2 eggs
60 g dried breadcrumbs
8 g fine sea salt
Method
Heat the oven to 190 C. Simmer the spelt in the stock for 35 minutes until tender.
Meanwhile fry the mushrooms in half the butter, 10 minutes. Soften the leeks in the remaining butter, 8 minutes.
Stir the mushrooms, leeks, eggs, salt and half the cheese into the spelt. Spread in two dishes.
Mix the breadcrumbs with the rest of the cheese and scatter on top.
Bake for 30 minutes until golden. Cool, cut and freeze.`,
  },
  {
    key: 'turkey_sprout_hash',
    kind: 'meal',
    lifeId: 'poultry_sauce',
    tags: ['quick'],
    text: `Turkey, sprout and potato hash
Makes 7 portions of 370 g
Ingredients
800 g turkey mince
600 g brussels sprouts, halved
900 g potatoes, diced
2 onions, chopped
3 tbsp vegetable oil
150 ml stock
1 tbsp Worcestershire sauce
8 g fine sea salt
Method
Boil the potatoes for 8 minutes and drain.
Brown the turkey in half the oil, 10 minutes. Add the onions and cook gently for 8 minutes.
Fry the sprouts in the rest of the oil for 6 minutes.
Tip everything together with the stock, Worcestershire sauce and salt and simmer for 5 minutes. Cool and freeze.`,
  },
  {
    key: 'squash_sage_soup',
    kind: 'meal',
    lifeId: 'soup_puree',
    tags: ['soup', 'meatless', 'autumn'],
    text: `Squash and apple soup
Makes 9 portions of 400 ml
Ingredients
1.8 kg butternut squash, diced
3 apples
2 onions, chopped
40 g butter
1.4 litres stock
10 g fine sea salt
Method
Soften the onions in the butter for 10 minutes.
Peel, core and chop the apples. Add the squash, apples, stock and salt and simmer for 25 minutes until soft.
Blend until silky. Cool quickly and freeze in litres.`,
  },
  {
    key: 'split_pea_ham',
    kind: 'meal',
    lifeId: 'soup_meat',
    tags: ['soup', 'winter'],
    text: `Split pea soup with ham
Makes 9 portions of 400 g
Ingredients
600 g split peas
400 g cooked ham, diced
3 carrots, diced
2 onions, chopped
2 sticks celery, sliced
2 tbsp vegetable oil
2.2 litres water
2 bay leaves
6 g fine sea salt
Method
The evening before, soak the split peas in plenty of water.
Sweat the onions, carrots and celery in the oil for 12 minutes.
Drain the peas, add them with the water and bay leaves and simmer for 1 hour, stirring now and then.
Fish out the bay leaves, blend half of it and stir it back. Add the ham and salt. Cool and freeze.`,
  },
  {
    key: 'lamb_aubergine_rice',
    kind: 'meal',
    lifeId: 'meat_cooked_sauce',
    tags: ['braise'],
    text: `Lamb with aubergine and prunes
Makes 8 portions of 380 g
Ingredients
1.4 kg lamb shoulder, diced
2 aubergines, diced
2 onions, sliced
3 tbsp olive oil
150 g prunes
400 g chopped tomatoes
500 ml stock
2 tsp ground cumin
1 tsp ground cinnamon
12 g fine sea salt
Method
Brown the lamb in 1 tbsp of the oil in four batches, 6 minutes each. Set aside.
Meanwhile toss the aubergines in the rest of the oil and roast at 210 C for 30 minutes.
Soften the onions in the lamb's pot for 10 minutes, adding the cumin and cinnamon for the last minute.
Return the lamb with the tomatoes, stock and salt and simmer for 1 hour 20 minutes, lid on.
Add the aubergine and prunes and simmer for 15 minutes. Cool and freeze.`,
  },
  {
    key: 'bean_tomato_greens',
    kind: 'meal',
    lifeId: 'beans_cooked',
    tags: ['meatless', 'vegan'],
    text: `White beans with tomato and greens
Makes 8 portions of 380 g
Ingredients
500 g dried cannellini beans
2 leeks, sliced
4 cloves garlic, chopped
60 ml olive oil
800 g chopped tomatoes
400 g spring greens
2 sprigs rosemary
12 g fine sea salt
Method
Soak the beans overnight in plenty of water. Drain, cover with fresh water, boil hard for 10 minutes and simmer for 1 hour until soft.
Meanwhile soften the leeks and garlic in the oil for 10 minutes. Add the tomatoes and rosemary and simmer for 20 minutes.
Shred the greens. Drain the beans and stir them into the sauce with the greens and salt; simmer for 10 minutes.
Cool and freeze.`,
  },
  {
    key: 'chicken_tarragon_rice',
    kind: 'meal',
    lifeId: 'poultry_sauce',
    tags: ['family'],
    text: `Chicken with leeks and mustard
Makes 8 portions of 360 g
Ingredients
1.4 kg boneless chicken thighs
4 leeks, sliced
300 g mushrooms, sliced
40 g butter
40 g plain flour
800 ml stock
2 tbsp mustard
10 g fine sea salt
Method
Brown the chicken in half the butter in three batches, 7 minutes each. Lift out.
In the same pot soften the leeks in the rest of the butter, 10 minutes. Add the mushrooms and cook for 5 minutes.
Stir in the flour, then the stock, little by little. Put the chicken back with the salt and simmer for 35 minutes, lid ajar.
Stir in the mustard. Cool within two hours and freeze.`,
  },
  {
    key: 'pork_cabbage_dumplings',
    kind: 'meal',
    lifeId: 'dumpling_raw',
    tags: ['dumplings'],
    text: `Pork and cabbage dumplings
Makes 8 portions of 180 g
Ingredients
Dough:
400 g plain flour
220 ml water
Filling:
500 g pork mince
300 g cabbage, shredded
4 spring onions
20 g ginger, grated
2 tbsp soy sauce
1 tbsp sesame oil
Method
Dough: stir the water into the flour, knead for 8 minutes and rest 30 minutes under a bowl.
Filling: chop the spring onions and beat them into the pork with the cabbage, ginger, soy sauce and sesame oil.
Roll the dough, cut 60 rounds, fill and pinch shut, about 45 minutes.
Freeze on trays for 3 hours, then bag.
To cook: steam from frozen for 12 minutes.`,
  },
];
