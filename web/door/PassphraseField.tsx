import { Button, Group, Text, TextInput } from '@mantine/core';
import { useState } from 'react';
import { useSuggestPassphraseMutation } from '../sync/api.ts';

/** A new passphrase, readable while it is chosen; five words nobody has chosen are one tap away. */
export function PassphraseField({
  value,
  onChange,
  error,
}: {
  value: string;
  onChange: (text: string) => void;
  error?: string | undefined;
}) {
  const [suggest] = useSuggestPassphraseMutation();
  const [shown, setShown] = useState(true);
  const make = async (): Promise<void> => {
    const { data } = await suggest();
    if (!data) return;
    setShown(true);
    onChange(data.passphrase);
  };
  return (
    <div>
      <Group align="flex-end">
        <TextInput
          className="grow"
          miw={220}
          label="Passphrase"
          type={shown ? 'text' : 'password'}
          autoComplete="new-password"
          autoCapitalize="none"
          spellCheck={false}
          value={value}
          error={error}
          onChange={(e) => onChange(e.currentTarget.value)}
        />
        <Button variant="outline" onClick={() => void make()}>
          Make one up
        </Button>
        <Button variant="outline" aria-pressed={shown} onClick={() => setShown(!shown)}>
          {shown ? 'Hide it' : 'Show it'}
        </Button>
      </Group>
      <Text c="dimmed" fz={15} mt={6}>
        Twelve letters or more; spaces count. Write it down where the household finds it: it can be set anew here, but not read again.
      </Text>
    </div>
  );
}
