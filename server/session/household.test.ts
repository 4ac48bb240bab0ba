import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { TamboEvent } from '#core/contract';
import {
  find,
  type CountAnswer,
  type EatAnswer,
  type FindEntry,
  type FrameAnswer,
  type HistoryAnswer,
  type KitchenAnswer,
  type RecipeBrief,
  type SessionsAnswer,
  type Starter,
  type StoreAnswer,
  type TodayAnswer,
} from '#core/queries';
import { stamped, testServer, type TestServer } from '../testing.ts';

const now = '2026-11-24T16:00:00.000Z';
const today = '2026-11-24';
let s: TestServer;
let n = 0;
const get = async <T>(p: string): Promise<T> => (await request(s.app).get(`/api${p}`)).body as T;
const log = (...events: unknown[]) => request(s.app).post('/api/events').send(events);
const write = (changes: { table: string; id: string; data: unknown }[]) =>
  request(s.app)
    .post('/api/writes')
    .send({ writeId: `hw${(n += 1)}`, device: 'test', instant: now, label: 'test', changes });

beforeAll(() => {
  s = testServer(now, { demo: true });
}, 60_000);
afterAll(() => s.close());

describe('an empty household', () => {
  it('says what is missing, offers starters, and counts without dishes', async () => {
    const empty = testServer(now);
    const at = async <T>(p: string): Promise<T> => (await request(empty.app).get(`/api${p}`)).body as T;
    expect((await at<FrameAnswer>('/frame')).setup).toEqual({ eaters: false, gear: false, packs: false, session: false });
    expect((await at<FrameAnswer>('/frame')).supplies.dinners).toMatchObject({ count: 0, says: 'none left' });
    expect(await at<CountAnswer>('/count')).toMatchObject({ places: [], dishes: [], packs: 0 });
    expect(await at<HistoryAnswer>('/history')).toEqual({ entries: [] });
    const starters = await at<Starter[]>('/starters');
    expect(starters.length).toBeGreaterThanOrEqual(10);
    // a starter goes through the door like anything a cook writes
    const [first] = starters;
    const res = await request(empty.app)
      .post('/api/writes')
      .send({
        writeId: 'take',
        device: 'test',
        instant: now,
        label: 'take',
        changes: [
          { table: 'recipe_revision', id: first!.revision.id, data: first!.revision },
          { table: 'recipe', id: first!.recipe.id, data: first!.recipe },
        ],
      });
    expect(res.status).toBe(200);
    expect((await at<RecipeBrief[]>('/recipes')).map((r) => [r.recipe.name, r.canPlan])).toEqual([[first!.recipe.name, true]]);
    expect((await at<CountAnswer>('/count')).dishes).toHaveLength(1);
    empty.close();
  });
});

describe('the finder’s list', () => {
  it('leads to every recipe, session and pack in store, and to ingredients that are used', async () => {
    const entries = await get<FindEntry[]>('/find');
    const of = (type: FindEntry['type']) => entries.filter((e) => e.type === type);
    const { sessions, older } = await get<SessionsAnswer>('/sessions');
    expect(of('recipe')).toHaveLength((await get<RecipeBrief[]>('/recipes')).length);
    expect(of('session')).toHaveLength(sessions.length + older.length);
    const { packs, probable } = await get<StoreAnswer>('/store');
    expect(of('pack')).toHaveLength(packs.length + probable.length);
    const leek = of('ingredient').find((e) => /leek/i.test(e.name))!;
    const id = decodeURIComponent(leek.to.split('with=')[1]!);
    expect((await get<RecipeBrief[]>('/recipes')).filter((r) => r.ingredientIds.includes(id)).length).toBeGreaterThan(0);
    for (const p of packs.slice(0, 5)) expect(find(entries, p.code.toLowerCase())[0]?.to).toBe(`/p/${p.code}`);
  });
  it('loses a pack once it is eaten', async () => {
    const { packs } = await get<StoreAnswer>('/store');
    const last = packs.at(-1)!;
    await log(stamped('discarded', [last.packId], { portions: last.left, reason: 'dropped' }, { id: 'find-gone', instant: now }));
    expect((await get<FindEntry[]>('/find')).some((e) => e.id === last.packId)).toBe(false);
    await log(stamped('undone', [last.packId], { eventId: 'find-gone' }, { id: 'find-back', instant: now }));
    expect((await get<FindEntry[]>('/find')).some((e) => e.id === last.packId)).toBe(true);
  });
});

