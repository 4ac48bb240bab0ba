import { useDebouncedValue } from '@mantine/hooks';
import { useMemo } from 'react';
import { writingSchema, type Fix, type Line, type Writing } from '#core/contract';
import { createMemo, ingredientFinder } from '#core/kitchen';
import {
  compose,
  fixOf,
  methodOf,
  type Composed,
  type ReadMethod,
  type ComposedFood,
  type ComposedRow,
  type ReadingContext,
} from '#core/recipe';
import type { WriteAnswer } from '#core/queries';
import { writingKey, writingName } from './importList.ts';
import { useDraft, type DraftRun } from '../sync/useDraft.ts';

/** What lines are read with, for as long as foods and recipes stand. */
export function useReading(data: WriteAnswer | undefined, recipeId: string): ReadingContext | undefined {
  return useMemo(
    () => data && { finder: ingredientFinder(data.rows), recipes: data.recipes.filter((r) => r.id !== recipeId), memo: createMemo() },
    [data, recipeId],
  );
}

const readWriting = (kept: unknown): Writing | undefined => {
  const parsed = writingSchema.safeParse(kept);
  return parsed.success ? parsed.data : undefined;
};

/** A recipe being written, kept on this device as it goes; one draft a recipe. */
export const useWritingDraft = (recipeId: string, path: string, initial: Writing): DraftRun<Writing> | undefined =>
  useDraft<Writing>({
    kind: 'recipe',
    key: writingKey(recipeId),
    name: writingName,
    path,
    initial,
    read: readWriting,
  });

/** How long after the last key the method is read: it is looked at, not typed into. */
const settleMs = 320;

/** What is understood of it so far: lines at every key, the method once the hand rests. */
export function useComposed(writing: Writing, reading: ReadingContext): { composed: Composed; read: ReadMethod } {
  const [settled] = useDebouncedValue(writing, settleMs);
  const method = useMemo(() => methodOf(settled, reading), [settled, reading]);
  const composed = useMemo(() => compose(writing, reading, method), [writing, reading, method]);
  return { composed, read: method };
}

/** A writing in which one food of a line is corrected; the text stays as it is written. */
export function corrected(
  writing: Writing,
  rows: readonly ComposedRow[],
  food: ComposedFood,
  set: Partial<Line>,
  unset?: Fix['unset'],
): Writing {
  const { id } = food.line;
  const rowId = rows.find((r) => 'foods' in r && r.foods.some((f) => f.line.id === id))?.id;
  return {
    ...writing,
    lines: writing.lines.map((l) =>
      l.id === rowId ? { ...l, fixes: { ...l.fixes, [id]: fixOf(food, l.text, l.fixes?.[id], set, unset) } } : l,
    ),
  };
}
