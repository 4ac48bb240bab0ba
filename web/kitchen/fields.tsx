import { Anchor, Button, Group, Modal, NativeSelect, Stack, Text, TextInput } from '@mantine/core';
import type { ReactNode } from 'react';
import { Note } from '../ui/Note.tsx';

/** A number typed as text; undefined when it is not one. */
export const numberOf = (text: string): number | undefined => {
  const n = Number(text.replace(',', '.'));
  return text.trim() !== '' && Number.isFinite(n) ? n : undefined;
};

export function Field({
  label,
  value,
  onChange,
  type = 'text',
  unit,
  width,
  bad,
}: {
  label: string;
  value: string;
  onChange: (v: string) => void;
  type?: 'text' | 'number';
  unit?: string;
  width?: number;
  bad?: string | undefined;
}) {
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
      inputMode={type === 'number' ? 'decimal' : undefined}
      value={value}
      error={bad}
      onChange={(e) => onChange(e.currentTarget.value)}
    />
  );
}

export function Pick<T extends string>({
  label,
  value,
  options,
  onChange,
}: {
  label: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onChange: (v: T) => void;
}) {
  return (
    <NativeSelect
      label={label}
      miw={150}
      value={value}
      data={options.map(([v, name]) => ({ value: v, label: name }))}
      onChange={(e) => onChange(e.currentTarget.value as T)}
    />
  );
}

export const Toggle = ({ on, onChange, children }: { on: boolean; onChange: (on: boolean) => void; children: ReactNode }) => (
  <Button variant="chip" aria-pressed={on} onClick={() => onChange(!on)}>
    {children}
  </Button>
);

/** A form in a sheet: fields, what is wrong, save and remove. */
export function Sheet({
  title,
  children,
  problems,
  onSave,
  onRemove,
  onClose,
}: {
  title: string;
  children: ReactNode;
  problems: readonly string[];
  onSave: () => void;
  onRemove?: (() => void) | undefined;
  onClose: () => void;
}) {
  return (
    <Modal opened onClose={onClose} title={title} size={660} closeButtonProps={{ 'aria-label': 'Close' }}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          if (problems.length === 0) onSave();
        }}
      >
        <Stack>
          {children}
          {problems.map((p) => (
            <Note tone="bad" key={p} role="alert">
              {p}
            </Note>
          ))}
          <Group>
            <Button type="submit" disabled={problems.length > 0}>
              Keep
            </Button>
            {onRemove && (
              <Anchor component="button" type="button" c="var(--tomato)" onClick={onRemove}>
                Remove
              </Anchor>
            )}
          </Group>
        </Stack>
      </form>
    </Modal>
  );
}
