export { demandOver, type SpanDemand } from './demand.ts';
export type { Dish } from './dish.ts';
