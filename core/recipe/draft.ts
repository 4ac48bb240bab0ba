import type { Revision } from '#core/contract';
import type { IngredientFinder } from '#core/kitchen';
import type { FileRecipe } from './read/index.ts';
import { compose, writingOfFile } from './write/index.ts';

/** A recipe read from a file, with every guess marked. */
export interface RecipeDraft {
  revision: Omit<Revision, 'id' | 'recipeId' | 'madeAt'>;
  /** Lines whose ingredient was not recognised, by id. */
  unmatched: string[];
  /** What the file held that is not used; shown, never dropped. */
  notUnderstood: { field: string; value: string }[];
  yieldText?: string;
}

/**
 * Turns a file's recipe into a draft: lines read and matched, steps in a chain with guessed minutes (DECISIONS 11), kind, serving, storage and yield
 * guessed; nothing of it is confirmed.
 * @param ids gives a fresh id for each line and step
 * @example draftRecipe(read, finder, newId).revision.lines[0] // '3 leeks, sliced', understood
 */
export function draftRecipe(file: FileRecipe, finder: IngredientFinder, ids: () => string): RecipeDraft {
  const { revision } = compose(writingOfFile(file, ids), { finder, recipes: [] });
  return {
    revision: { ...revision, confirmed: [] },
    unmatched: revision.lines.flatMap((l) => (l.item.type === 'unmatched' ? [l.id] : [])),
    notUnderstood: file.notUnderstood,
    ...(file.yieldText && { yieldText: file.yieldText }),
  };
}
