import { describe, expect, it } from 'vitest';
import { eventData, eventSchema, type EventType } from '#core/contract';
import { testFilled } from '../store/fixtures.ts';
import * as commands from './index.ts';
import type { Act } from './index.ts';

const day = '2026-11-24';
const pack = { packId: 'tub7', seen: 'e1' };
const task = { sessionId: 's1', taskId: 't1', what: 'Dice onions', seen: 'e2' };
const dish = { sessionId: 's1', batchId: 'b1', seen: 'e3' };
const line = { sessionId: 's1', key: 'leek', name: 'leeks', amount: 1.2, unit: 'kg', seen: 'e4' };

/** One of each command. */
const acts: Act[] = [
  commands.fillPack({ packId: 'tub7' }, testFilled()),
  ...commands.putAway([pack], { placeId: 'shed', zoneId: 'left' }),
  ...commands.planFor([pack], day),
  ...commands.planFor([pack], undefined),
  ...commands.takeOut([pack], day),
  commands.eat(pack, { day, meal: 'dinner', shares: [{ eaterId: 'osk', portions: 1 }], guests: 0, rest: 'none' }),
  commands.bin(pack, 2, 'freezer burn'),
  commands.giveAway(pack, 2, 'the yard'),
  commands.lose(pack),
  commands.wash(pack),
  commands.correct(pack, { is: { name: 'Soup', bestBy: null }, was: { name: 'Stew', bestBy: day } }, 'wrong lid', 2),
  commands.inFridgeSince(pack, '2026-11-24T12:00:00.000Z'),
  commands.countAgain(pack, 3, 'one was hidden'),
  ...commands.repack([{ pack, portions: 2 }], [{ packId: 'tub8', data: testFilled() }]),
  commands.markLabelled(pack, 'hand'),
  commands.markLabelled(pack, 'printed', 'Contains: celery.'),
  commands.startTask(task),
  commands.startTask(task, 'joaquim'),
  commands.handOver(task, 'joaquim'),
  commands.finishTask(task, 12),
  commands.skipTask(task),
  commands.reopenTask(task),
  commands.extendTask(task, 5),
  commands.weigh(dish, { netG: 4000, volumeMl: 3900 }),
  commands.eatTonight(dish, day, 400),
  commands.closePacking(dish),
  commands.trim('leek', 500, 440, 'e5'),
  commands.tick(line, 'bought'),
  commands.untick(line),
  commands.invite('household', day, 2, ['al_treenut'], 'e6'),
  commands.sayAtHome('osk', day, 'dinner', false, 'e7'),
  commands.eatOtherwise('household', day, 'out', 'e10'),
  commands.rate('stew', 'osk', 4, day, 'e9'),
  commands.takeBack({ id: 'e8', subjects: ['tub7'] }),
];

describe('what a cook does', () => {
  it.each(acts.map((a, i) => [i, a.type, a] as const))('%i: %s is an entry that the contract takes', (_i, _type, act) => {
    const { seen: _, ...said } = act;
    const event = { ...said, id: 'x', instant: '2026-11-24T16:00:00.000Z', device: 'd', counter: 1, version: 1 };
    // nothing of it is lost on the way
    expect(eventSchema.parse(event)).toEqual(event);
  });
  it('has a command for every kind of entry but those that nothing offers yet', () => {
    const said = new Set<EventType>(acts.map((a) => a.type));
    const open = (Object.keys(eventData) as EventType[]).filter((t) => !said.has(t));
    expect(open.toSorted()).toEqual(['found', 'yieldDiscarded']);
  });
  it('is meant each time only where more is asked for', () => {
    expect(acts.filter((a) => a.seen === commands.again).map((a) => a.type)).toEqual(['taskExtended']);
  });
  it('lets go of allergies with the guests', () => {
    expect(commands.invite('household', day, 0, ['al_treenut'], 'e')).toMatchObject({ data: { plates: 0, allergens: [] } });
  });
  it('of a pack that was only just filled goes by the pack itself', () => {
    expect(commands.wash({ packId: 'new' }).seen).toBe('new');
  });
});