describe('History', () => {
  it('names the undo that can be undone, and follows it back and forth', async () => {
    const { packs } = await get<StoreAnswer>('/store');
    const pack = packs.find((p) => p.kind === 'meal')!;
    await log(stamped('moved', [pack.packId], { placeId: 'place_box', zoneId: 'box_middle' }, { id: 'h-move', instant: now }));
    const entry = async () => (await get<HistoryAnswer>('/history?limit=20')).entries.find((e) => e.id === 'h-move')!;
    expect(await entry()).toMatchObject({ undone: false });
    await log(stamped('undone', [pack.packId], { eventId: 'h-move' }, { id: 'h-undo', instant: now }));
    expect(await entry()).toMatchObject({ undone: true, undoneBy: 'h-undo' });
    await log(stamped('undone', [pack.packId], { eventId: 'h-undo' }, { id: 'h-redo', instant: now }));
    // the newest link of the chain, so that taking it back again is an intent of its own
    expect(await entry()).toMatchObject({ undone: false, seen: 'h-redo' });
    const zone = (await get<StoreAnswer>('/store')).packs.find((p) => p.packId === pack.packId)!.zoneId;
    expect(zone).toBe('box_middle');
  });
  it('does the same with what was changed, and shows the undo at what it took back', async () => {
    const { household } = await get<FrameAnswer>('/frame');
    const undo = (undoes: string) =>
      request(s.app)
        .post('/api/undo')
        .send({ writeId: `hu${(n += 1)}`, device: 'test', instant: now, undoes });
    await write([{ table: 'household', id: household.id, data: { ...household, parDays: 9 } }]);
    const id = `hw${n}`;
    const entry = async () => (await get<HistoryAnswer>('/history?limit=50')).entries.find((e) => e.id === id)!;
    const par = async () => (await get<FrameAnswer>('/frame')).household.parDays;
    await undo(id);
    expect(await entry()).toMatchObject({ undone: true, undoneBy: `hu${n}` });
    expect(await par()).toBe(household.parDays);
    await undo(`hu${n}`);
    expect(await entry()).toMatchObject({ undone: false, seen: `hu${n}` });
    expect(await par()).toBe(9);
    expect((await get<HistoryAnswer>('/history?limit=50')).entries.some((e) => e.says.startsWith('Undo'))).toBe(false);
    await write([{ table: 'household', id: household.id, data: household }]);
  });
  it('says what was ticked, and gathers what was ticked in one go', async () => {
    const { sessions } = await get<SessionsAnswer>('/sessions');
    const { id } = sessions.find((x) => x.day > '2026-11-24')!;
    const tick = (key: string, seconds: number) =>
      log(
        stamped(
          'ticked',
          [id],
          { sessionId: id, key, amount: 1, unit: 'g', how: 'haveIt', what: key },
          { id: `tick-${key}`, instant: new Date(Date.parse(now) + seconds * 1000).toISOString() },
        ),
      );
    await tick('salt', 1);
    await tick('cumin', 10);
    await tick('oil', 50);
    await tick('flour', 300);
    const entries = (await get<HistoryAnswer>('/history?limit=20')).entries.filter((e) => e.subjects.includes(id));
    expect(entries[0]!.says).toContain('flour: at home');
    expect(entries[1]!.says).toContain('3 things at home');
    expect(entries[1]!.within!.map((e) => e.says.split(': ')[1])).toEqual(['oil', 'cumin', 'salt']);
  });
  it('keeps to the limit asked for, within bounds', async () => {
    expect((await get<HistoryAnswer>('/history?limit=7')).entries).toHaveLength(7);
    expect((await get<HistoryAnswer>('/history?limit=-3')).entries).toHaveLength(1);
    expect((await get<HistoryAnswer>('/history?limit=99999')).entries.length).toBeLessThanOrEqual(500);
  });
});

