import type { Revision, Step } from '#core/contract';
import { inSession } from '../method/grow.ts';

/** A step as pots and bowls see it. */
export interface FlowStep {
  step: Step;
  /** How much of each line is in the vessel by then: what went in here and in the steps before. */
  holds: ReadonlyMap<string, number>;
  /** Brings a pot to the boil. */
  boilsUp: boolean;
  /** Minutes at a simmer and what lies on the pot. */
  simmer?: { minutes: number; lid: 'off' | 'ajar' | 'on' };
  /** Something is strained out later, so more is in the pot than comes out of it. */
  strainedLater: boolean;
  bowl?: 'pulse' | 'puree' | 'hot';
}

const simmerWords = /\b(simmer|boil|stew|reduce|bubbl|barely moving|cook down)/i;
const boilUpWords = /\b(bring|heat)\b[^.;,]*?\b(boil|simmer|up)\b/i;
const strainWords = /\b(strain|sieve|drain|lift out)/i;

/**
 * What lies on the pot: said by the step, else read from its words.
 * @example lidOf({ text: 'Simmer with the lid ajar.' }) // 'ajar'
 */
export function lidOf(step: Pick<Step, 'text' | 'lid'>): 'off' | 'ajar' | 'on' {
  if (step.lid) return step.lid;
  if (/\blid (ajar|tilted|half)|half[- ]covered|partly covered/i.test(step.text)) return 'ajar';
  if (/\b(lid on|covered|with a lid|under a lid)\b/i.test(step.text)) return 'on';
  return 'off';
}

/** On a burner: said by what it needs, or, where nothing is said, by its words. */
const onHob = (step: Step): boolean =>
  step.needs.some((n) => n.kind === 'hob' || n.kind === 'pot') ||
  (step.needs.length === 0 && step.kind === undefined && step.waitMin > 0 && simmerWords.test(step.text));

/** Whether it stands at a simmer: by its kind, or, where nobody has said it, by its words. */
const isSimmer = (step: Step): boolean =>
  step.kind === undefined
    ? simmerWords.test(step.text.replace(boilUpWords, ''))
    : step.kind === 'simmer' || step.kind === 'reduce' || step.kind === 'boil';

const heats = (step: Step): boolean => onHob(step) || step.needs.some((n) => n.kind === 'oven' || n.kind === 'steamer');
const coolWords = /\b(cool|chill|cold|lukewarm|room temperature)/i;
const pureeWords = /\b(blend|blitz|pur[ée]e|smooth|paste)/i;
const inThePot = /\b(stick|hand|immersion)[- ]blend/i;

/** What a bowl is used for; `before` are the steps it waits for, the nearest first. */
function bowlOf(step: Step, before: readonly Step[]): FlowStep['bowl'] {
  if (!step.needs.some((n) => n.kind === 'processor' || n.kind === 'blender') || inThePot.test(step.text)) return undefined;
  if (step.kind !== 'blend' && !pureeWords.test(step.text)) return 'pulse';
  // hot from the hob or the oven, unless it stood to cool on the way
  const turning = coolWords.test(step.text) ? undefined : before.find((s) => heats(s) || coolWords.test(s.text));
  return turning && !coolWords.test(turning.text) ? 'hot' : 'puree';
}

/**
 * What each step of the session holds and does; what is done at table takes no pot.
 * A step holds what it takes itself and what the steps it waits for hold; steps that wait for each other in a circle hold only their own.
 * A line of the batch that no step names counts as in the pot from the first time there is one: a pot is never fuller than it was reckoned.
 * @example flowOf(revision)[1]?.simmer // { minutes: 40, lid: 'off' }
 */
export function flowOf({ lines, steps: all }: Pick<Revision, 'lines' | 'steps'>): FlowStep[] {
  const revision = { lines, steps: inSession(all) };
  const byId = new Map(revision.steps.map((s) => [s.id, s]));
  const memo = new Map<string, Map<string, number>>();
  const bound = new Set(revision.steps.flatMap((s) => s.uses.map((u) => u.lineId)));
  const unbound = revision.lines.flatMap((l) => (l.moment === 'batch' && !bound.has(l.id) ? [l.id] : []));
  const holds = (step: Step, path: ReadonlySet<string>): Map<string, number> => {
    const ready = memo.get(step.id);
    if (ready) return ready;
    const sum = new Map<string, number>();
    const add = (lineId: string, share: number): void => void sum.set(lineId, Math.min(1, (sum.get(lineId) ?? 0) + share));
    for (const use of step.uses) add(use.lineId, use.share);
    if (onHob(step)) for (const lineId of unbound) add(lineId, 1);
    const seen = new Set<string>();
    // what only comes first (a hot oven, the same pan) gives nothing
    for (const id of step.takes ?? step.after) {
      const before = byId.get(id);
      if (!before || path.has(id) || seen.has(id)) continue;
      seen.add(id);
      for (const [lineId, share] of holds(before, new Set([...path, id]))) sum.set(lineId, Math.max(sum.get(lineId) ?? 0, share));
    }
    memo.set(step.id, sum);
    return sum;
  };
  /** The steps one waits for, the nearest first. */
  const before = (step: Step): Step[] => {
    const list: Step[] = [];
    const seen = new Set([step.id]);
    for (let near = [step]; near.length > 0;) {
      near = near.flatMap((s) => s.after.flatMap((id) => byId.get(id) ?? [])).filter((s) => !seen.has(s.id) && seen.add(s.id));
      list.push(...near);
    }
    return list;
  };
  const strains = revision.steps.flatMap((s, i) => ((s.kind === undefined ? strainWords.test(s.text) : s.kind === 'strain') ? [i] : []));
  return revision.steps.map((step, i): FlowStep => {
    const bowl = bowlOf(step, before(step));
    // "bring to the boil, then simmer" is both
    const simmers = onHob(step) && step.waitMin > 0 && isSimmer(step);
    return {
      step,
      holds: holds(step, new Set([step.id])),
      boilsUp: onHob(step) && step.waitMin > 0 && boilUpWords.test(step.text),
      ...(simmers && { simmer: { minutes: step.waitMin, lid: lidOf(step) } }),
      strainedLater: strains.some((s) => s > i),
      ...(bowl && { bowl }),
    };
  });
}

export { onHob };
