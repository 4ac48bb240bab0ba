import { skipToken } from '@reduxjs/toolkit/query/react';
import { useCallback, useState } from 'react';
import type { JobState } from '#core/queries';
import { sayError, useJobQuery, useStopJobMutation, type Said } from './api.ts';

const askMs = 250;
const nothingChanged = 'Nothing was changed; try again when it answers.';

export interface JobRun {
  job: JobState | undefined;
  /** It is being asked for, or runs. */
  running: boolean;
  /** Why it did not work. */
  error: Said | undefined;
  start: (begin: () => Promise<string>) => void;
  stop: () => void;
  clear: () => void;
}

/**
 * Follows one long job of the server: its progress, its end, and a way to stop it.
 * `start` takes what asks for the job and gives its id.
 */
export function useJob(): JobRun {
  const [id, setId] = useState<string>();
  const [asking, setAsking] = useState(false);
  const [refused, setRefused] = useState<Said>();
  const [ended, setEnded] = useState(false);
  // of this job alone: the answer of the one before must not end it
  const { currentData, error } = useJobQuery(id ?? skipToken, { pollingInterval: ended ? 0 : askMs });
  const [stopJob] = useStopJobMutation();
  const job = id === undefined ? undefined : currentData;
  if (!ended && (error || (job && job.state !== 'running'))) setEnded(true);
  const clear = useCallback(() => {
    setId(undefined);
    setAsking(false);
    setRefused(undefined);
    setEnded(false);
  }, []);
  const start = useCallback(
    (begin: () => Promise<string>) => {
      clear();
      setAsking(true);
      begin()
        .then(setId, (e: unknown) => setRefused(sayError(e, nothingChanged)))
        .finally(() => setAsking(false));
    },
    [clear],
  );
  const stop = useCallback(() => {
    if (id !== undefined) void stopJob(id);
  }, [id, stopJob]);
  const failed =
    job?.state === 'failed'
      ? { message: job.message ?? 'This did not work.', refusals: job.refusals ?? [] }
      : error && sayError(error, nothingChanged);
  return { job, running: asking || (id !== undefined && !ended), error: refused ?? failed, start, stop, clear };
}
