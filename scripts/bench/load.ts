import { ulid } from 'ulid';
import type { StoreAnswer } from '#core/queries';
import { note, p95, timed, wait } from './figures.ts';

const perSecond = 50;
const seconds = 60;

const json = { 'content-type': 'application/json' };

/** A minute of a household that logs like mad: fifty entries a second one by one, Today asked for twice a second meanwhile. */
export async function logUnderLoad(address: string): Promise<void> {
  const { packs } = (await (await fetch(`${address}/api/store`)).json()) as StoreAnswer;
  const count = async (): Promise<number> =>
    ((await (await fetch(`${address}/api/history?limit=1`)).json()) as { entries: unknown[] }).entries.length;
  await count();
  const answers: number[] = [];
  const todays: number[] = [];
  const kept = new Set<string>();
  const sent: string[] = [];
  const jobs: Promise<void>[] = [];
  const start = performance.now();
  for (let n = 0; n < perSecond * seconds; n += 1) {
    const due = start + (n * 1000) / perSecond;
    const early = due - performance.now();
    if (early > 0) await wait(early);
    const id = ulid();
    sent.push(id);
    const pack = packs[n % packs.length];
    const body = JSON.stringify([
      {
        id,
        type: 'moved',
        subjects: [pack?.packId ?? ''],
        instant: new Date(Date.parse('2026-11-24T16:00:00.000Z') + n).toISOString(),
        device: 'load',
        counter: n,
        version: 1,
        data: { placeId: 'place_shed', zoneId: n % 2 ? 'shed_left' : 'shed_right' },
      },
    ]);
    jobs.push(
      (async () => {
        answers.push(
          await timed(async () => {
            const res = await fetch(`${address}/api/events`, { method: 'POST', headers: json, body });
            const { answers: said } = (await res.json()) as { answers: { id: string; status: string }[] };
            if (said[0]?.status === 'kept') kept.add(said[0].id);
          }),
        );
      })(),
    );
    if (n % (perSecond / 2) === 0)
      jobs.push((async () => void todays.push(await timed(async () => (await fetch(`${address}/api/today`)).arrayBuffer())))());
  }
  await Promise.all(jobs);
  // sent again: the server must know every one of them
  let lost = 0;
  for (const id of sent) if (!kept.has(id)) lost += 1;
  note(`Entries lost of ${sent.length.toLocaleString('en-GB')}, ${perSecond} a second for ${seconds} s`, lost, 1, 'entries');
  note('Answer to an entry under that load, p95', p95(answers), 50, 'ms', 1);
  note("Today's API under that load, p95", p95(todays), 100, 'ms', 1);
}
