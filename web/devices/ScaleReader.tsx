import { Badge, Button, Group, Text, Box } from '@mantine/core';
import { useEffect, useState } from 'react';
import type { ScaleReading } from '#core/queries';
import { standIn, type ScaleSource } from './scaleSource.ts';
import { useMeasures } from '../sync/measures.ts';
import { Figure } from '../ui/ui.tsx';
import { Note } from '../ui/Note.tsx';

/** How often a page looks at the scale while it is open. */
const everyMs = 350;

/** The scale, live: what it shows, whether it rests, tare, and taking the figure. The stand-in's hand stands below it. */
export function ScaleReader({
  source = standIn,
  onTake,
  takes = 'Take this',
}: {
  source?: ScaleSource;
  onTake: (grams: number) => void;
  takes?: string;
}) {
  const { sayMass } = useMeasures();
  const [reading, setReading] = useState<ScaleReading>();
  const [problem, setProblem] = useState('');
  const [put, setPut] = useState('');
  useEffect(() => {
    let going = true;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const look = async (): Promise<void> => {
      try {
        const r = await source.read();
        if (going) {
          setReading(r);
          setProblem('');
        }
      } catch (error) {
        if (going) setProblem(error instanceof Error ? error.message : 'The scale does not answer.');
      }
      if (going) timer = setTimeout(() => void look(), everyMs);
    };
    void look();
    return () => {
      going = false;
      clearTimeout(timer);
    };
  }, [source]);
  const put1 = Number(put.replace(',', '.'));
  return (
    <Box bg="var(--pale)" mt={12} px={14} py={12} bdrs={10} role="group" aria-label="Scale">
      <Group gap={14}>
        <Text
          component="output"
          bg="var(--card)"
          miw={170}
          px={14}
          py={6}
          bdrs={8}
          ff="heading"
          fz={34}
          fw={700}
          ta="right"
          aria-live="off"
        >
          {reading ? (reading.overload ? 'too heavy' : sayMass(reading.grams)) : '–'}
        </Text>
        <Badge role="status" color={reading?.stable ? 'leaf' : 'saffron'}>
          {!reading ? 'one moment' : reading.overload ? `more than ${sayMass(reading.capacityG)}` : reading.stable ? 'at rest' : 'settling'}
        </Badge>
        <Button variant="outline" onClick={() => void source.tare().then(setReading, () => setProblem('The scale does not answer.'))}>
          To zero
        </Button>
        <Button disabled={!reading?.stable || reading.grams <= 0} onClick={() => reading && onTake(reading.grams)}>
          {takes}
        </Button>
      </Group>
      {reading?.overload && (
        <Text inherit mt={8}>
          A full pot is too heavy for it: measure with a ruler or ladle it out instead.
        </Text>
      )}
      {problem && (
        <Note tone="bad" role="alert">
          {problem}
        </Note>
      )}
      {source.put && (
        <Group
          component="form"
          gap={8}
          mt={10}
          onSubmit={(e) => {
            e.preventDefault();
            if (put1 >= 0) void source.put?.(put1).then(setReading, () => setProblem('That cannot be put on it.'));
          }}
        >
          <Text span size="xs" c="dimmed">
            {reading?.name ?? 'Stand-in scale'}: no scale is connected, so say what lies on it,
          </Text>
          <Figure label="Grams on the stand-in scale" value={put} onChange={setPut} width={92} />
          <Button variant="outline" size="sm" type="submit" disabled={!(put1 >= 0) || put.trim() === ''}>
            g, put it on
          </Button>
        </Group>
      )}
    </Box>
  );
}
