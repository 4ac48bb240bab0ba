import { Button, Group, Text } from '@mantine/core';
import { useState } from 'react';
import { useDoorQuery } from '../sync/api.ts';
import { goOver } from '../sync/carry.ts';
import { useAppSelector } from '../sync/store.ts';
import { Note } from '../ui/Note.tsx';

/** The household has another name: what is on this device goes over with one tap, once all that waits is sent. */
export default function Moved() {
  const { data: door } = useDoorQuery();
  const waiting = useAppSelector((s) => s.outbox.pending.length);
  const [problem, setProblem] = useState<string>();
  const [going, setGoing] = useState(false);
  if (door?.moved === undefined) return null;
  const go = async (): Promise<void> => {
    setGoing(true);
    try {
      await goOver();
    } catch (error) {
      setGoing(false);
      setProblem(error instanceof Error ? error.message : 'Tambo did not answer. Try again.');
    }
  };
  return (
    <Note tone="warn" m={{ base: '10px 14px 0', sm: '12px 24px 0' }} role="status">
      <Group wrap="nowrap">
        <Text className="grow" span inherit>
          <b>This kitchen has another name now.</b>{' '}
          {problem ??
            (waiting > 0
              ? 'What waits on this device is sent first.'
              : 'What is half made here goes along, and the passphrase is not asked again. Put the new one on the home screen.')}
        </Text>
        <Button size="sm" loading={going} disabled={waiting > 0} onClick={() => void go()}>
          Go over
        </Button>
      </Group>
    </Note>
  );
}
