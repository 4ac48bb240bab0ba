export { allDocuments, documentById, storedDocument, unreadableDocuments } from './documents.ts';
export { openDb, type Db, type OpenDb } from './open.ts';
export { loadReference, referenceRows, storeId } from './reference.ts';
export { mergedRow, putReferenceEdit, referenceEditOf, referenceEpoch, referenceMoved } from './referenceEdits.ts';
export * as schema from './schema.ts';
