import type { Request, RequestHandler } from 'express';
import type { TLSSocket } from 'node:tls';

const ownHosts = new Set(['127.0.0.1', 'localhost', '[::1]']);

const hostName = (host: string): string => host.replace(/:\d+$/, '').toLowerCase();

/** Whether it came over the https listener of the home network; the computer's own speaks plain http, on loopback only. */
export const fromHome = (req: Request): boolean => (req.socket as TLSSocket).encrypted === true;

/**
 * Closed by default: only our own host names, only JSON bodies, no writes from other sites.
 * A page elsewhere can point a name at 127.0.0.1 or post a form here; both end at this door.
 * @param homeHosts names and addresses with their port that the home network knows this household by
 */
export const guardFor =
  (homeHosts: () => ReadonlySet<string>): RequestHandler =>
  (req, res, next) => {
    const host = req.headers.host ?? '';
    const refuse = (status: number, message: string, expected: string, got: string): void => {
      res.status(status).json({ message, refusals: [{ path: 'headers', expected, got }] });
    };
    const home = fromHome(req);
    const ours = home ? homeHosts().has(host.toLowerCase()) : ownHosts.has(hostName(host));
    if (!ours)
      return refuse(421, 'This address is not served here.', home ? 'the household’s name' : '127.0.0.1 or localhost', host || 'nothing');
    const writes = !['GET', 'HEAD', 'OPTIONS'].includes(req.method);
    if (!writes) return next();
    const site = req.headers['sec-fetch-site'];
    if (typeof site === 'string' && site !== 'same-origin' && site !== 'none')
      return refuse(403, 'Writes come from this household’s own pages only.', 'same-origin', site);
    const origin = req.headers.origin;
    if (origin) {
      const named = URL.canParse(origin) ? new URL(origin) : undefined;
      const same = named?.host === host.toLowerCase() && named.protocol === (home ? 'https:' : 'http:');
      const developing = !home && named !== undefined && ownHosts.has(hostName(named.host)) && process.env.TAMBO_DEV === '1';
      if (!same && !developing) return refuse(403, 'Writes come from this household’s own pages only.', host, origin);
    }
    // a backup comes as it is; this type too is one that other sites' pages cannot send unasked
    if (req.method === 'PUT' && req.path === '/api/restore' && req.headers['content-type'] === 'application/octet-stream') return next();
    if (!(req.headers['content-type'] ?? '').startsWith('application/json'))
      return refuse(415, 'Send JSON.', 'content-type: application/json', req.headers['content-type'] ?? 'nothing');
    next();
  };
