/**
 * Fridge hours to thaw by shape and thickness: planning hours widened by an own heat model (5 °C and moving air at the short end, 4 °C and still air
 * at the long one). Plan by the long end, count eat-by from the short one. Raw meat: at least a day, no ice.
 */
import type { ReferenceRow } from '#core/kitchen';
export const thawRows: readonly ReferenceRow[] = [
  {"id": "t_cube30", "item": "cubes 15-60 ml, one layer", "thicknessCm": 3, "thicknessIn": 1.2, "thawH": "7-18", "source": "KIT; heat model", "conf": "confirm"},
  {"id": "t_flat15", "item": "flat bag", "thicknessCm": 1.5, "thicknessIn": 0.6, "thawH": "8-20", "source": "KIT; heat model", "conf": "confirm"},
  {"id": "t_flat20", "item": "flat bag", "thicknessCm": 2, "thicknessIn": 0.8, "thawH": "10-27", "source": "KIT; heat model", "conf": "confirm"},
  {"id": "t_flat25", "item": "flat bag", "thicknessCm": 2.5, "thicknessIn": 1.0, "thawH": "13-37", "source": "KIT; heat model", "conf": "confirm"},
  {"id": "t_flat30", "item": "flat bag", "thicknessCm": 3, "thicknessIn": 1.2, "thawH": "15-39", "source": "KIT; heat model", "conf": "confirm"},
  {"id": "t_flat40", "item": "flat bag", "thicknessCm": 4, "thicknessIn": 1.6, "thawH": "21-51", "source": "KIT; heat model", "conf": "confirm"},
  {"id": "t_tub500", "item": "tub 500 ml", "thicknessCm": 5.5, "thicknessIn": 2.2, "thawH": "18-44", "source": "KIT; heat model", "conf": "confirm"},
  {"id": "t_tub1000", "item": "tub 1 L", "thicknessCm": 8, "thicknessIn": 3.1, "thawH": "24-72", "source": "KIT; heat model", "conf": "confirm"},
  {"id": "t_tub2000", "item": "tub or brick 2 L", "thicknessCm": 10, "thicknessIn": 3.9, "thawH": "35-77", "source": "KIT; heat model", "conf": "confirm"},
  {"id": "t_pan8", "item": "pan of 36-38 mm, any length", "thicknessCm": 3.7, "thicknessIn": 1.5, "thawH": "17-48", "source": "KIT; heat model", "conf": "confirm"},
  {"id": "t_pan50", "item": "pan of 50 mm", "thicknessCm": 5, "thicknessIn": 2.0, "thawH": "24-58", "source": "KIT; heat model", "conf": "confirm"},
  {"id": "t_mince450", "item": "mince 450 g (1 lb) block", "thicknessCm": 4, "thicknessIn": 1.6, "thawH": "12-28", "source": "KIT; heat model", "conf": "confirm"},
  {"id": "t_breasts", "item": "4 chicken breasts, single layer", "thicknessCm": 3, "thicknessIn": 1.2, "thawH": "9-24", "source": "KIT; heat model", "conf": "confirm"},
  {"id": "t_roast", "item": "joint", "thawH": "10-13 per kg (5-6 per lb), min 24", "source": "KIT", "conf": "confirm"},
  {"id": "t_chicken", "item": "whole chicken 1.5-2 kg (3.3-4.4 lb)", "thawH": "24-48", "source": "KIT", "conf": "confirm"},
];
