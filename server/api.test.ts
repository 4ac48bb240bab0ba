import fc from 'fast-check';
import request from 'supertest';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Revision } from '#core/contract';
import { codeFrom } from '#core/pack';
import type { PackAnswer, RecipeAnswer } from '#core/queries';
import { testRevision } from '../core/recipe/fixtures.ts';
import { testEater } from '../core/kitchen/fixtures.ts';
import { testHousehold, testSession } from '../core/session/fixtures.ts';
import { histories, testFilled } from '../core/store/fixtures.ts';
import { testContainer } from '../core/pack/fixtures.ts';
import { rebuild } from './events/index.ts';
import { schema } from './db/index.ts';
import { stamped, testServer, type TestServer } from './testing.ts';

let s: TestServer;
beforeAll(() => {
  s = testServer();
});
afterAll(() => s.close());

const post = (path: string, body: object) => request(s.app).post(`/api${path}`).send(body);
const get = (path: string) => request(s.app).get(`/api${path}`);
let writes = 0;
const write = (changes: object[], over: object = {}) => {
  writes += 1;
  return post('/writes', { writeId: `w${writes}`, device: 'test', instant: '2026-11-24T12:00:00.000Z', label: 'test', changes, ...over });
};
const filled = async (id: string, n: number, over = {}) =>
  post('/events', [stamped('filled', [id], testFilled({ code: codeFrom(n), ...over }))]);

describe('the door', () => {
  it('answers for itself', async () => {
    expect((await get('/health')).body).toMatchObject({ ok: true, now: '2026-11-24T16:00:00.000Z' });
  });
  it('turns away another host, other sites, what is not JSON, and broken JSON', async () => {
    expect((await get('/health').set('Host', 'evil.example')).status).toBe(421);
    expect((await post('/events', []).set('Sec-Fetch-Site', 'cross-site')).status).toBe(403);
    expect((await post('/events', []).set('Origin', 'http://evil.example')).status).toBe(403);
    expect((await request(s.app).post('/api/events').type('form').send('a=1')).status).toBe(415);
    const broken = await request(s.app).post('/api/events').set('content-type', 'application/json').send('[{');
    expect(broken.status).toBe(400);
    expect((broken.body as { message: string }).message).toContain('nothing was kept');
  });
  it('says what it does not serve', async () => {
    expect((await get('/nothing')).status).toBe(404);
  });
  it('sets the content policy, as tight for fonts as for the rest', async () => {
    const policy = (await get('/health')).headers['content-security-policy']!.split(';');
    expect(policy).toContain("default-src 'self'");
    expect(policy).toContain("font-src 'self'");
    expect(policy.filter((p) => /https?:|\*/.test(p))).toEqual([]);
  });
  it('turns away addresses, encodings and bodies that cannot be read, in their own class', async () => {
    for (const path of ['/%', '/api/%', '/api/packs/%E0%A4%A', '/api/recipes/%ff', '/p/%c3%28'])
      expect((await request(s.app).get(path)).status, path).toSatisfy((n: number) => n >= 400 && n < 500);
    const send = (encoding: string, type = 'application/json') =>
      request(s.app).post('/api/events').set('content-type', type).set('content-encoding', encoding).send('[]');
    expect((await send('gzip')).status).toBe(400);
    expect((await send('rot13')).status).toBe(415);
    expect((await send('identity', 'application/json; charset=klingon')).status).toBe(415);
  });
});

