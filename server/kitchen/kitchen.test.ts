import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { IngredientRow } from '#core/contract';
import type { LarderAnswer, ReferenceAnswer } from '#core/queries';
import { loadReference, referenceRows, schema } from '../db/index.ts';
import { stamped, testServer, type TestServer } from '../testing.ts';

let s: TestServer;
let n = 0;
beforeAll(() => {
  s = testServer();
});
afterAll(() => s.close());

const larder = async (): Promise<LarderAnswer> => (await request(s.app).get('/api/larder')).body as LarderAnswer;
const row = async (id: string): Promise<IngredientRow> => (await larder()).rows.find((r) => r.id === id)!;
const write = (id: string, data: unknown, table = 'reference') => {
  n += 1;
  return request(s.app)
    .post('/api/writes')
    .send({ writeId: `w${n}`, device: 'd', instant: s.clock.now(), label: 'Change', changes: [{ table, id, data }] });
};
const edit = (r: IngredientRow) => write(`ingredient:${r.id}`, { id: `ingredient:${r.id}`, table: 'ingredient', row: r });

describe('reference rows edited by a household', () => {
  it('show the edit at once, in the finder too, and go back to what ships', async () => {
    const shipped = await row('leek');
    expect((await edit({ ...shipped, ediblePct: 70, otherNames: ['harbour leek'] })).status).toBe(200);
    expect((await row('leek')).ediblePct).toBe(70);
    const found = (await request(s.app).get('/api/ingredients?q=harbour')).body as IngredientRow[];
    expect(found.map((r) => r.id)).toEqual(['leek']);
    expect((await larder()).edited).toContain('leek');
    expect((await write('ingredient:leek', null)).status).toBe(200);
    expect(await row('leek')).toEqual(shipped);
    expect((await larder()).edited).not.toContain('leek');
  });
  it('can be undone like anything written', async () => {
    const shipped = await row('carrot');
    await edit({ ...shipped, ediblePct: 50 });
    const undone = await request(s.app)
      .post('/api/undo')
      .send({ writeId: 'u1', device: 'd', instant: s.clock.now(), undoes: `w${n}` });
    expect(undone.status).toBe(200);
    expect(await row('carrot')).toEqual(shipped);
  });
  it('keep only what differs, so that an upgrade reaches the rest; rows of one’s own stay', async () => {
    const onion = await row('onion');
    await edit({ ...onion, prices: [{ amount: 1000, unit: 'g', cents: 95 }] });
    await edit({ ...onion, id: 'own_1', name: 'tree onion', otherNames: [], prices: [] });
    s.db.delete(schema.meta).run();
    s.db
      .update(schema.refRow)
      .set({ shipped: { ...onion, pieceG: 160 } })
      .run();
    loadReference(s.db);
    expect(await row('onion')).toMatchObject({ pieceG: onion.pieceG, prices: [{ cents: 95 }] });
    expect((await larder()).own).toEqual(['own_1']);
    expect((await larder()).edited).not.toContain('onion');
    await write('ingredient:own_1', null);
    expect(await row('own_1')).toBeUndefined();
  });
  it.each([
    ['a weight below nothing', { pieceG: -3 }, 'row.pieceG'],
    ['more eaten than is bought', { ediblePct: 140 }, 'row.ediblePct'],
    ['an impossible density', { density: { chopped: 40 } }, 'row.density.chopped'],
  ])('refuse %s, with where', async (_, patch, path) => {
    const leek = await row('leek');
    const res = await edit({ ...leek, ...patch } as IngredientRow);
    expect(res.status).toBe(422);
    expect((res.body as { refusals: { path: string }[] }).refusals[0]!.path).toContain(path);
    expect(await row('leek')).toEqual(leek);
  });
  it('any other table is edited by its columns', async () => {
    const [blanch] = referenceRows(s.db, 'blanch');
    await write(`blanch:${blanch!.id}`, { id: `blanch:${blanch!.id}`, table: 'blanch', row: { ...blanch, waterMin: 9 } });
    const answer = (await request(s.app).get('/api/reference/blanch')).body as ReferenceAnswer;
    expect(answer.rows.find((r) => r.row.id === blanch!.id)).toMatchObject({ state: 'edited', row: { waterMin: 9 } });
    expect((await request(s.app).get('/api/reference/nothing')).status).toBe(404);
  });
});

describe('trim of this kitchen', () => {
  it('moves the edible share from the next answer on, and back when taken back', async () => {
    const shipped = (await row('beetroot')).ediblePct!;
    const event = stamped('trimmed', ['beetroot'], { ingredientId: 'beetroot', boughtG: 1000, usableG: 900 });
    await request(s.app).post('/api/events').send([event]);
    const found = async (): Promise<IngredientRow> =>
      ((await request(s.app).get('/api/ingredients?q=beetroot')).body as IngredientRow[])[0]!;
    expect((await found()).ediblePct).toBeCloseTo((3 * shipped + 90) / 4, 1);
    expect((await larder()).trims.beetroot).toMatchObject({ runs: 1 });
    await request(s.app)
      .post('/api/events')
      .send([stamped('undone', ['beetroot'], { eventId: event.id })]);
    expect((await found()).ediblePct).toBe(shipped);
  });
});

describe('devices and files', () => {
  it('a scale is put on, read and taken to zero', async () => {
    expect((await request(s.app).post('/api/devices/scale/put').send({ grams: 1150 })).body).toMatchObject({
      grams: 1150,
      simulated: true,
    });
    expect((await request(s.app).post('/api/devices/scale/tare').send({})).body).toMatchObject({ grams: 0, tared: true });
    expect((await request(s.app).post('/api/devices/scale/put').send({ grams: -1 })).status).toBe(422);
  });
  it('a calendar is read into days away, and anything else refused in words', async () => {
    const good = await request(s.app).post('/api/calendar/read').send({
      fileName: 'a.ics',
      text: 'BEGIN:VCALENDAR\nVERSION:2.0\nBEGIN:VEVENT\nUID:a\nSUMMARY:Away\nDTSTART;VALUE=DATE:20261206\nEND:VEVENT\nEND:VCALENDAR',
    });
    expect(good.body).toMatchObject({ entries: [{ from: '2026-12-06', label: 'Away' }] });
    const bad = await request(s.app).post('/api/calendar/read').send({ fileName: 'list.txt', text: 'eggs' });
    expect(bad.status).toBe(422);
    expect((bad.body as { message: string }).message).toContain('not a calendar file');
  });
});
