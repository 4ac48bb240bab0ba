import { Anchor, Badge, Box, Button, Card, Checkbox, Group, Text, TextInput, Title } from '@mantine/core';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { tick, untick } from '#core/commands';
import { capital, countOf, listOf, sayWeekday } from '#core/kitchen';
import type { ListedLine } from '#core/session';
import { useSessionsQuery } from '../sync/api.ts';
import { useSessionShop } from '../sync/session.ts';
import { useCommands } from '../sync/commands.ts';
import { Empty, PageHead, Waiting, Why, Page } from '../ui/ui.tsx';
import { SessionHeader } from '../session/SessionHeader.tsx';
import { Rows } from '../ui/Rows.tsx';
import c from './Shop.module.css';

type Ticked = ListedLine['ticked'] | 'none';

function LineItem({ line, ticked, sessionId }: { line: ListedLine; ticked: Ticked; sessionId: string }) {
  const { log } = useCommands();
  const done = ticked === 'bought' || ticked === 'haveIt';
  const onTick = (how: 'bought' | 'haveIt'): void =>
    void log([tick({ ...line, sessionId }, how)], how === 'bought' ? `${line.name}: in the basket` : `${line.name}: at home`);
  const onUntick = (): void => void log([untick({ ...line, sessionId })], `${line.name}: back on the list`);
  const trim = line.because.find((b) => b.code === 'trim');
  return (
    <li className="shopline" style={done ? { color: 'var(--quiet)' } : undefined}>
      <Checkbox aria-label={`${line.name}, ${line.out}`} checked={done} onChange={() => (done ? onUntick() : onTick('bought'))} />
      <Box className="grow">
        <Text span fw={700} fz={17} td={done ? 'line-through' : 'none'}>
          {capital(line.name)}
        </Text>
        {ticked === 'haveIt' && (
          <Text span size="xs" c="dimmed">
            {' '}
            at home
          </Text>
        )}
        {line.tickNote && (
          <Badge color="saffron" ml={8}>
            {line.tickNote}
          </Badge>
        )}
        <Text component="div" size="xs" c="dimmed">
          {line.asked.length === 1 ? line.asked[0]?.recipeName : listOf(line.asked.map((a) => `${a.text} ${a.recipeName}`))}
        </Text>
      </Box>
      {!done && (
        <Anchor component="button" size="xs" type="button" className="noprint" onClick={() => onTick('haveIt')}>
          I have it
        </Anchor>
      )}
      <Text span fw={700} fz={{ base: 17, sm: 18 }} ta="right" maw={{ base: 128, sm: 'none' }}>
        {line.out}
      </Text>
      <span className="noprint">
        <Why label={`${line.name}, ${line.out}`}>
          {line.asked.map((a) => (
            <div key={a.batchId}>
              {a.text} for {a.recipeName}
            </div>
          ))}
          {trim && (
            <div>
              As bought: {String(trim.params?.edible)} % of it is eaten ({trim.source}).
            </div>
          )}
        </Why>
      </span>
    </li>
  );
}

/** Shop: one summed list by aisle, ticked off; who asked for what is one tap away. */
export function ShopPage() {
  const { id = '' } = useParams();
  const { data, error, refetch } = useSessionShop(id);
  const sessions = useSessionsQuery().data;
  const [hide, setHide] = useState(false);
  const [q, setQ] = useState('');
  if (!data) return <Waiting error={error} refetch={() => void refetch()} />;
  const brief = sessions?.sessions.find((s) => s.id === id);
  const state = (l: ListedLine): Ticked => l.ticked ?? 'none';
  const isDone = (l: ListedLine): boolean => state(l) !== 'none';
  const buy = data.list.filter((s) => s.id !== 'onTheDay').flatMap((s) => s.lines);
  const got = buy.filter(isDone).length;
  const sections = data.list
    .map((s) => ({ ...s, lines: s.lines.filter((l) => (!hide || !isDone(l)) && l.name.toLowerCase().includes(q.toLowerCase())) }))
    .filter((s) => s.lines.length > 0);
  const short = data.containers?.fits === false ? data.containers : undefined;
  return (
    <Page>
      {brief && <SessionHeader brief={brief} here={`/shop/${id}`} />}
      <PageHead
        title="Shop"
        lead={
          buy.length === 0
            ? 'Nothing to buy.'
            : got === buy.length
              ? `Everything for ${sayWeekday(data.session.day)} is there.`
              : `For ${sayWeekday(data.session.day)}. ${got} of ${buy.length} in the basket or at home.`
        }
      >
        <TextInput
          type="search"
          placeholder="Find on the list"
          aria-label="Find on the list"
          value={q}
          onChange={(e) => setQ(e.currentTarget.value)}
        />
        <Button variant="chip" aria-pressed={hide} onClick={() => setHide(!hide)}>
          Hide what’s there
        </Button>
        <Button variant="outline" visibleFrom="sm" onClick={() => window.print()}>
          Print
        </Button>
        {got === buy.length && buy.length > 0 && (
          <Button component={Link} to={`/cook/${id}`}>
            Cook
          </Button>
        )}
      </PageHead>
      {data.list.length === 0 ? (
        <Empty title="An empty list" text="This session has no dishes yet. Add some and the list makes itself.">
          <Button component={Link} to={`/plan/${id}`}>
            Add dishes
          </Button>
        </Empty>
      ) : (
        <Box className={c.aisles}>
          {sections.map((s) => (
            <Card key={s.id} mb={16} data-tone={s.id === 'onTheDay' ? 'leaf' : undefined} aria-label={s.name}>
              <Group justify="space-between" align="baseline" mb={8}>
                <Title order={2}>{s.name}</Title>
                <Text span size="xs" c="dimmed">
                  {countOf(s.lines.filter((l) => !isDone(l)).length, 'left', 'left')}
                </Text>
              </Group>
              {s.id === 'onTheDay' && (
                <Text size="xs" c="dimmed">
                  Fresh, when it is eaten; not for this trip unless it keeps.
                </Text>
              )}
              <Rows>
                {s.lines.map((l) => (
                  <LineItem key={l.key} line={l} ticked={state(l)} sessionId={id} />
                ))}
              </Rows>
            </Card>
          ))}
          {short && (
            <Card mb={16} data-tone="tomato" aria-label="To pack it in">
              <Title order={2}>To pack it in</Title>
              <p>{short.says}</p>
            </Card>
          )}
        </Box>
      )}
    </Page>
  );
}