describe('events', () => {
  it('keeps one once, however often it is sent', async () => {
    const e = stamped('filled', ['p1'], testFilled({ code: codeFrom(11) }));
    expect((await post('/events', [e])).body).toMatchObject({ answers: [{ id: e.id, status: 'kept' }] });
    expect((await post('/events', [e, e])).body).toMatchObject({ answers: [{ status: 'known' }, { status: 'known' }] });
  });
  it('refuses with path, expected, got and leaves no trace', async () => {
    const bad = {
      ...stamped('eaten', ['p1'], {
        day: '2026-11-24',
        meal: 'dinner',
        shares: [{ eaterId: 'osk', portions: 1 }],
        guests: 0,
        rest: 'none',
      }),
      data: { day: 'soon', meal: 'dinner', shares: [], guests: -1, rest: 'none' },
    };
    const res = await post('/events', [bad]);
    expect(res.status).toBe(422);
    expect((res.body as { answers: { refusals: { path: string; got: string }[] }[] }).answers[0]!.refusals).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ path: 'data.day', got: '"soon"' }),
        expect.objectContaining({ path: 'data.guests', got: '-1' }),
      ]),
    );
    expect(
      s.db
        .select()
        .from(schema.event)
        .all()
        .some((e) => e.id === bad.id),
    ).toBe(false);
  });
  it.each([
    ['a pack nobody filled', () => stamped('lost', ['nobody'], {}), 'subjects.0'],
    ['a code whose check is wrong', () => stamped('filled', ['px'], testFilled({ code: '22223' })), 'data.code'],
    ['a code another pack has', () => stamped('filled', ['py'], testFilled({ code: codeFrom(11) })), 'data.code'],
    ['an undo of nothing', () => stamped('undone', ['p1'], { eventId: 'never' }), 'data.eventId'],
    [
      'a session nobody planned',
      () => stamped('ticked', ['nobody'], { sessionId: 'nobody', key: 'k', amount: 1, unit: 'g', how: 'bought' }),
      'subjects.0',
    ],
  ])('refuses %s', async (_, make, path) => {
    const res = await post('/events', [make()]);
    expect(res.status).toBe(422);
    expect((res.body as { answers: { refusals: { path: string }[] }[] }).answers[0]!.refusals[0]!.path).toBe(path);
  });
  it('accepts eating more than is there as a difference to settle', async () => {
    await filled('p2', 12);
    await post('/events', [
      stamped('eaten', ['p2'], { day: '2026-11-24', meal: 'dinner', shares: [{ eaterId: 'osk', portions: 9 }], guests: 0, rest: 'none' }),
    ]);
    expect(((await get(`/packs/${codeFrom(12)}`)).body as PackAnswer).pack).toMatchObject({ left: 0, sums: { difference: 5 } });
  });
  it('takes the rest of a list when one of it is refused', async () => {
    const ok = stamped('filled', ['p3'], testFilled({ code: codeFrom(13) }));
    const res = await post('/events', [ok, stamped('lost', ['nobody'], {})]);
    expect((res.body as { answers: { status: string }[] }).answers.map((a) => a.status)).toEqual(['kept', 'refused']);
  });
});

describe('a code as typed', () => {
  it('is understood in small letters and with spaces', async () => {
    expect((await get(`/packs/${encodeURIComponent(` ${codeFrom(11).toLowerCase()} `)}`)).status).toBe(200);
  });
  it('is offered, not taken, when one sign is impossible', async () => {
    const code = codeFrom(11);
    const res = await get(`/packs/${code.slice(0, 2)}0${code.slice(3)}`);
    expect(res.status).toBe(404);
    expect((res.body as { refusals: { expected: string }[] }).refusals[0]!.expected).toBe(code);
  });
  it('says so when it matches no pack', async () => {
    expect(((await get(`/packs/${codeFrom(999)}`)).body as { message: string }).message).toContain('Nothing was changed');
  });
});

