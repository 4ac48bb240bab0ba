import type { Batch, EventData, Household, Revision, Session, TamboEvent } from '#core/contract';
import { createMemo, ingredientFinder } from '#core/kitchen';
import { ingredientRows, lifeRows, materialRows } from '#core/kitchen/data';
import { codeFrom } from '#core/pack';
import { reheatRows, thawRows } from '#core/pack/data';
import { scaleRecipe, weighRecipe } from '#core/recipe';
import { foldPack, type PackState } from '#core/store';
import { testEater, testFigures } from '../kitchen/fixtures.ts';
import { testContainer } from '../pack/fixtures.ts';
import { testRevision } from '../recipe/fixtures.ts';
import { testFilled, testInstant } from '../store/fixtures.ts';
import type { World } from './world.ts';

export const testHousehold: Household = {
  id: 'household',
  name: 'Test',
  country: 'GB',
  timeZone: 'Europe/London',
  locale: 'en-GB',
  currency: 'GBP',
  units: 'metric',
  lives: 'usual',
  dinnerAt: '18:30',
  parDays: 7,
  leadDays: 3,
  brothPacksPerWeek: 1,
  groupSizes: [2],
  scaleStepG: 1,
  singleKeys: true,
};

const finder = ingredientFinder(ingredientRows);

/** A small household: two adults at dinner every day, tubs and bags, one chest. */
export function testWorld(
  over: Partial<World> = {},
  revisions: readonly Revision[] = [testRevision()],
  packs: readonly PackState[] = [],
): World {
  const household = over.household ?? testHousehold;
  const eaters = over.eaters ?? [testEater('osk', { stage: 'elder', needs: ['lowSalt'] }), testEater('joaquim')];
  return {
    household,
    eaters,
    written: { household, eaters },
    tableSeen: '',
    equipment: [
      { id: 'hob', name: 'Hob', kind: 'hob', count: 4 },
      { id: 'oven', name: 'Oven', kind: 'oven', count: 1 },
      { id: 'mw', name: 'Microwave', kind: 'microwave', count: 1 },
    ],
    containers: [
      testContainer('tub1000', { name: 'Tub 1 L', brimMl: 1000, fillMl: 870, heightMm: 100, owned: 6 }),
      testContainer('tub500', { name: 'Tub 500 ml', owned: 6 }),
    ],
    places: [
      {
        id: 'shed',
        name: 'Shed chest',
        kind: 'chest',
        litres: 200,
        temperatureC: -20,
        zones: [{ id: 'left', name: 'left', litres: 100 }],
        prefers: [],
      },
    ],
    packs,
    usage: new Map(),
    recipe: (id) => {
      const revision = revisions.find((r) => r.recipeId === id);
      return revision && { recipe: { id, revisionId: revision.id, name: revision.name, kind: revision.kind, archived: false }, revision };
    },
    revision: (id) => revisions.find((r) => r.id === id),
    scale: (revision, portions) => scaleRecipe(weighRecipe(revision, finder), portions, { scaleStepG: 1 }),
    finder,
    runs: new Map(),
    times: new Map(),
    paces: [],
    lives: new Map(lifeRows.map((r) => [r.id, r])),
    materials: new Map(materialRows.map((r) => [r.id, r])),
    reheats: reheatRows,
    thaws: thawRows,
    figures: testFigures,
    allergenNames: new Map([['al_celery', 'celery']]),
    memo: createMemo(),
    ...over,
  };
}

export const testSession = (batches: readonly Batch[] = [{ id: 'b1', recipeId: 'rec1', revisionId: 'rev1', portions: 9 }]): Session => ({
  id: 's1',
  name: 'Saturday',
  day: '2026-11-28',
  startAt: '09:00',
  cooks: [{ id: 'j', name: 'Joaquim' }],
  batches: [...batches],
});

let packNumber = 0;
/** A pack in the chest, as its events would have made it. */
export function testPack(id: string, over: Partial<EventData<'filled'>> = {}, changes: Partial<PackState> = {}): PackState {
  packNumber += 1;
  const data = testFilled({ code: codeFrom(packNumber), ...over });
  const filled: TamboEvent = {
    id: `f-${id}`,
    type: 'filled',
    subjects: [id],
    instant: testInstant(0),
    device: 'd',
    counter: 0,
    version: 1,
    data,
  };
  const pack = foldPack([filled], id);
  if (!pack) throw new Error('a filled pack is a pack');
  return { ...pack, placeId: 'shed', zoneId: 'left', ...changes };
}
