import { Anchor, Box, Button, Card, Group, NativeSelect, Text, TextInput } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { planFor } from '#core/commands';
import { sayNear, sayWeekday } from '#core/kitchen';
import type { EatAnswer, PackBrief } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { DueTag, NotFor } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { amountOf, datedAs } from '../ui/packWords.ts';
import { Rows } from '../ui/Rows.tsx';

export const isDinner = (p: PackBrief): boolean => p.dinner;

export function EatFirst({ data, onLog }: { data: EatAnswer; onLog: (packId: string) => void }) {
  const { log } = useCommands();
  const [q, setQ] = useState('');
  const open = data.evenings.find(
    (e) =>
      e.quarters > 0 &&
      !(e.day === data.today && data.tonightLogged) &&
      e.packs.filter(isDinner).reduce((s, p) => s + p.left * 4, 0) < e.quarters,
  );
  const list = data.eatFirst.filter((p) => p.name.toLowerCase().includes(q.toLowerCase()) || p.code.toLowerCase() === q.toLowerCase());
  const put = (p: PackBrief, day: string): void =>
    void log(planFor([p], day), day ? `${p.name} is planned for ${sayNear(day, data.today)}` : `${p.name} is no longer planned`);
  return (
    <Card aria-label="Eat first">
      <Group justify="space-between" align="baseline" mb={8}>
        <h2>Eat first</h2>
        <TextInput
          w={170}
          type="search"
          placeholder="Name or code"
          aria-label="Filter eat first"
          value={q}
          onChange={(e) => setQ(e.currentTarget.value)}
        />
      </Group>
      {list.length === 0 ? (
        <Text inherit c="dimmed">
          {data.eatFirst.length === 0 ? 'Nothing frozen is left. Plan a session.' : 'Nothing of that name.'}
        </Text>
      ) : (
        <Rows style={{ maxHeight: 860, overflow: 'auto', paddingRight: 6 }} tabIndex={0} aria-label="Packs, the soonest due first">
          {list.map((p) => (
            <li key={p.packId}>
              <KindMark kind={p.kind} size={24} />
              <Box className="grow">
                <Link className="main" to={`/p/${p.code}`}>
                  {p.name}, {amountOf(p)}
                </Link>
                <Text component="div" size="xs" c="dimmed">
                  {datedAs(p)}, {p.code}
                </Text>
                <NotFor says={p.notFor} />
              </Box>
              {isDinner(p) && open && !p.planned && (
                <Button variant="outline" size="sm" onClick={() => put(p, open.day)}>
                  for {sayNear(open.day, data.today)}
                </Button>
              )}
              {isDinner(p) && (
                <NativeSelect
                  size="xs"
                  aria-label={`Evening for ${p.name} ${p.code}`}
                  value={p.planned?.day ?? ''}
                  onChange={(e) => put(p, e.currentTarget.value)}
                >
                  <option value="">evening</option>
                  {data.evenings.map((e) => (
                    <option key={e.day} value={e.day}>
                      {sayNear(e.day, data.today)}
                    </option>
                  ))}
                  {p.planned && !data.evenings.some((e) => e.day === p.planned?.day) && (
                    <option value={p.planned.day}>{sayWeekday(p.planned.day)}</option>
                  )}
                </NativeSelect>
              )}
              <Anchor
                component="button"
                size="xs"
                type="button"
                onClick={() => onLog(p.packId)}
                aria-label={`Log ${p.name} ${p.code} as eaten`}
              >
                eaten
              </Anchor>
              <DueTag due={p.due} />
            </li>
          ))}
        </Rows>
      )}
    </Card>
  );
}
