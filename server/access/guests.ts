import { existsSync } from 'node:fs';
import path from 'node:path';
import express, { Router, type ErrorRequestHandler, type Express, type RequestHandler } from 'express';
import helmet from 'helmet';
import { helpActSchema, refusals, type TrustAnswer } from '#core/contract';
import { localName } from '#core/access';
import { answer, answerLater, HttpRefusal, param, type Context } from '../http.ts';
import type { Live } from '../live/index.ts';
import type { Home } from './home.ts';
import { appleProfile } from './profile.ts';

/** Only our own names; what is written comes as JSON from our own page. */
const guestGuard =
  (home: Home): RequestHandler =>
  (req, res, next) => {
    const host = (req.headers.host ?? '').toLowerCase();
    const refuse = (status: number, message: string): void => void res.status(status).json({ message, refusals: [] });
    if (!home.helpHosts().has(host)) return refuse(421, 'This address is not served here.');
    if (req.method === 'GET' || req.method === 'HEAD') return next();
    const { origin } = req.headers;
    if (origin !== undefined && origin !== `http://${host}`) return refuse(403, 'Writes come from this page only.');
    if (!(req.headers['content-type'] ?? '').startsWith('application/json')) return refuse(415, 'Send JSON.');
    next();
  };

const onError: ErrorRequestHandler = (error: unknown, _req, res, next) => {
  if (res.headersSent) return next(error);
  if (error instanceof HttpRefusal) return void res.status(error.status).json({ message: error.message, refusals: error.refusals });
  const status = typeof error === 'object' && error !== null && 'status' in error ? Number(error.status) : 500;
  res
    .status(status >= 400 && status < 500 ? status : 500)
    .json({ message: 'That did not work; nothing was changed. Try again.', refusals: [] });
};

/** What stands at the small plain listener: how to trust the household, while that page is open, and a helper's evening. Nothing of the household besides. */
export function guestApp(ctx: Context, home: Home, options: { live: Live; webFolder?: string }): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(guestGuard(home));
  app.use(
    helmet({
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:'],
          connectSrc: ["'self'"],
          frameAncestors: ["'none'"],
          upgradeInsecureRequests: null,
        },
      },
      crossOriginOpenerPolicy: false,
      originAgentCluster: false,
      hsts: false,
    }),
  );
  app.use(express.json({ limit: '4kb' }));
  const whileTrusted: RequestHandler = (_req, _res, next) =>
    next(
      home.trustUntil === undefined
        ? new HttpRefusal(410, 'This page is shut. Open it at the computer, in Kitchen > Household, for the next phone.')
        : undefined,
    );

  const r = Router();
  r.get(
    '/api/trust',
    whileTrusted,
    answerLater(async (): Promise<TrustAnswer> => {
      const authority = await home.authority();
      return {
        name: localName(home.door.file.now.name),
        urls: home.urls(),
        words: authority?.words ?? [],
        hex: authority?.hex ?? '',
        until: home.trustUntil ?? ctx.clock.now(),
      };
    }),
  );
  r.get('/tambo-home.crt', whileTrusted, (_req, res, next) => {
    home.authority().then((a) => (a ? res.type('application/x-x509-ca-cert').send(a.der) : next()), next);
  });
  r.get('/tambo-home.mobileconfig', whileTrusted, (_req, res, next) => {
    home
      .authority()
      .then(
        (a) => (a ? res.type('application/x-apple-aspen-config').send(appleProfile(localName(home.door.file.now.name), a.der)) : next()),
        next,
      );
  });
  r.get(
    '/api/help/:token',
    answer((req) => home.helpers.answer(param(req, 'token'))),
  );
  r.get('/api/help/:token/live', (req, res, next) => {
    home.helpers.linkOf(param(req, 'token'));
    options.live.stream(req, res, next);
  });
  r.post(
    '/api/help/:token/act',
    answer((req) => {
      const parsed = helpActSchema.safeParse(req.body);
      if (!parsed.success) throw new HttpRefusal(422, 'That cannot be read; nothing was changed.', refusals(parsed.error, req.body));
      const after = home.helpers.act(param(req, 'token'), parsed.data);
      options.live.told();
      return after;
    }),
  );
  app.use(r);
  const web = options.webFolder;
  if (web && existsSync(web)) {
    app.use('/assets', express.static(path.join(web, 'assets'), { immutable: true, maxAge: '1y' }));
    app.get(['/', '/h/:token'], (_req, res) => res.setHeader('Cache-Control', 'no-store').sendFile(path.join(web, 'guest.html')));
  }
  app.use((_req, res) => void res.status(404).json({ message: 'There is nothing here.', refusals: [] }));
  app.use(onError);
  return app;
}
