import { describe, expect, it } from 'vitest';
import type { Step } from '#core/contract';
import { sayShare, sayStepMinutes, stepName } from './sayStep.ts';

describe('what a step is called', () => {
  it.each([
    ['Sweat the leeks in the oil, 10 min', '3 Sweat the leeks in the oil'],
    ['The night before, soak the beans', '3 Soak the beans'],
    ['Simmer until soft', '3 Simmer'],
    ['Meanwhile dice the carrots and the celery and the leeks', '3 Dice the carrots and the celery…'],
  ])('%s', (text, name) => expect(stepName({ text }, 2)).toBe(name));
});

describe('minutes', () => {
  const step = (more: Partial<Step>): Step => ({
    id: 's',
    text: 's',
    uses: [],
    needs: [],
    handsOnMin: 4,
    handsOnPerKgMin: 0,
    waitMin: 0,
    hazards: [],
    after: [],
    guess: false,
    ...more,
  });
  const plain = (text: string): string => text.replace(/\u00a0/g, ' ');
  it('say which are guesses', () => {
    expect(plain(sayStepMinutes(step({})))).toBe('4 min of hands');
    expect(plain(sayStepMinutes(step({ waitMin: 90, guessed: ['wait'] })))).toBe('4 min of hands, about 1 h 30 min by itself');
    expect(plain(sayStepMinutes(step({ guessed: ['hands'] })))).toBe('about 4 min of hands');
  });
  it('shares are said as a cook says them', () => expect([0.5, 1 / 3, 0.6].map(sayShare)).toEqual(['half', 'a third', '60 %']));
});
