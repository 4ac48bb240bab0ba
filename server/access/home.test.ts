import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { buffer } from 'node:stream/consumers';
import { gunzipSync } from 'node:zlib';
import { afterEach, describe, expect, it } from 'vitest';
import { open as openZip, type Entry } from 'yauzl';
import type { HomeAnswer } from '#core/contract';
import { makeBackup } from '../files/backup.ts';
import { migrationsFolder, openedServer, testServer, type TestServer } from '../testing.ts';
import { makeLeaf } from './authority.ts';
import { ask, cookieIn, hereFor, type Ask, type Said } from './homeTesting.ts';

const passphrase = 'leek dill barley plum rye';
const phone = { passphrase, device: 'phone1', name: 'Phone by the fridge', kind: 'phone' };

const open: (() => void)[] = [];
afterEach(() => {
  for (const close of open.splice(0)) close();
});

/** What a copy holds, by name. */
const entriesOf = (file: string): Promise<Map<string, Buffer>> =>
  new Promise((resolve, reject) => {
    const held = new Map<string, Buffer>();
    openZip(file, { lazyEntries: true }, (error, zip) => {
      if (error) return reject(error);
      zip.on('entry', (entry: Entry) => {
        zip.openReadStream(entry, (failed, stream) => {
          if (failed) return reject(failed);
          void buffer(stream).then((bytes) => {
            held.set(entry.fileName, bytes);
            zip.readEntry();
          }, reject);
        });
      });
      zip.on('end', () => resolve(held));
      zip.readEntry();
    });
  });

/** A household that stands open, its computer, and devices that ask it. */
async function household({ demo = false, s = testServer(undefined, { demo }) }: { demo?: boolean; s?: TestServer } = {}) {
  const { here, close } = await hereFor(s.app);
  open.push(close, () => s.close());
  const at = (p: string, body?: unknown, more: Ask = {}): Promise<Said> =>
    ask(`${here}/api${p}`, { ...(body !== undefined && { body }), ...more });
  const opened = await at('/home/open', { name: 'our-kitchen', passphrase });
  expect(opened.body).toMatchObject({ open: true, via: 'here' });
  const state = async (): Promise<HomeAnswer> => (await at('/home')).body as unknown as HomeAnswer;
  const ca = (): string => s.home.door.file.now.authority?.certPem ?? '';
  const url = (name = 'our-kitchen.local'): string => `https://${name}:${s.home.port}`;
  const from = (p: string, more: Ask = {}, name?: string): Promise<Said> => ask(`${url(name)}/api${p}`, { ca: ca(), ...more });
  const comeIn = async (as: object = phone): Promise<string> => {
    const said = await from('/door/in', { body: as });
    expect(said.status).toBe(200);
    return cookieIn(said);
  };
  return { s, here, at, state, ca, url, from, comeIn };
}

describe('shut until asked for', () => {
  it('nothing listens beside the computer’s own, and opening needs a passphrase that is not guessed early', async () => {
    const s = testServer();
    const { here, close } = await hereFor(s.app);
    open.push(close, () => s.close());
    const refused = async (body: object): Promise<Said> => ask(`${here}/api/home/open`, { body });
    expect((await ask(`${here}/api/home`)).body).toMatchObject({ open: false, hasPassphrase: false, urls: [] });
    expect((await refused({ name: 'our-kitchen' })).status).toBe(409);
    for (const weak of ['short', 'password1234', 'our-kitchen-our-kitchen', 'qwertyuiop12'])
      expect((await refused({ name: 'our-kitchen', passphrase: weak })).status).toBe(422);
    for (const name of ['Our Kitchen', 'a', '-kitchen', 'kitchen-', 'k..local', 'x'.repeat(40)])
      expect((await refused({ name, passphrase })).status).toBe(422);
    expect(s.home.isOpen).toBe(false);
  });

  it('repeats nowhere what was typed for a passphrase', async () => {
    const h = await household();
    const said = [
      await h.at('/home/passphrase', { passphrase: 'too-short' }),
      await h.at('/home/passphrase', { passphrase: 'password1234' }),
    ];
    expect(said.map((x) => x.status)).toEqual([422, 422]);
    for (const { text } of said) expect(text).not.toMatch(/too-short|password1234/);
  });

  it('shut again it listens no more; open it stays over the next start, with the same devices and the same authority', async () => {
    const h = await household();
    const cookie = await h.comeIn();
    const ca = h.ca();
    await h.s.home.stop();
    const again = openedServer(h.s.ctx.dbFile, h.s.clock.now());
    open.push(() => void again.home.stop());
    await again.home.reopen();
    expect((await ask(`https://our-kitchen.local:${again.home.port}/api/today`, { ca, cookie })).status).toBe(200);
    await again.home.shut();
    await expect(ask(`https://our-kitchen.local:${again.home.port}/api/health`, { ca })).rejects.toThrow();
    await again.home.reopen();
    expect(again.home.isOpen).toBe(false);
  });
});

