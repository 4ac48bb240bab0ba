import { z } from 'zod';
import { bare, sayIssue, shownOf } from './words.ts';

/** A document as it stands in a form: figures and words as typed, everything optional there and empty, ticks and lists as they are. */
export type Typed<T> = T extends boolean
  ? boolean
  : T extends number | string
    ? string
    : T extends readonly (infer E)[]
      ? Typed<E>[]
      : T extends object
        ? { [K in keyof T]-?: Typed<NonNullable<T[K]>> }
        : never;

/** A field of a document by its path: `name`, `marks.pulseMl`. */
export type FieldPath<T> = {
  [K in keyof T & string]: NonNullable<T[K]> extends readonly unknown[]
    ? K
    : NonNullable<T[K]> extends object
      ? K | `${K}.${FieldPath<NonNullable<T[K]>>}`
      : K;
}[keyof T & string];

const isOptional = (schema: z.core.$ZodType): boolean => schema._zod.optin === 'optional';

const numbersOnly = (schema: z.ZodUnion): boolean => schema.options.every((o) => o instanceof z.ZodLiteral && typeof o.value === 'number');

/** A figure as text, in the unit that it is shown in. */
const textOf = (n: number, times = 1): string => String(Number((n * times).toPrecision(12)));

/** A typed figure: comma or point; NaN when it is none, undefined when nothing was typed. */
function figureOf(text: string, times = 1, whole = false): number | undefined {
  const t = text.trim().replace(',', '.');
  if (t === '') return undefined;
  const n = /^[-+]?(\d+\.?\d*|\.\d+)$/.test(t) ? Number(t) / times : Number.NaN;
  // parts of a cent are no money; half a tub is an error to be told
  return whole && times < 1 ? Math.round(n) : Number.isFinite(n) ? Number(n.toPrecision(12)) : n;
}

function typedValue(schema: z.core.$ZodType, value: unknown): unknown {
  const s = bare(schema);
  if (s instanceof z.ZodObject) {
    const of = (value ?? {}) as Record<string, unknown>;
    return Object.fromEntries(Object.entries(s.shape as z.core.$ZodShape).map(([key, field]) => [key, typedValue(field, of[key])]));
  }
  if (s instanceof z.ZodArray) return ((value ?? []) as unknown[]).map((v) => typedValue(s.element as z.core.$ZodType, v));
  if (s instanceof z.ZodBoolean) return value === true;
  if (s instanceof z.ZodRecord) return value ?? {};
  if (typeof value === 'number') return textOf(value, shownOf(s).times);
  return typeof value === 'string' ? value : '';
}

/**
 * A document as it stands in a form: every figure as text in the unit it is shown in, what is not known as an empty field.
 * @example typedOf(containerSchema, tub).brimMl // "500"
 */
export const typedOf = <S extends z.ZodObject>(schema: S, document: Partial<z.output<S>>): Typed<z.output<S>> =>
  typedValue(schema, document) as Typed<z.output<S>>;

/** Nothing was said: a group whose fields are all empty. A no is something that was said. */
const isNothing = (v: unknown): boolean =>
  v === undefined || v === '' || (typeof v === 'object' && v !== null && !Array.isArray(v) && Object.values(v).every(isNothing));

function valueOf(schema: z.core.$ZodType, typed: unknown): unknown {
  const s = bare(schema);
  const optional = isOptional(schema);
  if (s instanceof z.ZodObject) {
    const of = (typed ?? {}) as Record<string, unknown>;
    const made = Object.fromEntries(
      Object.entries(s.shape as z.core.$ZodShape).flatMap(([key, field]) => {
        const v = valueOf(field, of[key]);
        return v === undefined ? [] : [[key, v]];
      }),
    );
    return optional && isNothing(made) ? undefined : made;
  }
  if (s instanceof z.ZodArray) {
    const list = ((typed ?? []) as unknown[]).map((v) => valueOf(s.element as z.core.$ZodType, v)).filter((v) => v !== undefined);
    return optional && list.length === 0 ? undefined : list;
  }
  if (s instanceof z.ZodBoolean) return optional && typed !== true ? undefined : typed === true;
  if (s instanceof z.ZodRecord) return typed ?? {};
  const text = typeof typed === 'string' ? typed.trim() : '';
  if (s instanceof z.ZodNumber) return figureOf(text, shownOf(s).times, s.isInt);
  if (s instanceof z.ZodUnion && numbersOnly(s)) return figureOf(text);
  // what may not be missing is told by its own words when it is empty
  return text === '' && (optional || !(s instanceof z.ZodString)) ? undefined : text;
}

/** A form's values as a document, or what each field must be instead. */
export type ReadForm<T> = { ok: true; value: T } | { ok: false; errors: Record<string, string> };

/**
 * Reads a form: bounds and messages are the contract's own.
 * @returns the document, or for each wrong field by its path what it must be
 * @example readForm(containerSchema, { ...typed, fillMl: '4,5x' }) // { ok: false, errors: { fillMl: 'more than 0 and at most 30,000 ml' } }
 */
export function readForm<S extends z.ZodObject>(schema: S, typed: Typed<z.output<S>>): ReadForm<z.output<S>> {
  const value = valueOf(schema, typed);
  const parsed = schema.safeParse(value);
  if (parsed.success) return { ok: true, value: parsed.data };
  const errors: Record<string, string> = {};
  for (const issue of parsed.error.issues) errors[issue.path.map(String).join('.')] ??= sayIssue(schema, issue);
  return { ok: false, errors };
}

/**
 * What an older page left of a form on this device: its values when they have today's shape.
 * @example typedLike(containerSchema, { name: 'Tub' }) // undefined
 */
export function typedLike<S extends z.ZodObject>(schema: S, kept: unknown): Typed<z.output<S>> | undefined {
  const like = (s: z.core.$ZodType, v: unknown): boolean => {
    const b = bare(s);
    if (b instanceof z.ZodObject)
      return (
        typeof v === 'object' &&
        v !== null &&
        Object.entries(b.shape as z.core.$ZodShape).every(([key, field]) => like(field, (v as Record<string, unknown>)[key]))
      );
    if (b instanceof z.ZodArray) return Array.isArray(v) && v.every((x) => like(b.element as z.core.$ZodType, x));
    if (b instanceof z.ZodBoolean) return typeof v === 'boolean';
    if (b instanceof z.ZodRecord) return typeof v === 'object' && v !== null;
    return typeof v === 'string';
  };
  return like(schema, kept) ? (kept as Typed<z.output<S>>) : undefined;
}
