export type { Book, EatenEntry } from './book.ts';
export { briefOf } from './brief.ts';
export { countAnswer } from './count.ts';
export { eatAnswer } from './eat.ts';
export { kitchenAnswer } from './kitchen.ts';
export { labelsAnswer, openOf, recentDays, recentSessions, sessionsAnswer, viewOf } from './sessions.ts';
export { packAnswer, storeAnswer } from './store.ts';
export { frameAnswer, sharesNow, suppliesNow, todayAnswer, todayOf } from './today.ts';
