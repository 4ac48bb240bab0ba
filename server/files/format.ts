import { z } from 'zod';
import { instantSchema } from '#core/contract';

export { BadFile } from './badFile.ts';

/** A backup: a zip with the database, the open export beside it (both gzipped, which is quicker than the zip's own way), and this manifest last. */
export const backupNames = { database: 'tambo.sqlite.gz', export: 'export.json.gz', manifest: 'manifest.json' } as const;

/** Raise when an older Tambo could not read what is written. */
export const backupVersion = 1;
export const exportVersion = 1;

/** Larger than ten full years of a busy kitchen, smaller than what would fill a disk by a trick. */
export const mostDatabaseBytes = 2 * 2 ** 30;
export const mostUploadBytes = 2 ** 30;

/** Of the file as it is unpacked. */
const fileFacts = z.object({ bytes: z.number().int().min(0).max(mostDatabaseBytes), sha256: z.string().regex(/^[0-9a-f]{64}$/) });

export const countsSchema = z.object({
  packs: z.number().int().min(0),
  inStore: z.number().int().min(0),
  events: z.number().int().min(0),
  recipes: z.number().int().min(0),
  sessions: z.number().int().min(0),
  eaters: z.number().int().min(0),
});

export const manifestSchema = z.object({
  format: z.literal('tambo-backup'),
  version: z.number().int().min(1),
  madeAt: instantSchema,
  storeId: z.string().min(1).max(40),
  household: z.string().max(80),
  /** Steps of the database's shape; a reader must know them all. */
  migrations: z.number().int().min(1),
  counts: countsSchema,
  files: z.object({ [backupNames.database]: fileFacts, [backupNames.export]: fileFacts }),
});

export type Counts = z.infer<typeof countsSchema>;
export type Manifest = z.infer<typeof manifestSchema>;

/** What a long job tells while it runs. */
export interface Progress {
  /** From 0 to 1. */
  share: number;
  says: string;
}
export type Tell = (p: Progress) => void;
