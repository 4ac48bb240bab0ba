import type { Container } from '#core/contract';
import { cubesThatFit, fillLimitMl, type FillFigures } from './fill.ts';

/** A container kind with how many are free now. */
export interface Free {
  container: Container;
  free: number;
}

export interface PackWish {
  yieldMl: number;
  /** One portion (or one cube) in millilitres. */
  portionMl: number;
  /** Pack sizes in portions that the household likes, such as 2 for the couple. */
  groups: readonly number[];
  /** Cubes go loose into bags. */
  asCubes?: boolean;
  /** How full containers may be, and how much room cubes take. */
  figures: FillFigures;
}

export interface PackGroup {
  container: Container;
  packs: number;
  portionsEach: number;
  mlEach: number;
}

export interface PackChoice {
  groups: PackGroup[];
  portionsPacked: number;
  packs: number;
  /** Portions that are whole but found no container. */
  portionsLeft: number;
  /** Less than a portion: tonight's. */
  tonightMl: number;
}

export type PackResult =
  | { ok: true; choice: PackChoice }
  | { ok: false; why: 'portionTooLarge'; portionMl: number; nearest?: { name: string; fillMl: number } }
  | { ok: false; why: 'nothingFree' | 'lessThanOne' };

/** Wishes in their order, each to be made small: preferred portions missed, food left, kinds, packs, one-use packs, then the ids. */
type Cost = readonly [number, number, number, number];

interface State {
  cost: Cost;
  picks: readonly { index: number; portions: number; packs: number }[];
}

const smaller = (a: Cost, b: Cost): boolean => {
  for (let i = 0; i < a.length; i += 1) {
    const d = (a[i] ?? 0) - (b[i] ?? 0);
    if (d !== 0) return d < 0;
  }
  return false;
};

const add = (a: Cost, b: Cost): Cost => [a[0] + b[0], a[1] + b[1], a[2] + b[2], a[3] + b[3]];

/** How many portions each container takes at most. */
const most = (c: Container, wish: PackWish): number =>
  wish.asCubes ? cubesThatFit(c, wish.portionMl, wish.figures) : Math.floor(fillLimitMl(c, wish.figures) / wish.portionMl + 1e-9);

/**
 * Chooses containers for a yield from what is free, by the order of wishes of DECISIONS 17:
 * preferred group sizes, whole portions, least left over, fewest container kinds, fewest packs, returning before one-use, id.
 * Exact: dynamic programming over portions, one container kind after another; lexicographic costs add up, so the best part stays best.
 * @param frees container kinds with how many are free; trays are skipped, cubes end in bags
 * @example choosePacks({ yieldMl: 3800, portionMl: 400, groups: [2], figures }, frees) // four tubs of two, one of one, 200 ml for tonight
 */
