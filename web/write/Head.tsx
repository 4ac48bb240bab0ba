import { Button, Group, Text, TextInput } from '@mantine/core';
import { memo } from 'react';
import type { Kind } from '#core/contract';
import { KindMark } from '../draw/KindMark.tsx';
import type { Put } from './Beside.tsx';

/** The name, what it makes, and what can be done; not drawn anew for a letter in a line. */
export const Head = memo(function Head({
  name,
  kind,
  makes,
  guessed,
  isNew,
  good,
  plannable,
  busy,
  onUndo,
  onRedo,
  acts,
}: {
  name: string;
  kind: Kind;
  makes: string;
  guessed: boolean;
  isNew: boolean;
  good: boolean;
  plannable: boolean;
  busy: boolean;
  onUndo: (() => void) | undefined;
  onRedo: (() => void) | undefined;
  acts: { put: Put; paste: () => void; keep: (plan: boolean) => void };
}) {
  return (
    <Group align="flex-end" gap={16} mb={14}>
      <Group wrap="nowrap" gap={12} className="grow" miw={280}>
        <KindMark kind={kind} size={34} />
        <div className="grow">
          <TextInput
            size="xl"
            aria-label="Name of the recipe"
            placeholder="Name of the recipe"
            autoFocus={isNew && name === ''}
            value={name}
            maxLength={120}
            onChange={(e) => acts.put({ name: e.currentTarget.value }, 'name')}
          />
          <Text c="dimmed" mt={3}>
            {isNew ? 'Kept on this device as you go.' : 'A new revision; what was cooked by the old one keeps it.'} Makes <b>{makes}</b>
            {guessed ? ' (guessed)' : ''}.
          </Text>
        </div>
      </Group>
      <Group gap={8}>
        <Button variant="outline" disabled={!onUndo} onClick={onUndo}>
          Undo
        </Button>
        <Button variant="outline" disabled={!onRedo} onClick={onRedo}>
          Redo
        </Button>
        <Button variant="outline" onClick={acts.paste}>
          Paste a recipe
        </Button>
        <Button variant={plannable && isNew ? 'outline' : 'filled'} disabled={!good || busy} onClick={() => acts.keep(false)}>
          Keep
        </Button>
        {isNew && (
          <Button disabled={!plannable || busy} onClick={() => acts.keep(true)}>
            Keep and plan it
          </Button>
        )}
      </Group>
    </Group>
  );
});
