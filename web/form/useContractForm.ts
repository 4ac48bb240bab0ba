import { useForm, type UseFormReturnType } from '@mantine/form';
import { useCallback, useEffect, useMemo, useRef, useState, type FormEvent } from 'react';
import type { z } from 'zod';
import { readForm, schemaAt, shownOf, typedLike, typedOf, type FieldPath, type Typed } from '#core/contract';
import { capital } from '#core/kitchen';
import type { DraftKind } from '../sync/draftsSlice.ts';
import { useDraft, type DraftRun } from '../sync/useDraft.ts';
import type { Bound } from './fields.tsx';

/** A form half filled in, and the document as it was when it was opened: what another device changed since is met, not overwritten. */
interface Half<T> {
  typed: Typed<T>;
  was: T | null;
}

export interface FormOptions<S extends z.ZodObject> {
  /** The contract's: bounds, units and messages stand there. */
  schema: S;
  /** As it is kept now; null for a new one. */
  was: z.output<S> | null;
  /** How a new one begins, and what a kept one leaves open. */
  blank?: Partial<z.output<S>>;
  kind?: DraftKind;
  /** What is edited, one draft each: `container tub_500`. */
  draftKey: string;
  /** What the cook calls it while it is not kept. */
  name: (typed: Typed<z.output<S>>) => string;
  /** Where it is gone on with. */
  path: string;
  /** What the contract cannot say: fields that do not go together, by their path. */
  together?: (value: z.output<S>) => Readonly<Record<string, string>> | undefined;
  /** What was typed is whole: it is kept by this. */
  onKeep: (value: z.output<S>, was: z.output<S> | null) => void;
}

type ValueAt<T, P extends string> = P extends `${infer K}.${infer R}`
  ? K extends keyof T
    ? ValueAt<T[K], R>
    : never
  : P extends keyof T
    ? T[P]
    : never;

/** A form over a document of the contract. */
export interface ContractForm<S extends z.ZodObject> {
  values: Typed<z.output<S>>;
  /** What a field needs, by its path. */
  field: <P extends FieldPath<z.output<S>>>(path: P) => Bound<ValueAt<Typed<z.output<S>>, P>>;
  /** Several fields at once: a preset, a reading of the scale. */
  set: (values: Partial<Typed<z.output<S>>>) => void;
  draft: DraftRun<Half<z.output<S>>> | undefined;
  /** As it was when it was opened. */
  initial: Half<z.output<S>>;
  changed: boolean;
  /** What is wrong, by the field's path. */
  errors: Readonly<Record<string, string>>;
  /** What is wrong with fields that are not on the page. */
  elsewhere: readonly string[];
  onSubmit: (e: FormEvent<HTMLFormElement>) => void;
  drop: () => void;
}

const at = (values: unknown, path: string): unknown =>
  path.split('.').reduce<unknown>((v, key) => (v as Record<string, unknown> | undefined)?.[key], values);

const put = (v: unknown, [key, ...rest]: string[], value: unknown): unknown =>
  key === undefined ? value : { ...(v as object), [key]: put((v as Record<string, unknown>)[key], rest, value) };

/** Fields of a form as they stand on the page, by their paths. */
const onPage = (form: HTMLFormElement): HTMLElement[] => [...form.querySelectorAll<HTMLElement>('[data-path]')];

/**
 * A form over a document of the contract: figures stay text as typed, what is wrong is said at its field when it is kept, the first wrong
 * field takes the focus; half filled in it outlives the page, with steps back and forward.
 */
