import { Anchor, Box, Button, Card, Group, Stack, Text, Title } from '@mantine/core';
import { useState, type ReactNode } from 'react';
import type { TrustAnswer } from '#core/contract';
import { Words } from '../door/Words.tsx';
import { Note } from '../ui/Note.tsx';
import { useAsked } from './ask.ts';

type Make = 'android' | 'apple' | 'computer';

const makes: readonly (readonly [Make, string])[] = [
  ['apple', 'iPhone or iPad'],
  ['android', 'Android'],
  ['computer', 'a computer'],
];

/** What is most likely in hand. */
function makeHere(): Make {
  const { userAgent, maxTouchPoints } = navigator;
  // a tablet of that make says it is a desktop, but has fingers on it
  if (/iPhone|iPad/.test(userAgent) || (/Macintosh/.test(userAgent) && maxTouchPoints > 1)) return 'apple';
  return /Android/.test(userAgent) ? 'android' : 'computer';
}

/** How each takes the certificate, and how it gives it back. */
const ways: Record<Make, { file: string; take: ReactNode; trust: ReactNode; back: string }> = {
  apple: {
    file: '/tambo-home.mobileconfig',
    take: 'Allow the download. Then open Settings: “Profile Downloaded” stands near the top. Tap it and install it.',
    trust: 'In Settings > General > About > Certificate Trust Settings, switch it on for “Tambo of …”.',
    back: 'Settings > General > VPN & Device Management: remove the profile.',
  },
  android: {
    file: '/tambo-home.crt',
    take: 'Keep the file. Then open Settings and search for “CA certificate”; it stands under Security, Encryption & credentials, Install a certificate.',
    trust: 'Choose CA certificate, go on past the warning, which is meant for strangers’ certificates, and pick tambo-home.crt.',
    back: 'Settings > Security > Encryption & credentials > Trusted credentials > User: tap it, then Remove.',
  },
  computer: {
    file: '/tambo-home.crt',
    take: 'Keep the file and open it, or open the browser’s settings and search for “certificates”.',
    trust: 'Put it among the authorities you trust, for websites only.',
    back: 'Remove “Tambo of …” in the same place.',
  },
};

const Step = ({ n, title, children }: { n: number; title: string; children: ReactNode }) => (
  <Card component="li" aria-label={`Step ${n}`}>
    <Title order={2} mb={6}>
      {n}. {title}
    </Title>
    {children}
  </Card>
);

/** Four steps by which a phone comes to trust the household; each says what is seen when it went right. */
export function TrustPage() {
  const { data, problem, again } = useAsked<TrustAnswer>('/api/trust');
  const [make, setMake] = useState<Make>(makeHere);
  if (!data)
    return (
      <Box component="main" p={{ base: 14, sm: 32 }} maw={680} mx="auto">
        {problem !== undefined && (
          <Card p={24}>
            <Title order={1} mb={8}>
              Not now
            </Title>
            <Text mb={14}>{problem}</Text>
            <Button onClick={again}>Try again</Button>
          </Card>
        )}
      </Box>
    );
  const way = ways[make];
  const [address] = data.urls;
  return (
    <Box component="main" p={{ base: 14, sm: 32 }} maw={680} mx="auto">
      <Title order={1}>Let this device know your kitchen</Title>
      <Text mt={6} mb={14}>
        Once, about two minutes. From then on it opens <b>{data.name}</b> without a warning, works without a connection, reads codes with
        its camera and keeps its screen on while you cook.
      </Text>
      <Group gap={8} className="chips" mb={14} role="group" aria-label="What this is">
        {makes.map(([id, says]) => (
          <Button variant="chip" key={id} aria-pressed={id === make} onClick={() => setMake(id)}>
            {says}
          </Button>
        ))}
      </Group>
      <Stack component="ol" m={0} p={0}>
        <Step n={1} title="See that it is yours">
          <Words words={data.words} />
          <Text mt={8}>The computer shows the same eight words. Other words: stop, somebody else answers.</Text>
        </Step>
        <Step n={2} title="Take its certificate">
          <Text mb={10}>{way.take}</Text>
          <Button component="a" href={way.file} download={make === 'apple' ? undefined : true}>
            Take the certificate
          </Button>
        </Step>
        <Step n={3} title="Trust it">
          <Text>{way.trust}</Text>
          <Text mt={8} c="dimmed" fz={15} style={{ overflowWrap: 'anywhere' }}>
            Before you do: this page came unencrypted, so its words alone prove little. The certificate’s own page in the settings shows
            SHA-256 {data.hex}; it is the same on the computer’s screen.
          </Text>
        </Step>
        <Step n={4} title="Open your kitchen">
          <Text mb={10}>No warning may show now. Come in with the passphrase, then put it on the home screen from the browser’s menu.</Text>
          {address !== undefined && (
            <Button component="a" href={address}>
              Open {data.name}
            </Button>
          )}
          {data.urls.length > 1 && (
            <Text mt={8} fz={15} c="dimmed">
              Not found? Some networks do not pass names on: open{' '}
              {data.urls.slice(1).map((u, i) => (
                <span key={u}>
                  {i > 0 && ' or '}
                  <Anchor href={u}>{u}</Anchor>
                </span>
              ))}{' '}
              instead. Keep to one of them: what waits on this device belongs to the address it was made at.
            </Text>
          )}
        </Step>
      </Stack>
      <Note mt={14}>
        <b>What it can do:</b> this certificate vouches for names that end in .local and for addresses of a home, for nothing else; its key
        stays on your computer. <b>To take it back:</b> {way.back}
      </Note>
    </Box>
  );
}
