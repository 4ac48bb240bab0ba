import type { Kind } from '#core/contract';

/** A recipe as a cook writes it down: its text is read by the reader a cook's own is read by. */
export interface WrittenRecipe {
  key: string;
  kind: Kind;
  /** Row of the storage table it keeps like. */
  lifeId: string;
  tags: readonly string[];
  /** Name, what it makes, lines, method. */
  text: string;
}
