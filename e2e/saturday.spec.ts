import type { Page } from '@playwright/test';
import type { RecipeBrief, SessionParts } from '#core/queries';
import type { RunningServer } from '../scripts/server.mjs';
import { expect, getJson, moveClock, seriousFaults, settled, test } from './base.ts';

/** A cook's own, as they stand on slips: raw meat, a baby's food, nuts, something that takes a fortnight. */
const slips = [
  `Gran's chicken and celery pot

Serves 8

1.2 kg chicken thighs, cubed
3 large onions, diced
4 sticks celery, sliced
30 g butter
1 litre stock

Melt the butter in a big pot and sweat the onions and celery for 12 min.
Meanwhile brown the chicken in a hot pan in two lots, about 8 minutes each.
Add the chicken to the pot with the stock and simmer 45 minutes until tender.
Cool quickly and freeze in pairs.`,
  `Pear and parsnip puree for the baby

Makes 24 cubes of 25 ml

500 g parsnips, diced
4 pears, diced

Steam the parsnips 10 min. Add the pears and steam 6 min more. Blend until smooth, fill the cube trays and freeze.`,
  `Lemon and thyme vinegar

Makes 12 portions

600 ml white wine vinegar
4 lemons, sliced

Put the lemons in a clean jar and pour the vinegar over. Leave to steep in a dark cupboard for 14 days, shaking it every day. Strain through a cloth and bottle.`,
];

/** Pastes a slip, keeps it and says that what was guessed is right. */
async function bringIn(page: Page, server: RunningServer, text: string): Promise<string> {
  await page.goto(`${server.address}/recipes/new`);
  await page.getByRole('button', { name: 'Paste a recipe' }).click();
  await page.getByLabel('The recipe as text').fill(text);
  await page.getByRole('button', { name: 'Read it' }).click();
  await expect(page.getByRole('button', { name: 'Keep', exact: true })).toBeEnabled();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  return text.split('\n')[0]!;
}

const check = async (page: Page): Promise<void> => {
  await page.getByRole('region', { name: 'Check before planning' }).getByRole('button', { name: 'That’s right' }).click();
  await settled(page);
};

/** Plans a session of recipes; its id. */
async function planned(page: Page, server: RunningServer, names: readonly string[], more: () => Promise<void>): Promise<string> {
  await page.goto(`${server.address}/plan?new=1`);
  for (const name of names) {
    await page.getByLabel('Find a recipe').fill(name.slice(0, 14));
    await page.getByRole('button', { name: `Add ${name}` }).click();
  }
  await more();
  await page.getByRole('button', { name: /^Plan it/ }).click();
  await expect(page).toHaveURL(/\/shop\/\w+/);
  await settled(page);
  return /\/shop\/(\w+)/.exec(page.url())![1]!;
}

