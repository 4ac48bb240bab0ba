import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Step, Writing } from '#core/contract';
import { ingredientFinder } from '#core/kitchen';
import { ingredientRows, withForeignNames } from '#core/kitchen/data';
import { quickestMs } from '../../kitchen/fixtures.ts';
import { openMethods } from '../method/texts/open.methods.ts';
import { sealedMethods } from '../method/texts/sealed.methods.ts';
import {
  compose,
  cutStep,
  emptyWriting,
  isWhole,
  joinStep,
  methodAsks,
  putInStep,
  readAgain,
  sayOfStep,
  takeOutOfStep,
  writingOf,
} from './index.ts';

const finder = ingredientFinder(withForeignNames(ingredientRows));
const ctx = { finder, recipes: [] };
const writingFrom = (lines: readonly string[], method: string): Writing => ({
  ...emptyWriting,
  name: 'Pot',
  makes: '6 portions',
  lines: lines.map((text, i) => ({ id: `l${i}`, text })),
  steps: method.split('\n').map((text, i) => ({ id: `p${i}`, text })),
});
const pot = writingFrom(
  ['2 leeks', '3 tbsp oil', '1 bay leaf', '1 litre stock', '300 g kale'],
  'Slice the leeks. Sweat them in the oil, 10 min, then pour in the stock and simmer for 20 minutes.\nStir in the kale.',
);
const stepsFrom = (w: Writing): Step[] => compose(w, ctx).revision.steps;
const revisionOf = (w: Writing) => ({ ...compose(w, ctx).revision, id: 'r', recipeId: 'x', madeAt: '2026-01-01T00:00:00.000Z' });
const stepWith = (steps: readonly Step[], words: string): Step => steps.find((s) => s.text.toLowerCase().includes(words))!;
const lineIn = (steps: readonly Step[], id: string): [string, number][] =>
  steps.flatMap((s) => s.uses.filter((u) => u.lineId === id).map((u): [string, number] => [s.text, u.share]));

const all = [...openMethods, ...sealedMethods];

describe('laws of every method', () => {
  it.each(all.map((m) => [m.name, m] as const))(
    '%s: shares sum to one at most, the order has no circle, twice read is the same',
    (_n, m) => {
      const w = writingFrom(m.lines, m.text);
      const { revision } = compose(w, ctx);
      expect(isWhole(compose(w, ctx))).toBe(true);
      expect(compose(w, ctx).revision.steps).toEqual(revision.steps);
      for (const line of revision.lines) {
        const sum = lineIn(revision.steps, line.id).reduce((s, [, share]) => s + share, 0);
        expect(sum, line.name).toBeLessThanOrEqual(1.001);
      }
      // nothing is used before it is made: an order exists
      const done = new Set<string>();
      for (let left = [...revision.steps]; left.length > 0;) {
        const ready = left.filter((s) => s.after.every((a) => done.has(a)));
        expect(ready.length).toBeGreaterThan(0);
        for (const s of ready) done.add(s.id);
        left = left.filter((s) => !done.has(s.id));
      }
      // kept and opened again it has the steps it had
      const kept = revisionOf(w);
      expect(compose(writingOf(kept, ctx), ctx).revision.steps).toEqual(kept.steps);
      expect(compose(writingOf(kept, ctx), ctx).revision.method).toEqual(kept.method);
    },
  );

  /** Ways in which people set down the same method. */
  const hands: Readonly<Record<string, (paragraph: string, i: number) => string>> = {
    'without a full stop at the end': (t) => t.replace(/[.]\s*$/, ''),
    numbered: (t, i) => `${i + 1}. ${t}`,
    'as bullets': (t) => `- ${t}`,
    'in small letters': (t) => t.toLowerCase(),
    'in capitals': (t) => (/ß|ŉ/.test(t) ? t : t.toUpperCase()),
    'with two spaces': (t) => t.replace(/ /g, '  '),
    'with hard spaces': (t) => t.replace(/ /g, '\u00a0'),
    'with “&”': (t) => t.replace(/ and /g, ' & '),
    'shouted at the end': (t) => t.replace(/[.]\s*$/, '!!'),
  };
  const words = (text: string): string[] => text.toLowerCase().match(/[\p{L}\d]+/gu) ?? [];
  it.each(all.map((m) => [m.name, m] as const))('%s: no word is cut, and it is the same in every hand', (_n, m) => {
    const there = new Set(words(m.text));
    const steps = stepsFrom(writingFrom(m.lines, m.text));
    for (const s of steps) for (const w of words(s.text)) expect(there, s.text).toContain(w);
    const meant = (list: readonly Step[]) => list.map(({ span: _s, text: _t, cue: _c, ...s }) => s);
    const paragraphs = m.text.split('\n');
    for (const [how, set] of Object.entries(hands)) {
      const other = stepsFrom(writingFrom(m.lines, paragraphs.map(set).join('\n')));
      expect(meant(other), how).toEqual(meant(steps));
      const all = new Set(words(paragraphs.map(set).join(' ')));
      for (const s of other) for (const w of words(s.text)) expect(all, s.text).toContain(w);
    }
  });

  it('every step takes only steps and lines that are there, whatever is written', () =>
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(...all.flatMap((m) => m.text.split(/(?<=[.;])\s+|\n/))), { minLength: 1, maxLength: 14 }),
        fc.constantFrom(...all),
        (texts, m) => {
          const w = writingFrom(m.lines, texts.join('\n'));
          const { steps, lines } = compose(w, ctx).revision;
          const ids = new Set(steps.map((s) => s.id));
          expect(ids.size).toBe(steps.length);
          for (const s of steps) {
            expect(s.after.every((a) => ids.has(a) && a !== s.id)).toBe(true);
            expect((s.takes ?? []).every((a) => s.after.includes(a))).toBe(true);
            expect(s.uses.every((u) => lines.some((l) => l.id === u.lineId) && u.share > 0 && u.share <= 1)).toBe(true);
          }
        },
      ),
      { numRuns: process.env.TAMBO_THOROUGH ? 120 : 40 },
    ));
});

