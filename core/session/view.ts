import type { Instant, Revision, Session, TamboEvent } from '#core/contract';
import {
  anotherDay,
  closingTasks,
  coolingClock,
  interrupted,
  potNames,
  scheduleTasks,
  tasksFor,
  withDraws,
  type CoolingClock,
  type Drawn,
  type Kept,
  type NamedPot,
  type NoSchedule,
  type Progress,
  type Schedule,
  type Sitting,
  type Task,
} from '#core/cook';
import { listOf, minuteOfDay, minutesBetween, sayMinutes, sayPortions } from '#core/kitchen';
import type { Dish } from '#core/plan';
import { bowlUsable, brimMlOf, splitPot, type ScaledRecipe } from '#core/recipe';
import { shoppingList, tickNote, type ShopLine } from '#core/shop';
import { freeNow, momentOf, roomIn, sharesOf, type PackState } from '#core/store';
import { baseNeeds, drawnMl, type BaseNeed } from './bases.ts';
import { batchView, portionMlOf, standingOf, type BatchView } from './batch.ts';
import { fitCheck, type Fit } from './fit.ts';
import { closingsOf, kitchenOf, minutesIn, promiseOf, restsOf, type Promise, type Rest } from './hours.ts';
import { longJobs, type LongJob } from './longJobs.ts';
import { sessionLog, type TaskLog } from './log.ts';
import { sessionState, type SessionState } from './state.ts';
import type { World } from './world.ts';

export interface ListedLine extends ShopLine {
  /** The newest event about it. */
  seen: string;
  ticked?: 'bought' | 'haveIt';
  tickNote?: string;
}

export interface TaskView extends Task {
  /** The newest event about it. */
  seen: string;
  log?: TaskLog;
  /** Minutes from now (or from the session's start before it has begun). */
  startMin?: number;
  endMin?: number;
  cook?: string;
  /** Minutes of washing its board or bowl just before it. */
  washMin?: number;
  /** A cook put it where it stands. */
  pinned?: boolean;
  /** The pots it stands in, by name. */
  standsIn?: string[];
  /** A wait over night lies before it. */
  anotherDay?: boolean;
}

/** A session with everything worked out. */
export interface SessionView {
  session: Session;
  state: SessionState;
  batches: BatchView[];
  /** Its dishes by name, for whoever needs no more of them. */
  dishes: { batchId: string; name: string; kind: Revision['kind'] }[];
  /** Batches whose recipe is gone or may not be planned yet. */
  missing: { batchId: string; recipeId: string }[];
  list: { id: string; name: string; lines: ListedLine[] }[];
  tasks: TaskView[];
  schedule?: Schedule;
  scheduleError?: string;
  /** When it is likely over, by this household's own pace. */
  promise?: Promise;
  /** When whose hands rest. */
  rests: Rest[];
  /** What the schedule is worked out from: a page looks further from here. */
  sitting: Sitting & { kept?: readonly Kept[]; goneMin: number };
  /** What the cook wanted to do otherwise this time. */
  notes: { recipeId: string; name: string; text: string }[];
  /** What dishes draw from bases, made here or in store. */
  bases: BaseNeed[];
  cooling: (CoolingClock & { batchId: string; name: string })[];
  fit: Fit;
}

/** How far a task that was started has come: hands first, then what minds itself. */
function progressOf(task: Task, log: TaskLog, now: Instant): Progress {
  if (log.state !== 'running')
    return { state: log.state, ...(log.endedAt !== undefined && { agoMin: Math.max(0, minutesBetween(log.endedAt, now)) }) };
  const gone = log.startedAt ? Math.max(0, minutesBetween(log.startedAt, now)) : 0;
  const hands = Math.max(0, task.handsOnMin - gone);
  const total = task.handsOnMin + task.waitMin + log.extraMin;
  return { state: 'running', handsLeftMin: hands, waitLeftMin: Math.max(0, total - gone - hands) };
}

/** What a session comes to before anything is logged: amounts, list and work of every batch whose recipe is known. */
interface Planned {
  found: { batch: Session['batches'][number]; revision: Revision | undefined }[];
  dishes: Dish[];
  list: ReturnType<typeof shoppingList>;
  tasks: Task[];
  /** Of each base batch, what goes into other dishes. */
  drawn: Map<string, number>;
}

/** Notes for next time that no revision has taken up. */
function notesOf(recipeId: string, revision: Revision, world: World): SessionView['notes'] {
  const open = (world.recipe(recipeId)?.recipe.notes ?? []).filter((n) => !n.doneIn).map((n) => n.text);
  return [...(revision.note ? [revision.note] : []), ...open].map((text) => ({ recipeId, name: revision.name, text }));
}

