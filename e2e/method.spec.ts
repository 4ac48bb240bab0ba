import type { RecipeAnswer, RecipeBrief } from '../core/queries/index.ts';
import type { SessionView } from '../core/session/index.ts';
import { expect, getJson, seriousFaults, settled, test } from './base.ts';

/** A family's own, with a leaf nobody puts anywhere and a fat nobody lists. */
const family = `Sunday lamb and barley

Makes 10 portions

Ingredients
1.5 kg lamb shoulder, diced
3 onions, sliced
2 leeks, sliced
200 g pearl barley
2 litres stock
1 bay leaf
parsley, to serve

Method
The night before, soak the barley in plenty of water.
Brown the lamb in 3 tbsp oil in four lots, 6 minutes each, and set aside. Meanwhile sweat the onions and leeks, 12 minutes.
Put the lamb back, pour in the stock and simmer for 1 1/2 hours, lid ajar. Add the drained barley and cook 30 minutes more.
Cool fast and freeze in twos. Scatter parsley over each plate.`;

const idOf = (url: string): string => /\/recipes\/(?:write\/)?([^/?]+)/.exec(url)?.[1] ?? '';

test('a pasted family recipe: a question answered, bound by keyboard, parted, kept, and planned in a legal order', async ({
  page,
  server,
}) => {
  await page.goto(`${server.address}/recipes/new`);
  await page.getByRole('button', { name: 'Paste a recipe' }).click();
  await page.getByLabel('The recipe as text').fill(family);
  await page.getByRole('button', { name: 'Read it' }).click();
  const shelf = page.getByRole('region', { name: 'How it is cooked' }).or(page.getByLabel('How it is cooked'));
  await expect(shelf.getByRole('button', { name: /^Step \d+ .*: open$/ })).not.toHaveCount(0);

  // what is listed nowhere, and what goes nowhere
  await expect(page.getByLabel('Before you trust it')).toContainText('Oil');
  await page.getByRole('button', { name: /^List 3 tbsp/ }).click();
  await expect(page.getByLabel('Before you trust it').getByText('Oil', { exact: false })).toHaveCount(0);
  await page.getByLabel('To ask of the method').getByRole('button').first().click();
  await expect(shelf.getByText('in no step yet')).toHaveCount(0);

  // back with Undo, and in by the keyboard alone
  await page.getByRole('button', { name: 'Undo' }).click();
  const leaf = shelf.getByRole('button', { name: /bay leaf is in no step/i });
  await leaf.focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('menuitem').first()).toBeVisible();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await expect(shelf.getByText('in no step yet')).toHaveCount(0);

  // a step is parted in place, its minutes said, and Undo takes that back
  const steps = shelf.getByRole('button', { name: /^Step \d+ .*: open$/ });
  const before = await steps.count();
  await shelf.getByRole('button', { name: /^Step \d+ Put the lamb back.*: open$/ }).click();
  await page.getByRole('button', { name: /^Part the step before “.*simmer/ }).click();
  await expect(steps).toHaveCount(before + 1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(steps).toHaveCount(before);
  await page.getByLabel('Minutes by itself').fill('100');
  await page.getByLabel('Minutes by itself').press('Enter');
  await expect(shelf).toContainText('1 h 40 min by itself');

  await shelf.getByText('Time', { exact: true }).click();
  await expect(shelf.getByRole('img', { name: /Steps over time/ })).toBeVisible();
  expect(await seriousFaults(page)).toEqual([]);
  await shelf.getByText('Pots', { exact: true }).click();
  expect(await seriousFaults(page)).toEqual([]);

  const id = idOf(page.url());
  await page.getByRole('button', { name: 'Keep and plan it' }).click();
  await expect(page).toHaveURL(/\/plan/);
  await settled(page);
  const kept = await getJson<RecipeAnswer>(server, `/recipes/${id}`);
  const { steps: kinds } = kept.revision;
  expect(kinds.find((s) => s.waitMin === 100)).toMatchObject({ said: ['wait'] });
  expect(kinds.find((s) => s.text.includes('soak'))).toMatchObject({ moment: 'eve' });
  expect(kinds.find((s) => s.text.includes('parsley'))).toMatchObject({ moment: 'serve' });
  const brown = kinds.find((s) => s.kind === 'brown')!;
  const sweat = kinds.find((s) => s.text.includes('onions'))!;
  expect([brown.after.includes(sweat.id), sweat.after.includes(brown.id)]).toEqual([false, false]);

  // planned: the score has no parsley in it, and nothing before what it takes
  await page
    .getByRole('button', { name: /^Plan it|^Keep the plan|^Plan the session/ })
    .first()
    .click();
  await expect(page).toHaveURL(/\/shop\/\w+/);
  await settled(page);
  const sessionId = /\/shop\/(\w+)/.exec(page.url())![1]!;
  const view = await getJson<SessionView>(server, `/sessions/${sessionId}`);
  const own = view.tasks.filter((t) => t.step && view.tasks.some(() => kinds.some((k) => t.id.endsWith(k.id))));
  expect(own.some((t) => /parsley/i.test(t.title))).toBe(false);
  for (const t of own)
    for (const a of t.after) {
      const earlier = view.tasks.find((x) => x.id === a);
      if (earlier) expect(earlier.endMin ?? 0).toBeLessThanOrEqual((t.startMin ?? 0) + 1e-6);
    }
});

test('an old recipe is read again: what would change is shown first, and the text stays', async ({ page, server }) => {
  const recipes = await getJson<RecipeBrief[]>(server, '/recipes');
  const stew = recipes.find((r) => /aubergine/i.test(r.recipe.name))!.recipe;
  const before = (await getJson<RecipeAnswer>(server, `/recipes/${stew.id}`)).revision;
  await page.goto(`${server.address}/recipes/${stew.id}`);
  await page.getByRole('button', { name: /^More for/ }).click();
  await page.getByRole('menuitem', { name: 'Read the method again' }).click();
  const sheet = page.getByRole('dialog', { name: 'Read the method again' });
  await expect(sheet).toContainText('As it is kept');
  expect(await seriousFaults(page)).toEqual([]);
  await sheet.getByRole('button', { name: 'Take the new reading' }).click();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(page).toHaveURL(new RegExp(`/recipes/${stew.id}$`));
  await settled(page);
  const after = (await getJson<RecipeAnswer>(server, `/recipes/${stew.id}`)).revision;
  expect(after.id).not.toBe(before.id);
  const texts = (r: typeof after): string[] => r.method?.map((m) => m.text) ?? r.steps.map((s) => s.text);
  expect(texts(after)).toEqual(texts(before));
  expect(after.steps.every((s) => s.kind !== undefined)).toBe(true);
});
