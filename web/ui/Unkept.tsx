import { Button, Group, Text } from '@mantine/core';
import type { DraftRun } from '../sync/useDraft.ts';
import { Note } from './Note.tsx';

/** What was changed and is not kept yet, said in one line, with a step back, a step forward and the way out. */
export function Unkept<T>({ draft, initial }: { draft: DraftRun<T>; initial: T }) {
  const changed = draft.dirty && JSON.stringify(draft.value) !== JSON.stringify(initial);
  if (!changed && !draft.undo && !draft.redo) return null;
  return (
    <Note mb={14} role="status">
      <Group>
        <Text className="grow" span inherit>
          {changed
            ? draft.restored
              ? 'You left this half made. It is as you left it, on this device only, until you keep it.'
              : 'Not kept yet: it waits on this device, whatever happens to this page.'
            : 'As it was.'}
        </Text>
        <Button variant="outline" size="sm" disabled={!draft.undo} onClick={draft.undo}>
          Step back
        </Button>
        <Button variant="outline" size="sm" disabled={!draft.redo} onClick={draft.redo}>
          Step forward
        </Button>
        {changed && (
          <Button variant="outline" size="sm" onClick={() => draft.edit(initial)}>
            As it was before
          </Button>
        )}
      </Group>
    </Note>
  );
}
