import type { EventData, Instant, Meal, PackFacts } from '#core/contract';

/** What events change of a pack after it was filled. Portions are in the recipe's own servings. */
export interface PackChanges {
  left: number;
  filledAt: Instant;
  /** Where it stands; without a place it is not stored yet. */
  placeId?: string;
  zoneId?: string;
  planned?: { day: string; meal: Meal };
  pulled?: { day: string; meal: Meal; at: Instant };
  /** In the fridge since: thawed, opened, or the rest of a meal. */
  fridgeSince?: Instant;
  /** Thawing since: taken out, and neither opened nor put back. */
  thawSince?: Instant;
  /** The newest event that speaks of it, what was taken back included: what a page has seen of it. */
  seen?: string;
  labelled?: 'printed' | 'hand';
  /** What its label says about allergies, when that was kept. */
  labelSays?: string;
  washed: boolean;
  /** What was corrected of what it was filled with; the newest word on each counts. */
  facts?: PackFacts;
  /** Its label says something that was corrected since. */
  labelOld?: boolean;
  /** Sums that must always agree with what was filled. */
  sums: {
    eaten: number;
    discarded: number;
    given: number;
    lost: number;
    found: number;
    corrected: number;
    difference: number;
    repacked?: number;
  };
  /** The last thing that emptied it. */
  ended?: { how: 'eaten' | 'discarded' | 'given' | 'lost' | 'corrected' | 'repacked'; at: Instant; reason?: string };
}

/** One labelled container: what it was filled with, never changed, and what events have made of it. */
export interface PackState extends EventData<'filled'>, PackChanges {
  packId: string;
}

/** Where a pack stands on its way. */
export type PackStatus = 'unplaced' | 'frozen' | 'fridge' | 'empty';

/** Where a pack stands: empty, in the fridge, frozen, or not put away yet. @example statusOf({ left: 0 }) // 'empty' */
export const statusOf = (pack: Pick<PackState, 'left' | 'fridgeSince' | 'placeId'>): PackStatus =>
  pack.left <= 0 ? 'empty' : pack.fridgeSince ? 'fridge' : pack.placeId ? 'frozen' : 'unplaced';
