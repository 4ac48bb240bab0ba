export { applyEvent, byOrder, effective, foldChanges, foldPack, undoneIds, wholePack } from './apply.ts';
export { statusOf, type PackChanges, type PackState, type PackStatus } from './state.ts';
export { dueOf, useFirst, type Due } from './useFirst.ts';
export { freeNow, roomIn, usageOf, type ContainerUse, type PlaceRoom } from './room.ts';
export { countLine, spotOf, type CountContext, type CountedLine, type CountResult, type KnownDish } from './count/countLine.ts';
export { sayVague, vagueDate, type VagueDate } from './count/vagueDate.ts';
