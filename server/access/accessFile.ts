import { closeSync, existsSync, fsyncSync, openSync, readFileSync, renameSync, rmSync, writeSync } from 'node:fs';
import path from 'node:path';
import { z } from 'zod';
import { deviceKindSchema, homeNameSchema, idSchema, instantSchema } from '#core/contract';

/** What lets devices in stands beside the household and never in it: no copy, no export, no backup reads this file. */

const pair = z.object({ certPem: z.string(), keyPem: z.string() });

const deviceSchema = z.object({
  id: idSchema,
  /** SHA-256 of the secret in its cookie. */
  tokenHash: z.string(),
  name: z.string(),
  kind: deviceKindSchema,
  since: instantSchema,
  seen: instantSchema,
  address: z.string(),
  /** Put out at the computer, or too long away; kept so that the device can be told. */
  ended: z.enum(['by the computer', 'by time']).optional(),
});

const linkSchema = z.object({ id: idSchema, tokenHash: z.string(), sessionId: idSchema, until: instantSchema });

const lineSchema = z.object({ id: idSchema, at: instantSchema, says: z.string() });

const accessSchema = z.object({
  version: z.literal(1),
  open: z.boolean(),
  name: homeNameSchema,
  port: z.number().int().optional(),
  helpPort: z.number().int().optional(),
  passphrase: z.object({ salt: z.string(), hash: z.string(), cost: z.number().int() }).optional(),
  /** The computer itself asks for the passphrase too. */
  askHere: z.boolean(),
  authority: pair.optional(),
  leaf: pair.optional(),
  oldNames: z.array(z.object({ name: homeNameSchema, until: instantSchema })),
  devices: z.array(deviceSchema),
  links: z.array(linkSchema),
  wrong: z.array(z.object({ at: z.number(), address: z.string() })),
  log: z.array(lineSchema),
});

export type Access = z.infer<typeof accessSchema>;
export type AccessDevice = z.infer<typeof deviceSchema>;
export type AccessLink = z.infer<typeof linkSchema>;
export type AccessLine = z.infer<typeof lineSchema>;

const none = (): Access => ({
  version: 1,
  open: false,
  name: 'our-kitchen',
  askHere: false,
  oldNames: [],
  devices: [],
  links: [],
  wrong: [],
  log: [],
});

/** The file, read once and written whole at each change; for its owner's eyes only. */
export class AccessFile {
  readonly #file: string;
  #access: Access;
  /** The file was there and could not be read: it was put aside, and nothing is open. */
  readonly lost: boolean;

  /** @param dbFile the household's; the demo's door is another one */
  constructor(dbFile: string) {
    const { dir, name } = path.parse(dbFile);
    this.#file = path.join(dir, `${name}.access.json`);
    const read = existsSync(this.#file) ? accessSchema.safeParse(readJson(this.#file)) : undefined;
    this.lost = read?.success === false;
    if (this.lost) renameSync(this.#file, `${this.#file}.unread`);
    this.#access = read?.data ?? none();
  }

  get now(): Access {
    return this.#access;
  }

  /** Changes it; on the disk before anybody is told. */
  set(change: Partial<Access>): void {
    this.#access = { ...this.#access, ...change };
    const half = `${this.#file}.half`;
    rmSync(half, { force: true });
    const fd = openSync(half, 'wx', 0o600);
    try {
      writeSync(fd, `${JSON.stringify(this.#access, undefined, 1)}\n`);
      fsyncSync(fd);
    } finally {
      closeSync(fd);
    }
    renameSync(half, this.#file);
  }
}

const readJson = (file: string): unknown => {
  try {
    return JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    return undefined;
  }
};
