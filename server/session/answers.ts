import { sql } from 'drizzle-orm';
import type { Session } from '#core/contract';
import { type SessionView } from '#core/session';
import { viewOf } from '#core/queries';
import { documentById, schema } from '../db/index.ts';
import { notFound, type Context } from '../http.ts';
import { cachedNow } from './cache.ts';
import { settingOf } from './records.ts';

export function sessionOf(ctx: Context, id: string): Session {
  const session = documentById(ctx.db, 'session', id);
  if (!session) throw notFound('A session', id);
  return session;
}

/** One session with everything derived. */
export function sessionViewOf(ctx: Context, session: Session): SessionView {
  const { world, records, now } = settingOf(ctx);
  return cachedNow(ctx.db, 'session', session.id, now, () => viewOf(session, world, records, now));
}

/** When a recipe was last packed, from the newest pack of it. */
export function lastMade(ctx: Context): Map<string, string> {
  const rows = ctx.db
    .select({ recipeId: schema.packState.recipeId, day: sql<string>`max(${schema.packState.madeDay})` })
    .from(schema.packState)
    .groupBy(schema.packState.recipeId)
    .all();
  return new Map(rows.flatMap((r) => (r.recipeId && r.day ? [[r.recipeId, r.day] as const] : [])));
}
