/** Blending hot food and letting steam out. */
import type { ReferenceRow } from '#core/kitchen';
export const hotBlendingRows: readonly ReferenceRow[] = [
  {"id": "bl_fill", "rule": "jug blender fill for hot liquid", "figure": "<=1/3 (max 1/2, or the hot-fill mark)", "conf": "B", "source": "MAKER;KIT"},
  {"id": "bl_vent", "rule": "remove centre cap, cover with folded towel held down; never a sealed lid", "conf": "A", "source": "MAKER"},
  {"id": "bl_start", "rule": "lowest speed first, then raise", "conf": "A", "source": "MAKER"},
  {"id": "bl_cool", "rule": "rest before blending", "figure": "5-10 min; <=80 C (176 F)", "conf": "confirm", "source": "KIT"},
  {"id": "bl_sealed", "rule": "sealed cup or \"bullet\" blenders", "figure": "no hot liquid; only food cooled below about 40 C (104 F)", "conf": "confirm", "source": "MAKER"},
  {"id": "bl_stick", "rule": "stick blender", "figure": "head fully under surface before start; pan off heat; deep pan >= 2x liquid depth", "conf": "B", "source": "KIT"},
  {"id": "bl_food_proc", "rule": "food processor", "figure": "not above liquid line (usually 1/3-1/2 of bowl)", "conf": "B", "source": "MAKER"},
  {"id": "bl_safe", "rule": "after blending a cooled dish for storage, keep inside the 2 h clock", "figure": "2 h", "conf": "A", "source": "FSIS"},
  {"id": "pc_steam", "rule": "pressure release: hands and face away, use a spoon handle; no quick release for foamy soups", "conf": "A", "source": "MAKER"},
  {"id": "steam_cover", "rule": "lift lids, bag seals and microwave films away from you", "conf": "A", "source": "FSIS"},
];
