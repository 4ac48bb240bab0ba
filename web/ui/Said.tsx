import { Text } from '@mantine/core';
import type { ReactNode } from 'react';
import { Note } from './Note.tsx';

/** What was understood of what is typed, quietly; loud when it cannot be. */
export const Said = ({ bad, children }: { bad: boolean; children: ReactNode }) =>
  bad ? (
    <Note tone="bad" mt={8} role="status">
      {children}
    </Note>
  ) : (
    <Text c="dimmed" fz={15} mt={8} role="status">
      {children}
    </Text>
  );
