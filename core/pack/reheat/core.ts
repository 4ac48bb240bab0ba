import type { Household } from '#core/contract';

/**
 * Core temperature by the household's country: 75 °C in the UK (or 70 °C held for 2 min; FSA), 74 °C elsewhere (FSIS).
 * @example reheatCore('GB').degrees // what the middle has to reach, by this country's authority
 */
export const reheatCore = (country: Household['country']): { degrees: string; text: string; source: string } =>
  country === 'GB'
    ? { degrees: '75\u00A0°C', text: '75\u00A0°C in the middle', source: 'FSA' }
    : { degrees: '74\u00A0°C', text: '74\u00A0°C in the middle', source: 'FSIS' };
