/** Where things keep: temperature and humidity. */
import type { ReferenceRow } from './types.ts';
export const zoneRows: readonly ReferenceRow[] = [
  {"id": "z_cold_moist", "zone": "fridge, high-humidity drawer", "tempC": "0-4", "tempF": "32-40", "humidityPct": "90-95", "for": "leafy veg, roots, broccoli, herbs", "conf": "A", "source": "USST;EXT"},
  {"id": "z_cold_dry", "zone": "fridge, low-humidity drawer", "tempC": "0-4", "tempF": "32-40", "humidityPct": "65-80", "for": "apples, pears, ripe stone fruit, peppers, mushrooms (paper)", "conf": "B", "source": "USST;EXT"},
  {"id": "z_cool_moist", "zone": "cool room, cellar", "tempC": "7-12", "tempF": "45-55", "humidityPct": "85-95", "for": "potatoes, cucumber, courgette, aubergine", "conf": "B", "source": "USST;EXT"},
  {"id": "z_cool_dry", "zone": "cool dry larder", "tempC": "10-15", "tempF": "50-60", "humidityPct": "60-70", "for": "squash, sweet potato (13-15 C), onion and garlic best 0-10 dry", "conf": "B", "source": "USST;EXT"},
  {"id": "z_room", "zone": "counter", "tempC": "18-21", "tempF": "65-70", "humidityPct": "50-60", "for": "tomato, banana, unripe stone fruit, basil in water", "conf": "A", "source": "USST;EXT"},
  {"id": "z_freezer", "zone": "freezer", "tempC": -18, "tempF": 0, "for": "long store", "conf": "A", "source": "USST;EXT"},
];
