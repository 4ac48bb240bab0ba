import type { Kept } from '#core/contract';

/** A recipe as a file or a paste had it, in plain text: nothing guessed yet. */
export interface FileRecipe {
  name: string;
  /** Headings among them stand as lines. */
  lines: string[];
  steps: { section?: string; text: string }[];
  yieldText?: string;
  servings?: number;
  prepMin?: number;
  cookMin?: number;
  totalMin?: number;
  tags: string[];
  author?: string;
  source?: string;
  note?: string;
  /** What a file of ours keeps beside what people read. */
  kept?: Kept;
  /** Parts that are not understood, kept to be shown. */
  notUnderstood: { field: string; value: string }[];
}

export type ReadFileResult =
  { ok: true; recipes: FileRecipe[] } | { ok: false; why: 'notJson' | 'noRecipe' | 'empty' | 'tooLarge'; detail: string };

/** What a recipe can hold, as the contract has it; more is shown as not understood. */
export const most = { lines: 120, lineChars: 400, steps: 80, stepChars: 1200, servings: 10_000, name: 120, note: 1000 };

/** What a recipe has no room for, named with how it begins. */
const beyond = (field: string, rest: readonly string[], what: string): FileRecipe['notUnderstood'] =>
  rest.length === 0 ? [] : [{ field, value: `${rest.length} more ${what}, from “${(rest[0] ?? '').slice(0, 200)}” on` }];

/** A recipe cut to what one can hold; what is cut off is named. @example fitted(read) // at most 120 lines */
export function fitted(recipe: FileRecipe): FileRecipe {
  const { lines, steps, note } = recipe;
  return {
    ...recipe,
    name: recipe.name.slice(0, most.name),
    lines: lines.slice(0, most.lines).map((l) => l.slice(0, most.lineChars)),
    steps: steps.slice(0, most.steps).map((s) => ({ ...s, text: s.text.slice(0, most.stepChars) })),
    ...(note !== undefined && { note: note.slice(0, most.note) }),
    notUnderstood: [
      ...beyond('recipeIngredient', lines.slice(most.lines), 'lines'),
      ...beyond(
        'recipeInstructions',
        steps.slice(most.steps).map((s) => s.text),
        'steps',
      ),
      ...(note !== undefined && note.length > most.note ? [{ field: 'note', value: note.slice(most.note, most.note + 300) }] : []),
      ...recipe.notUnderstood,
    ].slice(0, 60),
  };
}
