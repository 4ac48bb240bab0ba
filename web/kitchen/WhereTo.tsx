import { Button, Group, Text } from '@mantine/core';
import { useState } from 'react';
import { putAway } from '#core/commands';
import type { Place } from '#core/contract';
import { countOf } from '#core/kitchen';
import type { PackBrief } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { SpotSelect, type Spot } from '../ui/SpotSelect.tsx';
import { Asks } from '../ui/Asks.tsx';
import { Note } from '../ui/Note.tsx';
import { useOnce } from '../ui/useOnce.ts';

/** Before a shelf or a freezer goes: where its packs go. Nothing is changed until that is said. */
export function WhereTo({
  packs,
  places,
  what,
  onDone,
  onLeave,
}: {
  packs: readonly PackBrief[];
  /** As they will be. */
  places: readonly Place[];
  /** What goes, in words. */
  what: string;
  onDone: () => void;
  onLeave: () => void;
}) {
  const { log } = useCommands();
  const { busy, once } = useOnce();
  const [spot, setSpot] = useState<Spot>();
  const move = async (): Promise<void> => {
    if (!spot) return;
    await log(putAway(packs, spot), `${countOf(packs.length, 'pack')} moved`);
    onDone();
  };
  return (
    <Asks title={`${countOf(packs.length, 'pack')} ${packs.length === 1 ? 'stands' : 'stand'} there`} onLeave={onLeave}>
      <Text mb={12}>{what} goes, and they need another shelf. Where do they go?</Text>
      <Group>
        <SpotSelect label="Where they go" prompt="Choose a shelf" places={places} spot={spot} onChoose={setSpot} />
        <Button disabled={!spot || busy} onClick={() => once(move)}>
          Move them and go on
        </Button>
      </Group>
      <Note mt={12}>If they are gone too, leave this and bin them, or say that they are not there.</Note>
    </Asks>
  );
}