/** Salt of the portions that stay, where some are dipped out before it. */
function saltOuts(batch: Session['batches'][number], scaled: ScaledRecipe, world: World): Map<string, string> | undefined {
  if (!batch.unsalted) return undefined;
  const split = splitPot(scaled, batch.unsalted, {
    finder: world.finder,
    scaleStepG: world.household.scaleStepG,
    units: world.household.units,
  });
  if (!split.ok) return undefined;
  return new Map(
    split.split.salt.map((s) => [s.lineId, `first dip out ${sayPortions(split.split.unsalted)} without salt; then for the rest ${s.out}`]),
  );
}

/** Pots of the household by name. */
const potsOf = (world: World): NamedPot[] =>
  world.equipment
    .filter((e) => e.kind === 'pot')
    .flatMap((e) => Array.from({ length: e.count }, () => ({ name: e.name, ml: brimMlOf(e) ?? 0 })));

/** The bowl that chops: the largest there is. */
function bowlOf(world: World): { bowl?: { name: string; usableMl: number } } {
  const bowls = world.equipment
    .filter((e) => e.kind === 'processor' && e.count > 0)
    .flatMap((e) => {
      const usable = bowlUsable(e, 'pulse', { hotShare: world.figures.hotShare });
      return usable ? [{ name: e.name, usableMl: usable.ml }] : [];
    })
    .toSorted((a, b) => b.usableMl - a.usableMl);
  return bowls[0] ? { bowl: bowls[0] } : {};
}

function plan(session: Session, world: World): Planned {
  const found = session.batches.map((batch) => ({ batch, revision: world.revision(batch.revisionId) }));
  const make = (): Planned => {
    const dishes = found.flatMap(({ batch, revision }): Dish[] => {
      const r = revision && world.scale(revision, batch.portions, batch.yieldFactor);
      if (!revision || !r?.ok) return [];
      const outs = saltOuts(batch, r.scaled, world);
      return [{ batch, revision, scaled: r.scaled, ...(outs && { outs }) }];
    });
    return {
      found,
      dishes,
      drawn: drawnMl(dishes, world),
      list: shoppingList(dishes, world.finder, world.household.units),
      tasks: tasksFor(dishes, world.finder, {
        times: world.times,
        units: world.household.units,
        avoid: new Set(world.written.eaters.flatMap((e) => e.allergens)),
        interruptions: session.interruptions ?? 1,
        ...bowlOf(world),
      }),
    };
  };
  // a recipe that is not known yet may come
  return found.every((f) => f.revision)
    ? world.memo([session, world.finder, world.household, world.equipment, world.written.eaters], 'plan', make)
    : make();
}

/** What both the whole view and its short form begin with: the plan, what was logged, and whose each task is. */
function prepare(session: Session, events: readonly TamboEvent[], world: World) {
  const log = sessionLog(events);
  const { found, list, tasks: all, dishes, drawn } = plan(session, world);
  const known = found.flatMap(({ batch, revision }) => (revision ? [{ batch, revision }] : []));
  const cooks = new Set(session.cooks.map((c) => c.id));
  const tasks = all.map((t): Task => {
    const cookId = log.cooks.get(t.id);
    return cookId && cooks.has(cookId) ? { ...t, cookId } : t;
  });
  return { log, found, known, list, tasks, dishes, drawn };
}

/**
 * Where a session stands, for lists and headers: no schedule, no containers.
 * @example sessionStanding(saturday, events, packs, world).state.next // 'cooked'
 */
export function sessionStanding(
  session: Session,
  events: readonly TamboEvent[],
  packs: readonly PackState[],
  world: World,
): { state: SessionState; dishes: string[]; longJobs: LongJob[] } {
  const { log, known, list, tasks, drawn } = prepare(session, events, world);
  return {
    state: sessionState(
      known.map(
        ({ batch, revision }) =>
          standingOf({ batch, revision, log, packs, list, tasks, drawnMl: drawn.get(batch.id) ?? 0, containers: world.containers }).flags,
      ),
    ),
    dishes: known.map((k) => k.revision.name),
    longJobs: longJobs(session, tasks, log, (id) => known.find((k) => k.batch.id === id)?.revision.name ?? ''),
  };
}

