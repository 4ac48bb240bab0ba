import { addMinutes, minutesBetween } from '#core/kitchen';
import type { Instant } from '#core/contract';

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

/** Minutes to 21 °C, then minutes from there to 5 °C. */
export const coolingLimits = { to21Min: 120, to5Min: 240, source: 'FDA-FC' } as const;

/**
 * * Off the heat 14:20 -> under 21 °C by 16:20, under 5 °C by 20:20.
 * @example coolingClock('2026-11-28T14:20:00.000Z', '2026-11-28T15:00:00.000Z').leftMin // 80
 */
export function coolingClock(offHeat: Instant, now: Instant): CoolingClock {
  const under21By = addMinutes(offHeat, coolingLimits.to21Min);
  const under5By = addMinutes(under21By, coolingLimits.to5Min);
  const stage = now < under21By ? 'to21' : now < under5By ? 'to5' : 'over';
  return {
    offHeat,
    under21By,
    under5By,
    stage,
    leftMin: minutesBetween(now, stage === 'to21' ? under21By : under5By),
    source: coolingLimits.source,
  };
}
