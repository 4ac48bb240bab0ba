import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { revisionSchema, type Revision, type Writing } from '#core/contract';
import { ingredientFinder } from '#core/kitchen';
import { ingredientRows } from '../../kitchen/data/index.ts';
import { toCsv, toJsonLd, toMarkdown } from '../out/out.ts';
import { readRecipeFile } from '../read/index.ts';
import { compose, emptyWriting, fixOf, isWhole, readYield, writingOf, writingOfFile } from './index.ts';
import { readPortion } from './yield.ts';

const finder = ingredientFinder(ingredientRows);
const ctx = { finder, recipes: [{ id: 'rec_base', name: 'Red pepper base' }] };

const texts = [
  '2 big leeks, sliced thin',
  '1 lb 4 oz dried white beans, soaked',
  'a good glug of oil',
  '3 carrots + 2 sticks celery',
  '2 (400 g) tins plum tomatoes',
  'salt and pepper',
  '300 ml Red pepper base',
  'For the top:',
  '2-3 tbsp breadcrumbs',
  'up to 4 tbsp brandy',
  '1 handful of something nobody knows',
  '½ tsp ground cumin',
  '# Part 2',
  '4 eggs',
  'water to cover',
  '5 g of -- odd -> "quoted", text',
];
const stepTexts = [
  'Soak the beans overnight.',
  'Sweat the leeks in the oil for 10 minutes.',
  'Simmer everything for 1 hour, lid ajar.',
  'Blend -- carefully -- & season.',
  'Bake at 180 C for 40 min.',
];

const writing: fc.Arbitrary<Writing> = fc
  .record({
    name: fc.constantFrom('White bean soup', 'Leek bread', 'Stock of scraps', 'Purée, green', '=SUM(A1)', 'A–B “quoted” <b>'),
    makes: fc.constantFrom('7 plates of 420 g', '3 litres', 'serves 4 to 6', '24 cubes', '2 x 900 ml', ''),
    serving: fc.constantFrom('', '350 g', '250 ml'),
    lines: fc.array(fc.constantFrom(...texts), { minLength: 1, maxLength: 12 }),
    steps: fc.array(fc.constantFrom(...stepTexts), { maxLength: 5 }),
    tags: fc.constantFrom('', 'winter, baby', 'one'),
    source: fc.constantFrom('', 'a card in the drawer', '+49 the neighbour'),
    note: fc.constantFrom('', 'Thinner next time.', 'Two\n\nparagraphs.'),
    ownReheat: fc.constantFrom('', 'slowly'),
  })
  .map((r): Writing => ({
    ...emptyWriting,
    ...r,
    lines: r.lines.map((text, i) => ({ id: `l${i}`, text })),
    steps: r.steps.map((text, i) => ({ id: `s${i}`, text })),
  }));

const kept = (w: Writing): Revision =>
  revisionSchema.parse({ ...compose(w, ctx).revision, id: 'rev', recipeId: 'rec', madeAt: '2026-11-24T10:00:00.000Z' });
/** What of a revision is the recipe's own. */
const bare = ({ id: _id, recipeId: _r, madeAt: _m, ...rest }: Revision): unknown => JSON.parse(JSON.stringify(rest));

