import type { Id } from '#core/contract';
import type { Act } from './act.ts';

/** A line of a session's shopping list as a page shows it. */
export interface SeenLine {
  sessionId: Id;
  key: string;
  name: string;
  amount: number;
  unit: string;
  seen: string;
}

/** A line lies in the basket, or is at home. @example tick(leeks, 'bought') */
export const tick = ({ sessionId, key, name, amount, unit, seen }: SeenLine, how: 'bought' | 'haveIt'): Act => ({
  type: 'ticked',
  subjects: [sessionId],
  seen,
  data: { sessionId, key, amount, unit, how, what: name },
});

/** A line is on the list again. @example untick({ sessionId: saturday, key: 'batch|onion|g', name: 'onion', seen }) */
export const untick = ({ sessionId, key, name, seen }: Pick<SeenLine, 'sessionId' | 'key' | 'name' | 'seen'>): Act => ({
  type: 'unticked',
  subjects: [sessionId],
  seen,
  data: { sessionId, key, what: name },
});
