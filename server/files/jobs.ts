import { fork, type ChildProcess } from 'node:child_process';
import { existsSync } from 'node:fs';
import path from 'node:path';
import { ulid } from 'ulid';
import type { Refusal } from '#core/contract';
import type { JobState } from '#core/queries';
import type { Job, JobMessage, JobResults } from './job.ts';

const here = import.meta.dirname;
/** The job's program: beside this file in the sources, in files/ of the built server. */
const program = [path.join(here, 'files/job.js'), path.join(here, 'job.js'), path.join(here, 'job.ts')].find((f) => existsSync(f)) ?? '';

export class JobFailed extends Error {
  readonly refusals: Refusal[];
  constructor(message: string, refusals: Refusal[]) {
    super(message);
    this.refusals = refusals;
  }
}

/** Work that was ended because it took longer than it may. */
export class TookTooLong extends Error {}

interface Running {
  state: JobState;
  child: ChildProcess;
  finished: Promise<unknown>;
}

/** A process that has not begun by then never will. */
const mostStartMs = 30_000;

/** Finished jobs that can still be asked for. */
const mostRemembered = 20;

/** Long work in processes of their own, each with progress and an end that can be asked for; all end with the server. */
export class Jobs {
  private readonly jobs = new Map<string, Running>();
  private readonly at: string;

  /** @param at the job's program, when it is not the one beside this server */
  constructor(at = program) {
    this.at = at;
  }

  start(job: Job): { id: string; finished: Promise<unknown> } {
    const id = ulid();
    const child = fork(this.at, [], {
      execArgv: this.at.endsWith('.ts') ? ['--import', 'tsx'] : [],
      stdio: ['ignore', 'ignore', 'inherit', 'ipc'],
    });
    const state: JobState = { id, kind: job.kind, state: 'running', share: 0, says: 'Starting' };
    const finished = new Promise<unknown>((resolve, reject) => {
      const fail = (message: string, refusals: Refusal[] = []): void => {
        if (state.state !== 'running') return;
        Object.assign(state, { state: 'failed', message, refusals });
        reject(new JobFailed(message, refusals));
      };
      child.on('message', (m: JobMessage) => {
        if (m.type === 'progress') Object.assign(state, m.progress);
        else if (m.type === 'failed') fail(m.message, m.refusals);
        else {
          Object.assign(state, { state: 'done', share: 1, says: 'Done', result: m.result });
          resolve(m.result);
        }
      });
      child.on('error', (e) => fail(`This could not be started: ${e.message}. Nothing was changed.`));
      child.on('exit', () =>
        fail(
          state.says === 'Stopped' ? 'Stopped. Nothing was changed.' : 'This ended before it was finished. Nothing was changed; try again.',
        ),
      );
    });
    // whoever wants to know asks for the state; a failure is no crash
    finished.catch(() => undefined);
    this.jobs.set(id, { state, child, finished });
    for (const old of [...this.jobs.keys()].slice(0, Math.max(0, this.jobs.size - mostRemembered)))
      if (this.jobs.get(old)?.state.state !== 'running') this.jobs.delete(old);
    child.send(job);
    return { id, finished };
  }

  stateOf(id: string): JobState | undefined {
    return this.jobs.get(id)?.state;
  }

  /**
   * What a job finds within a time from its beginning; it is ended when it takes longer, whatever it is doing.
   * @throws TookTooLong then
   */
  async within<K extends Job['kind']>(job: Extract<Job, { kind: K }>, ms: number): Promise<JobResults[K]> {
    const { id, finished } = this.start(job);
    const child = this.jobs.get(id)?.child;
    let late = false;
    let timer = setTimeout(() => child?.kill('SIGKILL'), mostStartMs);
    // how long a busy machine takes to start a process is no fault of the file
    child?.once('message', () => {
      clearTimeout(timer);
      timer = setTimeout(() => {
        late = true;
        child.kill('SIGKILL');
      }, ms);
    });
    try {
      return (await finished) as JobResults[K];
    } catch (error) {
      throw late ? new TookTooLong() : error;
    } finally {
      clearTimeout(timer);
      this.jobs.delete(id);
    }
  }

  /** Stops what runs of a kind and waits for its end. */
  async ended(kind: Job['kind']): Promise<void> {
    for (const [id, { state, finished }] of this.jobs)
      if (state.kind === kind && state.state === 'running') {
        this.cancel(id);
        await finished.catch(() => undefined);
      }
  }

  cancel(id: string): boolean {
    const job = this.jobs.get(id);
    if (job?.state.state !== 'running') return false;
    job.state.says = 'Stopped';
    job.child.kill('SIGTERM');
    return true;
  }

  stopAll(): void {
    for (const { child, state } of this.jobs.values()) if (state.state === 'running') child.kill('SIGTERM');
  }
}
