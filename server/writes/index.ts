export { acceptUndo, acceptWrite, type WriteAnswer } from './accept.ts';
