import { addMinutes, minutesBetween } from '#core/kitchen';
import type { Figures, Instant } from '#core/contract';

/** The two-stage cooling clock of one batch, from the moment it left the heat (reference 1.2: FDA Food Code; FSA asks for 1 to 2 h). */
export interface CoolingClock {
  offHeat: Instant;
  under21By: Instant;
  under5By: Instant;
  /** Minutes to the next limit that still lies ahead; negative once the last has passed. */
  leftMin: number;
  stage: 'to21' | 'to5' | 'over';
  source: string;
}

/** Minutes to 21 °C, then minutes from there to 5 °C, as the table of clocks says (FDA Food Code). */
export type CoolingLimits = Pick<Figures, 'cool21' | 'cool5'>;

const source = 'FDA-FC';

/**
 * * Off the heat 14:20 -> under 21 °C by 16:20, under 5 °C by 20:20.
 * @example coolingClock('2026-11-28T14:20:00.000Z', '2026-11-28T15:00:00.000Z', { cool21: 120, cool5: 240 }).leftMin // 80
 */
export function coolingClock(offHeat: Instant, now: Instant, limits: CoolingLimits): CoolingClock {
  const under21By = addMinutes(offHeat, limits.cool21);
  const under5By = addMinutes(under21By, limits.cool5);
  const stage = now < under21By ? 'to21' : now < under5By ? 'to5' : 'over';
  return {
    offHeat,
    under21By,
    under5By,
    stage,
    leftMin: minutesBetween(now, stage === 'to21' ? under21By : under5By),
    source,
  };
}
