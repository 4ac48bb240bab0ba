export { acceptEvent, acceptEvents, type EventAnswer } from './accept.ts';
export { eventFrom, eventsOf, rebuild } from './project.ts';
