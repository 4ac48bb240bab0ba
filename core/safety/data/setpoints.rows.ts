/** Temperature set points. */
import type { ReferenceRow } from '#core/kitchen';
export const setpointRows: readonly ReferenceRow[] = [
  {"id": "danger_zone_us", "what": "danger zone, US consumer", "tempC": "4-60", "tempF": "40-140", "source": "FSIS, CDC, FDA", "conf": "A", "note": "time here is limited by 1.2"},
  {"id": "danger_zone_fc", "what": "danger zone, US food service", "tempC": "5-57", "tempF": "41-135", "source": "FDA-FC", "conf": "A"},
  {"id": "danger_zone_uk", "what": "UK legal chill max to hot-hold min", "tempC": "8-63", "tempF": "46-145", "source": "UKLAW, FSA", "conf": "A", "note": "consumer fridge target is lower, see fridge_uk"},
  {"id": "danger_zone_who", "what": "danger zone, WHO", "tempC": "5-60", "tempF": "41-140", "source": "WHO", "conf": "A"},
  {"id": "fridge_us", "what": "fridge", "tempC": "<=4", "tempF": "<=40", "source": "FSIS, FDA", "conf": "A", "note": "thermometer on the middle shelf; aim 1-4 C (34-40 F)"},
  {"id": "fridge_uk", "what": "fridge", "tempC": "<=5", "tempF": "<=41", "source": "FSA", "conf": "A", "note": "legal upper limit for businesses 8 C (46 F); Scotland has no single number but same practice"},
  {"id": "fridge_eu_who", "what": "fridge", "tempC": "<=5", "tempF": "<=41", "source": "WHO, EFSA", "conf": "A", "note": "EU states set their own legal limits (about 4-8 C)"},
  {"id": "freezer", "what": "freezer", "tempC": -18, "tempF": 0, "source": "FSIS, FSA, EU, WHO", "conf": "A", "note": "or colder"},
  {"id": "freezer_fast", "what": "setting 24 h before a big load", "tempC": -23, "tempF": -10, "source": "NCHFP", "conf": "A", "note": "back to -18 C (0 F) when solid"},
  {"id": "reheat_us", "what": "reheat core", "tempC": 74, "tempF": 165, "source": "FSIS, CDC", "conf": "A", "note": "soups, sauces, gravies: rolling boil"},
  {"id": "reheat_uk", "what": "reheat core", "tempC": "70 for 2 min, or 75 for 30 s", "tempF": "158 for 2 min, or 167 for 30 s", "source": "FSA", "conf": "A", "note": "\"steaming hot all the way through\"; reheat once only"},
  {"id": "reheat_scot", "what": "reheat core, businesses", "tempC": 82, "tempF": 180, "source": "FSS", "conf": "A", "note": "legal rule with quality exemption; not binding at home"},
  {"id": "reheat_who", "what": "cook/reheat core", "tempC": 70, "tempF": 158, "source": "WHO", "conf": "A"},
  {"id": "hot_hold_us", "what": "hot hold minimum", "tempC": 60, "tempF": 140, "source": "FSIS", "conf": "A"},
  {"id": "hot_hold_fc", "what": "hot hold minimum", "tempC": 57, "tempF": 135, "source": "FDA-FC", "conf": "A"},
  {"id": "hot_hold_uk", "what": "hot hold minimum", "tempC": 63, "tempF": 145, "source": "UKLAW, FSA", "conf": "A", "note": "below 63 C allowed once, up to 2 h (business rule)"},
  {"id": "hot_hold_who", "what": "hot hold minimum", "tempC": 60, "tempF": 140, "source": "WHO", "conf": "A"},
  {"id": "spore_growth_bot_nonprot", "what": "lowest growth, non-proteolytic C. botulinum", "tempC": 3, "tempF": 37, "source": "EFSA, FSA", "conf": "A", "note": "why oil, vacuum and sealed fridge foods have short limits"},
  {"id": "spore_growth_bot_prot", "what": "lowest growth, proteolytic C. botulinum", "tempC": 10, "tempF": 50, "source": "FDA, FSA", "conf": "B", "note": "spores need 121 C (250 F) moist heat under pressure"},
  {"id": "listeria_growth", "what": "lowest growth, Listeria", "tempC": "-1 to 0", "tempF": "30-32", "source": "EFSA, FDA", "conf": "B", "note": "grows slowly in the fridge, does not grow at -18 C"},
];
