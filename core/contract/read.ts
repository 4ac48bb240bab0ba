import type { z } from 'zod';
import { eventSchema, type TamboEvent } from './events.ts';
import { upcast, versions, type Shape } from './upcast.ts';
import { documentSchemas, writableSchemas, type DocumentOf, type DocumentTable, type WritableTable } from './writes.ts';

/** What was read: the value as today's contract has it, or why it is none. */
export type ReadValue<T> = { value: T } | { value?: undefined; why: string };

const whyOf = (error: z.ZodError): string => {
  const [issue] = error.issues;
  const path = issue?.path.map(String).join('.') ?? '';
  return `${path ? `${path}: ` : ''}${issue?.message ?? 'not readable'}`;
};

function readAs<T>(shape: Shape, version: number, value: unknown, schema: z.ZodType): ReadValue<T> {
  try {
    const parsed = schema.safeParse(upcast(shape, version, value));
    return parsed.success ? { value: parsed.data as T } : { why: whyOf(parsed.error) };
  } catch (error) {
    return { why: error instanceof Error ? error.message : String(error) };
  }
}

/**
 * A stored document, whatever version of Tambo wrote it; never throws.
 * @example readDocument('place', 1, { id: 'shed' }) // { why: 'name: ...' }: half a freezer
 */
export const readDocument = <T extends DocumentTable>(table: T, version: number, value: unknown): ReadValue<DocumentOf<T>> =>
  readAs(table, version, value, documentSchemas[table]);

/** A stored change of a document or a reference row. @example readWritable('eater', 1, osk) */
export const readWritable = (table: WritableTable, version: number, value: unknown): ReadValue<unknown> =>
  readAs(table, version, value, writableSchemas[table]);

/**
 * A stored value as pages have it: brought up to today's shape, without fields that no shape has any more; as it is stored when it cannot be read.
 * Two states of a document are compared as this, so that what only the storage knows is no difference.
 * @example asPagesHaveIt('recipe', 1, storedRecipe) // with the fields that came since
 */
export function asPagesHaveIt(table: WritableTable, version: number, value: unknown): unknown {
  if (value === null || value === undefined) return null;
  return readWritable(table, version, value).value ?? upcast(table, version, value);
}

/**
 * A stored entry with its whole envelope, brought up to today's version.
 * @example readEvent({ version: 1, type: 'moved', subjects: ['tub7'], data: { placeId: 'shed' }, ...stamp })
 */
export const readEvent = (value: { version: number } & Record<string, unknown>): ReadValue<TamboEvent> =>
  readAs('event', value.version, { ...value, version: versions.event }, eventSchema);
