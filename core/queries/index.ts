export type { Records, EatenEntry } from './records.ts';
export { briefOf } from './brief.ts';
export { countAnswer } from './count.ts';
export { eatAnswer } from './eat.ts';
export { howWasIt } from './howWasIt.ts';
export { kitchenAnswer } from './kitchen.ts';
export { labelsAnswer, openOf, recentDays, recentSessions, sessionsAnswer, viewOf } from './sessions.ts';
export { packAnswer, storeAnswer } from './store.ts';
export { frameAnswer, sharesNow, suppliesNow, todayAnswer, todayOf } from './today.ts';
export { find, type FindEntry } from './find.ts';
export type * from './answers.ts';
export type * from './recipeAnswers.ts';
export {
  countsOf,
  entriesOf,
  findRecipes,
  latelyDays,
  longDays,
  seasons,
  starsOf,
  wordsOf,
  type FoundRecipe,
  type LibraryEntry,
  type LibraryQuery,
  type LibrarySort,
  type Season,
} from './library.ts';
export { changesAnswer, declineRevisions, withRevisions, type ChangedDish, type ChangedLine, type ChangesAnswer } from './recipeChanges.ts';
export { recordAnswer, type MadeRun, type Pair, type RecordAnswer } from './recipeRecord.ts';
export type * from './writing.ts';
export type * from './copies.ts';
export { isSessionPart, sessionPart, type PackedBatch, type HelpAnswer, type SessionPart, type SessionParts } from './parts.ts';
