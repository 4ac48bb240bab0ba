export { acceptEvent, acceptEvents, type EventAnswer } from './accept.ts';
export { packsWhere } from './packs.ts';
export { eventFrom, eventsOf, newestOfTable, tableEvents, yieldEvents } from './project.ts';
export { ensureProjection, rebuild } from './rebuild.ts';
