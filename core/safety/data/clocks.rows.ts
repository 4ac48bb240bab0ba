/** Time clocks for perishable food. */
import type { ReferenceRow } from '#core/kitchen';
export const clockRows: readonly ReferenceRow[] = [
  {"id": "room_limit", "clock": "perishable food at room temperature, total", "limit": "2 h", "source": "FSIS, FDA, CDC, WHO", "conf": "A", "note": "cumulative across prep, serving, transport"},
  {"id": "room_limit_hot", "clock": "same, when air is above 32 C (90 F)", "limit": "1 h", "source": "FSIS, CDC", "conf": "A", "note": "hot car, picnic, hot kitchen"},
  {"id": "room_limit_uk", "clock": "cooked food to fridge or freezer", "limit": "1-2 h", "source": "FSA, NHS", "conf": "A", "note": "FSA asks for as quick as possible, within 1-2 h; 90 min is the common catering figure"},
  {"id": "room_limit_rice_uk", "clock": "cooked rice to fridge", "limit": "1 h (ideal)", "source": "FSA, NHS", "conf": "A"},
  {"id": "hot_out_uk", "clock": "hot food below 63 C (145 F)", "limit": "2 h, once", "source": "UKLAW", "conf": "A", "note": "business tolerance"},
  {"id": "display_cold_uk", "clock": "cold food above 8 C (46 F)", "limit": "4 h, once", "source": "UKLAW", "conf": "A", "note": "business tolerance; do not use as the app default"},
  {"id": "cool_stage1_fc", "clock": "57 to 21 C (135 to 70 F)", "limit": "2 h", "source": "FDA-FC", "conf": "A", "note": "if missed: reheat to 74 C (165 F) and start again, or discard"},
  {"id": "cool_stage2_fc", "clock": "21 to 5 C (70 to 41 F)", "limit": "next 4 h (6 h total from 57 C)", "source": "FDA-FC", "conf": "A", "note": "if missed: discard"},
  {"id": "cool_from_room_fc", "clock": "food made from room-temperature ingredients to 5 C (41 F)", "limit": "4 h", "source": "FDA-FC", "conf": "A", "note": "tuna salad, hummus"},
  {"id": "cool_cookchill_uk", "clock": "hot to 0-3 C (32-37 F)", "limit": "90 min, started within 30 min of cooking", "source": "UKGOV", "conf": "B", "note": "needs blast chiller; not a home target"},
  {"id": "leftover_us", "clock": "cooked leftovers in fridge", "limit": "3-4 days", "source": "FSIS, CDC", "conf": "A"},
  {"id": "leftover_uk", "clock": "cooked leftovers in fridge", "limit": "2 days (48 h)", "source": "FSA", "conf": "A", "note": "rice 24 h"},
  {"id": "thawed_uk", "clock": "thawed cooked or raw food in fridge", "limit": "24 h", "source": "FSA", "conf": "A"},
  {"id": "thawed_us_cooked", "clock": "thawed cooked leftovers in fridge", "limit": "3-4 days", "source": "FSIS", "conf": "A", "note": "count from end of thaw; subtract fridge days used before freezing to be careful"},
  {"id": "thawed_us_raw_ground", "clock": "fridge-thawed mince, poultry, stew meat, seafood", "limit": "1-2 days", "source": "FSIS", "conf": "A"},
  {"id": "thawed_us_raw_cuts", "clock": "fridge-thawed red-meat chops, steaks, roasts", "limit": "3-5 days", "source": "FSIS", "conf": "A"},
  {"id": "handwash", "clock": "hand washing", "limit": "20 s", "source": "CDC, FSIS, FSA, WHO", "conf": "A", "note": "before, after raw meat/egg/flour, between allergen batches"},
  {"id": "use_by", "clock": "UK/EU \"use by\" date", "limit": "freeze on or before that day", "source": "FSA, EU", "conf": "A", "note": "safety date; \"best before\" is quality only"},
];
