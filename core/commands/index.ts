export { again, takeBack, type Act, type SeenPack } from './act.ts';
export {
  closePacking,
  eatTonight,
  extendTask,
  finishTask,
  handOver,
  reopenTask,
  skipTask,
  startTask,
  trim,
  weigh,
  type SeenDish,
  type SeenTask,
} from './cooking.ts';
export {
  bin,
  correct,
  countAgain,
  eat,
  fillPack,
  giveAway,
  inFridgeSince,
  repack,
  markLabelled,
  lose,
  planFor,
  putAway,
  takeOut,
  wash,
  type Spot,
} from './packs.ts';
export { tick, untick, type SeenLine } from './shopping.ts';
export { eatOtherwise, invite, rate, sayAtHome } from './table.ts';
