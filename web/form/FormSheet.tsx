import { Anchor, Button, Group, Modal, Stack } from '@mantine/core';
import type { ReactNode } from 'react';
import type { z } from 'zod';
import { Note } from '../ui/Note.tsx';
import { Unkept } from '../ui/Unkept.tsx';
import type { ContractForm } from './useContractForm.ts';

interface Props<S extends z.ZodObject> {
  form: ContractForm<S>;
  children: ReactNode;
  /** What stands on the button. */
  keep?: string;
  onRemove?: (() => void) | undefined;
  /** Beside the button. */
  more?: ReactNode;
}

/** Fields, what is wrong, what is not kept yet, and the button that keeps. */
export function FormBody<S extends z.ZodObject>({ form, children, keep = 'Keep', onRemove, more }: Props<S>) {
  return (
    <form onSubmit={form.onSubmit} noValidate>
      <Stack>
        {children}
        {form.elsewhere.map((says) => (
          <Note tone="bad" key={says} role="alert">
            {says}
          </Note>
        ))}
        <Group>
          <Button type="submit">{keep}</Button>
          {more}
          {onRemove && (
            <Anchor component="button" type="button" c="var(--tomato)" onClick={onRemove}>
              Remove
            </Anchor>
          )}
        </Group>
        {form.draft && <Unkept draft={form.draft} initial={form.initial} />}
      </Stack>
    </form>
  );
}

/** A form in a sheet. Closed without keeping it stays half made. */
export function FormSheet<S extends z.ZodObject>({ title, onClose, ...body }: Props<S> & { title: string; onClose: () => void }) {
  return (
    <Modal opened onClose={onClose} title={title} size={660} closeButtonProps={{ 'aria-label': 'Close' }}>
      <FormBody {...body} />
    </Modal>
  );
}
