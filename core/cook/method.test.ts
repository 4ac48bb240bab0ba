import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ingredientFinder, noMemo } from '#core/kitchen';
import { ingredientRows, withForeignNames } from '#core/kitchen/data';
import { compose, emptyWriting, handsAt, inSession, scaleTo, weighRecipe } from '#core/recipe';
import { openMethods } from '../recipe/method/texts/open.methods.ts';
import { sealedMethods } from '../recipe/method/texts/sealed.methods.ts';
import { checkSchedule, scheduleTasks, tasksFor } from './index.ts';

const finder = ingredientFinder(withForeignNames(ingredientRows));
const methods = [...openMethods, ...sealedMethods];
const gear = { equipment: [], containers: [] } as unknown as Parameters<typeof scaleTo>[2]['gear'];

/** A recipe of text alone, at so many times its size, as a dish of a session. */
function dishOf(m: (typeof methods)[number], portions: number, id: string) {
  const { revision } = compose(
    {
      ...emptyWriting,
      name: m.name,
      makes: '6 portions',
      lines: m.lines.map((text, i) => ({ id: `${id}l${i}`, text })),
      steps: m.text.split('\n').map((text, i) => ({ id: `${id}p${i}`, text })),
    },
    { finder, recipes: [], memo: noMemo },
  );
  const whole = { ...revision, id: `${id}r`, recipeId: id, madeAt: '2026-01-01T00:00:00.000Z' };
  const scaled = scaleTo(weighRecipe(whole, finder), { by: 'portions', portions }, { scaleStepG: 1, gear });
  if (!scaled.ok) throw new Error('not scaled');
  return { batch: { id, recipeId: id }, revision: whole, scaled: scaled.scaled } as unknown as Parameters<typeof tasksFor>[0][number];
}

describe('a session of recipes that were only written down', () => {
  it('serves nothing, uses nothing before it is made, and has a legal order for two cooks', () =>
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.constantFrom(...methods.keys()), { minLength: 1, maxLength: 4 }),
        fc.integer({ min: 2, max: 40 }),
        (picks, portions) => {
          const dishes = picks.map((p, i) => dishOf(methods[p]!, portions, `b${i}`));
          const tasks = tasksFor(dishes, finder);
          const byId = new Map(tasks.map((t) => [t.id, t]));
          for (const { revision, batch } of dishes)
            for (const step of revision.steps) {
              const task = byId.get(`step:${batch.id}:${step.id}`);
              // what is only cut is preparation, shared with the other dishes
              // and how it is cooled and packed at the end is said by the kitchen's own tasks
              const closes = step.kind === 'cool' || step.kind === 'freeze' || step.kind === 'fill';
              if (step.kind !== 'cut' && !closes) expect(task === undefined).toBe(step.moment === 'serve');
              if (closes && task === undefined && step.moment !== 'serve') {
                expect(step.uses).toEqual([]);
                expect(tasks.some((t) => t.after.includes(`step:${batch.id}:${step.id}`))).toBe(false);
              }
              // whatever it takes is a task that comes first
              if (task && step.moment !== 'serve')
                for (const id of step.takes ?? [])
                  if (byId.has(`step:${batch.id}:${id}`)) expect(task.after).toContain(`step:${batch.id}:${id}`);
                  else if (inSession(revision.steps).some((s) => s.id === id))
                    expect(task.after.some((a) => a.startsWith('prep:'))).toBe(true);
            }
          const kitchen = {
            cooks: [
              { id: 'j', name: 'Joaquim' },
              { id: 'm', name: 'Mila' },
            ],
            capacity: { hob: 4, oven: 1, blender: 1 },
          };
          const result = scheduleTasks(tasks, kitchen);
          expect(result.ok).toBe(true);
          if (result.ok) expect(checkSchedule(tasks, kitchen, result.schedule.slots)).toEqual([]);
        },
      ),
      { numRuns: process.env.TAMBO_THOROUGH ? 80 : 25 },
    ));
  it('browns four times the meat in nearly four times the minutes, and simmers it as long', () => {
    const stew = methods.find((m) => m.name === 'Beef in stout')!;
    const [one, four] = [6, 24].map((portions) => tasksFor([dishOf(stew, portions, 'b')], finder));
    const find = (tasks: typeof one, word: string) => tasks!.find((t) => t.title.startsWith(word))!;
    expect(find(four, 'Brown').handsOnMin).toBeGreaterThan(find(one, 'Brown').handsOnMin * 3.3);
    expect(find(four, 'Deglaze').waitMin).toBeGreaterThanOrEqual(find(one, 'Deglaze').waitMin);
    expect(handsAt({ handsOnMin: 24, handsGrow: 0.9 }, 1)).toBe(24);
    expect(handsAt({ handsOnMin: 24 }, 5)).toBe(24);
  });
  it('cuts for all dishes at once what their methods cut alike', () => {
    const like = (name: string, text: string) => ({
      name,
      lines: ['600 g carrots', '2 tbsp oil', '1 litre stock'],
      text,
      steps: [],
      before: '',
      free: '',
    });
    const tasks = tasksFor(
      [
        dishOf(like('One', 'Dice the carrots. Sweat them in the oil, 10 min. Simmer in the stock, 20 min.'), 6, 'a'),
        dishOf(like('Two', 'Dice the carrots. Simmer in the stock with the oil, 30 min.'), 6, 'b'),
      ],
      finder,
    );
    const diced = tasks.filter((t) => t.title === 'Dice carrot');
    expect(diced).toHaveLength(1);
    expect(diced[0]!.prep?.massG).toBeCloseTo(1200, -1);
    expect(tasks.filter((t) => t.after.includes(diced[0]!.id))).toHaveLength(2);
    expect(tasks.some((t) => t.title.startsWith('Dice the'))).toBe(false);
  });
  it('says of what belongs to the evening before that it does, and its wait is over on the day', () => {
    const beans = methods.find((m) => m.name === 'White bean pot')!;
    const soak = tasksFor([dishOf(beans, 6, 'b')], finder).find((t) => t.title.includes('Soak'))!;
    expect(soak.title).toMatch(/^The evening before: /);
    expect(soak.waitMin).toBe(0);
  });
});
