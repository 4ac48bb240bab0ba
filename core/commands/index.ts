export { again, takeBack, type Act, type SeenPack } from './act.ts';
export {
  closePacking,
  eatTonight,
  extendTask,
  finishTask,
  handOver,
  skipTask,
  startTask,
  trim,
  weigh,
  type SeenDish,
  type SeenTask,
} from './cooking.ts';
export { bin, eat, fillPack, giveAway, markLabelled, lose, planFor, putAway, takeOut, wash, type Spot } from './packs.ts';
export { tick, untick, type SeenLine } from './shopping.ts';
export { invite, sayAtHome } from './table.ts';
