import * as Comlink from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { Session } from '#core/contract';
import type { SessionParts } from '#core/queries';
import { now } from '../sync/clock.ts';
import { since } from '../sync/snapshot.ts';
import { selectFrame } from '../sync/selectors.ts';
import { useAppSelector } from '../sync/store.ts';
import type { PlanWorker } from '../workers/plan.worker.ts';

/** What a draft plan comes to, worked out on the page. */
export interface PlanCheck {
  draft: SessionParts['draft'] | undefined;
  /** Something typed is not in it yet. */
  busy: boolean;
  /** Why it could not be checked. */
  problem: string | undefined;
}

const notChecked = 'This plan cannot be checked just now. What you enter is kept.';

interface Checking {
  check: (session: Session) => void;
  end: () => void;
}

/** Asks the worker for the newest draft alone: what was typed meanwhile is asked for when it has answered. */
function checking(ask: (session: Session) => Promise<SessionParts['draft'] | undefined>, tell: (check: PlanCheck) => void): Checking {
  let next: Session | undefined;
  let running = false;
  let last: SessionParts['draft'] | undefined;
  const run = async (): Promise<void> => {
    running = true;
    while (next) {
      const session = next;
      next = undefined;
      try {
        const draft = await ask(session);
        last = draft ?? last;
        tell({ draft: last, busy: next !== undefined, problem: draft ? undefined : notChecked });
      } catch {
        tell({ draft: last, busy: next !== undefined, problem: notChecked });
      }
    }
    running = false;
  };
  return {
    check(session) {
      next = session;
      if (!running) void run();
    },
    end: () => (next = undefined),
  };
}

/**
 * Whether a draft plan fits, checked in a worker at every key against the household as it stands: nothing is asked of the server for it.
 * @param session the draft; the same object while nothing was typed
 */
export function usePlanCheck(session: Session | undefined): PlanCheck {
  const asOf = useAppSelector((s) => selectFrame(s)?.asOf);
  const pending = useAppSelector((s) => s.outbox.pending);
  const [found, setFound] = useState<PlanCheck>({ draft: undefined, busy: false, problem: undefined });
  const household = useRef({ asOf: '', pending });
  const work = useRef<Checking>(undefined);
  useEffect(() => {
    const thread = new Worker(new URL('../workers/plan.worker.ts', import.meta.url), { type: 'module' });
    const plan = Comlink.wrap<PlanWorker>(thread);
    const ask = (draft: Session) => plan.check(draft, household.current.asOf, since(household.current.pending), now());
    work.current = checking(ask, setFound);
    return () => {
      work.current?.end();
      thread.terminate();
    };
  }, []);
  useEffect(() => {
    household.current = { asOf: asOf ?? '', pending };
    if (session) work.current?.check(session);
  }, [session, asOf, pending]);
  return session ? found : { draft: undefined, busy: false, problem: undefined };
}