describe('a method of any length', () => {
  it('is read in good time, its steps no more than a recipe holds', () => {
    const sentences = all.map((m) => m.text.replace(/\n/g, ' ')).join(' ');
    const long: Writing = {
      ...emptyWriting,
      lines: all
        .flatMap((m) => m.lines)
        .slice(0, 120)
        .map((text, i) => ({ id: `l${i}`, text })),
      steps: Array.from({ length: 80 }, (_, i) => ({ id: `p${i}`, text: sentences.slice((i * 300) % 6000, ((i * 300) % 6000) + 1200) })),
    };
    // some 0.3 s in quiet
    expect(quickestMs(8000, performance, () => expect(isWhole(compose(long, ctx))).toBe(true))).toBeLessThan(8000);
  });
});

describe('what a cook says of a step', () => {
  it('stands through an edit of another sentence and through keeping', () => {
    const simmer = stepWith(stepsFrom(pot), 'simmer');
    const said = sayOfStep(pot, simmer, { waitMin: 35, cue: 'the leeks are soft' });
    expect(stepWith(stepsFrom(said), 'simmer')).toMatchObject({
      id: simmer.id,
      waitMin: 35,
      cue: 'the leeks are soft',
      said: expect.arrayContaining(['wait', 'cue']) as unknown,
    });
    const edited = {
      ...said,
      steps: said.steps.map((s) => ({ ...s, text: s.text.replace('Slice the leeks.', 'Trim and slice the leeks into rounds.') })),
    };
    expect(stepWith(stepsFrom(edited), 'simmer')).toMatchObject({ waitMin: 35, cue: 'the leeks are soft' });
    const kept = writingOf(revisionOf(said), ctx);
    expect(stepWith(stepsFrom(kept), 'simmer').waitMin).toBe(35);
    // and through a reading anew
    expect(stepWith(stepsFrom(readAgain(kept)), 'simmer').waitMin).toBe(35);
    // but a text that says something else altogether is another step
    const other = {
      ...said,
      steps: said.steps.map((s) => ({ ...s, text: s.text.replace(/then pour.*$/, 'then roast it all in the oven, 50 minutes.') })),
    };
    expect(stepsFrom(other).some((s) => s.waitMin === 35)).toBe(false);
  });
  it('puts a line where the cook puts it, all of it or in part, and takes it out', () => {
    expect(lineIn(stepsFrom(pot), 'l2')).toEqual([]);
    const simmer = stepWith(stepsFrom(pot), 'simmer');
    const bound = putInStep(pot, stepsFrom(pot), 'l2', simmer.id);
    expect(lineIn(stepsFrom(bound), 'l2')).toEqual([[simmer.text, 1]]);
    const stock = putInStep(pot, stepsFrom(pot), 'l3', stepWith(stepsFrom(pot), 'kale').id, 0.25);
    expect(lineIn(stepsFrom(stock), 'l3').map(([, share]) => share)).toEqual([0.75, 0.25]);
    const out = takeOutOfStep(bound, stepWith(stepsFrom(bound), 'simmer'), 'l2');
    expect(lineIn(stepsFrom(out), 'l2')).toEqual([]);
  });
  it('never takes more than there is, though a cook has said it twice', () => {
    const steps = stepsFrom(pot);
    const [simmer, kale] = [stepWith(steps, 'simmer'), stepWith(steps, 'kale')];
    let both = putInStep(pot, steps, 'l2', simmer.id);
    // a figure is typed over by hand in both
    both = {
      ...both,
      steps: both.steps.map((w) =>
        w.id === 'p1' ? { ...w, fixes: [{ text: 'Stir in the kale.', id: kale.id, set: {}, uses: { l2: 0.8, l4: 1 } }] } : w,
      ),
    };
    const sum = lineIn(stepsFrom(both), 'l2').reduce((s, [, share]) => s + share, 0);
    expect(sum).toBeCloseTo(1, 6);
  });
  it('parts a step and joins it again, within a paragraph and over two', () => {
    const before = stepsFrom(pot);
    const sweat = stepWith(before, 'sweat');
    const simmer = stepWith(before, 'simmer');
    const joined = joinStep(pot, before, simmer);
    expect(stepsFrom(joined)).toHaveLength(before.length - 1);
    expect(stepWith(stepsFrom(joined), 'simmer').text).toContain('Sweat');
    const place = 'Pour in the stock and simmer'.length;
    const parted = cutStep(pot, simmer, simmer.text.indexOf('simmer'));
    expect(place).toBeGreaterThan(0);
    expect(stepsFrom(parted)).toHaveLength(before.length + 1);
    const kale = stepWith(before, 'kale');
    const over = joinStep(pot, before, kale);
    expect(over.steps).toHaveLength(1);
    expect(stepsFrom(over)).toHaveLength(before.length - 1);
    expect(stepWith(stepsFrom(over), 'sweat').id).toBe(sweat.id);
  });
  it('gives the order, and a circle is refused', () => {
    const before = stepsFrom(pot);
    const [slice, sweat] = before;
    const freed = sayOfStep(pot, stepWith(before, 'kale'), { after: [] });
    expect(stepWith(stepsFrom(freed), 'kale').after).toEqual([]);
    const circle = sayOfStep(pot, slice!, { after: [sweat!.id] });
    const steps = stepsFrom(circle);
    expect(
      steps.find((s) => s.id === slice!.id)!.after.includes(sweat!.id) && steps.find((s) => s.id === sweat!.id)!.after.includes(slice!.id),
    ).toBe(false);
  });
});

