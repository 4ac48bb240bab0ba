import * as Comlink from 'comlink';
import type { Instant, Session } from '#core/contract';
import { keptOf, moveTask, scheduler, wouldHelp, type Help, type Kept, type Moved, type Pin, type Schedule } from '#core/cook';
import { viewOf } from '#core/queries';
import { startSearch, type Ended } from '#core/solve';
import type { PendingEntries } from '#core/sync';
import { householdHere } from './household.ts';

const open = householdHere();

/** A session and the household it is looked at in. */
export interface Looked {
  session: Session;
  asOf: string;
  pending: PendingEntries;
  now: Instant;
}

/** How far a search has come. */
export interface Found {
  makespanMin: number;
  boundMin: number;
  /** What the page had when it began. */
  wasMin: number;
  tasks: number;
}

export interface BetterOrder extends Found {
  schedule: Schedule;
  /** As it is kept with the session. */
  placed: Kept[];
  ended: Ended;
}

/** Steps between two looks at what the page says; a step tries some forty orders. */
const perSlice = 4;
/** Steps of a search: the same plan gives the same answer. */
const mostSteps = 320;
const stepsForHelp = 40;

const pause = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

let search = 0;

async function sittingOf({ session, asOf, pending, now }: Looked) {
  const here = await open(asOf, pending);
  if (!here) return undefined;
  const view = viewOf(session, here.world, here.records, now);
  return view.schedule && { sitting: view.sitting, schedule: view.schedule };
}

const worker = {
  /** Looks for a shorter order until it is proven, has looked long enough, or is told to stop; the best so far is never lost. */
  async improve(looked: Looked, onBetter: (found: Found) => void): Promise<BetterOrder | undefined> {
    search += 1;
    const mine = search;
    const at = await sittingOf(looked);
    if (!at) return undefined;
    const { sitting, schedule } = at;
    const was = { wasMin: schedule.makespanMin, tasks: schedule.slots.length };
    const signal = {
      get aborted() {
        return mine !== search;
      },
    };
    const run = startSearch(
      scheduler,
      { ...sitting, kept: keptOf(schedule.slots), keepOrder: false },
      { seed: 1, mostSteps, signal, onBetter: (b) => onBetter({ makespanMin: b.answer.makespanMin, boundMin: b.bound, ...was }) },
    );
    for (;;) {
      const outcome = run.advance(perSlice);
      if (!outcome) {
        await pause();
        continue;
      }
      // stopped before anything was found: what there is stands
      const answer = outcome.ok ? outcome.answer : schedule;
      const ended = outcome.ok ? outcome.ended : 'cancelled';
      return {
        schedule: answer,
        makespanMin: answer.makespanMin,
        boundMin: Math.max(0, Math.min(outcome.bound, answer.makespanMin)),
        ended,
        placed: keptOf(answer.slots).map((k) => ({ ...k, startMin: k.startMin + sitting.goneMin })),
        ...was,
      };
    }
  },
  /** Hands over the best so far. */
  stop(): void {
    search += 1;
  },
  /** Puts a task elsewhere: the order as it is kept, or why not. */
  async move(looked: Looked, to: Pin): Promise<(Moved & { placed?: Kept[]; goneMin: number }) | undefined> {
    const at = await sittingOf(looked);
    if (!at) return undefined;
    const moved = moveTask(at.sitting, at.schedule.slots, to);
    const { goneMin } = at.sitting;
    return {
      ...moved,
      goneMin,
      ...(moved.ok && { placed: keptOf(moved.schedule.slots).map((k) => ({ ...k, startMin: k.startMin + goneMin })) }),
    };
  },
  /** What one more of each would save, told as it is found. */
  async help(looked: Looked, onHelp: (help: Help) => void): Promise<void> {
    const mine = search;
    const at = await sittingOf(looked);
    if (!at) return;
    for (const help of wouldHelp(at.sitting, at.schedule, stepsForHelp)) {
      if (mine !== search) return;
      if (help) onHelp(help);
      await pause();
    }
  },
};

export type ScoreWorker = typeof worker;

Comlink.expose(worker);
