import { X509Certificate } from 'node:crypto';
import { setTimeout as later } from 'node:timers/promises';
import mdns from 'multicast-dns';
import { afterEach, describe, expect, it } from 'vitest';
import type { HomeAnswer } from '#core/contract';
import type { HelpAnswer, SessionsAnswer } from '#core/queries';
import { testServer } from '../testing.ts';
import { Announcer, answersTo } from './announce.ts';
import { ask, hereFor, type Ask, type Said } from './homeTesting.ts';

const open: (() => void)[] = [];
afterEach(() => {
  for (const close of open.splice(0)) close();
});

async function evening() {
  const s = testServer(undefined, { demo: true });
  const { here, close } = await hereFor(s.app);
  open.push(close, () => s.close());
  const at = (p: string, body?: unknown): Promise<Said> => ask(`${here}/api${p}`, body === undefined ? {} : { body });
  await at('/home/open', { name: 'our-kitchen', passphrase: 'leek dill barley plum rye' });
  const { sessions } = (await at('/sessions')).body as unknown as SessionsAnswer;
  const session = sessions.find((x) => x.day > '2026-11-24')!;
  const link = async (): Promise<{ id: string; url: string; token: string; base: string }> => {
    const { links } = (await at('/home/links', { sessionId: session.id })).body as unknown as HomeAnswer;
    const { id, url = '' } = links.at(-1)!;
    return { id, url, token: url.split('/h/')[1]!, base: url.split('/h/')[0]! };
  };
  return { s, at, session, link };
}

const help = (said: Said): HelpAnswer => said.body as unknown as HelpAnswer;

describe('the plain listener', () => {
  it('stands only while something is to be had there', async () => {
    const { s, at, link } = await evening();
    expect(s.home.helpBase).toBeUndefined();
    await at('/home/trust', { on: true });
    const base = s.home.helpBase!;
    expect((await ask(`${base}/api/trust`)).status).toBe(200);
    await at('/home/trust', { on: false });
    await expect(ask(`${base}/api/trust`)).rejects.toThrow();
    const { id, base: other } = await link();
    // open for a helper, it tells nothing of trust
    expect((await ask(`${other}/api/trust`)).status).toBe(410);
    await at(`/home/links/${id}/end`, {});
    await expect(ask(`${other}/api/trust`)).rejects.toThrow();
  });

  it('gives the authority and nothing of its key, as phones of both kinds take it, with the fingerprint of the computer’s screen', async () => {
    const { s, at } = await evening();
    await at('/home/trust', { on: true });
    const base = s.home.helpBase!;
    const said = (await ask(`${base}/api/trust`)).body;
    const { fingerprint } = (await at('/home')).body as unknown as HomeAnswer;
    expect(said).toMatchObject({ name: 'our-kitchen.local', words: fingerprint!.words, hex: fingerprint!.hex });
    const profile = (await ask(`${base}/tambo-home.mobileconfig`)).text;
    const [, data = ''] = /<data>(.+)<\/data>/.exec(profile) ?? [];
    expect(new X509Certificate(Buffer.from(data, 'base64')).fingerprint256).toBe(fingerprint!.hex);
    expect((await ask(`${base}/tambo-home.crt`)).headers['content-type']).toContain('application/x-x509-ca-cert');
    expect(profile).not.toContain('PRIVATE');
  });

  it('serves nothing of the household: no page, no question, no other name', async () => {
    const { s, at } = await evening();
    await at('/home/trust', { on: true });
    const base = s.home.helpBase!;
    for (const p of [
      '/api/today',
      '/api/snapshot',
      '/api/home',
      '/api/door',
      '/api/events',
      '/index.html',
      '/test.access.json',
      '/../test.access.json',
      '/api/help/x',
    ])
      expect([404, 410], p).toContain((await ask(`${base}${p}`)).status);
    expect((await ask(`${base}/api/trust`, { headers: { host: 'evil.example' } })).status).toBe(421);
  });
});

