import type { NextFunction, Request, RequestHandler, Response } from 'express';
import type { Instant, Refusal } from '#core/contract';
import type { Clock } from './clock/index.ts';
import type { Db, OpenDb } from './db/index.ts';
import type { Jobs } from './files/jobs.ts';

/** What every route is given. */
export interface Context {
  /** The household's database; another one after a restore, so it is never kept in a variable. */
  db: Db;
  open: OpenDb;
  dbFile: string;
  /** Where the household's files stand: copies, what is being restored. */
  folder: string;
  jobs: Jobs;
  clock: Clock;
  migrationsFolder: string;
  /** Set while another household is being put in place: nothing is taken in meanwhile, and this is why. */
  held?: string;
  /** Set while the household's file is damaged: nothing is read or taken in until the cook has said what is to become of it. */
  damage?: { why: string; since: Instant };
  /** Who came in over the home network and who was put out, for History. */
  doorLines?: () => readonly { id: string; at: Instant; says: string }[];
  /** What the last start had to put right, for the page of copies. */
  startSaid?: string;
}

/** An answer in the 4xx: what was wrong, in words, with path, expected, got. */
export class HttpRefusal extends Error {
  readonly status: number;
  readonly refusals: Refusal[];
  constructor(status: number, message: string, refusals: Refusal[] = []) {
    super(message);
    this.status = status;
    this.refusals = refusals;
  }
}

export const notFound = (what: string, got: string): HttpRefusal =>
  new HttpRefusal(404, `${what} is not known here.`, [{ path: 'id', expected: `${what} that exists`, got }]);

/** Turns away what would write while writes are held; the device keeps it and sends it again by itself. */
export const notWhileHeld =
  (ctx: Context): RequestHandler =>
  (_req, res, next) => {
    if (ctx.held === undefined) return next();
    res
      .status(503)
      .setHeader('Retry-After', '1')
      .json({ message: `Not now: ${ctx.held} What you entered stays on this device and is sent again by itself.`, refusals: [] });
  };

/** Turns away all but what mends it while the household's file is damaged. */
export const notWhileDamaged =
  (ctx: Context): RequestHandler =>
  (req, res, next) => {
    if (!ctx.damage || /^\/(damage|restore|jobs|backup\/)/.test(req.path)) return next();
    res.status(503).json({
      message: `${ctx.damage.why} What you entered stays on this device and is sent once that is mended.`,
      refusals: [],
      damage: true,
    });
  };

/** A handler that answers with what it returns. */
export const answer =
  <T>(make: (req: Request) => T): RequestHandler =>
  (req: Request, res: Response, next: NextFunction): void => {
    try {
      res.json(make(req));
    } catch (error) {
      next(error);
    }
  };

/** The same for what takes its time. */
export const answerLater =
  <T>(make: (req: Request) => Promise<T>): RequestHandler =>
  (req: Request, res: Response, next: NextFunction): void =>
    void make(req).then((value) => res.json(value), next);

export const param = (req: Request, name: string): string => {
  const value = req.params[name];
  return typeof value === 'string' ? value : '';
};
