import { useCallback, useEffect, useState } from 'react';
import type { Refusal } from '#core/contract';
import type { JobState } from '#core/queries';

const askMs = 250;

const send = async (path: string, body: BodyInit, type: string, method: 'POST' | 'PUT' = 'POST'): Promise<Record<string, unknown>> => {
  const res = await fetch(`/api${path}`, { method, headers: { 'content-type': type }, body });
  const value = (await res.json()) as Record<string, unknown>;
  if (!res.ok)
    throw new JobError(
      typeof value.message === 'string' ? value.message : 'This did not work. Nothing was changed.',
      (value.refusals ?? []) as Refusal[],
    );
  return value;
};

/** What a long job, or the asking for it, came to grief over. */
export class JobError extends Error {
  readonly refusals: Refusal[];
  constructor(message: string, refusals: Refusal[] = []) {
    super(message);
    this.refusals = refusals;
  }
}

export const postJson = (path: string, body: unknown): Promise<Record<string, unknown>> =>
  send(path, JSON.stringify(body), 'application/json');
export const putFile = (path: string, file: File): Promise<Record<string, unknown>> => send(path, file, 'application/octet-stream', 'PUT');

export interface JobRun {
  job: JobState | undefined;
  /** Why it did not work. */
  error: JobError | undefined;
  start: (begin: () => Promise<string>) => void;
  stop: () => void;
  clear: () => void;
}

/** Follows one long job of the server: its progress, its end, and a way to stop it. */
export function useJob(): JobRun {
  const [id, setId] = useState<string>();
  const [job, setJob] = useState<JobState>();
  const [error, setError] = useState<JobError>();
  const fail = (e: unknown): void => {
    setJob(undefined);
    setError(e instanceof JobError ? e : new JobError('No connection to Tambo. Nothing was changed; try again when it answers.'));
  };
  useEffect(() => {
    if (!id) return undefined;
    const timer = setInterval(() => {
      fetch(`/api/jobs/${id}`)
        .then((res) => res.json() as Promise<JobState>)
        .then((state) => {
          setJob(state);
          if (state.state === 'running') return;
          clearInterval(timer);
          if (state.state === 'failed') fail(new JobError(state.message ?? 'This did not work.', state.refusals));
        }, fail);
    }, askMs);
    return () => clearInterval(timer);
  }, [id]);
  const start = useCallback((begin: () => Promise<string>) => {
    setError(undefined);
    setJob({ id: '', kind: 'backup', state: 'running', share: 0, says: 'Starting' });
    begin().then(setId, fail);
  }, []);
  const stop = useCallback(() => {
    if (id) void postJson(`/jobs/${id}/stop`, {});
  }, [id]);
  const clear = useCallback(() => {
    setId(undefined);
    setJob(undefined);
    setError(undefined);
  }, []);
  return { job, error, start, stop, clear };
}
