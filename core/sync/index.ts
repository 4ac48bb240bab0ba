export { differencesOf, mergeDocuments, type Difference, type Merged, type NameOf } from './merge.ts';
