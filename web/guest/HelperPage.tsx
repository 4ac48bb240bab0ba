import { Anchor, Box, Button, Card, Checkbox, Group, Stack, Text, Title } from '@mantine/core';
import { useEffect, useState } from 'react';
import { ulid } from 'ulid';
import type { HelpAct } from '#core/contract';
import { addMs, clockOf, sayMinutes } from '#core/kitchen';
import type { HelpAnswer } from '#core/queries';
import { cooksNow, isClosed, leftOf, type TaskView } from '#core/session';
import { KindMark } from '../draw/KindMark.tsx';
import { dishOf, kindOf } from '../cook/words.ts';
import { Note } from '../ui/Note.tsx';
import { Rows } from '../ui/Rows.tsx';
import { ask, useAsked } from './ask.ts';

const secondMs = 1000;
/** Told of changes by the server; asked anyway this often, where it cannot tell. */
const askMs = 15_000;

/** The household's time, going on from its last answer. */
function useTheirTime(data: HelpAnswer | undefined): string {
  const [since, setSince] = useState(0);
  const told = data?.now;
  useEffect(() => {
    const start = performance.now();
    setSince(0);
    const timer = setInterval(() => setSince(performance.now() - start), secondMs);
    return () => clearInterval(timer);
  }, [told]);
  return told === undefined ? '' : addMs(told, data?.stopped ? 0 : since);
}

/** Asks again whenever somebody in the kitchen did something. */
function useTold(token: string, again: () => void): void {
  useEffect(() => {
    const source = new EventSource(`/api/help/${token}/live`);
    source.addEventListener('changed', again);
    const timer = setInterval(again, askMs);
    return () => {
      source.close();
      clearInterval(timer);
    };
  }, [token, again]);
}

/** A helper's evening: what to do now, large, and the whole list; ticked off here it is ticked off for all. */
export function HelperPage({ token }: { token: string }) {
  const path = `/api/help/${token}`;
  const { data, problem, again, put } = useAsked<HelpAnswer>(path);
  const now = useTheirTime(data);
  const [me, setMe] = useState<string>();
  const [failed, setFailed] = useState<string>();
  useTold(token, again);
  if (!data)
    return (
      <Box component="main" p={{ base: 14, sm: 32 }} maw={680} mx="auto">
        {problem !== undefined && (
          <Card p={24}>
            <Title order={1}>{problem}</Title>
          </Card>
        )}
      </Box>
    );
  const { cook: view, zone } = data;
  const cooks = cooksNow(view, now);
  const mine = cooks.find((c) => c.cookId === me) ?? cooks[0];
  const task = mine?.task;
  const running = task?.log?.state === 'running';
  const left = task ? leftOf(task, now) : 0;
  const open = view.tasks.filter((t) => !isClosed(t));
  const act = async (t: TaskView, what: HelpAct['act']): Promise<void> => {
    const got = await ask<HelpAnswer>(`${path}/act`, {
      id: ulid(),
      taskId: t.id,
      act: what,
      ...(what === 'start' && mine && { cookId: mine.cookId }),
    });
    setFailed(got.problem);
    if (got.data) put(got.data);
  };
  return (
    <Box component="main" p={{ base: 14, sm: 32 }} maw={680} mx="auto">
      <Title order={1}>{view.session.name}</Title>
      <Text mt={4} mb={14}>
        {open.length === 0
          ? 'Every task is done. Thank you.'
          : `${open.length} to go. This page ends at ${clockOf(data.until, zone)} in the night.`}
      </Text>
      {(failed ?? problem) !== undefined && (
        <Note tone="warn" role="status" mb={14}>
          {failed ?? problem}
        </Note>
      )}
      {cooks.length > 1 && (
        <Group gap={8} className="chips" mb={14} role="group" aria-label="Whose tasks">
          {cooks.map((c) => (
            <Button variant="chip" key={c.cookId} aria-pressed={c === mine} onClick={() => setMe(c.cookId)}>
              {c.name}
            </Button>
          ))}
        </Group>
      )}
      <Stack>
        {task ? (
          <Card py={18} px={22} aria-label="Do now">
            <Group wrap="nowrap" mb={6}>
              <KindMark kind={kindOf(view, task)} size={26} />
              <Text c="dimmed">{dishOf(view, task)}</Text>
            </Group>
            <Title order={2} fz={28} lh={1.15} mb={6}>
              {task.title}
            </Title>
            {task.detail && <Text fz={18}>{task.detail}</Text>}
            <Text c="dimmed" fz={17} mt={6}>
              {running
                ? left > 0
                  ? `${sayMinutes(Math.max(1, left))} left`
                  : 'time is up: look at it'
                : `${sayMinutes(task.handsOnMin)} of hands${task.waitMin > 0 ? `, then ${sayMinutes(task.waitMin)} by itself` : ''}`}
            </Text>
            {task.cue && (
              <Text fz={17} mt={6}>
                Done when: <b>{task.cue}</b>.
              </Text>
            )}
            <Group mt={14}>
              {!running && (
                <Button size="lg" variant={task.waitMin > 0 ? 'filled' : 'outline'} onClick={() => void act(task, 'start')}>
                  Start
                </Button>
              )}
              {(running || task.waitMin === 0) && (
                <Button size="lg" onClick={() => void act(task, 'done')}>
                  Done
                </Button>
              )}
            </Group>
          </Card>
        ) : (
          <Card>
            <Title order={2}>{open.length > 0 ? `Nothing for ${mine?.name ?? 'you'} just now` : 'All done'}</Title>
          </Card>
        )}
        <Card aria-label="Every task">
          <Title order={2}>Every task</Title>
          <Rows>
            {view.tasks.map((t) => (
              <Box component="li" key={t.id} c={isClosed(t) ? 'dimmed' : undefined}>
                <Checkbox
                  aria-label={`${t.title}: done`}
                  checked={isClosed(t)}
                  onChange={() => void act(t, isClosed(t) ? 'takeBack' : 'done')}
                />
                <Box className="grow">
                  <div>{t.title}</div>
                  <Text component="div" size="xs" c="dimmed">
                    {t.detail || dishOf(view, t)}
                  </Text>
                </Box>
                <Text span inherit c="dimmed">
                  {t.cook ?? ''}
                </Text>
              </Box>
            ))}
          </Rows>
        </Card>
        <Card aria-label="Mind while you cook">
          <Title order={2}>Mind while you cook</Title>
          <Rows fz={15}>
            {data.cautions.map((c) => (
              <Box component="li" key={c.id} display="block">
                {c.text} <Text component="span" inherit c="dimmed">{`${c.why} ${c.defer} Source: ${c.source}.`}</Text>
              </Box>
            ))}
          </Rows>
        </Card>
      </Stack>
      <Text c="dimmed" fz={15} mt={14}>
        Screens may sleep on this page. <Anchor href={location.pathname}>Open it again</Anchor> whenever it does not answer.
      </Text>
    </Box>
  );
}
