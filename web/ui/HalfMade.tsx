import { Anchor, Button, Group, Text } from '@mantine/core';
import { Link } from 'react-router';
import { draftDropped, type Draft, type DraftKind } from '../sync/draftsSlice.ts';
import { useAppDispatch, useAppSelector } from '../sync/store.ts';
import { shown } from '../sync/toastSlice.ts';
import { Note } from './Note.tsx';

/** What was begun on this device and not kept yet: gone on with, or put aside. */
export function HalfMade({ kinds, only }: { kinds?: readonly DraftKind[]; /** Of these only. */ only?: (d: Draft) => boolean }) {
  const dispatch = useAppDispatch();
  const drafts = useAppSelector((s) => s.drafts.byKey);
  const list = Object.entries(drafts).filter(([, d]) => (kinds?.includes(d.kind) ?? true) && (only?.(d) ?? true));
  if (list.length === 0) return null;
  const aside = (key: string, d: Draft): void => {
    dispatch(draftDropped(key));
    dispatch(shown({ text: `${d.name} is put aside`, undo: { kind: 'draft', key, draft: d } }));
  };
  return (
    <Note mb={14} role="status">
      {list.map(([key, d]) => (
        <Group key={key}>
          <Text className="grow" span inherit>
            <b>{d.name}</b> is half made, on this device only.
          </Text>
          <Anchor component="button" type="button" onClick={() => aside(key, d)} aria-label={`Put ${d.name} aside`}>
            put aside
          </Anchor>
          <Button component={Link} variant="outline" size="sm" to={d.path}>
            Go on
          </Button>
        </Group>
      ))}
    </Note>
  );
}
