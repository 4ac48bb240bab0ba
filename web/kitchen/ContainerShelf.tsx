import { Anchor, Box, Group, Text } from '@mantine/core';
import type { Container } from '#core/contract';
import { countOf, sayDay } from '#core/kitchen';
import { lentOf } from '#core/store';
import type { KitchenAnswer } from '#core/queries';
import { useMeasures } from '../sync/measures.ts';

const scale = 0.62;

function Shape({ c }: { c: Container }) {
  const w = c.widthMm * scale;
  const h = (c.shape === 'tray' ? c.depthMm : c.heightMm) * scale;
  const inset = ((c.widthMm - c.footMm) / 2) * scale;
  if (c.shape === 'bag')
    return (
      <g>
        <rect width={w} height={h} rx="4" fill="var(--pale)" stroke="var(--rim)" strokeWidth="2" />
        <path d={`M0 ${h * 0.07}H${w}`} stroke="var(--rim)" strokeWidth="3" />
      </g>
    );
  if (c.shape === 'tray' || c.shape === 'mould')
    return (
      <g>
        <rect width={w} height={h} rx="5" fill="var(--plum-pale)" stroke="var(--plum)" strokeWidth="2" />
        {Array.from({ length: c.cells ?? 12 }, (_, i) => {
          const cols = Math.ceil((c.cells ?? 12) / 2);
          return (
            <rect
              key={i}
              x={4 + (i % cols) * ((w - 8) / cols) + 1.5}
              y={4 + Math.floor(i / cols) * ((h - 8) / 2) + 1.5}
              width={(w - 8) / cols - 3}
              height={(h - 8) / 2 - 3}
              rx="2.5"
              fill="var(--card)"
              stroke="var(--plum)"
            />
          );
        })}
      </g>
    );
  return (
    <g>
      <path
        d={`M0 4L${inset} ${h}H${w - inset}L${w} 4`}
        fill={c.shape === 'pan' ? 'var(--wood)' : 'var(--pale)'}
        stroke={c.shape === 'pan' ? 'var(--kind-bread)' : 'var(--rim)'}
        strokeWidth="2"
      />
      {c.shape === 'box' && <path d={`M${w / 3} 6V${h - 2}M${(2 * w) / 3} 6V${h - 2}`} stroke="var(--rim)" strokeWidth="1.500" />}
      {c.shape === 'jar' && (
        <path d={`M${w * 0.06} ${h * 0.2}H${w * 0.94}`} stroke="var(--tomato)" strokeWidth="1.500" strokeDasharray="4 3" />
      )}
      <rect x={-4} y="0" width={w + 8} height="5" fill={c.shape === 'pan' ? 'var(--kind-bread)' : 'var(--rim)'} />
    </g>
  );
}

/** All containers on one board at one scale, with how many are free and what the next session takes. */
export function ContainerShelf({
  list,
  onEdit,
  onFewer,
  onBack,
}: {
  list: KitchenAnswer['containers'];
  onEdit: (c: Container) => void;
  onFewer: (c: Container) => void;
  onBack: (c: Container, loan: NonNullable<Container['lent']>[number]) => void;
}) {
  const { sayVolume } = useMeasures();
  const high = (c: Container): number => (c.shape === 'tray' || c.shape === 'mould' ? c.depthMm : c.heightMm) * scale;
  const tallest = Math.max(...list.map(({ container: c }) => high(c))) + 6;
  return (
    <Group align="flex-start" gap={28}>
      {list.map(({ container: c, free, toWash, wanted }) => (
        <Box ta="center" miw={116} key={c.id}>
          <svg width={c.widthMm * scale + 12} height={tallest} viewBox={`-6 0 ${c.widthMm * scale + 12} ${tallest}`} aria-hidden="true">
            <g transform={`translate(0 ${tallest - high(c) - 2})`}>
              <Shape c={c} />
            </g>
          </svg>
          <Text component="div" inherit fw={700} pt={6} style={{ borderTop: '4px solid var(--kind-bread)' }}>
            {c.name}
          </Text>
          <Text component="div" size="xs" c="dimmed">
            {c.cells !== undefined ? `${c.cells ?? 0} x ${sayVolume(c.fillMl)}` : `fill to ${sayVolume(c.fillMl)}`}
            {c.oneUse ? ', one use' : ''}
          </Text>
          <div>
            <Text span variant="mid" style={wanted > free ? { color: 'var(--tomato)' } : undefined}>
              {free}
            </Text>{' '}
            <Text span inherit c="dimmed">
              of {c.owned} free
            </Text>
          </div>
          {wanted > 0 && (
            <Text component="div" size="xs" c="dimmed" style={wanted > free ? { color: 'var(--tomato)' } : undefined}>
              {wanted} wanted next
            </Text>
          )}
          {c.tareG === undefined && c.shape !== 'bag' && (
            <Text component="div" size="xs" c="var(--saffron)">
              weigh an empty one once
            </Text>
          )}
          {toWash > 0 && (
            <Text component="div" size="xs" c="var(--saffron)">
              {countOf(toWash, 'one', 'of them')} to wash
            </Text>
          )}
          {(c.lent ?? []).map((l) => (
            <Text component="div" size="xs" c="dimmed" key={l.id}>
              {l.count} lent to {l.to}, {sayDay(l.day)}:{' '}
              <Anchor component="button" size="xs" type="button" onClick={() => onBack(c, l)} aria-label={`${c.name}, back from ${l.to}`}>
                back
              </Anchor>
            </Text>
          ))}
          <Group gap={14} justify="center">
            <Anchor component="button" size="xs" type="button" onClick={() => onEdit(c)} aria-label={`Change ${c.name}`}>
              change
            </Anchor>
            {c.owned > lentOf(c) && (
              <Anchor
                component="button"
                size="xs"
                type="button"
                onClick={() => onFewer(c)}
                aria-label={`Fewer of ${c.name}: broken or lent`}
              >
                broken, lent
              </Anchor>
            )}
          </Group>
        </Box>
      ))}
    </Group>
  );
}
