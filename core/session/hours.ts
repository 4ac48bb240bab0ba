import type { Equipment, Instant, Session } from '#core/contract';
import { forever, isHot, type ClosingInput, type Kitchen, type Stretch } from '#core/cook';
import { coolAll } from '#core/heat';
import { instantAt, minuteOfDay, minutesBetween } from '#core/kitchen';
import { brimMlOf, burnersOf } from '#core/recipe';
import type { BatchView } from './batch.ts';
import type { World } from './world.ts';

/** Machines of which there are only so many; of a kind that nobody entered there are enough. */
const limiting = ['oven', 'steamer', 'blender', 'processor', 'microwave', 'pan'] as const;

/** Worktop that a board takes with what lies beside it (kitchen estimate). */
const boardMm = 450;

/** Minutes from a session's start on its own clock to the moment its plan begins: 0 before it has begun. */
export const minutesIn = (session: Session, zone: string, begun: boolean, now: Instant): number =>
  begun ? Math.max(0, Math.floor(minutesBetween(instantAt(session.day, session.startAt, zone), now))) : 0;

/**
 * Hands and gear of a session, in minutes from the beginning of its plan.
 * @param gone minutes of the session that are over
 * @example kitchenOf(saturday, world, 0).capacity.hob // 4
 */
export function kitchenOf(session: Session, world: Pick<World, 'equipment'>, gone: number): Kitchen {
  const start = minuteOfDay(session.startAt);
  const at = (clock: string): number => {
    const m = minuteOfDay(clock) - start;
    // a time before the start is of the night after
    return (m < 0 ? m + 1440 : m) - gone;
  };
  const { equipment } = world;
  const countOf = (kind: Equipment['kind']): number => equipment.filter((e) => e.kind === kind).reduce((s, e) => s + e.count, 0);
  const capacity: Kitchen['capacity'] = { hob: burnersOf(world), oven: 1 };
  for (const kind of limiting) {
    const count = countOf(kind);
    if (count > 0) capacity[kind] = count;
  }
  const potsMl = equipment.filter((e) => e.kind === 'pot').flatMap((e) => Array.from({ length: e.count }, () => brimMlOf(e) ?? 0));
  const ovens = equipment.filter((e) => e.kind === 'oven' && e.count > 0).map((e) => e.count);
  const rests = restsOf(session, gone);
  const sinks = countOf('sink');
  const wide = equipment.filter((e) => e.kind === 'worktop').reduce((s, e) => s + (e.widthMm ?? 0) * e.count, 0);
  const roomFor = wide > 0 ? Math.floor(wide / boardMm) : Infinity;
  const quiet = session.quiet && stretch(at(session.quiet[0]), at(session.quiet[1]));
  return {
    cooks: session.cooks.map(({ id, name, from, until }) => {
      const away = rests.filter((r) => r.cookId === id).map((r): Stretch => [Math.max(0, r.startMin), r.endMin]);
      if (from !== undefined && from !== session.startAt && at(from) > 0) away.push([0, at(from)]);
      if (until !== undefined && at(until) < forever) away.push([Math.max(0, at(until)), forever]);
      return { id, name, ...(away.length > 0 && { away }) };
    }),
    capacity,
    // one for each cook, and one for raw meat and fish, as far as there is room for them
    boards: Math.max(1, Math.min(session.cooks.length + 1, roomFor)),
    ...(sinks > 0 && { sinks }),
    ...(potsMl.length > 0 && { potsMl, capacity: { ...capacity, pot: potsMl.length } }),
    ...(ovens.length > 1 && { ovens }),
    ...(session.cleanFirst && { cleanFirst: true }),
    ...(quiet && { quiet: [quiet] }),
  };
}

/** A rest as the score draws it; minutes as in the kitchen's plan. */
export interface Rest {
  cookId: string;
  name: string;
  startMin: number;
  endMin: number;
}

/**
 * Whose hands rest when, with what it is called; those that are over are left out.
 * @example restsOf(saturday, 0) // [{ cookId: 'j', name: 'Lunch', startMin: 210, endMin: 240 }, ...]
 */
