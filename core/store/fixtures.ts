import fc from 'fast-check';
import type { EventData, TamboEvent } from '#core/contract';
import { codeFrom } from '#core/pack';

export const testFilled = (over: Partial<EventData<'filled'>> = {}): EventData<'filled'> => ({
  code: codeFrom(7),
  lotId: 'lot',
  name: 'Stew',
  kind: 'meal',
  portions: 4,
  massG: 1600,
  volumeMl: 1600,
  outerMl: 1900,
  made: { earliest: '2026-10-03', latest: '2026-10-03' },
  nOf: { n: 1, of: 1 },
  life: { rowId: 'stew_meat', part: 'stew', months: 2, monthsHigh: 3, fridgeDays: 2, source: 'FSIS' },
  bestBy: '2026-12-03',
  limit: '2027-01-03',
  allergens: { contains: [], check: [], unmatched: [] },
  raw: false,
  cautions: [],
  addOnDay: [],
  reheat: [],
  ...over,
});

export const testInstant = (minute: number): string => new Date(Date.UTC(2026, 9, 3, 12, 0) + minute * 60_000).toISOString();

const quarters = fc.integer({ min: 0, max: 24 }).map((n) => n / 4);

/** A random thing that can happen to a pack. */
const happening = fc.oneof(
  fc.record({
    type: fc.constant('eaten' as const),
    portions: quarters,
    rest: fc.constantFrom('none' as const, 'fridge' as const, 'binned' as const),
  }),
  fc.record({ type: fc.constant('discarded' as const), portions: quarters }),
  fc.record({ type: fc.constant('given' as const), portions: quarters }),
  fc.record({ type: fc.constant('found' as const), portions: quarters }),
  fc.record({ type: fc.constant('corrected' as const), portions: quarters }),
  fc.record({
    type: fc.constant('named' as const),
    name: fc.constantFrom('Soup', 'Stew', 'Pot'),
    bestBy: fc.constantFrom('2026-12-01', null),
    portions: quarters,
  }),
  fc.record({ type: fc.constant('repacked' as const), portions: quarters }),
  fc.record({
    type: fc.constantFrom('lost' as const, 'moved' as const, 'labelled' as const, 'washed' as const, 'pulled' as const, 'planned' as const),
  }),
  fc.record({ type: fc.constant('undone' as const), back: fc.nat({ max: 6 }) }),
);

const dayMeal = { day: '2026-10-20', meal: 'dinner' as const };

/** Random histories of one or a few packs from several devices whose clocks disagree. */
export const histories = fc
  .tuple(
    fc.integer({ min: 1, max: 3 }),
    fc.array(fc.tuple(fc.nat({ max: 2 }), fc.integer({ min: -20, max: 400 }), fc.constantFrom('phone', 'tablet'), happening), {
      maxLength: 25,
    }),
  )
  .map(([packs, rows]): TamboEvent[] => {
    const events: TamboEvent[] = Array.from({ length: packs }, (_, i) => ({
      id: `f${i}`,
      subjects: [`pack${i}`],
      instant: testInstant(i),
      device: 'tablet',
      counter: i,
      version: 1,
      type: 'filled',
      data: testFilled({ code: codeFrom(1000 + i), nOf: { n: i + 1, of: packs } }),
    }));
    rows.forEach(([pack, minute, device, what], n) => {
      const base = {
        id: `e${n}`,
        subjects: [`pack${pack % packs}`],
        instant: testInstant(minute),
        device,
        counter: 10 + n,
        version: 1 as const,
      };
      switch (what.type) {
        case 'eaten':
          events.push({
            ...base,
            type: 'eaten',
            data: { ...dayMeal, shares: [{ eaterId: 'osk', portions: what.portions }], guests: 0, rest: what.rest },
          });
          break;
        case 'discarded':
          events.push({ ...base, type: 'discarded', data: { portions: what.portions, reason: 'taste' } });
          break;
        case 'given':
          events.push({ ...base, type: 'given', data: { portions: what.portions, to: 'neighbour' } });
          break;
        case 'found':
          events.push({ ...base, type: 'found', data: { portions: what.portions } });
          break;
        case 'corrected':
          events.push({ ...base, type: 'corrected', data: { portions: what.portions, reason: 'counted' } });
          break;
        case 'named':
          events.push({
            ...base,
            type: 'corrected',
            data: { reason: 'lid', is: { name: what.name, bestBy: what.bestBy, portions: what.portions }, was: { name: 'Stew' } },
          });
          break;
        case 'repacked':
          events.push({ ...base, type: 'repacked', data: { portions: what.portions, into: [`pack${(pack + 1) % packs}`] } });
          break;
        case 'lost':
          events.push({ ...base, type: 'lost', data: {} });
          break;
        case 'moved':
          events.push({ ...base, type: 'moved', data: { placeId: 'shed', zoneId: 'left' } });
          break;
        case 'labelled':
          events.push({ ...base, type: 'labelled', data: { how: 'hand' } });
          break;
        case 'washed':
          events.push({ ...base, type: 'washed', data: {} });
          break;
        case 'pulled':
          events.push({ ...base, type: 'pulled', data: dayMeal });
          break;
        case 'planned':
          events.push({ ...base, type: 'planned', data: { for: dayMeal } });
          break;
        case 'undone': {
          const target = events[events.length - 1 - (what.back % events.length)];
          if (target && target.type !== 'filled')
            events.push({ ...base, subjects: target.subjects, type: 'undone', data: { eventId: target.id } });
        }
      }
    });
    return events;
  });