describe('a written recipe', () => {
  it('is always one that the contract takes, whatever is typed', () => {
    fc.assert(
      fc.property(
        fc.string({ maxLength: 60 }),
        fc.array(fc.string({ maxLength: 60 }), { maxLength: 8 }),
        fc.string({ maxLength: 30 }),
        fc.string({ maxLength: 30 }),
        (name, lines, makes, serving) => {
          const w = {
            ...emptyWriting,
            name,
            makes,
            serving,
            lines: lines.map((text, i) => ({ id: `l${i}`, text })),
            steps: lines.map((text, i) => ({ id: `s${i}`, text })),
          };
          expect(isWhole(compose(w, ctx))).toBe(true);
        },
      ),
    );
    fc.assert(
      fc.property(writing, (w) => {
        expect(isWhole(compose(w, ctx))).toBe(true);
      }),
    );
  });
  it('kept and opened again is the same, line by line', () =>
    fc.assert(
      fc.property(writing, (w) => {
        const revision = kept(w);
        const again = compose(writingOf(revision, ctx), ctx).revision;
        expect(again.lines).toEqual(revision.lines);
        expect(again.steps).toEqual(revision.steps);
        expect(again).toMatchObject({
          name: revision.name,
          kind: revision.kind,
          servings: revision.servings,
          tags: revision.tags,
          storage: revision.storage,
        });
      }),
    ));
  it.each([
    ['JSON-LD', toJsonLd],
    ['Markdown', toMarkdown],
    ['CSV', toCsv],
  ] as const)('goes out as %s and comes back without loss, alone and among others', (_, out) =>
    fc.assert(
      fc.property(fc.array(writing, { minLength: 1, maxLength: 3 }), (several) => {
        // two of one name and one content are one recipe
        const revisions = [
          ...new Map(several.map((w) => kept(writingOf(kept(w), ctx))).map((r, i) => [r.name, { ...r, name: `${r.name} ${i}` }])).values(),
        ];
        const read = readRecipeFile(out(revisions, ctx));
        expect(read.ok).toBe(true);
        if (!read.ok) return;
        expect(read.recipes).toHaveLength(revisions.length);
        read.recipes.forEach((file, i) => {
          let n = 0;
          const back = compose(
            writingOfFile(file, () => `n${(n += 1)}`, new Set(['rec_base'])),
            ctx,
          ).revision;
          expect(JSON.parse(JSON.stringify(back))).toEqual(bare(revisions[i]!));
        });
      }),
      { numRuns: 60 },
    ),
  );
  it('a corrected line keeps what was said of it; of another text only what does not speak of amounts', () => {
    const first = compose({ ...emptyWriting, name: 'x', lines: [{ id: 'a', text: '2 onions' }] }, ctx);
    const row = first.rows[0]!;
    if (!('foods' in row)) throw new Error('a heading');
    const fix = fixOf(row.foods[0]!, '2 onions', undefined, { amount: '3', scaling: { rule: 'fixed' } });
    const line = (text: string) =>
      compose({ ...emptyWriting, name: 'x', lines: [{ id: 'a', text, fixes: { a: fix } }] }, ctx).revision.lines[0];
    expect(line('2 onions')).toMatchObject({ amount: '3', scaling: { rule: 'fixed' } });
    expect(line('5 onions')).toMatchObject({ amount: '5', scaling: { rule: 'fixed' } });
  });
  it('asks what cannot be meant and what is not known, and draws on other recipes by name', () => {
    const { asks, revision } = compose(
      {
        ...emptyWriting,
        name: 'x',
        makes: 'a 3 l serving',
        serving: '3 l',
        lines: [
          { id: 'a', text: '1e9 kg flour' },
          { id: 'b', text: '2 dragon scales' },
          { id: 'c', text: '200 ml red pepper base' },
        ],
      },
      ctx,
    );
    expect(asks.map((a) => a.ask)).toEqual(['cannotBeMeant', 'food', 'servingTooLarge']);
    expect(revision.lines[2]?.item).toEqual({ type: 'recipe', id: 'rec_base' });
  });
  it('a changed sentence keeps what is known of the others', () => {
    const before = kept({
      ...emptyWriting,
      name: 'x',
      lines: [{ id: 'a', text: '4 leeks' }],
      steps: [
        { id: 's', text: 'Chop the leeks.' },
        { id: 't', text: 'Simmer 20 min.' },
      ],
    });
    const known: Revision = { ...before, steps: before.steps.map((s) => (s.id === 's' ? { ...s, handsOnMin: 17, guess: false } : s)) };
    const w = writingOf(known, ctx);
    const after = compose({ ...w, steps: w.steps.map((s) => (s.id === 't' ? { ...s, text: 'Simmer 30 min.' } : s)) }, ctx).revision;
    expect(after.steps[0]).toMatchObject({ handsOnMin: 17, guess: false });
    expect(after.steps[1]).toMatchObject({ waitMin: 30, guess: true });
  });
});

describe('what a recipe makes', () => {
  it.each([
    ['4', { count: 4 }],
    ['Serves 4 to 6', { count: 4 }],
    ['3 litres', { total: { amount: 3000, unit: 'ml' } }],
    ['about 1.5 kg', { total: { amount: 1500, unit: 'g' } }],
    ['7 plates of 420 g', { count: 7, each: { amount: 420, unit: 'g' } }],
    ['24 cubes', { count: 24 }],
    ['Makes 2 loaves', { count: 2 }],
    ['2 x 900 ml tubs', { count: 2, each: { amount: 900, unit: 'ml' }, total: { amount: 1800, unit: 'ml' } }],
    ['1 litre, serves 4', { total: { amount: 1000, unit: 'ml' }, count: 4 }],
    ['serves eight', { count: 8 }],
    ['für 4 Personen', { count: 4 }],
    ['a potful', { count: 1 }],
    ['enough', {}],
    ['', {}],
  ])('%j', (text, made) => expect(readYield(text)).toEqual(made));
});

describe('how large a portion is, by what the method says of the packing', () => {
  it.each([
    ['Drain, dry, open freeze, then bag in 300 g portions.', { amount: 300, unit: 'g' }],
    ['Pack in portions of about 0.5 kg.', { amount: 500, unit: 'g' }],
    ['Freeze in 30ml cubes', { amount: 30, unit: 'ml' }],
    ['Divide into 250-ml servings.', { amount: 250, unit: 'ml' }],
    ['Add 300 g of the beans; portion it into tubs.', undefined],
    ['Cut into 3 cm cubes.', undefined],
    ['Serve a portion of 2.', undefined],
    ['Pack in bags of 1 kg.', undefined],
  ])('%j', (text, size) => expect(readPortion(['Simmer.', text])).toEqual(size));

  it('is a guess of its own that what the cook says goes before', () => {
    const writing = { ...emptyWriting, name: 'Beans', makes: '10 portions', steps: [{ id: 'a', text: 'Bag in 300 g portions.' }] };
    expect(compose(writing, ctx).revision).toMatchObject({ servings: 10, serving: { amount: 300, unit: 'g' } });
    expect(compose(writing, ctx).guessed).toContain('serving');
    expect(compose({ ...writing, serving: '250 g' }, ctx).revision.serving.amount).toBe(250);
    expect(compose({ ...writing, makes: '10 portions of 200 g' }, ctx).revision.serving.amount).toBe(200);
  });
});
