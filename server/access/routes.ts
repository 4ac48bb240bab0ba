import { Router, type Request, type RequestHandler, type Response } from 'express';
import type { z } from 'zod';
import { localName, plainAddress } from '#core/access';
import {
  arriveSchema,
  carrySchema,
  comeInSchema,
  heardSchema,
  homeNameBodySchema,
  linkBodySchema,
  onBodySchema,
  openHomeSchema,
  passphraseBodySchema,
  refusals,
  type Carry,
  type DoorAnswer,
  type DoorDevice,
  type HomeAnswer,
} from '#core/contract';
import { worldMs } from '../clock/index.ts';
import { answer, answerLater, HttpRefusal, notFound, param, type Context } from '../http.ts';
import type { Live } from '../live/index.ts';
import type { AccessDevice } from './accessFile.ts';
import { endsOn } from './authority.ts';
import { fromHome } from './guard.ts';
import type { Home } from './home.ts';
import { hashOf, suggested, tokenHash, newToken, weakness } from './passphrase.ts';

/** `__Host-`: sent over https alone, to this very host, never to its neighbours (RFC 6265bis). */
const homeCookie = '__Host-tambo';
/** The computer's own pages come by plain http, which a browser gives no such cookie. */
const hereCookie = 'tambo-here';
const cookieDays = 400;
/** How long what a device takes to the new name is kept for it; in memory only. */
const carryMs = 10 * 60_000;
const mostCarried = 20;

const cookieOf = (req: Request): string => (fromHome(req) ? homeCookie : hereCookie);

const tokenIn = (req: Request): string | undefined => {
  const name = `${cookieOf(req)}=`;
  return req.headers.cookie
    ?.split(/;\s*/)
    .find((c) => c.startsWith(name))
    ?.slice(name.length);
};

function setCookie(req: Request, res: Response, token: string): void {
  const age = token === '' ? 0 : cookieDays * 86_400;
  res.append(
    'Set-Cookie',
    `${cookieOf(req)}=${token}; Path=/; HttpOnly; SameSite=Strict; Max-Age=${age}${fromHome(req) ? '; Secure' : ''}`,
  );
}

const addressOf = (req: Request): string => plainAddress(req.socket.remoteAddress ?? '');

const bodyOf = <T>(schema: z.ZodType<T>, req: Request): T => {
  const parsed = schema.safeParse(req.body);
  if (!parsed.success) {
    // what was typed for a passphrase is repeated nowhere
    const said = refusals(parsed.error, req.body).map((x) => (x.path.includes('passphrase') ? { ...x, got: '(not shown)' } : x));
    throw new HttpRefusal(422, 'That cannot be read as it is; nothing was changed.', said);
  }
  return parsed.data;
};

/** What of the API answers before a device is let in: whether Tambo is there, and the door itself. */
const beforeTheDoor = /^\/(health|door(\/(in|arrive))?)$/;

/** Lets nobody past who was not let in: over the home network always, at the computer where the household wants it so. */
export const gate =
  (home: Home): RequestHandler =>
  (req, res, next) => {
    if (fromHome(req)) res.setHeader('Cache-Control', 'no-store');
    const device = home.door.deviceOf(tokenIn(req));
    const known = device !== undefined && device.ended === undefined;
    if (known) {
      home.door.seen(device, addressOf(req));
      res.locals.device = device.id;
    }
    if (known || beforeTheDoor.test(req.path) || (!fromHome(req) && !home.door.file.now.askHere)) return next();
    res.status(401).json({ message: 'This device is not let in. What you entered stays on it until it is.', refusals: [], door: true });
  };

/** Only the computer itself says who may come in. */
const onlyHere: RequestHandler = (req, _res, next) =>
  next(fromHome(req) ? new HttpRefusal(403, 'This is done at the computer that Tambo runs on.') : undefined);

