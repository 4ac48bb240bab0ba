import { minutesBetween } from '#core/kitchen';
import type { TaskView } from '#core/session';
import type { SessionParts } from '#core/queries';

/** A task as it is drawn: minutes count from now, or from the start before it has begun; what is past is under nought. */
export interface ScoreNote {
  task: TaskView;
  /** Its place in its cook's row of work, from 1. */
  n: number;
  startMin: number;
  handsEndMin: number;
  endMin: number;
  past: boolean;
}

/** A line of what minds itself, on one thing or for one dish; no tail runs over another of its lane. */
export interface ScoreLine {
  name: string;
  lanes: number;
  notes: (ScoreNote & { lane: number })[];
}

export interface ScoreRows {
  fromMin: number;
  toMin: number;
  staves: { cookId: string; name: string; notes: ScoreNote[]; rests: { name: string; startMin: number; endMin: number }[] }[];
  lines: ScoreLine[];
}

export type FoldBy = 'gear' | 'dish';

/** Less than this between two tails and their words would touch. */
const gapMin = 5;

/** Puts tails on lanes so that none runs over another. */
function laid(name: string, notes: readonly ScoreNote[]): ScoreLine {
  const free: number[] = [];
  const placed = notes
    .toSorted((a, b) => a.startMin - b.startMin)
    .map((note) => {
      const at = free.findIndex((t) => t <= note.startMin);
      const lane = at < 0 ? free.length : at;
      free[lane] = note.endMin + gapMin;
      return { ...note, lane };
    });
  return { name, lanes: Math.max(1, free.length), notes: placed };
}

const potName = (brimMl: number): string => (brimMl > 0 ? `${String(Math.round(brimMl / 100) / 10)} l pot` : 'Any pot');

/** The thing a task stands in or on; pots by their names. */
function gearOf(t: TaskView): string | undefined {
  if (t.follow === 'cool' || t.windows?.some((w) => w.why === 'ice')) return 'Ice bath';
  const kinds = new Set(t.needs.map((n) => n.kind));
  if (kinds.has('oven')) return 'Oven';
  if (kinds.has('steamer')) return 'Steamer';
  if (t.standsIn) return t.standsIn.join(' and ');
  if (t.vessel) return potName(t.vessel.brimMl);
  if (kinds.has('hob')) return 'Hob';
  if (kinds.has('processor')) return 'Processor';
  if (kinds.has('blender')) return 'Blender';
  return t.waitMin > 0 ? 'By itself' : undefined;
}

const order = ['Oven', '', 'Hob', 'Steamer', 'Processor', 'Blender', 'Ice bath', 'By itself'];
/** Pots, by whatever name, stand between the oven and the hob. */
const rank = (name: string): number => (order.includes(name) ? order.indexOf(name) : order.indexOf(''));

/**
 * A session as a score: a stave of hands for each cook, and lines of what stands on the stove, in the oven, in the ice.
 * @param by things, or dishes
 */
export function scoreRows(view: SessionParts['cook'], now: string, by: FoldBy): ScoreRows {
  const first = view.session.cooks[0]?.id ?? '';
  const of = (t: TaskView): Omit<ScoreNote, 'n'> | undefined => {
    const { log } = t;
    if (log && log.state !== 'running') {
      if (log.state === 'skipped' || !log.endedAt) return undefined;
      const end = minutesBetween(now, log.endedAt);
      const took = log.actualMin ?? (log.startedAt ? minutesBetween(log.startedAt, log.endedAt) : t.handsOnMin + t.waitMin);
      const start = end - Math.max(1, took);
      return { task: t, startMin: start, handsEndMin: Math.min(end, start + t.handsOnMin), endMin: end, past: true };
    }
    if (t.startMin === undefined || t.endMin === undefined) return undefined;
    const begun = log?.startedAt ? Math.min(0, minutesBetween(now, log.startedAt)) : t.startMin;
    return { task: t, startMin: begun, handsEndMin: Math.min(t.endMin, begun + t.handsOnMin), endMin: t.endMin, past: false };
  };
  const found = view.tasks.flatMap((t) => of(t) ?? []);
  const staves = view.session.cooks.map(({ id, name }) => ({
    cookId: id,
    name,
    notes: found
      .filter((f) => (f.task.cookId ?? first) === id)
      .toSorted((a, b) => a.startMin - b.startMin)
      .map((f, i): ScoreNote => ({ ...f, n: i + 1 })),
    rests: view.rests.filter((r) => r.cookId === id),
  }));
  const notes = staves.flatMap((s) => s.notes);
  const names = new Map<string, ScoreNote[]>();
  for (const note of notes) {
    const name =
      by === 'gear'
        ? gearOf(note.task)
        : note.task.batchIds.length === 1
          ? view.dishes.find((d) => d.batchId === note.task.batchIds[0])?.name
          : 'For several dishes';
    if (name !== undefined) names.set(name, [...(names.get(name) ?? []), note]);
  }
  const lines = [...names].map(([name, list]) => laid(name, list));
  if (by === 'gear') lines.sort((a, b) => rank(a.name) - rank(b.name) || b.name.localeCompare(a.name, 'en', { numeric: true }));
  return {
    fromMin: Math.min(0, ...notes.map((x) => x.startMin)),
    toMin: Math.max(view.schedule?.makespanMin ?? 0, ...notes.map((x) => x.endMin)),
    staves,
    lines,
  };
}
