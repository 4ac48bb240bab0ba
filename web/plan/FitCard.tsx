import { Box, Card, Group, Text, Title } from '@mantine/core';
import { clockPlus, sayMinutes, sayPortions } from '#core/kitchen';
import type { SessionParts } from '#core/queries';
import { Why } from '../ui/ui.tsx';
import { useMeasures } from '../sync/measures.ts';
import { Note } from '../ui/Note.tsx';
import { Bar } from '../ui/Bar.tsx';

/** Whether what is planned fits: containers, freezer, hours, pots. */
export function FitCard({ comesTo, busy, startAt }: { comesTo: SessionParts['draft'] | undefined; busy: boolean; startAt: string }) {
  const { sayVolume } = useMeasures();
  return (
    <Card aria-label="Does it fit" aria-busy={busy}>
      <Title order={2}>
        {!comesTo || comesTo.fit.rows.length === 0 ? 'Does it fit?' : comesTo.fit.fits ? 'It fits' : 'It does not fit yet'}
      </Title>
      {!comesTo || comesTo.fit.rows.length === 0 ? (
        <Text inherit c="dimmed">
          {busy
            ? 'Containers, freezer room and hours are being looked at…'
            : 'Pick a dish: containers, freezer room and hours are checked as you type.'}
        </Text>
      ) : (
        comesTo.fit.rows.map((r) => {
          const share = r.have > 0 ? r.need / r.have : r.need > 0 ? 2 : 0;
          const say = (n: number): string =>
            r.unit === 'ml'
              ? sayVolume(Math.round(n / 100) * 100)
              : r.unit === 'min'
                ? sayMinutes(n)
                : r.unit === 'portion'
                  ? sayPortions(n)
                  : String(n);
          return (
            <Box mb={12} key={r.id}>
              <Group wrap="nowrap" justify="space-between">
                <span>{r.name}</span>
                <span>
                  <b>{say(r.need)}</b>{' '}
                  <Text span inherit c="dimmed">
                    of {say(r.have)}
                  </Text>{' '}
                  <Why label={r.name}>{r.says}.</Why>
                </span>
              </Group>
              <Bar
                label={`${r.name}: ${Math.round(share * 100)} %`}
                share={share}
                tone={!r.fits ? 'tomato' : share > 0.85 ? 'saffron' : 'rim'}
              />
              {!r.fits && (
                <Note tone="bad" mt={6}>
                  {r.says} Ways out: {r.waysOut.join('; ')}.
                </Note>
              )}
            </Box>
          );
        })
      )}
      {comesTo?.fit.binding && <Text fz={15}>{comesTo.fit.binding}</Text>}
      {comesTo && comesTo.makespanMin > 0 && (
        <Text size="xs" c="dimmed" mt={6}>
          {comesTo.promise && sayPromise(comesTo.promise, startAt)} No order of work ends before {sayMinutes(comesTo.boundMin)}.
        </Text>
      )}
    </Card>
  );
}

/** When a session that begins at a time is likely over. */
function sayPromise({ likelyMin, lateMin, sessions }: NonNullable<SessionParts['draft']['promise']>, startAt: string): string {
  const late = lateMin > likelyMin ? `, four times in five before ${clockPlus(startAt, lateMin)}` : '';
  return `Ends about ${clockPlus(startAt, likelyMin)}${late}${sessions < 3 ? ' (a guess, until three sessions were timed)' : ' at your own pace'}.`;
}
