import type { Day } from '#core/contract';
import type { ReadFileResult } from '#core/recipe';
import type { BackupOptions } from './backup.ts';
import type { CalendarResult } from './calendar.ts';
import { BadFile } from './badFile.ts';
import type { Progress } from './format.ts';
import type { Look, LookOptions } from './restore.ts';
import type { Manifest } from './format.ts';

/** Work that would stop every request for seconds: done in a process of its own (DECISIONS 29). */
export type Job =
  | ({ kind: 'backup' } & BackupOptions)
  | ({ kind: 'look' } & LookOptions)
  | { kind: 'check'; dbFile: string }
  | { kind: 'readRecipes'; text: string }
  | { kind: 'readCalendar'; text: string; from: Day; zone: string };

export interface JobResults {
  backup: Manifest;
  look: Look;
  check: { sound: true };
  readRecipes: ReadFileResult;
  readCalendar: CalendarResult;
}

/** Each kind brings in its own part only: a small file is read before a database driver would have been loaded. */
async function workOf(job: Job, tell: (p: Progress) => void): Promise<JobResults[Job['kind']]> {
  switch (job.kind) {
    case 'backup':
      return (await import('./backup.ts')).makeBackup(job, tell);
    case 'look':
      return (await import('./restore.ts')).lookAt(job, tell);
    case 'check':
      return (await import('./checkFile.ts')).checkFile(job.dbFile);
    case 'readRecipes':
      return (await import('#core/recipe')).readRecipeFile(job.text);
    case 'readCalendar':
      return (await import('./calendar.ts')).readCalendar(job.text, job.from, job.zone);
  }
}

export type JobMessage =
  | { type: 'progress'; progress: Progress }
  | { type: 'done'; result: JobResults[Job['kind']] }
  | { type: 'failed'; message: string; refusals: { path: string; expected: string; got: string }[] };

/** Tells the server; one that has gone waits for nothing any more. */
const send = (message: JobMessage): void =>
  void process.send?.(message, undefined, undefined, (error) => {
    if (error) process.exit(0);
  });

process.once('message', (job: Job) => {
  const tell = (progress: Progress): void => send({ type: 'progress', progress });
  tell({ share: 0, says: 'Started' });
  workOf(job, tell).then(
    (result) => {
      send({ type: 'done', result });
      process.disconnect();
    },
    (error: unknown) => {
      send(
        error instanceof BadFile
          ? { type: 'failed', message: error.message, refusals: [{ path: 'file', expected: error.expected, got: error.got }] }
          : {
              type: 'failed',
              message: `This did not work: ${error instanceof Error ? error.message : String(error)}. Nothing was changed.`,
              refusals: [],
            },
      );
      process.disconnect();
    },
  );
});
// the server has gone: nobody waits for this any more
process.on('disconnect', () => process.exit(0));
