import { Anchor, Button, Card, Group, Stack, Text, Title } from '@mantine/core';
import type { HomeAnswer, Household } from '#core/contract';
import { countOf, dayOf, sayDayYear } from '#core/kitchen';
import { useHomeQuery } from '../sync/api.ts';
import { now } from '../sync/clock.ts';
import { Note } from '../ui/Note.tsx';
import { AddPhone } from './AddPhone.tsx';
import { Devices } from './Devices.tsx';
import { HelperLinks } from './HelperLinks.tsx';
import { HomeSettings } from './HomeSettings.tsx';
import { LabelAddress } from './LabelAddress.tsx';
import { Leave } from './Leave.tsx';
import { OpenForm } from './OpenForm.tsx';
import { useChangeHome } from './useHome.ts';

/** Devices come and go while this is looked at. */
const lookMs = 5000;

/** How the household stands open to its home network: off until asked for; who is in, and out. */
export function HomeCard({ household }: { household: Household }) {
  const zone = household.timeZone;
  const { data: home } = useHomeQuery(undefined, { pollingInterval: lookMs, skipPollingIfUnfocused: true });
  const { change, busy, problem } = useChangeHome();
  if (!home)
    return (
      <Card maw={860} mt={14} aria-label="Home network">
        <Title order={2}>Home network</Title>
        <Text c="dimmed">Who is in is known at the computer; it does not answer just now.</Text>
      </Card>
    );
  const here = home.via === 'here';
  const today = dayOf(now(), zone);
  const [named] = home.urls;
  return (
    <Stack mt={14} maw={860}>
      <Card aria-label="Home network">
        <Title order={2} mb={6}>
          Home network
        </Title>
        {[...home.trouble, ...(problem ? [problem.message] : [])].map((says) => (
          <Note tone="warn" key={says} role="status" mb={10}>
            {says}
          </Note>
        ))}
        {home.open ? (
          <Stack gap={16}>
            <Open home={home} zone={zone} />
            {home.wrongTries > 0 && (
              <Note tone="warn" role="status">
                <Group wrap="nowrap">
                  <Text className="grow" span inherit>
                    A wrong passphrase was typed {countOf(home.wrongTries, 'time')} within the hour; whoever typed it has to wait.
                  </Text>
                  {here && (
                    <Button variant="outline" size="sm" onClick={() => void change('forgive')}>
                      That was us
                    </Button>
                  )}
                </Group>
              </Note>
            )}
            <Devices home={home} change={change} zone={zone} today={today} />
            {here && named !== undefined && <LabelAddress household={household} address={named} />}
            {here ? <HomeSettings home={home} /> : <Leave />}
          </Stack>
        ) : (
          <>
            <Text mb={12}>
              Shut: Tambo answers on this computer only. Opened, phones and tablets in this home reach it, over https with a certificate
              made here, after they were given the passphrase. Nothing is reached from outside the home.
            </Text>
            {here && <OpenForm home={home} />}
          </>
        )}
      </Card>
      {here && home.open && (
        <>
          <Card aria-label="Add a phone or a tablet">
            <AddPhone home={home} change={change} busy={busy} zone={zone} />
          </Card>
          <Card aria-label="A helper for one evening">
            <Title order={2} mb={6}>
              A helper for one evening
            </Title>
            <HelperLinks home={home} change={change} zone={zone} today={today} />
          </Card>
        </>
      )}
    </Stack>
  );
}

/** Where it is found, and how long its names and its certificate go on. */
function Open({ home, zone }: { home: HomeAnswer; zone: string }) {
  const [named, ...byAddress] = home.urls;
  return (
    <Text>
      Open at {named !== undefined && <Anchor href={named}>{named}</Anchor>}
      {byAddress.length > 0 && ', where a name is not found at '}
      {byAddress.map((u, i) => (
        <span key={u}>
          {i > 0 && ' or '}
          <Anchor href={u}>{u}</Anchor>
        </span>
      ))}
      , to devices that know the passphrase. Its certificate renews itself
      {home.until !== undefined && ` before ${sayDayYear(dayOf(home.until, zone))}`}.
      {home.oldNames.map((o) => ` ${o.name}.local still answers until ${sayDayYear(dayOf(o.until, zone))}.`)}
    </Text>
  );
}
