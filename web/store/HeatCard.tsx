import { Box, Card, Group, Text, Title } from '@mantine/core';
import { useMeasures } from '../sync/measures.ts';
import type { HeatTexts } from '#core/session';
import { Rows } from '../ui/Rows.tsx';

/** How this pack is thawed and heated in this household: step by step, for its own weight and thickness. */
export function HeatCard({ heat, pack }: { heat: HeatTexts; pack: { massG: number; name: string } }) {
  const { sayMass } = useMeasures();
  const good = heat.ways.filter((w) => !w.refused);
  const refused = heat.ways.filter((w) => w.refused);
  return (
    <Card aria-label="Thaw and heat">
      <Group justify="space-between" align="baseline" mb={8}>
        <Title order={2}>Thaw and heat</Title>
        <Text span inherit c="dimmed">
          {heat.usual ? `usual times, for this pack of ${sayMass(pack.massG)}` : 'in the recipe’s own words'}
        </Text>
      </Group>
      {heat.thaw && (
        <p>
          <b>Thaw</b> {heat.thaw}.
        </p>
      )}
      {!heat.usual && heat.heat[0]?.[0] && <p>{heat.heat[0][0]}</p>}
      {heat.dose.map((d) => (
        <p key={d}>{d}.</p>
      ))}
      <Rows>
        {good.map((w, i) => (
          <Box component="li" key={w.id} display="block">
            {i === 0 ? (
              <>
                <b>{w.title}.</b> {w.sentences.join(' ')}
              </>
            ) : (
              <details>
                <summary>{w.title}</summary>
                {w.sentences.join(' ')}
              </details>
            )}
          </Box>
        ))}
        {refused.map((w) => (
          <Text component="li" inherit c="dimmed" key={w.id}>
            {w.sentences.join(' ')}
          </Text>
        ))}
        {heat.notes.map((n) => (
          <li key={n}>{n}</li>
        ))}
      </Rows>
    </Card>
  );
}
