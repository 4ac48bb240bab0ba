import { Badge, Box, Text } from '@mantine/core';
import { Link } from 'react-router';
import { clockOf, dayOf, sayNear } from '#core/kitchen';
import { dayOfJob, type LongJob } from '#core/session';

/** What goes on by itself over days: ready and what comes then, or the hand it wants today. */
export function LongJobs({ jobs, today, zone, now }: { jobs: readonly LongJob[]; today: string; zone: string; now: string }) {
  return jobs.map((j) => {
    const ready = j.readyAt <= now;
    const { day, of } = dayOfJob(j, today, zone);
    const when = `${sayNear(dayOf(j.readyAt, zone), today)}${of <= 2 ? ` ${clockOf(j.readyAt, zone)}` : ''}`;
    return (
      <li key={`${j.sessionId} ${j.taskId}`}>
        <Box className="grow">
          <Link className="main" to={`/cook/${j.sessionId}`}>
            {ready ? (j.next ?? 'See to it') : j.daily && day > 0 ? `${j.dish}: its daily hand` : j.dish}
          </Link>
          <Text component="div" size="xs" c="dimmed">
            {ready
              ? `${j.dish}: “${j.title}” is over`
              : `${j.title}${of === 1 ? '' : day === 0 ? ', begun today' : `, day ${day} of ${of}`}; ready ${when}`}
            {!ready && j.next !== undefined && `, then: ${j.next}`}
          </Text>
        </Box>
        {(ready || (j.daily && day > 0)) && <Badge color={ready ? 'tomato' : 'leaf'}>{ready ? 'ready' : 'today'}</Badge>}
      </li>
    );
  });
}
