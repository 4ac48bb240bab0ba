/** Minutes of a session are whole and count from its beginning. */
export type Minute = number;

/** From a minute up to but not including another. */
export type Stretch = readonly [Minute, Minute];

/** Units of a pool that an activity takes from one of its minutes to another, both counted from its start. */
export interface PoolNeed {
  pool: string;
  units: number;
  from: Minute;
  to: Minute;
}

/** A piece of work: hands first, which are not interrupted, then what minds itself. */
export interface Activity {
  id: string;
  /** The dish it belongs to: cooks like to stay with one. */
  dish?: string;
  hands: Minute;
  wait: Minute;
  /** Who may do it; everybody when absent. */
  cooks?: readonly string[];
  /** Not before this minute. */
  release?: Minute;
  /** Over by this minute. */
  deadline?: Minute;
  pools?: readonly PoolNeed[];
  /** A bowl or board of a group from its start on, and how clean the work is: a wash may be due between two classes. */
  unit?: { group: string; cls: number; to: Minute };
  /** Shelves of an oven at a temperature. */
  oven?: { oven: string; shelves: number; tempC: number; from: Minute; to: Minute };
}

/** The least, and where it is given the most, that lies between a moment of one activity and a moment of another. */
export interface Lag {
  a: string;
  b: string;
  from: 'start' | 'end';
  to: 'start' | 'end';
  min: Minute;
  max?: Minute;
}

/** Units of a pool held from the start of one activity to the end of another: the pot from the sear to the wash-up. */
export interface Span {
  pool: string;
  units: number;
  a: string;
  b: string;
}

/** So many of the same: burners, pots of a size, ice baths. */
export interface Pool {
  id: string;
  capacity: number;
  /** When none may be used: a loud machine in the quiet hours. */
  closed?: readonly Stretch[];
}

/** Bowls or boards, each for one activity at a time; between two classes of work a wash of so many minutes, by the hands of who works next. */
export interface UnitGroup {
  id: string;
  units: number;
  /** Minutes of washing by class before, then class after. */
  wash: readonly (readonly Minute[])[];
  closed?: readonly Stretch[];
}

/** Shelves that share one temperature; it changes while the oven is empty. */
export interface Oven {
  id: string;
  shelves: number;
  /** Minutes for ten degrees more, and for ten degrees less. */
  heatPer10: number;
  coolPer10: number;
}

export interface Hand {
  id: string;
  away?: readonly Stretch[];
}

/** What has begun or is pinned: it stands where it stands. */
export interface Fixed {
  task: string;
  start: Minute;
  cook?: string;
  /** The bowl or board it has; the first one when nobody knows. */
  unit?: number;
}

/** A session to be laid over hands and gear. */
export interface ScheduleModel {
  activities: readonly Activity[];
  lags: readonly Lag[];
  spans: readonly Span[];
  cooks: readonly Hand[];
  pools: readonly Pool[];
  groups: readonly UnitGroup[];
  ovens: readonly Oven[];
  fixed: readonly Fixed[];
}

/** Where an activity stands. */
export interface Placed {
  task: string;
  start: Minute;
  /** Nobody when it takes no hands. */
  cook?: string;
  /** Which bowl or board of its group, from 0. */
  unit?: number;
  /** Minutes of washing just before it, by the same hands. */
  wash: Minute;
}

/** A whole plan, and when its last activity is over. */
export interface Plan {
  placed: readonly Placed[];
  makespan: Minute;
}

/** Why there is no plan at all. */
export type NoPlan =
  | { why: 'circle'; tasks: readonly string[] }
  | {
      why: 'window';
      tasks: readonly string[];
      /** The longest wait that is too short, and what it would take. */ wider?: { a: string; b: string; max: Minute; needs: Minute };
    }
  | { why: 'nobody'; tasks: readonly string[] }
  | { why: 'tooLarge'; tasks: readonly string[]; needs: string };

/**
 * Minutes an oven takes from one temperature to another.
 * @example changeMinutes({ id: 'o', shelves: 2, heatPer10: 1, coolPer10: 2 }, 180, 220) // 4
 */
export function changeMinutes(oven: Pick<Oven, 'heatPer10' | 'coolPer10'>, from: number, to: number): Minute {
  const tens = Math.abs(to - from) / 10;
  return Math.ceil(tens * (to > from ? oven.heatPer10 : oven.coolPer10));
}
