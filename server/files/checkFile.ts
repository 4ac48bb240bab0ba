import { openToLook, troubleOf, wholeCheck } from '../db/index.ts';

/** The check itself, in the job's process. @throws an error that says what is damaged */
export function checkFile(dbFile: string): { sound: true } {
  const open = openToLook(dbFile);
  try {
    wholeCheck(open);
    return { sound: true };
  } catch (error) {
    if (troubleOf(error)?.kind !== 'damaged') throw error;
    throw new Error(`The household’s file is damaged (${error instanceof Error ? error.message : ''})`, { cause: error });
  } finally {
    open.close();
  }
}
