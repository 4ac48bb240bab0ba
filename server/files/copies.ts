import { existsSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';
import { dayOf } from '#core/kitchen';
import type { BackupFile } from '#core/queries';
import { copiesToKeep } from './retention.ts';

/** Names that Tambo gives: by itself each day, by hand, and before a restore. */
const named = /^tambo-(daily|hand|before)-(\d{4}-\d\d-\d\d)(?:-(\d{6}(?:-\d+)?))?\.zip$/;

export const copiesFolder = (dataFolder: string): string => {
  const folder = path.join(dataFolder, 'backups');
  mkdirSync(folder, { recursive: true });
  return folder;
};

/** Copies in the folder, the newest first; other files there are left alone and not shown. */
export function listCopies(folder: string): BackupFile[] {
  return readdirSync(folder)
    .flatMap((name): BackupFile[] => {
      const m = named.exec(name);
      if (!m) return [];
      const { size, mtime } = statSync(path.join(folder, name));
      return [{ name, kind: m[1] as BackupFile['kind'], day: m[2] ?? '', madeAt: mtime.toISOString(), bytes: size }];
    })
    .toSorted((a, b) => b.day.localeCompare(a.day) || b.madeAt.localeCompare(a.madeAt));
}

export const copyName = (kind: BackupFile['kind'], now: string, zone: string): string =>
  kind === 'daily'
    ? `tambo-daily-${dayOf(now, zone)}.zip`
    : `tambo-${kind}-${dayOf(now, zone)}-${now.slice(11, 19).replaceAll(':', '')}.zip`;

/** The name, or with a number behind it where a copy of that second is there already; a daily one keeps its name and is made once. */
export function freeName(folder: string, name: string): string {
  if (name.startsWith('tambo-daily')) return name;
  for (let n = 1; ; n += 1) {
    const one = n === 1 ? name : name.replace(/\.zip$/, `-${n}.zip`);
    if (!existsSync(path.join(folder, one))) return one;
  }
}

/** What a power cut left half made, here and in the folder of files that were looked at; nothing of it was ever shown or used. */
export function clearHalfMade(dataFolder: string): void {
  const backups = copiesFolder(dataFolder);
  for (const name of readdirSync(backups))
    if (/^tambo-.*\.zip\..+$/.test(name)) rmSync(path.join(backups, name), { recursive: true, force: true });
  rmSync(path.join(dataFolder, 'restore'), { recursive: true, force: true });
}

/** Lets go of daily copies that are no longer kept; what was made by hand or before a restore stays. */
export function tidyCopies(folder: string): string[] {
  const daily = listCopies(folder).filter((c) => c.kind === 'daily');
  const keep = copiesToKeep(daily.map((c) => c.day));
  const gone = daily.filter((c) => !keep.has(c.day)).map((c) => c.name);
  for (const name of gone) rmSync(path.join(folder, name), { force: true });
  return gone;
}

/** A path inside the folder for a name that is one of ours; undefined for anything else. */
export const copyPath = (folder: string, name: string): string | undefined => (named.test(name) ? path.join(folder, name) : undefined);
