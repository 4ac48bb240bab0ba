import type { Step } from '#core/contract';
import { sayMinutes } from '#core/kitchen';

/** When, before what. */
const lead =
  /^(?:the (?:night|day|evening) before|next day|day before|meanwhile|in the meantime|then|on the day|to serve|to finish|am vorabend|pendant ce temps|inzwischen)[,:]?\s+/iu;
const most = 34;

/** What a step is called in a row of others: its first words. @example stepName({ text: 'Sweat the leeks in the oil, 10 min' }, 0) // '1 Sweat the leeks in the oil' */
export const stepName = (step: Pick<Step, 'text'>, i: number): string => {
  const told = step.text.replace(lead, '');
  const clause = told.split(/[,;:.]|\s(?:until|till|for \d|for about|an hour|at \d)/u)[0]!.trim() || step.text;
  const short = clause.length > most ? `${clause.slice(0, most).replace(/\s+\S*$/, '')}…` : clause;
  return `${i + 1} ${short.slice(0, 1).toUpperCase()}${short.slice(1)}`;
};

const about = (step: Step, what: 'hands' | 'wait'): string => (step.guessed?.includes(what) ? 'about ' : '');

/** Minutes of a step in words; what nobody said is “about”. @example sayStepMinutes(step) // '4 min of hands, about 20 min by itself' */
export function sayStepMinutes(step: Step): string {
  const hands = `${about(step, 'hands')}${sayMinutes(step.handsOnMin)} of hands`;
  return step.waitMin > 0 ? `${hands}, ${about(step, 'wait')}${sayMinutes(step.waitMin)} by itself` : hands;
}

/** @example sayShare(0.5) // 'half' */
export const sayShare = (share: number): string => {
  const known: readonly (readonly [number, string])[] = [
    [0.5, 'half'],
    [0.25, 'a quarter'],
    [0.75, 'three quarters'],
    [1 / 3, 'a third'],
    [2 / 3, 'two thirds'],
  ];
  return known.find(([n]) => Math.abs(n - share) < 0.012)?.[1] ?? `${Math.round(share * 100)} %`;
};
