import { Anchor, Box, Button, Group, Text, Title } from '@mantine/core';
import type { HomeAnswer } from '#core/contract';
import { clockOf } from '#core/kitchen';
import { Qr } from '../draw/Qr.tsx';
import { Words } from './Words.tsx';
import type { ChangeHome } from './useHome.ts';

/** How a phone comes to trust this household: a code that opens four steps on it, and words to be compared. */
export function AddPhone({ home, change, busy, zone }: { home: HomeAnswer; change: ChangeHome['change']; busy: boolean; zone: string }) {
  const [address] = home.urls;
  return (
    <>
      <Title order={2} mb={6}>
        Add a phone or a tablet
      </Title>
      {home.trust ? (
        <Group align="flex-start" gap={20}>
          <Qr text={home.trust.url} label={`Code for ${home.trust.url}`} />
          <Box flex={1} miw={240}>
            <Text mb={8}>
              Point its camera at this, or type <b>{home.trust.url}</b>. The page tells the rest in four steps; it is open until{' '}
              {clockOf(home.trust.until, zone)}.
            </Text>
            {home.fingerprint && (
              <>
                <Text mb={6}>It shows the same eight words as here. Other words: stop.</Text>
                <Words words={home.fingerprint.words} />
                <Text fz={15} c="dimmed" mt={8} style={{ overflowWrap: 'anywhere' }}>
                  Its own certificate page shows them as SHA-256 {home.fingerprint.hex}
                </Text>
              </>
            )}
            <Button variant="outline" mt={12} onClick={() => void change('trust', { on: false })}>
              Done, shut that page
            </Button>
          </Box>
        </Group>
      ) : (
        <>
          <Text mb={10}>
            Each trusts this kitchen once, in four steps, then opens{' '}
            {address ? <Anchor href={address}>{address}</Anchor> : 'it by its name'} and comes in with the passphrase.
          </Text>
          <Button loading={busy} onClick={() => void change('trust', { on: true })}>
            Show the steps
          </Button>
        </>
      )}
    </>
  );
}
