import { Anchor, Button, Group, Text } from '@mantine/core';
import { useState } from 'react';
import { api, useLeaveMutation } from '../sync/api.ts';
import { forgetHousehold } from '../sync/forget.ts';
import { shut } from '../sync/outboxSlice.ts';
import { useAppDispatch, useAppSelector } from '../sync/store.ts';
import { Asks } from '../ui/Asks.tsx';

/** This device leaves by itself: given away, lent, or not wanted here any longer. */
export function Leave() {
  const dispatch = useAppDispatch();
  const [leave] = useLeaveMutation();
  const [asked, setAsked] = useState(false);
  const waiting = useAppSelector((s) => s.outbox.pending.length);
  const go = async (): Promise<void> => {
    const said = await leave();
    if (said.error) return;
    await forgetHousehold(dispatch);
    dispatch(api.util.invalidateTags(['World']));
    dispatch(shut());
  };
  return (
    <>
      <Group>
        <Anchor component="button" type="button" c="var(--tomato)" onClick={() => setAsked(true)}>
          Take this device out
        </Anchor>
      </Group>
      {asked && (
        <Asks title="Take this device out?" onLeave={() => setAsked(false)}>
          <Text mb={12}>
            It forgets the household and is asked for the passphrase the next time.{' '}
            {waiting > 0 ? 'What waits on it is not sent yet and stays on it.' : 'Nothing waits on it.'}
          </Text>
          <Button color="tomato" onClick={() => void go()}>
            Take it out
          </Button>
        </Asks>
      )}
    </>
  );
}
