import {
  closeSync,
  copyFileSync,
  existsSync,
  fsyncSync,
  linkSync,
  openSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import path from 'node:path';
import { z } from 'zod';
import { openDb } from '../db/index.ts';
import { powerCutAt } from '../faults.ts';
import type { Context } from '../http.ts';

/**
 * Putting another household in place (decision 43). The file that runs is replaced in one step of the disk; a journal of one file says what was meant, so
 * that a start after a power cut completes it or goes back. Whoever calls holds all writes from before the last copy until it is done.
 */
interface Journal {
  /** The household that is to run. */
  ready: string;
  /** Name of the copy of what was here before. */
  before: string;
}

const journalSchema = z.object({ ready: z.string(), before: z.string() });
const journalFile = (folder: string): string => path.join(folder, 'swap.json');
const asideFile = (dbFile: string): string => `${dbFile}.aside`;

function onDisk(file: string): void {
  const at = openSync(file, 'r');
  try {
    fsyncSync(at);
  } finally {
    closeSync(at);
  }
}

const noLog = (dbFile: string): void => {
  for (const end of ['-wal', '-shm']) rmSync(dbFile + end, { force: true });
};

function writeJournal(folder: string, journal: Journal): void {
  const part = `${journalFile(folder)}.part`;
  writeFileSync(part, `${JSON.stringify(journal)}\n`);
  onDisk(part);
  renameSync(part, journalFile(folder));
  onDisk(folder);
}

function readJournal(folder: string): Journal | undefined {
  try {
    const parsed = journalSchema.safeParse(JSON.parse(readFileSync(journalFile(folder), 'utf8')));
    return parsed.success ? parsed.data : undefined;
  } catch {
    return undefined;
  }
}

/** A second name for the same file; a copy where the disk knows no second names. */
function keepAside(dbFile: string): void {
  rmSync(asideFile(dbFile), { force: true });
  if (!existsSync(dbFile)) return;
  try {
    linkSync(dbFile, asideFile(dbFile));
  } catch {
    copyFileSync(dbFile, asideFile(dbFile));
    onDisk(asideFile(dbFile));
  }
}

function forget(folder: string, dbFile: string): void {
  rmSync(journalFile(folder), { force: true });
  powerCutAt('swap:done');
  rmSync(asideFile(dbFile), { force: true });
}

/**
 * The household that was looked at becomes the one that runs.
 * @param before name of the copy in which the one before stands
 * @throws when the new one cannot be opened; the one before runs on then
 */
export function putInPlace(ctx: Context, ready: string, before: string): void {
  const { dbFile, folder } = ctx;
  // closing writes the log of changes into the file itself, so that the file alone is the household
  ctx.open.close();
  try {
    noLog(dbFile);
    noLog(ready);
    onDisk(ready);
    keepAside(dbFile);
    writeJournal(folder, { ready: path.relative(folder, ready), before });
    powerCutAt('swap:prepared');
    renameSync(ready, dbFile);
    onDisk(folder);
    powerCutAt('swap:renamed');
    ctx.open = openDb(dbFile, ctx.migrationsFolder);
    powerCutAt('swap:opened');
    forget(folder, dbFile);
  } catch (error) {
    if (existsSync(asideFile(dbFile))) {
      noLog(dbFile);
      renameSync(asideFile(dbFile), dbFile);
      // two names of one file are left as they are
      rmSync(asideFile(dbFile), { force: true });
    }
    rmSync(journalFile(folder), { force: true });
    ctx.open = openDb(dbFile, ctx.migrationsFolder);
    throw error;
  } finally {
    ctx.db = ctx.open.db;
  }
}

/** What a start says of a swap that a power cut ended, and what is still to be done once the household has been opened. */
export interface Unfinished {
  says: string;
  /** To be called when the household opened: what is no longer needed goes. */
  opened(): void;
  /** To be called when it did not: the one before is put back. @returns what to say then */
  back(): string;
}

/** Before a start opens the household: completes or takes back what was being put in place when the power went. */
export function unfinishedSwap(folder: string, dbFile: string): Unfinished | undefined {
  const aside = asideFile(dbFile);
  rmSync(`${journalFile(folder)}.part`, { force: true });
  const journal = readJournal(folder);
  // an older Tambo moved the household away before the other came
  if (!existsSync(dbFile) && existsSync(aside)) renameSync(aside, dbFile);
  if (!journal) {
    rmSync(journalFile(folder), { force: true });
    rmSync(aside, { force: true });
    return undefined;
  }
  const ready = path.join(folder, journal.ready);
  const opened = (): void => forget(folder, dbFile);
  if (existsSync(ready)) {
    rmSync(ready, { force: true });
    return {
      says: 'A copy was about to be put in place when Tambo was stopped. Nothing was changed: your household goes on as it was. Choose the copy again to restore it.',
      opened,
      back: () => 'Tambo was stopped before a copy was put in place.',
    };
  }
  return {
    says: `A copy was being put in place when Tambo was stopped. It is in place now; what was here before stands in ${journal.before}.`,
    opened,
    back: () => {
      noLog(dbFile);
      if (existsSync(aside)) renameSync(aside, dbFile);
      rmSync(journalFile(folder), { force: true });
      return 'The copy that was being put in place cannot be opened. Nothing was lost: your household of before goes on. Choose another copy.';
    },
  };
}
