import type { Batch, Revision } from '#core/contract';
import type { ScaledRecipe } from '#core/recipe';

/**
 * A dish of a session: its batch, its recipe and its amounts at that size. Shopping, cooking and what dishes draw from each other are all worked out from it.
 * @example const stew: Dish = { batch, revision, scaled } // 12 portions of stew, onions 1.8 kg
 */
export interface Dish {
  batch: Batch;
  revision: Revision;
  scaled: ScaledRecipe;
  /** What to say of a line instead of its amount, by line id: salt after some portions were dipped out. */
  outs?: ReadonlyMap<string, string>;
}
