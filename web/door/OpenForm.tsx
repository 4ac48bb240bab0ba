import { Button, Group, Stack, Text, TextInput } from '@mantine/core';
import { useState, type FormEvent } from 'react';
import { homeNameSchema, passphraseSchema, type HomeAnswer } from '#core/contract';
import { Note } from '../ui/Note.tsx';
import { PassphraseField } from './PassphraseField.tsx';
import { useChangeHome } from './useHome.ts';

const wrong = {
  called: 'Small letters, digits and single dashes, three or more, such as our-kitchen',
  passphrase: 'Twelve letters or more',
} as const;

/** Opens the household to its home network: what it is called there, and what lets devices in. */
export function OpenForm({ home }: { home: HomeAnswer }) {
  const { change, busy, problem } = useChangeHome();
  const [called, setCalled] = useState(home.name);
  const [passphrase, setPassphrase] = useState('');
  const [tried, setTried] = useState(false);
  const needs = !home.hasPassphrase;
  const errors = {
    called: homeNameSchema.safeParse(called).success ? undefined : wrong.called,
    passphrase: !needs || passphraseSchema.safeParse(passphrase).success ? undefined : wrong.passphrase,
  };
  const open = (e: FormEvent): void => {
    e.preventDefault();
    setTried(true);
    if (!errors.called && !errors.passphrase) void change('open', { name: called, ...(needs && { passphrase }) });
  };
  return (
    <form onSubmit={open} noValidate>
      <Stack>
        <TextInput
          label="What phones find it by"
          maw={340}
          rightSection={<Text c="dimmed">.local</Text>}
          rightSectionWidth={58}
          autoCapitalize="none"
          spellCheck={false}
          value={called}
          error={tried && errors.called}
          onChange={(e) => setCalled(e.currentTarget.value.trim().toLowerCase())}
        />
        {needs && <PassphraseField value={passphrase} onChange={setPassphrase} error={tried ? errors.passphrase : undefined} />}
        {problem && (
          <Note tone="bad" role="alert">
            {problem.message}
          </Note>
        )}
        <Group>
          <Button type="submit" loading={busy}>
            Open to the home network
          </Button>
        </Group>
      </Stack>
    </form>
  );
}
