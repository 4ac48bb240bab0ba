/** Where a batch stands on its road, always derived (DECISIONS 16). */
export const stages = ['planned', 'shopped', 'cooked', 'packed', 'labelled', 'stored'] as const;
export type Stage = (typeof stages)[number];

/** What comes next on a session's road, as a button says it. */
export const nextStep: Readonly<Record<Stage, { to: 'shop' | 'cook' | 'pack' | 'labels' | 'store' | 'plan'; says: string }>> = {
  planned: { to: 'plan', says: 'Plan it' },
  shopped: { to: 'shop', says: 'Open the list' },
  cooked: { to: 'cook', says: 'Cook' },
  packed: { to: 'pack', says: 'Pack it' },
  labelled: { to: 'labels', says: 'Print the labels' },
  stored: { to: 'store', says: 'Put it away' },
};

export interface BatchFacts {
  /** Shopping lines of this batch, and how many are ticked or at home. */
  lines: { total: number; ticked: number };
  tasks: { total: number; closed: number };
  yieldLogged: boolean;
  yieldMl: number;
  portionMl: number;
  packedMl: number;
  tonightMl: number;
  discardedMl: number;
  /** Went into other dishes of the session. */
  drawnMl?: number;
  closedByHand: boolean;
  packs: { total: number; labelled: number; placed: number };
}

export type Flags = Record<Stage, boolean>;

/**
 * * Which stages a batch has behind it. What is cooked needs no more shopping, what is packed has been cooked; out of order is allowed.
 * @example stageFlags({ ...facts, closedByHand: true }).packed // true
 */
export function stageFlags(f: BatchFacts): Flags {
  const gone = f.packedMl + f.tonightMl + f.discardedMl + (f.drawnMl ?? 0);
  // a base that goes into other dishes whole has no packs of its own
  const packed = f.closedByHand || ((f.packs.total > 0 || (f.drawnMl ?? 0) > 0) && gone > f.yieldMl - f.portionMl + 1e-6);
  const cooked = packed || f.yieldLogged || (f.tasks.total > 0 && f.tasks.closed >= f.tasks.total);
  const shopped = cooked || (f.lines.total > 0 && f.lines.ticked >= f.lines.total);
  const labelled = packed && f.packs.labelled >= f.packs.total;
  const stored = packed && f.packs.placed >= f.packs.total;
  return { planned: true, shopped, cooked, packed, labelled, stored };
}

/**
 * The last stage of an unbroken run from the start.
 * @example stageOf({ planned: true, shopped: true, cooked: false, packed: false, labelled: false, stored: false }) // 'shopped'
 */
export const stageOf = (flags: Flags): Stage =>
  stages[Math.max(0, stages.findIndex((s) => !flags[s]) === -1 ? stages.length - 1 : stages.findIndex((s) => !flags[s]) - 1)] ?? 'planned';

export interface SessionState {
  /** The least advanced batch's stage. */
  stage: Stage;
  /** How many batches have each stage behind them. */
  counts: Record<Stage, number>;
  batches: number;
  next: Stage | undefined;
}

/**
 * A session is as far as its least advanced batch; an empty one is planned.
 * @example sessionState([stewFlags, soupFlags]).stage // as far as the least advanced dish
 */
export function sessionState(flags: readonly Flags[]): SessionState {
  const counts = Object.fromEntries(stages.map((s) => [s, flags.filter((f) => f[s]).length])) as Record<Stage, number>;
  const at = flags.length === 0 ? 0 : Math.min(...flags.map((f) => stages.indexOf(stageOf(f))));
  return { stage: stages[at] ?? 'planned', counts, batches: flags.length, next: stages[at + 1] };
}
