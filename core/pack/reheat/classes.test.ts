import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { kindSchema, type Container, type Kind } from '#core/contract';
import { reheatRows } from '../data/index.ts';
import { classOfOldIds, formsOf, guessClass, type FoodHints } from './classes.ts';
import { heatRow } from './rows.ts';

const rows = reheatRows.map(heatRow);
const food = (name: string, over: Partial<FoodHints> = {}): FoodHints => ({
  name,
  kind: 'meal',
  lifeIds: [],
  raw: false,
  cubes: false,
  pan: false,
  ...over,
});

describe('the class of a food, guessed from what a cook calls it', () => {
  it.each([
    ['Lentil soup, the orange one', 'soup'],
    ['Creamy leek soup', 'soup_cream'],
    ['Swede mash', 'mash'],
    ['Aubergine moussaka', 'lasagne'],
    ['Cornish pasty', 'pasty'],
    ['Leek quiche', 'quiche'],
    ['Rhubarb crumble', 'pie_fruit'],
    ['Shepherd’s and mushroom pie', 'pie_mash'],
    ['Chicken and leek pie', 'pie_pastry'],
    ['Meatballs in tomato sauce', 'meatball_sauce'],
    ['Meatballs', 'meatball'],
    ['Beet fritters', 'patty'],
    ['Breaded cod', 'breaded'],
    ['Pulled pork', 'pulled'],
    ['Bean burritos', 'burrito'],
    ['Pierogi', 'dumpling'],
    ['Porridge for the week', 'porridge'],
    ['Buckwheat pancakes', 'pancake'],
    ['Mac and cheese', 'pasta_sauced'],
    ['Red lentil dal', 'curry'],
    ['Mushroom risotto', 'rice'],
    ['Onion gravy', 'gravy'],
    ['Grandmother’s pot', 'stew'],
    ['Something with no name for it', 'stew'],
  ])('%s: %s', (name, id) => expect(guessClass(food(name), rows)).toBe(id));
  it.each<[string, Partial<FoodHints>, string]>([
    ['Carrot purée', { kind: 'puree', cubes: true }, 'puree_baby'],
    ['Carrot purée', { kind: 'puree', cubes: true, parts: ['turkey mince'] }, 'puree_baby_meat'],
    ['Grated ginger', { kind: 'aromatic', cubes: true }, 'aromatic'],
    ['Basil in oil', { kind: 'aromatic', cubes: true }, 'aromatic_oil'],
    ['Bone broth', { kind: 'broth' }, 'broth'],
    ['Bone broth', { kind: 'broth', cubes: true }, 'broth_cube'],
    ['Marinated thighs', { kind: 'kit', raw: true }, 'kit_raw'],
    ['Lasagne to bake', { kind: 'kit', raw: true, pan: true }, 'bake_unbaked'],
    ['Taco filling', { kind: 'kit' }, 'kit_part'],
    ['Tomato base', { kind: 'base' }, 'sauce'],
    ['Rye rolls', { kind: 'bread' }, 'roll'],
    ['Leek gratin', { pan: true }, 'lasagne'],
    ['Whatever it was', { pan: true }, 'lasagne'],
  ])('%s, %o: %s', (name, over, id) => expect(guessClass(food(name, over), rows)).toBe(id));
  it('is always one that the table has rows for, whatever the name and kind', () => {
    const known = new Set(rows.map((r) => r.classId));
    const lifeIds = [...new Set(rows.flatMap((r) => r.lifeIds))];
    fc.assert(
      fc.property(
        fc.string(),
        fc.constantFrom<Kind>(...kindSchema.options),
        fc.subarray(lifeIds, { maxLength: 2 }),
        fc.boolean(),
        fc.boolean(),
        fc.boolean(),
        (name, kind, ids, raw, cubes, pan) => {
          expect(known.has(guessClass({ name, kind, lifeIds: ids, raw, cubes, pan }, rows))).toBe(true);
        },
      ),
    );
  });
  it('is carried over from old row ids, the first that is known', () => {
    const old = rows.find((r) => r.refRows.length > 0)!;
    expect(classOfOldIds(['rt_nobody', old.refRows[0]!], rows)).toBe(rows.find((r) => r.refRows.includes(old.refRows[0]!))!.classId);
    expect(classOfOldIds(['rt_nobody'], rows)).toBeUndefined();
  });
});

describe('what a container is as far as heat goes', () => {
  const of = (shape: Container['shape'], materialId: string) => formsOf({ shape, materialId }, false)[0];
  it.each<[Container['shape'], string, string]>([
    ['tub', 'm_pp', 'tub'],
    ['bag', 'm_ldpe_zip', 'bag'],
    ['pan', 'm_foil', 'foil'],
    ['tray', 'm_silicone', 'loose'],
  ])('%s of %s is heated as %s', (shape, material, form) => expect(of(shape, material)).toBe(form));
  it('cubes are loose whatever holds them, and what nobody knows is a tub', () => {
    expect(formsOf({ shape: 'bag', materialId: 'm_x' }, true)[0]).toBe('loose');
    expect(formsOf(undefined, false)[0]).toBe('tub');
  });
  it('every shape and material has a form', () => {
    for (const shape of ['tub', 'bag', 'pan', 'jar', 'tray', 'mould', 'box'] as const)
      for (const m of ['m_pp', 'm_foil', 'm_metal_pan', 'm_glass_tempered', 'm_ceramic', 'm_castiron_enam', 'm_card', 'm_other'])
        expect(formsOf({ shape, materialId: m }, false).length, `${shape} ${m}`).toBeGreaterThan(0);
  });
});
