import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { correct, inFridgeSince, putAway, repack, type Act } from '#core/commands';
import type { HistoryAnswer, PackAnswer, RecipeBrief, StoreAnswer, TodayAnswer } from '#core/queries';
import { codeFrom } from '#core/pack';
import { correctionFrom, correctionOf, repackedData } from '#core/store';
import { rebuild } from '../events/index.ts';
import { packsInStore } from '../session/index.ts';
import { stamped, testServer, type TestServer } from '../testing.ts';
import { shippedFigures } from '../db/index.ts';

let s: TestServer;
let minute = 0;
beforeAll(() => {
  s = testServer('2026-11-24T16:00:00.000Z', { demo: true });
}, 60_000);
afterAll(() => s.close());

const get = async <T>(p: string): Promise<T> => (await request(s.app).get(`/api${p}`)).body as T;
const send = async (acts: readonly Act[]): Promise<string[]> => {
  const events = acts.map(({ type, subjects, data }) => {
    minute += 1;
    const instant = new Date(Date.UTC(2026, 10, 24, 16, minute)).toISOString();
    return { ...stamped(type, subjects, data as never), instant, counter: 1000 + minute, id: `act${minute}` };
  });
  const answer = await request(s.app).post('/api/events').send(events);
  expect(JSON.stringify(answer.body)).not.toContain('refused');
  return events.map((e) => e.id);
};
const undo = (ids: readonly { id: string; subjects: string[] }[]) =>
  send(ids.map(({ id, subjects }) => ({ type: 'undone', subjects: [...subjects], seen: '', data: { eventId: id } }) as Act));
const dinners = async (): Promise<number> => (await get<TodayAnswer>('/today')).supplies.dinners.count;
const meal = async () => {
  const { packs } = await get<StoreAnswer>('/store');
  return packs.find((p) => p.kind === 'meal' && p.status === 'frozen' && p.left === 2 && p.labelled)!;
};

describe('a pack corrected', () => {
  it('is so on every page, its label is printed again, and it is as it was once that is taken back', async () => {
    const brief = await meal();
    const before = await get<PackAnswer>(`/packs/${brief.code}`);
    const said = {
      ...correctionFrom(before.pack),
      name: 'Leek and barley pot',
      made: '2026-11-01',
      bestBy: '2027-02-01',
      reason: 'wrong lid',
    };
    const [id] = await send([correct(brief, correctionOf(before.pack, said), 'wrong lid')]);
    const after = await get<PackAnswer>(`/packs/${brief.code}`);
    expect(after.pack).toMatchObject({ name: 'Leek and barley pot', bestBy: '2027-02-01', made: { earliest: '2026-11-01' } });
    expect(after.brief.printAgain).toBe(true);
    expect(after.label.name).toBe('Leek and barley pot');
    expect((await get<StoreAnswer>('/store')).packs.find((p) => p.packId === brief.packId)).toMatchObject({ name: 'Leek and barley pot' });
    expect((await get<HistoryAnswer>('/history?limit=3')).entries[0]!.says).toContain('was called “');
    const projected = JSON.stringify(packsInStore(s.db));
    rebuild(s.open);
    expect(JSON.stringify(packsInStore(s.db))).toBe(projected);
    await undo([{ id: id!, subjects: [brief.packId] }]);
    const back = await get<PackAnswer>(`/packs/${brief.code}`);
    expect({ ...back.pack, seen: '' }).toEqual({ ...before.pack, seen: '' });
  });
  it('takes what was eaten of it along under its kind', async () => {
    const brief = await meal();
    const { pack } = await get<PackAnswer>(`/packs/${brief.code}`);
    const count = await dinners();
    await send([correct(brief, correctionOf(pack, { ...correctionFrom(pack), kind: 'base' }), 'no dinner')]);
    expect(await dinners()).toBeLessThan(count);
  });
});

describe('a pack packed anew', () => {
  it('is as many dinners as before, counts as made once, and is taken back whole', async () => {
    const brief = await meal();
    const { pack, containers } = await get<PackAnswer>(`/packs/${brief.code}`);
    const count = await dinners();
    const made = (await get<RecipeBrief[]>('/recipes')).find((r) => r.recipe.id === pack.recipeId)!.portionsInStore;
    const stage = async () =>
      JSON.stringify(
        await get(`/sessions/${pack.sessionId!}/pack`).then((x) => (x as { batches: { facts?: unknown }[] }).batches.map((b) => b.facts)),
      );
    const before = await stage();
    const into = [1, 2].map((n) => ({
      packId: `anew${n}`,
      data: repackedData([pack], { code: codeFrom(900_000 + n), portions: 1, n, of: 2, container: containers[0]! }, shippedFigures()),
    }));
    await send([
      ...repack([{ pack: brief, portions: 2 }], into),
      ...putAway(
        into.map((p) => ({ packId: p.packId })),
        { placeId: pack.placeId!, zoneId: pack.zoneId! },
      ),
    ]);
    expect(await dinners()).toBe(count);
    expect((await get<RecipeBrief[]>('/recipes')).find((r) => r.recipe.id === pack.recipeId)!.portionsInStore).toBe(made);
    expect(await stage()).toBe(before);
    const entry = (await get<HistoryAnswer>('/history?limit=20')).entries.find((e) => e.says.includes('packed anew'))!;
    expect(entry).toMatchObject({ whole: true });
    expect(entry.within).toHaveLength(3);
    // from the new pack's own story too
    const story = (await get<PackAnswer>('/packs/anew1')).history.find((h) => h.act.length > 1)!;
    expect(new Set(story.act.map((a) => a.id))).toEqual(new Set(entry.within!.map((e) => e.id)));
    await undo(story.act);
    expect(await dinners()).toBe(count);
    expect((await get<PackAnswer>(`/packs/${brief.code}`)).pack.left).toBe(2);
    expect((await request(s.app).get('/api/packs/anew1')).status).toBe(404);
  });
  it('in the fridge keeps its days', async () => {
    const { packs } = await get<StoreAnswer>('/store');
    const brief = packs.find((p) => p.status === 'fridge')!;
    const { pack } = await get<PackAnswer>(`/packs/${brief.code}`);
    const data = repackedData([pack], { code: codeFrom(900_009), portions: pack.left, n: 1, of: 1 }, shippedFigures());
    await send([
      ...repack([{ pack: brief, portions: pack.left }], [{ packId: 'anew9', data }]),
      inFridgeSince({ packId: 'anew9' }, pack.fridgeSince!),
    ]);
    expect((await get<PackAnswer>('/packs/anew9')).pack.fridgeSince).toBe(pack.fridgeSince);
  });
});