describe('writes', () => {
  it('keeps all of a tap or none of it', async () => {
    const res = await write([
      { table: 'eater', id: 'e1', data: testEater('e1') },
      { table: 'eater', id: 'e2', data: { ...testEater('e2'), appetite: 99 } },
    ]);
    expect(res.status).toBe(422);
    expect((res.body as { refusals: { path: string; got: string }[] }).refusals[0]).toMatchObject({
      path: 'changes.1.appetite',
      got: '99',
    });
    expect(((await get('/kitchen')).body as { eaters: unknown[] }).eaters).toHaveLength(0);
  });
  it.each([
    [
      'a line of less than nothing',
      'recipe_revision',
      testRevision({ id: 'brick1', lines: [{ ...testRevision().lines[0]!, amount: '-1' }] }),
    ],
    ['a serving of next to nothing', 'recipe_revision', testRevision({ id: 'brick2', serving: { amount: 1e-12, unit: 'g' } })],
    ['servings without end', 'recipe_revision', testRevision({ id: 'brick3', servings: 1e9 })],
    ['dinner at no time of day', 'household', { ...testHousehold, id: 'household', dinnerAt: '99:99' }],
    ['a zone that is none', 'household', { ...testHousehold, id: 'household', timeZone: 'Mars/Olympus' }],
    ['a language that is none', 'household', { ...testHousehold, id: 'household', locale: 'x_y!' }],
    ['a session that starts at no time of day', 'session', { ...testSession(), startAt: '24:61' }],
    ['a delete that does not say so', 'eater', undefined],
  ])('turns away %s', async (_what, table, data) => {
    const res = await write([{ table, id: (data as { id: string } | undefined)?.id ?? 'e9', data }]);
    expect(res.status).toBe(422);
    expect((res.body as { refusals: unknown[] }).refusals.length).toBeGreaterThan(0);
  });
  it('takes the same from a second tab, whose moment of writing is another', async () => {
    const at = (madeAt: string) => ({
      writeId: 'tabs',
      device: 'test',
      instant: '2026-11-24T12:00:00.000Z',
      label: 'add',
      changes: [{ table: 'recipe_revision', id: 'revTabs', data: testRevision({ id: 'revTabs', madeAt }) }],
    });
    expect((await post('/writes', at('2026-11-24T12:00:00.000Z'))).status).toBe(200);
    expect((await post('/writes', at('2026-11-24T12:00:01.000Z'))).status).toBe(200);
  });
  it('refuses another content under a number that was used', async () => {
    const body = {
      writeId: 'used',
      device: 'test',
      instant: '2026-11-24T12:00:00.000Z',
      label: 'add',
      changes: [{ table: 'eater', id: 'e7', data: testEater('e7') }],
    };
    expect((await post('/writes', body)).status).toBe(200);
    const other = { ...body, changes: [{ table: 'eater', id: 'e7', data: null }] };
    expect((await post('/writes', other)).status).toBe(409);
    expect((await post('/writes', body)).status).toBe(200);
    await write([{ table: 'eater', id: 'e7', data: null }]);
  });
  it('answers a retry the same and changes nothing', async () => {
    const body = {
      writeId: 'retry',
      device: 'test',
      instant: '2026-11-24T12:00:00.000Z',
      label: 'add',
      changes: [{ table: 'eater', id: 'e1', data: testEater('e1') }],
    };
    const first = await post('/writes', body);
    await write([{ table: 'eater', id: 'e1', data: { ...testEater('e1'), name: 'changed since' } }]);
    expect((await post('/writes', body)).body).toEqual(first.body);
    expect(((await get('/kitchen')).body as { eaters: { name: string }[] }).eaters[0]!.name).toBe('changed since');
  });
  it('undoes by an inverse change, once nothing newer stands on it', async () => {
    const res = await write([{ table: 'container', id: 'tub', data: testContainer('tub') }]);
    const { writeId } = res.body as { writeId: string };
    const undo = (id: string, undoes: string) =>
      post('/undo', { writeId: id, device: 'test', instant: '2026-11-24T12:00:00.000Z', undoes });
    expect((await undo('u1', writeId)).status).toBe(200);
    expect(((await get('/kitchen')).body as { containers: unknown[] }).containers).toHaveLength(0);
    expect((await undo('u2', 'u1')).status).toBe(200);
    expect(((await get('/kitchen')).body as { containers: unknown[] }).containers).toHaveLength(1);
    expect((await undo('u3', writeId)).status).toBe(409);
    expect((await undo('u4', 'never')).status).toBe(404);
  });
  it('never changes a revision that is written', async () => {
    const revision: Revision = testRevision();
    await write([
      { table: 'recipe_revision', id: 'rev1', data: revision },
      { table: 'recipe', id: 'rec1', data: { id: 'rec1', revisionId: 'rev1', name: 'Test stew', kind: 'meal', archived: false } },
    ]);
    expect((await write([{ table: 'recipe_revision', id: 'rev1', data: { ...revision, servings: 7 } }])).status).toBe(409);
    expect(((await get('/recipes/rec1')).body as RecipeAnswer).revision.servings).toBe(6);
  });
  it('refuses what points nowhere', async () => {
    expect(
      (
        await write([
          {
            table: 'session',
            id: 's9',
            data: { ...testSession([{ id: 'b', recipeId: 'r', revisionId: 'nowhere', portions: 4 }]), id: 's9' },
          },
        ])
      ).body,
    ).toMatchObject({ refusals: [{ path: 'batches.0.revisionId' }] });
  });
});

