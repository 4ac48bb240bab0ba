import type { Advice } from '#core/kitchen';

/**
 * What the middle has to reach, by the country's advice: 75 °C in the UK (or 70 °C held for 2 min; FSA), 74 °C elsewhere (FSIS), as the table of set points says.
 * @example reheatCore(adviceOf('GB', figures)).degrees // 75 °C
 */
export const reheatCore = (advice: Advice): { degrees: string; text: string; source: string } => {
  const degrees = `${advice.coreC}\u00A0°C`;
  return { degrees, text: `${degrees} in the middle`, source: advice.coreSource };
};