export function useContractForm<S extends z.ZodObject>(options: FormOptions<S>): ContractForm<S> {
  type T = z.output<S>;
  const { schema, kind = 'form', draftKey, name, path, together, onKeep } = options;
  const [initial] = useState<Half<T>>(() => ({
    typed: typedOf(schema, { ...options.blank, ...options.was } as Partial<T>),
    was: options.was,
  }));
  const read = useCallback(
    (kept: unknown): Half<T> | undefined => {
      const half = kept as Partial<Half<T>> | null;
      const typed = typedLike(schema, half?.typed);
      return typed && { typed, was: half?.was ?? null };
    },
    [schema],
  );
  const draft = useDraft<Half<T>>({ kind, key: draftKey, name: (h) => name(h.typed), path, initial, read });
  const { typed, was } = draft?.value ?? initial;
  const [elsewhere, setElsewhere] = useState<readonly string[]>([]);
  const check = (values: Typed<T>): Record<string, string> => {
    const result = readForm(schema, values);
    return result.ok ? { ...together?.(result.value) } : result.errors;
  };
  const form: UseFormReturnType<Typed<T>> = useForm<Typed<T>>({ initialValues: typed, validate: check });
  const { setValues } = form;
  const shown = useRef(typed);
  const early = useRef(false);
  useEffect(() => {
    if (!draft || shown.current === typed) return;
    // letters that were quicker than what this device kept are not lost, unless it kept a draft
    if (!draft.dirty && early.current) draft.edit({ typed: shown.current, was });
    else {
      // a step back, a draft of before: the page shows what the draft says
      shown.current = typed;
      setValues(typed);
    }
    early.current = false;
  }, [draft, typed, was, setValues]);
  const live = useRef({ draft, was, clearFieldError: form.clearFieldError });
  useEffect(() => {
    live.current = { draft, was, clearFieldError: form.clearFieldError };
  });
  const change = useCallback(
    (next: Typed<T>, field?: string): void => {
      shown.current = next;
      early.current = live.current.draft === undefined;
      setValues(next);
      live.current.draft?.edit({ typed: next, was: live.current.was }, field);
    },
    [setValues],
  );
  // a field keeps its handler from key to key, so that the others are not drawn again
  const [handlers] = useState(() => new Map<string, (value: unknown) => void>());
  const handlerOf = (p: string): ((value: unknown) => void) => {
    const had = handlers.get(p);
    if (had) return had;
    const handler = (value: unknown): void => {
      live.current.clearFieldError(p);
      change(put(shown.current, p.split('.'), value) as Typed<T>, p);
    };
    handlers.set(p, handler);
    return handler;
  };
  const field: ContractForm<S>['field'] = (p) => {
    const error = form.errors[p];
    const of = schemaAt(schema, p.split('.'));
    return {
      value: at(form.values, p) as never,
      onChange: handlerOf(p),
      ...(typeof error === 'string' && { error: capital(error) }),
      figure: of?._zod.def.type === 'number',
      unit: of && shownOf(of).unit,
      'data-path': p,
    };
  };
  const submit = form.onSubmit(
    (values) => {
      setElsewhere([]);
      const result = readForm(schema, values);
      if (result.ok) onKeep(result.value, was);
    },
    (errors, _values, event) => {
      const fields = event ? onPage(event.currentTarget as HTMLFormElement) : [];
      fields.find((f) => (f.dataset.path ?? '') in errors)?.focus();
      const shownPaths = new Set(fields.map((f) => f.dataset.path));
      setElsewhere(Object.entries(errors).flatMap(([p, says]) => (shownPaths.has(p) ? [] : [`${p}: ${String(says)}`])));
    },
  );
  const changed = useMemo(() => JSON.stringify(typed) !== JSON.stringify(initial.typed), [typed, initial]);
  const clean = useRef<() => void>(undefined);
  useEffect(() => {
    clean.current = draft?.dirty && !changed ? draft.drop : undefined;
  });
  // what came to nothing is not half made
  useEffect(() => () => clean.current?.(), []);
  return {
    values: form.values,
    field,
    set: (values) => change({ ...shown.current, ...values }),
    draft,
    initial,
    changed,
    errors: form.errors as Record<string, string>,
    elsewhere,
    onSubmit: submit,
    drop: () => draft?.drop(),
  };
}
