import { Anchor, Box, Button, Card, Skeleton, Stack, Text, Title } from '@mantine/core';
import { Link, useSearchParams } from 'react-router';
import { sayNear, sayPortions } from '#core/kitchen';
import { otherwise } from '#core/session';
import { useEatQuery, useFrameQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { DueTag, NotFor, PageHead, Waiting, Page } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { ColdLine } from '../store/ColdLine.tsx';
import { amountOf } from '../ui/packWords.ts';
import { CatchUp } from './CatchUp.tsx';
import { ChangeMeal, LogMeal } from './LogMeal.tsx';
import { PastCard } from './PastCard.tsx';
import { EatFirst } from './EatFirst.tsx';
import { Table } from './Evenings.tsx';
import { Settle } from './Settle.tsx';
import { SupplyCard } from './SupplyCard.tsx';
import { useAfterPaint } from '../ui/useAfterPaint.ts';
import { useEver } from '../ui/useEver.ts';
import { Columns } from '../ui/Columns.tsx';
import { Rows } from '../ui/Rows.tsx';
import { aside } from '../ui/aside.tsx';

/** As high as the chart that takes its place. */
const chartHeight = 240;
const HowWasIt = aside(() => import('./HowWasIt.tsx'));
const RunwayChart = aside(() => import('./RunwayChart.tsx'), <Skeleton h={chartHeight} />);

/** Eat: the evenings ahead, what to eat first, who ate what, how long it lasts. */
export function EatPage() {
  const { data, error, refetch } = useEatQuery();
  const frame = useFrameQuery().data;
  const asks = useEver((data?.howWasIt.length ?? 0) > 0);
  const painted = useAfterPaint();
  const { undo } = useCommands();
  const [params, setParams] = useSearchParams();
  if (!data || !frame) return <Waiting error={error} refetch={() => void refetch()} />;
  const logging = params.get('log');
  const setLog = (value: string | null, day?: string): void =>
    setParams(
      (p) => {
        if (value) p.set('log', value);
        else p.delete('log');
        if (day) p.set('day', day);
        else p.delete('day');
        return p;
      },
      { replace: true },
    );
  return (
    <Page>
      <PageHead
        title="Eat"
        lead={
          data.tonightLogged
            ? 'Tonight is written down.'
            : `Tonight: ${sayPortions((data.evenings[0]?.quarters ?? 0) / 4)} plates. ${
                data.evenings[0]?.packs.length
                  ? data.evenings[0].packs
                      .map((p) => p.name)
                      .filter((n, i, a) => a.indexOf(n) === i)
                      .join(' and ')
                  : 'Nothing planned yet'
              }.`
        }
      >
        <Button onClick={() => setLog('1')}>Log a meal</Button>
      </PageHead>
      <Stack>
        <PastCard packs={data.past.map((p) => ({ ...p, eatBy: p.due.day ?? data.today }))} today={data.today} />
        <Settle data={data} onChanged={(packId, day) => setLog(packId, day)} />
        <Table data={data} />
        {asks && <HowWasIt asked={data.howWasIt} today={data.today} />}
        <Columns parts={[data.supplies.dinners, data.supplies.baby, data.supplies.broth].flatMap((x) => (x ? [1] : []))}>
          <SupplyCard today={data.today} supply={data.supplies.dinners} mark="meal" name="Dinners" />
          {data.supplies.baby && (
            <SupplyCard
              today={data.today}
              supply={data.supplies.baby}
              mark="puree"
              name={`Meals for ${data.eaters.find((e) => e.stage === 'baby')?.name ?? 'the baby'}`}
            />
          )}
          {data.supplies.broth && <SupplyCard today={data.today} supply={data.supplies.broth} mark="broth" name="Broth" />}
        </Columns>
        <Columns align="start" parts={[1.25, 1]}>
          <EatFirst data={data} onLog={(packId) => setLog(packId)} />
          <Stack>
            {data.fridge.length > 0 && (
              <Card aria-label="In the fridge">
                <Title order={2}>In the fridge</Title>
                <Rows>
                  {data.fridge.map((p) => (
                    <li key={p.packId}>
                      <KindMark kind={p.kind} size={22} />
                      <Box className="grow">
                        <Link className="main" to={`/p/${p.code}`}>
                          {p.name}, {amountOf(p)}
                        </Link>
                        <ColdLine pack={p} today={data.today} />
                        <NotFor says={p.notFor} />
                      </Box>
                      <Anchor component="button" size="xs" type="button" onClick={() => setLog(p.packId)}>
                        eaten
                      </Anchor>
                      <DueTag due={p.due} />
                    </li>
                  ))}
                </Rows>
              </Card>
            )}
            <CatchUp data={data} onLog={(day) => setLog('1', day)} />
            <Card aria-label="Dinners from here">
              <Title order={2}>Dinners from here</Title>
              {painted ? <RunwayChart supply={data.supplies.dinners} /> : <Skeleton h={chartHeight} />}
            </Card>
            <Card aria-label="Lately">
              <Title order={2}>Lately</Title>
              <Rows>
                {data.otherwise.map((m) => (
                  <li key={m.eventId} data-tight>
                    <Text span size="xs" c="dimmed" w={76}>
                      {sayNear(m.day, data.today)}
                    </Text>
                    <Box className="grow">
                      {m.meal}, {otherwise[m.how]}
                    </Box>
                    <Anchor
                      component="button"
                      size="xs"
                      type="button"
                      aria-label={`Take back: ${m.meal} ${sayNear(m.day, data.today)}`}
                      onClick={() => void undo({ kind: 'events', events: [{ id: m.eventId, subjects: [data.householdId] }] })}
                    >
                      take back
                    </Anchor>
                  </li>
                ))}
                {data.recent.slice(0, 8).map((r) => (
                  <li key={r.eventId} data-tight>
                    <Text span size="xs" c="dimmed" w={76}>
                      {sayNear(r.day, data.today)}
                    </Text>
                    <Box className="grow">
                      {r.name}
                      <Text component="div" size="xs" c="dimmed">
                        {r.who || sayPortions(r.portions)}
                      </Text>
                    </Box>
                    <Anchor
                      component="button"
                      size="xs"
                      type="button"
                      aria-label={`Change: ${r.name}, ${sayNear(r.day, data.today)}`}
                      onClick={() => setParams({ change: r.eventId }, { replace: true })}
                    >
                      change
                    </Anchor>
                  </li>
                ))}
              </Rows>
              <Text size="xs" c="dimmed">
                <Link to="/history">All of it, with undo</Link>
              </Text>
            </Card>
          </Stack>
        </Columns>
      </Stack>
      {params.get('change') && (
        <ChangeMeal
          key={params.get('change')}
          data={data}
          eventId={params.get('change') ?? ''}
          onClose={() => setParams({}, { replace: true })}
        />
      )}
      {logging !== null && <LogMeal data={data} what={logging} day={params.get('day') ?? undefined} onClose={() => setLog(null)} />}
    </Page>
  );
}
