import { Button, Group, Input, NativeSelect, Text, TextInput } from '@mantine/core';
import { memo, useCallback, useEffect, useRef, useState, type ReactNode } from 'react';

/** A number typed as text, comma or point; undefined when it is not one. */
export const numberOf = (text: string): number | undefined => {
  const n = Number(text.replace(',', '.'));
  return text.trim() !== '' && Number.isFinite(n) ? n : undefined;
};

/** What every field of a form gets from it: value, change, what is wrong, and for a figure its unit. */
export interface Bound<V = string> {
  value: V;
  onChange: (value: V) => void;
  error?: string | undefined;
  /** A figure: a number pad on a phone, text as typed. */
  figure?: boolean | undefined;
  unit?: string | undefined;
  'data-path'?: string | undefined;
}

/** One line of text, or a figure with its unit; what is wrong with it is said below. */
export const Field = memo(function Field({
  label,
  figure,
  unit,
  width,
  onChange,
  ...bound
}: Bound & { label: string; width?: number; placeholder?: string }) {
  return (
    <TextInput
      label={
        <>
          {label}
          {unit ? (
            <Text span inherit c="dimmed" fw={400}>
              {' '}
              ({unit})
            </Text>
          ) : null}
        </>
      }
      flex={width ? undefined : 1}
      w={width}
      miw={width ?? 140}
      inputMode={figure ? 'decimal' : undefined}
      {...bound}
      onChange={(e) => onChange(e.currentTarget.value)}
    />
  );
});

/** What a choice of a few needs. */
interface Picked<T extends string> extends Bound<T> {
  label: string;
  options: readonly (readonly [T, string])[];
  /** At least so wide. */
  least?: number;
}

/** One of a few. */
export const Pick = memo(function Pick<T extends string>({
  label,
  options,
  onChange,
  value,
  error,
  least = 150,
  'data-path': path,
}: Picked<T>) {
  return (
    <NativeSelect
      label={label}
      miw={least}
      value={value}
      error={error}
      data-path={path}
      data={options.map(([v, name]) => ({ value: v, label: name }))}
      onChange={(e) => onChange(e.currentTarget.value as T)}
    />
  );
}) as <T extends string>(props: Picked<T>) => ReactNode;

/** Yes or no. */
export const Toggle = ({ value, onChange, children }: Pair<boolean> & { children: ReactNode }) => (
  <Button variant="chip" aria-pressed={value} onClick={() => onChange(!value)}>
    {children}
  </Button>
);
type Pair<V> = { [P in 'value' | 'onChange']: Bound<V>[P] };

/** One of several that can be on at once. */
const Chip = memo(function Chip<T extends string>({
  id,
  on,
  name,
  onToggle,
}: {
  id: T;
  on: boolean;
  name: string;
  onToggle: (id: T) => void;
}) {
  return (
    <Toggle value={on} onChange={() => onToggle(id)}>
      {name}
    </Toggle>
  );
}) as <T extends string>(props: { id: T; on: boolean; name: string; onToggle: (id: T) => void }) => ReactNode;

/** Any of a few. */
export function Chips<T extends string>({
  label,
  hidden = false,
  options,
  value,
  onChange,
}: Pair<T[]> & { label: string; /** Said to a screen reader only. */ hidden?: boolean; options: readonly (readonly [T, string])[] }) {
  const live = useRef({ value, onChange });
  useEffect(() => {
    live.current = { value, onChange };
  });
  const toggle = useCallback((id: T) => {
    const { value: now, onChange: change } = live.current;
    change(now.includes(id) ? now.filter((x) => x !== id) : [...now, id]);
  }, []);
  return (
    <div role="group" aria-label={label}>
      {!hidden && (
        <Text fz={15} fw={600} mb={3} aria-hidden>
          {label}
        </Text>
      )}
      <Group gap={8} className="chips">
        {options.map(([id, name]) => (
          <Chip key={id} id={id} name={name} on={value.includes(id)} onToggle={toggle} />
        ))}
      </Group>
    </div>
  );
}

/** Several words or figures in one line, with commas; what is half typed stays as it is. */
export function ListField({ value, onChange, ...field }: Omit<Bound<string[]>, 'figure'> & { label: string; width?: number }) {
  const [text, setText] = useState(value.join(', '));
  const said = text
    .split(',')
    .map((x) => x.trim())
    .filter(Boolean);
  // a step back, or another page, changed the list itself
  const shown = said.join('\n') === value.join('\n') ? text : value.join(', ');
  return (
    <Field
      {...field}
      value={shown}
      onChange={(next) => {
        setText(next);
        onChange(
          next
            .split(',')
            .map((x) => x.trim())
            .filter(Boolean),
        );
      }}
    />
  );
}

/** A heading over fields that belong together. */
export const FieldGroup = ({ label, children }: { label: string; children: ReactNode }) => (
  <div role="group" aria-label={label}>
    <Input.Label component="div" mb={3}>
      {label}
    </Input.Label>
    {children}
  </div>
);
