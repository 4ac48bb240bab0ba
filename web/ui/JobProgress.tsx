import { Box, Button, Group, Text } from '@mantine/core';
import type { JobRun } from '../sync/useJob.ts';
import { Note } from './Note.tsx';
import { Bar } from './Bar.tsx';

/** How far a long job has come, with a way to stop it, or why it did not work. */
export function JobProgress({ run }: { run: JobRun }) {
  if (run.error)
    return (
      <Note tone="bad" mt={12} role="alert">
        {run.error.message}
        {run.error.refusals.length > 0 && ` Expected ${run.error.refusals[0]?.expected ?? ''}, got ${run.error.refusals[0]?.got ?? ''}.`}
      </Note>
    );
  if (!run.running) return null;
  const says = run.job?.says ?? 'Starting';
  const share = run.job?.share ?? 0;
  return (
    <Group wrap="nowrap" mt={12} role="status">
      <Box className="grow">
        <Text component="div" size="xs" c="dimmed">
          {says}
        </Text>
        <Bar label={says} share={share} />
      </Box>
      <Button variant="outline" size="sm" onClick={run.stop}>
        Stop
      </Button>
    </Group>
  );
}
