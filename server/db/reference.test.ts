import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { testServer, type TestServer } from '../testing.ts';
import { loadReference, referenceRows, schema, storeId } from './index.ts';

let s: TestServer;
beforeAll(() => {
  s = testServer();
});
afterAll(() => s.close());

describe('reference rows in the database', () => {
  it('hold every ingredient, storage life, container, heating and allergen row, each with a source', async () => {
    const counts = [
      ['ingredient', 309],
      ['life', 140],
      ['allergen', 15],
      ['hidden_allergen', 28],
    ] as const;
    for (const [table, n] of counts) expect(await s.db.$count(schema.refRow, eq(schema.refRow.table, table)), table).toBe(n);
    for (const table of [
      'headspace',
      'bag',
      'tub',
      'pan',
      'material',
      'space',
      'reheat',
      'thickness',
      'thaw',
      'clock',
      'setpoint',
      'portion',
    ] as const)
      expect(referenceRows(s.db, table).length, table).toBeGreaterThan(4);
    for (const row of s.db.select({ source: schema.refRow.source }).from(schema.refRow).all()) expect(row.source.length).toBeGreaterThan(0);
  });
  it('show the household’s edit and keep it through another start', () => {
    const own = { ...referenceRows(s.db, 'life').find((r) => r.id === 'broth')!, item: 'our broth' };
    s.db
      .update(schema.refRow)
      .set({ edited: own as unknown as Record<string, unknown> })
      .where(eq(schema.refRow.id, 'broth'))
      .run();
    s.db.delete(schema.meta).where(eq(schema.meta.key, 'referenceVersion')).run();
    loadReference(s.db);
    expect(referenceRows(s.db, 'life').find((r) => r.id === 'broth')).toMatchObject({ item: 'our broth' });
  });
  it('has one name for the database, however often it is asked', () => expect(storeId(s.db)).toBe(storeId(s.db)));
});
