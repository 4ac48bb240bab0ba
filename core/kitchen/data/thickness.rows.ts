/** What thins or thickens 100 g of puree. */
import type { ReferenceRow } from './types.ts';
export const thicknessStepRows: readonly ReferenceRow[] = [
  {"id": "th_water", "direction": "thin", "adjuster": "cooking water or boiled cooled water", "amount": "10-30 ml", "effect": "one step", "stage": "S1", "flag": "N: do not use for nitrate veg", "source": "KIT", "conf": "B"},
  {"id": "th_milk", "direction": "thin", "adjuster": "breast milk or formula, at serving only", "amount": "10-30 ml", "effect": "creamy", "stage": "S1", "flag": "2.9 rule", "source": "KIT", "conf": "B"},
  {"id": "th_broth", "direction": "thin", "adjuster": "unsalted broth", "amount": "15-30 ml", "effect": "savoury", "stage": "S2", "flag": "celery (EU)", "source": "KIT", "conf": "B"},
  {"id": "th_juice", "direction": "thin", "adjuster": "ripe fruit puree (not juice)", "amount": "20 g", "effect": "sweeter", "stage": "S1", "source": "KIT", "conf": "B"},
  {"id": "tk_oat", "direction": "thick", "adjuster": "infant oat cereal or fine oats cooked", "amount": "2-5 g", "effect": "one step", "stage": "S1", "flag": "gluten (EU oats)", "source": "KIT", "conf": "B"},
  {"id": "tk_rice", "direction": "thick", "adjuster": "rice cereal", "amount": "3-5 g", "effect": "one step", "stage": "S1", "flag": "arsenic: vary", "source": "KIT", "conf": "B"},
  {"id": "tk_potato", "direction": "thick", "adjuster": "mashed potato / sweet potato", "amount": "15-25 g", "effect": "one step", "stage": "S1", "source": "KIT", "conf": "B"},
  {"id": "tk_banana", "direction": "thick", "adjuster": "mashed banana", "amount": "15-20 g", "effect": "sweet", "stage": "S1", "source": "KIT", "conf": "B"},
  {"id": "tk_avo", "direction": "thick", "adjuster": "mashed avocado", "amount": "15-20 g", "effect": "fat", "stage": "S1", "flag": "browns", "source": "KIT", "conf": "B"},
  {"id": "tk_lentil", "direction": "thick", "adjuster": "red lentil cooked", "amount": "15-25 g", "effect": "protein", "stage": "S1", "source": "KIT", "conf": "B"},
  {"id": "tk_bean", "direction": "thick", "adjuster": "white bean puree", "amount": "15-25 g", "effect": "protein", "stage": "S1", "source": "KIT", "conf": "B"},
  {"id": "tk_yog", "direction": "thick", "adjuster": "plain whole yogurt", "amount": "15-25 g", "effect": "cool serve", "stage": "S1", "flag": "milk; after thaw", "source": "KIT", "conf": "B"},
  {"id": "tk_quinoa", "direction": "thick", "adjuster": "cooked quinoa", "amount": "15-20 g", "effect": "lumps", "stage": "S1", "source": "KIT", "conf": "B"},
  {"id": "tk_reduce", "direction": "thick", "adjuster": "simmer uncovered", "amount": "5-10 min", "effect": "5-10 pct", "stage": "S1", "source": "KIT", "conf": "B"},
];
