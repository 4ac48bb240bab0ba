export { afterWaiting, groundVersion, worldOfGround, type Ground, type WaitingEntries } from './ground.ts';
export { differencesOf, mergeDocuments, type Difference, type Merged, type NameOf } from './merge.ts';
