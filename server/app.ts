import { existsSync } from 'node:fs';
import path from 'node:path';
import compression from 'compression';
import express, { type ErrorRequestHandler, type Express, type RequestHandler } from 'express';
import helmet from 'helmet';
import type { Logger } from 'pino';
import { pinoHttp } from 'pino-http';
import { z } from 'zod';
import { accessRoutes, fromHome, gate, guardFor, guestApp, homeOf, type Home, type HomeEnv } from './access/index.ts';
import { deviceRoutes } from './devices/routes.ts';
import { eatRoutes } from './eat/routes.ts';
import { acceptEvents } from './events/index.ts';
import { troubleOf } from './db/index.ts';
import { damageRoutes, fileRoutes, noteDamage } from './files/index.ts';
import { HttpRefusal, notWhileDamaged, notWhileHeld, type Context } from './http.ts';
import { liveOf, type Live } from './live/index.ts';
import { kitchenRoutes } from './kitchen/routes.ts';
import { packRoutes } from './pack/routes.ts';
import { recipeRoutes } from './recipe/routes.ts';
import { sessionRoutes } from './session/index.ts';
import { storeRoutes } from './store/routes.ts';
import { testRoutes } from './testRoutes.ts';
import { acceptUndo, acceptWrite } from './writes/index.ts';

const eventsBody = z.array(z.unknown()).min(1).max(2000);

/** What a body that is too large should have kept to. */
const limitOf = (error: object): string =>
  'limit' in error ? ` of at most ${Math.round(Number(error.limit) / 1024).toLocaleString('en-GB')} kB` : '';

/** Errors answer in words; what nobody expected is logged and says so without its insides. */
const onError =
  (ctx: Context, log: Logger): ErrorRequestHandler =>
  (error: unknown, _req, res, next) => {
    if (res.headersSent) return next(error);
    if (error instanceof HttpRefusal) return void res.status(error.status).json({ message: error.message, refusals: error.refusals });
    if (
      typeof error === 'object' &&
      error !== null &&
      'type' in error &&
      (error.type === 'entity.parse.failed' || error.type === 'entity.too.large')
    ) {
      return void res.status(error.type === 'entity.too.large' ? 413 : 400).json({
        message: 'This was not readable JSON; nothing was kept.',
        refusals: [{ path: '(body)', expected: `JSON${limitOf(error)}`, got: String((error as { type: string }).type) }],
      });
    }
    const trouble = troubleOf(error);
    if (trouble) {
      log.error(error);
      if (trouble.kind === 'damaged') noteDamage(ctx, 'The household’s file is damaged.');
      return void res.status(503).json({ message: trouble.says, refusals: [], ...(trouble.kind === 'damaged' && { damage: true }) });
    }
    // an address, an encoding or a body that cannot be read is no fault of ours
    const status = typeof error === 'object' && error !== null && 'status' in error ? Number(error.status) : 500;
    if (status >= 400 && status < 500)
      return void res.status(status).json({
        message: 'This request cannot be read; nothing was kept.',
        refusals: [
          {
            path: '(request)',
            expected: 'an address and a body in UTF-8',
            got: error instanceof Error ? error.message.slice(0, 120) : 'something else',
          },
        ],
      });
    if (error instanceof URIError)
      return void res.status(400).json({
        message: 'This address cannot be read.',
        refusals: [{ path: '(address)', expected: 'an address in UTF-8', got: error.message.slice(0, 120) }],
      });
    log.error(error);
    res.status(500).json({ message: 'Something went wrong here; nothing was changed. Try again.', refusals: [] });
  };

/** Over https: nothing but https from then on, and a page that shares its window with nobody. */
const overHttps: RequestHandler = (req, res, next) => {
  if (fromHome(req)) {
    res.setHeader('Strict-Transport-Security', 'max-age=31536000');
    res.setHeader('Cross-Origin-Opener-Policy', 'same-origin');
  }
  next();
};

