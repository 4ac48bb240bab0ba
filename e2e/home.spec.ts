import type { HistoryAnswer, SessionsAnswer, StoreAnswer } from '../core/queries/index.ts';
import { expect, passphrase, test } from './atHome.ts';
import { keptHere, seriousFaults, settled } from './base.ts';

test('opened in Kitchen by who owns the computer, a phone trusts it, comes in, and both are live; the owner sees it and puts it out', async ({
  atHome,
  page,
}) => {
  const { server, device, url } = atHome;
  // the owner, at the computer
  await page.goto(`${server.address}/kitchen?tab=household`);
  await page.getByRole('button', { name: 'Show the steps' }).click();
  const words = await page.getByRole('region', { name: 'Add a phone or a tablet' }).getByRole('list').innerText();
  expect(await seriousFaults(page)).toEqual([]);

  const { page: phone } = await device();
  const { trust } = await atHome.home();
  await phone.goto(trust!.url);
  for (const n of [1, 2, 3, 4]) await expect(phone.getByRole('listitem', { name: `Step ${n}` })).toBeVisible();
  expect(await phone.getByRole('list', { name: 'Fingerprint in words' }).innerText()).toBe(words);
  for (const make of ['iPhone or iPad', 'Android', 'a computer']) {
    await phone.getByRole('button', { name: make }).click();
    await expect(phone.getByText('To take it back:')).toBeVisible();
  }
  expect(await seriousFaults(phone)).toEqual([]);

  await phone.goto(url);
  expect(await phone.getByRole('list', { name: 'Fingerprint in words' }).innerText()).toBe(words);
  expect(await seriousFaults(phone)).toEqual([]);
  await phone.getByLabel('Passphrase', { exact: true }).fill('not the right one');
  await phone.getByRole('button', { name: 'Come in' }).click();
  await expect(phone.getByRole('alert')).toContainText('That was not it');
  await atHome.comeIn(phone, 'Phone by the fridge');
  await expect(phone.getByRole('heading', { name: /Tuesday/ })).toBeVisible();

  const row = page.getByRole('listitem').filter({ hasText: 'Phone by the fridge' });
  await expect(row).toContainText('open now', { timeout: 20_000 });
  await expect(row).toContainText('nothing waits on it');

  // what the phone logs shows at the computer, and the other way round
  const { sessions } = await atHome.at<SessionsAnswer>('/sessions');
  const { id } = sessions.find((s) => s.day > '2026-11-24')!;
  await phone.goto(`${url}/shop/${id}`);
  const other = await page.context().newPage();
  await other.goto(`${server.address}/shop/${id}`);
  const line = phone.getByRole('checkbox').first();
  const name = (await line.getAttribute('aria-label')) ?? '';
  await other.waitForTimeout(2500);
  await line.click();
  await expect(other.getByRole('checkbox', { name, exact: true })).toBeChecked({ timeout: 15_000 });
  await other.getByRole('checkbox', { name, exact: true }).click();
  await expect(line).not.toBeChecked({ timeout: 15_000 });

  await row.getByRole('button', { name: /^Put/ }).click();
  await page.getByRole('button', { name: 'Put it out' }).click();
  await expect(page.getByText('No device is in yet')).toBeVisible();
  await phone.reload();
  await expect(phone.getByRole('heading', { name: 'Come in' })).toBeVisible({ timeout: 20_000 });
  await expect(phone.getByText('was put out at the computer')).toBeVisible();
  const { entries } = await atHome.at<HistoryAnswer>('/history');
  for (const says of ['Phone by the fridge came in', 'Phone by the fridge was put out'])
    expect(entries.some((e) => e.says.includes(says))).toBe(true);
});

test('a browser that was not told to trust it does not go on', async ({ atHome }) => {
  const stranger = await atHome.stranger();
  await expect(stranger.goto(atHome.url)).rejects.toThrow(/ERR_CERT_AUTHORITY_INVALID/);
});

