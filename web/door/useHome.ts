import { useCallback, useRef } from 'react';
import type { HomeAnswer } from '#core/contract';
import { sayError, useChangeHomeMutation, type Said } from '../sync/api.ts';

export interface ChangeHome {
  /** Does it and says whether it was done. */
  change: (path: string, body?: object) => Promise<HomeAnswer | undefined>;
  busy: boolean;
  problem: Said | undefined;
}

/** What is changed at the household's door, at the computer. */
export function useChangeHome(): ChangeHome {
  const [ask, { isLoading, error }] = useChangeHomeMutation();
  const under = useRef(false);
  const change = useCallback(
    async (path: string, body?: object) => {
      // a second tap while the first is under way makes no second link
      if (under.current) return undefined;
      under.current = true;
      try {
        return (await ask({ path, ...(body && { body }) })).data;
      } finally {
        under.current = false;
      }
    },
    [ask],
  );
  return { change, busy: isLoading, problem: error && sayError(error, 'Nothing was changed.') };
}
