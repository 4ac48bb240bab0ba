export * from './basics.ts';
export * from './kitchen.ts';
export * from './recipe.ts';
export * from './reference.ts';
export * from './session.ts';
export * from './events.ts';
export * from './writes.ts';
export { exportJsonSchema, exportSchema } from './export.ts';
export { refusals } from './refusals.ts';
