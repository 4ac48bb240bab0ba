import { chromium } from '@playwright/test';
import { ingredientFinder } from '../../core/kitchen/index.ts';
import { ingredientRows } from '../../core/kitchen/data/index.ts';
import { countsOf, entriesOf, findRecipes, type RecipeBrief } from '../../core/queries/index.ts';
import { compose, composeLines, emptyWriting, readLines, understand } from '../../core/recipe/index.ts';
import { laterMethods } from '../../core/recipe/method/texts/later.methods.ts';
import { openMethods } from '../../core/recipe/method/texts/open.methods.ts';
import { scoreMethods, type MethodScore } from '../../core/recipe/method/texts/score.ts';
import { sealedMethods } from '../../core/recipe/method/texts/sealed.methods.ts';
import { labelled, missOf } from '../../core/recipe/text/lines/labels.ts';
import { openLines } from '../../core/recipe/text/lines/open.lines.ts';
import { sealedLines } from '../../core/recipe/text/lines/sealed.lines.ts';
import { shapeLines } from '../../core/recipe/text/lines/shapes.lines.ts';
import type { RunningServer } from '../server.mjs';
import { chromiumArgs } from '../server.mjs';
import { findChromium } from '../setup.mjs';
import { figures, five, note, p95, timed, wait } from './figures.ts';
import { keyScript } from './scaling.ts';

const finder = ingredientFinder(ingredientRows);
const knows = (name: string): boolean => finder.read(name)?.sure ?? false;

/** How many of a table's lines are read right; which are not is printed of those only that the reader was mended on. */
function share(name: string, table: string, print: boolean): void {
  const lines = labelled(table);
  const misses = lines.filter((l) => missOf(l, knows) !== undefined);
  const right = (100 * (lines.length - misses.length)) / lines.length;
  figures.push({
    name: `Lines read right, ${name}: amount, unit, name and form of ${lines.length}`,
    measured: `${right.toFixed(1)} %`,
    target: 'at least 97 %',
    met: right >= 97,
  });
  console.log(`${name}: ${lines.length - misses.length} of ${lines.length}`);
  if (print) for (const miss of misses) console.log(`  ${miss.written}: ${missOf(miss, knows)}`);
}

/** Reading lines, by the core alone. */
export async function readAlone(): Promise<void> {
  share('the half it was mended on', openLines, true);
  share('the sealed half', sealedLines, false);
  const texts = labelled(openLines + shapeLines).map((l) => l.written);
  const thousand = Array.from({ length: 1000 }, (_, i) => texts[i % texts.length] ?? '');
  note('1,000 ingredient lines read', await five(() => timed(() => thousand.forEach((t) => readLines(t, knows)))), 300, 'ms');
}

/** What is asked of the reading of methods, in hundredths. */
const asked: readonly (readonly [Exclude<keyof MethodScore, 'misses' | 'steps'>, string, number])[] = [
  ['lines', 'lines in the right step', 95],
  ['orders', 'orders legal without a question', 90],
  ['freedom', 'of the labelled freedom kept', 80],
  ['minutes', 'minutes within a quarter', 85],
  ['serve', 'eating day told', 90],
  ['findings', 'findings right', 85],
];

/** Reading methods, by the core alone: labelled texts, and one of twenty steps. */
export async function readMethods(): Promise<void> {
  for (const [name, methods] of [
    ['the open half', openMethods],
    ['the first sealed half', sealedMethods],
    ['those labelled last', laterMethods],
  ] as const) {
    const score = scoreMethods(methods);
    for (const [key, says, target] of asked) {
      const [right, of] = score[key];
      const share = (100 * right) / of;
      figures.push({
        name: `Methods read, ${name}: ${says} (${right} of ${of})`,
        measured: `${share.toFixed(1)} %`,
        target: `at least ${target} %`,
        met: share >= target,
      });
    }
    console.log(name, score.misses);
  }
  const long = openMethods.slice(0, 4);
  const texts = long.flatMap((m) => m.text.split('\n'));
  const { revision } = compose(
    { ...emptyWriting, name: 'Long', lines: long.flatMap((m, k) => m.lines.map((text, i) => ({ id: `l${k}.${i}`, text }))) },
    { finder, recipes: [] },
  );
  const steps = understand(texts, revision.lines, { finder }).steps.length;
  note(`A method of ${steps} steps read`, await five(() => timed(() => understand(texts, revision.lines, { finder }))), 30, 'ms');
}

