import * as Comlink from 'comlink';
import { readRecipeFile, type FileRecipe } from '#core/recipe';

/** A file to be read: from a disk, or text that was pasted. */
export type ToRead = File | { name: string; text: string };

/** What was found in the files, each with where it stood, and what could not be read and why. */
export interface FilesRead {
  recipes: { from: string; recipe: FileRecipe }[];
  problems: { from: string; says: string }[];
}

const whyNot: Readonly<Record<string, string>> = {
  empty: 'is empty',
  notJson: 'is cut off or broken: save the page again, or paste the recipe as text',
  noRecipe: 'holds no recipe: no block for machines, and no two lines that look like ingredients. Paste the recipe as text',
  tooLarge: 'is too large',
};

const reader = {
  /** Reads files one after the other, and tells how far it is. */
  async read(files: readonly ToRead[], tell: (done: number, name: string) => void): Promise<FilesRead> {
    const found: FilesRead = { recipes: [], problems: [] };
    for (const [i, file] of files.entries()) {
      tell(i, file.name);
      try {
        const read = readRecipeFile(typeof file.text === 'string' ? file.text : await file.text());
        if (read.ok) found.recipes.push(...read.recipes.map((recipe) => ({ from: file.name, recipe })));
        else found.problems.push({ from: file.name, says: whyNot[read.why] ?? read.detail });
      } catch (error) {
        found.problems.push({ from: file.name, says: `cannot be read: ${error instanceof Error ? error.message : String(error)}` });
      }
    }
    tell(files.length, '');
    return found;
  },
};

export type Reader = typeof reader;
Comlink.expose(reader);
