import { changeMinutes, type Minute, type Plan, type ScheduleModel } from './model.ts';

/** One law of the kitchen that a plan breaks. */
export interface PlanFault {
  code:
    | 'missing'
    | 'twice'
    | 'tooEarly'
    | 'tooLate'
    | 'lagShort'
    | 'lagLong'
    | 'noCook'
    | 'notItsCook'
    | 'away'
    | 'twoAtOnce'
    | 'tooMany'
    | 'closed'
    | 'unitTwice'
    | 'unwashed'
    | 'shelves'
    | 'temperature'
    | 'moved'
    | 'makespan';
  tasks: readonly string[];
  at?: Minute;
  what?: string;
}

interface Busy {
  task: string;
  from: Minute;
  to: Minute;
}

const meet = (a: { from: Minute; to: Minute }, b: { from: Minute; to: Minute }): boolean => a.from < b.to && b.from < a.to;

/**
 * Holds a plan against every law of its model, by code of its own that shares nothing with the scheduler: it looks at each pair and each minute.
 * What is fixed may stand in the way of its own windows, and of other fixed work.
 * @returns what is broken; nothing for a legal plan
 * @example checkPlan(model, plan) // []
 */
export function checkPlan(model: ScheduleModel, plan: Plan): PlanFault[] {
  const faults: PlanFault[] = [];
  const say = (code: PlanFault['code'], tasks: readonly string[], more: { at?: Minute; what?: string } = {}): void => {
    faults.push({ code, tasks, ...more });
  };
  const fixed = new Set(model.fixed.map((f) => f.task));
  const activity = new Map(model.activities.map((a) => [a.id, a]));
  const start = new Map<string, Minute>();
  for (const p of plan.placed) {
    if (start.has(p.task)) say('twice', [p.task]);
    start.set(p.task, p.start);
  }
  for (const a of model.activities) if (!start.has(a.id) || (start.get(a.id) ?? -1) < 0) say('missing', [a.id]);
  if (faults.length > 0) return faults;
  const at = (id: string): Minute => start.get(id) ?? 0;
  const endOf = (id: string): Minute => at(id) + (activity.get(id)?.hands ?? 0) + (activity.get(id)?.wait ?? 0);
  const last = Math.max(0, ...model.activities.map((a) => endOf(a.id)));
  if (last !== plan.makespan) say('makespan', [], { at: last });
  for (const f of model.fixed) if (at(f.task) !== f.start) say('moved', [f.task]);

  for (const a of model.activities) {
    if (fixed.has(a.id)) continue;
    if (at(a.id) < (a.release ?? 0)) say('tooEarly', [a.id]);
    if (endOf(a.id) > (a.deadline ?? Infinity)) say('tooLate', [a.id]);
  }
  for (const lag of model.lags) {
    const moment = (id: string, which: 'start' | 'end'): Minute => (which === 'start' ? at(id) : endOf(id));
    const between = moment(lag.b, lag.to) - moment(lag.a, lag.from);
    if (between < lag.min && !fixed.has(lag.b)) say('lagShort', [lag.a, lag.b]);
    if (lag.max !== undefined && between > lag.max && !fixed.has(lag.a)) say('lagLong', [lag.a, lag.b]);
  }

  // hands: one thing at a time, the wash before it included, nobody who is away
  const hands: (Busy & { cook: string })[] = [];
  for (const p of plan.placed) {
    const a = activity.get(p.task);
    if (!a || (a.hands === 0 && p.wash === 0)) continue;
    const cook = model.cooks.find((c) => c.id === p.cook);
    if (!cook) {
      if (!fixed.has(a.id)) say('noCook', [a.id]);
      continue;
    }
    if (a.cooks && !a.cooks.includes(cook.id) && !fixed.has(a.id)) say('notItsCook', [a.id]);
    const busy = { task: a.id, cook: cook.id, from: p.start - p.wash, to: p.start + a.hands };
    for (const [from, to] of cook.away ?? [])
      if (meet(busy, { from, to }) && !fixed.has(a.id)) say('away', [a.id], { at: from, what: cook.id });
    hands.push(busy);
  }
  for (const [i, a] of hands.entries())
    for (const b of hands.slice(i + 1))
      if (a.cook === b.cook && meet(a, b) && !(fixed.has(a.task) && fixed.has(b.task)))
        say('twoAtOnce', [a.task, b.task], { what: a.cook });

  for (const pool of model.pools) {
    const users: (Busy & { units: number })[] = [];
    for (const a of model.activities)
      for (const need of a.pools ?? [])
        if (need.pool === pool.id) users.push({ task: a.id, from: at(a.id) + need.from, to: at(a.id) + need.to, units: need.units });
    for (const span of model.spans)
      if (span.pool === pool.id) users.push({ task: span.a, from: at(span.a), to: endOf(span.b), units: span.units });
    for (let m = 0; m < last; m += 1) {
      const now = users.filter((u) => u.from <= m && m < u.to);
      const shut = (pool.closed ?? []).some(([from, to]) => from <= m && m < to);
      const open = now.filter((u) => !fixed.has(u.task));
      if (open.length === 0) continue;
      if (shut) say('closed', [open[0]!.task], { at: m, what: pool.id });
      if (now.reduce((sum, u) => sum + u.units, 0) > pool.capacity)
        say(
          'tooMany',
          now.map((u) => u.task),
          { at: m, what: pool.id },
        );
    }
  }

  for (const group of model.groups)
    for (let unit = 0; unit < group.units; unit += 1) {
      const on = plan.placed
        .flatMap((p) => {
          const u = activity.get(p.task)?.unit;
          return u?.group === group.id && p.unit === unit
            ? [{ task: p.task, from: p.start, to: p.start + u.to, cls: u.cls, wash: p.wash }]
            : [];
        })
        .sort((a, b) => a.from - b.from || a.to - b.to);
      for (const [i, b] of on.entries()) {
        for (const [from, to] of group.closed ?? [])
          if (meet({ from: b.from - b.wash, to: b.to }, { from, to }) && !fixed.has(b.task))
            say('closed', [b.task], { at: from, what: group.id });
        const a = on[i - 1];
        if (!a || (fixed.has(a.task) && fixed.has(b.task))) continue;
        if (b.from - b.wash < a.to) say('unitTwice', [a.task, b.task], { what: group.id });
        if (b.wash < (group.wash[a.cls]?.[b.cls] ?? 0)) say('unwashed', [a.task, b.task], { what: group.id });
      }
    }
  for (const p of plan.placed) {
    const u = activity.get(p.task)?.unit;
    const group = u && model.groups.find((g) => g.id === u.group);
    if (group && (p.unit === undefined || p.unit >= group.units)) say('unitTwice', [p.task], { what: group.id });
  }

  for (const oven of model.ovens) {
    const loads = model.activities.flatMap((a) =>
      a.oven?.oven === oven.id
        ? [{ task: a.id, from: at(a.id) + a.oven.from, to: at(a.id) + a.oven.to, shelves: a.oven.shelves, tempC: a.oven.tempC }]
        : [],
    );
    for (const [i, a] of loads.entries()) {
      const together = loads.filter((b) => b.tempC === a.tempC && b.from <= a.from && a.from < b.to);
      if (together.reduce((sum, b) => sum + b.shelves, 0) > oven.shelves)
        say(
          'shelves',
          together.map((b) => b.task),
          { at: a.from, what: oven.id },
        );
      for (const b of loads.slice(i + 1)) {
        if (a.tempC === b.tempC) continue;
        const [first, second] = a.from <= b.from ? [a, b] : [b, a];
        if (second.from < first.to + changeMinutes(oven, first.tempC, second.tempC))
          say('temperature', [first.task, second.task], { what: oven.id });
      }
    }
  }
  return faults;
}
