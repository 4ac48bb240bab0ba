import type { TodayAnswer } from '#core/queries';

type Ordered = Omit<TodayAnswer['view']['eatFirst'][number], 'notFor'> & { notFor?: string[] };

/** Packs of one dish that are due on one day stand as one line. */
export function dishes<T extends Ordered>(list: readonly T[]): { first: T; packs: number; left: number }[] {
  const groups = new Map<string, { first: T; packs: number; left: number }>();
  for (const item of list) {
    const key = `${item.pack.recipeId ?? item.pack.name}|${item.due.day ?? ''}|${item.pack.planned?.day ?? ''}`;
    const g = groups.get(key);
    if (g) groups.set(key, { ...g, packs: g.packs + 1, left: g.left + item.pack.left });
    else groups.set(key, { first: item, packs: 1, left: item.pack.left });
  }
  return [...groups.values()];
}
