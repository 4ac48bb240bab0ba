/** Foil pans. */
import type { ReferenceRow } from './types.ts';
export const panRows: readonly ReferenceRow[] = [
  {"id": "pan_loaf1", "shape": "pan", "pan": "1 lb loaf", "dimsCm": "15 x 9 x 5", "dimsIn": "6 x 3.5 x 2", "brimL": 0.5, "fillL": 0.4, "serves": "1-2", "conf": "confirm", "source": "KIT"},
  {"id": "pan_loaf2", "shape": "pan", "pan": "2 lb loaf", "dimsCm": "21.5 x 11.5 x 6.5", "dimsIn": "8.5 x 4.5 x 2.5", "brimL": 0.95, "fillL": 0.8, "serves": "2-4", "conf": "B", "source": "KIT"},
  {"id": "pan_square8", "shape": "pan", "pan": "square", "dimsCm": "20 x 20 x 5", "dimsIn": "8 x 8 x 2", "brimL": 1.9, "fillL": 1.5, "serves": 4, "conf": "confirm", "source": "KIT"},
  {"id": "pan_square9", "shape": "pan", "pan": "square", "dimsCm": "23 x 23 x 5", "dimsIn": "9 x 9 x 2", "brimL": 2.4, "fillL": 1.9, "serves": "4-6", "conf": "B", "source": "KIT"},
  {"id": "pan_913", "shape": "pan", "pan": "rectangle", "dimsCm": "33 x 23 x 5", "dimsIn": "13 x 9 x 2", "brimL": 3.3, "fillL": 2.7, "serves": "8-10", "conf": "B", "source": "KIT"},
  {"id": "pan_half", "shape": "pan", "pan": "half steam, deep", "dimsCm": "32 x 26.5 x 6.4", "dimsIn": "12.75 x 10.4 x 2.5", "brimL": 3.8, "fillL": 3.2, "serves": "8-12", "conf": "B", "source": "KIT"},
  {"id": "pan_full", "shape": "pan", "pan": "full steam", "dimsCm": "52.5 x 32.5 x 8.6", "dimsIn": "20.75 x 12.75 x 3.4", "brimL": 11, "fillL": 9.5, "serves": "24-30", "conf": "confirm", "source": "KIT"},
  {"id": "pan_round8", "shape": "pan", "pan": "round", "dimsCm": "20 x 4", "dimsIn": "8 x 1.5", "brimL": 1.0, "fillL": 0.8, "serves": "2-4", "conf": "confirm", "source": "KIT"},
  {"id": "pan_uk2", "shape": "pan", "pan": "UK no. 2 rectangle", "dimsCm": "14.5 x 12 x 4", "dimsIn": "5.7 x 4.7 x 1.6", "brimL": 0.45, "fillL": 0.4, "serves": 1, "conf": "confirm", "source": "KIT"},
  {"id": "pan_uk6a", "shape": "pan", "pan": "UK no. 6A", "dimsCm": "20 x 11 x 5.5", "dimsIn": "7.8 x 4.3 x 2.1", "brimL": 0.67, "fillL": 0.6, "serves": "1-2", "conf": "confirm", "source": "KIT"},
  {"id": "pan_uk9", "shape": "pan", "pan": "UK no. 9 square (9 x 9 in)", "dimsCm": "23 x 23 x 4.5", "dimsIn": "9 x 9 x 1.8", "brimL": 2.0, "fillL": 1.7, "serves": 4, "conf": "confirm", "source": "KIT"},
  {"id": "pan_pot", "shape": "pan", "pan": "pot pie 13 cm", "dimsCm": "13 x 3.5", "dimsIn": "5 x 1.4", "brimL": 0.3, "fillL": 0.25, "serves": 1, "conf": "confirm", "source": "KIT"},
];
