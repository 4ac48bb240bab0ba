import type { StoreAnswer } from '../../core/queries/index.ts';
import { addMinutes } from '../../core/kitchen/index.ts';
import { schema, type OpenDb } from '../../server/db/index.ts';
import { rebuild } from '../../server/events/index.ts';
import { five, note, p95, timed } from './figures.ts';

const many = 5000;

/** Stock folded anew from a household's events with so many corrections among them. */
export async function rebuildCorrected(open: OpenDb, now: string): Promise<void> {
  const packs = open.db.select({ id: schema.packState.packId }).from(schema.packState).limit(many).all();
  open.db.transaction((tx) => {
    for (let n = 0; n < many; n += 1) {
      const subject = packs[n % packs.length]!.id;
      const id = `bench-corrected-${n}`;
      const instant = addMinutes(now, -n - 1);
      tx.insert(schema.event)
        .values({
          id,
          stream: 'pack',
          type: 'corrected',
          subjects: [subject],
          instant,
          device: 'bench-corrects',
          counter: n,
          version: 1,
          data: { reason: 'lid', is: { name: `Bench pot ${n % 40}`, massG: 700 + (n % 200) }, was: { name: 'Bench', massG: 800 } },
          receivedAt: instant,
        })
        .run();
      tx.insert(schema.eventSubject).values({ subject, eventId: id }).run();
    }
  });
  note(`The same rebuild with ${many.toLocaleString('en-GB')} corrections`, await five(() => timed(() => rebuild(open))), 1500, 'ms');
}

/** A correction, from the entry to each page that shows it: the slowest of them. */
export async function correctionShows(address: string): Promise<void> {
  const { packs } = (await (await fetch(`${address}/api/store`)).json()) as StoreAnswer;
  const slowest: number[] = [];
  let n = 0;
  for (const page of ['/store', '/today', '/eat', '/packs/', '/frame']) {
    const times: number[] = [];
    for (let i = 0; i < 24; i += 1) {
      n += 1;
      const pack = packs[n % packs.length]!;
      const event = {
        id: `bench-shows-${n}`,
        type: 'corrected',
        subjects: [pack.packId],
        instant: new Date(Date.now() + 365 * 86_400_000 + n).toISOString(),
        device: 'bench-shows',
        counter: n,
        version: 1,
        data: { reason: 'lid', is: { name: `Bench correction ${n}` }, was: { name: pack.name } },
      };
      times.push(
        await timed(async () => {
          await fetch(`${address}/api/events`, {
            method: 'POST',
            headers: { 'content-type': 'application/json' },
            body: JSON.stringify([event]),
          });
          await (await fetch(`${address}/api${page === '/packs/' ? page + pack.code : page}`)).arrayBuffer();
        }),
      );
    }
    console.log(`a correction shows at ${page}: ${p95(times).toFixed(1)} ms`);
    slowest.push(p95(times));
  }
  note(
    'A correction, from the entry to the slowest of Store, Today, Eat, the frame and its own page, p95 of 24 each',
    Math.max(...slowest),
    100,
    'ms',
    1,
  );
}
