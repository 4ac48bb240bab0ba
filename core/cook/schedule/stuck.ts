import { simpleBounds } from './bounds.ts';
import { compile, type Compiled } from './compile.ts';
import { makeDecoder } from './decode.ts';
import type { NoPlan, Plan, ScheduleModel } from './model.ts';

const horizonOf = (c: Compiled): number => c.length.reduce((sum, m) => sum + m, 0) * 2 + c.n * 20 + 300 + Math.max(0, ...c.head);

function laidAlone(model: ScheduleModel): Plan | undefined {
  const made = compile(model);
  if (!made.ok) return undefined;
  const c = made.compiled;
  const decoder = makeDecoder(c, horizonOf(c), simpleBounds(c)[0]!.minutes);
  return decoder.decode(Int32Array.from(c.blocks.keys()), 0, Infinity).ok ? decoder.plan() : undefined;
}

/**
 * Which activities, tied by longest waits, do not fit even in a kitchen with nothing else in it, and the wait that would have to be longer.
 * @returns undefined when each of them fits alone
 */
export function stuckIn(c: Compiled): NoPlan | undefined {
  const { model } = c;
  for (const members of c.blocks) {
    if (members.length < 2) continue;
    const ids = new Set(members.map((i) => model.activities[i]!.id));
    const alone: ScheduleModel = {
      ...model,
      activities: model.activities.filter((a) => ids.has(a.id)),
      lags: model.lags.filter((l) => ids.has(l.a) && ids.has(l.b)),
      spans: model.spans.filter((s) => ids.has(s.a) && ids.has(s.b)),
      fixed: [],
    };
    if (laidAlone(alone)) continue;
    const loose = laidAlone({ ...alone, lags: alone.lags.map(({ max: _, ...lag }) => lag) });
    const wider = loose && tooLong(alone, loose);
    return { why: 'window', tasks: [...ids], ...(wider && { wider }) };
  }
  return undefined;
}

/** The longest wait that a plan without any passes by the most. */
function tooLong(model: ScheduleModel, plan: Plan): { a: string; b: string; max: number; needs: number } | undefined {
  const moment = (id: string, which: 'start' | 'end'): number => {
    const start = plan.placed.find((p) => p.task === id)?.start ?? 0;
    const a = model.activities.find((x) => x.id === id);
    return start + (which === 'end' && a ? a.hands + a.wait : 0);
  };
  return model.lags
    .flatMap((l) => {
      const needs = moment(l.b, l.to) - moment(l.a, l.from);
      return l.max !== undefined && needs > l.max ? [{ a: l.a, b: l.b, max: l.max, needs }] : [];
    })
    .sort((x, y) => y.needs - y.max - (x.needs - x.max))[0];
}
