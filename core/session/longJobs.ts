import type { Day, Instant, Session } from '#core/contract';
import { overnightMin, type Task } from '#core/cook';
import { addMinutes, dayOf, daysBetween } from '#core/kitchen';
import type { SessionLog } from './log.ts';
import { shortTitle } from './titles.ts';

/** A piece of work that goes on by itself over night or over days: drying, steeping, chilling until the fat can be lifted. */
export interface LongJob {
  sessionId: string;
  taskId: string;
  dish: string;
  /** What it does, in few words. */
  title: string;
  since: Instant;
  readyAt: Instant;
  /** It wants a hand each day: a shake, a stir, a turn. */
  daily: boolean;
  /** What comes after it, in few words. */
  next?: string;
}

const eachDay =
  /\b(?:daily|every day|each day|once a day|every morning|every evening|täglich|jeden Tag|chaque jour|tous les jours|cada día|todos los días|ogni giorno)\b/iu;

/**
 * Work of a session that was begun and goes on by itself for eight hours or more.
 * @param dishOf the name of a batch's dish
 * @example longJobs(session, tasks, log, nameOf)[0]?.readyAt // a fortnight after it was begun
 */
export function longJobs(
  session: Pick<Session, 'id'>,
  tasks: readonly Task[],
  log: Pick<SessionLog, 'tasks'>,
  dishOf: (batchId: string) => string,
): LongJob[] {
  return tasks.flatMap((t): LongJob[] => {
    const l = log.tasks.get(t.id);
    if (t.waitMin < overnightMin || l?.state !== 'running' || l.startedAt === undefined) return [];
    const next = tasks.find((x) => x.after.includes(t.id));
    return [
      {
        sessionId: session.id,
        taskId: t.id,
        dish: dishOf(t.batchIds[0] ?? ''),
        title: shortTitle(t.title),
        since: l.startedAt,
        readyAt: addMinutes(l.startedAt, t.handsOnMin + t.waitMin + l.extraMin),
        daily: eachDay.test(t.title),
        ...(next && { next: shortTitle(next.title) }),
      },
    ];
  });
}

/**
 * Which day of how many a long job is on; the first is the day after it was begun.
 * @example dayOfJob({ since: '2026-10-01T10:00:00.000Z', readyAt: '2026-10-15T10:00:00.000Z' }, '2026-10-04', 'Europe/London') // { day: 3, of: 14 }
 */
export function dayOfJob({ since, readyAt }: Pick<LongJob, 'since' | 'readyAt'>, today: Day, zone: string): { day: number; of: number } {
  const first = dayOf(since, zone);
  return { day: Math.max(0, daysBetween(first, today)), of: Math.max(1, daysBetween(first, dayOf(readyAt, zone))) };
}
