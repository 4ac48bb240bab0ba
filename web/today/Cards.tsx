import { Box, Button, Card, Group, Text, Title } from '@mantine/core';
import { Link } from 'react-router';
import { planFor } from '#core/commands';
import { addDays, countOf, isDinner, isOne, sayDay, sayNear, sayPortions, shortWeekday } from '#core/kitchen';
import type { TodayAnswer } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { DueTag, NotFor, Why } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { Plates } from '../draw/Plates.tsx';
import { RunwayCurve } from '../draw/RunwayCurve.tsx';
import { amountOf, datedAs, placeName } from '../ui/packWords.ts';
import { dishes } from './dishes.ts';
import { useMeasures } from '../sync/measures.ts';
import { Rows } from '../ui/Rows.tsx';

export function EatFirst({ data }: { data: TodayAnswer }) {
  const { log } = useCommands();
  const { view, today } = data;
  const open = view.week.find((d) => d.day > today && d.quarters > 0 && d.covered < d.quarters) ?? view.week[1];
  const list = dishes(view.eatFirst.filter(({ pack }) => !pack.planned)).slice(0, 6);
  return (
    <Card aria-label="Eat first">
      <Title order={2}>Eat first</Title>
      {list.length === 0 ? (
        <Text inherit c="dimmed">
          The freezer is empty, or all of it is planned.
        </Text>
      ) : (
        <Rows>
          {list.map(({ first: { pack, due, notFor }, packs, left }) => (
            <li key={pack.packId}>
              <KindMark kind={pack.kind} size={26} />
              <Box className="grow">
                <Link className="main" to={`/p/${pack.code}`}>
                  {pack.name}, {amountOf({ kind: pack.kind, left })}
                </Link>
                <Text component="div" size="xs" c="dimmed">
                  {datedAs(pack)}, {packs > 1 ? `${packs} packs` : placeName(data.places, pack)}
                </Text>
                <NotFor says={notFor} />
              </Box>
              <Box style={{ display: 'flex', flexDirection: 'column', alignItems: 'flex-end', gap: 5 }}>
                <DueTag due={due} />
                {open && isDinner(pack) && (
                  <Button
                    variant="outline"
                    size="sm"
                    onClick={() => void log(planFor([pack], open.day), `${pack.name} is planned for ${sayNear(open.day, today)}`)}
                  >
                    for {sayNear(open.day, today)}
                  </Button>
                )}
              </Box>
            </li>
          ))}
        </Rows>
      )}
    </Card>
  );
}

export function Lasting({ data }: { data: TodayAnswer }) {
  const { sayVolume } = useMeasures();
  const { dinners, baby, broth } = data.supplies;
  const { runway: r } = dinners;
  return (
    <Card aria-label="How long it lasts">
      <Group justify="space-between" align="baseline" mb={8}>
        <Title order={2}>Dinners last to</Title>
        <Why label="how long dinners last">
          {countOf(r.left, 'portion')} {isOne(r.left) ? 'is' : 'are'} in store, enough for {countOf(dinners.count, 'whole dinner')}. Of each
          portion asked for, about {Math.round(r.rate.k * 100)} % came from the freezer lately ({r.rate.loggedDays} days with a log). The
          dates are those on which it is used up with 10, 50 and 90 % likelihood. “Cook by” is{' '}
          {data.supplies.dinners.runway.parDay
            ? `3 days before a week’s dinners are left (${sayDay(data.supplies.dinners.runway.parDay)})`
            : 'open'}
          .
        </Why>
      </Group>
      <Group wrap="nowrap" align="baseline" gap={8}>
        <Text span variant="big">
          {r.runOut.middle ? sayDay(r.runOut.middle) : 'a long time'}
        </Text>
        {r.runOut.early && r.runOut.late && (
          <Text span inherit c="dimmed">
            {sayDay(r.runOut.early)} to {sayDay(r.runOut.late)}
          </Text>
        )}
      </Group>
      <RunwayCurve supply={dinners} today={data.today} />
      <Rows mt={6}>
        {baby && (
          <li data-tight>
            <KindMark kind="puree" size={20} />
            <Text className="grow" span inherit>
              <b>{baby.count}</b> baby meals
            </Text>
            <Text span size="xs" c="dimmed">
              {baby.says.replace(/ \(.*/, '')}
            </Text>
          </li>
        )}
        {broth && (
          <li data-tight>
            <KindMark kind="broth" size={20} />
            <Text className="grow" span inherit>
              <b>{broth.count}</b> broth, {sayVolume(500)} each
            </Text>
            <Text span size="xs" c="dimmed">
              {broth.says.replace(/ \(.*/, '')}
            </Text>
          </li>
        )}
      </Rows>
    </Card>
  );
}

export function Week({ data }: { data: TodayAnswer }) {
  const openQ = data.view.week.reduce((s, d) => s + Math.max(0, d.quarters - d.covered), 0);
  return (
    <Card aria-label="This week's table">
      <Title order={2}>The table this week</Title>
      <Box ta="center" style={{ display: 'grid', gridTemplateColumns: 'repeat(7,1fr)', alignItems: 'end' }}>
        {data.view.week.map((d) => (
          <div key={d.day}>
            <Plates quarters={d.quarters} covered={d.covered} />
          </div>
        ))}
        {data.view.week.map((d) => (
          <Text
            component="div"
            key={d.day}
            fz={15}
            pt={4}
            {...(d.day === data.today ? { fw: 700 } : { c: 'dimmed' })}
            style={{ borderTop: '3px solid var(--kind-bread)' }}
          >
            {d.day === data.today ? 'today' : shortWeekday(d.day)}
          </Text>
        ))}
      </Box>
      <Text size="xs" c="dimmed" mt={8}>
        Filled plates are planned from the freezer.{' '}
        {openQ > 0 ? `${sayPortions(openQ / 4)} plates to ${sayDay(addDays(data.today, 6))} are still open.` : 'The whole week is covered.'}
      </Text>
    </Card>
  );
}
