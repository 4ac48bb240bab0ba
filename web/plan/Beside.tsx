import { Box, Card, SimpleGrid, Text, Title } from '@mantine/core';
import type { Day } from '#core/contract';
import { countOf, sayMinutes, sayPortions, sayWeekday } from '#core/kitchen';
import type { KitchenAnswer, SessionParts } from '#core/queries';
import { useMeasures } from '../sync/measures.ts';
import { Plates } from '../draw/Plates.tsx';
import { Rows } from '../ui/Rows.tsx';

/** Who is at the table over the next three weeks, with the day of the session among them. */
export function ThreeWeeks({ weeks, day }: { weeks: KitchenAnswer['weeks']; day: Day }) {
  const quarters = weeks.quarters.slice(0, 21);
  return (
    <Card mt={16} py={10} px={16} aria-label="Who is at the table">
      <SimpleGrid cols={{ base: 7, sm: 21 }} spacing={0} verticalSpacing={10} ta="center" style={{ alignItems: 'end' }}>
        {weeks.days.slice(0, 21).map((d, i) => (
          <div key={d}>
            <Plates quarters={quarters[i] ?? 0} covered={0} size={22} />
            <Box
              fz={14}
              fw={d === day ? 700 : 400}
              c={d === day ? 'var(--tomato)' : 'var(--quiet)'}
              style={{ borderTop: '3px solid var(--kind-bread)' }}
            >
              {d === day ? 'cook' : sayWeekday(d).slice(0, 2)}
            </Box>
          </div>
        ))}
      </SimpleGrid>
      <Text size="xs" c="dimmed" mt={4}>
        {sayPortions(quarters.reduce((s, q) => s + q, 0) / 4)} plates are asked for in the three weeks from today.
      </Text>
    </Card>
  );
}

/** Cutting that dishes share, done once. */
export function CutOnce({ tasks }: { tasks: SessionParts['draft']['cutOnce'] }) {
  return (
    <Card aria-label="Cut once">
      <Title order={2}>Cut once</Title>
      <Rows>
        {tasks.map((t) => (
          <li key={t.id} data-tight>
            <Box className="grow">
              <b>{t.title}</b>
              <Text component="div" size="xs" c="dimmed">
                {t.detail}
              </Text>
            </Box>
            <Text span inherit c="dimmed">
              {sayMinutes(t.handsOnMin)}
            </Text>
          </li>
        ))}
      </Rows>
      {tasks.length === 0 && (
        <Text inherit c="dimmed">
          These dishes share no cutting.
        </Text>
      )}
    </Card>
  );
}

/** How much there is to carry home. */
export function ToBuy({ buy }: { buy: SessionParts['draft']['buy'] }) {
  const { sayMass } = useMeasures();
  return (
    <Card aria-label="To buy">
      <Title order={2}>To buy, about</Title>
      <Text fz={15}>
        {countOf(buy.things, 'thing')}, {sayMass(buy.massG)} in all.
      </Text>
    </Card>
  );
}
