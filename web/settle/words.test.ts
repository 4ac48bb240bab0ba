import { describe, expect, it } from 'vitest';
import { fieldOf, valueOf } from './words.ts';

describe('what two versions differ in', () => {
  it.each([
    [['dinnerAt'], 'dinner at'],
    [['batches', 'Beet soup', 'portions'], 'dishes, Beet soup, portions'],
    [['lines', 'red lentils', 'amount'], 'lines, red lentils, amount'],
    [['presence', 'weekly', 'mon'], 'presence, weekly, mon'],
    [[], 'all of it'],
  ])('%j is said as “%s”', (names, says) => expect(fieldOf(names)).toBe(says));
  it.each([
    [true, 'yes'],
    [undefined, 'nothing'],
    [[], 'none'],
    [['dinner', 'lunch'], 'dinner, lunch'],
    ['17:30', '17:30'],
    [{ id: 'x', name: 'Shed chest', litres: 200 }, 'Shed chest'],
    [{ id: 'b', recipeId: 'r', portions: 12 }, '12 portions'],
    [{ amount: 420, unit: 'g' }, 'amount 420, unit g'],
  ])('%j is read as “%s”', (value, says) => expect(valueOf(value)).toBe(says));
  it('never shows an id or a bracket', () => {
    expect(valueOf([{ id: '01J', recipeId: 'r', revisionId: 'v', portions: 3 }])).not.toMatch(/01J|[[\]{}]/);
  });
});
