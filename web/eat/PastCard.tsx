import { Box, Button, Card, Text, Title } from '@mantine/core';
import { Link } from 'react-router';
import { bin } from '#core/commands';
import type { Kind } from '#core/contract';
import { sayNear } from '#core/kitchen';
import { useCommands } from '../sync/commands.ts';
import { KindMark } from '../draw/KindMark.tsx';
import { amountOf } from '../ui/packWords.ts';
import { Rows } from '../ui/Rows.tsx';

/** A pack past its day in the fridge. */
export interface PastPack {
  packId: string;
  code: string;
  name: string;
  kind: Kind;
  left: number;
  seen: string;
  eatBy: string;
}

/** What went past its day in the fridge: binned, or eaten? Until it is said it counts as neither, and as no dinner. */
export function PastCard({ packs, today }: { packs: readonly PastPack[]; today: string }) {
  const { log } = useCommands();
  if (packs.length === 0) return null;
  return (
    <Card mb={16} aria-label="Past their day" data-tone="tomato">
      <Title order={2}>{packs.length === 1 ? 'Binned, or eaten?' : 'Were these binned, or eaten?'}</Title>
      <Rows>
        {packs.map((p) => (
          <li key={p.packId}>
            <KindMark kind={p.kind} size={24} />
            <Box className="grow">
              <Link className="main" to={`/p/${p.code}`}>
                {p.name}, {amountOf(p)}
              </Link>
              <Text component="div" size="xs" c="dimmed">
                to be eaten by {sayNear(p.eatBy, today)}, out of the freezer. It counts as no dinner any more.
              </Text>
            </Box>
            <Button size="sm" onClick={() => void log([bin(p, p.left, 'past its day in the fridge')], `${p.name} is binned`)}>
              Binned
            </Button>
            <Button component={Link} variant="outline" size="sm" to={`/eat?log=${p.packId}`}>
              Eaten
            </Button>
          </li>
        ))}
      </Rows>
    </Card>
  );
}
