import type { Container } from '#core/contract';
import type { PackBrief } from '../answers.ts';
import { dueOf, statusOf, type PackState } from '#core/store';

/** A pack as lists and drawings need it. */
export function briefOf(pack: PackState, today: string, zone: string, containers: readonly Container[]): PackBrief {
  const container = containers.find((c) => c.id === pack.containerId);
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
    made: pack.made,
    bestBy: pack.bestBy,
    due: dueOf(pack, today, zone),
    status: statusOf(pack),
    brittle: pack.kind === 'aromatic' || pack.kind === 'bread',
    ...(pack.placeId && { placeId: pack.placeId }),
    ...(pack.zoneId && { zoneId: pack.zoneId }),
    ...(pack.planned && { planned: pack.planned }),
    ...(pack.labelled && { labelled: pack.labelled }),
    ...(pack.recipeId && { recipeId: pack.recipeId }),
    ...(container && { shape: container.shape }),
  };
}