describe('the door', () => {
  it('shows nothing of the household before the passphrase, and everything after it', async () => {
    const h = await household();
    for (const p of [
      '/today',
      '/snapshot',
      '/frame',
      '/home',
      '/backups',
      '/backup/tambo-daily-2026-11-24.zip',
      '/live',
      '/live/now',
      '/jobs/x',
      '/history',
      '/nowhere',
    ])
      expect((await h.from(p)).status, p).toBe(401);
    expect((await h.from('/events', { body: [] })).status).toBe(401);
    expect((await h.from('/door')).body).toMatchObject({ via: 'home', in: false });
    const cookie = await h.comeIn();
    expect((await h.from('/today', { cookie })).status).toBe(200);
    expect((await h.from('/door', { cookie })).body).toMatchObject({ in: true, name: 'Phone by the fridge' });
  });

  it('gives a cookie that scripts cannot read, other sites cannot send and plain http never carries', async () => {
    const h = await household();
    const said = await h.from('/door/in', { body: phone });
    const [cookie] = said.headers['set-cookie'] ?? [];
    expect(cookie).toMatch(/^__Host-tambo=[\w-]{43}; Path=\/; HttpOnly; SameSite=Strict; Max-Age=\d+; Secure$/);
    expect(said.headers['strict-transport-security']).toMatch(/max-age=\d{7,}/);
    expect(said.headers['cache-control']).toBe('no-store');
    // what is kept opens nothing: the file holds a digest
    expect(readFileSync(path.join(h.s.ctx.folder, 'test.access.json'), 'utf8')).not.toContain(cookieIn(said).split('=')[1]);
  });

  it('the whole passphrase counts, spaces, signs and all, however a keyboard puts its letters together', async () => {
    const h = await household();
    const long = `crème brûlée & 12 œufs, “sous vide” ${'x'.repeat(90)}`;
    await h.at('/home/passphrase', { passphrase: long });
    const as = (passphrase: string): Promise<Said> => h.from('/door/in', { body: { ...phone, passphrase } });
    expect((await as(long.slice(0, -1))).status).toBe(403);
    expect((await as(long.normalize('NFD'))).status).toBe(200);
    expect((await as(long)).status).toBe(200);
  });

  it('tells browsers what they may do with its pages, on every answer', async () => {
    const h = await household();
    for (const p of ['/door', '/today', '/nowhere']) {
      const { headers } = await h.from(p);
      expect(headers['content-security-policy']).toMatch(/default-src 'self'.*frame-ancestors 'none'.*object-src 'none'/);
      expect(headers['content-security-policy']).not.toMatch(/script-src[^;]*unsafe-inline/);
      expect(headers).toMatchObject({
        'x-content-type-options': 'nosniff',
        'referrer-policy': 'no-referrer',
        'cross-origin-opener-policy': 'same-origin',
      });
      expect(headers['x-powered-by']).toBeUndefined();
    }
  });

  it('what a stranger sends is small, or not looked at', async () => {
    const h = await household();
    expect((await h.from('/events', { body: ['x'.repeat(3_000_000)] })).status).toBe(401);
    expect((await h.from('/door/in', { body: { ...phone, name: 'x'.repeat(20_000) } })).status).toBe(413);
  });

  it('another cookie, a shortened one, one of a device that left: none is let in', async () => {
    const h = await household();
    const cookie = await h.comeIn();
    for (const c of ['__Host-tambo=', `${cookie}x`, cookie.slice(0, -1), `tambo-here=${cookie.split('=')[1]}`, '__Host-tambo=undefined'])
      expect((await h.from('/today', { cookie: c })).status, c).toBe(401);
    await h.from('/door/out', { body: {}, cookie });
    expect((await h.from('/today', { cookie })).status).toBe(401);
  });

  it('a wrong passphrase is refused without a word of what is wrong; after three one waits, the right one too, until the computer says otherwise', async () => {
    const h = await household();
    const wrong = (): Promise<Said> => h.from('/door/in', { body: { ...phone, passphrase: 'leek dill barley plum' } });
    expect([(await wrong()).status, (await wrong()).status]).toEqual([403, 403]);
    const third = await wrong();
    expect(third.status).toBe(429);
    expect(Number(third.headers['retry-after'])).toBeGreaterThan(0);
    expect((await h.from('/door/in', { body: phone })).status).toBe(429);
    expect((await h.state()).wrongTries).toBe(3);
    await h.at('/home/forgive', {});
    await h.comeIn();
    expect(JSON.stringify((await h.at('/history')).body)).toContain('A wrong passphrase was typed three times');
  });

  it('many tries at once are no quicker than one after another', async () => {
    const h = await household();
    const tries = await Promise.all(
      Array.from({ length: 40 }, (_, i) => h.from('/door/in', { body: { ...phone, passphrase: `guess ${i}` } })),
    );
    expect(tries.filter((t) => t.status === 403).length).toBeLessThanOrEqual(3);
    expect(h.s.home.door.wrongTries).toBeLessThanOrEqual(4);
  });

  it('not seen for a month, or known for a year, a device is asked again, and told why', async () => {
    const h = await household();
    const cookie = await h.comeIn();
    const later = (days: number): void =>
      void h.s.clock.move(new Date(Date.parse('2026-11-24T16:00:00Z') + days * 86_400_000).toISOString());
    for (let d = 20; d <= 360; d += 20) {
      later(d);
      expect((await h.from('/today', { cookie })).status).toBe(200);
    }
    later(366);
    expect((await h.from('/today', { cookie })).status).toBe(401);
    expect((await h.from('/door', { cookie })).body).toMatchObject({ in: false, ended: 'by time' });
    const other = await h.comeIn();
    later(366 + 31);
    expect((await h.from('/today', { cookie: other })).status).toBe(401);
  });

  it('another passphrase puts everybody out', async () => {
    const h = await household();
    const cookie = await h.comeIn();
    await h.at('/home/passphrase', { passphrase: 'walnut whisk toast heron spinach' });
    expect((await h.from('/today', { cookie })).status).toBe(401);
    expect((await h.from('/door/in', { body: phone })).status).toBe(403);
    await h.comeIn({ ...phone, passphrase: 'walnut whisk toast heron spinach' });
  });

  it('the computer asks for it too where the household wants that, and a start at the computer takes that back', async () => {
    const h = await household();
    await h.at('/home/ask-here', { on: true });
    expect((await h.at('/today')).status).toBe(401);
    expect((await h.at('/home/shut', {})).status).toBe(401);
    const said = await h.at('/door/in', { ...phone, device: 'computer', kind: 'computer' });
    const cookie = cookieIn(said);
    expect(cookie).toMatch(/^tambo-here=/);
    expect((await h.at('/today', undefined, { cookie })).status).toBe(200);
    // a secret of the computer's opens nothing from outside under its own name
    expect((await h.from('/today', { cookie })).status).toBe(401);
  });
});

