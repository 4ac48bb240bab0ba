import { createWriteStream, existsSync, mkdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { Router, type Request } from 'express';
import { ulid } from 'ulid';
import { z } from 'zod';
import { exportJsonSchema, refusals } from '#core/contract';
import { dayOf, daysBetween } from '#core/kitchen';
import type { BackupsAnswer } from '#core/queries';
import { answer, answerLater, HttpRefusal, notFound, param, type Context } from '../http.ts';
import { householdOf } from '../session/index.ts';
import { migrationsIn } from './backup.ts';
import { copiesFolder, copyName, copyPath, freeName, listCopies, tidyCopies } from './copies.ts';
import { mostUploadBytes } from './format.ts';
import { awayAnswer, bringAway, nameSecondPlace, noteAsked, noteTaken } from './away.ts';
import { replaceDamaged } from './damage.ts';
import { JobFailed } from './jobs.ts';
import { putInPlace } from './swap.ts';

const restoreFolder = (ctx: Context): string => {
  const folder = path.join(ctx.folder, 'restore');
  mkdirSync(folder, { recursive: true });
  return folder;
};
const readyFile = (ctx: Context, id: string): string => path.join(restoreFolder(ctx), `${id}.ready.sqlite`);
const idPattern = /^[0-9A-HJKMNP-TV-Z]{26}$/;

/** A copy that is being made. */
interface Making {
  id: string;
  name: string;
  finished: Promise<unknown>;
}
const making = new WeakMap<Context, Making>();

/** Starts a copy; one that is being made already is joined, so that no two ever write under one name. */
export function startBackup(ctx: Context, kind: 'daily' | 'hand' | 'before'): Making {
  const known = making.get(ctx);
  if (known) return known;
  const now = ctx.clock.now();
  const folder = copiesFolder(ctx.folder);
  const name = freeName(folder, copyName(kind, now, householdOf(ctx.db).timeZone));
  const { id, finished } = ctx.jobs.start({
    kind: 'backup',
    dbFile: ctx.dbFile,
    migrationsFolder: ctx.migrationsFolder,
    out: path.join(folder, name),
    now,
  });
  const one = { id, name, finished };
  making.set(ctx, one);
  const done = (): void => void making.delete(ctx);
  finished.then(done, done);
  return one;
}

/** A copy of what is here now, begun after writes were held: one that was begun before may lack the last of them. */
async function copyOfBefore(ctx: Context): Promise<string> {
  await making.get(ctx)?.finished.catch(() => undefined);
  // whoever looks at a file reads this household too, and may not hold it open while it is exchanged
  await ctx.jobs.ended('look');
  const { name, finished } = startBackup(ctx, 'before');
  await finished;
  return name;
}

/** Makes today's copy unless there is one, and lets go of those no longer kept. */
export async function dailyCopy(ctx: Context): Promise<string | undefined> {
  const folder = copiesFolder(ctx.folder);
  const name = copyName('daily', ctx.clock.now(), householdOf(ctx.db).timeZone);
  if (existsSync(path.join(folder, name)) || making.has(ctx) || ctx.held !== undefined) return undefined;
  await startBackup(ctx, 'daily').finished;
  tidyCopies(folder);
  await bringAway(ctx, path.join(folder, name));
  return name;
}

/** Puts a file that came over the wire on the disk, never more than is allowed. */
async function receive(req: Request, file: string): Promise<void> {
  let bytes = 0;
  const limit = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      bytes += chunk.length;
      if (bytes > mostUploadBytes)
        done(
          new HttpRefusal(413, 'This file is larger than any backup of Tambo. Nothing was changed.', [
            { path: 'file', expected: 'at most 1 GB', got: 'more' },
          ]),
        );
      else done(null, chunk);
    },
  });
  try {
    await pipeline(req, limit, createWriteStream(file));
  } catch (error) {
    rmSync(file, { force: true });
    throw error;
  }
}

/** Starts reading a file whole, into a household that is ready to be put in place. */
const startLook = (ctx: Context, id: string, file: string) =>
  ctx.jobs.start({
    kind: 'look',
    file,
    ready: readyFile(ctx, id),
    // what is damaged is not opened for a comparison
    ...(!ctx.damage && { dbFile: ctx.dbFile }),
    migrationsFolder: ctx.migrationsFolder,
    migrationsKnown: migrationsIn(ctx.open),
  });

/** Looks at a copy in the household's own folder. */
export function lookAtCopy(ctx: Context, name: string): { id: string; jobId: string; ready: string; finished: Promise<unknown> } {
  const file = copyPath(copiesFolder(ctx.folder), name);
  if (!file || !existsSync(file)) throw notFound('A copy', name);
  const id = ulid();
  const { id: jobId, finished } = startLook(ctx, id, file);
  return { id, jobId, ready: readyFile(ctx, id), finished };
}

const copySchema = z.object({ name: z.string().max(80) });
const secondSchema = z.object({ folder: z.string().max(400) });
const takeSchema = z.object({ id: z.string().regex(idPattern) });

