import { existsSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:http';
import path from 'node:path';
import { pino } from 'pino';
import { createApp } from './app.ts';
import { makeClock } from './clock/index.ts';
import { askAtTerminal, type Home } from './access/index.ts';
import { begin, mend } from './begin.ts';
import { allDocuments, loadReference, troubleOf, type DiskTrouble } from './db/index.ts';
import { ensureProjection } from './events/index.ts';
import { dataFolder } from './folder.ts';
import { checkWhole, clearHalfMade, dailyCopy, noteDamage, unfinishedSwap } from './files/index.ts';
import { Jobs } from './files/jobs.ts';
import { HttpRefusal, type Context } from './http.ts';
import { listen } from './listen.ts';

const here = import.meta.dirname;
/** The computer's own listener is on loopback alone; the first start takes this port or the next free one. */
const host = '127.0.0.1';
const firstPort = 4173;
const firstThat = (...folders: string[]): string => folders.find((f) => existsSync(f)) ?? folders[0] ?? here;
const say = (text: string): void => void process.stdout.write(`${text}\n`);

/** Long enough after the start to be in nobody's way; then looked at again each hour. */
const firstCopyMs = 3 * 60_000;
const copyCheckMs = 60 * 60_000;
/** The whole file is read once the start is over, then once a day. */
const firstCheckMs = 20_000;
const wholeCheckMs = 24 * 60 * 60_000;

/** A copy each day, made beside the work. */
function keepCopies(ctx: Context, log: pino.Logger): void {
  const look = (): void =>
    void dailyCopy(ctx).catch((error: unknown) => log.error(error, 'the daily copy was not made; it is tried again in an hour'));
  setTimeout(look, firstCopyMs).unref();
  setInterval(look, copyCheckMs).unref();
}

/** Opens the household to its home network where it stood open, or where this start was asked to. */
async function toTheHome(home: Home, log: pino.Logger): Promise<void> {
  try {
    const asked = process.env.TAMBO_HOME === '1';
    if (asked || process.env.TAMBO_NEW_PASSPHRASE === '1') await askAtTerminal(home, say);
    await (asked ? home.open(home.door.file.now.name) : home.reopen());
    if (home.isOpen) say(`Open to the home network: ${home.urls().join('  ')}`);
  } catch (error) {
    if (!(error instanceof HttpRefusal)) log.error(error);
    say(`The home network stays shut: ${error instanceof Error ? error.message : 'see the log'}`);
  }
}

async function main(): Promise<void> {
  const demo = process.env.TAMBO_DEMO === '1';
  const folder = dataFolder(path.resolve(process.env.TAMBO_DATA ?? 'data'), demo ? 'demo.sqlite' : 'tambo.sqlite');
  const running = await folder.running();
  if (running) {
    say(`Tambo is already running on ${running}`);
    return;
  }

  const log = pino({ level: process.env.TAMBO_LOG ?? 'warn' }, pino.destination({ dest: 2, sync: true }));
  const clock = makeClock(process.env);
  const migrationsFolder = firstThat(path.join(here, '../migrations'), path.join(here, 'db/migrations'));
  // a demo that was ended while it was being made starts over: nobody has entered anything in it
  const making = path.join(folder.folder, 'demo.making');
  if (demo && existsSync(making)) for (const end of ['', '-wal', '-shm']) rmSync(folder.dbFile + end, { force: true });
  const swap = unfinishedSwap(folder.folder, folder.dbFile);
  clearHalfMade(folder.folder);
  const begun = begin(folder, migrationsFolder, swap);
  const { open, startSaid } = begun;
  if (startSaid !== undefined) say(startSaid);
  const ctx: Context = {
    db: open.db,
    open,
    dbFile: folder.dbFile,
    folder: folder.folder,
    jobs: new Jobs(),
    clock,
    migrationsFolder,
    ...(startSaid !== undefined && { startSaid }),
    ...(begun.looking && { held: 'this household was written by a newer Tambo and is only looked at.' }),
  };
  if (begun.damage !== undefined) {
    noteDamage(ctx, begun.damage);
    await mend(ctx, process.env.TAMBO_MEND, say);
  }
  if (!ctx.damage && !begun.looking) {
    loadReference(ctx.db);
    ensureProjection(ctx.open);
  }
  if (demo && !ctx.damage && allDocuments(ctx.db, 'household').length === 0) {
    say('Setting up the demo household...');
    const { makeDemo } = await import('./demo/index.ts');
    writeFileSync(making, '');
    makeDemo(ctx.db, { now: clock.now(), zone: 'Europe/London', seed: 7 });
    rmSync(making);
  }

  const { app, live, home } = createApp(ctx, { log, webFolder: firstThat(path.join(here, '../web'), path.join(here, '../dist/web')) });
  const asked = process.env.TAMBO_PORT === undefined ? undefined : Number(process.env.TAMBO_PORT);
  const server = createServer(app);
  const listening = await listen(server, host, {
    first: firstPort,
    ...(folder.port !== undefined && { remembered: folder.port }),
    ...(asked !== undefined && { asked }),
  });
  if ('taken' in listening) {
    open.close();
    say(
      `Port ${listening.taken} is used by another program. Tambo keeps its address, because entries that wait on your phone belong to it.\nStop the other program, or choose a new port once: TAMBO_PORT=4200 npm start`,
    );
    process.exitCode = 1;
    return;
  }
  const address = `http://127.0.0.1:${listening.port}`;
  if (asked !== 0) folder.rememberPort(listening.port);
  folder.markRunning(address);
  say(`Tambo is ready on ${address}`);
  await toTheHome(home, log);
  say('Stop it with Ctrl-C.');

  if (!begun.looking) {
    keepCopies(ctx, log);
    const check = (): void => void checkWhole(ctx, say);
    setTimeout(check, firstCheckMs).unref();
    setInterval(check, wholeCheckMs).unref();
  }

  let stopping = false;
  const stop = (): void => {
    if (stopping) return;
    stopping = true;
    const finish = (): void => {
      ctx.jobs.stopAll();
      ctx.open.close();
      folder.unmark();
      process.exit(0);
    };
    live.close();
    void home.stop().finally(() => server.close(finish));
    server.closeIdleConnections();
    setTimeout(() => server.closeAllConnections(), 1500).unref();
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
}

/** What to do when the disk does not let Tambo start. */
const starts: Readonly<Record<DiskTrouble['kind'], string>> = {
  damaged: 'The household’s file is damaged.',
  full: 'The disk is full: free some space, then start again. Nothing was changed.',
  readOnly: 'The folder, the file or the disk is read-only for you: make it writable, then start again. Nothing was changed.',
};

main().catch((error: unknown) => {
  const trouble = troubleOf(error);
  const says = error instanceof Error ? error.message : String(error);
  process.stderr.write(`Tambo could not start: ${trouble ? `${says}. ${starts[trouble.kind]}` : says}\n`);
  process.exitCode = 1;
});
