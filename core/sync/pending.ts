import type { TamboEvent } from '#core/contract';
import { aboutEach, emptyLog, foldLog, type ListedLine, type SessionView, type TaskView } from '#core/session';

/** A session as a page has it: its tasks, its list, or both. */
type Shown = Pick<SessionView, 'session'> & Partial<Pick<SessionView, 'tasks' | 'list'>>;

/** What of a session is pending on this device: the view may know some of it already. */
function unseen(view: Shown, events: readonly TamboEvent[]): TamboEvent[] {
  const own = events.filter((e) => e.subjects.includes(view.session.id));
  const newest = new Map([
    ...(view.tasks ?? []).map((t) => [t.id, t.seen] as const),
    ...(view.list ?? []).flatMap((s) => s.lines).map((l) => [l.key, l.seen] as const),
  ]);
  // of each thing, all up to the newest event that the view has seen is in the view
  const about = [...aboutEach(own)];
  const known = new Set(
    [...newest].flatMap(([key, seen]) => {
      const mine = about.flatMap(([id, k]) => (k === key ? [id] : []));
      return mine.slice(0, mine.indexOf(seen) + 1);
    }),
  );
  return own.filter((e) => !known.has(e.id));
}

/**
 * A session as a page shows it, with the tasks and ticks laid over it that are pending on this device: a tap counts at once, whatever the connection.
 * The same fold as on the server. Law: once they are sent, the server's own view has the same tasks and ticks.
 * @example sessionWithPending(view, outboxEvents).tasks.find((t) => t.id === dicing)?.log?.state // 'done', a moment after the tap
 */
export function sessionWithPending<V extends Shown>(view: V, events: readonly TamboEvent[]): V {
  const fresh = unseen(view, events);
  if (fresh.length === 0) return view;
  const before = emptyLog();
  for (const t of view.tasks ?? []) {
    if (t.log) before.tasks.set(t.id, t.log);
    if (t.cookId !== undefined) before.cooks.set(t.id, t.cookId);
  }
  for (const l of (view.list ?? []).flatMap((s) => s.lines))
    if (l.ticked) before.ticks.set(l.key, { how: l.ticked, amount: l.amount, unit: l.unit });
  const log = foldLog(before, fresh);
  const names = new Map(view.session.cooks.map((c) => [c.id, c.name]));
  const taskNow = ({ log: _log, cook, ...t }: TaskView): TaskView => {
    const own = log.tasks.get(t.id);
    const cookId = log.cooks.get(t.id);
    const name = cookId === t.cookId ? cook : names.get(cookId ?? '');
    return {
      ...t,
      ...(own && { log: own }),
      ...(cookId !== undefined && { cookId }),
      ...(name !== undefined && { cook: name }),
      seen: log.seen.get(t.id) ?? t.seen,
    };
  };
  const lineNow = ({ ticked: _ticked, ...l }: ListedLine): ListedLine => {
    const tick = log.ticks.get(l.key);
    return { ...l, ...(tick && { ticked: tick.how }), seen: log.seen.get(l.key) ?? l.seen };
  };
  return {
    ...view,
    ...(view.tasks && { tasks: view.tasks.map(taskNow) }),
    ...(view.list && { list: view.list.map((s) => ({ ...s, lines: s.lines.map(lineNow) })) }),
  };
}