/** What the schedule is worked out from: tasks, hands and gear, how far it has come, and the order that was taken, from now on. */
function sittingOf(
  session: Session,
  tasks: readonly Task[],
  log: ReturnType<typeof sessionLog>,
  kitchen: Sitting['kitchen'],
  goneMin: number,
  now: Instant,
): SessionView['sitting'] {
  const progress = new Map(
    tasks.flatMap((t): [string, Progress][] => {
      const l = log.tasks.get(t.id);
      return l ? [[t.id, progressOf(t, l, now)]] : [];
    }),
  );
  const { order } = session;
  const known = new Set(tasks.map((t) => t.id));
  const kept = order?.placed
    .filter((k) => known.has(k.taskId))
    .map(({ taskId, startMin, cookId, unit, washMin }): Kept => ({
      taskId,
      startMin: startMin - goneMin,
      ...(cookId !== undefined && { cookId }),
      ...(unit !== undefined && { unit }),
      ...(washMin !== undefined && { washMin }),
    }));
  const pins = kept?.filter((k) => order!.pinned.includes(k.taskId) && !progress.has(k.taskId) && k.startMin >= 0);
  return {
    tasks,
    kitchen,
    progress,
    goneMin,
    ...(kept?.length && { kept }),
    ...(pins?.length && {
      pins: pins.map(({ taskId, startMin, cookId }) => ({ taskId, startMin, ...(cookId !== undefined && { cookId }) })),
    }),
  };
}

/** What of each base comes out of the store, and what is made here. */
const drawnIn = (bases: readonly BaseNeed[], session: Session): Drawn[] =>
  bases.map((b) => ({
    recipeId: b.recipeId,
    name: b.name,
    fromStore: Math.min(b.inStore, Math.max(0, b.asked - b.made)),
    madeIn: session.batches.filter((x) => x.recipeId === b.recipeId).map((x) => x.id),
    forBatches: b.draws.map((d) => d.batchId),
  }));

/** Minutes from the start to when it is to be over. */
const hoursOf = ({ startAt, finishBy = startAt }: Session): number => (minuteOfDay(finishBy) - minuteOfDay(startAt) + 1440) % 1440;

/** Why there is no order of work, and what to do. */
function sayNoSchedule(none: NoSchedule, tasks: readonly Task[]): string {
  const title = (id: string): string => `“${tasks.find((t) => t.id === id)?.title ?? id}”`;
  const names = listOf(none.taskIds.slice(0, 4).map(title));
  switch (none.why) {
    case 'circle':
      return `These steps wait for each other in a circle: ${names}. Change in the recipe what one of them comes after.`;
    case 'window':
      return none.wider
        ? `${title(none.wider.b)} should come at most ${sayMinutes(none.wider.max)} after ${title(none.wider.a)}, and takes ${sayMinutes(none.wider.needs)} here. A helper, a smaller batch or another pot would do.`
        : `A limit of time cannot be kept among ${names}. A smaller batch or a helper would do.`;
    case 'nobody':
      return `Nobody may do ${names}. Say in the plan who cooks.`;
    case 'tooLarge':
      return `${names} needs more than there is of ${none.needs ?? 'one thing'}.`;
    default:
      return 'No order of work was found. A helper, or a dish less, would do.';
  }
}

/**
 * A session as every station sees it: one place where its numbers come from, so that they agree from page to page.
 * @param packs packs filled from this session, empty ones too
 * @example sessionView(saturday, events, packs, world, now).fit.fits // true
 */
