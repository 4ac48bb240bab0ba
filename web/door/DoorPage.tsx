import { Box, Button, Card, Group, Stack, Text, TextInput, Title } from '@mantine/core';
import { useEffect, useRef, useState, type FormEvent } from 'react';
import type { DeviceKind } from '#core/contract';
import { capital, countOf } from '#core/kitchen';
import { api, sayError, useComeInMutation, useDoorQuery } from '../sync/api.ts';
import { backAgain } from '../sync/baseQuery.ts';
import { device } from '../sync/device.ts';
import { forgetHousehold } from '../sync/forget.ts';
import { letIn } from '../sync/outboxSlice.ts';
import { useAppDispatch, useAppSelector } from '../sync/store.ts';
import { Note } from '../ui/Note.tsx';
import { Words } from './Words.tsx';

const kinds = ['phone', 'tablet', 'computer'] as const satisfies readonly DeviceKind[];

/** By the size of its screen and whether it has a finger on it. */
function kindHere(): DeviceKind {
  if (!window.matchMedia('(pointer: coarse)').matches) return 'computer';
  return Math.min(window.screen.width, window.screen.height) < 600 ? 'phone' : 'tablet';
}

const wereIn = {
  'by the computer': 'This device was put out at the computer. What it knew of the household is no longer on it.',
  'by time': 'This device was not here for a while, so it is asked again.',
} as const;

/** The household's door: a device that is not let in asks here. What was entered on it stays until it is. */
export function DoorPage() {
  const dispatch = useAppDispatch();
  const { pending, refused } = useAppSelector((s) => s.outbox);
  const waiting = pending.length + refused.length;
  const { data: door, error: away, refetch } = useDoorQuery(undefined, { refetchOnMountOrArgChange: true });
  const [ask, { isLoading, error }] = useComeInMutation();
  const [passphrase, setPassphrase] = useState('');
  const [kind, setKind] = useState<DeviceKind>(kindHere);
  const [name, setName] = useState('');
  const [shown, setShown] = useState(false);
  const ended = door?.ended;
  const forgotten = useRef(false);
  useEffect(() => {
    if (ended !== 'by the computer' || forgotten.current) return;
    forgotten.current = true;
    // the door itself was among what was known
    void forgetHousehold(dispatch).then(() => refetch());
  }, [ended, dispatch, refetch]);
  const isIn = door?.in === true;
  useEffect(() => {
    if (!isIn) return;
    dispatch(letIn());
    dispatch(api.util.invalidateTags(['World']));
    backAgain.dispatchEvent(new Event('back'));
  }, [isIn, dispatch]);
  const come = async (e: FormEvent): Promise<void> => {
    e.preventDefault();
    const said = await ask({ passphrase, device, kind, name: name.trim() || capital(kind) });
    if (!said.error) setPassphrase('');
    void refetch();
  };
  const problem = error ?? away;
  return (
    <Box component="main" p={{ base: 14, sm: 32 }} maw={560} mx="auto">
      <Card p={{ base: 18, sm: 26 }}>
        <Title order={1} mb={6}>
          Come in
        </Title>
        <Text mb={14}>
          {ended ? wereIn[ended] : 'This kitchen opens to devices that know its passphrase. Whoever set Tambo up has it.'}
        </Text>
        {waiting > 0 && (
          <Note tone="warn" mb={14} role="status">
            <b>{countOf(waiting, 'entry')}</b> made here {waiting === 1 ? 'waits' : 'wait'} on this device and{' '}
            {waiting === 1 ? 'is' : 'are'} sent as soon as it is in.
          </Note>
        )}
        <form onSubmit={(e) => void come(e)} noValidate>
          <Stack>
            <Group align="flex-end" wrap="nowrap">
              <TextInput
                className="grow"
                label="Passphrase"
                type={shown ? 'text' : 'password'}
                autoComplete="current-password"
                autoCapitalize="none"
                spellCheck={false}
                value={passphrase}
                onChange={(e) => setPassphrase(e.currentTarget.value)}
              />
              <Button variant="outline" aria-pressed={shown} onClick={() => setShown(!shown)}>
                {shown ? 'Hide it' : 'Show it'}
              </Button>
            </Group>
            <Group gap={8} className="chips" role="group" aria-label="What this is">
              {kinds.map((k) => (
                <Button variant="chip" key={k} aria-pressed={k === kind} onClick={() => setKind(k)}>
                  a {k}
                </Button>
              ))}
            </Group>
            <TextInput
              label="What it is called here"
              placeholder="phone by the fridge"
              maxLength={40}
              value={name}
              onChange={(e) => setName(e.currentTarget.value)}
            />
            {problem && (
              <Note tone="bad" role="alert">
                {sayError(problem, 'Try again once you are back on the home network.').message}
              </Note>
            )}
            <Group>
              <Button type="submit" size="lg" loading={isLoading} disabled={passphrase === ''}>
                Come in
              </Button>
            </Group>
          </Stack>
        </form>
      </Card>
      {door?.via === 'home' && door.words && (
        <Card mt={14}>
          <Title order={2} mb={6}>
            Is it the right kitchen?
          </Title>
          <Words words={door.words} />
          <Text c="dimmed" fz={15} mt={8}>
            The computer’s screen shows the same eight words under Kitchen, Household. Other words: do not type the passphrase.
          </Text>
        </Card>
      )}
    </Box>
  );
}
