export { sessionRoutes } from './routes.ts';
export { frameAnswer, lastMade, sessionById, suppliesNow, todayAnswer, todayOf, viewOf } from './answers.ts';
export { dinnerLogged, eatenDays, householdOf, newHousehold, packsInStore, referenceOf, worldOf } from './world.ts';
