import { describe, expect, it } from 'vitest';
import { ingredientFinder } from '#core/kitchen';
import { ingredientRows, withForeignNames } from '#core/kitchen/data';
import { composeLines } from '../write/index.ts';
import type { Step } from '#core/contract';
import { earliest, methodFindings, segmentsOf, understand, withoutCircles, type Understood } from './index.ts';
import { quickestMs } from '../../kitchen/fixtures.ts';
import { languageOf, sameStem, slipOf, stemOf } from './language.ts';
import { cueOf, heatOf, minutesOf } from './minutes.ts';
import { saidShare } from './shares.ts';
import { sentencesOf, textFrom } from './sentences.ts';
import { laterMethods } from './texts/later.methods.ts';
import { openMethods } from './texts/open.methods.ts';
import { sealedMethods } from './texts/sealed.methods.ts';
import { scoreMethods, type MethodScore } from './texts/score.ts';

const finder = ingredientFinder(withForeignNames(ingredientRows));
const linesFrom = (texts: readonly string[]) =>
  composeLines(
    texts.map((text, i) => ({ id: `l${i}`, text })),
    { finder, recipes: [] },
  ).flatMap((r) => ('foods' in r ? r.foods.map((f) => f.line) : []));
const read = (lines: readonly string[], text: string): Understood => understand(text.split('\n'), linesFrom(lines), { finder });
const kinds = (u: Understood) => u.steps.map((s) => s.kind);
const usesOf = (u: Understood) => u.steps.map((s) => s.uses.map((x) => [x.line.name, Number(x.share.toFixed(2))]));
const share = (m: MethodScore, what: Exclude<keyof MethodScore, 'misses'>): number => m[what][0] / m[what][1];

describe('labelled methods', () => {
  it.each([
    ['open', openMethods],
    ['first sealed half', sealedMethods],
    ['half labelled later', laterMethods],
  ] as const)('the %s: lines, orders with their freedom, minutes, eating day, findings', (name, methods) => {
    const score = scoreMethods(methods);
    const say = (what: Exclude<keyof MethodScore, 'misses'>): string => `${what} ${score[what][0]}/${score[what][1]}`;
    console.log(`${name}: ${(['lines', 'orders', 'freedom', 'minutes', 'serve', 'findings', 'steps'] as const).map(say).join(', ')}`);
    expect(share(score, 'lines'), score.misses.join('\n')).toBeGreaterThanOrEqual(0.95);
    expect(share(score, 'orders')).toBeGreaterThanOrEqual(name === 'half labelled later' ? 0.8 : 0.9);
    expect(share(score, 'freedom')).toBeGreaterThanOrEqual(0.8);
    expect(share(score, 'minutes')).toBeGreaterThanOrEqual(0.85);
    expect(share(score, 'serve')).toBeGreaterThanOrEqual(0.9);
    expect(share(score, 'findings')).toBeGreaterThanOrEqual(0.85);
    // a text chopped small would have every pair free
    expect(share(score, 'steps')).toBeLessThan(1.25);
  });
});

describe('where a step begins and ends', () => {
  it.each([
    ['Cube the kohlrabi. Meanwhile sear the rabbit in the fat, then add it to the pot.', ['cut', 'brown', 'mix']],
    ['Bring to a boil and simmer 20 min.', ['simmer']],
    ['Fry the onions 8 min, turning once, season.', ['fry']],
    ['Knead 10 minutes, rest an hour under a cloth.', ['knead', 'rest']],
    ['Bake at 180 C for 40 min or freeze before baking.', ['bake']],
    ['Chop the leeks. It freezes beautifully.', ['cut']],
  ])('%s', (text, wanted) => expect(kinds(read(['1 kohlrabi', '1 rabbit', '2 onions', '2 leeks'], text))).toEqual(wanted));
  it('numbers, bullets and times in front are no text', () => {
    for (const front of ['1. ', '2) ', 'Step 3: ', '• ', '- ', '10:30 ', 'b) ']) expect(textFrom(`${front}Chop`)).toBe(front.length);
    expect(textFrom('2.5 kg of leeks')).toBe(0);
    expect(sentencesOf('Fry 2.5 min. Add approx. 3 tbsp oil (or less. Or more); simmer.')).toHaveLength(3);
  });
  it('verbs that are foods too stay foods where nothing is done', () => {
    expect(segmentsOf('Butter, leeks, 6 min.', 'en').map((s) => s.act)).toEqual([undefined]);
    expect(segmentsOf('Marinate in yoghurt, cumin and salt for 4 hours.', 'en').map((s) => s.act)).toEqual(['soak']);
    expect(segmentsOf('Butter the tin.', 'en').map((s) => s.act)).toEqual(['fill']);
  });
});

