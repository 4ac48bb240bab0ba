import { clockPlus, listOf, sayWeekday } from '#core/kitchen';
import type { SessionParts } from '#core/queries';
import { dishOf } from './words.ts';

/** What an order of work cannot end before, and why, as a cook would say it. */
export function sayBound(view: SessionParts['cook'], at: (min: number) => string): string {
  const { schedule } = view;
  if (!schedule || schedule.boundMin <= 0) return '';
  const tasks = schedule.bindingTaskIds.flatMap((id) => view.tasks.find((t) => t.id === id) ?? []);
  const dishes = [...new Set(tasks.map((t) => dishOf(view, t)))].slice(0, 3);
  const names = listOf(dishes);
  const { by, what } = schedule.binding;
  const many = dishes.length > 1;
  const why =
    by === 'hands'
      ? view.session.cooks.length > 1
        ? 'all hands are busy till then'
        : 'your hands are busy till then'
      : by === 'oven'
        ? `${names} ${many ? 'need' : 'needs'} the oven till then`
        : by === 'pool' && what?.startsWith('pot ')
          ? `${names} ${many ? 'need' : 'needs'} the ${String(Math.round(Number(what.slice(4)) / 100) / 10)} l pot till then`
          : by === 'pool' && what === 'hob'
            ? 'the burners are taken till then'
            : by === 'pool'
              ? `${names} ${many ? 'need' : 'needs'} the ${what === 'ice' ? 'ice bath' : (what ?? 'gear')} till then`
              : by === 'unit'
                ? `the ${what ?? 'bowl'} is in use till then`
                : `${dishOf(view, tasks.at(-1) ?? view.tasks[0]!)} takes that long`;
  return ` It cannot end before ${at(schedule.boundMin)}: ${why}.`;
}

/** When the order ends, when that is likely by this household's own pace, and by when four times in five. */
export function sayEnds(view: SessionParts['cook'], at: (min: number) => string, begun: boolean): string {
  const { promise, session, schedule } = view;
  if (!promise || !schedule) return '';
  const planned = at(schedule.makespanMin);
  const likely = at(promise.likelyMin);
  const late = promise.lateMin > promise.likelyMin ? `four times in five before ${at(promise.lateMin)}` : '';
  const ends =
    promise.sessions < 3
      ? `ends about ${planned}${late && `, ${late} (a guess, until three sessions were timed)`}.`
      : likely === planned
        ? `ends about ${planned}${late && `, ${late}`}.`
        : `ends ${planned} as written; at your own pace about ${likely}${late && `, ${late}`}.`;
  // a day that is to be over by a time is counted back from it, with what four in five days take
  const by =
    session.finishBy === undefined || begun
      ? ''
      : ` To be done by ${session.finishBy} four times in five, start by ${clockPlus(session.finishBy, -Math.max(promise.likelyMin, promise.lateMin))}.`;
  return begun ? `It ${ends}` : `${sayWeekday(session.day)} from ${session.startAt}, ${ends}${by}`;
}
