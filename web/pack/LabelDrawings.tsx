import { Text } from '@mantine/core';
import { listOf } from '#core/kitchen';
import type { LabelResult } from '#core/pack';
import { LabelDrawing } from '../draw/LabelDrawing.tsx';
import { Note } from '../ui/Note.tsx';

/** The labels of one pack as they are printed: one, or two where what may never be left out needs them; signs that cannot be printed are named. */
export function LabelDrawings({ result }: { result: LabelResult }) {
  if (!result.ok) return <Note tone="bad">{result.needed}</Note>;
  return (
    <>
      {result.labels.map((label, i) => (
        <LabelDrawing key={i} label={label} width="100%" />
      ))}
      {result.labels.length > 1 && (
        <Text size="xs" c="dimmed">
          Two labels for this pack: what may never be left out does not fit on one. Stick both on.
        </Text>
      )}
      {result.missing.length > 0 && (
        <Note tone="warn">The label’s type has no {listOf(result.missing.map((m) => `“${m}”`))}: left out. Write it otherwise.</Note>
      )}
    </>
  );
}
