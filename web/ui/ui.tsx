import {
  ActionIcon,
  Anchor,
  Badge,
  Box,
  Button,
  Card,
  Group,
  Popover,
  Skeleton,
  Text,
  TextInput,
  Title,
  type BoxProps,
} from '@mantine/core';
import { useEffect, useRef, type ReactNode } from 'react';
import type { SaidCaution } from '#core/safety';
import type { Due } from '#core/store';
import { sayError } from '../sync/api.ts';
import { Rows } from './Rows.tsx';
import c from './ui.module.css';

/** A page's own room in the frame. */
export const Page = ({ children, ...box }: BoxProps & { role?: string; 'aria-label'?: string; children: ReactNode }) => (
  <Box className={c.page} {...box}>
    {children}
  </Box>
);

/** A page's head: what it is, one sentence, what can be done. */
export function PageHead({
  title,
  lead,
  children,
  big,
}: {
  title: ReactNode;
  lead?: ReactNode;
  children?: ReactNode;
  /** The day itself. */ big?: boolean;
}) {
  return (
    <Group className={c.head} justify="space-between" align="flex-end" gap={20} mb={14}>
      <Box flex={{ base: '1 0 100%', sm: 1 }} miw={0}>
        <Title order={1} fz={big ? 36 : undefined}>
          {title}
        </Title>
        {lead && (
          <Text inherit c="dimmed" mt={3} maw={900}>
            {lead}
          </Text>
        )}
      </Box>
      {children && (
        <Group gap={10} className={`${c.acts} noprint`}>
          {children}
        </Group>
      )}
    </Group>
  );
}

/** The reason behind a figure, one tap away. */
export function Why({ label, says = 'why?', children }: { label: string; /** What stands there. */ says?: string; children: ReactNode }) {
  return (
    <Popover width={340} position="bottom-end" shadow="sm" trapFocus returnFocus>
      <Popover.Target>
        <Anchor component="button" type="button" data-why size="xs" aria-label={says === 'why?' ? `Why: ${label}` : label}>
          {says}
        </Anchor>
      </Popover.Target>
      <Popover.Dropdown>
        <Text component="div" size="sm">
          {children}
        </Text>
      </Popover.Dropdown>
    </Popover>
  );
}

/** Usual cautions with reason and source; who comes first is said once. */
export function Cautions({ list, title = 'Before you eat it' }: { list: readonly SaidCaution[]; title?: string }) {
  if (list.length === 0) return null;
  return (
    <Card aria-label={title}>
      <Title order={2}>{title}</Title>
      <Rows fz={15}>
        {list.map((said) => (
          <li key={said.id}>
            <Box className="grow">{said.text}</Box>
            <Why label={said.text}>
              {said.why} {said.defer}{' '}
              <Text span inherit c="dimmed">
                Source: {said.source}.
              </Text>
            </Why>
          </li>
        ))}
      </Rows>
    </Card>
  );
}

/** A part of a card, set off by a line. */
export const Section = ({ children, ...space }: BoxProps & { children: ReactNode }) => (
  <Box className={c.section} pt={12} {...space}>
    {children}
  </Box>
);

/** What a page shows while it waits, or when the server could not answer. */
export function Waiting({ error, refetch }: { error?: unknown; refetch?: () => void }) {
  if (!error)
    return (
      <Page role="status" aria-label="One moment">
        <Skeleton h={34} w={220} mb={14} />
        <Skeleton h={18} w="50%" mb={22} />
        <Skeleton h={220} radius={10} />
      </Page>
    );
  const said = sayError(error);
  return (
    <Page>
      <Card component="div" ta="center" px={20} py={34}>
        <Title order={1}>Not now</Title>
        <Text c="dimmed" mt={8} mb={16}>
          {said.message}
        </Text>
        {said.refusals.length > 0 && <p>{said.refusals.map((r) => r.expected).join(', ')}</p>}
        {refetch && <Button onClick={refetch}>Try again</Button>}
      </Card>
    </Page>
  );
}

/** An empty place that teaches the next step. */
export function Empty({ title, text, drawing, children }: { title: string; text: string; drawing?: ReactNode; children?: ReactNode }) {
  return (
    <Card component="div" ta="center" px={20} py={34}>
      {drawing}
      <Title order={2}>{title}</Title>
      <Text c="dimmed" maw={520} mx="auto" mt={8} mb={16}>
        {text}
      </Text>
      {children}
    </Card>
  );
}

/** A short figure in a line of words: right-aligned, kept as typed, marked when it cannot be. */
export function Figure({
  label,
  value,
  onChange,
  width = 76,
  bad,
  loud = false,
}: {
  label: string;
  value: string;
  onChange: (text: string) => void;
  width?: number;
  bad?: boolean;
  loud?: boolean;
}) {
  return (
    <TextInput
      w={width}
      classNames={{ input: loud ? c.loudFigure : c.figure }}
      inputMode="decimal"
      aria-label={label}
      error={bad}
      value={value}
      onChange={(e) => onChange(e.currentTarget.value)}
    />
  );
}

/** Minus and plus around a figure, large enough for wet thumbs. */
export function Stepper({
  label,
  value,
  say,
  onChange,
  min = 0,
  max = 99,
  step = 1,
}: {
  label: string;
  value: number;
  say: (n: number) => string;
  onChange: (n: number) => void;
  min?: number;
  max?: number;
  step?: number;
}) {
  // two taps in a row are two steps, also while the page still works out what the first one came to
  const latest = useRef(value);
  useEffect(() => {
    latest.current = value;
  }, [value]);
  const go = (by: number) => (): void => {
    latest.current = Math.min(max, Math.max(min, latest.current + by));
    onChange(latest.current);
  };
  return (
    <Group gap={8} wrap="nowrap" role="group" aria-label={label} data-again>
      <ActionIcon aria-label={`${label}: less`} disabled={value <= min} onClick={go(-step)}>
        −
      </ActionIcon>
      {say(value) !== '' && (
        <Text span variant="mid" miw={44} ta="center" aria-live="polite">
          {say(value)}
        </Text>
      )}
      <ActionIcon aria-label={`${label}: more`} disabled={value >= max} onClick={go(step)}>
        +
      </ActionIcon>
    </Group>
  );
}

/** Days left in a word and its colour: soon is saffron, past is tomato; of unknown age it says so. */
export function DueTag({ due }: { due: Due }) {
  if (due.reason === 'undated') return <Badge color="saffron">date not known</Badge>;
  const { daysLeft, reason } = due;
  const out = reason !== 'bestBy';
  const tone = daysLeft < 0 ? 'tomato' : out || daysLeft <= 14 ? 'saffron' : 'leaf';
  const text =
    daysLeft < 0
      ? `${-daysLeft} ${daysLeft === -1 ? 'day' : 'days'} past`
      : daysLeft === 0
        ? 'today'
        : daysLeft === 1
          ? '1 day'
          : daysLeft > 60
            ? `${Math.round(daysLeft / 30.4)} months`
            : `${daysLeft} days`;
  return <Badge color={tone}>{text}</Badge>;
}

/** Who must not eat it, the name first; before the act, never after. */
export function NotFor({ says }: { says: readonly string[] }) {
  if (says.length === 0) return null;
  return (
    <Box
      component="ul"
      style={{ listStyle: 'none' }}
      mt={2}
      mb={0}
      p={0}
      c="var(--tomato)"
      fw={600}
      fz={15}
      lh={1.3}
      aria-label="Allergies"
    >
      {says.map((s) => (
        <li key={s}>{s}</li>
      ))}
    </Box>
  );
}
