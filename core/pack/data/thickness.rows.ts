/** Thickness factors for reheating minutes. */
import type { ReferenceRow } from '#core/kitchen';
export const thicknessRows: readonly ReferenceRow[] = [
  {"id": "tf2", "thicknessCm": 2, "thicknessIn": 0.8, "factorOven": 0.5, "factorMicrowave": 0.6, "source": "KIT", "conf": "confirm"},
  {"id": "tf3", "thicknessCm": 3, "thicknessIn": 1.2, "factorOven": 0.65, "factorMicrowave": 0.75, "source": "KIT", "conf": "confirm"},
  {"id": "tf4", "thicknessCm": 4, "thicknessIn": 1.6, "factorOven": 0.8, "factorMicrowave": 0.9, "source": "KIT", "conf": "confirm"},
  {"id": "tf5", "thicknessCm": 5, "thicknessIn": 2, "factorOven": 1.0, "factorMicrowave": 1.0, "source": "KIT", "conf": "confirm"},
  {"id": "tf6", "thicknessCm": 6, "thicknessIn": 2.4, "factorOven": 1.25, "factorMicrowave": 1.2, "source": "KIT", "conf": "confirm"},
  {"id": "tf8", "thicknessCm": 8, "thicknessIn": 3.1, "factorOven": 1.8, "factorMicrowave": "not advised: divide", "source": "KIT", "conf": "confirm"},
];