test('a Saturday of own recipes: a break for lunch, the baby’s food before raw chicken, cooled and packed once, near its proven end', async ({
  page,
  server,
}) => {
  const names: string[] = [];
  for (const text of slips.slice(0, 2)) {
    names.push(await bringIn(page, server, text));
    // until it was looked through, the plan says where to do that
    if (names.length === 1) {
      await page.goto(`${server.address}/plan?new=1`);
      await page.getByLabel('Find a recipe').fill('Gran');
      await expect(page.getByText('is not checked yet')).toBeVisible();
      await page.getByRole('link', { name: 'Check it' }).click();
    }
    await check(page);
  }
  const id = await planned(page, server, names, async () => {
    await page.getByRole('textbox', { name: /Who cooks/ }).fill('Ana, Bo 10-13:30');
    const breaks = page.getByRole('textbox', { name: /Breaks/ });
    await breaks.fill('Tea 10-10.20, feed Mio 9:30-9:50 Ana, nap');
    await expect(page.getByText(/“nap”: from and until/)).toBeVisible();
    await breaks.fill('Tea 10-10.20, feed Mio 9:30-9:50 Ana');
    await page.getByRole('checkbox', { name: 'Raw meat and fish last on the boards' }).check();
    expect(await seriousFaults(page)).toEqual([]);
  });
  const cook = await getJson<SessionParts['cook']>(server, `/sessions/${id}/cook`);
  expect(cook.session).toMatchObject({
    cooks: [{ name: 'Ana' }, { name: 'Bo', from: '10:00', until: '13:30' }],
    breaks: [{ name: 'Tea' }, { name: 'feed Mio', cookId: cook.session.cooks[0]!.id }],
    cleanFirst: true,
  });
  const hands = cook.tasks.filter((t) => t.startMin !== undefined);
  for (const t of hands) {
    const [from, until] = [t.startMin! - (t.washMin ?? 0), t.startMin! + t.handsOnMin];
    for (const r of cook.rests.filter((x) => x.cookId === t.cookId)) expect(until <= r.startMin || from >= r.endMin, t.title).toBe(true);
    if (t.cook === 'Bo') expect(from).toBeGreaterThanOrEqual(60);
  }
  const at = (words: string) => hands.find((t) => t.title.includes(words))!;
  for (const clean of ['Dice pear', 'Dice parsnip', 'Dice onion', 'Slice celery'])
    expect(at(clean).startMin! + at(clean).handsOnMin).toBeLessThanOrEqual(at('Cube chicken').startMin!);
  expect(hands.filter((t) => /^Cool|freeze/i.test(t.title)).map((t) => t.follow ?? t.step?.stepId)).toHaveLength(3);
  expect(at('Cool Gran').detail).toContain('Cool quickly.');
  expect(cook.schedule!.makespanMin).toBeLessThanOrEqual(cook.schedule!.boundMin * 1.12);
  await page.goto(`${server.address}/cook/${id}`);
  const score = page.getByRole('region', { name: 'Score of the session' });
  await expect(score.locator('svg text', { hasText: 'Tea' }).first()).toBeVisible();
  await expect(page.getByRole('region', { name: 'All tasks' })).toContainText('Breaks: feed Mio 09:30 to 09:50, Tea 10:00 to 10:20');
  await expect(page.getByRole('region', { name: 'Prep list' })).toContainText('May be cut the evening before');
  await page.getByRole('button', { name: 'What would help?' }).click();
  await expect(page.getByText(/Raw meat and fish last on the boards costs/)).toBeVisible({ timeout: 120_000 });
});

test('what steeps for a fortnight stands on Today, day after day, and says when it is ready and what comes then', async ({
  page,
  server,
}) => {
  const name = await bringIn(page, server, slips[2]!);
  await check(page);
  const id = await planned(page, server, [name], async () => {
    await page.getByLabel('Day', { exact: true }).selectOption('2026-11-24');
    await page.getByLabel('Start', { exact: true }).selectOption('16:00');
  });
  await page.goto(`${server.address}/cook/${id}`);
  const now = page.getByRole('region', { name: 'Do now' });
  for (const words of ['Slice lemon', 'Put the lemons']) {
    await expect(now.getByRole('heading')).toContainText(words);
    await now.getByRole('button', { name: /^(Done|Already done)$/ }).click();
    await settled(page);
  }
  await expect(now.getByRole('heading')).toContainText('Leave to steep');
  await now.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.getByRole('region', { name: 'Running' })).toContainText('14 days');
  await settled(page);
  const today = page.getByRole('region', { name: 'Now', exact: true });
  await page.goto(server.address);
  await expect(today).toContainText('begun today; ready Tue 8 Dec, then: Strain through a cloth and bottle');
  await moveClock(server, '2026-11-27T09:00:00.000Z');
  await page.goto(server.address);
  await expect(today).toContainText('day 3 of 14');
  await expect(today.getByText('today', { exact: true })).toBeVisible();
  await moveClock(server, '2026-12-08T17:00:00.000Z');
  await page.goto(server.address);
  await expect(today.getByRole('link', { name: 'Strain through a cloth and bottle' })).toBeVisible();
  const recipes = await getJson<RecipeBrief[]>(server, '/recipes');
  expect(recipes.some((r) => r.recipe.name === name)).toBe(true);
});
