/**
 * Sixty packs with what their label and page must say in figures: worked by hand from the table's laws, and by a second program.
 * Each: number, pack, base row, food, stoves, figures of the label, figures of the page.
 */
import type { HeatForm } from './rows.ts';

interface Worked {
  n: number;
  pack: string;
  base: string;
  food: { form: HeatForm; g?: number; ml?: number; mm?: number; pieces?: number; lost?: number };
  stoves: { watts?: number; fan?: boolean };
  label: string;
  page: string;
}

/* prettier-ignore */
export const workedPacks: readonly Worked[] = [
  {"n": 1, "pack": "500 ml vegetable soup, bag", "base": "soup_hob_f", "food": {"ml": 500, "form": "bag"}, "stoves": {}, "label": "60 15 20", "page": "60 15 20 4"},
  {"n": 2, "pack": "300 ml soup, bag, microwave 800 W", "base": "soup_mw_f", "food": {"ml": 300, "form": "bag"}, "stoves": {"watts": 800}, "label": "6 50 4 75", "page": "6 50 4 800 3 75 2"},
  {"n": 3, "pack": "300 ml soup, glass jar, thawed, 1000 W", "base": "soup_mw_t", "food": {"ml": 300, "form": "jar"}, "stoves": {"watts": 1000}, "label": "3 4 75", "page": "3 4 1000 75 2"},
  {"n": 4, "pack": "1 L thin soup, 60 mm block, tub, pressure cooker", "base": "soup_pc_f", "food": {"ml": 1000, "mm": 60, "form": "tub"}, "stoves": {}, "label": "250 8 9 10 75", "page": "250 8 9 10 75"},
  {"n": 5, "pack": "500 ml cream soup, tub, thawed", "base": "soup_cream_hob_t", "food": {"ml": 500, "form": "tub"}, "stoves": {}, "label": "8 12 75", "page": "8 12 75"},
  {"n": 6, "pack": "4 broth cubes of 30 ml", "base": "broth_cube_hob", "food": {"ml": 30, "pieces": 4, "form": "loose", "g": 120}, "stoves": {}, "label": "2 4", "page": "4 2 4"},
  {"n": 7, "pack": "1 kg stew, tub", "base": "stew_hob_f", "food": {"g": 1000, "form": "tub"}, "stoves": {}, "label": "100 25 35 75", "page": "100 25 35 5 75"},
  {"n": 8, "pack": "400 g stew, bag, 800 W", "base": "stew_mw_f", "food": {"g": 400, "form": "bag"}, "stoves": {"watts": 800}, "label": "6 50 4 5 75", "page": "6 50 4 5 800 3 75 3"},
  {"n": 9, "pack": "400 g stew, china dish, thawed, 700 W", "base": "stew_mw_t", "food": {"g": 400, "form": "dish"}, "stoves": {"watts": 700}, "label": "5 6 75", "page": "5 6 700 75 3"},
  {"n": 10, "pack": "1 kg stew, foil tray, 50 mm, oven", "base": "stew_oven_f_foil", "food": {"g": 1000, "mm": 50, "form": "foil"}, "stoves": {}, "label": "60 180 2¼ 3 75", "page": "60 180 2¼ 3 50 75 5"},
  {"n": 11, "pack": "1 kg stew, slow cooker", "base": "stew_slow", "food": {"g": 1000, "form": "any"}, "stoves": {}, "label": "", "page": "75 60"},
  {"n": 12, "pack": "2.7 kg lasagne, foil tray, 36 mm", "base": "lasagne_oven_f", "food": {"g": 2700, "mm": 36, "form": "foil"}, "stoves": {}, "label": "180 90 115 25 75", "page": "180 90 115 25 75 10"},
  {"n": 13, "pack": "1.5 kg lasagne, glass dish, frozen", "base": "lasagne_oven_f", "food": {"g": 1500, "form": "dish", "mm": 40}, "stoves": {}, "label": "", "page": ""},
  {"n": 14, "pack": "1.5 kg lasagne, glass dish, thawed, fan oven", "base": "lasagne_oven_t", "food": {"g": 1500, "form": "dish", "mm": 38}, "stoves": {"fan": true}, "label": "160 55 70 20 75", "page": "160 55 70 20 75 10"},
  {"n": 15, "pack": "300 g slice of lasagne, foil tray, 900 W", "base": "lasagne_mw_f", "food": {"g": 300, "form": "foil"}, "stoves": {"watts": 900}, "label": "5 50 3 75", "page": "5 50 3 900 75 3"},
  {"n": 16, "pack": "1.2 kg cottage pie, foil tray, 30 mm", "base": "pie_mash_oven_f", "food": {"g": 1200, "mm": 30, "form": "foil"}, "stoves": {}, "label": "190 70 90 40 75", "page": "190 70 90 40 75 5"},
  {"n": 17, "pack": "1 kg pastry pie, foil tray, 32 mm", "base": "pie_pastry_oven_f", "food": {"g": 1000, "mm": 32, "form": "foil"}, "stoves": {}, "label": "20 200 40 50 180 75", "page": "20 200 180 40 50 75 10"},
  {"n": 18, "pack": "900 g quiche, tin, thawed, 30 mm", "base": "quiche_oven_t", "food": {"g": 900, "mm": 30, "form": "foil"}, "stoves": {}, "label": "180 45 65 75", "page": "180 45 65 75 5"},
  {"n": 19, "pack": "10 meatballs of 30 mm, bag, oven", "base": "meatball_oven_f", "food": {"mm": 30, "pieces": 10, "form": "bag", "g": 300}, "stoves": {}, "label": "190 18 25 10 75", "page": "10 190 18 25 10 75 2"},
  {"n": 20, "pack": "4 cooked patties of 20 mm, bag, fan oven", "base": "patty_oven_f", "food": {"mm": 20, "pieces": 4, "form": "bag", "g": 400}, "stoves": {"fan": true}, "label": "170 35 45 75", "page": "4 170 35 45 75 2"},
  {"n": 21, "pack": "1 chicken piece of 30 mm, tub, thawed", "base": "chicken_oven_t", "food": {"mm": 30, "pieces": 1, "form": "tub", "g": 200}, "stoves": {}, "label": "20 180 30 45 75", "page": "20 180 30 45 75 3"},
  {"n": 22, "pack": "6 breaded pieces of 20 mm, bag, air fryer", "base": "breaded_air_f", "food": {"mm": 20, "pieces": 6, "form": "bag", "g": 180}, "stoves": {}, "label": "190 10 15 75", "page": "6 190 10 15 75 1"},
  {"n": 23, "pack": "2 fish portions of 25 mm, bag, thawed", "base": "fish_oven_t", "food": {"mm": 25, "pieces": 2, "form": "bag", "g": 300}, "stoves": {}, "label": "160 35 45 75", "page": "2 160 35 45 75"},
  {"n": 24, "pack": "175 g rice, bag, 800 W", "base": "rice_mw_f", "food": {"g": 175, "form": "bag"}, "stoves": {"watts": 800}, "label": "3 4 75", "page": "20 3 4 800 75 2"},
  {"n": 25, "pack": "300 ml white sauce, tub, thawed", "base": "sauce_cream_hob_t", "food": {"ml": 300, "form": "tub"}, "stoves": {}, "label": "5 8 75", "page": "5 8 75"},
  {"n": 26, "pack": "800 g mash, foil tray, 40 mm", "base": "mash_oven_f_foil", "food": {"g": 800, "mm": 40, "form": "foil"}, "stoves": {}, "label": "180 105 140 75", "page": "180 105 140 75 2"},
  {"n": 27, "pack": "250 g green beans, bag, 800 W", "base": "veg_mw_f", "food": {"g": 250, "form": "bag"}, "stoves": {"watts": 800}, "label": "5 7 75", "page": "15 5 7 800 75 2"},
  {"n": 28, "pack": "2 herb-and-garlic-oil cubes", "base": "aromatic_oil_hob", "food": {"pieces": 2, "form": "loose", "g": 30}, "stoves": {}, "label": "1 3", "page": "2 1 3 24"},
  {"n": 29, "pack": "stock paste, jar", "base": "stock_paste_hob", "food": {"form": "jar", "g": 200}, "stoves": {}, "label": "1 250", "page": "1 250"},
  {"n": 30, "pack": "3 baby carrot cubes of 25 ml", "base": "puree_baby_hob_f", "food": {"ml": 25, "pieces": 3, "form": "loose", "g": 75}, "stoves": {}, "label": "4 6", "page": "3 10 4 6 75 37"},
  {"n": 31, "pack": "baby beef cubes, microwave", "base": "puree_baby_meat_mw", "food": {"form": "any", "g": 75}, "stoves": {}, "label": "", "page": ""},
  {"n": 32, "pack": "4 rolls of 70 g, bag", "base": "roll_oven_f", "food": {"g": 280, "pieces": 4, "form": "bag"}, "stoves": {}, "label": "180 12 15", "page": "4 180 12 15 2"},
  {"n": 33, "pack": "1 roll, bag, fan oven", "base": "roll_oven_f", "food": {"pieces": 1, "form": "bag", "g": 70}, "stoves": {"fan": true}, "label": "160 12 15", "page": "160 12 15 2"},
  {"n": 34, "pack": "3 pancakes, bag, toaster", "base": "pancake_toast_f", "food": {"pieces": 3, "form": "bag", "g": 120}, "stoves": {}, "label": "2", "page": "3 2"},
  {"n": 35, "pack": "8 raw dumplings of 25 mm, bag, steamer", "base": "dumpling_raw_steam_f", "food": {"mm": 25, "pieces": 8, "form": "bag", "g": 200}, "stoves": {}, "label": "12 15 75", "page": "8 12 15 75"},
  {"n": 36, "pack": "1 burrito of 200 g, foil, 800 W", "base": "burrito_mw_f", "food": {"g": 200, "pieces": 1, "form": "foil"}, "stoves": {"watts": 800}, "label": "3 50 1½ 2 75", "page": "3 50 1½ 2 800 75 2"},
  {"n": 37, "pack": "1 kg raw chicken kit, bag, slow cooker", "base": "kit_raw_slow_t_low", "food": {"g": 1000, "form": "bag"}, "stoves": {}, "label": "6 8 75", "page": "6 8 75"},
  {"n": 38, "pack": "1 kg raw chicken kit, flat bag 40 mm, pressure cooker", "base": "kit_raw_pc_f_chicken", "food": {"g": 1000, "mm": 40, "form": "bag"}, "stoves": {}, "label": "250 35 40 75", "page": "250 35 40 10 75"},
  {"n": 39, "pack": "1 kg raw kit, frozen, slow cooker", "base": "kit_raw_slow_f", "food": {"g": 1000, "form": "bag"}, "stoves": {}, "label": "", "page": "24"},
  {"n": 40, "pack": "freeze-dried chilli, 340 ml of water lost", "base": "kit_dry_kettle", "food": {"ml": 340, "form": "bag", "lost": 340, "g": 120}, "stoves": {}, "label": "310 10 20 75", "page": "310 10 20 5 75"},
  {"n": 41, "pack": "830 g stew, tub", "base": "stew_hob_f", "food": {"g": 830, "form": "tub"}, "stoves": {}, "label": "85 25 35 75", "page": "85 25 35 5 75"},
  {"n": 42, "pack": "830 g stew, tub, 900 W", "base": "stew_mw_f", "food": {"g": 830, "form": "tub"}, "stoves": {"watts": 900}, "label": "6 50 4 5 75", "page": "420 6 50 4 5 900 3 75 3"},
  {"n": 43, "pack": "217 g stew, bag, 1100 W", "base": "stew_mw_f", "food": {"g": 217, "form": "bag"}, "stoves": {"watts": 1100}, "label": "3 50 2 3 75", "page": "3 50 2 3 1100 3 75 3"},
  {"n": 44, "pack": "1,340 g curry, tub", "base": "curry_hob_f", "food": {"g": 1340, "form": "tub"}, "stoves": {}, "label": "110 35 40 75", "page": "110 35 40 4 75"},
  {"n": 45, "pack": "2,950 g stew, tub, thawed", "base": "stew_hob_t", "food": {"g": 2950, "form": "tub"}, "stoves": {}, "label": "30 35 75", "page": "30 35 75"},
  {"n": 46, "pack": "655 ml soup, bag, 700 W", "base": "soup_mw_f", "food": {"ml": 655, "form": "bag"}, "stoves": {"watts": 700}, "label": "8 50 5 75", "page": "330 8 50 5 700 3 75 2"},
  {"n": 47, "pack": "90 ml sauce, bag, 800 W", "base": "sauce_mw_f", "food": {"ml": 90, "form": "bag"}, "stoves": {"watts": 800}, "label": "3 50 2 3 75", "page": "3 50 2 3 800 2 75 2"},
  {"n": 48, "pack": "145 g rice, chilled, tub, 600 W", "base": "rice_mw_c", "food": {"g": 145, "form": "tub"}, "stoves": {"watts": 600}, "label": "3 75", "page": "15 3 600 75 2"},
  {"n": 49, "pack": "1,870 g lasagne, foil tray, 47 mm", "base": "lasagne_oven_f", "food": {"g": 1870, "mm": 47, "form": "foil"}, "stoves": {}, "label": "180 2¼ 2¾ 35 75", "page": "180 2¼ 2¾ 35 75 10"},
  {"n": 50, "pack": "3,200 g lasagne, foil tray, 66 mm", "base": "lasagne_oven_f", "food": {"g": 3200, "mm": 66, "form": "foil"}, "stoves": {}, "label": "75", "page": "66"},
  {"n": 51, "pack": "640 g lasagne, foil tray, 24 mm, fan oven", "base": "lasagne_oven_f", "food": {"g": 640, "mm": 24, "form": "foil"}, "stoves": {"fan": true}, "label": "160 70 85 20 75", "page": "160 70 85 20 75 10"},
  {"n": 52, "pack": "1,130 g cottage pie, foil tray, 43 mm", "base": "pie_mash_oven_f", "food": {"g": 1130, "mm": 43, "form": "foil"}, "stoves": {}, "label": "190 115 150 65 75", "page": "190 115 150 65 75 5"},
  {"n": 53, "pack": "7 meatballs of 38 mm, air fryer", "base": "meatball_air_f", "food": {"mm": 38, "pieces": 7, "form": "bag", "g": 300}, "stoves": {}, "label": "190 15 25 75", "page": "7 190 15 25 75 2"},
  {"n": 54, "pack": "3 burritos of 200 g, 1000 W", "base": "burrito_mw_f", "food": {"g": 600, "pieces": 3, "form": "bag"}, "stoves": {"watts": 1000}, "label": "4 50 2 3 75", "page": "2 2 4 50 2 3 1000 75 2"},
  {"n": 55, "pack": "2 egg muffins of 70 g, 750 W", "base": "egg_muffin_mw_f", "food": {"g": 140, "pieces": 2, "form": "bag"}, "stoves": {"watts": 750}, "label": "4 50 1½ 3 75", "page": "2 4 50 1½ 3 750 75 2"},
  {"n": 56, "pack": "260 g porridge, bag, 800 W", "base": "porridge_mw_f", "food": {"g": 260, "form": "bag"}, "stoves": {"watts": 800}, "label": "7 8 75", "page": "90 7 8 800 75 2"},
  {"n": 57, "pack": "5 baby pea cubes of 15 ml", "base": "puree_baby_hob_f", "food": {"ml": 15, "pieces": 5, "form": "loose", "g": 75}, "stoves": {}, "label": "4 6", "page": "5 10 4 6 75 37"},
  {"n": 58, "pack": "1,050 g raw beef kit, bag 32 mm, pressure cooker", "base": "kit_raw_pc_f_beef", "food": {"g": 1050, "mm": 32, "form": "bag"}, "stoves": {}, "label": "250 45 55 75", "page": "250 45 55 3 10 75"},
  {"n": 59, "pack": "620 g chilli, flat bag 22 mm, pressure cooker", "base": "stew_pc_f", "food": {"g": 620, "mm": 22, "form": "bag"}, "stoves": {}, "label": "250 15 18 10 75", "page": "250 15 18 10 75"},
  {"n": 60, "pack": "2 chicken pieces of 55 mm, dish, thawed", "base": "chicken_oven_t", "food": {"mm": 55, "pieces": 2, "form": "dish", "g": 500}, "stoves": {}, "label": "45 180 55 80 75", "page": "55 2 45 50 2 180 55 80 75 3"},
];
