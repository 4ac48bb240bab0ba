import { Anchor, Box, Button, Card, Group, Stack, Text, Title } from '@mantine/core';
import { useMemo, useState } from 'react';
import { Link, useParams } from 'react-router';
import { addMinutes, clockOf, clockPlus, countOf, sayMinutes } from '#core/kitchen';
import { cautionsFor, type CautionPlace } from '#core/safety';
import { cooksNow, type TaskView } from '#core/session';
import { useFrameQuery, useSessionsQuery } from '../sync/api.ts';
import { useSessionCook } from '../sync/session.ts';
import { useNow } from '../sync/clock.ts';
import { Cautions, Empty, PageHead, Waiting, Page } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { SessionHeader } from '../session/SessionHeader.tsx';
import { OrderCard, ScoreCard } from './ScoreCard.tsx';
import { PrepList } from './PrepList.tsx';
import { TaskLists } from './TaskLists.tsx';
import { sayBound, sayEnds } from './ends.ts';
import { useScore } from './useScore.ts';
import { kindOf } from './words.ts';
import { useTaskActions } from './taskActions.ts';
import { useOwnCook } from './useOwnCook.ts';
import { DoneEarly } from './DoneEarly.tsx';
import { NowCard } from './NowCard.tsx';
import { Timers } from './Timers.tsx';
import { aside } from '../ui/aside.tsx';
import { Note } from '../ui/Note.tsx';
import { Columns } from '../ui/Columns.tsx';
import { Rows } from '../ui/Rows.tsx';

/** The clock at a minute of the plan: from now once it has begun, else from the start that was said. */
const clockFrom =
  (from: string | undefined, startAt: string, zone: string) =>
  (min: number): string =>
    from ? clockOf(addMinutes(from, min), zone) : clockPlus(startAt, min);

const HelperSheet = aside(() => import('../door/HelperSheet.tsx'));

