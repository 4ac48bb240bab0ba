import { ulid } from 'ulid';
import type { EventData, TamboEvent } from '#core/contract';
import { addDays, addMinutes, addMonths, instantAt } from '#core/kitchen';
import { randomFrom } from '../../core/solve/index.ts';
import { schema, type OpenDb } from '../../server/db/index.ts';
import { rebuild } from '../../server/events/index.ts';
import { giveCodes } from '../../server/pack/routes.ts';

const zone = 'Europe/London';
const kinds = ['meal', 'meal', 'meal', 'puree', 'broth', 'base', 'kit', 'aromatic'] as const;

const filledOn = (n: number, code: string, day: string, kind: (typeof kinds)[number]): EventData<'filled'> => ({
  code,
  lotId: `lot${Math.floor(n / 6)}`,
  recipeId: `recipe_${n % 13}`,
  name: `Bench ${kind} ${n % 13}`,
  kind,
  containerId: n % 2 ? 'tub_1000' : 'tub_500',
  portions: kind === 'puree' ? 12 : 2,
  massG: 800,
  volumeMl: 800,
  outerMl: 1500,
  made: { earliest: day, latest: day },
  nOf: { n: 1, of: 1 },
  life: { rowId: 'stew_meat', part: 'stew', months: 3, monthsHigh: 4, fridgeDays: 2, source: 'FSIS' },
  bestBy: addMonths(day, 3),
  limit: addMonths(day, 4),
  allergens: { contains: ['al_celery'], check: [], unmatched: [] },
  cautions: [],
  raw: false,
  addOnDay: [],
  reheat: ['Frozen, hob low: 25–35 min for 1 kg, lid, to 75 °C in the middle.'],
  thaw: '24 to 48 h in the fridge',
});

/**
 * Ten years of a household beside the demo's own packs: so many packs ever, so many still in store, so many events in all.
 * The bench's own generator inserts events in bulk and folds them once; everything else goes through the doors.
 */
export function fillHousehold(
  open: OpenDb,
  wanted: { packs: number; inStore: number; events: number; today: string },
): { packs: number; events: number } {
  const random = randomFrom(11);
  const { db } = open;
  const codes = giveCodes(db, wanted.packs, 'bench', `${wanted.today}T08:00:00.000Z`);
  const events: TamboEvent[] = [];
  const add = (type: TamboEvent['type'], subject: string, at: string, data: unknown): void => {
    events.push({
      id: ulid(Date.parse(at), random),
      type,
      subjects: [subject],
      instant: at,
      device: 'bench',
      counter: events.length,
      version: 1,
      data,
    } as TamboEvent);
  };
  for (let n = 0; n < wanted.packs; n += 1) {
    const stored = n >= wanted.packs - wanted.inStore;
    const day = addDays(wanted.today, stored ? -Math.floor(random() * 80) : -80 - Math.floor((1 - n / wanted.packs) * 3500));
    const at = instantAt(day, '15:00', zone);
    const kind = kinds[n % kinds.length] ?? 'meal';
    const id = `bench-${n}`;
    add('filled', id, at, filledOn(n, codes[n] ?? '', day, kind));
    add('labelled', id, addMinutes(at, 5), { how: 'printed' });
    add('moved', id, addMinutes(at, 9), { placeId: n % 3 ? 'place_shed' : 'place_box', zoneId: n % 3 ? 'shed_left' : 'box_top' });
    if (stored) continue;
    const eatenDay = addDays(day, 10 + Math.floor(random() * 60));
    add('pulled', id, instantAt(addDays(eatenDay, -1), '18:00', zone), { day: eatenDay, meal: 'dinner' });
    add('eaten', id, instantAt(eatenDay, '19:00', zone), {
      day: eatenDay,
      meal: 'dinner',
      shares: [{ eaterId: 'eater_joaquim', portions: kind === 'puree' ? 12 : 2 }],
      guests: 0,
      rest: 'none',
    });
  }
  // the rest are second thoughts: packs moved about until the count is right
  for (let n = 0; events.length < wanted.events; n += 1)
    add('moved', `bench-${n % wanted.packs}`, addMinutes(`${wanted.today}T08:00:00.000Z`, -(n % 50_000) - 200_000), {
      placeId: 'place_shed',
      zoneId: 'shed_right',
    });
  db.transaction((tx) => {
    for (let i = 0; i < events.length; i += 500) {
      const part = events.slice(i, i + 500);
      tx.insert(schema.event)
        .values(part.map((e) => ({ ...e, stream: e.type === 'labelled' ? 'label' : 'pack', receivedAt: e.instant })))
        .run();
      tx.insert(schema.eventSubject)
        .values(part.map((e) => ({ subject: e.subjects[0] ?? '', eventId: e.id })))
        .run();
    }
  });
  return rebuild(open);
}
