import { chromium } from '@playwright/test';
import type { Recipe, Revision } from '../../core/contract/index.ts';
import { writtenStarters } from '../../server/recipe/written/index.ts';
import { chromiumArgs, startServer } from '../server.mjs';
import { findChromium } from '../setup.mjs';
import { median, note, p95, timed } from './figures.ts';
import { shownScript } from './hand.ts';
import { keyScript } from './scaling.ts';

const wanted = 2000;
const atOnce = 150;

/** Two thousand recipes: those that come with Tambo, over and over under other names. */
function recipes(): { recipe: Recipe; revision: Revision }[] {
  const own = writtenStarters('2026-01-01T00:00:00.000Z').filter((s) => s.revision.lines.every((l) => l.item.type !== 'recipe'));
  return Array.from({ length: wanted }, (_, i) => {
    const { recipe, revision } = own[i % own.length]!;
    const [id, revisionId, name] = [`b${i}`, `v${i}`, `${recipe.name}, ${Math.floor(i / own.length) + 1}`];
    return { recipe: { ...recipe, id, revisionId, name }, revision: { ...revision, id: revisionId, recipeId: id, name } };
  });
}

async function write(address: string): Promise<void> {
  const all = recipes();
  for (let i = 0; i < all.length; i += atOnce) {
    const changes = all.slice(i, i + atOnce).flatMap((r) => [
      { table: 'recipe_revision', id: r.revision.id, data: r.revision },
      { table: 'recipe', id: r.recipe.id, data: r.recipe },
    ]);
    const answer = await fetch(`${address}/api/writes`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ writeId: `bench-${i}`, device: 'bench', instant: '2026-11-24T16:00:00.000Z', label: 'bench', changes }),
    });
    if (!answer.ok) throw new Error(`recipes were not taken: ${answer.status} ${await answer.text()}`);
  }
}

/** A library of two thousand recipes: asked for, opened, searched. */
export async function longLibrary(env: Record<string, string>): Promise<void> {
  const server = await startServer({ env });
  await write(server.address);
  const ask = (): Promise<number> => timed(async () => (await fetch(`${server.address}/api/recipes`)).arrayBuffer());
  await ask();
  const answers: number[] = [];
  for (let i = 0; i < 20; i += 1) answers.push(await ask());
  note(`The library's API with ${wanted.toLocaleString('en-GB')} recipes, p95 of ${answers.length}`, p95(answers), 100, 'ms', 1);

  const browser = await chromium.launch({ executablePath: findChromium() ?? '/usr/bin/chromium', args: chromiumArgs });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
  await page.addInitScript(shownScript);
  await page.addInitScript(keyScript);
  await page.goto(`${server.address}/recipes`);
  const stations = page.getByRole('navigation', { name: 'Stations', exact: true });
  await page.getByRole('heading', { level: 3 }).first().waitFor();
  const opened: number[] = [];
  for (let i = 0; i < 6; i += 1) {
    await stations.getByRole('link', { name: 'Eat' }).click();
    await page.getByRole('heading', { name: 'Eat', exact: true }).waitFor();
    await page.waitForTimeout(600);
    const shown = page.evaluate(`window.shows(() => document.querySelectorAll('main h3').length >= 60)`) as Promise<number>;
    await stations.getByRole('link', { name: 'Recipes' }).click();
    opened.push(await shown);
    await page.waitForTimeout(600);
  }
  note('The same library opens from a warm store, median of 5', median(opened.slice(1)), 300, 'ms');
  await page.getByLabel('Search recipes').focus();
  await page.evaluate('window.keyTimes.length = 0');
  const typed = [...'leeks not milk'];
  for (const key of [...typed, ...typed.map(() => 'Backspace'), ...typed]) {
    await page.keyboard.press(key === ' ' ? 'Space' : key);
    await page.waitForTimeout(120);
  }
  note('A key in its search, to the next frame, p95 of 42', p95((await page.evaluate('window.keyTimes')) as number[]), 50, 'ms', 1);
  await browser.close();
  await server.stop();
}
