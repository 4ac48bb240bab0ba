export { differencesOf, mergeDocuments, type Difference, type Merged } from './merge.ts';
