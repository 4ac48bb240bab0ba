import { Box, Button, Card, Group, Text, Title } from '@mantine/core';
import { Link } from 'react-router';
import { countOf, sayWeekday } from '#core/kitchen';
import { nextStep } from '#core/session';
import { type SessionBrief } from '#core/queries';
import { RoadShelf } from '../draw/RoadShelf.tsx';
import { aside } from '../ui/aside.tsx';

const ChangedRecipes = aside(() => import('./ChangedRecipes.tsx'));

/** Address of the next thing to do on a session's road. */
export function nextLink(s: Pick<SessionBrief, 'id' | 'state'>): { to: string; says: string } | undefined {
  if (!s.state.next) return undefined;
  const { to, says } = nextStep[s.state.next];
  return { says, to: to === 'labels' ? `/pack/${s.id}/labels` : to === 'store' ? '/store' : `/${to}/${s.id}` };
}

/** Where a session stands and the one thing to do next; carried through the stations. */
export function SessionHeader({ brief, here }: { brief: SessionBrief; here?: string }) {
  // a thumb at a station wants the work itself first
  const atStation = here !== undefined && !here.startsWith('/plan');
  const next = nextLink(brief);
  return (
    <>
      <Card className="roadhead" visibleFrom={atStation ? 'sm' : undefined} mb={16} py={10} aria-label={`Road of ${brief.name}`}>
        <Group gap={18}>
          <Box flex={1} miw={230}>
            <Title order={2} m={0}>
              <Link to={`/plan/${brief.id}`} style={{ color: 'inherit', textDecoration: 'none' }}>
                {brief.name}
              </Link>
            </Title>
            <Text component="div" size="xs" c="dimmed">
              {sayWeekday(brief.day)}, {countOf(brief.dishes.length, 'dish', 'dishes')}
            </Text>
          </Box>
          <RoadShelf state={brief.state} width={540} />
          {next && next.to !== here && (
            <Button component={Link} to={next.to}>
              {next.says}
            </Button>
          )}
        </Group>
      </Card>
      {here !== undefined && brief.state.counts.cooked < brief.state.batches && <ChangedRecipes sessionId={brief.id} />}
    </>
  );
}
