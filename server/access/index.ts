import type { Logger } from 'pino';
import type { Context } from '../http.ts';
import { AccessFile } from './accessFile.ts';
import { Door } from './door.ts';
import { Helpers } from './helpers.ts';
import { Home, type HomeEnv } from './home.ts';

export { guardFor, fromHome } from './guard.ts';
export { gate, accessRoutes } from './routes.ts';
export { askAtTerminal } from './terminal.ts';
export { guestApp } from './guests.ts';
export type { Home, HomeEnv } from './home.ts';

/** The door of a household, from the file beside its data. */
export function homeOf(ctx: Context, log: Logger, env?: HomeEnv): Home {
  const door = new Door(new AccessFile(ctx.dbFile), ctx.clock.now);
  ctx.doorLines = () => door.file.now.log;
  return new Home(ctx, door, new Helpers(ctx, door), log, env);
}
