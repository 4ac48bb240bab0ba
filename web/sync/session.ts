import { useMemo } from 'react';
import type { TamboEvent } from '#core/contract';
import { sessionWithPending } from '#core/sync';
import { useSessionCookQuery, useSessionShopQuery } from './api.ts';
import { useAppSelector } from './store.ts';

/** Entries of this device that the server has not acknowledged yet. */
function usePendingEvents(): readonly TamboEvent[] {
  const pending = useAppSelector((s) => s.outbox.pending);
  return useMemo(() => pending.flatMap((p) => (p.kind === 'event' ? [p.body] : [])), [pending]);
}

/** The cooking of a session, with what was tapped here a moment ago. */
export function useSessionCook(id: string, options?: { pollingInterval: number }) {
  const { data: known, error, refetch } = useSessionCookQuery(id, options);
  const events = usePendingEvents();
  const data = useMemo(() => known && sessionWithPending(known, events), [known, events]);
  return { data, error, refetch };
}

/** The list of a session, with what was ticked here a moment ago. */
export function useSessionShop(id: string) {
  const { data: known, error, refetch } = useSessionShopQuery(id);
  const events = usePendingEvents();
  const data = useMemo(() => known && sessionWithPending(known, events), [known, events]);
  return { data, error, refetch };
}
