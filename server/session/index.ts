export { versionOf } from './cache.ts';
export { sessionRoutes } from './routes.ts';
export { lastMade, sessionOf, sessionViewOf } from './answers.ts';
export { settingOf } from './records.ts';
export { dinnerLogged, eatenDays, householdOf, leadsTo, newHousehold, packsInStore, referenceOf, weighedRuns, worldOf } from './world.ts';