test('over https a phone has all a browser gives: the app on it, a start without connection, camera, a screen that stays on', async ({
  atHome,
}) => {
  const { page: phone, context } = await atHome.device();
  await context.grantPermissions(['screen-wake-lock', 'camera'], { origin: atHome.url });
  await atHome.comeIn(phone, 'Phone');
  await keptHere(phone);
  expect(
    await phone.evaluate(async () => {
      const manifest = document.querySelector<HTMLLinkElement>('link[rel=manifest]')!;
      const said = (await (await fetch(manifest.href)).json()) as { display: string; icons: unknown[]; start_url: string };
      return { secure: isSecureContext, display: said.display, icons: said.icons.length > 0, start: said.start_url };
    }),
  ).toEqual({ secure: true, display: 'standalone', icons: true, start: '/' });

  await context.setOffline(true);
  await phone.reload();
  await expect(phone.getByRole('heading', { name: /Tuesday/ })).toBeVisible();
  await expect(phone.getByText('No connection, kept here.')).toBeVisible();
  await context.setOffline(false);

  await phone.goto(`${atHome.url}/scan`);
  await expect.poll(() => phone.evaluate(() => (document.querySelector('video')?.videoWidth ?? 0) > 0), { timeout: 20_000 }).toBe(true);

  const { sessions } = await atHome.at<SessionsAnswer>('/sessions');
  await phone.goto(`${atHome.url}/worktop/${sessions.find((s) => s.day > '2026-11-24')!.id}`);
  await expect(phone.getByRole('button', { name: /^(Start|Done)/ }).first()).toBeVisible();
  expect(await phone.evaluate(async () => (await navigator.wakeLock.request('screen')).type)).toBe('screen');
  await expect(phone.getByText(/screen may sleep/i)).toBeHidden();
});

test('put out in the middle of a queue, a phone loses nothing: it comes in again and all of it is sent, once', async ({ atHome }) => {
  const { page: phone, context } = await atHome.device();
  const { sessions } = await atHome.at<SessionsAnswer>('/sessions');
  const { id } = sessions.find((s) => s.day > '2026-11-24')!;
  await atHome.comeIn(phone, 'Phone', `/shop/${id}`);
  await keptHere(phone);
  await expect(phone.getByRole('checkbox').first()).toBeVisible();
  const ticked = async (): Promise<number> =>
    (await atHome.at<HistoryAnswer>('/history?limit=500')).entries.flatMap((e) => e.within ?? [e]).filter((e) => e.type === 'event').length;
  const before = await ticked();
  await context.setOffline(true);
  const names: string[] = [];
  for (let i = 0; i < 3; i += 1) {
    const line = phone.getByRole('checkbox', { checked: false }).first();
    const name = (await line.getAttribute('aria-label')) ?? '';
    names.push(name);
    await line.click();
    await expect(phone.getByRole('checkbox', { name, exact: true })).toBeChecked();
  }
  const [entry] = (await atHome.home()).devices;
  await atHome.at(`/home/devices/${entry!.id}/end`, {});
  await context.setOffline(false);
  await expect(phone.getByRole('heading', { name: 'Come in' })).toBeVisible({ timeout: 40_000 });
  await expect(phone.getByText(/^3\sentries/)).toBeVisible();
  // shut and opened again it still has them, and shows nothing of the household
  await phone.reload();
  await expect(phone.getByText(/^3\sentries/)).toBeVisible({ timeout: 20_000 });
  await phone.getByLabel('Passphrase', { exact: true }).fill(passphrase);
  await phone.getByRole('button', { name: 'Come in' }).click();
  await expect(phone.getByRole('checkbox').first()).toBeVisible({ timeout: 30_000 });
  await settled(phone);
  for (const name of names) await expect(phone.getByRole('checkbox', { name, exact: true })).toBeChecked();
  expect((await ticked()) - before).toBe(3);
});

test('another name: one tap takes a phone over with what is half made on it, and it is not asked again', async ({ atHome }) => {
  const { page: phone } = await atHome.device();
  await atHome.comeIn(phone, 'Phone', '/store/count');
  await phone.getByLabel('What it is, how many, about when, where').fill('leek soup 4 oct shed left');
  await phone.waitForTimeout(500);
  const own = await phone.evaluate(() => localStorage.getItem('tambo.device'));
  await atHome.at('/home/name', { name: 'galley' });
  await phone.reload();
  await phone.getByRole('button', { name: 'Go over' }).click();
  await phone.waitForURL(/^https:\/\/galley\.local:\d+\/$/, { timeout: 30_000 });
  await expect(phone.getByRole('heading', { name: /Tuesday/ })).toBeVisible({ timeout: 20_000 });
  await expect(phone.getByText('leek soup 4 oct shed left').first()).toBeVisible();
  expect(await phone.evaluate(() => localStorage.getItem('tambo.device'))).toBe(own);
  await expect(phone.getByRole('button', { name: 'Go over' })).toBeHidden();
  expect((await atHome.home()).devices.map((d) => d.name)).toEqual(['Phone']);
});

