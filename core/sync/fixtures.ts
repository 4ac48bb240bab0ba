import { ingredientRows, lifeRows, materialRows } from '#core/kitchen/data';
import { reheatRows, thawRows } from '#core/pack/data';
import { testEater, testFigures } from '../kitchen/fixtures.ts';
import { testRevision } from '../recipe/fixtures.ts';
import { testHousehold, testSession, testWorld } from '../session/fixtures.ts';
import type { Snapshot } from './snapshot.ts';

/** The same household as a device keeps it: one recipe, one session, a chest, nothing in store unless told otherwise. */
export const testSnapshot = (over: Partial<Snapshot> = {}): Snapshot => {
  const { places, equipment } = testWorld();
  const revision = testRevision();
  return {
    storeId: 'store',
    household: testHousehold,
    eaters: [testEater('osk')],
    table: [],
    unreadable: [],
    clashes: [],
    equipment: [...equipment],
    containers: [],
    places: [...places],
    packs: [],
    usage: [],
    recipes: [{ id: revision.recipeId, revisionId: revision.id, name: revision.name, kind: revision.kind, archived: false }],
    revisions: [revision],
    sessions: [testSession()],
    events: [['s1', []]],
    sessionPacks: [['s1', []]],
    eatenDays: [],
    lately: [],
    rated: [],
    runs: [],
    changes: 0,
    logged: 0,
    times: [],
    paces: [],
    ingredients: [...ingredientRows],
    lives: [...lifeRows],
    materials: [...materialRows],
    reheats: [...reheatRows],
    thaws: [...thawRows],
    figures: testFigures,
    presets: [],
    allergenNames: [['al_celery', 'celery']],
    acknowledged: [],
    ...over,
  };
};
