export { makeDemo } from './makeDemo.ts';