/** The whole server over an open database: guarded door, API, and the built page; what it needs to be opened to the home network, and shut. */
export function createApp(
  ctx: Context,
  options: { log: Logger; webFolder?: string; home?: HomeEnv },
): { app: Express; live: Live; home: Home } {
  const app = express();
  const home = homeOf(ctx, options.log, options.home);
  app.disable('x-powered-by');
  app.use(guardFor(() => home.hosts()));
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
          styleSrc: ["'self'", "'unsafe-inline'"],
          workerSrc: ["'self'", 'blob:'],
          fontSrc: ["'self'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          connectSrc: ["'self'"],
          frameAncestors: ["'none'"],
          upgradeInsecureRequests: null,
        },
      },
      crossOriginOpenerPolicy: false,
      hsts: false,
    }),
  );
  app.use(overHttps);
  app.use(
    pinoHttp({
      logger: options.log,
      autoLogging: { ignore: (req) => !req.url?.startsWith('/api') },
      // "not now" is an answer like any other
      customLogLevel: (_req, res) => (res.statusCode >= 500 && res.statusCode !== 503 ? 'error' : 'debug'),
    }),
  );
  // level 1: answers are small and the time to pack them counts more than the bytes
  // what is told as it happens must not be gathered first
  app.use(compression({ level: 1, filter: (req, res) => req.originalUrl !== '/api/live' && compression.filter(req, res) }));
  // nobody is let in yet: what a stranger sends is small, or not looked at
  app.use('/api', gate(home));
  app.use(['/api/door/in', '/api/door/arrive'], express.json({ limit: '8kb' }));
  app.use(express.json({ limit: '24mb' }));

  app.get(
    '/api/health',
    (_req, res) => void res.json({ ok: true, now: ctx.clock.now(), test: ctx.clock.test, stopped: ctx.clock.stopped }),
  );
  const { live, routes: liveRoutes } = liveOf(ctx);
  app.use('/api', accessRoutes(ctx, home, live));
  app.use('/api', notWhileDamaged(ctx));
  app.use('/api', liveRoutes);
  for (const door of ['/api/events', '/api/writes', '/api/undo', '/api/codes']) app.post(door, notWhileHeld(ctx));
  app.post('/api/events', (req, res) => {
    const body = eventsBody.safeParse(req.body);
    if (!body.success)
      return void res.status(422).json({
        message: 'Nothing was kept: send a list of events.',
        refusals: [{ path: '(body)', expected: 'a list of 1 to 2000 events', got: typeof req.body }],
      });
    const answers = acceptEvents(ctx.db, body.data, ctx.clock.now());
    res.status(answers.some((a) => a.status === 'refused') ? 422 : 200).json({ now: ctx.clock.now(), answers });
  });
  app.post('/api/writes', (req, res) => {
    const a = acceptWrite(ctx.db, req.body, ctx.clock.now());
    res.status(a.status).json(a.body);
  });
  app.post('/api/undo', (req, res) => {
    const a = acceptUndo(ctx.db, req.body, ctx.clock.now());
    res.status(a.status).json(a.body);
  });
  if (ctx.clock.test) app.use('/api', testRoutes(ctx));
  for (const routes of [
    sessionRoutes,
    recipeRoutes,
    kitchenRoutes,
    deviceRoutes,
    packRoutes,
    storeRoutes,
    eatRoutes,
    fileRoutes,
    damageRoutes,
  ])
    app.use('/api', routes(ctx));
  app.use(
    '/api',
    (req, res) =>
      void res.status(404).json({
        message: 'There is nothing at this address.',
        refusals: [{ path: req.path, expected: 'an address of the API', got: req.method }],
      }),
  );

  const web = options.webFolder;
  if (web && existsSync(web)) {
    app.use('/assets', express.static(path.join(web, 'assets'), { immutable: true, maxAge: '1y' }));
    app.use(express.static(web, { index: false, maxAge: 0 }));
    app.get('/{*any}', (_req, res) => res.setHeader('Cache-Control', 'no-cache').sendFile(path.join(web, 'index.html')));
  }
  app.use(onError(ctx, options.log));
  home.serve(app, guestApp(ctx, home, { live, ...(web !== undefined && { webFolder: web }) }));
  return { app, live, home };
}