/** The door, who is in, and how the household stands open; what is changed here is changed at the computer. */
export function accessRoutes(ctx: Context, home: Home, live: Live): Router {
  const { door } = home;
  const r = Router();
  const carried = new Map<string, { carry: Carry; device: AccessDevice; until: number }>();
  const saidOf = async (via: DoorAnswer['via']): Promise<HomeAnswer> => {
    const a = door.file.now;
    const authority = await home.authority();
    const { trustUntil, helpBase } = home;
    return {
      via,
      open: home.isOpen,
      name: a.name,
      port: home.port,
      urls: home.urls(),
      oldNames: a.oldNames.filter((o) => o.until > ctx.clock.now()),
      hasPassphrase: a.passphrase !== undefined,
      askHere: a.askHere,
      ...(authority && { fingerprint: { words: authority.words, hex: authority.hex } }),
      ...(a.leaf && { until: endsOn(a.leaf) }),
      ...(trustUntil && helpBase && { trust: { url: helpBase, until: trustUntil } }),
      devices: devicesOf(home, live),
      links: home.helpers.said(helpBase),
      wrongTries: door.wrongTries,
      trouble: home.trouble,
    };
  };
  const said = (req: Request): Promise<HomeAnswer> => saidOf(fromHome(req) ? 'home' : 'here');
  const afterwards = (path: string, work: (req: Request) => Promise<unknown>): void => {
    r.post(
      path,
      onlyHere,
      answerLater(async (req) => {
        await work(req);
        return said(req);
      }),
    );
  };
  const takePassphrase = async (passphrase: string): Promise<void> => {
    const weak = await weakness(passphrase, [door.file.now.name, 'tambo', 'kitchen']);
    if (weak !== undefined)
      throw new HttpRefusal(422, weak, [{ path: 'passphrase', expected: 'something nobody guesses', got: '(not shown)' }]);
    door.file.set({ passphrase: await hashOf(passphrase) });
  };

  r.get(
    '/door',
    answerLater(async (req): Promise<DoorAnswer> => {
      const device = door.deviceOf(tokenIn(req));
      const via = fromHome(req) ? 'home' : 'here';
      const wait = door.waitMs(addressOf(req));
      const host = (req.headers.host ?? '').replace(/:\d+$/, '').toLowerCase();
      const old = via === 'home' && home.names.slice(1).some((n) => localName(n) === host);
      const words = (await home.authority())?.words;
      return {
        via,
        in: (device !== undefined && device.ended === undefined) || (via === 'here' && !door.file.now.askHere),
        ...(device?.ended !== undefined && { ended: device.ended }),
        ...(device && { name: device.name }),
        ...(wait > 0 && { waitS: Math.ceil(wait / 1000) }),
        ...(words && { words }),
        ...(old && { moved: home.urls()[0] ?? '' }),
      };
    }),
  );
  r.post('/door/in', (req, res, next) => {
    void (async () => {
      const came = await door.comeIn(bodyOf(comeInSchema, req), addressOf(req));
      if (!came.ok) {
        const waitS = Math.ceil(came.waitMs / 1000);
        if (waitS > 0) res.setHeader('Retry-After', String(waitS));
        return void res.status(waitS > 0 ? 429 : 403).json({
          message:
            waitS > 0 ? `That was not it. Try again in ${waitS} seconds.` : 'That was not it. Look at the computer, or ask whoever set it.',
          refusals: [{ path: 'passphrase', expected: 'the household’s passphrase', got: '(not shown)' }],
          waitS,
        });
      }
      setCookie(req, res, came.token);
      res.json({ in: true });
    })().catch(next);
  });
  r.post('/door/out', (req, res) => {
    const id = deviceIn(req) ?? '';
    if (door.end(id, 'left by itself')) live.end(id);
    setCookie(req, res, '');
    res.json({ in: false });
  });
  r.post(
    '/door/heard',
    answer((req) => {
      const { device, waiting } = bodyOf(heardSchema, req);
      door.heard(deviceIn(req) ?? device, waiting);
      return { ok: true };
    }),
  );
  // what is on the device goes with it to the household's new name, and the new name lets it in without asking again
  r.post(
    '/door/carry',
    answer((req) => {
      const device = door.deviceOf(tokenIn(req));
      if (!device) throw new HttpRefusal(401, 'This device is not let in.');
      const carry = bodyOf(carrySchema, req);
      const now = worldMs();
      for (const [key, c] of carried) if (c.until < now || carried.size >= mostCarried) carried.delete(key);
      const token = newToken();
      carried.set(tokenHash(token), { carry, device, until: now + carryMs });
      return { token, to: home.urls()[0] };
    }),
  );
  r.post('/door/arrive', (req, res, next) => {
    try {
      const key = tokenHash(bodyOf(arriveSchema, req).token);
      const held = carried.get(key);
      carried.delete(key);
      // put out on the way, it is out at the new name too
      if (!held || held.until < worldMs() || !door.isIn(held.device))
        throw new HttpRefusal(410, 'That took too long. Open the old name once more and go over from there.');
      setCookie(req, res, door.secondToken(held.device));
      res.json(held.carry);
    } catch (error) {
      next(error);
    }
  });

  r.get('/home', answerLater(said));
  r.get(
    '/home/suggested',
    answer(() => ({ passphrase: suggested() })),
  );
  afterwards('/home/open', async (req) => {
    const { name, passphrase } = bodyOf(openHomeSchema, req);
    if (passphrase !== undefined) await takePassphrase(passphrase);
    await home.open(name);
  });
  afterwards('/home/shut', () => home.shut());
  afterwards('/home/name', (req) => home.rename(bodyOf(homeNameBodySchema, req).name));
  afterwards('/home/passphrase', async (req) => {
    await takePassphrase(bodyOf(passphraseBodySchema, req).passphrase);
    door.endAll();
    live.endAll();
    door.note('The passphrase is another one; every device is asked again');
  });
  r.post(
    '/home/ask-here',
    onlyHere,
    answerLater(async (req) => {
      const { on } = bodyOf(onBodySchema, req);
      if (on && !door.file.now.passphrase) throw new HttpRefusal(409, 'Set a passphrase first.');
      door.file.set({ askHere: on });
      door.note(on ? 'This computer asks for the passphrase too' : 'This computer asks for no passphrase');
      return said(req);
    }),
  );
  afterwards('/home/trust', (req) => home.showTrust(bodyOf(onBodySchema, req).on));
  afterwards('/home/forgive', async () => door.forgiveTries());
  afterwards('/home/devices/:id/end', async (req) => {
    const id = param(req, 'id');
    if (!door.end(id, 'was put out')) throw notFound('A device', id);
    live.end(id);
  });
  afterwards('/home/links', async (req) => {
    home.helpers.make(bodyOf(linkBodySchema, req).sessionId);
    await home.helpAsNeeded();
  });
  afterwards('/home/links/:id/end', async (req) => {
    if (!home.helpers.end(param(req, 'id'))) throw notFound('A link', param(req, 'id'));
    await home.helpAsNeeded();
  });
  return r;
}

/** The device that was let in; none at the computer itself. */
const deviceIn = (req: Request): string | undefined => req.res?.locals.device as string | undefined;

/** Who is in, the newest first; a device that carries two secrets for a while is one. */
function devicesOf(home: Home, live: Live): DoorDevice[] {
  const byId = new Map<string, AccessDevice>();
  for (const d of home.door.file.now.devices) if (d.ended === undefined && (byId.get(d.id)?.seen ?? '') <= d.seen) byId.set(d.id, d);
  return [...byId.values()]
    .map(({ id, name, kind, since, seen, address }): DoorDevice => {
      const waiting = home.door.waitingOn(id);
      return {
        id,
        name,
        kind,
        since,
        seen: waiting && waiting.at > seen ? waiting.at : seen,
        address,
        open: live.isOpen(id),
        ...(waiting && { waiting }),
      };
    })
    .toSorted((a, b) => b.seen.localeCompare(a.seen));
}
