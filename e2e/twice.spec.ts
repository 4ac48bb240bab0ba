import type { ElementHandle, Page } from '@playwright/test';
import type { SessionsAnswer, StoreAnswer } from '../core/session/index.ts';
import type { RunningServer } from '../scripts/server.mjs';
import { expect, getJson, ready, test } from './base.ts';

/**
 * Every control that acts, tapped once and tapped twice: the same events and documents. What is logged stays in the device's queue, since the
 * server never answers, so that each control is tried on the same household.
 */
test.skip(process.env.TAMBO_TWICE === undefined, 'walks every control, and takes some ten minutes: TAMBO_TWICE=1');
test.setTimeout(900_000);

/** Meant twice, and so left out: steppers, more minutes, one more or less of something. Each stands here with its reason. */
const meantTwice: readonly { name: RegExp; why: string }[] = [
  { name: /^(less|more|one (less|more)|minus|plus|[+−-])\b/i, why: 'a stepper goes a step each time' },
  { name: /5 more min/i, why: 'five minutes more, and five more after that' },
  { name: /read the scale|put it on/i, why: 'the stand-in scale is read again each time' },
];

/** Controls that only look elsewhere or leave the page; they write nothing and cost a load each. */
const elsewhere = /^(print|save the|download|choose|open the picture|take a picture|keys|settings|light|dark|why)\b/i;

const parts = 4;
/** Of one kind of control on a page, so many are tried: forty packs have the same button. */
const ofAKind = 2;
const mostDeep = 8;

async function pagesOf(server: RunningServer): Promise<string[]> {
  const { sessions } = await getJson<SessionsAnswer>(server, '/sessions');
  const { packs } = await getJson<StoreAnswer>(server, '/store');
  const next = sessions.find((s) => s.day > '2026-11-24')!;
  const fridge = packs.find((p) => p.status === 'fridge') ?? packs[0]!;
  return [
    '/',
    `/pack/${next.id}`,
    `/cook/${next.id}`,
    `/worktop/${next.id}`,
    `/shop/${next.id}`,
    `/plan/${next.id}`,
    '/plan?new=1',
    `/p/${packs.find((p) => p.status === 'frozen')!.code}`,
    `/p/${fridge.code}`,
    '/store',
    '/store/count',
    '/eat',
    '/eat?log=1',
    '/recipes/recipe_stew',
    '/recipes/feel',
    `/pack/${sessions.find((s) => s.day < '2026-11-24')!.id}/labels`,
    '/kitchen',
    '/kitchen?tab=gear',
    '/kitchen?tab=containers',
    '/kitchen?tab=places',
    '/kitchen?tab=larder&i=leek',
    '/kitchen?tab=household',
    '/history',
  ];
}

interface Kept {
  kind: string;
  body: { id?: string; writeId?: string; type?: string; subjects?: string[]; data?: unknown; changes?: unknown };
}

/** What waits in the device's queue. */
const queue = (page: Page): Promise<Kept[]> =>
  page.evaluate(
    () =>
      new Promise<Kept[]>((resolve, reject) => {
        const open = indexedDB.open('tambo');
        open.onerror = () => reject(new Error('no device store'));
        open.onsuccess = () => {
          const db = open.result;
          if (!db.objectStoreNames.contains('queue')) {
            db.close();
            return resolve([]);
          }
          const all = db.transaction('queue').objectStore('queue').getAll();
          all.onsuccess = () => {
            db.close();
            resolve(all.result as Kept[]);
          };
        };
      }),
  );

const emptied = (page: Page): Promise<void> =>
  page.evaluate(
    () =>
      new Promise<void>((resolve) => {
        const open = indexedDB.open('tambo');
        open.onsuccess = () => {
          const db = open.result;
          if (!db.objectStoreNames.contains('queue')) {
            db.close();
            return resolve();
          }
          const tx = db.transaction('queue', 'readwrite');
          tx.objectStore('queue').clear();
          tx.oncomplete = () => {
            db.close();
            resolve();
          };
        };
      }),
  );

/** What was meant, by kind; ids drawn anew, codes and moments of a device are no part of it. */
const meant = (kept: readonly Kept[]): string[] => {
  const once = new Map(kept.map((k) => [`${k.kind} ${k.body.id ?? k.body.writeId ?? ''}`, k]));
  return [...once.values()]
    .map((k) => `${k.kind} ${k.body.type ?? ''} ${k.body.changes ? JSON.stringify(tables(k.body.changes)) : ''}`)
    .toSorted();
};
const tables = (changes: unknown): string[] => (changes as { table: string }[]).map((c) => c.table);

type Control = ElementHandle<HTMLElement>;

