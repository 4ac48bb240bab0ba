import type { Compiled } from './compile.ts';
import type { Kitchen } from './kitchen.ts';

/** Where an activity may stand first in a kitchen. */
export interface Finder {
  /** The first legal start from a minute on; -1 past the horizon. Cook, unit and wash are left in `found`. */
  find: (i: number, from: number) => number;
  found: { cook: number; unit: number; wash: number };
  /** Asks that on equal start this cook does it: the one of an older plan. */
  prefer: (cookOf: readonly number[]) => void;
}

/** What takes no bowl stands on none. */
export const noUnit = [-1] as const;

/** Looks for starts in a kitchen: gear, oven, then hands with a bowl and its wash, until all agree on a minute. */
export function makeFinder(c: Compiled, k: Kitchen): Finder {
  const { n, hands, length, cooks, needs, unit, oven, spans, opens } = c;
  const { horizon } = k;
  const cookCount = c.model.cooks.length;
  const preferred = new Int32Array(n).fill(-1);
  const found = { cook: -1, unit: -1, wash: 0 };

  /** The first legal start from a minute on; -1 past the horizon. Cook, unit and wash are left in `found`. */
  function find(i: number, from: number): number {
    let t = from;
    found.cook = -1;
    found.unit = -1;
    found.wash = 0;
    for (;;) {
      const t0 = t;
      for (const need of needs[i]!) t = k.poolFree(need.pool, t + need.from, need.to - need.from, need.units) - need.from;
      for (const s of opens[i]!) {
        const span = spans[s]!;
        t = k.poolFree(span.pool, t, span.least, span.units);
      }
      const bake = oven[i];
      if (bake) t = k.ovenFree(bake.oven, t + bake.from, bake.to - bake.from, bake.shelves, bake.tempC) - bake.from;
      if (t + length[i]! > horizon) return -1;
      if (t !== t0) continue;
      if (cooks[i] === 0) return t;
      const at = byHands(i, t);
      if (at < 0) return -1;
      if (at === t) return t;
      t = at;
    }
  }

  /** The first minute at which a cook, and where one is needed a unit, is free. */
  function byHands(i: number, t: number): number {
    const mask = cooks[i]!;
    const h = hands[i]!;
    const bowl = unit[i];
    let best = horizon;
    let bestWash = 0;
    let bestLiking = -1;
    const units = bowl ? k.unitsOf[bowl.group]! : noUnit;
    let seenClean = false;
    for (const u of units) {
      let from = t;
      let fromWash = 0;
      if (bowl) {
        // one bowl that nothing has been in is like another
        if (k.unused(u)) {
          if (seenClean) continue;
          seenClean = true;
        }
        from = k.unitFree(u, t, bowl.to, bowl.cls);
        fromWash = k.washed();
        if (from > best || (from === best && fromWash > bestWash)) continue;
      }
      for (let cook = 0; cook < cookCount; cook += 1) {
        if ((mask & (1 << cook)) === 0) continue;
        let at = from;
        let wash = fromWash;
        for (;;) {
          const free = k.cookFree(cook, at - wash, wash + h) + wash;
          if (free === at) break;
          at = free;
          if (!bowl || at > best) break;
          at = k.unitFree(u, at, bowl.to, bowl.cls);
          wash = k.washed();
          if (at > best) break;
        }
        if (at > best || at >= horizon) continue;
        if (at === best) {
          if (wash > bestWash) continue;
          // whom it suits better is asked only where two are equal
          if (wash === bestWash) {
            if (bestLiking < 0) bestLiking = likes(i, found.cook, best - bestWash);
            const liking = likes(i, cook, at - wash);
            if (liking <= bestLiking) continue;
            bestLiking = liking;
          } else bestLiking = -1;
        } else bestLiking = -1;
        best = at;
        bestWash = wash;
        found.cook = cook;
        found.unit = u;
        found.wash = wash;
      }
      // no bowl lets anybody begin before their hands are free
      if (bowl && bestWash === 0 && best < horizon && best <= soonest(mask, t, h)) break;
    }
    return best >= horizon ? -1 : best;
  }

  /** When the first of some cooks has so many minutes. */
  function soonest(mask: number, t: number, h: number): number {
    let first = horizon;
    for (let cook = 0; cook < cookCount && first > t; cook += 1)
      if ((mask & (1 << cook)) !== 0) first = Math.min(first, k.cookFree(cook, t, h));
    return first;
  }

  /** On equal start: the cook of the older plan, then the one at the same dish, then the smallest gap. */
  function likes(i: number, cook: number, t: number): number {
    if (cookCount === 1) return 0;
    if (preferred[i] === cook) return 4000;
    const gap = Math.min(900, k.gap(cook, t));
    return (k.lastDish(cook, t) === c.dish[i] ? 2000 : 0) + 1000 - gap;
  }

  return { find, found, prefer: (cookOf) => preferred.set(cookOf) };
}
