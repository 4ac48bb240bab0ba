import type { OpenDb } from './open.ts';

/** What is the matter with the household's file or its disk, in words; what a cook enters stays on the device meanwhile. */
export interface DiskTrouble {
  kind: 'damaged' | 'full' | 'readOnly';
  says: string;
}

const stays = 'What you entered stays on this device and is sent again by itself.';

const words: Readonly<Record<DiskTrouble['kind'], string>> = {
  damaged: `The household’s file is damaged. ${stays}`,
  full: `The disk of the computer that runs Tambo is full. Free some space there. ${stays}`,
  readOnly: `Tambo may not write into its folder on the computer that runs it: the folder, the file or the disk is read-only. ${stays}`,
};

/** Codes of SQLite and of the disk, by what they mean for a household. */
const kindOf: Readonly<Record<string, DiskTrouble['kind']>> = {
  SQLITE_CORRUPT: 'damaged',
  SQLITE_NOTADB: 'damaged',
  SQLITE_FULL: 'full',
  ENOSPC: 'full',
  EDQUOT: 'full',
  SQLITE_READONLY: 'readOnly',
  SQLITE_CANTOPEN: 'readOnly',
  SQLITE_IOERR: 'readOnly',
  EROFS: 'readOnly',
  EACCES: 'readOnly',
  EPERM: 'readOnly',
};

/** What an error says of the disk; undefined when it is about something else. The database's own error may lie within another's. */
export function troubleOf(error: unknown): DiskTrouble | undefined {
  for (let e = error; e instanceof Error; e = e.cause) {
    const code = 'code' in e && typeof e.code === 'string' ? e.code : '';
    const [, base = ''] = /^(SQLITE_[A-Z]+|E[A-Z]+)/.exec(code) ?? [];
    // the database has given up by itself, which only a full or failing disk makes it do, before the driver came to say so
    const kind = e.message.startsWith('cannot rollback') ? 'full' : kindOf[base];
    if (kind) return { kind, says: words[kind] };
  }
  return undefined;
}

/** A file that the database itself calls damaged. */
export class Damaged extends Error {
  readonly code = 'SQLITE_CORRUPT';
}

/**
 * Looks whether a household's file is sound, a table after the other, the small ones first, until the time is up; what is left is looked at by
 * the whole check later.
 * @returns tables that were looked at
 * @throws Damaged with the database's own words
 */
export function quickCheck({ sqlite }: Pick<OpenDb, 'sqlite'>, ms: number): string[] {
  const until = performance.now() + ms;
  const names = sqlite.prepare("select name from sqlite_master where type = 'table' and name not like 'sqlite_%'").all() as {
    name: string;
  }[];
  const sized = names
    .map(({ name }) => ({ name, n: (sqlite.prepare(`select coalesce(max(rowid), 0) as n from "${name}"`).get() as { n: number }).n }))
    .toSorted((a, b) => a.n - b.n);
  const looked: string[] = [];
  for (const { name } of sized) {
    if (performance.now() > until) break;
    const [first] = sqlite.prepare(`pragma quick_check("${name}")`).all() as { quick_check: string }[];
    if (first && first.quick_check !== 'ok') throw new Damaged(first.quick_check.slice(0, 160));
    looked.push(name);
  }
  return looked;
}

/** The whole check: every page, every index, every row that points to another. @throws Damaged */
export function wholeCheck({ sqlite }: Pick<OpenDb, 'sqlite'>): void {
  const [first] = sqlite.prepare('pragma integrity_check(1)').all() as { integrity_check: string }[];
  if (first && first.integrity_check !== 'ok') throw new Damaged(first.integrity_check.slice(0, 160));
}
