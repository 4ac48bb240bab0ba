import request from 'supertest';
import { describe, expect, it } from 'vitest';
import { addDays, daysFrom, weekdayOf } from '#core/kitchen';
import type { SessionView } from '#core/session';
import type { EatAnswer, FrameAnswer, KitchenAnswer, SessionsAnswer, StoreAnswer, TodayAnswer } from '#core/queries';
import { schema } from '../db/index.ts';
import { testServer } from '../testing.ts';

/** Days on which calendars trip: summer time both ways, a month's end, a leap day, a year's end, each weekday. */
const anchors = [
  '2026-11-24',
  '2026-03-27',
  '2026-10-23',
  '2028-02-28',
  '2026-12-31',
  '2027-01-31',
  '2026-08-31',
  ...daysFrom('2026-06-01', 7),
];
const few = process.env.TAMBO_THOROUGH ? anchors : anchors.slice(0, 3);

describe.each(few)('the demo household on %s', (day) => {
  const s = testServer(`${day}T15:00:00.000Z`, { demo: true });
  const get = async <T>(path: string): Promise<T> => (await request(s.app).get(`/api${path}`)).body as T;

  it('says one number for one thing on all pages', async () => {
    const [frame, today, eat, store] = await Promise.all([
      get<FrameAnswer>('/frame'),
      get<TodayAnswer>('/today'),
      get<EatAnswer>('/eat'),
      get<StoreAnswer>('/store'),
    ]);
    expect(new Set([frame.supplies.dinners.count, today.supplies.dinners.count, eat.supplies.dinners.count, store.dinners]).size).toBe(1);
    expect(new Set([frame.supplies.dinners.says, today.supplies.dinners.says, eat.supplies.dinners.says]).size).toBe(1);
    expect(frame.strip).toHaveLength(store.packs.length);
    expect(store.places.reduce((n, p) => n + p.room.packs, 0) + store.packs.filter((p) => p.status === 'fridge').length).toBe(
      store.packs.length,
    );
    expect(eat.eatFirst.length + eat.fridge.length).toBe(store.packs.length);
  });

  it('is lived in: about 40 packs in two freezers, eight weeks of eating, a finished and a planned session', async () => {
    const store = await get<StoreAnswer>('/store');
    expect(store.packs.length).toBeGreaterThan(28);
    expect(store.packs.length).toBeLessThan(62);
    expect(new Set(store.packs.map((p) => p.placeId)).size).toBeGreaterThanOrEqual(2);
    const { sessions, older } = await get<SessionsAnswer>('/sessions');
    const next = sessions.find((x) => x.day > day)!;
    expect(weekdayOf(next.day)).toBe('sat');
    expect(next.state.stage).toBe('planned');
    expect(sessions.length + older.length).toBe(5);
    const eaten = s.db.select().from(schema.eatenLog).all();
    expect(new Set(eaten.map((e) => e.day)).size).toBeGreaterThan(30);
    const view = await get<SessionView>(`/sessions/${next.id}`);
    expect(view.fit.fits).toBe(true);
    expect(view.batches.every((b) => b.lot.life.ok)).toBe(true);
  });

  it('has Marit ship out the day after the big Saturday', async () => {
    const kitchen = await get<KitchenAnswer>('/kitchen');
    const { sessions } = await get<SessionsAnswer>('/sessions');
    const saturday = sessions.find((x) => x.day > day)!.day;
    const at = (d: string) => kitchen.weeks.present.eater_marit![kitchen.weeks.days.indexOf(d)]!.dinner;
    expect(at(saturday)).toBe(true);
    expect(at(addDays(saturday, 1))).toBe(false);
  });

  it('was made by events and writes alone: stock is what the events fold to', () => {
    const events = s.db.select().from(schema.event).all().length;
    const changes = s.db.select().from(schema.change).all().length;
    expect(events).toBeGreaterThan(400);
    expect(changes).toBeGreaterThan(30);
  });
});