export function choosePacks(wish: PackWish, frees: readonly Free[]): PackResult {
  const portions = Math.floor(wish.yieldMl / wish.portionMl + 1e-9);
  const tonightMl = Math.max(0, wish.yieldMl - portions * wish.portionMl);
  if (portions === 0) return { ok: false, why: 'lessThanOne' };
  const usable = frees
    .filter((f) => f.container.shape !== 'tray' && f.container.shape !== 'mould' && (!wish.asCubes || f.container.shape !== 'pan'))
    .toSorted((a, b) => a.container.id.localeCompare(b.container.id));
  if (usable.every((f) => most(f.container, wish) === 0)) {
    const nearest = usable.toSorted((a, b) => fillLimitMl(b.container, wish.figures) - fillLimitMl(a.container, wish.figures))[0];
    return {
      ok: false,
      why: 'portionTooLarge',
      portionMl: wish.portionMl,
      ...(nearest && { nearest: { name: nearest.container.name, fillMl: fillLimitMl(nearest.container, wish.figures) } }),
    };
  }
  const fitting = usable.map((f, index) => ({ ...f, index, most: most(f.container, wish) })).filter((f) => f.free > 0 && f.most > 0);
  if (fitting.length === 0) return { ok: false, why: 'nothingFree' };

  const sizesFor = (limit: number): number[] => {
    const liked = wish.groups.filter((g) => g <= limit);
    const fillers = wish.asCubes ? [limit] : Array.from({ length: Math.min(limit, 12) }, (_, i) => i + 1);
    // the last bag of cubes may hold fewer, so every count is allowed there
    const rest = wish.asCubes ? Array.from({ length: limit }, (_, i) => i + 1) : [];
    return [...new Set([...liked, ...fillers, ...rest])];
  };

  let best: (State | undefined)[] = Array.from({ length: portions + 1 });
  best[0] = { cost: [0, 0, 0, 0], picks: [] };
  for (const f of fitting) {
    const oneUse = f.container.oneUse ? 1 : 0;
    // used[n][p]: best with n packs of this kind and p portions in all
    let used: (State | undefined)[] = best.map((s) => s);
    const next = best.slice();
    for (let n = 1; n <= Math.min(f.free, portions); n += 1) {
      const grown: (State | undefined)[] = Array.from({ length: portions + 1 });
      for (let p = 0; p <= portions; p += 1) {
        const from = used[p];
        if (!from) continue;
        for (const size of sizesFor(f.most)) {
          const to = p + size;
          if (to > portions) continue;
          const liked = wish.groups.includes(size) ? size : 0;
          const cost = add(from.cost, [-liked, n === 1 ? 1 : 0, 1, oneUse]);
          const there = grown[to];
          if (!there || smaller(cost, there.cost)) grown[to] = { cost, picks: withPick(from.picks, f.index, size) };
        }
      }
      for (let p = 0; p <= portions; p += 1) {
        const g = grown[p];
        const there = next[p];
        if (g && (!there || smaller(g.cost, there.cost))) next[p] = g;
      }
      used = grown;
    }
    best = next;
  }

  // preferred portions first, then food packed, then the rest of the wishes
  const final = best
    .map((state, packed) => ({ state, packed }))
    .filter((x): x is { state: State; packed: number } => x.state !== undefined)
    .reduce((a, b) => {
      const preferred = b.state.cost[0] - a.state.cost[0];
      if (preferred !== 0) return preferred < 0 ? b : a;
      if (b.packed !== a.packed) return b.packed > a.packed ? b : a;
      return smaller(b.state.cost, a.state.cost) ? b : a;
    });
  const groups = final.state.picks
    .map((pick) => ({
      container: usable[pick.index]?.container,
      packs: pick.packs,
      portionsEach: pick.portions,
      mlEach: pick.portions * wish.portionMl,
    }))
    .filter((g): g is PackGroup => g.container !== undefined)
    .toSorted((a, b) => b.portionsEach - a.portionsEach || a.container.id.localeCompare(b.container.id));
  return {
    ok: true,
    choice: {
      groups,
      portionsPacked: final.packed,
      packs: groups.reduce((s, g) => s + g.packs, 0),
      portionsLeft: portions - final.packed,
      tonightMl,
    },
  };
}

function withPick(picks: State['picks'], index: number, portions: number): State['picks'] {
  const at = picks.findIndex((p) => p.index === index && p.portions === portions);
  return at < 0 ? [...picks, { index, portions, packs: 1 }] : picks.map((p, i) => (i === at ? { ...p, packs: p.packs + 1 } : p));
}

/**
 * Millilitres of tubs, bags and the rest that are free beyond those a choice has taken.
 * @example freeAfter(frees, choice) // the next dish chooses from what is left
 */
export const freeAfter = (frees: readonly Free[], choice: PackChoice): Free[] =>
  frees.map((f) => ({
    ...f,
    free: f.free - choice.groups.filter((g) => g.container.id === f.container.id).reduce((s, g) => s + g.packs, 0),
  }));
