import { Box, Button, Group, NativeSelect, Text } from '@mantine/core';
import { useState } from 'react';
import type { HomeAnswer } from '#core/contract';
import { clockOf, sayDayYear } from '#core/kitchen';
import { Qr } from '../draw/Qr.tsx';
import { useSessionsQuery } from '../sync/api.ts';
import { Rows } from '../ui/Rows.tsx';
import type { ChangeHome } from './useHome.ts';

/** Links for one evening: a helper's phone sees the work of one session and ticks it off, without passphrase and without trust. */
export function HelperLinks({
  home,
  change,
  zone,
  today,
  only,
}: {
  home: HomeAnswer;
  change: ChangeHome['change'];
  zone: string;
  today: string;
  /** For this session, where it is asked for on its page. */
  only?: string;
}) {
  const sessions = (useSessionsQuery().data?.sessions ?? [])
    .filter((s) => s.day >= today || s.id === only)
    .toSorted((a, b) => a.day.localeCompare(b.day));
  const [chosen, setChosen] = useState<string>();
  const sessionId = only ?? chosen ?? sessions[0]?.id;
  const links = home.links.filter((l) => only === undefined || l.sessionId === only);
  return (
    <>
      <Text mb={10}>
        Whoever has the link sees the work of one session and ticks it off: no passphrase, nothing to install, nothing else of the
        household. It goes over the home network unencrypted, and ends at four in the morning.
      </Text>
      <Group align="flex-end">
        {!only && sessions.length > 0 && (
          <NativeSelect
            label="Session"
            data={sessions.map((s) => ({ value: s.id, label: `${s.name}, ${sayDayYear(s.day)}` }))}
            value={sessionId}
            onChange={(e) => setChosen(e.currentTarget.value)}
          />
        )}
        <Button disabled={sessionId === undefined} variant="outline" onClick={() => void change('links', { sessionId })}>
          Make a link
        </Button>
      </Group>
      <Rows aria-label="Helpers’ links">
        {links.map((l) => (
          <Group component="li" key={l.id} align="flex-start" py={10} gap={16}>
            {l.url && <Qr text={l.url} size={140} label={`Code of the link to ${l.session}`} />}
            <Box flex={1} miw={200}>
              <b>{l.session}</b>
              <Text>until {clockOf(l.until, zone)} in the night</Text>
              {l.url ? (
                <Text fz={15} c="dimmed" style={{ overflowWrap: 'anywhere' }}>
                  {l.url}
                </Text>
              ) : (
                <Text fz={15} c="dimmed">
                  Made before the last start: it still opens, but is not shown again. Make another to show one.
                </Text>
              )}
              <Button
                variant="outline"
                size="sm"
                mt={8}
                aria-label={`End the link to ${l.session}`}
                onClick={() => void change(`links/${encodeURIComponent(l.id)}/end`)}
              >
                End it
              </Button>
            </Box>
          </Group>
        ))}
      </Rows>
    </>
  );
}
