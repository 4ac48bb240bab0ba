import { Button, Group, SimpleGrid, Text, Title } from '@mantine/core';
import { clockOf, addMinutes, sayMinutes } from '#core/kitchen';
import { leftOf, shortTitle, type CookNow } from '#core/session';
import type { SessionParts } from '#core/queries';
import { Columns } from '../ui/Columns.tsx';
import c from './Worktop.module.css';
import { KindMark } from '../draw/KindMark.tsx';
import type { TaskActions } from './taskActions.ts';
import { dishOf, kindOf } from './words.ts';

/** Minutes before the end from which a task is looked at: the condition then stands first. */
const lookMin = 5;

/** Signs from which a task's words are set smaller, so that the buttons stay in sight. */
const longTitle = 52;

/** One cook's place at the worktop: first the condition, then the task, then its figures; Done under the thumb. */
export function Bench({
  view,
  cook,
  now,
  zone,
  others,
  actions,
  onFree,
}: {
  view: SessionParts['cook'];
  cook: CookNow;
  now: string;
  zone: string;
  others: readonly { id: string; name: string }[];
  actions: TaskActions;
  onFree: (taskId: string) => void;
}) {
  const { task, state } = cook;
  if (!task)
    return (
      <section className={c.bench} data-next aria-label={cook.name}>
        <header>
          <b>{cook.name}</b>
          <span>{cook.after.length > 0 ? `${cook.after.length} to come` : 'nothing left'}</span>
        </header>
        <Title order={2}>{cook.after.length > 0 ? 'Nothing to do just now' : 'All done'}</Title>
        <p>
          {cook.after[0]
            ? `Next: ${shortTitle(cook.after[0].title)}, once what comes before it is done.`
            : 'Sit down, or weigh the pots and pack.'}
        </p>
      </section>
    );
  const left = leftOf(task, now);
  const running = state !== 'next';
  const look = running && (state === 'up' || left <= lookMin);
  const [next] = cook.after;
  const figures: readonly (readonly [label: string, value: string, unit: string])[] = [
    ...(running ? [[state === 'up' ? 'time is up' : 'left', state === 'up' ? 'look' : sayMinutes(Math.max(1, left)), ''] as const] : []),
    ...(!running ? [['of hands', sayMinutes(task.handsOnMin), ''] as const] : []),
    ...(!running && task.waitMin > 0 ? [['then by itself', sayMinutes(task.waitMin), ''] as const] : []),
    ...task.needs.flatMap((n) => (n.tempC ? [[n.kind, String(n.tempC), '°C'] as const] : [])).slice(0, 1),
    ...(cook.inMin !== undefined ? [['may begin at', clockOf(addMinutes(now, cook.inMin), zone), ''] as const] : []),
  ];
  return (
    <section className={c.bench} data-next aria-label={cook.name}>
      <header>
        <b>{cook.name}</b>
        <Group wrap="nowrap" component="span" gap={8}>
          <KindMark kind={kindOf(view, task)} size={22} /> {dishOf(view, task)}
        </Group>
      </header>
      {look && task.cue && (
        <Text inherit fz={21} px={16} py={12} mb={14} bg="var(--frost)" bdrs={10}>
          <b>First:</b> {task.cue}?
        </Text>
      )}
      <Title order={2} data-long={task.title.length > longTitle || undefined}>
        {task.title}
      </Title>
      {task.detail && <p>{task.detail}</p>}
      {!look && task.cue && (
        <p>
          Done when: <b>{task.cue}</b>.
        </p>
      )}
      <Columns component="dl" fit least={150} gap={12} className={c.figures}>
        {figures.slice(0, 3).map(([label, value, unit]) => (
          <div key={label}>
            <dt>{label}</dt>
            <dd>
              {value}
              {unit && <span>{unit}</span>}
            </dd>
          </div>
        ))}
      </Columns>
      {next && (
        <Text fz={19} c="dimmed" mt={12}>
          Then: {shortTitle(next.title)}.
        </Text>
      )}
      <SimpleGrid cols={3} spacing={12} className={c.acts}>
        {!running && task.waitMin > 0 ? (
          <Button size="lg" onClick={() => actions.start(task, cook.cookId)}>
            Start
          </Button>
        ) : (
          <Button size="lg" onClick={() => actions.done(task)}>
            Done
          </Button>
        )}
        {running ? (
          <Button variant="outline" size="lg" data-again onClick={() => actions.more(task)}>
            5 more min
          </Button>
        ) : (
          <Button variant="outline" size="lg" onClick={() => (task.waitMin > 0 ? actions.done(task) : actions.start(task, cook.cookId))}>
            {task.waitMin > 0 ? 'Already done' : 'Start the clock'}
          </Button>
        )}
        {others.map((o) => (
          <Button variant="outline" size="lg" key={o.id} onClick={() => actions.handOver(task, o)}>
            To {o.name}
          </Button>
        ))}
        {state === 'running' && task.waitMin > 0 ? (
          <Button variant="outline" size="lg" onClick={() => onFree(task.id)}>
            It minds itself
          </Button>
        ) : (
          <Button variant="outline" size="lg" onClick={() => actions.skip(task)}>
            Skip
          </Button>
        )}
      </SimpleGrid>
    </section>
  );
}
