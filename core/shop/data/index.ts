export { aisles } from './aisles.ts';
