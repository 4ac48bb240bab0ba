export { withPending, snapshotVersion, openSnapshot, type Snapshot, type PendingEntries } from './snapshot.ts';
export { differencesOf, mergeDocuments, type Difference, type Merged, type NameOf } from './merge.ts';
export { sessionWithPending } from './pending.ts';
