import type { Revision, Step } from '#core/contract';
import { blanches, inSession } from '#core/recipe';
import { intoIce, overnightMin } from './limits.ts';

/** Kinds whose food is packed cold; bread cools on its own, kits and pastes were never hot. */
const chilled: ReadonlySet<string> = new Set(['meal', 'base', 'puree', 'broth']);
const heats: ReadonlySet<string> = new Set(['hob', 'oven', 'microwave', 'steamer']);

/** It is hot when it is done, and is to be cold before it is packed; what was blanched last and put into ice is cold. @example isHot(stew) // true */
export function isHot(revision: Pick<Revision, 'kind' | 'raw' | 'steps'>): boolean {
  if (!chilled.has(revision.kind) || revision.raw) return false;
  const steps = revision.steps.filter((s) => s.moment !== 'serve');
  const last = steps.findLastIndex((s) => s.needs.some((n) => heats.has(n.kind)));
  return last >= 0 && !(blanches(steps[last]!) && steps.slice(last + 1).some((s) => intoIce.test(s.text)));
}

/**
 * Steps at the end of a recipe that only say what every session ends with, by the kitchen's own tasks: cooling, filling, freezing. With their words.
 * @example coveredBy(stew).get('s7') // { as: 'pack', text: 'Freeze in pairs.' }
 */
export function coveredBy(revision: Revision): Map<string, { as: 'cool' | 'pack'; text: string }> {
  const steps = inSession(revision.steps);
  const hot = isHot(revision);
  const covered = new Map<string, { as: 'cool' | 'pack'; text: string }>();
  const ends = (s: Step): boolean =>
    s.uses.length === 0 &&
    s.moment === undefined &&
    (s.kind === 'freeze' || s.kind === 'fill' || (s.kind === 'cool' && hot)) &&
    s.waitMin < overnightMin;
  for (let grew = true; grew;) {
    grew = false;
    for (const s of steps)
      if (!covered.has(s.id) && ends(s) && steps.every((x) => !x.after.includes(s.id) || covered.has(x.id))) {
        covered.set(s.id, { as: s.kind === 'cool' ? 'cool' : 'pack', text: s.text });
        grew = true;
      }
  }
  return covered.size < steps.length ? covered : new Map();
}

/**
 * What a recipe says itself of cooling or of filling and freezing, for the task that stands for it.
 * @example ownWords(stew, 'pack') // 'Freeze in pairs.'
 */
export const ownWords = (revision: Revision, as: 'cool' | 'pack'): string =>
  // found from the last one back, said in their order
  [...coveredBy(revision).values()]
    .filter((c) => c.as === as)
    .toReversed()
    .map((c) => c.text.replace(/[^.!?]$/u, '$&.'))
    .join(' ');
