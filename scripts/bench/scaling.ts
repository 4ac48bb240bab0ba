import { chromium } from '@playwright/test';
import type { Line, Revision, ScalingRule } from '../../core/contract/index.ts';
import { ingredientFinder, type IngredientRow } from '../../core/kitchen/index.ts';
import { ingredientRows } from '../../core/kitchen/data/index.ts';
import { scaleRecipe, weighRecipe } from '../../core/recipe/index.ts';
import { testLine, testRevision } from '../../core/recipe/fixtures.ts';
import { demoContainers, demoEquipment } from '../../server/demo/kitchen.ts';
import type { RunningServer } from '../server.mjs';
import { chromiumArgs } from '../server.mjs';
import { findChromium } from '../setup.mjs';
import { five, note, p95, timed } from './figures.ts';

const rules: readonly ScalingRule[] = [
  { rule: 'proportional' },
  { rule: 'whole' },
  { rule: 'toTaste' },
  { rule: 'ratio', percent: 2, of: 'rest', lines: ['l0'] },
  { rule: 'perVessel' },
  { rule: 'cover', lines: ['l0'] },
  { rule: 'fixed' },
];
const units = ['g', 'g', 'piece', 'tsp', 'ml'] as const;

/** A recipe that uses all seven rules, a pot that is brought to the boil, a simmer and a blender. */
function recipe(n: number, lines: number): Revision {
  const uses = Array.from({ length: lines }, (_, i) => ({ lineId: `l${i}`, share: 1 }));
  const step = { handsOnMin: 5, handsOnPerKgMin: 1, guess: false };
  return testRevision({
    id: `bench-${n}-${lines}`,
    lines: Array.from({ length: lines }, (_, i): Line => {
      const row = ingredientRows[(n * 7 + i * 3) % ingredientRows.length];
      return testLine(`l${i}`, {
        name: row?.name ?? 'onion',
        amount: `${40 + ((i * 13 + n) % 400)}`,
        unit: units[i % units.length] ?? 'g',
        item: { type: 'ingredient', id: row?.id ?? 'onion' },
        scaling: rules[i % rules.length] ?? { rule: 'proportional' },
      });
    }),
    steps: [
      { ...step, id: 's1', text: 'Bring it to the boil.', uses, needs: [{ kind: 'hob' }], waitMin: 10, hazards: [], after: [] },
      { ...step, id: 's2', text: 'Simmer it.', uses: [], needs: [{ kind: 'hob' }], waitMin: 40, hazards: [], after: ['s1'] },
      {
        ...step,
        id: 's3',
        text: 'Blend it smooth.',
        uses: [],
        needs: [{ kind: 'blender' }],
        waitMin: 0,
        hazards: ['hotBlending'],
        after: ['s2'],
      },
    ],
  });
}

/** Scaling by the core alone, and the ingredient finder over two thousand rows. */
export async function scaleAlone(): Promise<void> {
  const finder = ingredientFinder(ingredientRows);
  const recipes = Array.from({ length: 1000 }, (_, n) => weighRecipe(recipe(n, 15), finder));
  const options = { scaleStepG: 1, gear: { equipment: demoEquipment, containers: demoContainers, hotShare: 1 / 3 } };
  let run = 0;
  note(
    'Scale 1,000 recipes of 15 lines, all seven rules, rounding and loads',
    await five(() =>
      timed(() => {
        run += 1;
        for (const [i, r] of recipes.entries())
          if (!scaleRecipe(r, 3 + ((i + run) % 40) + 1 / 8, options).ok) throw new Error('not scaled');
      }),
    ),
    300,
    'ms',
  );
  const rows = Array.from({ length: 2000 }, (_, i): IngredientRow => {
    const row = ingredientRows[i % ingredientRows.length];
    if (!row) throw new Error('no rows');
    return { ...row, id: `${row.id}_${i}`, name: `${row.name} ${i}` };
  });
  const large = ingredientFinder(rows);
  const typed = ['o', 'on', 'oni', 'onion', 'r', 're', 'red', 'red o', 'red on', 'egg', 'eggpl', 'tin', 'tinned tom'];
  const times: number[] = [];
  for (let i = 0; i < 20; i += 1) for (const q of typed) times.push(await timed(() => large.search(q, 2000)));
  note('Ingredient finder over 2,000 rows, p95 of 260 searches', p95(times), 30, 'ms', 1);
}

/** Measures each key on the page: from the input event to the frame that shows it, and to the one that shows the new amounts. */
export const keyScript = `
  window.keyTimes = [];
  window.amountTimes = [];
  let last = 0;
  new MutationObserver((list) => {
    if (last === 0 || !list.some((m) => (m.target.parentElement ?? m.target).closest?.('section[aria-label="What goes in"]'))) return;
    const from = last;
    last = 0;
    requestAnimationFrame(() => { const c = new MessageChannel(); c.port1.onmessage = () => window.amountTimes.push(performance.now() - from); c.port2.postMessage(0); });
  }).observe(document, { subtree: true, childList: true, characterData: true });
  addEventListener('input', (e) => {
    const from = e.timeStamp;
    last = from;
    requestAnimationFrame(() => { const c = new MessageChannel(); c.port1.onmessage = () => window.keyTimes.push(performance.now() - from); c.port2.postMessage(0); });
  }, true);`;

/** Fifty keys on the scaling page of a recipe of forty lines. */
export async function typeOnThePage(server: RunningServer): Promise<void> {
  const made = recipe(1, 40);
  const changes = [
    { table: 'recipe_revision', id: made.id, data: { ...made, recipeId: 'bench-recipe' } },
    {
      table: 'recipe',
      id: 'bench-recipe',
      data: { id: 'bench-recipe', revisionId: made.id, name: made.name, kind: made.kind, archived: false },
    },
  ];
  const res = await fetch(`${server.address}/api/writes`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ writeId: 'bench-write', device: 'bench', instant: '2026-11-24T16:00:00.000Z', label: 'Bench', changes }),
  });
  if (!res.ok) throw new Error(`bench recipe refused: ${await res.text()}`);
  const browser = await chromium.launch({ executablePath: findChromium() ?? '/usr/bin/chromium', args: chromiumArgs });
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, locale: 'en-GB' });
  await page.addInitScript(keyScript);
  await page.goto(`${server.address}/recipes/bench-recipe?units=both`);
  const field = page.getByRole('textbox', { name: 'Portions' });
  await field.fill('6');
  const keys = ['1', '2', 'Backspace', '7', 'Backspace', '.', '5', 'Backspace', 'Backspace', 'Backspace'];
  await page.evaluate('window.keyTimes.length = window.amountTimes.length = 0');
  for (let i = 0; i < 50; i += 1) {
    await page.keyboard.press(keys[i % keys.length] ?? '1');
    await page.waitForTimeout(60);
  }
  const times = (await page.evaluate('window.keyTimes')) as number[];
  const amounts = (await page.evaluate('window.amountTimes')) as number[];
  await browser.close();
  if (times.length < 50) throw new Error(`only ${times.length} keys were seen`);
  note('Scaling page with 40 lines in two systems of measures, key to next frame, p95 of 50', p95(times), 50, 'ms', 1);
  note('The same, key to the new amounts', p95(amounts), 150, 'ms', 1);
}