test('a helper has one evening: the link shows one session’s work and ticks it off for all, without trust or passphrase', async ({
  atHome,
  page,
}) => {
  const { sessions } = await atHome.at<SessionsAnswer>('/sessions');
  const { id } = sessions.find((s) => s.day > '2026-11-24')!;
  await page.goto(`${atHome.server.address}/cook/${id}`);
  await page.getByRole('button', { name: 'Helper' }).click();
  await page.getByRole('button', { name: 'Make a link' }).click();
  await expect(page.getByRole('img', { name: /Code of the link/ })).toBeVisible();
  const { links } = await atHome.home();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  const before = await page.getByRole('heading', { level: 1 }).innerText();

  const helper = await atHome.stranger();
  // by name, as from another device: a browser takes loopback for its own computer
  await helper.goto(links[0]!.url!.replace('127.0.0.1', 'our-kitchen.local'));
  await expect(helper.getByRole('heading', { level: 1 })).toHaveText(sessions.find((s) => s.id === id)!.name);
  expect(await seriousFaults(helper)).toEqual([]);
  const todo = await helper.getByText(/to go\. This page ends/).innerText();
  const first = helper.getByRole('checkbox').first();
  await first.dblclick();
  await expect(helper.getByText(/to go\. This page ends/)).not.toHaveText(todo);
  await expect(page.getByRole('heading', { level: 1 })).not.toHaveText(before, { timeout: 15_000 });
  expect(await helper.evaluate(() => [isSecureContext, 'serviceWorker' in navigator])).toEqual([false, false]);
  await atHome.at(`/home/links/${links[0]!.id}/end`, {});
  await helper.reload().catch(() => undefined);
  await expect(helper.getByRole('checkbox')).toHaveCount(0);
});

test('a week of three phones and a tablet, half of it without signal: everything is counted once, and the owner can say who is in', async ({
  atHome,
}) => {
  test.setTimeout(600_000);
  const called = ['Marit’s phone', 'Joaquim’s phone', 'Old phone', 'Tablet at the worktop'];
  const devices = [];
  for (const name of called) {
    const d = await atHome.device(name.startsWith('Tablet') ? { viewport: { width: 1024, height: 768 }, hasTouch: true } : undefined);
    await atHome.comeIn(d.page, name);
    await keptHere(d.page);
    devices.push(d);
  }
  const { packs } = await atHome.at<StoreAnswer>('/store');
  const codes = packs.filter((p) => p.status === 'frozen').map((p) => p.code);
  const done: string[] = [];
  let n = 0;
  for (let day = 0; day < 7; day += 1) {
    await Promise.all(
      devices.map(async ({ page, context }, i) => {
        // by turns: on each day two of them have no signal, not the same two
        await context.setOffline((day + i) % 2 === 0);
        const code = codes[n++]!;
        done.push(code);
        await page.goto(`${atHome.url}/p/${code}`);
        const out = page.getByRole('button', { name: 'Take out', exact: true });
        await out.click();
        await expect(out).toBeHidden({ timeout: 30_000 });
      }),
    );
  }
  for (const { context, page } of devices) {
    await context.setOffline(false);
    await settled(page);
  }
  const after = (await atHome.at<StoreAnswer>('/store')).packs;
  expect(done.filter((code) => after.find((p) => p.code === code)?.status !== 'fridge')).toEqual([]);
  expect(after.filter((p) => p.status === 'fridge').length).toBe(packs.filter((p) => p.status === 'fridge').length + done.length);
  // each page says the same now
  const heads = await Promise.all(
    devices.map(async ({ page }) => {
      await page.goto(`${atHome.url}/store`);
      return page.getByText(/^\d+\spacks\sof/).innerText();
    }),
  );
  expect(new Set(heads).size).toBe(1);
  const { devices: listed } = await atHome.home();
  expect(listed.map((d) => d.name).toSorted()).toEqual(called.toSorted());
  await expect.poll(async () => (await atHome.home()).devices.map((d) => d.waiting?.count), { timeout: 20_000 }).toEqual([0, 0, 0, 0]);
  await atHome.at(`/home/devices/${listed.find((d) => d.name === 'Old phone')!.id}/end`, {});
  await devices[2]!.page.reload();
  await expect(devices[2]!.page.getByRole('heading', { name: 'Come in' })).toBeVisible({ timeout: 20_000 });
  await devices[0]!.page.reload();
  await expect(devices[0]!.page.getByText(/^\d+\spacks\sof/)).toBeVisible();
});

