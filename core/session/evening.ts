import type { Household } from '#core/contract';

/**
 * Whether Today asks now if tonight's dinner was eaten as planned: from the household's hour on, unless it wants no such question.
 * @example asksAboutDinner({ ...household, reminders: { askDinner: false } }, '21:00') // false
 */
export const asksAboutDinner = ({ dinnerAt, reminders }: Pick<Household, 'dinnerAt' | 'reminders'>, clock: string): boolean =>
  (reminders?.askDinner ?? true) && clock >= (reminders?.askDinnerAt ?? dinnerAt);

/** A meal that came from nowhere in the store, in words. @example otherwise.out // 'eaten out' */
export const otherwise = { fresh: 'cooked fresh', out: 'eaten out', none: 'none' } as const;
