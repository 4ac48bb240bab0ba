import { randomFrom, type Random } from './random.ts';

/** What a solver has found out by one more step: an answer with its cost, a bound that no answer can beat, or that there is none. */
export type Finding<Answer, Why = never> = { answer: Answer; cost: number } | { bound: number } | { impossible: Why } | { nothing: true };

/**
 * An anytime solver: plain problem in; a step at a time it yields answers, the first one soon, and bounds. It ends when it knows nothing more to try.
 * It has no clock and no chance of its own: whoever runs it counts its steps, looks at the clock between them and brings the seed.
 * @example const quickest: Solver<Task[], Order> = function* (tasks) { yield { bound: longest(tasks) }; yield { answer: tasks, cost: minutes(tasks) }; }
 */
export type Solver<Problem, Answer, Why = never> = (problem: Problem, random: Random) => Iterator<Finding<Answer, Why>, void>;

/** How long to look. The steps decide the answer, so that the same seed and steps give the same one; the clock only when to stop. */
export interface Limits<Answer> {
  seed: number;
  /** Findings to ask for; as many as there are when absent. */
  mostSteps?: number;
  /** Stops at this moment of `clock`. */
  deadlineMs?: number;
  /** A clock in milliseconds; needed for a deadline. */
  clock?: () => number;
  /** Looked at before each step: an `AbortSignal` is one. */
  signal?: { readonly aborted: boolean };
  /** Told of each better answer and bound. */
  onBetter?: (best: Best<Answer>) => void;
}

/** The best answer so far, with the bound that is proven. */
export interface Best<Answer> {
  answer: Answer;
  cost: number;
  /** No answer costs less. */
  bound: number;
}

/** How a search ended: proven best, nothing more to try, or stopped by a limit. */
export type Ended = 'proven' | 'exhausted' | 'steps' | 'deadline' | 'cancelled';

export type Outcome<Answer, Why = never> =
  | ({ ok: true; ended: Ended; steps: number } & Best<Answer>)
  | { ok: false; why: { impossible: Why } | { noneFound: Ended }; bound: number; steps: number };

/** Costs this close are the same: minutes and cents are whole, volumes are not. */
const same = 1e-9;

/** A search that is run a slice at a time. */
export interface Search<Answer, Why = never> {
  /** Runs so many more steps; what it ended with once it has ended. */
  advance: (steps: number) => Outcome<Answer, Why> | undefined;
}

/**
 * Begins a search that whoever runs it advances in slices, to look at other things between them. Law: the answer's cost is never under the bound, and never rises with more steps.
 * "None found" is not "impossible": only the solver may say that.
 * @throws RangeError, from `advance`, when an answer costs less than the bound: one of the two is wrong
 * @example const search = startSearch(scheduler, problem, { seed: 1 }); while (!search.advance(5)) await tick()
 */
export function startSearch<Problem, Answer, Why = never>(
  solver: Solver<Problem, Answer, Why>,
  problem: Problem,
  limits: Limits<Answer>,
): Search<Answer, Why> {
  const { mostSteps = Infinity, deadlineMs = Infinity, clock, signal, onBetter } = limits;
  const found = solver(problem, randomFrom(limits.seed));
  let best: { answer: Answer; cost: number } | undefined;
  let bound = -Infinity;
  let steps = 0;
  const end = (ended: Ended): Outcome<Answer, Why> =>
    best ? { ok: true, ...best, bound, ended, steps } : { ok: false, why: { noneFound: ended }, bound, steps };
  const step = (): Outcome<Answer, Why> | undefined => {
    if (signal?.aborted) return end('cancelled');
    if (steps >= mostSteps) return end('steps');
    if (clock && clock() >= deadlineMs) return end('deadline');
    const next = found.next();
    if (next.done) return end('exhausted');
    steps += 1;
    const one = next.value;
    if ('impossible' in one) return { ok: false, why: one, bound, steps };
    const better = 'answer' in one ? !best || one.cost < best.cost - same : 'bound' in one && one.bound > bound + same;
    if (!better) return undefined;
    if ('answer' in one) best = { answer: one.answer, cost: one.cost };
    else if ('bound' in one) bound = one.bound;
    if (!best) return undefined;
    if (best.cost < bound - same) throw new RangeError(`solve: an answer of ${best.cost} under a bound of ${bound}; one of them is wrong`);
    onBetter?.({ ...best, bound });
    return best.cost <= bound + same ? end('proven') : undefined;
  };
  return {
    advance: (more) => {
      for (let k = 0; k < more; k += 1) {
        const outcome = step();
        if (outcome) return outcome;
      }
      return undefined;
    },
  };
}

/**
 * Runs a solver until its best answer is proven, it ends, or a limit is reached.
 * @throws RangeError when an answer costs less than the bound: one of the two is wrong
 * @example solve(scheduler, { tasks, kitchen }, { seed: 1, mostSteps: 2000 })
 */
export function solve<Problem, Answer, Why = never>(
  solver: Solver<Problem, Answer, Why>,
  problem: Problem,
  limits: Limits<Answer>,
): Outcome<Answer, Why> {
  const search = startSearch(solver, problem, limits);
  for (;;) {
    const outcome = search.advance(1000);
    if (outcome) return outcome;
  }
}

/**
 * How far an answer may be from the best there is, as a share of its cost: 0 when it is proven.
 * @example gapOf({ cost: 240, bound: 216 }) // 0.1: at most a tenth could be saved
 */
export const gapOf = ({ cost, bound }: Pick<Best<unknown>, 'cost' | 'bound'>): number =>
  cost > 0 ? Math.max(0, (cost - bound) / cost) : 0;