describe('who is in', () => {
  it('is listed with what waits on each, ended one by one, and told in History', async () => {
    const h = await household();
    const [one, two] = [await h.comeIn(), await h.comeIn({ ...phone, device: 'tablet1', name: 'Tablet', kind: 'tablet' })];
    await h.from('/door/heard', { body: { device: 'somebody-else', waiting: 7 }, cookie: one });
    const { devices } = await h.state();
    expect(devices.map((d) => [d.id, d.waiting?.count]).toSorted()).toEqual([
      ['phone1', 7],
      ['tablet1', undefined],
    ]);
    expect((await h.at('/home/devices/phone1/end', {})).body).toMatchObject({ devices: [{ id: 'tablet1' }] });
    expect((await h.from('/today', { cookie: one })).status).toBe(401);
    expect((await h.from('/door', { cookie: one })).body).toMatchObject({ ended: 'by the computer' });
    expect((await h.from('/today', { cookie: two })).status).toBe(200);
    const said = JSON.stringify((await h.at('/history')).body);
    for (const line of ['Opened to the home network', 'Phone by the fridge came in', 'Phone by the fridge was put out'])
      expect(said).toContain(line);
    expect((await h.at('/home/devices/nobody/end', {})).status).toBe(404);
  });

  it('is changed at the computer alone', async () => {
    const h = await household();
    const cookie = await h.comeIn();
    const acts: [string, object][] = [
      ['/home/open', { name: 'other-kitchen' }],
      ['/home/shut', {}],
      ['/home/name', { name: 'other-kitchen' }],
      ['/home/passphrase', { passphrase }],
      ['/home/ask-here', { on: true }],
      ['/home/trust', { on: true }],
      ['/home/forgive', {}],
      ['/home/devices/phone1/end', {}],
      ['/home/links', { sessionId: 'x' }],
      ['/home/links/x/end', {}],
    ];
    for (const [p, body] of acts) expect((await h.from(p, { body, cookie })).status, p).toBe(403);
    expect((await h.from('/home', { cookie })).body).toMatchObject({ via: 'home', open: true });
  });
});

