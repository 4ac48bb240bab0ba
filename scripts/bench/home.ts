import { readFileSync } from 'node:fs';
import { request } from 'node:https';
import path from 'node:path';
import type { Page } from '@playwright/test';
import { ulid } from 'ulid';
import { waitMs, type WrongTry } from '#core/access';
import type { HomeAnswer } from '#core/contract';
import type { SessionsAnswer, StoreAnswer } from '#core/queries';
import { homeBrowser } from '../../e2e/trusting.ts';
import type { RunningServer } from '../server.mjs';
import { note, p95, timed, wait } from './figures.ts';

const passphrase = 'leek dill barley plum rye';
const devices = 5;
const perMinute = 50;
const minutes = 1;
const shown = 24;
const hourMs = 60 * 60_000;

/** A device of the home that asks over https, with the cookie it was given. */
interface Device {
  cookie: string;
  ask(path: string, body?: unknown): Promise<{ text: string; cookie: string }>;
}

function deviceOf(port: number, ca: string): Device {
  const device: Device = {
    cookie: '',
    ask: (p, body) =>
      new Promise((resolve, reject) => {
        const sent = body === undefined ? undefined : JSON.stringify(body);
        const req = request(
          {
            host: '127.0.0.1',
            port,
            path: `/api${p}`,
            method: sent === undefined ? 'GET' : 'POST',
            ca,
            servername: 'our-kitchen.local',
            headers: {
              host: `our-kitchen.local:${port}`,
              ...(sent !== undefined && { 'content-type': 'application/json' }),
              ...(device.cookie !== '' && { cookie: device.cookie }),
            },
          },
          (res) => {
            let text = '';
            res.setEncoding('utf8');
            res.on('data', (chunk: string) => (text += chunk));
            res.on('end', () =>
              res.statusCode === 200
                ? resolve({ text, cookie: res.headers['set-cookie']?.[0]?.split(';')[0] ?? '' })
                : reject(new Error(`${p} answered ${res.statusCode}: ${text}`)),
            );
          },
        );
        req.on('error', reject);
        req.end(sent);
      }),
  };
  return device;
}

/** From the tap on one device to the tick on the other's list. */
async function showsOnAnother(server: RunningServer, url: string, ca: string): Promise<void> {
  const { browser, close } = await homeBrowser(ca);
  const { sessions } = (await (await fetch(`${server.address}/api/sessions`)).json()) as SessionsAnswer;
  const list = sessions.find((s) => s.day > '2026-11-24')?.id ?? '';
  const open = async (name: string): Promise<Page> => {
    const page = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
    await page.goto(`${url}/shop/${list}`);
    await page.getByLabel('Passphrase', { exact: true }).fill(passphrase);
    await page.getByLabel('What it is called here').fill(name);
    await page.getByRole('button', { name: 'Come in' }).click();
    await page.getByRole('checkbox').first().waitFor();
    return page;
  };
  const [one, two] = [await open('One'), await open('Two')];
  await wait(3000);
  const name = (await one.getByRole('checkbox').first().getAttribute('aria-label')) ?? '';
  const [here, there] = [one, two].map((p) => p.getByRole('checkbox', { name, exact: true })) as [
    ReturnType<Page['locator']>,
    ReturnType<Page['locator']>,
  ];
  const times: number[] = [];
  for (let n = 0; n < shown; n += 1) {
    const to = !(await here.isChecked());
    times.push(
      await timed(async () => {
        await here.click();
        await there.and(two.getByRole('checkbox', { checked: to })).waitFor({ state: 'attached' });
      }),
    );
    await wait(700);
  }
  await close();
  note('What one device logs shows on another, over https, p95 of 24', p95(times), 1000, 'ms');
}

/** A household of five devices that log at once, Today asked for meanwhile. */
async function fiveDevices(port: number, ca: string, store: StoreAnswer): Promise<void> {
  const all = await Promise.all(Array.from({ length: devices }, () => Promise.resolve(deviceOf(port, ca))));
  for (const [i, d] of all.entries())
    d.cookie = (await d.ask('/door/in', { passphrase, device: `bench${i}`, name: `Device ${i}`, kind: 'phone' })).cookie;
  const todays: number[] = [];
  const jobs: Promise<unknown>[] = [];
  const start = performance.now();
  const total = devices * perMinute * minutes;
  for (let n = 0; n < total; n += 1) {
    const early = start + (n * 60_000) / (devices * perMinute) - performance.now();
    if (early > 0) await wait(early);
    const pack = store.packs[n % store.packs.length];
    const event = {
      id: ulid(),
      type: 'moved',
      subjects: [pack?.packId ?? ''],
      instant: new Date(Date.parse('2026-11-24T17:00:00.000Z') + n).toISOString(),
      device: `bench${n % devices}`,
      counter: n,
      version: 1,
      data: { placeId: 'place_shed', zoneId: n % 2 ? 'shed_left' : 'shed_right' },
    };
    const device = all[n % devices];
    if (!device) continue;
    jobs.push(device.ask('/events', [event]));
    if (n % 2 === 0) jobs.push(timed(() => device.ask('/today')).then((ms) => todays.push(ms)));
  }
  await Promise.all(jobs);
  note(`Today's API over https, ${devices} devices with ${perMinute} entries a minute each, p95`, p95(todays), 50, 'ms', 1);
}

/** Tries of a guesser with a hundred addresses who tries as soon as it is let, in its best hour of six. */
function guesser(): number {
  const tries: WrongTry[] = [];
  const addresses = Array.from({ length: 100 }, (_, i) => `10.0.1.${i}`);
  for (let at = 0; at < 6 * hourMs;) {
    const [next] = addresses.map((address) => ({ address, ms: waitMs(tries, address, at) })).toSorted((a, b) => a.ms - b.ms);
    if (!next) break;
    if (next.ms === 0) tries.push({ at, address: next.address });
    at += Math.max(1, next.ms);
  }
  return Math.max(...tries.map((t) => tries.filter((u) => u.at >= t.at && u.at < t.at + hourMs).length));
}

/** The household opened to its home network. */
export async function overTheDoor(server: RunningServer): Promise<void> {
  const post = async (p: string, body: object): Promise<unknown> =>
    (
      await fetch(`${server.address}/api${p}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      })
    ).json();
  const home = (await post('/home/open', { name: 'our-kitchen', passphrase })) as HomeAnswer;
  const { authority } = JSON.parse(readFileSync(path.join(server.data, 'demo.access.json'), 'utf8')) as { authority: { certPem: string } };
  const store = (await (await fetch(`${server.address}/api/store`)).json()) as StoreAnswer;
  await showsOnAnother(server, home.urls[0] ?? '', authority.certPem);
  await fiveDevices(home.port, authority.certPem, store);
  note('Tries of a guesser in its best hour', guesser(), 30, 'tries');
}
