import { referenceTables, type ReferenceTable } from '#core/contract';

/** What a table of figures is for here: something is worked out from it, or it is shown where it belongs. */
export interface TableReader {
  how: 'computes' | 'shown';
  /** What moves when a row is changed. */
  says: string;
}

/**
 * The one reader of each table that has one (decision 100). A table that is not here is reference only: nothing is worked out from it, and a change in it
 * would move nothing.
 */
export const tableReaders: Readonly<Partial<Record<ReferenceTable, TableReader>>> = {
  ingredient: { how: 'computes', says: 'weights, lists, costs, allergens' },
  life: { how: 'computes', says: 'how long dishes and packs keep' },
  reheat: { how: 'computes', says: 'how a pack is heated, on its page and its label' },
  thaw: { how: 'computes', says: 'when a pack has to come out of the freezer' },
  texture: { how: 'computes', says: 'what a recipe’s page says of freezing it' },
  seasoning: { how: 'computes', says: 'what a recipe’s page says of freezing its seasonings' },
  allergen: { how: 'computes', says: 'what the allergens are called' },
  clock: { how: 'computes', says: 'the cooling clock, how long thawed food keeps, cautions' },
  setpoint: { how: 'computes', says: 'the heat that the middle of reheated food has to reach, cautions' },
  headspace: { how: 'computes', says: 'how full containers are packed, and what is offered as their fill line' },
  space: { how: 'computes', says: 'the room that bags and cubes take in the freezer' },
  thickness: { how: 'computes', says: 'minutes of thick frozen blocks in a microwave' },
  portion: { how: 'computes', says: 'the appetite offered for who eats' },
  density: { how: 'computes', says: 'what a litre weighs of a dish nobody weighed' },
  hazard: { how: 'computes', says: 'the days of garlic in oil in its caution' },
  hot_blending: { how: 'computes', says: 'how much hot food goes into a bowl at once' },
  material: { how: 'computes', says: 'what a container bears' },
  bag: { how: 'computes', says: 'the containers offered in Kitchen' },
  tub: { how: 'computes', says: 'the containers offered in Kitchen' },
  pan: { how: 'computes', says: 'the containers offered in Kitchen' },
  keep: { how: 'shown', says: 'each food’s card under Ingredients' },
  blanch: { how: 'shown', says: 'each food’s card under Ingredients' },
  puree: { how: 'shown', says: 'each food’s card under Ingredients' },
  trim: { how: 'shown', says: 'each food’s card under Ingredients' },
  cooked: { how: 'shown', says: 'each food’s card under Ingredients' },
  scrap: { how: 'shown', says: 'each food’s card under Ingredients' },
};

/** Tables from which nothing is worked out. @example referenceOnly.includes('hazard') // true */
export const referenceOnly: readonly ReferenceTable[] = referenceTables.filter((t) => !(t in tableReaders));
