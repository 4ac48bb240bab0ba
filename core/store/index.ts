export { homeless } from './homeless.ts';
export { actOf, portionsFrom, repackedData, speaksOf, type NewPack } from './repack.ts';
export { bestByFrom, correctionFrom, correctionOf, movedTo } from './correction.ts';
export {
  applyEvent,
  byOrder,
  eatenPortions,
  effective,
  foldChanges,
  foldPack,
  newestOf,
  undoneIds,
  wholePack,
  withFacts,
} from './apply.ts';
export { statusOf, type PackChanges, type PackState, type PackStatus } from './state.ts';
export { useFirst } from './useFirst.ts';
export {
  coldOf,
  dueOf,
  eveningIfPulled,
  firstEvening,
  momentOf,
  ownEvening,
  sharesOf,
  thawHoursOf,
  type Cold,
  type ColdState,
  type Due,
  type Moment,
  type Shares,
} from './cold.ts';
export { pilesOf, zoneFreeMl, type Pile, type Piled } from './piles.ts';
export { backAgain, fewer, freeNow, lentOf, roomIn, usableShareOf, usageOf, type ContainerUse, type PlaceRoom } from './room.ts';
export { countLine, spotOf, type CountContext, type CountedLine, type CountResult, type KnownDish } from './count/countLine.ts';
export { sayVague, vagueDate, type VagueDate } from './count/vagueDate.ts';