describe('what a step takes', () => {
  it('part of a line by fraction, amount, number, and what is left of it', () => {
    const [cream] = linesFrom(['400 ml cream']);
    const [figs] = linesFrom(['5 apples']);
    expect(saidShare('stir in half the ', cream!)).toEqual({ share: 0.5 });
    expect(saidShare('three quarters of the ', cream!)).toEqual({ share: 0.75 });
    expect(saidShare('add 100 ml of the ', cream!)).toMatchObject({ share: 0.25 });
    expect(saidShare('2 of the ', figs!)).toMatchObject({ share: 0.4 });
    expect(saidShare('with the rest of the ', cream!)).toBe('rest');
    expect(saidShare('the remaining ', cream!)).toBe('rest');
    expect(saidShare('simmer 20 min in the ', cream!)).toBeUndefined();
  });
  it('groups by the food table, all but what is named later', () => {
    const u = read(
      ['2 carrots', '1 leek', '300 g kale', '1 tsp cumin', '1 tsp turmeric'],
      'Sweat the vegetables 10 min. Add the spices. Stir in the kale.',
    );
    expect(usesOf(u)).toEqual([
      [
        ['carrot', 1],
        ['leek', 1],
      ],
      [
        ['ground cumin', 1],
        ['ground turmeric', 1],
      ],
      [['kale', 1]],
    ]);
  });
  it('nothing that is only said not to be there, nothing by half a word', () => {
    const u = read(
      ['200 ml cream', '1 tin coconut milk', '100 g oats', '500 g goat'],
      'Simmer the goat in the coconut milk for 2 h, no need for cream.',
    );
    expect(usesOf(u)[0]!.map(([name]) => name)).toEqual(expect.arrayContaining(['goat', 'coconut milk, tinned']));
    expect(usesOf(u)[0]).toHaveLength(2);
  });
  it('what is left of a line by “the rest”, and nothing by a rest in the fridge', () => {
    const lines = ['1 kg lamb mince', '1 bunch mint', '500 g yogurt'];
    expect(
      usesOf(read(lines, 'Knead the mince with half the mint. Rest in the fridge, 1 h. Stir the remaining mint into the yogurt.')),
    ).toEqual([
      [
        ['lamb mince', 1],
        ['mint', 0.5],
      ],
      [],
      expect.arrayContaining([
        ['mint', 0.5],
        ['plain yogurt', 1],
      ]),
    ]);
  });
  it('a line with letters swapped, where it is listed', () => {
    expect(usesOf(read(['4 tomatoes'], 'Chop the tomatos.'))).toEqual([[['tomato', 1]]]);
    expect(slipOf('carots', 'carrots')).toBe(true);
    expect(slipOf('batter', 'potato')).toBe(false);
  });
  it('the poaching milk from where it was left, and the meat that was lifted out', () => {
    const u = read(
      ['800 g fish', '500 ml milk', '60 g butter', '40 g flour'],
      'Poach the fish in the milk, 8 min; lift it out. Melt the butter, stir in the flour and whisk in the poaching milk. Flake the fish and fold it into the sauce.',
    );
    const whisk = u.steps.findIndex((s) => s.text.includes('poaching'));
    expect(u.steps[whisk]!.takes).toContain(0);
    const flake = u.steps.findIndex((s) => s.text.includes('Flake'));
    expect(u.steps[flake]!.takes).toContain(0);
  });
});

describe('order', () => {
  it('comes of what is used: a told-late step comes first, beside means free', () => {
    const u = read(
      ['500 g beetroot', '1 onion', '1 litre stock'],
      'Soften the onion, 8 min. Add the beetroot, which has been boiled the day before, and the stock; simmer 10 min.',
    );
    const boiled = u.steps.findIndex((s) => s.text.includes('boiled'));
    expect(u.steps[boiled]).toMatchObject({ moment: 'eve', after: [] });
    expect(u.steps.at(-1)!.after).toContain(boiled);
  });
  it('the oven is hot before what is baked, and waits for nothing', () => {
    const u = read(['6 apples'], 'Core the apples and lay them in a dish. Bake 30 min. Heat the oven to 350 F before you begin.');
    const oven = u.steps.findIndex((s) => s.kind === 'preheat');
    expect(u.steps[oven]).toMatchObject({ after: [], heatC: 177 });
    expect(u.steps.find((s) => s.kind === 'bake')!.after).toContain(oven);
  });
});

