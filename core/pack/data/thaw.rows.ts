/** Fridge-thaw planning hours by shape. */
import type { ReferenceRow } from '#core/kitchen';
export const thawRows: readonly ReferenceRow[] = [
  {"id": "t_cube30", "item": "cubes 15-60 ml", "thicknessCm": 3, "thicknessIn": 1.2, "thawH": "4-8", "source": "KIT", "conf": "confirm"},
  {"id": "t_flat15", "item": "flat bag", "thicknessCm": 1.5, "thicknessIn": 0.6, "thawH": "9-20", "source": "KIT", "conf": "confirm"},
  {"id": "t_flat25", "item": "flat bag", "thicknessCm": 2.5, "thicknessIn": 1, "thawH": "15-30", "source": "KIT", "conf": "confirm"},
  {"id": "t_tub500", "item": "tub 500 ml", "thicknessCm": 6, "thicknessIn": 2.4, "thawH": "18-30", "source": "KIT", "conf": "confirm"},
  {"id": "t_tub1000", "item": "tub 1 L", "thicknessCm": 9, "thicknessIn": 3.5, "thawH": "24-48", "source": "KIT", "conf": "confirm"},
  {"id": "t_tub2000", "item": "tub or bag brick 2 L", "thicknessCm": 12, "thicknessIn": 4.7, "thawH": "36-72", "source": "KIT", "conf": "confirm"},
  {"id": "t_pan8", "item": "20 cm square pan", "thicknessCm": 5, "thicknessIn": 2, "thawH": "24-30", "source": "KIT", "conf": "confirm"},
  {"id": "t_pan13", "item": "33 x 23 cm pan (lasagne)", "thicknessCm": 6, "thicknessIn": 2.4, "thawH": "30-48", "source": "KIT", "conf": "confirm"},
  {"id": "t_mince450", "item": "mince 450 g (1 lb) block", "thicknessCm": 4, "thicknessIn": 1.6, "thawH": "18-24", "source": "KIT", "conf": "confirm"},
  {"id": "t_breasts", "item": "4 chicken breasts, single layer", "thicknessCm": 3, "thicknessIn": 1.2, "thawH": "14-24", "source": "KIT", "conf": "confirm"},
  {"id": "t_roast", "item": "joint", "thawH": "10-13 per kg (5-6 per lb), min 24", "source": "KIT", "conf": "confirm"},
  {"id": "t_chicken", "item": "whole chicken 1.5-2 kg (3.3-4.4 lb)", "thawH": "24-48", "source": "KIT", "conf": "confirm"},
];
