/** `npm run shots`: one picture of each main view from the demo data, the clock stopped. `-- --only today,eat` takes some, `--out DIR` puts them elsewhere, `--phone` and `--dark` change how they are taken. */
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { ensureBuilt, ensureChromium, ensureInstalled, root } from './setup.mjs';

ensureInstalled();
const executablePath = ensureChromium();
await ensureBuilt();
const { chromium } = await import('@playwright/test');
const { chromiumArgs, startServer } = await import('./server.mjs');

const arg = (name) => {
  const i = process.argv.indexOf(`--${name}`);
  return i < 0 ? undefined : process.argv[i + 1];
};
const out = path.resolve(root, arg('out') ?? 'docs/screenshots');
const only = arg('only')?.split(',');
mkdirSync(out, { recursive: true });

const server = await startServer({
  env: {
    TAMBO_DEMO: '1',
    TAMBO_NOW: '2026-11-24T16:00:00.000Z',
    TAMBO_CLOCK: 'stopped',
    TAMBO_HOME_ADDRESSES: '192.168.1.20',
    TAMBO_HOME_QUIET: '1',
  },
});
const browser = await chromium.launch({ executablePath, args: chromiumArgs });
const get = async (p) => (await fetch(`${server.address}/api${p}`)).json();
const { sessions } = await get('/sessions');
const next = sessions.find((s) => s.day > '2026-11-24');
const done = sessions.find((s) => s.day < '2026-11-24');
const recipes = await get('/recipes');
const { packs } = await get('/store');
const stew = recipes.find((r) => r.recipe.name.includes('aubergine'));
const meal = packs.find((p) => p.kind === 'meal');
const views = {
  today: '/',
  recipes: '/recipes',
  recipe: `/recipes/${stew.recipe.id}?by=vessel&v=gear_pot9&unsalted=2`,
  feel: '/recipes/feel',
  import: '/recipes/new',
  write: `/recipes/${stew.recipe.id}/edit`,
  method: `/recipes/${stew.recipe.id}/edit?shelf`,
  plan: `/plan/${next.id}`,
  shop: `/shop/${next.id}`,
  cook: `/cook/${next.id}`,
  pack: `/pack/${next.id}`,
  labels: `/pack/${done.id}/labels`,
  store: '/store',
  packDetail: `/p/${meal.code}`,
  eat: '/eat',
  log: '/eat?log=tonight',
  kitchen: '/kitchen',
  containers: '/kitchen?tab=containers',
  pots: '/kitchen?tab=gear',
  larder: '/kitchen?tab=larder&i=leek',
  figures: '/kitchen?tab=figures',
  history: '/history',
  plans: '/plan',
  places: '/kitchen?tab=places',
  copies: '/kitchen?tab=data',
  welcome: '/welcome?step=3',
  phone: `/shop/${next.id}`,
  dark: '/',
  home: '/kitchen?tab=household',
  // last: it begins to cook
  worktop: `/worktop/${next.id}`,
};
const kept = [
  'larder',
  'today',
  'recipes',
  'recipe',
  'method',
  'plan',
  'shop',
  'cook',
  'pack',
  'labels',
  'store',
  'packDetail',
  'eat',
  'log',
  'kitchen',
  'welcome',
  'phone',
  'home',
  'worktop',
];

/** Pictures that are taken otherwise than at a table by day. */
const looks = {
  phone: { viewport: { width: 390, height: 844 }, hasTouch: true },
  dark: { colorScheme: 'dark' },
  worktop: { viewport: { width: 1180, height: 820 } },
};

const post = (p, body) =>
  fetch(`${server.address}/api${p}`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });

/** The household stands open, and a phone is being added. */
async function openHome() {
  await post('/home/open', { name: 'our-kitchen', passphrase: 'five words nobody has chosen yet' });
  await post('/home/trust', { on: true });
}

/** Some clocks run on the worktop: tasks that began a while ago. */
async function beginToCook() {
  const { tasks } = await get(`/sessions/${next.id}`);
  const started = tasks.filter((t) => t.waitMin > 0 && t.after.length === 0).slice(0, 2);
  const events = started.map((t, i) => ({
    id: `shots-${i}`,
    type: 'taskStarted',
    subjects: [next.id],
    instant: `2026-11-24T15:${22 + i * 6}:00.000Z`,
    device: 'shots',
    counter: i,
    version: 1,
    data: { sessionId: next.id, taskId: t.id, cookId: i === 0 ? 'cook_joaquim' : 'cook_neighbour' },
  }));
  await post('/events', events);
}

for (const [name, url] of Object.entries(views)) {
  if (only ? !only.includes(name) : !kept.includes(name)) continue;
  const phone = process.argv.includes('--phone');
  const page = await browser.newPage({
    viewport: phone ? { width: 390, height: 844 } : { width: 1280, height: Number(arg('height') ?? 800) },
    colorScheme: process.argv.includes('--dark') ? 'dark' : 'light',
    hasTouch: phone,
    ...looks[name],
  });
  if (name === 'worktop') await beginToCook();
  if (name === 'home') await openHome();
  page.on('console', (m) => m.type() === 'error' && console.log(name, m.text()));
  page.on('pageerror', (e) => console.log(name, 'page error', e.message));
  await page.goto(server.address + url, { waitUntil: 'networkidle' });
  if (name === 'labels')
    await page
      .getByText('All packs again')
      .click()
      .catch(() => {});
  if (name === 'method') await page.getByLabel('How it is cooked').evaluate((e) => e.scrollIntoView());
  if (name === 'home') await page.getByRole('heading', { name: 'Home network' }).evaluate((e) => e.scrollIntoView());
  if (name === 'welcome') await page.getByRole('textbox').fill('leek soup 4 about october shed left');
  await page.waitForTimeout(250);
  const wide = await page.evaluate('document.documentElement.scrollWidth');
  if (wide > page.viewportSize().width) console.log(`${name} is ${wide} px wide`);
  await page.screenshot({ path: path.join(out, `${name}.png`), fullPage: process.argv.includes('--full') });
  await page.close();
  console.log(`${name}.png`);
}
await browser.close();
await server.stop();
