import { Badge, Box, Button, Card, Group, Text, Title } from '@mantine/core';
import { Link } from 'react-router';
import { takeOut } from '#core/commands';
import { countOf, clockOf, dayOf, sayNear } from '#core/kitchen';
import { thawHoursOf, type PackState } from '#core/store';
import type { TodayAnswer } from '#core/queries';
import { LongJobs } from './LongJobs.tsx';
import { useCommands } from '../sync/commands.ts';
import { DueTag, NotFor } from '../ui/ui.tsx';
import { ContainerIcon } from '../draw/ContainerIcon.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { amountOf, placeName } from '../ui/packWords.ts';
import { dishes } from './dishes.ts';
import { Note } from '../ui/Note.tsx';
import { Rows } from '../ui/Rows.tsx';

interface Group {
  name: string;
  packs: PackState[];
  day: string;
  by: string;
  notFor: string[];
}

/** Packs of one dish for one evening come out together. */
function grouped(takeOut: TodayAnswer['view']['takeOut']): Group[] {
  const groups = new Map<string, Group>();
  for (const { pack, day, by, notFor } of takeOut) {
    const key = `${pack.recipeId ?? pack.name}|${day}`;
    const g = groups.get(key);
    if (g) g.packs.push(pack);
    else groups.set(key, { name: pack.name, packs: [pack], day, by, notFor });
  }
  return [...groups.values()];
}

export function Now({ data, zone, now }: { data: TodayAnswer; zone: string; now: string }) {
  const { log } = useCommands();
  const { view, today } = data;
  const groups = grouped(view.takeOut);
  const first = groups[0];
  const rest = groups.slice(1, 3);
  const [doubtful] = view.probable.packs;
  const [bare] = view.unlabelled.packs;
  const hoursText = (g: Group): string => {
    const h = g.packs.map(thawHoursOf).toSorted((a, b) => b.high - a.high)[0];
    return h ? `${h.low} to ${h.high} h` : 'about a day';
  };
  const nothing =
    !first &&
    data.longJobs.length === 0 &&
    view.fridge.length === 0 &&
    view.unlabelled.count === 0 &&
    view.probable.count === 0 &&
    view.unplaced.count === 0;
  const pull = (g: Group): void => void log(takeOut(g.packs, g.day), `${g.name} is in the fridge`);
  const byText = (g: Group): string =>
    g.by <= now ? 'now' : `by ${dayOf(g.by, zone) === today ? '' : `${sayNear(dayOf(g.by, zone), today)} `}${clockOf(g.by, zone)}`;
  return (
    <Card aria-label="Now">
      <Title order={2}>Now</Title>
      {first && (
        <Note mb={8}>
          <Group wrap="nowrap" gap={16}>
            <ContainerIcon shape={first.packs.some((p) => p.cubes !== undefined) ? 'bag' : 'tub'} />
            <Box className="grow">
              <Box fz={19} fw={700} lh={1.25}>
                Take {first.packs.length === 1 ? '1 pack' : `${first.packs.length} packs`} out to the fridge {byText(first)}
              </Box>
              <div>
                {first.name}, for {sayNear(first.day, today)}’s dinner
              </div>
              <Text component="div" size="xs" c="dimmed">
                {[...new Set(first.packs.map((p) => placeName(data.places, p)))].join('; ')}. Needs {hoursText(first)} in the fridge.
              </Text>
              <NotFor says={first.notFor} />
            </Box>
          </Group>
          <Group mt={10} gap={10}>
            <Button onClick={() => pull(first)}>{first.packs.length === 1 ? 'It’s in the fridge' : 'They’re in the fridge'}</Button>
            <Button component={Link} variant="outline" to="/eat">
              Swap
            </Button>
          </Group>
        </Note>
      )}
      <Rows>
        {rest.map((g) => (
          <li key={g.name + g.day}>
            <KindMark kind={g.packs[0]?.kind ?? 'meal'} size={26} />
            <Box className="grow">
              <Text component="div" inherit fw={700}>
                {g.name}, {countOf(g.packs.length, 'pack')}
              </Text>
              <Text component="div" size="xs" c="dimmed">
                out of the freezer {byText(g)}, for {sayNear(g.day, today)}
              </Text>
            </Box>
            <Button variant="outline" size="sm" onClick={() => pull(g)}>
              Done
            </Button>
          </li>
        ))}
        <LongJobs jobs={data.longJobs} today={today} zone={zone} now={now} />
        {dishes(view.fridge)
          .slice(0, 3)
          .map(({ first: { pack, due }, packs, left }) => (
            <li key={pack.packId}>
              <KindMark kind={pack.kind} size={26} />
              <Box className="grow">
                <Link className="main" to={`/p/${pack.code}`}>
                  {pack.name}, {amountOf({ kind: pack.kind, left })}
                </Link>
                <Text component="div" size="xs" c="dimmed">
                  {packs > 1 ? `${packs} packs ` : ''}in the fridge
                  {pack.planned ? `, for ${pack.planned.day === today ? 'tonight' : sayNear(pack.planned.day, today)}` : ''}, eat by{' '}
                  {due.day === undefined ? '' : sayNear(due.day, today)}
                </Text>
              </Box>
              <DueTag due={due} />
            </li>
          ))}
        {doubtful && (
          <li>
            <KindMark kind={doubtful.kind} size={26} />
            <Box className="grow">
              <Link className="main" to={`/p/${doubtful.code}`}>
                {doubtful.name}, {amountOf(doubtful)}
              </Link>
              <Text component="div" size="xs" c="dimmed">
                was planned for {sayNear(doubtful.planned?.day ?? today, today)}: probably eaten. Was it?
                {view.probable.count > 1 ? ` ${view.probable.count - 1} more like it.` : ''}
              </Text>
            </Box>
            <Button component={Link} variant="outline" size="sm" to="/eat?settle=1#settle">
              Settle
            </Button>
          </li>
        )}
        {view.unlabelled.count > 0 && (
          <li>
            <KindMark kind={bare?.kind ?? 'meal'} size={26} />
            <Box className="grow">
              <Link className="main" to={`/p/${bare?.code ?? ''}`}>
                {bare?.name}
              </Link>
              <Text component="div" size="xs" c="dimmed">
                {view.unlabelled.count === 1 ? '1 pack has no label yet' : `${view.unlabelled.count} packs have no label yet`}
              </Text>
            </Box>
            <Badge color="tomato" component={Link} to={bare?.sessionId ? `/pack/${bare.sessionId}/labels` : '/store'}>
              label
            </Badge>
          </li>
        )}
        {view.unplaced.count > 0 && (
          <li>
            <Box className="grow">
              <Text component="div" inherit fw={700}>
                {view.unplaced.count === 1 ? '1 pack stands outside' : `${view.unplaced.count} packs stand outside`}
              </Text>
              <Text component="div" size="xs" c="dimmed">
                filled, not put away yet
              </Text>
            </Box>
            <Badge color="tomato" component={Link} to="/store">
              put away
            </Badge>
          </li>
        )}
        {nothing && (
          <Text component="li" inherit c="dimmed">
            Nothing presses. Pick a pack from Eat first for one of the coming evenings.
          </Text>
        )}
      </Rows>
    </Card>
  );
}
