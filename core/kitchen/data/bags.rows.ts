/** Bags: size, flat fill. */
import type { ReferenceRow } from './types.ts';
export const bagRows: readonly ReferenceRow[] = [
  {"id": "bag_snack", "shape": "bag", "bag": "snack", "widthCm": 16.5, "lengthCm": 9, "dimsIn": "6.5 x 3.5", "nominalL": 0.3, "fillPracticalL": 0.2, "flat1p5cmMl": 190, "flat2p5cmMl": 315, "serves": "1 small", "conf": "confirm", "source": "KIT"},
  {"id": "bag_sand", "shape": "bag", "bag": "sandwich", "widthCm": 16.5, "lengthCm": 15, "dimsIn": "6.5 x 5.9", "nominalL": 0.7, "fillPracticalL": 0.4, "flat1p5cmMl": 315, "flat2p5cmMl": 525, "serves": 1, "conf": "B", "source": "KIT"},
  {"id": "bag_quart", "shape": "bag", "bag": "US quart", "widthCm": 18, "lengthCm": 19, "dimsIn": "7 x 7.5", "nominalL": 0.95, "fillPracticalL": 0.7, "flat1p5cmMl": 435, "flat2p5cmMl": 725, "serves": 2, "conf": "B", "note": "soup 0.6", "source": "KIT"},
  {"id": "bag_1L", "shape": "bag", "bag": "metric 1 L", "widthCm": 17.5, "lengthCm": 21.5, "dimsIn": "6.9 x 8.5", "nominalL": 1, "fillPracticalL": 0.75, "flat1p5cmMl": 480, "flat2p5cmMl": 800, "serves": 2, "conf": "confirm", "source": "KIT"},
  {"id": "bag_gallon", "shape": "bag", "bag": "US gallon", "widthCm": 26.8, "lengthCm": 27.3, "dimsIn": "10.6 x 10.75", "nominalL": 3.8, "fillPracticalL": "2.0-2.8", "flat1p5cmMl": 930, "flat2p5cmMl": 1550, "serves": "4-6", "conf": "B", "source": "KIT"},
  {"id": "bag_3L", "shape": "bag", "bag": "metric 3 L", "widthCm": 26, "lengthCm": 29, "dimsIn": "10.2 x 11.4", "nominalL": 3, "fillPracticalL": "2.0-2.4", "flat1p5cmMl": 960, "flat2p5cmMl": 1600, "serves": "4-6", "conf": "confirm", "source": "KIT"},
  {"id": "bag_2gal", "shape": "bag", "bag": "US 2-gallon", "widthCm": 33, "lengthCm": 39.6, "dimsIn": "13 x 15.6", "nominalL": 7.6, "fillPracticalL": "4-5", "flat1p5cmMl": 1665, "flat2p5cmMl": 2780, "serves": "8-10", "conf": "B", "source": "KIT"},
  {"id": "bag_roll", "shape": "bag", "bag": "vacuum roll 20 cm", "widthCm": 20, "lengthCm": "cut", "dimsIn": 8, "conf": "B", "note": "fill_practical_L: leave 7-8 cm free", "source": "KIT"},
];
