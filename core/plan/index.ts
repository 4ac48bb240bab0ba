export { demandOver, type SpanDemand } from './demand.ts';
