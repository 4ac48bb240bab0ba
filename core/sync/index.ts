export { withPending, openSnapshot, type Snapshot, type PendingEntries } from './snapshot.ts';
export { snapshotVersion } from './snapshotVersion.ts';
export { differencesOf, mergeDocuments, type Difference, type Merged, type NameOf } from './merge.ts';
export { sessionWithPending } from './pending.ts';