/** Copies of the household: made, listed, fetched; one looked at and put in place. Long work has progress and can be stopped. */
export function fileRoutes(ctx: Context): Router {
  const r = Router();
  r.get(
    '/backups',
    answer((): BackupsAnswer => {
      const folder = copiesFolder(ctx.folder);
      const copies = listCopies(folder);
      const newest = copies.find((c) => c.kind === 'daily');
      const today = dayOf(ctx.clock.now(), householdOf(ctx.db).timeZone);
      return {
        copies,
        folder,
        ...(newest && daysBetween(newest.day, today) > 1 && { missedSince: newest.day }),
        ...(ctx.startSaid !== undefined && { startSaid: ctx.startSaid }),
        away: awayAnswer(ctx),
      };
    }),
  );
  r.post(
    '/backups/second',
    answerLater(async (req) => {
      const parsed = secondSchema.safeParse(req.body);
      if (!parsed.success) throw new HttpRefusal(422, 'Say which folder.', refusals(parsed.error, req.body));
      nameSecondPlace(ctx, parsed.data.folder);
      const folder = copiesFolder(ctx.folder);
      const [newest] = listCopies(folder);
      if (newest) await bringAway(ctx, path.join(folder, newest.name));
      return awayAnswer(ctx);
    }),
  );
  r.post(
    '/backups/later',
    answer(() => {
      noteAsked(ctx);
      return { asks: false };
    }),
  );
  r.post(
    '/backup',
    answer(() => {
      const { id, name } = startBackup(ctx, 'hand');
      return { id, name };
    }),
  );
  r.get('/backup/:name', (req, res, next) => {
    const file = copyPath(copiesFolder(ctx.folder), param(req, 'name'));
    if (!file || !existsSync(file)) return next(notFound('A copy', param(req, 'name')));
    res.download(file, (error: unknown) => {
      if (!error) noteTaken(ctx);
    });
  });
  r.get('/export/schema.json', (_req, res) => void res.json(exportJsonSchema()));
  r.get(
    '/jobs/:id',
    answer((req) => {
      const state = ctx.jobs.stateOf(param(req, 'id'));
      if (!state) throw notFound('A job', param(req, 'id'));
      return state;
    }),
  );
  r.post(
    '/jobs/:id/stop',
    answer((req) => ({ stopped: ctx.jobs.cancel(param(req, 'id')) })),
  );
  r.put('/restore', (req, res, next) => {
    if (ctx.held !== undefined) return next(new HttpRefusal(409, `Not now: ${ctx.held} Choose the file again in a moment.`));
    const id = ulid();
    const file = path.join(restoreFolder(ctx), `${id}.zip`);
    receive(req, file).then(() => {
      const job = startLook(ctx, id, file);
      const tidy = (): void => rmSync(file, { force: true });
      job.finished.then(tidy, tidy);
      res.json({ id, jobId: job.id });
    }, next);
  });
  r.post(
    '/restore/copy',
    answer((req) => {
      const parsed = copySchema.safeParse(req.body);
      if (!parsed.success) throw new HttpRefusal(422, 'Say which copy to look at.', refusals(parsed.error, req.body));
      if (ctx.held !== undefined) throw new HttpRefusal(409, `Not now: ${ctx.held} Choose the copy again in a moment.`);
      const { id, jobId } = lookAtCopy(ctx, parsed.data.name);
      return { id, jobId };
    }),
  );
  r.post('/restore/take', (req, res, next) => {
    const parsed = takeSchema.safeParse(req.body);
    if (!parsed.success) return next(new HttpRefusal(422, 'Nothing was put in place.', refusals(parsed.error, req.body)));
    const ready = readyFile(ctx, parsed.data.id);
    if (!existsSync(ready))
      return next(new HttpRefusal(404, 'This backup has not been looked at, or was put in place already. Choose the file again.', []));
    if (ctx.held !== undefined) return next(new HttpRefusal(409, `Not now: ${ctx.held} Nothing was changed by this.`));
    if (ctx.damage) {
      try {
        return void res.json({ before: replaceDamaged(ctx, ready) });
      } catch (error) {
        return next(error);
      }
    }
    ctx.held = 'another household is being put in place.';
    copyOfBefore(ctx)
      .then((before) => {
        putInPlace(ctx, ready, before);
        res.json({ before });
      })
      .catch((error: unknown) =>
        next(
          error instanceof JobFailed
            ? new HttpRefusal(
                500,
                `The household of now could not be copied first, so nothing was changed. ${error.message}`,
                error.refusals,
              )
            : error,
        ),
      )
      .finally(() => delete ctx.held);
  });
  r.post(
    '/restore/leave',
    answer((req) => {
      const parsed = takeSchema.safeParse(req.body);
      if (parsed.success) rmSync(readyFile(ctx, parsed.data.id), { force: true });
      return { left: true };
    }),
  );
  return r;
}
