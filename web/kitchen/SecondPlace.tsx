import { Button, Group, Text, Title } from '@mantine/core';
import { useState } from 'react';
import { dayOf, sayDayYear } from '#core/kitchen';
import type { AwayAnswer } from '#core/queries';
import { sayError, useSecondPlaceMutation } from '../sync/api.ts';
import { Field } from '../form/fields.tsx';
import { Note } from '../ui/Note.tsx';

/** Where daily copies are brought besides: another disk, a stick. */
export function SecondPlace({ away, zone }: { away: AwayAnswer; zone: string }) {
  const [folder, setFolder] = useState(away.folder ?? '');
  const [keep, { isLoading: busy, error }] = useSecondPlaceMutation();
  const problem = error && sayError(error, 'Nothing was changed.');
  const day = (at: string | undefined): string => (at === undefined ? '' : sayDayYear(dayOf(at, zone)));
  return (
    <section aria-label="A second place">
      <Title order={3} mb={4}>
        A second place
      </Title>
      <Text c="dimmed" fz={15}>
        A folder on another disk or a stick: each daily copy is brought there too, and read back.
        {away.broughtAt && ` The last came there on ${day(away.broughtAt)}.`}
        {away.takenAt && ` One was taken away by hand on ${day(away.takenAt)}.`}
      </Text>
      {away.problem && (
        <Note tone="warn" mt={8} role="status">
          The last copy did not reach {away.folder}: {away.problem}. The copies kept here are whole.
        </Note>
      )}
      <Group
        component="form"
        align="flex-end"
        mt={8}
        onSubmit={(e) => {
          e.preventDefault();
          void keep(folder.trim());
        }}
      >
        <Field label="Folder" value={folder} onChange={setFolder} />
        <Button variant="outline" type="submit" disabled={busy || folder.trim() === (away.folder ?? '')}>
          {folder.trim() === '' && away.folder ? 'No second place' : 'Bring copies there'}
        </Button>
      </Group>
      {problem && (
        <Note tone="bad" mt={8} role="alert">
          {problem.message}
          {problem.refusals[0] && ` Expected ${problem.refusals[0].expected}.`}
        </Note>
      )}
    </section>
  );
}