export function restsOf(session: Session, gone: number): Rest[] {
  const start = minuteOfDay(session.startAt);
  const at = (clock: string): number => ((minuteOfDay(clock) - start + 1440) % 1440) - gone;
  return (session.breaks ?? []).flatMap((b) =>
    session.cooks
      .filter((c) => b.cookId === undefined || c.id === b.cookId)
      .map((c) => ({ cookId: c.id, name: b.name, startMin: at(b.from), endMin: at(b.until) }))
      .filter((r) => r.endMin > Math.max(0, r.startMin)),
  );
}

const stretch = (from: number, to: number): Stretch | undefined => (to > from && to > 0 ? [Math.max(0, from), to] : undefined);

const vessels: ReadonlySet<string> = new Set(['hob', 'pot', 'pan', 'sheetPan', 'steamer']);

/** What is left to do for a dish once it is cooked: into packs, its pots washed. */
function closingOf(b: BatchView): ClosingInput {
  const needs = b.revision.steps.filter((s) => s.moment !== 'serve').flatMap((s) => s.needs);
  const pots = b.scaled.passage?.loads.filter((l) => l.use === 'pot').map((l) => l.vessels.length) ?? [];
  const used = needs.some((n) => vessels.has(n.kind)) ? Math.max(1, ...pots) : 0;
  return { batch: b.batch, revision: b.revision, pots: used, packs: b.packing.ok ? b.packing.choice.packs : 0 };
}

/**
 * The same for all dishes of a session: the ice there is goes to the pots that need it most.
 * @example closingsOf(batches, world).map((c) => c.cooling?.way) // ['waterThenIce', 'water', undefined]
 */
export function closingsOf(batches: readonly BatchView[], { equipment }: Pick<World, 'equipment'>): ClosingInput[] {
  const iceKg = equipment.filter((e) => e.kind === 'ice').reduce((s, e) => s + (e.kg ?? 0) * e.count, 0);
  const closings = batches.map(closingOf);
  const hot = batches.flatMap((b, i) =>
    isHot(b.revision) ? [{ i, massG: b.yield.g / Math.max(1, closings[i]!.pots), count: Math.max(1, closings[i]!.pots) }] : [],
  );
  const ways = new Map(coolAll(hot, iceKg).map((way, k) => [hot[k]!.i, way]));
  return closings.map((c, i) => ({ ...c, ...(ways.has(i) && { cooling: ways.get(i)! }) }));
}

/** When a session is likely over, and by when four times in five. */
export interface Promise {
  likelyMin: number;
  lateMin: number;
  /** Sessions it rests on; with fewer than three it is a guess. */
  sessions: number;
}

/** Until three sessions were timed: a kitchen estimate. */
const guessed = { likely: 1, late: 1.2 } as const;
const enough = 3;

/**
 * How this household's sessions go against what is foretold: in the middle, and what four in five do not pass.
 * @param paces minutes taken for minutes foretold
 * @example paceOf([0.95, 1.1, 1.4]) // { likely: 1.1, late: 1.4, sessions: 3 }
 */
export function paceOf(paces: readonly number[]): { likely: number; late: number; sessions: number } {
  if (paces.length < enough) return { ...guessed, sessions: paces.length };
  const sorted = [...paces].sort((a, b) => a - b);
  const mid = (sorted.length - 1) / 2;
  const likely = (sorted[Math.floor(mid)]! + sorted[Math.ceil(mid)]!) / 2;
  const at = Math.min(sorted.length - 1, Math.ceil(0.8 * (sorted.length + 1)) - 1);
  return { likely, late: Math.max(likely, sorted[at]!), sessions: paces.length };
}

/** A makespan by the household's own pace. @example promiseOf(240, []) // 240, and 288 four times in five */
export function promiseOf(makespanMin: number, paces: readonly number[]): Promise {
  const { likely, late, sessions } = paceOf(paces);
  return { likelyMin: Math.round(makespanMin * likely), lateMin: Math.round(makespanMin * late), sessions };
}