/** The library of two thousand recipes: a word, several ways at once with their counts, and what is there. */
export async function searchAlone(): Promise<void> {
  const names = openMethods.concat(sealedMethods);
  const briefs = Array.from({ length: 2000 }, (_, i): RecipeBrief => {
    const m = names[i % names.length]!;
    const holds = composeLines(
      m.lines.map((text, k) => ({ id: `${i}.${k}`, text })),
      { finder, recipes: [] },
    ).flatMap((r) => ('foods' in r ? r.foods.map((f) => f.line) : []));
    return {
      recipe: { id: `r${i}`, revisionId: `v${i}`, name: `${m.name} ${i}`, kind: 'meal', archived: false },
      servings: 6,
      servingText: '400 g',
      handsMin: 10 + (i % 60),
      waitMin: i % 200,
      wholeMin: 10 + (i % 260),
      becomes: { shape: 'tub', count: 6 },
      tags: ['winter'],
      ingredientIds: [],
      holds: holds.map((l) => l.name),
      needs: holds.flatMap((l) => (l.item.type === 'ingredient' ? [{ id: l.item.id }] : [])),
      notes: '',
      allergens: [],
      contains: i % 3 === 0 ? ['al_milk'] : [],
      mayContain: [],
      unchecked: false,
      containsNames: i % 3 === 0 ? ['milk'] : [],
      freezes: 'well',
      portionsInStore: i % 5,
      canPlan: true,
      notFor: [],
    };
  });
  const entries = entriesOf(briefs);
  const times: number[] = [];
  for (let i = 0; i < 60; i += 1)
    times.push(
      await timed(() => {
        findRecipes(entries, { text: ['leek', 'lamb not milk', 'onion', 'bean -bay'][i % 4]!, handsMin: 20 + i, free: ['al_milk'] }, today);
        // as many ways as the page counts at a key
        countsOf(
          entries,
          { text: ['leek', 'onion'][i % 2]! },
          Object.fromEntries(Array.from({ length: 36 }, (_, n) => [n, { handsMin: 10 + n }])),
          today,
        );
      }),
    );
  note('Search and filters with their counts over 2,000 recipes, p95 of 60', p95(times), 50, 'ms', 1);
  note(
    '“From what I have” over 2,000',
    await five(() => timed(() => findRecipes(entries, { have: ['leek', 'onion', 'carrot'] }, today))),
    100,
    'ms',
    1,
  );
}

const today = '2026-11-24';
const line = (i: number): string => labelled(openLines)[i % 120]?.written ?? 'salt';

/** A key in a recipe of sixty lines, and five hundred recipes of one file with the page answering meanwhile. */
export async function writeOnThePage(server: RunningServer): Promise<void> {
  const browser = await chromium.launch({ executablePath: findChromium() ?? '/usr/bin/chromium', args: chromiumArgs });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
  await page.addInitScript(keyScript);
  await page.goto(`${server.address}/recipes/new`);
  await page.getByRole('button', { name: 'Paste a recipe' }).click();
  const text = [
    'Sixty lines',
    'Serves 6',
    'Ingredients',
    ...Array.from({ length: 60 }, (_, i) => line(i)),
    'Method',
    'Chop it all.',
    'Simmer for 40 minutes.',
  ];
  await page.getByLabel('The recipe as text').fill(text.join('\n'));
  await page.getByRole('button', { name: 'Read it' }).click();
  const field = page.getByLabel('Line 30', { exact: true });
  await field.click();
  await wait(500);
  await page.evaluate('window.keyTimes.length = 0');
  for (let i = 0; i < 50; i += 1) {
    await page.keyboard.press(i % 5 === 4 ? 'Backspace' : 'abcdefgh'[i % 8]!);
    await page.waitForTimeout(80);
  }
  const times = (await page.evaluate('window.keyTimes')) as number[];
  if (times.length < 50) throw new Error(`only ${times.length} keys were seen`);
  note('Writing a recipe of 60 lines, key to next frame, p95 of 50', p95(times), 50, 'ms', 1);

  const many = Array.from({ length: 500 }, (_, n) => ({
    '@type': 'Recipe',
    name: `Bench dish ${n}`,
    recipeYield: '6 portions',
    recipeIngredient: Array.from({ length: 14 }, (_, i) => line(n * 7 + i)),
    recipeInstructions: ['Chop it all.', 'Sweat for 10 minutes.', 'Simmer for 40 minutes.'].map((t) => ({ '@type': 'HowToStep', text: t })),
  }));
  await page.goto(`${server.address}/recipes/new`);
  const from = performance.now();
  await page
    .getByLabel('Recipe file')
    .setInputFiles({ name: 'many.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify({ '@graph': many })) });
  const answers: number[] = [];
  const list = page.getByText('500 recipes to look over');
  while (!(await list.isVisible())) {
    answers.push(await timed(() => page.evaluate('1')));
    await wait(50);
  }
  const readMs = performance.now() - from;
  await page.getByRole('button', { name: 'Keep all 500' }).click();
  await page.waitForURL(/\/recipes$/);
  const kept = async (): Promise<number> =>
    ((await (await fetch(`${server.address}/api/recipes`)).json()) as { recipe: { name: string } }[]).filter((r) =>
      r.recipe.name.startsWith('Bench dish'),
    ).length;
  while ((await kept()) < 500) await wait(200);
  note('500 recipes of one file: read and shown', readMs / 1000, 60, 's', 1);
  note('The same, kept in the library too', (performance.now() - from) / 1000, 60, 's', 1);
  note('The page answering meanwhile, longest wait', Math.max(...answers, 0), 1000, 'ms');
  await browser.close();
}
