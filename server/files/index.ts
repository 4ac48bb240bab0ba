export { clearHalfMade, copiesFolder, listCopies } from './copies.ts';
export { beginAnew, checkWhole, damageRoutes, missing, noteDamage, replaceDamaged } from './damage.ts';
export { dailyCopy, fileRoutes, lookAtCopy } from './routes.ts';
export { unfinishedSwap, type Unfinished } from './swap.ts';
