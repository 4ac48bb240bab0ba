import { describe, expect, it } from 'vitest';
import { queryIn } from './useLibrary.ts';

describe('what is looked for, in the address', () => {
  const from = (text: string) => queryIn(new URLSearchParams(text));
  it('is read part by part', () =>
    expect(
      from('q=leek&kind=meal&free=al_milk,al_egg&hands=40&litres=2&store=in&made=long&have=leek,onion&sort=stars&all=1&freezes=1'),
    ).toEqual({
      text: 'leek',
      kind: 'meal',
      free: ['al_milk', 'al_egg'],
      handsMin: 40,
      litres: 2,
      store: 'in',
      made: 'long',
      have: ['leek', 'onion'],
      sort: 'stars',
      forAll: true,
      freezes: true,
    }));
  it('is nothing where nothing is asked, and what cannot be meant narrows nothing', () => {
    expect(from('')).toEqual({});
    expect(from('hands=soon&stars=-2&store=shed&made=once&sort=colour&free=')).toEqual({});
  });
});
