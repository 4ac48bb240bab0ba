export { allDocuments, documentById } from './documents.ts';
export { openDb, type Db, type OpenDb } from './open.ts';
export { loadReference, referenceRows, storeId, type ReferenceTable } from './reference.ts';
export * as schema from './schema.ts';
