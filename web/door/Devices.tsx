import { Badge, Box, Button, Group, Text, Title } from '@mantine/core';
import { useState } from 'react';
import { clockOf, countOf, dayOf, sayDayYear } from '#core/kitchen';
import type { DoorDevice, HomeAnswer } from '#core/contract';
import { Asks } from '../ui/Asks.tsx';
import { Rows } from '../ui/Rows.tsx';
import type { ChangeHome } from './useHome.ts';

const sayAt = (at: string, zone: string, today: string): string =>
  dayOf(at, zone) === today ? `at ${clockOf(at, zone)}` : `on ${sayDayYear(dayOf(at, zone))}`;

/** What is known to wait on a device, in a sentence. */
function sayWaiting({ waiting, open, seen }: DoorDevice, zone: string, today: string): string {
  if (!waiting) return `it was here last ${sayAt(seen, zone, today)} and has not said what waits on it`;
  const what =
    waiting.count === 0 ? 'nothing waits on it' : `${countOf(waiting.count, 'entry')} ${waiting.count === 1 ? 'waits' : 'wait'} on it`;
  return open ? what : `${what} as of ${sayAt(waiting.at, zone, today)}; what it made since is on it alone`;
}

/** Who is in, and the way to put anybody out. */
export function Devices({ home, change, zone, today }: { home: HomeAnswer; change: ChangeHome['change']; zone: string; today: string }) {
  const [ending, setEnding] = useState<DoorDevice>();
  return (
    <Box component="section" aria-label="Devices">
      <Title order={3} mb={6}>
        {home.devices.length === 0 ? 'No device is in yet' : `${countOf(home.devices.length, 'device')} in`}
      </Title>
      {home.devices.length > 0 && (
        <Rows aria-label="Devices that are in">
          {home.devices.map((d) => (
            <Group component="li" key={d.id} wrap="nowrap" py={8}>
              <Box className="grow">
                <Group gap={8}>
                  <b>{d.name}</b>
                  <Text span inherit c="dimmed">
                    a {d.kind}, in since {sayDayYear(dayOf(d.since, zone))}
                  </Text>
                  {d.open && <Badge color="leaf">open now</Badge>}
                </Group>
                <Text fz={15} c={(d.waiting?.count ?? 0) > 0 ? 'var(--saffron)' : 'dimmed'}>
                  {sayWaiting(d, zone, today)}
                </Text>
              </Box>
              {home.via === 'here' && (
                <Button variant="outline" size="sm" aria-label={`Put ${d.name} out`} onClick={() => setEnding(d)}>
                  Put out
                </Button>
              )}
            </Group>
          ))}
        </Rows>
      )}
      {ending && (
        <Asks title={`Put ${ending.name} out?`} onLeave={() => setEnding(undefined)}>
          <Text mb={12}>
            It is asked for the passphrase again and forgets what it knew of the household the next time it is here. What it made and never
            sent stays on it: {sayWaiting(ending, zone, today)}. If it is lost, change the passphrase too, in case it was written on it.
          </Text>
          <Button
            color="tomato"
            onClick={() => {
              void change(`devices/${encodeURIComponent(ending.id)}/end`);
              setEnding(undefined);
            }}
          >
            Put it out
          </Button>
        </Asks>
      )}
    </Box>
  );
}
