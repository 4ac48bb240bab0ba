import { Anchor, Button, Group, Stack, Text, TextInput } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import { homeNameSchema, passphraseSchema, type HomeAnswer } from '#core/contract';
import { Asks } from '../ui/Asks.tsx';
import { Note } from '../ui/Note.tsx';
import { PassphraseField } from './PassphraseField.tsx';
import { useChangeHome } from './useHome.ts';

type Asked = 'name' | 'passphrase' | 'shut';

/** One change, asked about first, with what it breaks. */
function Change({
  title,
  says,
  ready,
  button,
  path,
  body,
  onLeave,
  children,
}: {
  title: string;
  says: string;
  ready: boolean;
  button: string;
  path: string;
  body?: object;
  onLeave: () => void;
  children?: ReactNode;
}) {
  const { change, busy, problem } = useChangeHome();
  return (
    <Asks title={title} onLeave={onLeave}>
      <Stack>
        <Text>{says}</Text>
        {children}
        {problem && (
          <Note tone="bad" role="alert">
            {problem.message}
          </Note>
        )}
        <Group>
          <Button disabled={!ready} loading={busy} onClick={() => void change(path, body).then((done) => done && onLeave())}>
            {button}
          </Button>
        </Group>
      </Stack>
    </Asks>
  );
}

/** Another name, another passphrase, asked here too, shut: each says what it breaks. */
export function HomeSettings({ home }: { home: HomeAnswer }) {
  const { change } = useChangeHome();
  const [asked, setAsked] = useState<Asked>();
  const [called, setCalled] = useState(home.name);
  const [passphrase, setPassphrase] = useState('');
  const leave = (): void => {
    setAsked(undefined);
    setPassphrase('');
    setCalled(home.name);
  };
  return (
    <>
      <Group gap={8} className="chips" role="group" aria-label="Passphrase at this computer">
        <Button variant="chip" aria-pressed={!home.askHere} onClick={() => void change('ask-here', { on: false })}>
          This computer needs no passphrase
        </Button>
        <Button variant="chip" aria-pressed={home.askHere} onClick={() => void change('ask-here', { on: true })}>
          It is asked too
        </Button>
      </Group>
      <Group gap={18}>
        <Anchor component="button" type="button" onClick={() => setAsked('name')}>
          Another name
        </Anchor>
        <Anchor component="button" type="button" onClick={() => setAsked('passphrase')}>
          Another passphrase
        </Anchor>
        <Anchor component="button" type="button" c="var(--tomato)" onClick={() => setAsked('shut')}>
          Shut it to the home network
        </Anchor>
      </Group>
      {asked === 'name' && (
        <Change
          title="Another name for this kitchen"
          says={`Everything on a phone belongs to the name it was opened by: its icon, what waits on it, and the codes on lids printed with ${home.name}.local. That name still answers for 30 days; a phone that opens it is taken over with all that is on it by one tap. Lids are still found by their five signs.`}
          ready={homeNameSchema.safeParse(called).success && called !== home.name}
          button="Take the new name"
          path="name"
          body={{ name: called }}
          onLeave={leave}
        >
          <TextInput
            label="What phones find it by"
            rightSection={<Text c="dimmed">.local</Text>}
            rightSectionWidth={58}
            value={called}
            onChange={(e) => setCalled(e.currentTarget.value.trim().toLowerCase())}
          />
        </Change>
      )}
      {asked === 'passphrase' && (
        <Change
          title="Another passphrase"
          says="Every device is put out and asks for the new one. What waits on a device stays there and is sent once it is in."
          ready={passphraseSchema.safeParse(passphrase).success}
          button="Take the new passphrase"
          path="passphrase"
          body={{ passphrase }}
          onLeave={leave}
        >
          <PassphraseField value={passphrase} onChange={setPassphrase} />
        </Change>
      )}
      {asked === 'shut' && (
        <Change
          title="Shut it to the home network?"
          says="Phones and tablets no longer reach it and keep what is entered on them until it is open again. They stay trusted and known."
          ready
          button="Shut it"
          path="shut"
          onLeave={leave}
        />
      )}
    </>
  );
}
