export { dailyCopy, fileRoutes } from './routes.ts';
