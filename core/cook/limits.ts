import type { Revision, Step } from '#core/contract';
import type { IngredientFinder } from '#core/kitchen';
import { blanches, inSession } from '#core/recipe';

/** The longest wait from one piece of work to another, and what for. */
export interface Limit {
  after: string;
  from: 'start' | 'end';
  to: 'start' | 'end';
  maxMin: number;
  why: 'ice' | 'raw' | 'cooling';
}

/** A wait this long is over another day: what comes after it is not of this session. */
export const overnightMin = 480;
/** From this class on it is raw fish or meat. */
export const rawFrom = 5;

/** Raw fish and meat stand on the worktop half an hour at the most, part-cooked ones too (COMPUTATION, scheduling; food-reference 1.12 no_partial). */
const rawOutMin = 30;
/** What was blanched is in the ice within a minute (COMPUTATION, scheduling). */
const intoIceWithinMin = 1;
/** On the fire so long it is cooked, not only browned (kitchen estimate). */
const cookedMin = 15;

/** Words of a step that puts food into ice. */
export const intoIce = /\bice\b|iced water/i;
/** Of the meat and fish counter, and not raw any more. */
const keptMeat = /cooked|smoked|bacon|chorizo|ham_/;
const heats: ReadonlySet<string> = new Set(['hob', 'oven', 'steamer', 'microwave']);

/** Raw food that waits half an hour at the most after a piece of work. @example rawLimit('prep:beef').maxMin // 30 */
export const rawLimit = (after: string): Limit => ({ after, from: 'end', to: 'start', maxMin: rawOutMin, why: 'raw' });

/** Steps after which meat or fish is still raw, or only browned. */
function stillRaw(steps: readonly Step[], revision: Revision, finder: IngredientFinder): Set<string> {
  const raw = new Set(
    revision.lines.flatMap((l) => {
      const row = l.item.type === 'ingredient' ? finder.byId(l.item.id) : undefined;
      return row && (row.aisle === 'meat' || row.aisle === 'fish') && !keptMeat.test(row.id) ? [l.id] : [];
    }),
  );
  const after = new Set<string>();
  for (let grew = raw.size > 0; grew;) {
    grew = false;
    for (const s of steps) {
      const holds = s.uses.some((u) => raw.has(u.lineId)) || (s.takes ?? s.after).some((id) => after.has(id));
      const cooked = s.waitMin >= cookedMin && s.needs.some((n) => heats.has(n.kind));
      if (!holds || cooked || after.has(s.id)) continue;
      after.add(s.id);
      grew = true;
    }
  }
  return after;
}

/**
 * The longest waits between steps of a recipe: out of the blanching water into ice, raw and only browned meat or fish on to the next step.
 * @returns for a step its limits, by the ids of the steps before it
 * @example limitsOf(stew, finder)(simmer) // [{ after: 'brown', maxMin: 30, why: 'raw', ... }]
 */
export function limitsOf(revision: Revision, finder: IngredientFinder): (step: Step) => Limit[] {
  const steps = inSession(revision.steps);
  const raw = stillRaw(steps, revision, finder);
  return (step) => [
    ...(step.takes ?? step.after).filter((id) => raw.has(id)).map(rawLimit),
    ...(intoIce.test(step.text)
      ? steps
          .filter((s) => step.after.includes(s.id) && blanches(s) && !blanches(step))
          .map((s): Limit => ({ after: s.id, from: 'end', to: 'start', maxMin: intoIceWithinMin, why: 'ice' }))
      : []),
  ];
}

/** Work with limits of time. */
interface Limited {
  id: string;
  after: readonly string[];
  handsOnMin: number;
  waitMin: number;
  windows?: Limit[];
}

/** Tasks that a task leads to, through any number. */
function leadsTo(tasks: readonly Pick<Limited, 'id' | 'after'>[]): (id: string) => ReadonlySet<string> {
  const next = new Map<string, string[]>();
  for (const t of tasks) for (const a of t.after) next.set(a, [...(next.get(a) ?? []), t.id]);
  return (id) => {
    const found = new Set<string>();
    for (const open = [id]; open.length > 0;)
      for (const n of next.get(open.pop()!) ?? [])
        if (!found.has(n)) {
          found.add(n);
          open.push(n);
        }
    return found;
  };
}

/**
 * No limit that the recipe itself cannot keep: where work lies between what was browned and what it goes into, as long as that work takes one cook.
 * @example asRecipesAllow(tasks) // the leeks sweat 40 min in the pan before the chicken goes back: it may wait 40
 */
export function asRecipesAllow<T extends Limited>(tasks: readonly T[]): T[] {
  const after = leadsTo(tasks);
  const byId = new Map(tasks.map((t) => [t.id, t]));
  /** What it waits for since it was raw: all that work may come before it in the recipe. */
  const rawSince = (id: string, seen = new Set<string>()): Set<string> => {
    if (seen.has(id)) return seen;
    seen.add(id);
    for (const w of byId.get(id)?.windows ?? []) if (w.why === 'raw') rawSince(w.after, seen);
    return seen;
  };
  return tasks.map((t) => {
    if (!t.windows?.some((w) => w.why === 'raw')) return t;
    const windows = t.windows.map((w) => {
      if (w.why !== 'raw') return w;
      const since = [...rawSince(w.after)].map(after);
      const between = tasks.filter(
        (x) => x.id !== t.id && x.id !== w.after && after(x.id).has(t.id) && !after(x.id).has(w.after) && since.some((s) => s.has(x.id)),
      );
      const work = between.reduce((sum, x) => sum + x.handsOnMin + (x.waitMin < overnightMin ? x.waitMin : 0), 0);
      return { ...w, maxMin: Math.max(w.maxMin, work) };
    });
    return { ...t, windows };
  });
}
