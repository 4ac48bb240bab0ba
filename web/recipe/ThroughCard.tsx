import { Box, Card, Group, Text, Title } from '@mantine/core';
import { Link } from 'react-router';
import { countOf, sayMinutes } from '#core/kitchen';
import { sayWhy, type Load, type Passage } from '#core/recipe';
import { Why } from '../ui/ui.tsx';
import { VesselDrawing } from '../draw/Vessels.tsx';
import { useMeasures, type Measures } from '../sync/measures.ts';

const openWords: Readonly<Record<Passage['open'][number], string>> = {
  noPots: 'No pot with a size is known, so loads and boil-off are not worked out.',
  noVolume: 'No weight per litre is known yet, so pots and bowls are not checked.',
  noTray: 'No sheet pan with a size is known, so oven loads are not worked out.',
  noSteamer: 'No steamer with a size is known, so steaming loads are not worked out.',
  noBowl: 'No blender or processor with a size is known, so bowl loads are not worked out.',
};

/** Low to high, rounded outwards: about 0.3 to 0.8 L. */
const span = (low: number, high: number, { sayVolume }: Measures): string => {
  const step = high >= 1000 ? 100 : 50;
  return `${sayVolume(Math.floor(low / step) * step)} to ${sayVolume(Math.ceil(high / step) * step)}`;
};

function loadWords(l: Load, { aboutVolume, sayMass }: Measures): string {
  if (l.eachG !== undefined)
    return `${l.loads === 1 ? 'in one dip' : `${countOf(l.loads, 'dip')} of ${sayMass(Math.round(l.eachG / 10) * 10)}`}`;
  if (l.use === 'oven') return l.loads === 1 ? 'in one go' : countOf(l.loads, 'round');
  if (l.loads === 1) return `${aboutVolume(l.eachMl)} at the fullest`;
  return l.rounds < l.loads ? `${l.loads} pots of ${aboutVolume(l.eachMl)} at once` : `${l.loads} loads of ${aboutVolume(l.eachMl)}`;
}

/** Pots, bowls, oven and steamer a batch goes through, drawn, with loads and times. */
export function ThroughCard({ passage }: { passage: Passage }) {
  const measures = useMeasures();
  const { aboutVolume } = measures;
  if (passage.loads.length === 0 && passage.open.length === 0) return null;
  const { boilOff, boilUp } = passage;
  return (
    <Card aria-label="What it goes through">
      <Title order={2}>What it goes through</Title>
      <Group gap={18} align="flex-end">
        {passage.loads.map((l) => (
          <Box ta="center" maw={330} key={l.stepId + l.use}>
            <Group wrap="nowrap" justify="center" align="flex-end" gap={0}>
              {l.vessels.slice(0, 3).map((v, i) => (
                <VesselDrawing key={`${v.id}${i}`} load={l} vessel={v} />
              ))}
            </Group>
            <Text component="div" inherit fw={700}>
              {l.vessels.map((v) => v.name).join(' and ')}
            </Text>
            <div style={l.loads > 1 ? { color: 'var(--saffron)', fontWeight: 700 } : undefined}>{loadWords(l, measures)}</div>
            <Why label={`${l.vessels[0]?.name ?? ''}, ${loadWords(l, measures)}`}>
              Filled {l.because.map(sayWhy).join('; ')}
              {l.use === 'oven' ? '.' : `: ${aboutVolume(l.usableMl)} of ${aboutVolume(l.brimMl)} to the brim.`}{' '}
              {l.loads > 1
                ? `Equal loads, ${Math.round(l.fill * 100)} % of that each; ${sayMinutes(l.totalMin)} in all, set up and emptied each time (a kitchen estimate).`
                : `It is ${Math.round(l.fill * 100)} % full by that.`}
            </Why>
          </Box>
        ))}
      </Group>
      {boilUp && (
        <Text inherit mt={10}>
          Boils after about <b>{sayMinutes(boilUp.value)}</b> on one burner.{' '}
          <Why label="time to boil">
            {sayMinutes(boilUp.low)} to {sayMinutes(boilUp.high)}, by how much of the burner’s power reaches the pot; from 15 to 95 °C, lid
            on. At the written size it is {sayMinutes(boilUp.writtenMin)}.{' '}
            {boilUp.assumed ? 'Your hob is taken as ceramic: say what it is in Kitchen.' : ''} The schedule waits by this.
          </Why>
        </Text>
      )}
      {boilOff && boilOff.high >= 30 && (
        <Text inherit mt={6}>
          About <b>{aboutVolume(boilOff.value)}</b> boils off in {sayMinutes(boilOff.minutes)}.{' '}
          <Why label="what boils off">
            {span(boilOff.low, boilOff.high, measures)}, by how hard it moves. It goes by the pot’s surface and the minutes, not by how much
            is in it, so the water above is set for this size. Computed from 12 to 30 kg per m² and hour for an open simmer; a lid ajar
            halves it.
          </Why>
        </Text>
      )}
      {passage.open.map((o) => (
        <Text size="xs" c="dimmed" mt={6} key={o}>
          {openWords[o]} <Link to="/kitchen?tab=gear">Kitchen</Link>
        </Text>
      ))}
    </Card>
  );
}