describe('steps at their earliest', () => {
  const step = (id: string, hands: number, wait: number, after: string[] = [], moment?: 'eve' | 'serve'): Step => ({
    id,
    text: id,
    uses: [],
    needs: [],
    handsOnMin: hands,
    handsOnPerKgMin: 0,
    waitMin: wait,
    hazards: [],
    after,
    guess: false,
    ...(moment && { moment }),
  });
  it('begin when what they wait for is done, beside what they do not wait for, without the evening before and the table', () => {
    const early = earliest([
      step('soak', 2, 600, [], 'eve'),
      step('beans', 5, 60, ['soak']),
      step('leeks', 10, 0),
      step('together', 3, 20, ['beans', 'leeks']),
      step('parsley', 2, 0, ['together'], 'serve'),
    ]);
    expect(early.map((e) => [e.step.id, e.start, e.end])).toEqual(
      expect.arrayContaining([
        ['beans', 0, 65],
        ['leeks', 0, 10],
        ['together', 65, 88],
      ]),
    );
    expect(early).toHaveLength(3);
    // no two in one row at once
    for (const a of early) for (const b of early) if (a !== b && a.row === b.row) expect(a.end <= b.start || b.end <= a.start).toBe(true);
  });
  it('are laid down even where two wait for each other', () => {
    expect(earliest([step('a', 1, 0, ['b']), step('b', 1, 0, ['a'])])).toHaveLength(2);
    expect(withoutCircles([[1], [0]])).toEqual({ after: [[], [0]], circle: [0, 1] });
  });
});

describe('minutes, heat and cues', () => {
  it.each([
    ['Simmer the beans an hour and a half in fresh water till soft.', 0, 90],
    ['Sweat the veg in the oil, 10 min.', 10, 0],
    ['Sweat the leeks 10 min, then simmer for 20 minutes.', 10, 20],
    ['In with the tomatoes and beans, 20 min, lid ajar.', 0, 20],
    ['Knead for 10 minutes by hand.', 10, 0],
    ['Bake at 180 C for 40 minutes.', 0, 40],
    ['Simmer one jar for 7 minutes, stirring.', 7, 0],
    ['Fry gently for 40 min, lid on.', 0, 40],
    ['Kale for the last five.', 0, 0],
  ])('%s: said hands and waiting', (text, hands, wait) => {
    const said = read(['1 kg beans', '2 leeks', '300 g kale'], text).steps.map((s) => s.minutes);
    expect(said.reduce((sum, x) => sum + (x.said.hands ? x.hands : 0), 0)).toBe(hands);
    expect(said.reduce((sum, x) => sum + (x.said.wait ? x.wait : 0), 0)).toBe(wait);
  });
  it.each([
    ['bake at gas 5', 190],
    ['oven to 350 F', 177],
    ['roast at 180 C fan', 200],
    ['180C, 160C fan', 180],
    ['in a low oven', 150],
    ['roast to 75 C at the core', undefined],
    ['simmer 20 min', undefined],
  ])('%s is %s degrees', (text, c) => expect(heatOf(text)).toBe(c));
  it.each([
    ['Fry 16 pancakes, 3 minutes each.', 'fry', { hands: 48 }],
    ['Brown in three batches, 8 minutes each.', 'brown', { hands: 24 }],
    ['Fry 5 minutes a side.', 'fry', { hands: 10 }],
    ['Simmer 20 to 25 min.', 'simmer', { wait: 20, waitTo: 25 }],
    ['Cook 20 minutes, stirring all the time.', 'simmer', { hands: 20, wait: 0 }],
    ['Gently fry for 40 min, lid on.', 'fry', { wait: 40 }],
    ['Simmer for 50.', 'simmer', { wait: 50 }],
    ['Serves 6; keeps 3 days.', 'mix', { wait: 0 }],
  ] as const)('%s', (text, kind, wanted) => expect(minutesOf(text, kind, () => kind, 1)).toMatchObject(wanted));
  it('what nobody said is guessed by the kind of work and grows with the weight', () => {
    const [little, much] = [0.4, 4].map((kg) => minutesOf('Brown the meat.', 'brown', () => 'brown', kg));
    expect(little!.said.hands).toBe(false);
    expect(much!.hands).toBeGreaterThan(little!.hands * 6);
    expect(minutesOf('Simmer the bones.', 'simmer', () => 'simmer', 2, 'beef bones').wait).toBe(240);
  });
  it('keeps the words of a cue', () => {
    expect(cueOf('Fry until golden, about 8 min.')).toBe('golden');
    expect(cueOf('Mijoter jusqu’à ce que la viande soit tendre.')).toBe('la viande soit tendre');
    expect(cueOf('Stir until wilted and squeeze in the lime.')).toBe('wilted');
    expect(cueOf('Chop the leeks.')).toBeUndefined();
  });
});

