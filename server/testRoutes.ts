import { Router } from 'express';
import { cpSync, readdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { z } from 'zod';
import { instantSchema, refusals } from '#core/contract';
import { openDb } from './db/index.ts';
import { answer, HttpRefusal, notFound, type Context } from './http.ts';

const clockBody = z.object({ now: instantSchema });

/** Doors of a server whose clock was set, for tests: a real one has none of them. */
export function testRoutes(ctx: Context): Router {
  const r = Router();
  const moved = (body: unknown): { now: string } => {
    const parsed = clockBody.safeParse(body);
    if (!parsed.success) throw new HttpRefusal(422, 'The clock was not moved.', refusals(parsed.error, body));
    ctx.clock.move(parsed.data.now);
    return { now: ctx.clock.now() };
  };
  r.post(
    '/test/clock',
    answer((req) => moved(req.body)),
  );
  // the household the server was started with, as it stood then
  r.post(
    '/test/household',
    answer((req) => {
      const from = process.env.TAMBO_TEST_HOUSEHOLD;
      if (from === undefined) throw notFound('A household to begin again with', '(none)');
      const now = moved(req.body);
      ctx.jobs.stopAll();
      ctx.open.close();
      for (const name of readdirSync(ctx.folder))
        if (name !== 'running.json') rmSync(path.join(ctx.folder, name), { recursive: true, force: true });
      cpSync(from, ctx.folder, { recursive: true });
      ctx.open = openDb(ctx.dbFile, ctx.migrationsFolder);
      ctx.db = ctx.open.db;
      return now;
    }),
  );
  return r;
}
