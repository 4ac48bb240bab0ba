import { Box, Table, Text, VisuallyHidden } from '@mantine/core';
import { Area, CartesianGrid, ComposedChart, Line, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { sayDay, sayDayYear, sayPortions } from '#core/kitchen';
import type { Supply } from '#core/session';

/** Portions left over the days: the middle line and the band between its 10 and 90 % quantiles. */
export default function RunwayChart({ supply }: { supply: Supply }) {
  const r = supply.runway;
  if (r.points.length < 2 || r.left <= 0)
    return (
      <Text inherit c="dimmed">
        Nothing is in store, so there is nothing to draw.
      </Text>
    );
  const rows = r.points.map((p) => ({ day: p.day, band: [p.low, p.high] as [number, number], middle: p.middle }));
  return (
    <Box h={220} role="img" aria-label={`${supply.unit} ${supply.says}`}>
      <ResponsiveContainer width="100%" height="100%" initialDimension={{ width: 420, height: 220 }}>
        <ComposedChart data={rows} margin={{ top: 6, right: 8, bottom: 0, left: -18 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--line)" vertical={false} />
          <XAxis
            dataKey="day"
            tickFormatter={(d: string) => sayDay(d)}
            minTickGap={44}
            tick={{ fill: 'var(--quiet)', fontSize: 14 }}
            stroke="var(--rim-soft)"
          />
          <YAxis allowDecimals={false} tick={{ fill: 'var(--quiet)', fontSize: 14 }} stroke="var(--rim-soft)" />
          <Tooltip
            labelFormatter={(d) => sayDayYear(String(d))}
            formatter={(v, name) =>
              Array.isArray(v)
                ? [`${sayPortions(Number(v[0]))} to ${sayPortions(Number(v[1]))}`, 'may be']
                : [sayPortions(Number(v)), String(name)]
            }
          />
          <Area dataKey="band" name="may be" stroke="none" fill="var(--frost)" isAnimationActive={false} />
          <Line dataKey="middle" name="likely" stroke="var(--rim)" strokeWidth={2.5} dot={false} isAnimationActive={false} />
          {r.parPortions > 0 && r.parPortions < r.left && (
            <ReferenceLine
              y={r.parPortions}
              stroke="var(--saffron-fill)"
              strokeDasharray="4 4"
              label={{ value: 'a week in hand', fill: 'var(--saffron)', position: 'insideTopRight', fontSize: 14 }}
            />
          )}
        </ComposedChart>
      </ResponsiveContainer>
      <VisuallyHidden>
        <Table>
          <Table.Caption>Portions left by day</Table.Caption>
          <Table.Thead>
            <Table.Tr>
              <Table.Th>day</Table.Th>
              <Table.Th>low</Table.Th>
              <Table.Th>likely</Table.Th>
              <Table.Th>high</Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {r.points
              .filter((_, i) => i % 5 === 0)
              .map((p) => (
                <Table.Tr key={p.day}>
                  <Table.Th>{sayDayYear(p.day)}</Table.Th>
                  <Table.Td>{p.low}</Table.Td>
                  <Table.Td>{p.middle}</Table.Td>
                  <Table.Td>{p.high}</Table.Td>
                </Table.Tr>
              ))}
          </Table.Tbody>
        </Table>
      </VisuallyHidden>
    </Box>
  );
}
