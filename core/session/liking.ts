import type { Day, EventOf, Id, TamboEvent } from '#core/contract';
import { byOrder, effective } from '#core/store';

/** What one eater says of one dish now, and what a page has seen of it. */
export interface Rating {
  recipeId: Id;
  eaterId: Id;
  /** One to five; absent when it was taken back. */
  stars?: number;
  /** Of the meal it was said of. */
  day: Day;
  /** How often they have said something of it. */
  times: number;
  seen: string;
}

/** How a dish is liked at this table. */
export interface Liked {
  /** Mean of what each eater says now, to a tenth. */
  stars: number;
  by: Rating[];
}

const isRated = (e: TamboEvent): e is EventOf<'rated'> => e.type === 'rated';

/**
 * The newest word of each eater on each dish: tastes change, and a baby's most of all.
 * @param leadsTo the recipe that an id leads to, for those that became one with another
 * @example ratingsOf(events, (id) => id).find((r) => r.eaterId === 'osk')?.stars // 4
 */
export function ratingsOf(events: readonly TamboEvent[], leadsTo: (recipeId: Id) => Id): Rating[] {
  const ratings = new Map<string, Rating>();
  const pairOf = new Map<string, string>();
  const counted = new Set(effective(events).map((e) => e.id));
  for (const e of events.toSorted(byOrder)) {
    if (isRated(e)) {
      const key = `${leadsTo(e.data.recipeId)} ${e.data.eaterId}`;
      pairOf.set(e.id, key);
      const before = ratings.get(key) ?? {
        recipeId: leadsTo(e.data.recipeId),
        eaterId: e.data.eaterId,
        day: e.data.day,
        times: 0,
        seen: e.id,
      };
      ratings.set(
        key,
        counted.has(e.id)
          ? { ...before, stars: e.data.stars, day: e.data.day, times: before.times + 1, seen: e.id }
          : { ...before, seen: e.id },
      );
    }
    // the taking back of a word has been seen too
    const key = e.type === 'undone' ? pairOf.get(e.data.eventId) : undefined;
    const before = key === undefined ? undefined : ratings.get(key);
    if (key !== undefined && before) {
      pairOf.set(e.id, key);
      ratings.set(key, { ...before, seen: e.id });
    }
  }
  return [...ratings.values()];
}

/**
 * How each dish is liked: the mean over those who have said, each counted once.
 * @example likedOf(ratings).get('stew')?.stars // 4.3
 */
export function likedOf(ratings: readonly Rating[]): Map<Id, Liked> {
  const liked = new Map<Id, Liked>();
  for (const r of ratings) {
    if (r.stars === undefined) continue;
    const by = [...(liked.get(r.recipeId)?.by ?? []), r];
    liked.set(r.recipeId, { stars: Math.round((by.reduce((s, x) => s + (x.stars ?? 0), 0) / by.length) * 10) / 10, by });
  }
  return liked;
}