describe('a kept recipe', () => {
  const plain: Step = {
    id: 'old',
    text: 'Slice the leeks. Sweat them in the oil for 12 minutes. Simmer in the stock for 20 minutes.',
    uses: [{ lineId: 'l0', share: 1 }],
    needs: [{ kind: 'hob' }],
    handsOnMin: 14,
    handsOnPerKgMin: 2,
    waitMin: 20,
    hazards: [],
    after: [],
    guess: false,
  };
  const kept = { ...revisionOf(pot), steps: [plain], method: undefined };
  it('keeps its steps as they are until it is read anew, and a new line goes where it is read to go', () => {
    const w = writingOf(kept, ctx);
    const more = { ...w, lines: [...w.lines, { id: 'new', text: '2 tbsp oil' }] };
    const steps = stepsFrom(more);
    expect(steps).toHaveLength(1);
    expect(steps[0]).toMatchObject({ id: 'old', handsOnMin: 14, handsOnPerKgMin: 2, waitMin: 20 });
    expect(steps[0]!.uses.map((u) => u.lineId)).toContain('l0');
    const anew = stepsFrom(readAgain(w));
    expect(anew.map((s) => s.kind)).toEqual(['cut', 'soften', 'simmer']);
    expect(anew.map((s) => s.after.length)).toEqual([0, 1, 1]);
  });
  it('holds a kept step while its words stand, and reads what is written behind it', () => {
    const w = writingOf(kept, ctx);
    const longer = { ...w, steps: w.steps.map((s) => ({ ...s, text: `${s.text} Stir in the kale.` })) };
    const steps = stepsFrom(longer);
    expect(steps).toHaveLength(2);
    expect(steps[0]).toMatchObject({ id: 'old', handsOnMin: 14, handsOnPerKgMin: 2 });
    expect(steps[1]!.after).toEqual(['old']);
  });
});

