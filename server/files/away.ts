import { createHash } from 'node:crypto';
import { createReadStream, existsSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { copyFile } from 'node:fs/promises';
import path from 'node:path';
import { pipeline } from 'node:stream/promises';
import { z } from 'zod';
import { dayOf, daysBetween } from '#core/kitchen';
import type { AwayAnswer } from '#core/queries';
import { documentById } from '../db/index.ts';
import { HttpRefusal, type Context } from '../http.ts';
import { tidyCopies } from './copies.ts';

/**
 * Copies that do not lie on the disk of the household: a second place that each daily copy is brought to, and copies that were taken away.
 * What is known of them is this machine's, not the household's, and stands in a file of its own.
 */
const knownSchema = z.object({
  /** The second place: a folder on another disk, a stick. */
  folder: z.string().optional(),
  broughtAt: z.string().optional(),
  problem: z.string().optional(),
  takenAt: z.string().optional(),
  /** Asked, and put off. */
  askedAt: z.string().optional(),
});
type Known = z.infer<typeof knownSchema>;

const fileOf = (ctx: Context): string => path.join(ctx.folder, 'away.json');

function known(ctx: Context): Known {
  try {
    return knownSchema.parse(JSON.parse(readFileSync(fileOf(ctx), 'utf8')));
  } catch {
    return {};
  }
}

function note(ctx: Context, change: Partial<Record<keyof Known, string | undefined>>): void {
  const next = Object.fromEntries(Object.entries({ ...known(ctx), ...change }).filter(([, v]) => v !== undefined));
  const part = `${fileOf(ctx)}.part`;
  writeFileSync(part, `${JSON.stringify(next)}\n`);
  renameSync(part, fileOf(ctx));
}

/** Days after which a copy that lies elsewhere is too old, and a question put off is asked again. */
const oldAfterDays = 30;
/** Entries from which a household is worth a walk with a stick. */
const worthEvents = 100;

const since = (ctx: Context, at: string | undefined): number =>
  at === undefined ? Infinity : daysBetween(dayOf(at, 'UTC'), dayOf(ctx.clock.now(), 'UTC'));

/** Whether it is time to ask for a copy to be taken away. */
export function asksForCopy(ctx: Context): boolean {
  // a made-up household is not worth a walk
  if (documentById(ctx.db, 'household', 'household')?.demoAnchor !== undefined) return false;
  const { broughtAt, takenAt, askedAt } = known(ctx);
  if ([broughtAt, takenAt, askedAt].some((at) => since(ctx, at) < oldAfterDays)) return false;
  const { n, first } = ctx.open.sqlite
    .prepare(`select count(*) as n, min(received_at) as first from (select received_at from event order by rowid limit ${worthEvents})`)
    .get() as { n: number; first: string | null };
  return n >= worthEvents && first !== null && since(ctx, first) >= oldAfterDays;
}

/** What is known of copies elsewhere. */
export function awayAnswer(ctx: Context): AwayAnswer {
  const { folder, broughtAt, problem, takenAt } = known(ctx);
  return {
    ...(folder !== undefined && { folder }),
    ...(broughtAt !== undefined && { broughtAt }),
    ...(problem !== undefined && { problem }),
    ...(takenAt !== undefined && { takenAt }),
    asks: asksForCopy(ctx),
  };
}

export const noteTaken = (ctx: Context): void => note(ctx, { takenAt: ctx.clock.now() });
export const noteAsked = (ctx: Context): void => note(ctx, { askedAt: ctx.clock.now() });

/** Names the second place, or none any more. @throws HttpRefusal for what is no folder that can be written, or lies with the household itself */
export function nameSecondPlace(ctx: Context, folder: string): void {
  if (folder === '') return note(ctx, { folder: undefined, broughtAt: undefined, problem: undefined });
  const refuse = (expected: string): never => {
    throw new HttpRefusal(422, 'This cannot be the second place. The one before stays.', [{ path: 'folder', expected, got: folder }]);
  };
  if (!path.isAbsolute(folder)) refuse('a whole path, such as /media/stick');
  if (!existsSync(folder) || !statSync(folder).isDirectory()) refuse('a folder that is there: is the stick plugged in?');
  const relative = path.relative(ctx.folder, folder);
  if (relative === '' || (!relative.startsWith('..') && !path.isAbsolute(relative))) refuse('a folder outside the household’s own');
  const probe = path.join(folder, 'tambo-probe.part');
  try {
    writeFileSync(probe, 'Tambo looks whether it may write here.\n');
    rmSync(probe);
  } catch {
    refuse('a folder that Tambo may write into');
  }
  note(ctx, { folder, broughtAt: undefined, problem: undefined });
}

const digestOf = async (file: string): Promise<string> => {
  const hash = createHash('sha256');
  await pipeline(createReadStream(file), hash);
  return hash.digest('hex');
};

/** Brings a copy to the second place, read back before it gets its name; what does not work is said on the page of copies. */
export async function bringAway(ctx: Context, file: string): Promise<void> {
  const { folder } = known(ctx);
  if (folder === undefined) return;
  const to = path.join(folder, path.basename(file));
  const part = `${to}.part`;
  try {
    // a mount that is not there must not be taken for an empty folder on this disk
    if (!existsSync(folder)) throw new Error('it is not there: is the stick plugged in?');
    await copyFile(file, part);
    if ((await digestOf(part)) !== (await digestOf(file))) throw new Error('what was written there could not be read back');
    renameSync(part, to);
    tidyCopies(folder);
    note(ctx, { broughtAt: ctx.clock.now(), problem: undefined });
  } catch (error) {
    rmSync(part, { force: true });
    note(ctx, { problem: error instanceof Error ? error.message : String(error) });
  }
}
