import { describe, expect, it } from 'vitest';
import type { EventData, EventType, TamboEvent } from '#core/contract';
import { testFilled, testInstant } from '../store/fixtures.ts';
import { sayEvent } from './say.ts';

const today = '2026-11-24';
const names = new Map([['e1', 'Osk']]);
const dinner = { day: '2026-11-23', meal: 'dinner' as const };
const session = { sessionId: 's1' };

/** One of each kind of entry, and words that its sentence must hold. */
const samples: { [T in EventType]: [data: EventData<T>, holds: string] } = {
  filled: [testFilled({ portions: 1.5 }), 'filled, 1½ inside'],
  labelled: [{ how: 'hand' }, 'written by hand'],
  moved: [{ placeId: 'p', zoneId: 'z' }, 'put away'],
  planned: [{ for: { day: '2026-11-25', meal: 'dinner' } }, 'planned for tomorrow'],
  pulled: [{ day: today, meal: 'dinner' }, 'taken out for today'],
  opened: [{ at: testInstant(1) }, 'opened'],
  eaten: [{ ...dinner, shares: [{ eaterId: 'e1', portions: 0.75 }], guests: 2, rest: 'fridge' }, 'Osk ¾, guests 2, the rest in the fridge'],
  given: [{ portions: 2, to: 'the yard' }, '2 given to the yard'],
  discarded: [{ portions: 1, reason: 'dropped' }, '1 binned, dropped'],
  lost: [{}, 'not found'],
  found: [{ portions: 2 }, '2 found'],
  corrected: [{ portions: 3, reason: '' }, 'counted again, 3 there'],
  repacked: [{ portions: 4, into: ['a', 'b'] }, '4 packed anew into 2\u00a0packs'],
  washed: [{}, 'washed'],
  ticked: [{ ...session, key: 'k', amount: 1, unit: 'kg', how: 'haveIt', what: 'rapeseed oil' }, 'rapeseed oil: at home'],
  unticked: [{ ...session, key: 'k' }, 'Something: back on the list'],
  taskStarted: [{ ...session, taskId: 't', what: 'Simmer it gently' }, 'Started: simmer it gently'],
  taskHanded: [{ ...session, taskId: 't', cookId: 'c' }, 'Handed over: a task'],
  taskDone: [
    {
      ...session,
      taskId: 't',
      what: 'Dice 1.2\u00a0kg onions',
      prep: { form: 'diced', ingredientId: 'onion', name: 'onions', massG: 1200 },
    },
    'Diced 1.2\u00a0kg onions',
  ],
  taskSkipped: [{ ...session, taskId: 't' }, 'Skipped: a task'],
  taskReopened: [{ ...session, taskId: 't', what: 'Blend it' }, 'Taken up again: blend it'],
  taskExtended: [{ ...session, taskId: 't', minutes: 5 }, '5 min more: a task'],
  weighed: [{ batchId: 'b', grossG: 5000, tareG: 1000, netG: 4000, volumeMl: 3880.4 }, '3.88\u00a0L came out'],
  trimmed: [{ ingredientId: 'leek', boughtG: 500, usableG: 440 }, '500\u00a0g bought, 440\u00a0g'],
  eatenTonight: [{ batchId: 'b', day: today, shares: [], volumeMl: 400 }, '400\u00a0ml eaten from the pot'],
  yieldDiscarded: [{ batchId: 'b', volumeMl: 300, reason: 'burnt' }, 'burnt'],
  packingClosed: [{ batchId: 'b' }, 'closed'],
  invited: [{ day: '2026-11-25', meal: 'dinner', plates: 2, allergens: [] }, 'guests for dinner tomorrow'],
  atHome: [{ day: today, meal: 'lunch', home: false }, 'is not there for lunch today'],
  ateOtherwise: [{ day: today, meal: 'dinner', how: 'out' }, 'dinner today: eaten out'],
  rated: [{ recipeId: 'stew', eaterId: 'e1', stars: 4, day: today }, '4\u00a0stars by Osk'],
  undone: [{ eventId: 'x' }, 'Taken back'],
};

describe('History', () => {
  it.each(Object.entries(samples))('says %s in words, without ids', (type, [data, holds]) => {
    const event = {
      id: 'id-1',
      type,
      subjects: ['pack-1'],
      instant: testInstant(0),
      device: 'd',
      counter: 1,
      version: 1,
      data,
    } as TamboEvent;
    const says = sayEvent(event, 'Leek gratin', names, today);
    expect(says).toContain(holds);
    expect(says).not.toMatch(/undefined|NaN|pack-1|id-1|\[object/);
  });
  it('says what was corrected, as it is and as it was', () => {
    const data = {
      reason: 'wrong lid',
      portions: 3,
      is: { name: 'Leek soup', kind: 'base' as const, made: null, bestBy: '2026-12-01', massG: 800, containerId: null },
      was: {
        name: 'Stew',
        kind: 'meal' as const,
        made: { earliest: '2026-10-03', latest: '2026-10-03' },
        bestBy: '2026-12-03',
        massG: 900,
        containerId: 'tub',
      },
    };
    const event = {
      id: 'i',
      type: 'corrected',
      subjects: ['p'],
      instant: testInstant(0),
      device: 'd',
      counter: 1,
      version: 1,
      data,
    } as TamboEvent;
    expect(sayEvent(event, 'Leek soup', names, today)).toBe(
      'Leek soup: corrected, 3 there; called \u201cLeek soup\u201d, was called \u201cStew\u201d; a base, was a meal; made unknown, was made 3 Oct 2026; best by 1 Dec 2026, was best by 3 Dec 2026; 800\u00a0g, was 900\u00a0g; in another container (wrong lid)',
    );
  });
  it('calls an eater who has left somebody', () => {
    const data = { ...dinner, shares: [{ eaterId: 'gone', portions: 1 }], guests: 0, rest: 'none' as const };
    const event = {
      id: 'i',
      type: 'eaten',
      subjects: ['p'],
      instant: testInstant(0),
      device: 'd',
      counter: 1,
      version: 1,
      data,
    } as TamboEvent;
    expect(sayEvent(event, 'Stew', names, today)).toBe('Stew: eaten by somebody 1');
  });
});
