/** Freezer room a pack takes. */
import type { ReferenceRow } from './types.ts';
export const spaceRows: readonly ReferenceRow[] = [
  {"id": "cap_flatq", "item": "quart/1 L bag flat 2.5 cm, filed upright", "lPerUnit": 0.75, "spaceFactor": 1.15, "unitsPer25LDrawerUsable": 28, "source": "KIT", "conf": "confirm"},
  {"id": "cap_flatg", "item": "gallon/3 L bag flat 2.5 cm", "lPerUnit": 1.6, "spaceFactor": 1.15, "unitsPer25LDrawerUsable": 13, "source": "KIT", "conf": "confirm"},
  {"id": "cap_tub500", "item": "tub 500 ml outer", "lPerUnit": 0.65, "spaceFactor": 1.2, "unitsPer25LDrawerUsable": 32, "source": "KIT", "conf": "confirm"},
  {"id": "cap_tub1000", "item": "tub 1 L outer", "lPerUnit": 1.25, "spaceFactor": 1.2, "unitsPer25LDrawerUsable": 16, "source": "KIT", "conf": "confirm"},
  {"id": "cap_pan8", "item": "20 cm square pan, lidded", "lPerUnit": 2.4, "spaceFactor": 1.1, "unitsPer25LDrawerUsable": 9, "source": "KIT", "conf": "confirm"},
  {"id": "cap_pan913", "item": "33 x 23 cm pan, lidded", "lPerUnit": 4.4, "spaceFactor": 1.1, "unitsPer25LDrawerUsable": 5, "source": "KIT", "conf": "confirm"},
  {"id": "cap_cubes", "item": "bag of 30 cubes of 30 ml", "lPerUnit": 1.3, "spaceFactor": 1.15, "unitsPer25LDrawerUsable": 16, "source": "KIT", "conf": "confirm"},
];
