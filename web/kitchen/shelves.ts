import type { Place, Typed } from '#core/contract';
import { newId } from '../sync/device.ts';

type Shelves = Typed<Place>['zones'];

/**
 * Shelves by the names that stand in the field: one that was there keeps who it is, by its name, or by its turn when it was renamed, so that its packs
 * stay on it; also while the field is emptied and written anew.
 */
export const shelved = (names: readonly string[], before: Shelves, now: Shelves): Shelves =>
  names.map((name, i) => {
    const same = before.find((z) => z.name === name);
    const renamed = before[i] && !names.includes(before[i].name) ? before[i] : undefined;
    const added = before.some((z) => z.id === now[i]?.id) ? undefined : now[i];
    return { ...(same ?? renamed ?? added ?? { id: newId(), litres: '1' }), name };
  });
