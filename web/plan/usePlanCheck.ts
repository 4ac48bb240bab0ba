import * as Comlink from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { Session } from '#core/contract';
import { now } from '../sync/clock.ts';
import { since } from '../sync/snapshot.ts';
import { selectFrame } from '../sync/selectors.ts';
import { useAppSelector } from '../sync/store.ts';
import { checking, notChecked, type Checking, type PlanCheck } from './checking.ts';
import type { PlanWorker } from '../workers/plan.worker.ts';

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
    // a browser that gives no worker, or whose worker cannot be brought: said, not waited for
    thread.addEventListener('error', () => setFound((last) => ({ ...last, busy: false, problem: notChecked })));
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
