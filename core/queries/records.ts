import type { Day, Meal, Recipe, Session, TamboEvent } from '#core/contract';
import type { ReferenceRow } from '#core/kitchen';
import type { PackState } from '#core/store';
import type { ClashBrief, Unreadable } from './answers.ts';
import type { AteOtherwise, EatenDay, Rating } from '#core/session';

/** One meal's helping from one pack, as the log lists it. */
export interface EatenEntry {
  eventId: string;
  packId: string;
  day: Day;
  meal: Meal;
  kind: string;
  name: string;
  recipeId?: string;
  portions: number;
  shares: { eaterId: string; portions: number }[];
  guests: number;
}

/**
 * What answers need beside the world: what was logged, asked for one by one.
 * The server reads it from the database; a page without a connection reads it from what it kept and what waits there.
 */
export interface Records {
  storeId: string;
  /** Documents that cannot be read, and those that two devices changed differently. */
  unreadable: () => readonly Unreadable[];
  clashes: () => readonly ClashBrief[];
  /** How many changes of documents there have been, and how far the log has come. */
  changes: () => number;
  logged: () => number;
  sessions: () => readonly Session[];
  /** The library, without what was put away. */
  recipes: () => readonly Recipe[];
  /** Events that speak of a session. */
  eventsOf: (sessionId: string) => readonly TamboEvent[];
  /** Packs filled from a session, empty ones too. */
  packsOf: (sessionId: string) => readonly PackState[];
  eatenDays: (today: Day) => readonly EatenDay[];
  /** Whether a dinner of that day has been written down. */
  dinnerLogged: (day: Day) => boolean;
  /** Meals that came from nowhere in the store, the newest first. */
  ateOtherwise: () => readonly AteOtherwise[];
  /** The newest meals first. */
  lately: () => readonly EatenEntry[];
  /** What each eater says now of each dish. */
  ratings: () => readonly Rating[];
  /** Common shapes of containers. */
  presets: () => readonly ReferenceRow[];
  /** Works something out once, until something is logged or written. */
  cached: <T>(name: string, make: () => T) => T;
}
