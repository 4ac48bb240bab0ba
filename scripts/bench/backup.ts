import { statSync } from 'node:fs';
import path from 'node:path';
import type { JobState } from '#core/queries';
import { openDb } from '../../server/db/index.ts';
import { startServer } from '../server.mjs';
import { note, p95, timed, wait } from './figures.ts';
import { fillHousehold } from './household.ts';

/** Ten full years: sixty thousand packs, three hundred thousand entries, backed up while Today is looked at. */
export async function backupTenYears(folder: string, migrations: string, env: Record<string, string>, today: string): Promise<void> {
  await (await startServer({ env, folder })).stop();
  const open = openDb(path.join(folder, 'demo.sqlite'), migrations);
  const made = fillHousehold(open, { packs: 60_000, inStore: 360, events: 300_000, today });
  console.log(`${made.packs} packs ever, ${made.events} events`);
  open.close();
  const server = await startServer({ env, folder });
  for (let i = 0; i < 10; i += 1) await (await fetch(`${server.address}/api/today`)).arrayBuffer();
  const started = performance.now();
  const { id, name } = (await (
    await fetch(`${server.address}/api/backup`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: '{}' })
  ).json()) as { id: string; name: string };
  const todays: number[] = [];
  let state: JobState;
  do {
    todays.push(await timed(async () => (await fetch(`${server.address}/api/today`)).arrayBuffer()));
    state = (await (await fetch(`${server.address}/api/jobs/${id}`)).json()) as JobState;
    await wait(40);
  } while (state.state === 'running');
  if (state.state !== 'done') throw new Error(`the backup failed: ${state.message ?? ''}`);
  const size = statSync(path.join(folder, 'backups', name)).size;
  note(
    `Backup of ${made.packs.toLocaleString('en-GB')} packs and ${made.events.toLocaleString('en-GB')} events`,
    (performance.now() - started) / 1000,
    10,
    's',
    1,
  );
  note("Today's API during the backup, p95", p95(todays), 100, 'ms', 1);
  note('The backup file', size / 1e6, 300, 'MB', 1);
  await server.stop();
}