describe('who is at the table', () => {
  const quarters = async () => (await get<TodayAnswer>('/today')).view.tonight.quarters;
  const say = async (type: 'atHome' | 'invited', subject: string, data: TamboEvent['data']): Promise<TamboEvent> => {
    const event = stamped(type, [subject], data as never, { id: `table${(n += 1)}` });
    expect((await log(event)).status).toBe(200);
    return event;
  };
  it('follows one tap, the next word, and an undo, without a rewrite of anybody’s document', async () => {
    const { eaters } = await get<KitchenAnswer>('/kitchen');
    const joaquim = eaters.find((e) => e.name === 'Joaquim')!;
    const before = await quarters();
    const away = await say('atHome', joaquim.id, { day: today, meal: 'dinner', home: false });
    expect(await quarters()).toBe(before - 5);
    expect((await get<EatAnswer>('/eat')).evenings[0]!.eaters.map((e) => e.eaterId)).not.toContain(joaquim.id);
    await say('atHome', joaquim.id, { day: today, meal: 'dinner', home: true });
    expect(await quarters()).toBe(before);
    await say('atHome', joaquim.id, { day: today, meal: 'dinner', home: false });
    const back = stamped('undone', [joaquim.id], { eventId: away.id }, { id: `table${(n += 1)}` });
    expect((await log(back)).status).toBe(200);
    // the newest word was another one, and stands
    expect(await quarters()).toBe(before - 5);
    await say('atHome', joaquim.id, { day: today, meal: 'dinner', home: true });
    expect((await get<KitchenAnswer>('/kitchen')).eaters.find((e) => e.id === joaquim.id)).toEqual(joaquim);
    const stranger = stamped('atHome', ['nobody'], { day: today, meal: 'dinner', home: true }, { id: `table${(n += 1)}` });
    expect((await log(stranger)).status).toBe(422);
  });
  it('has guests who eat a plate each and shorten the store', async () => {
    const before = await quarters();
    const dinners = (await get<FrameAnswer>('/frame')).supplies.dinners.count;
    await say('invited', 'household', { day: today, meal: 'dinner', plates: 20, allergens: ['al_treenut'] });
    expect(await quarters()).toBe(before + 80);
    expect((await get<FrameAnswer>('/frame')).supplies.dinners.count).toBeLessThan(dinners);
    expect((await get<EatAnswer>('/eat')).evenings[0]!.guests).toBe(20);
    expect((await get<TodayAnswer>('/today')).guests).toEqual({ day: today, meal: 'dinner', plates: 20, allergens: ['al_treenut'] });
    await say('invited', 'household', { day: today, meal: 'dinner', plates: 0, allergens: [] });
    expect(await quarters()).toBe(before);
    const crowd = stamped('invited', ['household'], { day: today, meal: 'dinner', plates: 21, allergens: [] }, { id: `table${(n += 1)}` });
    expect((await log(crowd)).status).toBe(422);
    const says = (await get<HistoryAnswer>('/history?limit=400')).entries.flatMap((e) => [e, ...(e.within ?? [])]).map((e) => e.says);
    expect(says.join('\n')).toContain('No guests for dinner today');
  });
  it('lists evenings lately of which nothing was written down', async () => {
    const { quiet, recent } = await get<EatAnswer>('/eat');
    const dishes = new Set(
      (await get<RecipeBrief[]>('/recipes')).filter((r) => ['meal', 'kit'].includes(r.recipe.kind)).map((r) => r.recipe.name),
    );
    const logged = new Set(recent.filter((r) => r.meal === 'dinner' && dishes.has(r.name)).map((r) => r.day));
    expect(quiet.every((d) => d < today && d >= '2026-11-18' && !logged.has(d))).toBe(true);
  });
});

describe('what is kept in memory', () => {
  it('never outlives what was logged or written: answers are those of a server that has just started', async () => {
    const { packs } = await get<StoreAnswer>('/store');
    const fresh = async (path: string): Promise<unknown> => {
      // another connection to the same file has nothing in memory
      const { openDb } = await import('../db/index.ts');
      const { createApp } = await import('../app.ts');
      const { pino } = await import('pino');
      const open = openDb(s.ctx.dbFile, s.ctx.migrationsFolder);
      const { app } = createApp({ ...s.ctx, open, db: open.db }, { log: pino({ level: 'silent' }) });
      const body = (await request(app).get(`/api${path}`)).body as unknown;
      open.sqlite.close();
      return body;
    };
    const happen = [
      stamped(
        'eaten',
        [packs[0]!.packId],
        { day: today, meal: 'lunch', shares: [], guests: 0.5, rest: 'fridge' },
        { id: 'mem-1', instant: now },
      ),
      stamped('moved', [packs[1]!.packId], { placeId: 'place_shed', zoneId: 'shed_right' }, { id: 'mem-2', instant: now }),
      stamped('lost', [packs[2]!.packId], {}, { id: 'mem-3', instant: now }),
      stamped('undone', [packs[2]!.packId], { eventId: 'mem-3' }, { id: 'mem-4', instant: now }),
      stamped('washed', [packs[3]!.packId], {}, { id: 'mem-5', instant: '2026-10-01T08:00:00.000Z' }),
    ];
    for (const event of happen) {
      await log(event);
      for (const path of ['/today', '/store', '/eat', '/kitchen', '/find'])
        expect(await get(path), `${event.type} ${path}`).toEqual(await fresh(path));
    }
  });
});
