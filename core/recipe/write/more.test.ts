import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { revisionSchema, type Line, type Revision } from '#core/contract';
import { gramsOf, ingredientFinder, measureIn, weighsAsPiece } from '#core/kitchen';
import { ingredientRows } from '../../kitchen/data/index.ts';
import { testLine, testRevision } from '../fixtures.ts';
import { absorbedG, scaleRecipe, weighRecipe } from '../index.ts';
import { canKeep, compose, emptyWriting, kindGuess, lifeGuess, sayAsk, writingOf, writingOfFile, type Ask } from './index.ts';

const finder = ingredientFinder(ingredientRows);
const ctx = { finder, recipes: [{ id: 'rec_base', name: 'Red pepper base' }] };
const row = (id: string) => finder.byId(id)!;
const kept = (over: Partial<Revision>): Revision => testRevision({ ...over });

describe('what is asked', () => {
  const asks: Ask[] = [
    { ask: 'name' },
    { ask: 'lines' },
    { ask: 'makes' },
    { ask: 'kind' },
    { ask: 'food', lineId: 'a', name: 'harissa' },
    { ask: 'cannotBeMeant', lineId: 'a', text: '0 eggs', why: 'nothing' },
    { ask: 'cannotBeMeant', lineId: 'a', text: '1e9 kg flour', why: 'tooMuch' },
    { ask: 'servingTooLarge', amount: 3000, unit: 'ml' },
    { ask: 'servingTooLarge', amount: 3000, unit: 'g' },
    { ask: 'tooMany', what: 'lines', most: 120 },
  ];
  it('is a sentence of its own each, with what it is about', () => {
    const said = asks.map(sayAsk);
    expect(new Set(said).size).toBe(said.length);
    for (const s of said) expect(s).toMatch(/^\P{Ll}.*[.?”]$|^harissa/u);
    expect(said[5]).toContain('0 eggs');
    expect(said[7]).toContain('3\u00A0L');
  });
  it('keeps back only what has no name, nothing to cook, or a figure that cannot be meant', () => {
    const of = (lines: string[], name = 'x') =>
      compose({ ...emptyWriting, name, lines: lines.map((text, i) => ({ id: `l${i}`, text })) }, ctx);
    expect(canKeep(of(['4 leeks']))).toBe(true);
    expect(canKeep(of(['4 dragon scales']))).toBe(true);
    expect(canKeep(of([]))).toBe(false);
    expect(canKeep(of(['4 leeks'], ' '))).toBe(false);
    expect(canKeep(of(['0 eggs']))).toBe(false);
    expect(of(Array.from({ length: 130 }, () => '4 leeks')).asks.at(-1)).toEqual({ ask: 'tooMany', what: 'lines', most: 120 });
  });
});

