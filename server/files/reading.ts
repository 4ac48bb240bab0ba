import { HttpRefusal, type Context } from '../http.ts';
import type { Job, JobResults } from './job.ts';
import { JobFailed, TookTooLong } from './jobs.ts';

/** A file of somebody's own is read within this; nothing that is meant to be read takes a tenth of it. */
const readWithinMs = 1400;
/** A saved page with all its pictures inside takes longer: so much more for each million characters. */
const readWithinPerMChars = 600;

/** Reads a foreign file in a process of its own with a limit of time, so that no file can stop the server. */
export async function readFile<K extends 'readRecipes' | 'readCalendar'>(
  ctx: Context,
  job: Extract<Job, { kind: K }>,
  fileName: string,
): Promise<JobResults[K]> {
  try {
    return await ctx.jobs.within(job, readWithinMs + (readWithinPerMChars * ('text' in job ? job.text.length : 0)) / 1e6);
  } catch (error) {
    if (error instanceof TookTooLong)
      throw new HttpRefusal(
        422,
        'This file takes too long to read, so reading it was stopped. Nothing was changed. Choose a smaller part of it.',
        [{ path: fileName, expected: 'a file that is read within two seconds', got: 'one that takes longer' }],
      );
    if (error instanceof JobFailed)
      throw new HttpRefusal(422, 'This file cannot be read. Nothing was changed.', [
        { path: fileName, expected: 'a file that can be read', got: error.message.slice(0, 160) },
      ]);
    throw error;
  }
}
