import { Router } from 'express';
import { storeId } from '../db/index.ts';
import { answer, type Context } from '../http.ts';
import { versionOf } from '../session/index.ts';
import { Live, type AsOf } from './live.ts';

export { Live } from './live.ts';

/** How far the household has come by now. */
const asOf = (ctx: Context): AsOf => {
  const { changes, events } = versionOf(ctx.db);
  return { storeId: storeId(ctx.db), asOf: `${changes} ${events}` };
};

/** Tells pages that are open of what others did, or answers those that cannot be told. */
export function liveOf(ctx: Context): { live: Live; routes: Router } {
  const live = new Live(() => asOf(ctx));
  const routes = Router();
  // whatever was asked for with more than a look may have changed something
  routes.use((req, res, next) => {
    if (req.method !== 'GET') res.on('finish', () => res.statusCode < 500 && !ctx.damage && live.told());
    next();
  });
  routes.get('/live', live.stream);
  routes.get(
    '/live/now',
    answer(() => asOf(ctx)),
  );
  return { live, routes };
}
