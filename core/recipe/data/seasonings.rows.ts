/** Seasonings that change in a frozen dish. */
import type { ReferenceRow } from '#core/kitchen';
export const seasoningRows: readonly ReferenceRow[] = [
  {"id": "sp_pepper", "seasoning": "black pepper", "change": "strengthens, bitter", "whatToDo": "half before, rest on reheat", "source": "NCHFP", "conf": "A"},
  {"id": "sp_clove", "seasoning": "cloves", "change": "strengthens", "whatToDo": "half", "source": "NCHFP", "conf": "A"},
  {"id": "sp_garlic", "seasoning": "garlic (esp. uncooked)", "change": "strengthens, bitter", "whatToDo": "cook first, half", "source": "NCHFP", "conf": "A"},
  {"id": "sp_greenpepper", "seasoning": "green sweet pepper", "change": "strengthens", "whatToDo": "less; red is milder", "source": "NCHFP", "conf": "A"},
  {"id": "sp_pimento", "seasoning": "pimento, some herbs", "change": "strengthens, bitter", "whatToDo": "less", "source": "NCHFP", "conf": "A"},
  {"id": "sp_vanilla", "seasoning": "artificial vanilla, some essences", "change": "strengthens, bitter", "whatToDo": "real extract", "source": "NCHFP", "conf": "A"},
  {"id": "sp_celery", "seasoning": "celery, celery seed", "change": "strengthens", "whatToDo": "less", "source": "NCHFP", "conf": "A"},
  {"id": "sp_onion", "seasoning": "onion", "change": "changes, fades", "whatToDo": "add fresh", "source": "NCHFP", "conf": "A"},
  {"id": "sp_paprika", "seasoning": "paprika", "change": "changes", "whatToDo": "add later", "source": "NCHFP", "conf": "A"},
  {"id": "sp_sage", "seasoning": "sage", "change": "bitter", "whatToDo": "add after thawing", "source": "NCHFP;EXT", "conf": "B"},
  {"id": "sp_salt", "seasoning": "salt", "change": "loses strength; speeds rancid", "whatToDo": "salt on serving, -10 to 20 pct", "source": "NCHFP", "conf": "A"},
  {"id": "sp_chilli", "seasoning": "chilli heat", "change": "holds or feels stronger", "whatToDo": "hold 25 pct back", "source": "KIT", "conf": "B"},
  {"id": "sp_curry", "seasoning": "curry powder", "change": "musty", "whatToDo": "toast fresh spice on reheat", "source": "NCHFP", "conf": "A"},
  {"id": "sp_cinnamon", "seasoning": "cinnamon, nutmeg", "change": "hold or slightly stronger", "source": "KIT", "conf": "confirm"},
  {"id": "sp_softherb", "seasoning": "parsley, basil, coriander", "change": "fade", "whatToDo": "fresh after", "source": "KIT", "conf": "B"},
  {"id": "sp_hardherb", "seasoning": "thyme, rosemary, bay", "change": "hold", "whatToDo": "remove bay/sprig", "source": "KIT", "conf": "B"},
  {"id": "sp_wine", "seasoning": "wine, acid", "change": "hold", "whatToDo": "finish with squeeze", "source": "KIT", "conf": "B"},
  {"id": "sp_sweetener", "seasoning": "synthetic sweeteners", "change": "vary", "whatToDo": "test", "source": "NCHFP", "conf": "B"},
  {"id": "sp_liqsmoke", "seasoning": "smoke flavour", "change": "strengthens", "whatToDo": "less", "source": "KIT", "conf": "confirm"},
];
