import { Anchor, Button, Card, Group, Text, TextInput, Title } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { bin } from '#core/commands';
import { countOf, sayPortions } from '#core/kitchen';
import { portionName } from '#core/session';
import type { PackAnswer } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { useOnce } from '../ui/useOnce.ts';

/** The other packs of its lot, and the whole lot withdrawn in one act when something was wrong with all of it. */
export function LotCard({ data }: { data: PackAnswer }) {
  const { log } = useCommands();
  const { busy, once } = useOnce();
  const [asking, setAsking] = useState(false);
  const [reason, setReason] = useState('');
  const { lot, pack } = data;
  if (lot.length < 2) return null;
  const left = lot.reduce((s, p) => s + p.left, 0);
  const withdraw = async (): Promise<void> => {
    await log(
      lot.map((p) => bin(p, p.left, reason.trim())),
      `${countOf(lot.length, 'pack')} of ${pack.name} are withdrawn`,
    );
    setAsking(false);
  };
  return (
    <Card aria-label="Its lot">
      <Title order={2}>Its lot</Title>
      <Text c="dimmed" mb={8}>
        {countOf(lot.length, 'pack')} of one pot, {sayPortions(left)} {portionName(pack.kind, left)}.
      </Text>
      <Group gap={12} mb={8}>
        {lot.map((p) => (
          <Anchor component={Link} key={p.packId} to={`/p/${p.code}`} fw={p.packId === pack.packId ? 700 : undefined}>
            {p.code}
          </Anchor>
        ))}
      </Group>
      {asking ? (
        <Group>
          <TextInput
            className="grow"
            data-autofocus
            aria-label="Why the lot is withdrawn"
            placeholder="not cooled in time"
            maxLength={200}
            value={reason}
            onChange={(e) => setReason(e.currentTarget.value)}
          />
          <Button color="tomato" disabled={busy || reason.trim() === ''} onClick={() => once(withdraw)}>
            Bin all {lot.length}
          </Button>
          <Button variant="outline" onClick={() => setAsking(false)}>
            Leave it
          </Button>
        </Group>
      ) : (
        <Button variant="outline" onClick={() => setAsking(true)}>
          Withdraw the whole lot
        </Button>
      )}
    </Card>
  );
}
