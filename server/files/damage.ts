import { existsSync, linkSync, copyFileSync, renameSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import { Router } from 'express';
import { openDb } from '../db/index.ts';
import type { DamageAnswer } from '#core/queries';
import { answer, HttpRefusal, type Context } from '../http.ts';
import { copiesFolder, listCopies } from './copies.ts';
import { putInPlace } from './swap.ts';

/** Copies offered when the household cannot be opened. */
const mostOffered = 6;

/** Whether the household's file is gone or empty though there are copies of it: then it is no new household. */
export function missing(dbFile: string, folder: string): string | undefined {
  if (listCopies(copiesFolder(folder)).length === 0) return undefined;
  if (!existsSync(dbFile)) return 'The household’s file is not there any more, but copies of it are.';
  return statSync(dbFile).size === 0 ? 'The household’s file is empty, but copies of it are there.' : undefined;
}

/** From now on nothing is read or taken in until the cook has said what is to become of the file. */
export function noteDamage(ctx: Context, why: string): void {
  ctx.damage ??= { why, since: ctx.clock.now() };
}

/** A name under which the damaged file stays, for whoever may still read something from it. */
const asideName = (ctx: Context): string => `${path.basename(ctx.dbFile)}.damaged-${ctx.clock.now().slice(0, 19).replaceAll(/[-:]/g, '')}`;

/** Keeps the damaged file, with what waits in its log, under another name. */
function setAside(ctx: Context): string {
  const name = asideName(ctx);
  const to = path.join(ctx.folder, name);
  if (existsSync(ctx.dbFile))
    try {
      linkSync(ctx.dbFile, to);
    } catch {
      copyFileSync(ctx.dbFile, to);
    }
  for (const end of ['-wal', '-shm']) if (existsSync(ctx.dbFile + end)) renameSync(ctx.dbFile + end, to + end);
  return name;
}

/** Lets go of the damaged file without writing into it. */
function letGo(ctx: Context): void {
  try {
    ctx.open.sqlite.close();
  } catch {
    // it may be closed already, or too broken to be
  }
  ctx.open = openDb(':memory:', ctx.migrationsFolder);
  ctx.db = ctx.open.db;
}

/** A household that was read whole takes the place of the damaged file, which is kept under another name. @returns that name */
export function replaceDamaged(ctx: Context, ready: string): string {
  letGo(ctx);
  const name = setAside(ctx);
  putInPlace(ctx, ready, name);
  delete ctx.damage;
  return name;
}

/** Puts the damaged file aside and begins with an empty household. @returns the name it is kept under */
export function beginAnew(ctx: Context): string {
  const ready = path.join(ctx.folder, 'anew.sqlite');
  rmSync(ready, { force: true });
  openDb(ready, ctx.migrationsFolder).close();
  return replaceDamaged(ctx, ready);
}

/** Reads the whole file in a process of its own; runs beside the work. */
export async function checkWhole(ctx: Context, log: (text: string) => void): Promise<void> {
  if (ctx.damage || ctx.held !== undefined) return;
  try {
    await ctx.jobs.start({ kind: 'check', dbFile: ctx.dbFile }).finished;
  } catch (error) {
    const { message } = error as Error;
    if (!/damaged/.test(message)) return;
    noteDamage(ctx, message);
    log(`${message} Open Tambo in the browser to choose what is to be done.`);
  }
}

/** What is wrong with the household's file, the copies that can take its place, and beginning anew. */
export function damageRoutes(ctx: Context): Router {
  const r = Router();
  r.get(
    '/damage',
    answer((): DamageAnswer => ({
      ...(ctx.damage && { damage: ctx.damage }),
      file: ctx.dbFile,
      copies: listCopies(copiesFolder(ctx.folder)).slice(0, mostOffered),
    })),
  );
  r.post(
    '/damage/aside',
    answer(() => {
      if (!ctx.damage) throw new HttpRefusal(409, 'The household’s file is sound. Nothing was changed.');
      return { aside: beginAnew(ctx) };
    }),
  );
  return r;
}
