/** How to blanch: water, clock, ice, altitude. */
import type { ReferenceRow } from './types.ts';
export const blanchRuleRows: readonly ReferenceRow[] = [
  {"id": "bl_water", "rule": "water per batch", "figure": "3.8 L per 450 g (1 US gal per lb), about 8 L per kg", "conf": "A", "source": "NCHFP"},
  {"id": "bl_water_leaf", "rule": "leafy greens", "figure": "7.6 L per 450 g (2 gal per lb), about 17 L per kg", "conf": "A", "source": "NCHFP"},
  {"id": "bl_boil", "rule": "water back to boil after adding", "figure": "within 1 min; if not, batch too big", "conf": "A", "source": "NCHFP"},
  {"id": "bl_clock", "rule": "start clock", "figure": "when boil returns, lid on", "conf": "A", "source": "NCHFP"},
  {"id": "bl_steam", "rule": "steam blanch", "figure": "about 1.5x the water time; single layer, 2.5-5 cm (1-2 in) above water, lid tight", "conf": "A", "source": "NCHFP"},
  {"id": "bl_ice", "rule": "cool", "figure": "equal to the blanching time, cold water <=15 C (60 F), changed or iced; about 450 g ice per 450 g veg (1 lb per lb)", "conf": "A", "source": "NCHFP"},
  {"id": "bl_altitude", "rule": "above 1500 m (5000 ft)", "figure": "add 1 min", "conf": "A", "source": "NCHFP"},
  {"id": "bl_reuse", "rule": "reuse water", "figure": "several batches of one veg, top up; change when murky", "conf": "B", "source": "NCHFP"},
  {"id": "bl_under", "rule": "underblanching", "figure": "is worse than none (wakes enzymes)", "conf": "A", "source": "NCHFP"},
  {"id": "bl_over", "rule": "overblanching", "figure": "loses flavour, vitamin, colour", "conf": "A", "source": "NCHFP"},
  {"id": "bl_micro", "rule": "microwave blanching", "figure": "not recommended (uneven)", "conf": "A", "source": "NCHFP"},
  {"id": "bl_dry", "rule": "after ice", "figure": "drain, spin or towel dry, tray freeze 1-2 h, bag", "conf": "A", "source": "NCHFP;KIT"},
  {"id": "bl_safe", "rule": "blanching is not full cooking", "figure": "cook frozen veg before eating, 74 C (165 F)", "conf": "A", "source": "FSA;EFSA"},
  {"id": "bl_pre_dry", "rule": "before drying", "figure": "use the times in 10.2: several are longer than for freezing (carrot, potato, peas)", "conf": "B", "source": "NCHFP"},
];
