import { Box, Button, Card, Group, Stack, Text, Title } from '@mantine/core';
import { Link, Navigate } from 'react-router';
import { clockOf, isDinner, listOf, sayLongDay, sayPortions } from '#core/kitchen';
import { asksAboutDinner } from '#core/session';
import { useFrameQuery, useTodayQuery } from '../sync/api.ts';
import { Cautions, NotFor, Page, PageHead, Waiting } from '../ui/ui.tsx';
import { PrintAgain } from './PrintAgain.tsx';
import { TakeCopy } from './TakeCopy.tsx';
import { PastCard } from '../eat/PastCard.tsx';
import { SessionHeader } from '../session/SessionHeader.tsx';
import { missing, steps } from '../welcome/steps.ts';
import { AtTheTable } from './AtTheTable.tsx';
import { EveningQuestion, WhatWasIt } from './EveningQuestion.tsx';
import { Now } from './Now.tsx';
import { EatFirst, Lasting, Week } from './Cards.tsx';
import { HalfMade } from '../ui/HalfMade.tsx';
import { Note } from '../ui/Note.tsx';
import { AfterPaint } from '../ui/AfterPaint.tsx';
import { useEver } from '../ui/useEver.ts';
import { Columns } from '../ui/Columns.tsx';
import { aside } from '../ui/aside.tsx';

const HowWasIt = aside(() => import('../eat/HowWasIt.tsx'));

/** Today: the next thing to do, what to eat first, how long it lasts. */
export function TodayPage() {
  const { data, error, refetch } = useTodayQuery();
  const frame = useFrameQuery().data;
  const asksHow = useEver((data?.howWasIt.length ?? 0) > 0);
  if (!data || !frame) return <Waiting error={error} refetch={() => void refetch()} />;
  const open = missing(frame.setup);
  if (open.length === steps.length && !sessionStorage.getItem('tambo.welcomeLeft')) return <Navigate to="/welcome" replace />;
  const { view } = data;
  const tonight = view.tonight.packs.filter(isDinner);
  const names = [...new Set(tonight.map((p) => p.name))];
  const plates = sayPortions(view.tonight.quarters / 4);
  const evening = !view.tonight.logged && asksAboutDinner(frame.household, clockOf(frame.now, frame.household.timeZone));
  const asks = evening && names.length > 0;
  const lead = view.tonight.logged
    ? 'Tonight’s dinner is written down.'
    : names.length > 0
      ? `Tonight: ${names.join(' and ')}, ${plates} plates, at ${frame.household.dinnerAt}.`
      : view.tonight.quarters > 0
        ? `Tonight: ${plates} plates at ${frame.household.dinnerAt}, nothing planned from the freezer yet.`
        : 'Nobody is at the table tonight.';
  return (
    <Page>
      <PageHead big title={sayLongDay(data.today)} lead={lead}>
        {data.eaters.length > 0 && !view.tonight.logged && <AtTheTable data={data} />}
        {!view.tonight.logged && names.length > 0 && !asks && (
          <Button component={Link} to="/eat?log=tonight">
            Log tonight’s dinner
          </Button>
        )}
      </PageHead>
      {asks && <EveningQuestion data={data} dish={names.join(' and ')} />}
      {evening && names.length === 0 && view.tonight.quarters > 0 && <WhatWasIt data={data} householdId={frame.household.id} />}
      {!asks && names.length > 0 && !view.tonight.logged && <NotFor says={view.tonight.notFor} />}
      <PastCard packs={view.past.map(({ pack, eatBy }) => ({ ...pack, seen: pack.seen ?? pack.packId, eatBy }))} today={data.today} />
      <HalfMade />
      <PrintAgain {...data.printAgain} />
      {data.demoOld && (
        <Note tone="warn" mb={14}>
          <Group wrap="nowrap">
            <Text className="grow" span inherit>
              The demo household has lived on for a week. To start it afresh at today, stop Tambo and type <b>npm run demo -- --reset</b>.
            </Text>
          </Group>
        </Note>
      )}
      {open.length > 0 && (
        <Card mb={16} aria-label="Set up">
          <Group wrap="nowrap">
            <Box className="grow">
              <Title order={2}>
                {open.length === steps.length ? 'Set up your kitchen' : `Still open: ${listOf(open.map((s) => s.says))}`}
              </Title>
              <Text inherit c="dimmed">
                Each takes a few minutes; numbers get right as you go.
              </Text>
            </Box>
            <Button component={Link} to={`/welcome?step=${steps.findIndex((s) => s.id === open[0]?.id) + 1}`}>
              Go on
            </Button>
          </Group>
        </Card>
      )}
      {open.length === steps.length ? null : (
        <>
          <Columns align="start" parts={[1.15, 1.1, 0.95]}>
            <Now data={data} zone={frame.household.timeZone} now={frame.now} />
            <EatFirst data={data} />
            <Stack>
              <Lasting data={data} />
              <Week data={data} />
            </Stack>
          </Columns>
          {asksHow && (
            <AfterPaint>
              <Box mt={16}>
                <HowWasIt asked={data.howWasIt} today={data.today} />
              </Box>
            </AfterPaint>
          )}
          {data.next && (
            <Box mt={16}>
              <SessionHeader brief={data.next} />
            </Box>
          )}
          <Cautions list={data.cautions} title="When it comes out of the freezer" />
        </>
      )}
      {data.takeCopy && <TakeCopy />}
    </Page>
  );
}
