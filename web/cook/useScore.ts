import * as Comlink from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Session } from '#core/contract';
import type { Help, Kept, Pin } from '#core/cook';
import { now } from '../sync/clock.ts';
import { since } from '../sync/snapshot.ts';
import { selectFrame } from '../sync/selectors.ts';
import { useAppSelector, useAppState } from '../sync/store.ts';
import type { BetterOrder, Found, Looked, ScoreWorker } from '../workers/score.worker.ts';

export type MoveAnswer = Awaited<ReturnType<ScoreWorker['move']>>;

export interface ScoreWork {
  /** A search that runs: how far it has come. */
  found: Found | undefined;
  looking: boolean;
  /** What the last search ended with. */
  better: BetterOrder | undefined;
  problem: string | undefined;
  look: () => void;
  stop: () => void;
  forget: () => void;
  move: (to: Pin) => Promise<MoveAnswer>;
  help: readonly Help[] | undefined;
  askHelp: () => void;
}

const cannotLook = 'Looking could not be started in this browser. The order stands as it is.';

/** Looks for better orders, moves tasks and asks what would help, in a thread of its own: the page answers meanwhile. */
export function useScore(session: Session | undefined): ScoreWork {
  const asOf = useAppSelector((s) => selectFrame(s)?.asOf);
  const state = useAppState();
  const worker = useRef<{ thread: Worker; score: Comlink.Remote<ScoreWorker> }>(undefined);
  const [found, setFound] = useState<Found>();
  const [looking, setLooking] = useState(false);
  const [better, setBetter] = useState<BetterOrder>();
  const [problem, setProblem] = useState<string>();
  const [help, setHelp] = useState<readonly Help[]>();
  useEffect(() => () => worker.current?.thread.terminate(), []);
  const thread = useCallback(() => {
    if (!worker.current) {
      const made = new Worker(new URL('../workers/score.worker.ts', import.meta.url), { type: 'module' });
      made.addEventListener('error', () => {
        setLooking(false);
        setProblem(cannotLook);
      });
      worker.current = { thread: made, score: Comlink.wrap<ScoreWorker>(made) };
    }
    return worker.current.score;
  }, []);
  const looked = useCallback(
    (): Looked => ({ session: session!, asOf: asOf ?? '', pending: since(state().outbox.pending), now: now() }),
    [session, asOf, state],
  );
  const look = useCallback(() => {
    if (!session) return;
    setLooking(true);
    setBetter(undefined);
    setProblem(undefined);
    void thread()
      .improve(looked(), Comlink.proxy(setFound))
      .then(
        (b) => {
          setBetter(b);
          if (!b) setProblem('No household could be brought to look in. The order stands as it is.');
        },
        () => setProblem(cannotLook),
      )
      .finally(() => {
        setLooking(false);
        setFound(undefined);
      });
  }, [session, thread, looked]);
  const move = useCallback((to: Pin) => thread().move(looked(), to), [thread, looked]);
  return {
    found,
    looking,
    better,
    problem,
    look,
    stop: () => void worker.current?.score.stop(),
    forget: () => setBetter(undefined),
    move,
    help,
    askHelp: () => {
      setHelp([]);
      void thread().help(
        looked(),
        Comlink.proxy((h: Help) => setHelp((all) => [...(all ?? []), h])),
      );
    },
  };
}

/** An order as it is kept with its session. */
export const withOrder = (session: Session, placed: readonly Kept[], pinned: readonly string[]): Session => ({
  ...session,
  order: {
    placed: placed.map(({ taskId, startMin, cookId, unit, washMin }) => ({
      taskId,
      startMin: Math.max(0, startMin),
      ...(cookId !== undefined && { cookId }),
      ...(unit !== undefined && { unit }),
      ...(washMin !== undefined && { washMin }),
    })),
    pinned: [...pinned],
  },
});
