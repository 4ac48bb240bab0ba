import type { z } from 'zod';
import type { Refusal } from './writes.ts';

const shown = (value: unknown): string => {
  const text = typeof value === 'string' ? `"${value}"` : (JSON.stringify(value) ?? 'nothing');
  return text.length > 80 ? `${text.slice(0, 77)}...` : text;
};

const at = (value: unknown, path: readonly PropertyKey[]): unknown =>
  path.reduce<unknown>((v, key) => (v !== null && typeof v === 'object' ? (v as Record<PropertyKey, unknown>)[key] : undefined), value);

/**
 * Says in words what was wrong with a value: path, what was expected, what came.
 * @example refusals(schema.safeParse({ portions: -1 }).error, { portions: -1 })
 *   // [{ path: 'portions', expected: 'Too small: expected number to be >=0', got: '-1' }]
 */
export function refusals(error: z.ZodError, value: unknown): Refusal[] {
  return error.issues.map((issue) => ({
    path: issue.path.map(String).join('.') || '(whole)',
    expected: issue.message,
    got: shown(at(value, issue.path)),
  }));
}
