import { isDinner } from '#core/kitchen';
import { coldOf, dueOf, eveningIfPulled, firstEvening, statusOf, thawHoursOf, type Moment, type PackState } from '#core/store';
import { packWarnings, printAgain, sayContents, sayWarning, type World } from '#core/session';
import type { PackBrief } from './answers.ts';

/** A pack as lists and drawings need it. @example briefOf(tub7, at, world).notFor // ['Not for Mio: holds nuts'] */
export function briefOf(pack: PackState, at: Moment, world: World): PackBrief {
  const container = world.containers.find((c) => c.id === pack.containerId);
  const cold = coldOf(pack, at);
  return {
    packId: pack.packId,
    code: pack.code,
    name: pack.name,
    kind: pack.kind,
    left: pack.left,
    portions: pack.portions,
    volumeMl: pack.volumeMl,
    outerMl: pack.outerMl,
    massG: pack.massG,
    due: dueOf(pack, at),
    status: statusOf(pack),
    cold: cold.state,
    firstEvening: firstEvening(pack, at),
    dinner: isDinner(pack),
    contents: sayContents(pack),
    notFor: packWarnings(pack, world).map((w) => sayWarning(w, world.allergenNames)),
    printAgain: printAgain(pack, world),
    // packs that thaw in the same time are ready on the same evening: worked out once for a page
    outFor: world.memo([at], `pulled ${statusOf(pack) === 'frozen' ? thawHoursOf(pack).low : pack.packId}`, () =>
      eveningIfPulled(pack, at),
    ),
    brittle: pack.kind === 'aromatic' || pack.kind === 'bread',
    seen: pack.seen ?? pack.packId,
    ...(pack.made && { made: pack.made }),
    ...(pack.foundOn && { foundOn: pack.foundOn }),
    ...(pack.bestBy && { bestBy: pack.bestBy }),
    ...(cold.readyFrom && { readyFrom: cold.readyFrom }),
    ...(cold.readyBy && { readyBy: cold.readyBy }),
    ...(pack.placeId && { placeId: pack.placeId }),
    ...(pack.zoneId && { zoneId: pack.zoneId }),
    ...(pack.planned && { planned: pack.planned }),
    ...(pack.labelled && { labelled: pack.labelled }),
    ...(pack.recipeId && { recipeId: pack.recipeId }),
    ...(container && { shape: container.shape }),
  };
}
