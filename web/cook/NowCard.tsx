import { Button, Card, Group, Text, Title } from '@mantine/core';
import { Link } from 'react-router';
import { listOf, sayMinutes } from '#core/kitchen';
import { leftOf, type TaskView } from '#core/session';
import type { SessionParts } from '#core/queries';
import { KindMark } from '../draw/KindMark.tsx';
import { kindOf, dishOf } from './words.ts';
import { useTaskActions } from './taskActions.ts';
import { Note } from '../ui/Note.tsx';

/** Minutes before the end from which a task is looked at. */
const lookMin = 5;

/** The task at hand, large: its figures, what tells that it is done, and what can be done with it. */
export function NowCard({
  view,
  task,
  now,
  actions,
  cookId,
  onFree,
}: {
  view: SessionParts['cook'];
  task: TaskView;
  now: string;
  actions: ReturnType<typeof useTaskActions>;
  /** Whose it becomes when it is started. */
  cookId: string;
  /** Hands are free again, the rest minds itself; absent when nothing is left to mind. */
  onFree?: (() => void) | undefined;
}) {
  const running = task.log?.state === 'running';
  const left = leftOf(task, now);
  // the condition comes before the action once it is time to look
  const nearlyUp = running && left <= lookMin;
  return (
    <Card py={18} px={22} data-next aria-label="Do now">
      <Group wrap="nowrap" mb={6}>
        <KindMark kind={kindOf(view, task)} size={26} />
        <Text className="grow" span inherit c="dimmed">
          {dishOf(view, task)}
        </Text>
        {task.cook && (
          <Text span inherit c="dimmed">
            {task.cook}
          </Text>
        )}
      </Group>
      {nearlyUp && task.cue && (
        <Note fz={18} mb={8}>
          <b>First:</b> {task.cue}.
        </Note>
      )}
      <Title order={2} fz={30} lh={1.15} mb={6}>
        {task.title}
      </Title>
      {task.detail && <Text fz={19}>{task.detail}</Text>}
      <Text c="dimmed" fz={18} mt={6}>
        {running
          ? left > 0
            ? `${sayMinutes(Math.max(1, left))} left`
            : 'time is up: look at it'
          : `${sayMinutes(task.handsOnMin)} of hands${task.waitMin > 0 ? `, then ${sayMinutes(task.waitMin)} by itself` : ''}`}
        {task.needs.length > 0 && `, ${task.needs.map((n) => (n.tempC ? `${n.kind} ${n.tempC} °C` : n.kind)).join(', ')}`}
        {task.standsIn && `, ${listOf(task.standsIn)}`}
        {task.guess && ', a guess'}
      </Text>
      {!nearlyUp && task.cue && (
        <Text fz={18} mt={6}>
          Done when: <b>{task.cue}</b>.
        </Text>
      )}
      <Group mt={14}>
        {task.follow === 'pack' && (
          <Button size="lg" component={Link} to={`/pack/${view.session.id}`}>
            Pack it
          </Button>
        )}
        {!running && task.waitMin > 0 && (
          <Button size="lg" onClick={() => actions.start(task, cookId)}>
            Start
          </Button>
        )}
        {(running || task.waitMin === 0) && (
          <Button size="lg" onClick={() => actions.done(task)}>
            Done
          </Button>
        )}
        {!running && task.waitMin === 0 && (
          <Button variant="outline" size="lg" onClick={() => actions.start(task, cookId)}>
            Start the clock
          </Button>
        )}
        {!running && task.waitMin > 0 && (
          <Button variant="outline" size="lg" onClick={() => actions.done(task)}>
            Already done
          </Button>
        )}
        {running && (
          <Button variant="outline" size="lg" data-again onClick={() => actions.more(task)}>
            5 more min
          </Button>
        )}
        {onFree && (
          <Button variant="outline" size="lg" onClick={onFree}>
            It minds itself now
          </Button>
        )}
        <Button variant="outline" size="lg" onClick={() => actions.skip(task)}>
          Skip
        </Button>
      </Group>
    </Card>
  );
}