describe('kind, serving and keeping, said or guessed', () => {
  it.each([
    ['Roast bone stock', 'broth', 'broth'],
    ['Carrot puree', 'puree', 'pu_home'],
    ['Coriander paste', 'aromatic', 'base_sweated'],
    ['Seeded rolls', 'bread', 'bread'],
    ['Pepper sauce', 'base', 'tomato_sauce'],
    ['Dried mushrooms', 'dried', 'veg_dried'],
    ['Chicken kit', 'kit', 'stewmeat_raw'],
    ['Fish pie', 'meal', 'fish_cooked'],
    ['Leek soup', 'meal', 'soup_veg'],
    ['Red dal', 'meal', 'lentils_cooked'],
    ['Stew', 'meal', 'stew_meat'],
  ] as const)('%s is a %s', (name, kind, life) => {
    expect(kindGuess(name)).toBe(kind);
    expect(lifeGuess(name, kind)).toBe(life);
  });
  it.each([
    [
      'Runner beans from the allotment',
      ['3 kg runner beans', '1 tbsp salt'],
      'Blanch the beans 2 min. Cool in ice water. Freeze.',
      'base',
      'veg_blanched',
    ],
    ['Greens', ['1 kg kale'], 'Blanch the kale 2 min and squeeze it out.', 'base', 'leaf_cook'],
    ['Apple and blackberry for Noor (10 months)', ['400 g apples', '200 g blackberries'], 'Cook 15 min, blend.', 'puree', 'pu_home'],
    ['Carrots and pears', ['400 g carrots', '2 pears'], 'Steam 12 min, blend. Freeze in ice cube trays.', 'puree', 'pu_home'],
    ['Plum compote', ['1 kg plums', '100 g sugar'], 'Simmer 20 min.', 'base', 'puree_fruit_adult'],
    ['Friday pot', ['500 g prawns', '2 leeks'], 'Simmer 10 min.', 'meal', 'fish_cooked'],
    ['One pan thing', ['600 g chicken thighs', '200 g basmati rice'], 'Simmer 25 min.', 'meal', 'rice_cooked'],
    ['Green pot', ['500 g leeks', '200 ml double cream'], 'Simmer 25 min.', 'meal', 'soup_cream'],
    ['Green pot', ['500 g leeks', '400 g tin butter beans'], 'Simmer 25 min.', 'meal', 'soup_veg'],
    ['Sunday pot', ['800 g stewing beef', '2 leeks', '100 ml milk'], 'Simmer 2 h.', 'meal', 'stew_meat'],
    ['Kale with barley', ['300 g kale', '200 g pearl barley'], 'Blanch the kale. Simmer the barley with it 30 min.', 'meal', 'soup_veg'],
  ] as const)('%s of %j is told by what is made of what', (name, lines, method, kind, life) => {
    const { revision } = compose(
      { ...emptyWriting, name, makes: '4', lines: lines.map((text, i) => ({ id: `l${i}`, text })), steps: [{ id: 'p', text: method }] },
      ctx,
    );
    expect([revision.kind, revision.storage[0]?.rowId]).toEqual([kind, life]);
  });
  it('a total is shared out in its own measure, a serving that is said stands', () => {
    const made = (makes: string, serving = '', over = {}) =>
      compose({ ...emptyWriting, name: 'Pot', makes, serving, lines: [{ id: 'a', text: '4 leeks' }], ...over }, ctx).revision;
    expect(made('3 litres')).toMatchObject({ serving: { unit: 'ml' } });
    expect(made('3 litres').servings * made('3 litres').serving.amount).toBeCloseTo(3000, 0);
    expect(made('3 litres', '500 ml')).toMatchObject({ servings: 6, serving: { amount: 500, unit: 'ml' } });
    expect(made('1.2 kg, serves 4')).toMatchObject({ servings: 4, serving: { amount: 300, unit: 'g' } });
    expect(made('')).toMatchObject({ servings: 4 });
    expect(made('30 cubes', '', { kind: 'puree' })).toMatchObject({ kind: 'puree', cubeMl: 30 });
    expect(made('4', '', { kind: 'kit' }).raw).toBe(true);
    expect(made('4', '', { kind: 'kit' }).confirmed).toEqual(['kind', 'yield']);
  });
});

describe('a kept recipe opened again', () => {
  const back = (lines: Line[]): Line[] => compose(writingOf(kept({ lines }), ctx), ctx).revision.lines;
  it('keeps lines that were made by hand, in sections, read as fewer or more', () => {
    const lines = [
      testLine('a', { written: '', name: 'onion' }),
      testLine('b', { written: 'salt and pepper', name: 'Salt and pepper', item: { type: 'unmatched' }, section: 'Top' }),
      testLine('c', { written: '2 leeks', textId: 'c', section: 'For 2' }),
      testLine('d', { written: '2 leeks', textId: 'c', name: 'leek tops', section: 'For 2' }),
      testLine('e', { written: '3 carrots', item: { type: 'recipe', id: 'rec_base' }, name: 'Red pepper base' }),
    ];
    const again = back(lines);
    expect(again.map((l) => [l.name, l.item, l.section])).toEqual(lines.map((l) => [l.name, l.item, l.section]));
    expect(revisionSchema.shape.lines.safeParse(again).success).toBe(true);
  });
  it('keeps its size to the last figure, whatever was mended since it was written', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 20_000 }),
        fc.integer({ min: 1, max: 5000 }),
        fc.constantFrom('g', 'ml'),
        fc.constantFrom(undefined, '3 litres', 'serves 4', '12 Stück', '7 plates of 420 g'),
        fc.constantFrom('meal', 'puree', 'bread'),
        (amount, servings, unit, yieldText, kind) => {
          const before = kept({
            kind,
            serving: { amount: amount / 8, unit },
            servings: servings / 7,
            cubeMl: 30,
            ...(yieldText && { yieldText }),
          });
          const after = compose(writingOf(before, ctx), ctx).revision;
          expect(after).toMatchObject({ serving: before.serving, servings: before.servings, cubeMl: 30 });
        },
      ),
    );
  });
  it('takes a file’s corrections, but draws from no recipe that is not here', () => {
    const w = writingOf(
      kept({ lines: [testLine('e', { written: '3 carrots', item: { type: 'recipe', id: 'rec_gone' }, name: 'A base' })] }),
      ctx,
    );
    const file = {
      name: 'x',
      lines: ['3 carrots'],
      steps: [],
      tags: ['t'],
      notUnderstood: [],
      author: 'a cook',
      kept: { lines: w.lines, steps: [], fields: {} },
    };
    expect(
      compose(
        writingOfFile(file, () => 'new'),
        ctx,
      ).revision.lines[0]?.item,
    ).toEqual({ type: 'ingredient', id: 'carrot' });
    expect(
      compose(
        writingOfFile(file, () => 'new', new Set(['rec_gone'])),
        ctx,
      ).revision.lines[0]?.item,
    ).toEqual({ type: 'recipe', id: 'rec_gone' });
    expect(writingOfFile(file, () => 'new')).toMatchObject({ source: 'by a cook', tags: 't' });
    expect(writingOfFile({ ...file, servings: 5, prepMin: 10, cookMin: 20, totalMin: 30 }, () => 'new')).toMatchObject({
      makes: '5',
      base: { times: { prepMin: 10, cookMin: 20, totalMin: 30 } },
    });
  });
  it('knows a state by what a food is measured in', () => {
    const ids = compose(
      {
        ...emptyWriting,
        name: 'x',
        lines: ['2 tsp oregano', '3 sprigs oregano', '600 g chickpeas, drained', '600 g chickpeas, soaked', '2 tins chickpeas'].map(
          (text, i) => ({ id: `l${i}`, text }),
        ),
      },
      ctx,
    ).revision.lines.map((l) => (l.item.type === 'ingredient' ? l.item.id : ''));
    expect(ids).toEqual(['oregano_dried', 'oregano_fresh', 'chickpea_tin', 'chickpea_dry', 'chickpea_tin']);
  });
});

