import type { Day, DocumentTable, Instant, Refusal } from '#core/contract';

/** What the server answers of long jobs, copies, damage, and what putting a copy in place would change. */

/** How far a long job has come. */
export interface JobState {
  id: string;
  kind: 'backup' | 'look' | 'check' | 'readRecipes' | 'readCalendar';
  state: 'running' | 'done' | 'failed';
  share: number;
  says: string;
  message?: string;
  refusals?: Refusal[];
  result?: unknown;
}

/** What is wrong with the household's file, and the copies that can take its place. */
export interface DamageAnswer {
  damage?: { why: string; since: Instant };
  file: string;
  copies: BackupFile[];
}

/** The household's copies, and what is to be known of them. */
export interface BackupsAnswer {
  copies: BackupFile[];
  folder: string;
  /** Day of the newest daily copy when it is older than it should be. */
  missedSince?: Day;
  /** What the last start had to put right. */
  startSaid?: string;
  away: AwayAnswer;
}

/** Copies that do not lie on the household's own disk. */
export interface AwayAnswer {
  /** The second place that daily copies are brought to. */
  folder?: string;
  broughtAt?: Instant;
  /** Why the last one could not be brought there. */
  problem?: string;
  /** When a copy was last taken away by hand. */
  takenAt?: Instant;
  /** It is time to take one away. */
  asks: boolean;
}

/** A copy of the household in its own folder. */
export interface BackupFile {
  name: string;
  kind: 'daily' | 'hand' | 'before';
  day: Day;
  madeAt: Instant;
  bytes: number;
}

/** What can be counted in a household, here or in a backup. */
export interface HouseholdCounts {
  packs: number;
  inStore: number;
  events: number;
  recipes: number;
  sessions: number;
  eaters: number;
}

/** What putting a backup in place would change. */
export interface RestoreLook {
  manifest: { madeAt: Instant; household: string; counts: HouseholdCounts };
  /** Absent when the household of here cannot be read. */
  here?: HouseholdCounts & { household: string };
  onlyHere: number;
  onlyThere: number;
  sameHousehold: boolean;
  leftOut: { table: string; id: string; why: string }[];
}

/** A document that was taken away, as it was: it comes back whole. */
export interface DeletedThing {
  table: DocumentTable;
  id: string;
  at: Instant;
  name: string;
  data: unknown;
}