export function sessionView(
  session: Session,
  events: readonly TamboEvent[],
  packs: readonly PackState[],
  world: World,
  now: Instant,
): SessionView {
  const { log, found, known, list, tasks, dishes, drawn } = prepare(session, events, world);
  const goneMin = minutesIn(session, world.household.timeZone, log.tasks.size > 0, now);

  const freeAtFirst = freeNow(world.containers, world.usage).map(({ container, free }) => ({ container, free }));
  let frees = freeAtFirst;
  const batches: BatchView[] = [];
  for (const { batch, revision } of known) {
    const { view, frees: left } = batchView({ batch, revision, log, packs, frees, list, tasks, drawnMl: drawn.get(batch.id) ?? 0 }, world);
    batches.push(view);
    frees = left;
  }
  const cooks = new Set(session.cooks.map((c) => c.id));
  const whose = (t: Task): Task => {
    const cookId = log.cooks.get(t.id);
    return cookId !== undefined && cooks.has(cookId) ? { ...t, cookId } : t;
  };
  const weighedPortions = new Map(batches.map((b) => [b.batch.id, b.yield.ml / portionMlOf(b.revision)]));
  const { stock } = sharesOf(world.packs, momentOf(world.household, world.figures, now));
  const bases = baseNeeds(dishes, { ...world, packs: stock }, (batch) => weighedPortions.get(batch.id) ?? batch.portions);
  const open = batches.filter((b) => !b.flags.packed);
  const closing = closingTasks(closingsOf(open, world), tasks, world.household.units).map((t) =>
    interrupted(t, session.interruptions ?? 1),
  );
  const work = withDraws([...tasks, ...closing], dishes, drawnIn(bases, session)).map(whose);
  const sitting = sittingOf(session, work, log, kitchenOf(session, world, goneMin), goneMin, now);
  const planned = scheduleTasks(work, sitting.kitchen, sitting.progress, {
    ...(sitting.kept && { kept: sitting.kept }),
    ...(sitting.pins && { pins: sitting.pins }),
  });
  const slots = new Map(planned.ok ? planned.schedule.slots.map((s) => [s.taskId, s]) : []);
  const inPots = potNames(work, planned.ok ? planned.schedule.slots : [], potsOf(world), sitting.progress);
  const later = anotherDay(work, sitting.progress);
  const freezers = world.places.filter((p) => p.kind === 'freezer' || p.kind === 'chest');
  const hours = work.length > 0 && planned.ok ? planned.schedule : undefined;
  const cooling = batches.flatMap((b) => {
    const own = tasks.filter((t) => t.step?.batchId === b.batch.id);
    const last = own.at(-1);
    const done = last && log.tasks.get(last.id);
    return own.length > 0 &&
      done?.state === 'done' &&
      done.endedAt &&
      !b.flags.packed &&
      b.revision.kind !== 'kit' &&
      !b.revision.raw &&
      own.some((t) => t.needs.length > 0)
      ? [{ ...coolingClock(done.endedAt, now, world.figures), batchId: b.batch.id, name: b.revision.name }]
      : [];
  });
  return {
    session,
    state: sessionState(batches.map((b) => b.flags)),
    batches,
    dishes: known.map(({ batch, revision }) => ({ batchId: batch.id, name: revision.name, kind: revision.kind })),
    missing: found.filter((f) => !f.revision).map(({ batch }) => ({ batchId: batch.id, recipeId: batch.recipeId })),
    list: list.map((s) => ({
      ...s,
      lines: s.lines.map((line): ListedLine => {
        const tick = log.ticks.get(line.key);
        const note = tick && tickNote(tick, line, world.household.units);
        return { ...line, seen: log.seen.get(line.key) ?? session.id, ...(tick && { ticked: tick.how }), ...(note && { tickNote: note }) };
      }),
    })),
    tasks: work
      .map((task): TaskView => {
        const slot = slots.get(task.id);
        const l = log.tasks.get(task.id);
        const standsIn = inPots.get(task.id);
        const cook = session.cooks.find((c) => c.id === slot?.cookId)?.name;
        return {
          ...task,
          seen: log.seen.get(task.id) ?? session.id,
          ...(l && { log: l }),
          ...(slot && { startMin: slot.startMin, endMin: slot.endMin }),
          ...(slot && { cookId: slot.cookId }),
          ...(cook && { cook }),
          ...(slot?.washMin !== undefined && { washMin: slot.washMin }),
          ...(sitting.pins?.some((p) => p.taskId === task.id) && { pinned: true }),
          ...(standsIn && { standsIn }),
          ...(later.has(task.id) && { anotherDay: true }),
        };
      })
      // what is done stands first, what comes another day last
      .sort((a, b) => (a.startMin ?? (a.anotherDay ? Infinity : -1)) - (b.startMin ?? (b.anotherDay ? Infinity : -1)) || 0),
    ...(planned.ok
      ? { schedule: planned.schedule, promise: promiseOf(planned.schedule.makespanMin, world.paces) }
      : { scheduleError: sayNoSchedule(planned, work) }),
    rests: restsOf(session, goneMin),
    sitting,
    notes: known.flatMap(({ batch, revision }) => notesOf(batch.recipeId, revision, world)),
    bases,
    cooling,
    fit: fitCheck({
      figures: world.figures,
      units: world.household.units,
      batches,
      bases,
      frees: freeAtFirst,
      schedule: hours,
      ...(hours && { likelyMin: promiseOf(hours.makespanMin, world.paces).likelyMin }),
      ...(session.finishBy !== undefined && { hoursMin: hoursOf(session) }),
      rooms: freezers.map((f) => roomIn(f, stock)),
      freezers,
    }),
  };
}