test.describe('at the computer', () => {
  test.use({ opened: false });

  test('it is opened, named anew, given another passphrase, asked for it itself and shut, each with what it means', async ({
    atHome,
    page,
  }) => {
    await page.goto(`${atHome.server.address}/kitchen?tab=household`);
    const card = page.getByRole('region', { name: 'Home network' });
    await expect(card).toContainText('Shut: Tambo answers on this computer only.');
    const open = card.getByRole('button', { name: 'Open to the home network' });
    // what cannot be taken is said at its field, and nothing is opened
    await card.getByLabel('What phones find it by').fill('our kitchen!');
    await card.getByLabel('Passphrase', { exact: true }).fill('short');
    await open.click();
    await expect(card.getByText(/^Small letters, digits/)).toBeVisible();
    await expect(card.getByText('Twelve letters or more', { exact: true })).toBeVisible();
    await card.getByLabel('What phones find it by').fill('our-kitchen');
    await card.getByLabel('Passphrase', { exact: true }).fill('password1234');
    await open.click();
    await expect(card.getByRole('alert')).toContainText('It would be guessed early');
    await card.getByRole('button', { name: 'Make one up' }).click();
    await expect(card.getByLabel('Passphrase', { exact: true })).toHaveValue(/^([a-z]+ ){4}[a-z]+$/);
    const made = await card.getByLabel('Passphrase', { exact: true }).inputValue();
    expect(await seriousFaults(page)).toEqual([]);
    await open.click();
    await expect(card).toContainText(/Open at https:\/\/our-kitchen\.local:\d+/);
    await expect(card).toContainText('No device is in yet');

    // lids carry the address from now on
    await card.getByRole('button', { name: 'Print it on lids' }).click();
    await expect(card.getByRole('button', { name: 'Print it on lids' })).toBeHidden();

    await card.getByRole('button', { name: 'Another name' }).click();
    const dialog = page.getByRole('dialog');
    await expect(dialog).toContainText('That name still answers for 30 days');
    await dialog.getByLabel('What phones find it by').fill('galley');
    await dialog.getByRole('button', { name: 'Take the new name' }).click();
    await expect(card).toContainText(/Open at https:\/\/galley\.local:\d+/);
    await expect(card).toContainText('our-kitchen.local still answers until');

    await card.getByRole('button', { name: 'Another passphrase' }).click();
    await dialog.getByLabel('Passphrase', { exact: true }).fill(passphrase);
    await dialog.getByRole('button', { name: 'Take the new passphrase' }).click();
    await expect(dialog).toBeHidden();

    // the computer is asked too: the old passphrase opens nothing, the new one does
    await card.getByRole('button', { name: 'It is asked too' }).click();
    await expect(page.getByRole('heading', { name: 'Come in' })).toBeVisible();
    await page.getByLabel('Passphrase', { exact: true }).fill(made);
    await page.getByRole('button', { name: 'Come in' }).click();
    await expect(page.getByRole('alert')).toContainText('That was not it');
    await page.getByLabel('Passphrase', { exact: true }).fill(passphrase);
    await page.getByRole('button', { name: 'Come in' }).click();
    await card.getByRole('button', { name: 'This computer needs no passphrase' }).click();

    await card.getByRole('button', { name: 'Shut it to the home network' }).click();
    await dialog.getByRole('button', { name: 'Shut it', exact: true }).click();
    await expect(card).toContainText('Shut: Tambo answers on this computer only.');
    // opened again it asks for no passphrase that is known already
    await expect(card.getByLabel('Passphrase', { exact: true })).toHaveCount(0);
  });
});