describe('counted foods, ranges and what dry food takes up', () => {
  it('a count word weighs where it is the row’s own piece', () => {
    expect(weighsAsPiece('clove', row('garlic'))).toBe(true);
    expect(weighsAsPiece('head', row('garlic'))).toBe(false);
    expect(weighsAsPiece('rib', row('celery'))).toBe(true);
    expect(weighsAsPiece('thumb', row('ginger'))).toBe(true);
    expect(weighsAsPiece('glug', row('oil_olive'))).toBe(false);
    expect(gramsOf({ amount: '2', unit: 'head' }, row('garlic'))).toEqual({ ok: false, why: 'noPieceWeight' });
    expect(gramsOf({ amount: '2', unit: 'handful' }, row('spinach'))).toEqual({ ok: false, why: 'pinch' });
  });
  it.each([
    ['1', 'clove', '1 clove'],
    ['3/2', 'bunch', '1½ bunches'],
    ['12', 'leaf', '12 leaves'],
  ] as const)('%s %s is %s', (amount, unit, says) =>
    expect(measureIn('metric', { quantity: { amount, unit }, pour: false, cap: 0.05, scaleStepG: 1 }).text).toBe(says),
  );
  it('a range is weighed low and bought high; up to four is four', () => {
    const recipe = kept({
      lines: [
        testLine('a', { amount: '2', amountTo: '3', unit: 'piece' }),
        testLine('b', { amount: '0', amountTo: '4', unit: 'tbsp', name: 'brandy', item: { type: 'unmatched' } }),
      ],
    });
    const scaled = scaleRecipe(weighRecipe(recipe, finder), 12, { scaleStepG: 1 });
    if (!scaled.ok) throw new Error('not scaled');
    const [a, b] = scaled.scaled.lines;
    expect([a?.exact?.amount, a?.upTo?.amount]).toEqual(['4', '6']);
    expect([b?.exact?.amount, b?.upTo]).toEqual(['8', undefined]);
    expect(a?.because.some((x) => x.code === 'range')).toBe(true);
    expect(b?.because.some((x) => x.code === 'atMost')).toBe(true);
  });
  it('dry food takes up what no line lists', () => {
    const beans = testLine('a', { amount: '500', unit: 'g', item: { type: 'ingredient', id: 'cannellini_dry' }, name: 'beans' });
    const of = (lines: Line[]) => absorbedG(weighRecipe(kept({ lines }), finder).facts);
    expect(of([beans])).toBe(700);
    expect(of([beans, testLine('w', { amount: '500', unit: 'ml', item: { type: 'ingredient', id: 'water' }, name: 'water' })])).toBe(200);
    expect(of([testLine('o')])).toBe(0);
    expect(
      of([
        testLine('r', { amount: '50', unit: 'g', item: { type: 'ingredient', id: 'oats' }, name: 'oats' }),
        testLine('f', { amount: '500', unit: 'g', item: { type: 'ingredient', id: 'flour_bread' }, name: 'flour' }),
      ]),
    ).toBe(0);
  });
});
