import { Kbd, Button, Card, Group, Text, Title } from '@mantine/core';
import type { Household } from '#core/contract';
import { useCommands } from '../sync/commands.ts';
import { ThemeChoice } from '../frame/ThemeChoice.tsx';
import { Columns } from '../ui/Columns.tsx';

/** How Tambo looks, sounds and listens on the device in hand. */
export function ThisDevice({ household }: { household: Household }) {
  const { write } = useCommands();
  const setKeys = (singleKeys: boolean): void =>
    void write(
      [{ table: 'household', id: household.id, data: { ...household, singleKeys }, was: household }],
      singleKeys ? 'Single letters are keys' : 'Single letters are switched off',
    );
  return (
    <Columns align="start" parts={[1, 1]}>
      <Card aria-label="Light or dark">
        <Title order={2}>Light or dark</Title>
        <ThemeChoice />
        <Text c="dimmed" mt={10} fz={15}>
          Kept on this device only. Labels and lists are always printed dark on white.
        </Text>
      </Card>
      <Card aria-label="Keys">
        <Title order={2}>Keys</Title>
        <Group gap={8} className="chips" role="group" aria-label="Single letters as keys">
          <Button variant="chip" aria-pressed={household.singleKeys} onClick={() => setKeys(true)}>
            Single letters work
          </Button>
          <Button variant="chip" aria-pressed={!household.singleKeys} onClick={() => setKeys(false)}>
            Off
          </Button>
        </Group>
        <Text c="dimmed" mt={10} fz={15}>
          Press <Kbd>?</Kbd> anywhere for the list. Switch them off if you speak to your device, or if a key does something by mistake.
        </Text>
      </Card>
    </Columns>
  );
}
