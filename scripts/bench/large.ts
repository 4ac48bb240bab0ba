import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { ulid } from 'ulid';
import type { StoreAnswer } from '#core/queries';
import { openDb } from '../../server/db/index.ts';
import { startServer } from '../server.mjs';
import { note, p95, timed } from './figures.ts';
import { longTable } from './hand.ts';
import { fillHousehold } from './household.ts';

interface Kitchen {
  address: string;
  /** Logs something new, so that nothing that was worked out before holds. */
  write(): Promise<void>;
  /** Time and size of Today's answer. */
  today(): Promise<{ ms: number; bytes: number }>;
}

/** A server over a demo household with so many packs beside its own. */
async function over(
  packs: { ever: number; inStore: number },
  { migrations, env, today }: { migrations: string; env: Record<string, string>; today: string },
  measure: (kitchen: Kitchen) => Promise<void>,
): Promise<void> {
  const folder = mkdtempSync(path.join(tmpdir(), 'tambo-bench-'));
  await (await startServer({ env, folder })).stop();
  const open = openDb(path.join(folder, 'demo.sqlite'), migrations);
  fillHousehold(open, { packs: packs.ever, inStore: packs.inStore, events: 0, today });
  open.close();
  const server = await startServer({ env, folder });
  const { packs: stored } = (await (await fetch(`${server.address}/api/store`)).json()) as StoreAnswer;
  let n = 0;
  await measure({
    address: server.address,
    async write() {
      n += 1;
      const event = {
        id: ulid(),
        type: 'moved',
        subjects: [stored[n % stored.length]?.packId ?? ''],
        instant: new Date(Date.parse(env.TAMBO_NOW ?? '') + n).toISOString(),
        device: 'large',
        counter: n,
        version: 1,
        data: { placeId: 'place_shed', zoneId: n % 2 ? 'shed_left' : 'shed_right' },
      };
      const res = await fetch(`${server.address}/api/events`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify([event]),
      });
      const { answers } = (await res.json()) as { answers: { status: string }[] };
      if (answers[0]?.status !== 'kept') throw new Error(`the bench's entry was ${answers[0]?.status ?? 'not answered'}`);
    },
    async today() {
      let bytes = 0;
      const ms = await timed(async () => {
        bytes = (await (await fetch(`${server.address}/api/today`)).arrayBuffer()).byteLength;
      });
      return { ms, bytes };
    },
  });
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
}

/** Today after every entry, with twenty thousand packs ever; and with a freezer nobody has. */
export async function largeStores(at: { migrations: string; env: Record<string, string>; today: string }): Promise<void> {
  await over({ ever: 20_000, inStore: 300 }, at, async (k) => {
    for (let i = 0; i < 10; i += 1) await k.today();
    const answers: number[] = [];
    for (let i = 0; i < 100; i += 1) {
      await k.write();
      answers.push((await k.today()).ms);
    }
    note("Today's API after each of 100 entries, p95, 20,000 packs ever, 300 in store beside the demo's", p95(answers), 50, 'ms', 1);
  });
  await over({ ever: 8000, inStore: 5000 }, at, async (k) => {
    for (let i = 0; i < 5; i += 1) await k.today();
    const answers: { ms: number; bytes: number }[] = [];
    for (let i = 0; i < 40; i += 1) {
      await k.write();
      answers.push(await k.today());
    }
    note("Today's API after each of 40 entries, p95, 5,000 in store", p95(answers.map((a) => a.ms)), 200, 'ms', 1);
    note('The same answer, uncompressed', Math.max(...answers.map((a) => a.bytes)) / 1000, 300, 'kB');
  });
  await over({ ever: 4000, inStore: 2000 }, at, async ({ address }) => {
    const { packs } = (await (await fetch(`${address}/api/store`)).json()) as StoreAnswer;
    await longTable(address, packs.length);
  });
}
