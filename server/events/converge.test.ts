import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { TamboEvent } from '#core/contract';
import { histories } from '../../core/store/fixtures.ts';
import { schema, type Db } from '../db/index.ts';
import { testServer } from '../testing.ts';
import { acceptEvents } from './accept.ts';

const now = '2026-11-24T16:00:00.000Z';

const stock = (db: Db) => ({
  packs: db
    .select()
    .from(schema.packState)
    .all()
    .toSorted((a, b) => a.packId.localeCompare(b.packId)),
  eaten: db
    .select()
    .from(schema.eatenLog)
    .all()
    .toSorted((a, b) => (a.eventId + a.packId).localeCompare(b.eventId + b.packId)),
});

/** Sends in parts, as a queue does: a part whose answer is lost is sent again, whole. */
function send(db: Db, events: readonly TamboEvent[], parts: readonly number[], lost: readonly boolean[]): void {
  let from = 0;
  for (let i = 0; from < events.length; i += 1) {
    const part = events.slice(from, from + (parts[i % parts.length] ?? 1));
    acceptEvents(db, part, now);
    if (lost[i % lost.length]) acceptEvents(db, part, now);
    from += part.length;
  }
}

describe('two devices that were apart', () => {
  it('end with the same stock whichever is back first, and nothing is counted twice', () => {
    fc.assert(
      fc.property(
        histories,
        fc.array(fc.boolean(), { minLength: 40, maxLength: 40 }),
        fc.array(fc.integer({ min: 1, max: 5 }), { minLength: 1, maxLength: 4 }),
        fc.array(fc.boolean(), { minLength: 1, maxLength: 6 }),
        (all, coin, parts, lost) => {
          // what both knew before they were apart; an undo follows what it undoes
          const filled = all.filter((e) => e.type === 'filled');
          const rest = all.filter((e) => e.type !== 'filled' && e.type !== 'undone');
          const undos = all.filter((e) => e.type === 'undone');
          const phone = rest.filter((_, i) => coin[i % 40]);
          const tablet = rest.filter((_, i) => !coin[i % 40]);
          const [one, two] = [testServer(), testServer()];
          try {
            for (const s of [one, two]) acceptEvents(s.db, filled, now);
            send(one.db, phone, parts, lost);
            send(one.db, tablet, parts, lost);
            send(
              two.db,
              tablet,
              lost.map((x) => (x ? 2 : 3)),
              [true],
            );
            send(two.db, phone, parts, lost);
            for (const s of [one, two]) send(s.db, undos, [1], lost);
            expect(stock(two.db)).toEqual(stock(one.db));
            const ids = new Set(
              one.db
                .select({ id: schema.event.id })
                .from(schema.event)
                .all()
                .map((e) => e.id),
            );
            expect(ids.size).toBe(new Set(all.map((e) => e.id)).size);
            for (const p of stock(one.db).packs) {
              const { sums } = p.changes;
              const out = sums.eaten + sums.given + sums.discarded + (sums.repacked ?? 0) + sums.lost - sums.difference;
              const filledWith = all.find((e) => e.type === 'filled' && e.subjects.includes(p.packId));
              const portions = filledWith?.type === 'filled' ? filledWith.data.portions : 0;
              expect(p.left).toBeCloseTo(portions + sums.found + sums.corrected - out, 6);
            }
          } finally {
            one.close();
            two.close();
          }
        },
      ),
      { numRuns: process.env.TAMBO_THOROUGH ? 60 : 8 },
    );
  }, 120_000);
});
