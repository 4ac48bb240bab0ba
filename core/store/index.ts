export { applyEvent, byOrder, effective, foldPack, undoneIds } from './apply.ts';
export { statusOf, type PackState, type PackStatus } from './state.ts';
export { dueOf, useFirst, type Due } from './useFirst.ts';
export { freeNow, roomIn, usageOf, type ContainerUse, type PlaceRoom } from './room.ts';
