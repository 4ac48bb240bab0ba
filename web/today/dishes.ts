import type { TodayAnswer } from '#core/session';

type Ordered = TodayAnswer['view']['eatFirst'][number];

/** Packs of one dish that are due on one day stand as one line. */
export function dishes(list: readonly Ordered[]): { first: Ordered; packs: number; left: number }[] {
  const groups = new Map<string, { first: Ordered; packs: number; left: number }>();
  for (const item of list) {
    const key = `${item.pack.recipeId ?? item.pack.name}|${item.due.day}|${item.pack.planned?.day ?? ''}`;
    const g = groups.get(key);
    if (g) groups.set(key, { ...g, packs: g.packs + 1, left: g.left + item.pack.left });
    else groups.set(key, { first: item, packs: 1, left: item.pack.left });
  }
  return [...groups.values()];
}