/** Cook: what to do now, large; what is on the clock; the score of hands and pots; every task in order. */
export function CookPage() {
  const { id = '' } = useParams();
  const { data: view, error, refetch } = useSessionCook(id, { pollingInterval: 60_000 });
  const frame = useFrameQuery().data;
  const sessions = useSessionsQuery().data;
  const now = useNow(1000);
  const actions = useTaskActions(id);
  const [free, setFree] = useState<ReadonlySet<string>>(new Set());
  const [helper, setHelper] = useState(false);
  const [me, setMe] = useOwnCook(id);
  const work = useScore(view?.session);
  // what is drawn by the minute is not drawn anew by the second
  const minute = `${now.slice(0, 16)}:00.000Z`;
  const begun = view?.tasks.some((t) => t.log !== undefined) ?? false;
  const at = useMemo(
    () => clockFrom(begun ? minute : undefined, view?.session.startAt ?? '', frame?.household.timeZone ?? ''),
    [begun, minute, view?.session.startAt, frame?.household.timeZone],
  );
  if (!view || !frame) return <Waiting error={error} refetch={() => void refetch()} />;
  const zone = frame.household.timeZone;
  const brief = sessions?.sessions.find((s) => s.id === id);
  const stateOf = (t: TaskView): string | undefined => t.log?.state;
  const closed = view.tasks.filter((t) => ['done', 'skipped'].includes(stateOf(t) ?? ''));
  const running = view.tasks.filter((t) => stateOf(t) === 'running');
  const open = view.tasks.filter((t) => !stateOf(t));
  // cooling, packing and washing up go on while one packs
  const cooking = open.filter((t) => !t.follow);
  const closedIds = new Set(closed.map((t) => t.id));
  const cooks = cooksNow(view, now, free);
  const mine = cooks.find((c) => c.cookId === me) ?? cooks[0];
  const current = mine?.task;
  const makespan = view.schedule?.makespanMin ?? 0;
  const hazards = [...new Set(view.tasks.filter((t) => !closedIds.has(t.id)).flatMap((t) => t.hazards))] as CautionPlace[];
  // before it begins the whole is looked at, then what is in hand comes first
  const score = (
    <>
      <ScoreCard view={view} minute={minute} at={at} onMove={work.move} />
      <OrderCard view={view} at={at} work={work} />
    </>
  );
  return (
    <Page>
      {brief && <SessionHeader brief={brief} here={`/cook/${id}`} />}
      <PageHead
        title={
          view.tasks.length === 0
            ? 'Cook'
            : begun
              ? `${countOf(open.length + running.length, 'task')} to go`
              : `${countOf(view.tasks.length, 'task')}, about ${sayMinutes(makespan)}`
        }
        lead={
          open.length + running.length === 0
            ? 'Every task is done. Weigh the pots and pack.'
            : `${sayEnds(view, at, begun)}${sayBound(view, at)}`
        }
      >
        {cooks.length > 1 && view.tasks.length > 0 && (
          <Group gap={8} className="chips" role="group" aria-label="Whose tasks">
            {cooks.map((c) => (
              <Button variant="chip" key={c.cookId} aria-pressed={c === mine} onClick={() => setMe(c.cookId)}>
                {c.name}
              </Button>
            ))}
          </Group>
        )}
        <Button component={Link} variant="outline" to={`/worktop/${id}`}>
          Worktop
        </Button>
        <Button variant="outline" visibleFrom="sm" onClick={() => setHelper(true)}>
          Helper
        </Button>
        <Button variant="outline" visibleFrom="sm" onClick={() => window.print()}>
          Print
        </Button>
        {cooking.length === 0 && (
          <Button component={Link} to={`/pack/${id}`}>
            Pack
          </Button>
        )}
      </PageHead>
      {helper && <HelperSheet sessionId={id} zone={zone} onClose={() => setHelper(false)} />}
      <DoneEarly actions={actions} now={now} />
      {view.scheduleError && (
        <Note tone="bad" role="alert">
          {view.scheduleError}
        </Note>
      )}
      {view.tasks.length === 0 ? (
        <Empty title="No work yet" text="This session has no dishes, or their recipes have no steps.">
          <Button component={Link} to={`/plan/${id}`}>
            Open the plan
          </Button>
        </Empty>
      ) : (
        <Stack>
          {!begun && score}
          <Columns align="start" parts={[1.45, 1]}>
            {current && mine ? (
              <NowCard
                view={view}
                task={current}
                now={now}
                actions={actions}
                cookId={mine.cookId}
                onFree={
                  mine.state === 'running' && current.waitMin > 0 && mine.after.length > 0
                    ? () => setFree(new Set([...free, current.id]))
                    : undefined
                }
              />
            ) : open.length + running.length > 0 ? (
              <Card>
                <Title order={2}>Nothing for {mine?.name ?? 'you'} just now</Title>
                <p>The next task begins once what comes before it is done. Look at the clocks, or help at the other bench.</p>
              </Card>
            ) : (
              <Card>
                <Title order={2}>All done</Title>
                <p>Cool the pots, weigh them, pack.</p>
                <Text inherit mt={12}>
                  <Button component={Link} size="lg" to={`/pack/${id}`}>
                    Pack
                  </Button>
                </Text>
              </Card>
            )}
            <Stack>
              <Timers view={view} running={running.filter((t) => t !== current || t.waitMin > 0)} now={now} zone={zone} actions={actions} />
              <Card aria-label="Next">
                <Title order={2}>Next</Title>
                <Rows>
                  {(cooks.length > 1 ? (mine?.after ?? []) : open.filter((t) => t !== current)).slice(0, 4).map((t) => (
                    <li key={t.id} data-tight>
                      <KindMark kind={kindOf(view, t)} size={20} />
                      <Box className="grow">{t.title}</Box>
                      <Text span inherit c="dimmed">
                        {sayMinutes(t.handsOnMin)}
                      </Text>
                    </li>
                  ))}
                </Rows>
              </Card>
            </Stack>
          </Columns>
          {begun && score}
          <TaskLists view={view} at={at} actions={actions} />
          <PrepList view={view} actions={actions} />
          {view.notes.length > 0 && (
            <Card aria-label="From last time">
              <Title order={2}>From last time</Title>
              <Rows>
                {view.notes.map((n) => (
                  <li key={n.recipeId + n.text}>
                    <Box className="grow">
                      “{n.text}”{' '}
                      <Text span size="xs" c="dimmed">
                        {n.name}
                      </Text>
                    </Box>
                    <Anchor component={Link} size="xs" to={`/recipes/${n.recipeId}`}>
                      change the amount
                    </Anchor>
                  </li>
                ))}
              </Rows>
            </Card>
          )}
          <Cautions list={cautionsFor([...hazards, 'cooling'], frame.household.country, frame.figures)} title="While you cook" />
        </Stack>
      )}
    </Page>
  );
}
