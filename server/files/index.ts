export { clearHalfMade } from './copies.ts';
export { dailyCopy, fileRoutes } from './routes.ts';
export { unfinishedSwap } from './swap.ts';
