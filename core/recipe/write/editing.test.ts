import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { testRevision } from '../fixtures.ts';
import { differences, doublesOf, join, move, paste, sayAmount, split } from './index.ts';

interface Text {
  id: string;
  text: string;
}
const texts = fc
  .array(fc.stringMatching(/^[a-z]{0,6}( [a-z]{1,5}){0,2}$/), { minLength: 1, maxLength: 8 })
  .map((list) => list.map((text, i): Text => ({ id: `t${i}`, text })));
const letters = (list: readonly Text[]): string =>
  list
    .map((t) => t.text)
    .join('')
    .replace(/\s/g, '');
let made = 0;
const make = (text: string): Text => ({ id: `n${(made += 1)}`, text });
const picked = (list: readonly Text[], n: number): Text => list[n % list.length]!;

describe('editing texts', () => {
  it('no letter is lost or made by Enter, Backspace, moving and pasting', () =>
    fc.assert(
      fc.property(texts, fc.nat(), fc.nat(), fc.integer({ min: -4, max: 4 }), (list, n, k, by) => {
        const item = picked(list, n);
        const caret = k % (item.text.length + 1);
        expect(letters(split(list, item.id, caret, make).texts)).toBe(letters(list));
        expect(letters(join(list, item.id).texts)).toBe(letters(list));
        expect(
          move(list, item.id, by)
            .map((t) => t.id)
            .toSorted(),
        ).toEqual(list.map((t) => t.id).toSorted());
        const pasted = paste(list, item.id, caret, ['one', '', ' two '], make);
        expect(letters(pasted.texts)).toHaveLength(letters(list).length + 6);
        expect(new Set(pasted.texts.map((t) => t.id)).size).toBe(pasted.texts.length);
      }),
    ));
  it('Enter and then Backspace is as before', () =>
    fc.assert(
      fc.property(texts, fc.nat(), (list, n) => {
        const item = picked(list, n);
        const after = split(list, item.id, item.text.length, make);
        expect(join(after.texts, after.at!.id).texts).toEqual(list);
      }),
    ));
  it('moving there and back is as before', () => {
    const list = ['a', 'b', 'c', 'd'].map((id) => ({ id, text: id }));
    expect(move(move(list, 'b', 2), 'b', -2)).toEqual(list);
    expect(move(list, 'a', -1)).toEqual(list);
  });
});

describe('what two revisions say differently', () => {
  it('is nothing of one and itself, and is turned round when they are', () => {
    const a = testRevision();
    const b = testRevision({ name: 'Leek pie', lines: [...a.lines.slice(1), { ...a.lines[0]!, written: '900 g onions' }], servings: 8 });
    expect(differences(a, a)).toEqual([]);
    const swap = differences(b, a).map(({ part, before, after }) => ({
      part,
      ...(after !== undefined && { before: after }),
      ...(before !== undefined && { after: before }),
    }));
    expect(swap.map((d) => [d.before, d.after].toSorted())).toEqual(differences(a, b).map((d) => [d.before, d.after].toSorted()));
    expect(differences(a, b).map((d) => d.part)).toContain('makes');
  });
});

describe('doubles', () => {
  const stew = { id: 'a', name: 'White bean and kale soup', ingredientIds: ['bean', 'kale', 'leek', 'oil', 'carrot'] };
  it.each([
    ['the same name', { id: 'n', name: 'white bean & kale soups', ingredientIds: [] }, true],
    ['a like name and the same foods', { id: 'n', name: 'Kale and bean soup', ingredientIds: stew.ingredientIds }, true],
    ['a like name and other foods', { id: 'n', name: 'Kale and bean salad', ingredientIds: ['kale', 'lemon'] }, false],
    ['another dish', { id: 'n', name: 'Plum jam', ingredientIds: ['plum', 'sugar'] }, false],
    ['itself', { ...stew }, false],
  ])('%s', (_, recipe, is) => expect(doublesOf(recipe, [stew]).length > 0).toBe(is));
});

describe('an amount as it will be weighed', () => {
  const line = { scaling: { rule: 'proportional' } } as const;
  it.each([
    [{ ...line, amount: '20', unit: 'oz' }, '567 g'],
    [{ ...line, amount: '2', amountTo: '3', unit: 'clove' }, '2 to 3 cloves'],
    [{ ...line, amount: '0', amountTo: '4', unit: 'tbsp' }, 'up to 4 tbsp'],
    [{ ...line, amount: '1/2', unit: 'bunch' }, '½ bunch'],
    [{ scaling: { rule: 'toTaste' } }, 'to taste'],
    [{ ...line, amount: '800', amountTo: '1200', unit: 'g' }, '800 g to 1.2 kg'],
  ] as const)('%j is %s', (l, says) => expect(sayAmount(l, 'metric').replace(/\u00A0/g, ' ')).toBe(says));
});