/** What can be tapped now, by what it says; a name that is there twice has its number beside it. */
async function controls(page: Page): Promise<{ name: string; nth: number; control: Control }[]> {
  const counts = new Map<string, number>();
  const list: { name: string; nth: number; control: Control }[] = [];
  for (const c of await page.$$('main button, [role=dialog] button, main [role=checkbox], main [role=radio], main [role=switch]')) {
    const control = c as Control;
    const name = await control
      .evaluate((e) =>
        e.checkVisibility() && !e.matches(':disabled') ? (e.getAttribute('aria-label') ?? e.innerText).replace(/\s+/g, ' ').trim() : '',
      )
      .catch(() => '');
    if (name === '') continue;
    const nth = counts.get(name) ?? 0;
    counts.set(name, nth + 1);
    list.push({ name, nth, control });
  }
  return list;
}

/** How a control stands: on, off, or neither. */
const stateOf = (c: Control): Promise<string> =>
  c.evaluate((e) => ['aria-checked', 'aria-pressed', 'aria-expanded'].map((a) => e.getAttribute(a) ?? '').join());

/** Buttons of one kind say the same but for names and figures. */
const kindOf = (name: string): string =>
  name
    .replace(/[\d½¼¾.,]+/g, '#')
    .split(':')[0]!
    .split(' ')
    .slice(0, 2)
    .join(' ');

interface Step {
  name: string;
  nth: number;
}

async function find(page: Page, step: Step): Promise<Control | undefined> {
  return (await controls(page)).find((c) => c.name === step.name && c.nth === step.nth)?.control;
}

async function open(page: Page, address: string): Promise<void> {
  // what the last tap left in the queue must not be there when the page begins
  await emptied(page);
  await page.goto(address);
  await ready(page);
}

/** Walks to a control and taps it; what waits in the queue then. Undefined when it is not there, or something else lies over it. */
async function tap(page: Page, address: string, path: readonly Step[], how: 'once' | 'twice' | 'held'): Promise<string[] | undefined> {
  await open(page, address);
  try {
    for (const step of path.slice(0, -1)) {
      const c = await find(page, step);
      if (!c) return undefined;
      await c.click({ timeout: 2000 });
      await page.waitForTimeout(60);
    }
    const last = path.at(-1);
    const c = last && (await find(page, last));
    if (!c) return undefined;
    if (how === 'once') await c.click({ timeout: 2000 });
    else if (how === 'twice') {
      const before = await stateOf(c);
      await c.dblclick({ timeout: 2000 });
      // an impatient third tap, while the control is still there and still says the same: what has switched is switched back on purpose
      await page.waitForTimeout(350);
      const still = await find(page, last);
      if (still && (await stateOf(still)) === before) await still.click({ timeout: 1000 }).catch(() => undefined);
    } else {
      await c.focus();
      for (let i = 0; i < 4; i += 1) await page.keyboard.down('Enter');
      await page.keyboard.up('Enter');
    }
  } catch {
    return undefined;
  }
  await page.waitForTimeout(120);
  return meant(await queue(page));
}

async function stepsHere(page: Page): Promise<Step[]> {
  const kinds = new Map<string, number>();
  return (await controls(page)).flatMap(({ name, nth }) => {
    const kind = kindOf(name);
    const n = kinds.get(kind) ?? 0;
    kinds.set(kind, n + 1);
    return n < ofAKind && !elsewhere.test(name) && !meantTwice.some((m) => m.name.test(name)) ? [{ name, nth }] : [];
  });
}

/** Paths to every control of a page that logs or writes: those on it, and those that one tap brings up. */
async function actingPaths(page: Page, address: string): Promise<Step[][]> {
  await open(page, address);
  const found: Step[][] = [];
  const here = await stepsHere(page);
  for (const step of here) {
    const did = await tap(page, address, [step], 'once');
    if (did === undefined) continue;
    if (did.length > 0) {
      found.push([step]);
      continue;
    }
    // what it brought up
    const there = (await stepsHere(page)).filter((s) => !here.some((h) => h.name === s.name && h.nth === s.nth)).slice(0, mostDeep);
    for (const next of there) {
      const then = await tap(page, address, [step, next], 'once');
      if (then && then.length > 0) found.push([step, next]);
    }
  }
  return found;
}

for (let part = 0; part < parts; part += 1)
  test(`a second tap counts nothing twice: part ${part + 1} of ${parts}`, async ({ page, server }) => {
    // a server that never answers: what is logged stays where it is
    for (const way of ['events', 'writes', 'undo']) await page.route(`**/api/${way}`, () => undefined);
    await page.goto(server.address);
    await ready(page);
    const pages = (await pagesOf(server)).filter((_, i) => i % parts === part);
    let tried = 0;
    for (const path of pages) {
      const address = `${server.address}${path}`;
      for (const steps of await actingPaths(page, address)) {
        const says = `${path}: ${steps.map((s) => s.name).join(' > ')}`;
        const once = await tap(page, address, steps, 'once');
        for (const how of ['twice', 'held'] as const) {
          const did = (await tap(page, address, steps, how)) ?? (await tap(page, address, steps, how));
          expect.soft(did, `${says}, ${how}`).toEqual(once);
        }
        tried += 1;
      }
    }
    test.info().annotations.push({ type: 'controls tried', description: String(tried) });
    expect(tried).toBeGreaterThan(3);
  });
