import type { Line } from '#core/contract';

/** Set-up minutes and minutes per kilo to bring something into a form by hand. */
export interface PrepRate {
  form: NonNullable<Line['form']>;
  group: 'bulb' | 'leaf' | 'hard' | 'soft' | 'other';
  setupMin: number;
  perKgMin: number;
  source: 'KIT';
}

const rate = (form: PrepRate['form'], group: PrepRate['group'], setupMin: number, perKgMin: number): PrepRate => ({ form, group, setupMin, perKgMin, source: 'KIT' });

/** Kitchen estimates, always shown as a guess, replaced by the last run's minutes. */
export const prepRates: readonly PrepRate[] = [
  rate('diced', 'bulb', 2, 14), rate('diced', 'hard', 2, 12), rate('diced', 'soft', 2, 9), rate('diced', 'leaf', 2, 12), rate('diced', 'other', 2, 11),
  rate('cubed', 'bulb', 2, 10), rate('cubed', 'hard', 2, 9), rate('cubed', 'soft', 2, 6), rate('cubed', 'leaf', 2, 9), rate('cubed', 'other', 2, 8),
  rate('sliced', 'bulb', 2, 10), rate('sliced', 'hard', 2, 9), rate('sliced', 'soft', 2, 6), rate('sliced', 'leaf', 2, 10), rate('sliced', 'other', 2, 8),
  rate('chopped', 'bulb', 2, 11), rate('chopped', 'hard', 2, 9), rate('chopped', 'soft', 2, 7), rate('chopped', 'leaf', 1, 25), rate('chopped', 'other', 2, 9),
  rate('minced', 'bulb', 2, 45), rate('minced', 'hard', 2, 40), rate('minced', 'soft', 2, 20), rate('minced', 'leaf', 1, 35), rate('minced', 'other', 2, 25),
  rate('grated', 'bulb', 2, 15), rate('grated', 'hard', 2, 14), rate('grated', 'soft', 2, 10), rate('grated', 'leaf', 2, 20), rate('grated', 'other', 2, 12),
  rate('peeled', 'bulb', 1, 10), rate('peeled', 'hard', 1, 8), rate('peeled', 'soft', 1, 8), rate('peeled', 'leaf', 1, 8), rate('peeled', 'other', 1, 8),
  rate('halved', 'bulb', 1, 4), rate('halved', 'hard', 1, 5), rate('halved', 'soft', 1, 4), rate('halved', 'leaf', 1, 4), rate('halved', 'other', 1, 4),
  rate('torn', 'leaf', 1, 15), rate('torn', 'other', 1, 8), rate('torn', 'soft', 1, 8), rate('torn', 'bulb', 1, 8), rate('torn', 'hard', 1, 8),
];

const groups: Readonly<Record<string, PrepRate['group']>> = {
  onion: 'bulb', spring_onion: 'bulb', leek: 'bulb', shallot: 'bulb', garlic: 'bulb', ginger: 'bulb', fennel: 'bulb',
  carrot: 'hard', celeriac: 'hard', parsnip: 'hard', beetroot: 'hard', turnip: 'hard', swede: 'hard', potato: 'hard', sweet_potato: 'hard', butternut: 'hard', pumpkin: 'hard', kohlrabi: 'hard', celery: 'hard', quince: 'hard', apple: 'hard',
  aubergine: 'soft', courgette: 'soft', tomato: 'soft', pepper_sweet: 'soft', mushroom: 'soft', pear: 'soft',
  spinach: 'leaf', kale: 'leaf', chard: 'leaf', cabbage: 'leaf', parsley: 'leaf', coriander: 'leaf', dill: 'leaf', mint: 'leaf', basil: 'leaf',
};

/** The group an ingredient is cut like. @example prepGroup('carrot') // 'hard' */
export const prepGroup = (ingredientId: string): PrepRate['group'] => groups[ingredientId] ?? 'other';
