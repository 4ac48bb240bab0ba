/** Minutes to soft in a pressure cooker and a microwave. */
import type { ReferenceRow } from './types.ts';
export const pressureRows: readonly ReferenceRow[] = [
  {"id": "pc_carrot", "food": "carrot 2.5 cm", "pressureMinHigh": "4-5", "release": "quick", "microwaveMinPer500g": "8-10", "note": "30 ml water, covered", "source": "KIT", "conf": "confirm"},
  {"id": "pc_squash", "food": "squash cubes 3 cm", "pressureMinHigh": "5-6", "release": "quick", "microwaveMinPer500g": "10-12", "source": "KIT", "conf": "confirm"},
  {"id": "pc_sweetpot", "food": "sweet potato cubes", "pressureMinHigh": "5-6", "release": "quick", "microwaveMinPer500g": "8-10", "note": "whole 15-20 natural", "source": "KIT", "conf": "confirm"},
  {"id": "pc_apple", "food": "apple wedges", "pressureMinHigh": 2, "release": "natural 5", "microwaveMinPer500g": "5-6", "note": "or 0", "source": "KIT", "conf": "confirm"},
  {"id": "pc_beet", "food": "whole beet 6 cm", "pressureMinHigh": "20-25", "release": "natural", "microwaveMinPer500g": "12-16", "source": "KIT", "conf": "confirm"},
  {"id": "pc_pea", "food": "peas", "pressureMinHigh": "0-1", "release": "quick", "microwaveMinPer500g": "4-5", "source": "KIT", "conf": "confirm"},
  {"id": "pc_potato", "food": "potato 3 cm", "pressureMinHigh": 5, "release": "quick", "microwaveMinPer500g": "8-10", "source": "KIT", "conf": "confirm"},
  {"id": "pc_chicken", "food": "thighs, boneless", "pressureMinHigh": 10, "release": "natural 5", "note": "core 74 C", "source": "KIT", "conf": "confirm"},
  {"id": "pc_beef", "food": "beef 3 cm cubes", "pressureMinHigh": "30-35", "release": "natural 10", "note": "core 74 C", "source": "KIT", "conf": "confirm"},
  {"id": "pc_cauli", "food": "cauliflower", "pressureMinHigh": "2-3", "release": "quick", "microwaveMinPer500g": "6-8", "source": "KIT", "conf": "confirm"},
];