describe('whose pages may ask', () => {
  it('a name that is not the household’s, other sites, forms and other origins are turned away, with a cookie as well', async () => {
    const h = await household();
    const cookie = await h.comeIn();
    const port = h.s.home.port;
    for (const host of [
      'evil.example',
      `evil.example:${port}`,
      '127.0.0.1',
      `localhost:${port}`,
      `our-kitchen.local`,
      `our-kitchen.local:${port + 1}`,
    ])
      expect((await h.from('/today', { cookie, headers: { host } })).status, host).toBe(421);
    expect((await h.from('/today', { cookie, headers: { host: `OUR-kitchen.local:${port}` } })).status).toBe(200);
    const write = (headers: Record<string, string>): Promise<Said> =>
      h.from('/door/heard', { cookie, body: { device: 'phone1', waiting: 0 }, headers });
    expect((await write({})).status).toBe(200);
    expect((await write({ 'sec-fetch-site': 'cross-site' })).status).toBe(403);
    expect((await write({ 'sec-fetch-site': 'same-site' })).status).toBe(403);
    expect((await write({ origin: 'https://evil.example' })).status).toBe(403);
    // another port of the same computer, and the same host without https, are other sites
    expect((await write({ origin: `https://our-kitchen.local:${port + 1}` })).status).toBe(403);
    expect((await write({ origin: `http://our-kitchen.local:${port}` })).status).toBe(403);
    expect((await write({ origin: h.url() })).status).toBe(200);
    expect((await write({ 'content-type': 'text/plain' })).status).toBe(415);
  });
});

describe('its certificate', () => {
  it('is renewed when it is found ended, under the same authority', async () => {
    const h = await household();
    const { authority } = h.s.home.door.file.now;
    const ended = await makeLeaf(authority!, { names: ['our-kitchen'], addresses: ['127.0.0.1'] }, Date.now() - 100 * 86_400_000);
    h.s.home.door.file.set({ leaf: ended });
    await h.s.home.stop();
    await h.s.home.reopen();
    expect(h.s.home.door.file.now.leaf?.certPem).not.toBe(ended.certPem);
    expect((await h.from('/health')).status).toBe(200);
  });

  it('goes along when the computer has another address, without a new start', async () => {
    const h = await household();
    await expect(ask(`https://127.0.0.7:${h.s.home.port}/api/health`, { ca: h.ca() })).rejects.toThrow();
    h.s.homeEnv.TAMBO_HOME_ADDRESSES = '127.0.0.7';
    await h.s.home.refresh();
    expect((await ask(`https://127.0.0.7:${h.s.home.port}/api/health`, { ca: h.ca() })).status).toBe(200);
    expect((await h.state()).urls).toEqual([h.url(), `https://127.0.0.7:${h.s.home.port}`]);
    expect((await h.from('/health')).status).toBe(200);
  });

  it('is not taken by a device that was not told to trust it', async () => {
    const h = await household();
    await expect(ask(`${h.url()}/api/health`)).rejects.toThrow(/self-signed|unable to verify|local issuer/i);
  });
});

