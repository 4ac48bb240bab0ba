/** Seasonings that change in a frozen dish. */
import type { ReferenceRow } from '#core/kitchen';
export const seasoningRows: readonly ReferenceRow[] = [
  {"id": "sp_pepper", "seasoning": "black pepper", "change": "strengthens, bitter", "whatToDo": "half before, rest on reheat", "conf": "A", "source": "NCHFP"},
  {"id": "sp_clove", "seasoning": "cloves", "change": "strengthens", "whatToDo": "half", "conf": "A", "source": "NCHFP"},
  {"id": "sp_garlic", "seasoning": "garlic (esp. uncooked)", "change": "strengthens, bitter", "whatToDo": "cook first, half", "conf": "A", "source": "NCHFP"},
  {"id": "sp_greenpepper", "seasoning": "green sweet pepper", "change": "strengthens", "whatToDo": "less; red is milder", "conf": "A", "source": "NCHFP"},
  {"id": "sp_pimento", "seasoning": "pimento, some herbs", "change": "strengthens, bitter", "whatToDo": "less", "conf": "A", "source": "NCHFP"},
  {"id": "sp_vanilla", "seasoning": "artificial vanilla, some essences", "change": "strengthens, bitter", "whatToDo": "real extract", "conf": "A", "source": "NCHFP"},
  {"id": "sp_celery", "seasoning": "celery, celery seed", "change": "strengthens", "whatToDo": "less", "conf": "A", "source": "NCHFP"},
  {"id": "sp_onion", "seasoning": "onion", "change": "changes, fades", "whatToDo": "add fresh", "conf": "A", "source": "NCHFP"},
  {"id": "sp_paprika", "seasoning": "paprika", "change": "changes", "whatToDo": "add later", "conf": "A", "source": "NCHFP"},
  {"id": "sp_sage", "seasoning": "sage", "change": "bitter", "whatToDo": "add after thawing", "conf": "B", "source": "NCHFP;EXT"},
  {"id": "sp_salt", "seasoning": "salt", "change": "loses strength; speeds rancid", "whatToDo": "salt on serving, -10 to 20 pct", "conf": "A", "source": "NCHFP"},
  {"id": "sp_chilli", "seasoning": "chilli heat", "change": "holds or feels stronger", "whatToDo": "hold 25 pct back", "conf": "B", "source": "KIT"},
  {"id": "sp_curry", "seasoning": "curry powder", "change": "musty", "whatToDo": "toast fresh spice on reheat", "conf": "A", "source": "NCHFP"},
  {"id": "sp_cinnamon", "seasoning": "cinnamon, nutmeg", "change": "hold or slightly stronger", "conf": "confirm", "source": "KIT"},
  {"id": "sp_softherb", "seasoning": "parsley, basil, coriander", "change": "fade", "whatToDo": "fresh after", "conf": "B", "source": "KIT"},
  {"id": "sp_hardherb", "seasoning": "thyme, rosemary, bay", "change": "hold", "whatToDo": "remove bay/sprig", "conf": "B", "source": "KIT"},
  {"id": "sp_wine", "seasoning": "wine, acid", "change": "hold", "whatToDo": "finish with squeeze", "conf": "B", "source": "KIT"},
  {"id": "sp_sweetener", "seasoning": "synthetic sweeteners", "change": "vary", "whatToDo": "test", "conf": "B", "source": "NCHFP"},
  {"id": "sp_liqsmoke", "seasoning": "smoke flavour", "change": "strengthens", "whatToDo": "less", "conf": "confirm", "source": "KIT"},
];