describe('languages', () => {
  it('are told by their small words', () =>
    expect(
      [
        'Chop the leeks and add them.',
        'Die Linsen mit Wasser kochen.',
        'Cuire avec le beurre.',
        'Cocer con el ajo.',
        'Cuocere con la cipolla e il burro nella pentola.',
      ].map(languageOf),
    ).toEqual(['en', 'de', 'fr', 'es', 'it']));
  it('know one word in its forms', () => {
    expect(['Tomatoes', 'leaves', 'berries', 'Möhren'].map(stemOf)).toEqual(['tomato', 'leaf', 'berry', 'mohren']);
    expect(sameStem('mohre', 'mohren')).toBe(true);
    expect(sameStem('cipolla', 'cipolle')).toBe(true);
    expect(sameStem('goat', 'oat')).toBe(false);
  });
  it('without a table keep text, lines and minutes', () => {
    const u = read(['2 rødløg', '1 liter vand'], 'Snit løgene. Kog i 20 min.');
    expect(u.steps.reduce((s, x) => s + x.minutes.wait + x.minutes.hands, 0)).toBeGreaterThanOrEqual(20);
  });
});

describe('findings', () => {
  const found = (lines: readonly string[], text: string): string[] => {
    const u = read(lines, text);
    return methodFindings(u, finder)
      .filter((f) => !f.offer)
      .map((f) => `${f.finding} ${'line' in f ? f.line.name : 'name' in f ? f.name : ''}`);
  };
  it('name a food of the table that nobody lists, with its amount, once', () => {
    const u = read(['2 leeks'], 'Sweat the leeks in 40 g butter. Add more butter.');
    expect(methodFindings(u, finder)).toEqual([expect.objectContaining({ finding: 'unlisted', name: 'butter', amount: '40 g' })]);
  });
  it('name a line no step takes, two amounts, shares over one', () => {
    expect(found(['2 leeks', '1 lemon'], 'Chop the leeks.')).toEqual(['unused lemon']);
    expect(found(['2 leeks', '200 ml cream'], 'Sweat the leeks. Add 500 ml cream.')).toEqual(['twice cream']);
    expect(found(['300 g rice', '2 leeks'], 'Boil 200 g of the rice. Fry 250 g of the rice with the leeks.')).toEqual(['sharesOver rice']);
  });
  it.each(['Cool in iced water.', 'Plunge into ice water.', 'Transfer to a bowl of ice.', 'Put it in an ice bath.'])(
    'say nothing of the ice that cools: %s',
    (ice) => expect(found(['500 g kale'], `Blanch the kale 2 min. ${ice}`)).toEqual([]),
  );
  it('say nothing of tap water, salt to taste, tools or what is served beside', () => {
    expect(found(['2 leeks'], 'Boil the leeks in salted water with a wooden spoon, season. Serve with bread.')).toEqual([]);
  });
});

describe('a paragraph that goes on and on', () => {
  it.each(['9 hours ', '20 min. ', 'simmer 5 min ', 'bring water to the boil '])(
    'of %j is read in a time that grows with its length',
    (bit) => {
      const text = bit.repeat(Math.ceil(12_000 / bit.length));
      expect(quickestMs(2500, performance, () => expect(understand([text], []).steps.length).toBeGreaterThan(0))).toBeLessThan(2500);
    },
  );
});
