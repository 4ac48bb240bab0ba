export { allDocuments, deletedDocuments, documentById, storedDocument, unreadableDocuments } from './documents.ts';
export { NewerDatabase, openDb, openToLook, type Db, type OpenDb } from './open.ts';
export { Damaged, quickCheck, troubleOf, wholeCheck, type DiskTrouble } from './trouble.ts';
export { householdFigures, loadReference, referenceRows, shippedFigures, storeId } from './reference.ts';
export { mergedRow, putReferenceEdit, referenceEditOf, referenceEpoch, referenceMoved } from './referenceEdits.ts';
export * as schema from './schema.ts';