describe('questions', () => {
  it('are three at most, each with a guess, and none is asked twice', () => {
    const many = writingFrom(
      ['1 bay leaf', '2 limes', '1 star anise', '1 kg beef bones', '3 onions'],
      'Roast the bones and onions. Simmer them. Strain.',
    );
    const { revision } = compose(many, ctx);
    const asks = methodAsks(revision.steps, revision.lines);
    expect(asks).toHaveLength(3);
    expect(asks[0]).toMatchObject({ ask: 'whereTo', guess: expect.any(String) as unknown });
    const answered = putInStep(many, revision.steps, 'l0', revision.steps[1]!.id);
    const after = compose(answered, ctx).revision;
    expect(methodAsks(after.steps, after.lines).some((a) => a.ask === 'whereTo' && a.line.id === 'l0')).toBe(false);
  });
  it('ask how long and how hot only where nothing says so', () => {
    const bones = compose(
      writingFrom(['2 kg beef bones', '3 l water'], 'Roast the bones for 40 minutes. Simmer in the water.'),
      ctx,
    ).revision;
    expect(methodAsks(bones.steps, bones.lines).map((a) => a.ask)).toEqual(['wait', 'oven']);
    const said = compose(
      writingFrom(['2 kg beef bones', '3 l water'], 'Roast the bones at 220 C for 40 minutes. Simmer in the water for 6 hours.'),
      ctx,
    ).revision;
    expect(methodAsks(said.steps, said.lines)).toEqual([]);
  });
});

describe('what a step stands on and in', () => {
  const paste = ['200 g walnuts', '4 peppers', '2 tbsp oil', '1 kg chicken thighs'];
  it.each<[string, string, Step['needs'], Step['kind']]>([
    ['Toast the walnuts in the same oven at 160 C for 8 min.', 'toast', [{ kind: 'oven', tempC: 160 }], 'bake'],
    ['Toast the walnuts in a dry pan for 4 min.', 'toast', [{ kind: 'hob' }, { kind: 'pan' }], 'melt'],
    ['Brown the chicken under the grill for 10 min.', 'brown', [{ kind: 'oven' }], 'bake'],
    ['Brown the chicken in a hot frying pan with the oil, 8 min.', 'brown', [{ kind: 'hob' }, { kind: 'pan' }], 'brown'],
    ['Blitz the walnuts and peppers in the food processor.', 'blitz', [{ kind: 'processor' }], 'blend'],
    ['Blend the walnuts and peppers until smooth.', 'blend', [{ kind: 'blender' }], 'blend'],
  ])('%s', (text, word, needs, kind) => expect(stepWith(stepsFrom(writingFrom(paste, text)), word)).toMatchObject({ needs, kind }));
  it('freezes nothing within a step that blends and fills', () => {
    const [first] = stepsFrom(
      writingFrom(['500 g parsnips'], 'Steam the parsnips 10 min.\nBlend until smooth, fill the cube trays and freeze.'),
    ).slice(-1);
    expect(first).toMatchObject({ kind: 'blend', waitMin: 0, needs: [{ kind: 'blender' }] });
  });
  it('steeps for a fortnight when it is told to', () => {
    const steps = stepsFrom(
      writingFrom(
        ['600 ml vinegar', '4 lemons'],
        'Pour the vinegar over the lemons. Leave to steep for 14 days, shaking it every day. Strain and bottle.',
      ),
    );
    expect(stepWith(steps, 'steep').waitMin).toBe(14 * 24 * 60);
  });
});
