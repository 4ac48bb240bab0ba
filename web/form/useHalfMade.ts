import { useCallback } from 'react';
import type { z } from 'zod';
import type { DraftKind } from '../sync/draftsSlice.ts';
import { useDraft, type DraftOptions, type DraftRun } from '../sync/useDraft.ts';

interface Options<T> extends Omit<DraftOptions<T>, 'read' | 'name' | 'kind'> {
  kind?: DraftKind;
  name: string | ((value: T) => string);
  /** What an older page left is only taken when it has this shape. */
  schema: z.ZodType<T>;
}

/** What a page is in the middle of, beside the forms of documents: as `useState`, but it outlives the page until it is kept or dropped. */
export function useHalfMade<T>({
  schema,
  name,
  kind = 'form',
  ...o
}: Options<T>): [T, (next: T, field?: string) => void, DraftRun<T> | undefined] {
  const read = useCallback(
    (kept: unknown): T | undefined => {
      const parsed = schema.safeParse(kept);
      return parsed.success ? parsed.data : undefined;
    },
    [schema],
  );
  const draft = useDraft<T>({ ...o, kind, read, name: typeof name === 'string' ? () => name : name });
  return [draft?.value ?? o.initial, (next, field) => draft?.edit(next, field), draft];
}
