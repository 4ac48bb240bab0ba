/** Wash before storing or at use: both schools, with their reasons. */
import type { ReferenceRow } from './types.ts';
export const washingRows: readonly ReferenceRow[] = [
  {"id": "wash_late", "position": "wash just before use", "reason": "surface water feeds mould and rot; natural bloom/wax protects; washing spreads spoilage from one piece to all", "conf": "A", "source": "FDA;EXT;KIT"},
  {"id": "wash_early", "position": "wash, dry fully, store lined", "reason": "saves time; soil and insects stay out of fridge and off ready-to-eat food; people eat more of it", "conf": "B", "source": "KIT;EXT"},
  {"id": "wash_common", "position": "both agree", "reason": "if washed first, dry completely (spinner, towel, 20-30 min air), then paper-lined, vented box; wash berries and mushrooms late; never soap, detergent or bleach", "conf": "A", "source": "FDA;FSA"},
  {"id": "vinegar_rinse", "position": "1 part 5 pct vinegar to 3 parts water, 1-5 min, rinse, dry fully (berries)", "reason": "lowers mould load; running water alone is the official method", "conf": "B", "source": "EXT"},
  {"id": "baking_soda", "position": "1 tsp per 475 ml (2 cups), 12-15 min, rinse", "reason": "removes some surface pesticide residue; not a safety step", "conf": "confirm", "source": "EXT"},
];
