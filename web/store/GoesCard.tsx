import { Button, Group, TextInput } from '@mantine/core';
import { useState } from 'react';
import { bin, giveAway, lose } from '#core/commands';
import { sayPortions } from '#core/kitchen';
import { portionName } from '#core/session';
import type { PackBrief } from '#core/queries';
import type { PackState } from '#core/store';
import { numberOf } from '../form/fields.tsx';
import { useCommands } from '../sync/commands.ts';

/** All or some of a pack goes: binned with a reason, given to somebody, or not to be found. */
export function GoesCard({ pack, brief }: { pack: PackState; brief: PackBrief }) {
  const { log } = useCommands();
  const [reason, setReason] = useState('');
  const [typed, setTyped] = useState('');
  const some = typed.trim() === '' ? pack.left : numberOf(typed);
  const good = some !== undefined && some > 0 && some <= pack.left && Number.isInteger(some * 4);
  const says = good && some < pack.left ? `${sayPortions(some)} ${portionName(pack.kind, some)} of ${pack.name}` : pack.name;
  const part = good ? some : pack.left;
  return (
    <Group mt={12} align="flex-end">
      <TextInput
        w={110}
        label="How much"
        inputMode="decimal"
        placeholder={`all ${sayPortions(pack.left)}`}
        error={!good}
        value={typed}
        onChange={(e) => setTyped(e.currentTarget.value)}
      />
      <TextInput
        className="grow"
        label="Why, or to whom"
        aria-label="Reason for binning"
        placeholder="taste, freezer burn, the neighbour"
        value={reason}
        onChange={(e) => setReason(e.currentTarget.value)}
      />
      <Button variant="outline" disabled={!good} onClick={() => void log([bin(brief, part, reason)], `${says}: binned`)}>
        Bin it
      </Button>
      <Button
        variant="outline"
        disabled={!good}
        onClick={() => void log([giveAway(brief, part, reason || 'somebody')], `${says}: given away`)}
      >
        Give it away
      </Button>
      <Button variant="outline" onClick={() => void log([lose(brief)], `${pack.name} is not to be found`)}>
        Not there
      </Button>
    </Group>
  );
}
