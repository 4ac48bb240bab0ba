import type { Eater } from '#core/contract';

const dinners = {
  mon: ['dinner'],
  tue: ['dinner'],
  wed: ['dinner'],
  thu: ['dinner'],
  fri: ['dinner'],
  sat: ['dinner'],
  sun: ['dinner'],
} satisfies Eater['presence']['weekly'];

/** An adult at dinner every day unless told otherwise. */
export const testEater = (id: string, over: Partial<Eater> = {}): Eater => ({
  id,
  name: id,
  stage: 'adult',
  appetite: 1,
  allergens: [],
  needs: [],
  presence: { weekly: dinners, away: [], exceptions: [] },
  ...over,
});
