import { makeBackup, type BackupOptions } from './backup.ts';
import { BadFile, type Progress } from './format.ts';
import { lookAt, type Look, type LookOptions } from './restore.ts';
import type { Manifest } from './format.ts';

/** Work that would stop every request for seconds: done in a process of its own (DECISIONS 29). */
export type Job = ({ kind: 'backup' } & BackupOptions) | ({ kind: 'look' } & LookOptions);

export type JobMessage =
  | { type: 'progress'; progress: Progress }
  | { type: 'done'; result: Manifest | Look }
  | { type: 'failed'; message: string; refusals: { path: string; expected: string; got: string }[] };

const send = (message: JobMessage): void => void process.send?.(message);

process.once('message', (job: Job) => {
  const tell = (progress: Progress): void => send({ type: 'progress', progress });
  const work = job.kind === 'backup' ? makeBackup(job, tell) : lookAt(job, tell);
  work.then(
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