describe('recipe files', () => {
  it('are read into drafts', async () => {
    const res = await post('/recipes/read', {
      fileName: 'x.json',
      text: JSON.stringify({
        '@type': 'Recipe',
        name: 'Harbour soup',
        recipeIngredient: ['3 leeks, sliced', '200 g moon dust'],
        recipeInstructions: 'Simmer for 20 minutes.',
      }),
    });
    expect(res.body).toMatchObject({ drafts: [{ revision: { name: 'Harbour soup' }, unmatched: [expect.any(String)] }] });
  });
  it.each([
    ['', 'empty'],
    ['{"@type":', 'broken'],
    ['<html></html>', 'No recipe'],
  ])('that cannot be read say why: %j', async (text, word) => {
    const res = await post('/recipes/read', { fileName: 'x.html', text });
    expect(res.status).toBe(422);
    expect((res.body as { message: string }).message).toContain(word);
  });
});

describe('codes', () => {
  it('are given once for ever', async () => {
    const a = (await post('/codes', { count: 200, device: 'a' })).body as { codes: string[] };
    const b = (await post('/codes', { count: 200, device: 'b' })).body as { codes: string[] };
    expect(new Set([...a.codes, ...b.codes]).size).toBe(400);
  });
});

describe('labels', () => {
  it('come as a PDF, or say which packs are not known', async () => {
    const res = await get(`/labels.pdf?packs=p1,p3&start=20`);
    expect(res.headers['content-type']).toContain('application/pdf');
    expect((await get('/labels.pdf?packs=nobody')).status).toBe(404);
    expect((await get('/labels.pdf?packs=p1&start=22')).status).toBe(422);
  });
});

describe('the projection', () => {
  const rows = (t: TestServer) => ({
    packs: t.db
      .select()
      .from(schema.packState)
      .all()
      .toSorted((a, b) => a.packId.localeCompare(b.packId)),
    eaten: t.db
      .select()
      .from(schema.eatenLog)
      .all()
      .toSorted((a, b) => (a.eventId + a.packId).localeCompare(b.eventId + b.packId)),
  });
  it('equals the rebuild for random histories, whatever order they came in', async () => {
    await fc.assert(
      fc.asyncProperty(histories, fc.array(fc.nat(), { minLength: 40, maxLength: 40 }), async (events, dice) => {
        const t = testServer();
        try {
          const filledFirst = events.filter((e) => e.type === 'filled');
          const rest = events
            .filter((e) => e.type !== 'filled' && e.type !== 'undone')
            .map((e, i) => [dice[i % 40]!, e] as const)
            .toSorted((a, b) => a[0] - b[0])
            .map((x) => x[1]);
          const all = [...filledFirst, ...rest, ...events.filter((e) => e.type === 'undone')];
          const res = await request(t.app).post('/api/events').send(all);
          expect(res.status).toBe(200);
          const live = rows(t);
          rebuild(t.open);
          expect(rows(t)).toEqual(live);
        } finally {
          t.close();
        }
      }),
      { numRuns: process.env.TAMBO_THOROUGH ? 120 : 25 },
    );
  });
});