describe('another name', () => {
  it('says where it is now, lets the old one answer for a month, and takes what is on a device over without asking again', async () => {
    const h = await household();
    const cookie = await h.comeIn();
    await h.at('/home/name', { name: 'galley' });
    const old = await h.from('/door', { cookie });
    expect(old.body).toMatchObject({ in: true, moved: h.url('galley.local') });
    expect((await h.from('/today', { cookie })).status).toBe(200);
    const carry = { local: { 'tambo.device': 'phone1' }, drafts: [['count', { text: 'leek soup' }]], refused: [] };
    const { body } = await h.from('/door/carry', { cookie, body: carry });
    expect(body.to).toBe(h.url('galley.local'));
    const arrived = await h.from('/door/arrive', { body: { token: body.token } }, 'galley.local');
    expect(arrived.body).toEqual(carry);
    expect((await h.from('/today', { cookie: cookieIn(arrived) }, 'galley.local')).status).toBe(200);
    // once only; and both secrets are one device, that is put out as one
    expect((await h.from('/door/arrive', { body: { token: body.token } }, 'galley.local')).status).toBe(410);
    expect((await h.state()).devices).toHaveLength(1);
    await h.at('/home/devices/phone1/end', {});
    for (const [c, name] of [
      [cookie, undefined],
      [cookieIn(arrived), 'galley.local'],
    ] as const)
      expect((await h.from('/today', { cookie: c }, name)).status).toBe(401);
  });

  it('a device put out on its way to the new name is not let in there either', async () => {
    const h = await household();
    const cookie = await h.comeIn();
    await h.at('/home/name', { name: 'galley' });
    const { body } = await h.from('/door/carry', { cookie, body: { local: {}, drafts: [], refused: [] } });
    await h.at('/home/devices/phone1/end', {});
    const arrived = await h.from('/door/arrive', { body: { token: body.token } }, 'galley.local');
    expect(arrived.status).toBe(410);
    expect(arrived.headers['set-cookie']).toBeUndefined();
  });

  it('after a month the old name is not served any longer', async () => {
    const h = await household();
    await h.at('/home/name', { name: 'galley' });
    h.s.clock.move('2026-12-26T16:00:00.000Z');
    expect((await h.from('/health')).status).toBe(421);
    expect(await h.from('/health', {}, 'galley.local').catch((e: Error) => e.message)).toMatchObject({ status: 200 });
  });

  it('a stranger carries nothing over', async () => {
    const h = await household();
    expect((await h.from('/door/carry', { body: { local: {}, drafts: [], refused: [] } })).status).toBe(401);
    expect((await h.from('/door/arrive', { body: { token: 'x'.repeat(43) } })).status).toBe(410);
  });
});

describe('what no copy holds', () => {
  it('keys, digests and sessions are in no copy and no export, and readable by the owner alone', async () => {
    const h = await household();
    const cookie = await h.comeIn();
    const { authority, leaf, passphrase: kept, devices } = h.s.home.door.file.now;
    const secrets = [authority!.keyPem, leaf!.keyPem]
      .map((k) => k.split('\n')[1]!)
      .concat(kept!.hash, devices[0]!.tokenHash, cookie.split('=')[1]!);
    const zip = path.join(h.s.ctx.folder, 'copy.zip');
    await makeBackup({ dbFile: h.s.ctx.dbFile, migrationsFolder, out: zip, now: h.s.clock.now() }, () => undefined);
    const held = await entriesOf(zip);
    expect([...held.keys()].length).toBeGreaterThan(1);
    for (const [name, bytes] of [...held, ['the household’s file', readFileSync(h.s.ctx.dbFile)] as const]) {
      const raw = name.endsWith('.gz') ? gunzipSync(bytes) : bytes;
      expect(
        secrets.filter((x) => raw.includes(x)),
        name,
      ).toEqual([]);
      expect(name).not.toContain('access');
    }
    expect(statSync(path.join(h.s.ctx.folder, 'test.access.json')).mode & 0o077).toBe(0);
    expect(
      readdirSync(h.s.ctx.folder)
        .filter((f) => f.includes('access'))
        .toSorted(),
    ).toEqual(['test.access.json']);
  });

  it('a file that cannot be read shuts the household and is put aside, not lost', async () => {
    const s = testServer();
    const file = path.join(s.ctx.folder, 'test.access.json');
    writeFileSync(file, '{ half');
    const again = openedServer(s.ctx.dbFile, s.clock.now());
    open.push(() => s.close());
    await again.home.reopen();
    expect(again.home.isOpen).toBe(false);
    expect(again.home.trouble.join()).toContain('put aside');
    expect(readFileSync(`${file}.unread`, 'utf8')).toBe('{ half');
  });
});
