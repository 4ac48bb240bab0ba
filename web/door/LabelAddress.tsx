import { Button, Group, Text } from '@mantine/core';
import type { Household } from '#core/contract';
import { useCommands } from '../sync/commands.ts';
import { Note } from '../ui/Note.tsx';

/** Lids printed from now on open on the phone that reads them, where their code has the household's address in it. */
export function LabelAddress({ household, address }: { household: Household; address: string }) {
  const { write } = useCommands();
  if (household.address === address) return null;
  return (
    <Note>
      <Group wrap="nowrap">
        <Text className="grow" span inherit>
          Codes on lids {household.address ? `open ${household.address}` : 'hold no address yet'}. With {address} in it any phone’s camera
          opens the pack.
        </Text>
        <Button
          variant="outline"
          size="sm"
          onClick={() =>
            void write(
              [{ table: 'household', id: household.id, data: { ...household, address }, was: household }],
              'Lids open this kitchen from now on',
            )
          }
        >
          Print it on lids
        </Button>
      </Group>
    </Note>
  );
}
