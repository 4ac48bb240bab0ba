/** Headspace for freezing. */
import type { ReferenceRow } from './types.ts';
export const headspaceRows: readonly ReferenceRow[] = [
  {"id": "hs_liquid_wide", "packStyle": "liquid pack: soup, sauce, broth, puree, crushed fruit, in juice/syrup", "container": "wide, straight top", "pintOrHalfLCm": 1.3, "pintIn": 0.5, "quartOr1LCm": 2.5, "quartIn": 1, "source": "NCHFP", "conf": "A"},
  {"id": "hs_liquid_narrow", "packStyle": "same", "container": "narrow top", "pintOrHalfLCm": 2, "pintIn": 0.75, "quartOr1LCm": 4, "quartIn": 1.5, "source": "NCHFP", "conf": "A"},
  {"id": "hs_dry_wide", "packStyle": "dry pack: veg, fruit, meat, no liquid", "container": "wide", "pintOrHalfLCm": 1.3, "pintIn": 0.5, "quartOr1LCm": 1.3, "quartIn": 0.5, "source": "NCHFP", "conf": "A"},
  {"id": "hs_dry_narrow", "packStyle": "dry pack", "container": "narrow", "pintOrHalfLCm": 1.3, "pintIn": 0.5, "quartOr1LCm": 1.3, "quartIn": 0.5, "source": "NCHFP", "conf": "A"},
  {"id": "hs_juice_narrow", "packStyle": "juice", "container": "narrow", "pintOrHalfLCm": 4, "pintIn": 1.5, "quartOr1LCm": 4, "quartIn": 1.5, "source": "NCHFP", "conf": "A"},
  {"id": "hs_none", "packStyle": "loose tray-frozen pieces, asparagus, broccoli, bony meats, bread", "container": "any", "pintOrHalfLCm": 0, "pintIn": 0, "quartOr1LCm": 0, "quartIn": 0, "source": "NCHFP", "conf": "A"},
  {"id": "hs_jar4", "packStyle": "baby food jar 4 oz", "container": "jar", "pintOrHalfLCm": 1.3, "pintIn": 0.5, "source": "KIT", "conf": "B"},
  {"id": "hs_bag", "packStyle": "flat liquid bag, air pressed out, measured at the seal", "container": "bag", "pintOrHalfLCm": "2-3", "pintIn": 1, "quartOr1LCm": "2-3", "quartIn": 1, "source": "KIT", "conf": "B"},
  {"id": "hs_pan", "packStyle": "foil pan, casserole", "container": "pan", "pintOrHalfLCm": "1-1.3", "pintIn": 0.5, "quartOr1LCm": "1.3-2", "quartIn": "0.5-0.75", "source": "KIT", "conf": "B"},
  {"id": "hs_cube", "packStyle": "cubes: leave 10 pct of the volume", "container": "tray", "pintOrHalfLCm": "0.2-0.4", "pintIn": "0.1-0.15", "quartOr1LCm": "0.6-0.8", "quartIn": "0.25-0.3", "source": "KIT", "conf": "B"},
  {"id": "hs_tub_1to4", "packStyle": "soup tub, up to 2 L", "container": "tub", "pintOrHalfLCm": "1.3-2.5", "pintIn": "0.5-1", "quartOr1LCm": 2.5, "quartIn": 1, "source": "NCHFP, KIT", "conf": "B"},
];
