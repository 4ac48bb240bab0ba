export { openClashes } from './clashes.ts';
export { acceptUndo, acceptWrite, type WriteAnswer } from './accept.ts';
