/**
 * Words of a freezer's first count: which kind a thing is by its name, the storage row that governs it, and what one pack usually holds.
 * Kinds and pack sizes are a kitchen estimate (KIT): shown as such and open to change at the line; storage rows carry their own source.
 */
import type { Kind } from '#core/contract';

export interface CountWord {
  id: string;
  words: readonly string[];
  kind: Kind;
  lifeRow: string;
  /** Portions a pack holds unless the line says so, and the millilitres of one. */
  portions: number;
  mlEach: number;
  source: string;
}

const row = (id: string, words: string, kind: Kind, lifeRow: string, portions: number, mlEach: number): CountWord => ({
  id,
  words: words.split(' '),
  kind,
  lifeRow,
  portions,
  mlEach,
  source: 'KIT',
});

/** In order: the first that fits decides, so that "fish stock" is a broth and "chicken soup" a soup. */
export const countWords: readonly CountWord[] = [
  row('cw_puree_meat', 'meat-puree', 'puree', 'puree_meat_baby', 12, 30),
  row('cw_puree', 'puree purees mash-cubes baby', 'puree', 'puree_veg_baby', 12, 30),
  row('cw_dried', 'dried dry powder jerky', 'dried', 'veg_dried', 4, 60),
  row('cw_broth', 'broth stock bouillon bone-broth', 'broth', 'broth', 1, 500),
  row('cw_kit', 'kit kits raw marinated', 'kit', 'stewmeat_raw', 2, 400),
  row('cw_dumpling', 'dumplings dumpling ravioli', 'kit', 'dumpling_raw', 2, 250),
  row('cw_garlic', 'garlic', 'aromatic', 'garlic_chop', 20, 5),
  row('cw_ginger', 'ginger galangal lemongrass', 'aromatic', 'ginger_grated', 20, 5),
  row('cw_herbs', 'herb herbs parsley dill coriander basil mint thyme sage pesto', 'aromatic', 'herb_soft', 20, 5),
  row('cw_onion', 'onion onions shallot shallots leek-tops sofrito mirepoix', 'aromatic', 'onion_chop', 10, 30),
  row('cw_paste', 'paste', 'aromatic', 'ginger_grated', 20, 15),
  row('cw_dough', 'dough', 'bread', 'dough_yeast', 6, 90),
  row('cw_pastry', 'pastry', 'bread', 'pastry', 6, 80),
  row('cw_cake', 'cake muffin muffins pancake pancakes waffle waffles scones', 'bread', 'batter_bake', 6, 90),
  row('cw_bread', 'bread loaf loaves roll rolls bun buns wrap wraps flatbread flatbreads pitta bagel bagels', 'bread', 'bread', 6, 90),
  row('cw_soup', 'soup soups', 'meal', 'soup_meat', 2, 400),
  row('cw_bake', 'pie gratin bake casserole lasagne crumble-top', 'meal', 'casserole_baked', 2, 400),
  row('cw_meatballs', 'meatballs meatloaf patties', 'meal', 'meatballs', 2, 350),
  row('cw_curry', 'curry dal dhal', 'meal', 'curry', 2, 400),
  row('cw_stew', 'stew stews braise pot hotpot tagine dinner dinners meal meals risotto', 'meal', 'stew_meat', 2, 400),
  row('cw_sauce_meat', 'ragu bolognese gravy', 'base', 'meat_sauce', 4, 150),
  row('cw_sauce', 'sauce sauces passata tomato tomatoes base', 'base', 'tomato_sauce', 4, 150),
  row('cw_beans', 'beans bean chickpeas lentils pulses', 'base', 'beans_cooked', 4, 150),
  row('cw_grain', 'rice barley grain grains quinoa', 'base', 'rice_cooked', 4, 150),
  row('cw_chicken', 'chicken turkey poultry', 'base', 'poultry_cooked', 4, 120),
  row('cw_fish', 'fish cod haddock salmon mackerel prawns', 'kit', 'fish_oily_raw', 2, 150),
  row('cw_mince', 'mince', 'kit', 'mince_raw', 4, 120),
  row('cw_chops', 'chops steak steaks roast beef pork lamb', 'kit', 'beef_cut_raw', 2, 180),
  row('cw_sausage', 'sausage sausages', 'kit', 'sausage_raw', 2, 150),
  row('cw_berries', 'berries raspberries blackberries blueberries strawberries currants', 'base', 'raspberries', 4, 150),
  row('cw_fruit', 'fruit apple apples plum plums rhubarb quince pears cherries mango', 'base', 'fruit_cut', 4, 150),
  row('cw_leaves', 'spinach kale chard leaves', 'base', 'leaf_cook', 4, 120),
  row('cw_veg', 'veg vegetables peas carrots broccoli cauliflower sweetcorn peppers squash pumpkin leek leeks beet beetroot', 'base', 'veg_blanched', 4, 120),
];

/** What a line of each kind is taken for when no word is known. */
export const kindDefaults: Readonly<Record<Kind, CountWord>> = {
  meal: row('cd_meal', 'meal', 'meal', 'stew_meat', 2, 400),
  kit: row('cd_kit', 'kit', 'kit', 'stewmeat_raw', 2, 400),
  base: row('cd_base', 'base', 'base', 'veg_cooked', 4, 150),
  puree: row('cd_puree', 'puree', 'puree', 'puree_veg_baby', 12, 30),
  broth: row('cd_broth', 'broth', 'broth', 'broth', 1, 500),
  aromatic: row('cd_aromatic', 'aromatic', 'aromatic', 'onion_chop', 10, 30),
  dried: row('cd_dried', 'dried', 'dried', 'veg_dried', 4, 60),
  bread: row('cd_bread', 'bread', 'bread', 'bread', 6, 90),
};