describe('a helper’s evening', () => {
  it('shows the work of one session, ticks it off once however often it is tapped, and is live for the others', async () => {
    const { at, session, link } = await evening();
    const { base, token } = await link();
    const first = help(await ask(`${base}/api/help/${token}`));
    expect(first.cook.session.id).toBe(session.id);
    expect(Object.keys(first).toSorted()).toEqual(['cautions', 'cook', 'now', 'stopped', 'until', 'zone']);
    const task = first.cook.tasks.find((t) => !t.log)!;
    const act = (kind: string, id: string, more: Ask = {}): Promise<Said> =>
      ask(`${base}/api/help/${token}/act`, { body: { id, taskId: task.id, act: kind }, ...more });
    const stateOf = (said: Said): string | undefined => help(said).cook.tasks.find((t) => t.id === task.id)?.log?.state;
    expect(stateOf(await act('start', 'tap1'))).toBe('running');
    expect(stateOf(await act('start', 'tap2'))).toBe('running');
    expect(stateOf(await act('done', 'tap3'))).toBe('done');
    await Promise.all([act('done', 'tap3'), act('done', 'tap4')]);
    const lines = ((await at('/history')).body.entries as { id: string }[]).map((e) => e.id).filter((id) => id.startsWith('tap'));
    expect(lines.toSorted()).toEqual(['tap1', 'tap3']);
    expect(stateOf(await act('takeBack', 'tap5'))).toBeUndefined();
    expect((await act('done', 'tap6', { headers: { origin: 'http://evil.example' } })).status).toBe(403);
    expect((await act('skip', 'tap7')).status).toBe(422);
    expect((await ask(`${base}/api/help/${token}/act`, { body: { id: 'tap8', taskId: 'no-such-task', act: 'done' } })).status).toBe(404);
  });

  it('ends with the session: once the last dish is packed there is nothing left to help with', async () => {
    const { at, session, link } = await evening();
    const { base, token } = await link();
    const { sessions } = (await at('/sessions')).body as unknown as SessionsAnswer;
    const over = sessions.find((x) => x.day < '2026-11-24')!;
    expect((await at('/home/links', { sessionId: over.id })).status).toBe(409);
    const { now } = (await at('/health')).body as { now: string };
    const { batches } = help(await ask(`${base}/api/help/${token}`)).cook.session;
    const close = batches.map((b, counter) => ({
      id: `closed${counter}`,
      type: 'packingClosed',
      subjects: [session.id],
      instant: now,
      device: 'another',
      counter,
      version: 1,
      data: { batchId: b.id },
    }));
    expect((await at('/events', close)).status).toBe(200);
    const said = await ask(`${base}/api/help/${token}`);
    expect(said.status).toBe(410);
    expect(said.body.message).toContain('packed');
  });

  it('ends with the night, or when the household says so; a guessed link opens nothing', async () => {
    const { s, at, link } = await evening();
    const { id, base, token } = await link();
    const other = await link();
    expect((await ask(`${base}/api/help/${'x'.repeat(43)}`)).status).toBe(410);
    await at(`/home/links/${id}/end`, {});
    expect((await ask(`${base}/api/help/${token}`)).status).toBe(410);
    expect((await ask(`${base}/api/help/${other.token}`)).status).toBe(200);
    const [kept] = s.home.helpers.list;
    s.clock.move(kept!.until);
    const said = await ask(`${base}/api/help/${other.token}`);
    expect(said.status).toBe(410);
    expect(said.body.message).toContain('evening is over');
  });
});

describe('the name on the network', () => {
  it('answers to its own names alone', () => {
    const q = (name: string, type = 'A') => [{ name, type }];
    expect(answersTo(q('our-kitchen.local'), ['our-kitchen'], ['192.168.1.5', '10.0.0.2']).map((a) => a.data)).toEqual([
      '192.168.1.5',
      '10.0.0.2',
    ]);
    expect(answersTo(q('OUR-Kitchen.local', 'ANY'), ['our-kitchen'], ['192.168.1.5'])).toHaveLength(1);
    expect(answersTo(q('their-kitchen.local'), ['our-kitchen'], ['192.168.1.5'])).toEqual([]);
    expect(answersTo(q('our-kitchen.local', 'TXT'), ['our-kitchen'], ['192.168.1.5'])).toEqual([]);
  });

  it('is heard by who asks for it, and found held by who would take it as well', async () => {
    // a port of its own: the network's real one belongs to the machine
    const options = { port: 46_353, interface: '127.0.0.1', bind: '0.0.0.0' as const, loopback: true };
    const ours = new Announcer(options);
    const asker = mdns(options);
    open.push(
      () => ours.close(),
      () => asker.destroy(),
    );
    await later(200);
    ours.say(['our-kitchen'], ['127.0.0.1']);
    const heard = new Promise<string>((resolve) => {
      asker.on('response', (r) => {
        const [a] = r.answers;
        if (a?.type === 'A') resolve(`${a.name} ${a.data}`);
      });
    });
    asker.query([{ name: 'our-kitchen.local', type: 'A' }]);
    expect(await Promise.race([heard, later(3000, 'nothing heard')])).toBe('our-kitchen.local 127.0.0.1');
    const second = new Announcer(options);
    open.push(() => second.close());
    await later(200);
    expect(await second.heldBy('our-kitchen', ['127.0.0.9'])).toBe('127.0.0.1');
    expect(await second.heldBy('galley', ['127.0.0.9'])).toBeUndefined();
  });
});
