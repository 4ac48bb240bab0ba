export { acceptEvent, acceptEvents, type EventAnswer } from './accept.ts';
export { packsWhere } from './packs.ts';
export { aroundOf, eventFrom, eventsOf, newestOfTable, ratedEvents, tableEvents, yieldEvents } from './project.ts';
export { ensureProjection, rebuild } from './rebuild.ts';
