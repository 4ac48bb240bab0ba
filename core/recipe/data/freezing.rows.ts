/** What freezing does, why, and what prevents it. */
import type { ReferenceRow } from '#core/kitchen';
export const freezingRows: readonly ReferenceRow[] = [
  {"id": "q_crystals", "effect": "large ice crystals", "cause": "slow freezing tears cells", "sign": "mushy, drip", "prevention": "thin flat packs, cold freezer, load limit", "figure": "<=2.5 cm (1 in); 0.9-1.4 kg per 28 L per 24 h", "conf": "A", "source": "NCHFP"},
  {"id": "q_drip", "effect": "drip on thaw", "cause": "cell damage", "sign": "pink or clear liquid", "prevention": "thaw in fridge; keep in sauce; cook from frozen", "figure": "1-5 pct typical, to 10 pct", "conf": "B", "source": "EXT"},
  {"id": "q_burn", "effect": "freezer burn", "cause": "air dries surface", "sign": "grey-brown leathery patch", "prevention": "remove air, wrap twice, glaze", "figure": "safe; cut off", "conf": "A", "source": "FSIS;NCHFP"},
  {"id": "q_rancid", "effect": "fat oxidation", "cause": "oxygen, light, salt, iron", "sign": "stale, paint or fishy smell", "prevention": "airless; short life for oily fish, bacon, sausage, mince", "figure": "1-3 months", "conf": "A", "source": "NCHFP;FSIS"},
  {"id": "q_salt_rancid", "effect": "salt speeds rancidity in meat", "cause": "pro-oxidant", "sign": "bacon, ham stale", "prevention": "salt/season after thaw", "figure": "1-2 months", "conf": "A", "source": "NCHFP"},
  {"id": "q_enzyme", "effect": "colour, flavour, vitamin loss", "cause": "active enzymes", "sign": "hay flavour, fade", "prevention": "blanch (5), acid for fruit", "conf": "A", "source": "NCHFP"},
  {"id": "q_cycle", "effect": "temperature swings", "cause": "door, defrost", "sign": "frost in pack", "prevention": "-18 C steady; bottom/back", "figure": "each 3 C warmer (about 5 F) shortens life noticeably", "conf": "B", "source": "NCHFP"},
  {"id": "q_vacuum", "effect": "vacuum pack", "cause": "less oxygen", "prevention": "still fridge/freezer, 1.13", "figure": "1.5-2x quality", "conf": "confirm", "source": "VEND"},
  {"id": "q_odour", "effect": "odour transfer", "cause": "thin bag", "sign": "onion taste", "prevention": "double bag, jars", "conf": "B", "source": "KIT"},
  {"id": "q_expand", "effect": "expansion", "cause": "ice 9 pct", "sign": "burst lid", "prevention": "headspace 8.1", "figure": "9 pct", "conf": "A", "source": "NCHFP"},
  {"id": "q_colour_meat", "effect": "dark or grey meat", "cause": "pigment oxidation", "sign": "brown", "prevention": "safe if otherwise sound", "conf": "A", "source": "FSIS"},
  {"id": "q_garlic_green", "effect": "garlic turns blue-green", "cause": "acid + enzyme", "sign": "green", "prevention": "safe", "conf": "B", "source": "EXT"},
  {"id": "q_date", "effect": "past best quality", "sign": "weaker", "prevention": "safe at -18 C; use in cooked dish", "conf": "A", "source": "FSIS"},
];
