import { useCallback } from 'react';
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
  const change = useCallback(async (path: string, body?: object) => (await ask({ path, ...(body && { body }) })).data, [ask]);
  return { change, busy: isLoading, problem: error && sayError(error, 'Nothing was changed.') };
}
