/** Cube trays, jars and tubs: fill and headspace. */
import type { ReferenceRow } from './types.ts';
export const tubRows: readonly ReferenceRow[] = [
  {"id": "tray15", "shape": "tray", "container": "cube 15", "nominalMl": 15, "fillMl": "13-14", "imperial": "1 tbsp", "headspaceCm": 0.2, "source": "NCHFP, KIT", "conf": "confirm"},
  {"id": "tray30", "shape": "tray", "container": "cube 30", "nominalMl": 30, "fillMl": 27, "imperial": "1 oz, 2 tbsp", "headspaceCm": 0.3, "source": "NCHFP, KIT", "conf": "confirm"},
  {"id": "tray60", "shape": "tray", "container": "cube 60", "nominalMl": 60, "fillMl": 54, "imperial": "2 oz, 1/4 cup", "headspaceCm": 0.4, "source": "NCHFP, KIT", "conf": "confirm"},
  {"id": "block125", "shape": "tray", "container": "block", "nominalMl": 125, "fillMl": 110, "imperial": "1/2 cup", "headspaceCm": 0.5, "source": "NCHFP, KIT", "conf": "confirm"},
  {"id": "block250", "shape": "tray", "container": "block", "nominalMl": 250, "fillMl": 225, "imperial": "1 cup", "headspaceCm": 0.6, "source": "NCHFP, KIT", "conf": "confirm"},
  {"id": "block500", "shape": "tray", "container": "block", "nominalMl": 500, "fillMl": 450, "imperial": "2 cup", "headspaceCm": 0.8, "source": "NCHFP, KIT", "conf": "confirm"},
  {"id": "jar4oz", "shape": "jar", "container": "jar, straight", "nominalMl": 118, "fillMl": "95-105", "imperial": "4 oz", "headspaceCm": 1.3, "note": "baby", "source": "NCHFP, KIT", "conf": "confirm"},
  {"id": "jar8oz", "shape": "jar", "container": "jar, straight", "nominalMl": 237, "fillMl": "195-200", "imperial": "8 oz", "headspaceCm": 1.3, "source": "NCHFP, KIT", "conf": "confirm"},
  {"id": "jar_pint", "shape": "jar", "container": "jar pint, straight", "nominalMl": 473, "fillMl": 400, "imperial": "16 oz", "headspaceCm": "1.3 wide, 2 narrow", "note": "wide mouth", "source": "NCHFP, KIT", "conf": "confirm"},
  {"id": "jar_24", "shape": "jar", "container": "jar 700 ml, straight", "nominalMl": 710, "fillMl": 600, "imperial": "24 oz", "headspaceCm": 2, "note": "best soup", "source": "NCHFP, KIT", "conf": "confirm"},
  {"id": "jar_quart", "shape": "jar", "container": "jar quart, straight only", "nominalMl": 946, "fillMl": 790, "imperial": "32 oz", "headspaceCm": "2.5 wide", "note": "shouldered quart breaks: no", "source": "NCHFP, KIT", "conf": "confirm"},
  {"id": "tub8", "shape": "tub", "container": "deli tub", "nominalMl": 237, "fillMl": 200, "imperial": "8 oz", "headspaceCm": 1.3, "source": "NCHFP, KIT", "conf": "confirm"},
  {"id": "tub12", "shape": "tub", "container": "deli tub", "nominalMl": 355, "fillMl": 300, "imperial": "12 oz", "headspaceCm": 1.3, "source": "NCHFP, KIT", "conf": "confirm"},
  {"id": "tub16", "shape": "tub", "container": "deli tub", "nominalMl": 473, "fillMl": 410, "imperial": "16 oz", "headspaceCm": 1.3, "source": "NCHFP, KIT", "conf": "confirm"},
  {"id": "tub32", "shape": "tub", "container": "deli tub", "nominalMl": 946, "fillMl": 830, "imperial": "32 oz", "headspaceCm": 2.5, "source": "NCHFP, KIT", "conf": "confirm"},
  {"id": "tub500", "shape": "tub", "container": "UK tub 500 ml", "nominalMl": 500, "fillMl": 430, "imperial": "17 oz", "headspaceCm": 1.5, "source": "NCHFP, KIT", "conf": "confirm"},
  {"id": "tub1000", "shape": "tub", "container": "UK tub 1 L", "nominalMl": 1000, "fillMl": 870, "imperial": "34 oz", "headspaceCm": 2.5, "source": "NCHFP, KIT", "conf": "confirm"},
  {"id": "tub2000", "shape": "tub", "container": "UK tub 2 L (ice cream tub)", "nominalMl": 2000, "fillMl": 1750, "imperial": "68 oz", "headspaceCm": 2.5, "note": "cool food only", "source": "NCHFP, KIT", "conf": "confirm"},
  {"id": "muffin12", "shape": "tray", "container": "muffin hole", "nominalMl": "90-110", "fillMl": 80, "imperial": "1/3-1/2 cup", "headspaceCm": 0.5, "note": "puck", "source": "NCHFP, KIT", "conf": "confirm"},
];
