import { NewerDatabase, openDb, openToLook, quickCheck, schema, troubleOf, type OpenDb } from './db/index.ts';
import { beginAnew, copiesFolder, listCopies, lookAtCopy, missing, replaceDamaged, type Unfinished } from './files/index.ts';
import type { DataFolder } from './folder.ts';
import type { Context } from './http.ts';

/** What the look at the file may take of a start. */
const quickCheckMs = 300;

/** A household as it was found at the start. */
export interface Begun {
  open: OpenDb;
  startSaid?: string;
  /** Why the household cannot be used as it is. */
  damage?: string;
  /** It is only looked at. */
  looking?: true;
}

/** Opens the household and looks whether it is sound; what is damaged is not touched. */
export function begin(folder: DataFolder, migrationsFolder: string, swap: Unfinished | undefined): Begun {
  const gone = missing(folder.dbFile, folder.folder);
  if (gone !== undefined) return { open: openDb(':memory:', migrationsFolder), damage: gone };
  const sound = (): OpenDb => {
    const open = openDb(folder.dbFile, migrationsFolder);
    quickCheck(open, quickCheckMs);
    // a folder or file that may not be written is known at the start, not at the first entry
    open.db
      .insert(schema.meta)
      .values({ key: 'opened', value: true })
      .onConflictDoUpdate({ target: schema.meta.key, set: { value: true } })
      .run();
    return open;
  };
  try {
    const open = sound();
    swap?.opened();
    return { open, ...(swap && { startSaid: swap.says }) };
  } catch (error) {
    if (swap) {
      const startSaid = swap.back();
      return { open: openDb(folder.dbFile, migrationsFolder), startSaid };
    }
    if (error instanceof NewerDatabase && process.env.TAMBO_LOOK === '1') return { open: openToLook(folder.dbFile), looking: true };
    if (troubleOf(error)?.kind !== 'damaged') throw error;
    return {
      open: openDb(':memory:', migrationsFolder),
      damage: `The household’s file is damaged (${error instanceof Error ? error.message.replace(/\s+/g, ' ').slice(0, 160) : ''}).`,
    };
  }
}

/** What the terminal asked for: the newest good copy in place of the damaged file, or that put aside. */
export async function mend(ctx: Context, asked: string | undefined, say: (text: string) => void): Promise<void> {
  say(`${ctx.damage?.why ?? ''} Nothing was changed.`);
  if (asked === 'aside') return void say(`It is kept as ${beginAnew(ctx)}; Tambo begins with an empty household.`);
  const copies = listCopies(copiesFolder(ctx.folder));
  if (asked === 'copy')
    for (const copy of copies) {
      try {
        const { ready, finished } = lookAtCopy(ctx, copy.name);
        await finished;
        return void say(`The copy of ${copy.day} (${copy.name}) is in place; the damaged file is kept as ${replaceDamaged(ctx, ready)}.`);
      } catch (error) {
        say(`${copy.name} is no good: ${error instanceof Error ? error.message : String(error)}`);
      }
    }
  const [newest] = copies;
  say(
    `Open Tambo in the browser to choose, or here:\n${newest ? `  npm start -- --take-copy    puts the newest good copy in place (${newest.name})\n` : ''}  npm start -- --put-aside    keeps the damaged file under another name and begins anew`,
  );
}
