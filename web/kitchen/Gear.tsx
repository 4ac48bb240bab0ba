import { Anchor, Box, Button, Card, Checkbox, Group, Stack, Text, Title } from '@mantine/core';
import type { Equipment, Figures } from '#core/contract';
import { bowlUsable, potUsable } from '#core/recipe';
import type { KitchenAnswer } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { GearForm } from './GearForm.tsx';
import { gearKinds, kindOf, type GearKind } from './gearKinds.ts';
import { useMeasures, type Measures } from '../sync/measures.ts';
import { Rows } from '../ui/Rows.tsx';
import { useOpened } from '../form/useOpened.ts';
import { Columns } from '../ui/Columns.tsx';

const heat: readonly { kind: Equipment['kind']; name: string; count: number; of: string }[] = [
  { kind: 'hob', name: 'Hob', count: 4, of: 'burners' },
  { kind: 'oven', name: 'Oven', count: 2, of: 'shelves' },
  { kind: 'microwave', name: 'Microwave', count: 1, of: '' },
];

/** Millimetres to the picture's points; one scale for everything on this shelf. */
const scale = 0.5;

function size(e: Equipment): { w: number; h: number } {
  if (e.diameterMm !== undefined) return { w: e.diameterMm * scale, h: (e.heightMm ?? 120) * scale };
  // a bowl is about as wide as it is high
  const side = Math.cbrt((e.litres ?? 2) * 1e6) * 1.05;
  return { w: side * scale, h: side * scale };
}

function limitShare(e: Equipment, figures: Figures): number | undefined {
  const u = e.kind === 'processor' || e.kind === 'blender' ? bowlUsable(e, 'puree', figures) : e.kind === 'pot' ? potUsable(e) : undefined;
  return u && u.ml / u.brimMl;
}

function Drawn({ e, tallest, figures }: { e: Equipment; tallest: number; figures: Figures }) {
  const { w, h } = size(e);
  const limit = limitShare(e, figures);
  const bowl = kindOf(e.kind).group === 'bowl';
  const fill = limit === undefined ? h * 0.25 : h * (1 - limit);
  return (
    <svg width={w + 34} height={tallest + 8} viewBox={`0 0 ${w + 34} ${tallest + 8}`} aria-hidden="true">
      <g transform={`translate(17 ${tallest - h + 4})`}>
        <path d={`M1 ${fill}V${h - 6}a6 6 0 0 0 6 6H${w - 7}a6 6 0 0 0 6-6V${fill}Z`} fill="var(--frost)" />
        <path
          d={bowl ? `M0 0L5 ${h - 6}a6 6 0 0 0 6 6H${w - 11}a6 6 0 0 0 6-6L${w} 0` : `M0 0V${h - 6}a6 6 0 0 0 6 6H${w - 6}a6 6 0 0 0 6-6V0`}
          fill="none"
          stroke="var(--rim)"
          strokeWidth="2.200"
        />
        {!bowl && <path d={`M-13 ${h * 0.2}H0M${w} ${h * 0.2}h13`} stroke="var(--rim)" strokeWidth="4" />}
        {limit !== undefined && <path d={`M2 ${fill}H${w - 2}`} stroke="var(--tomato)" strokeDasharray="4 3" strokeWidth="1.600" />}
      </g>
    </svg>
  );
}

function says(e: Equipment, { sayMass }: Measures): string {
  const parts = [
    e.litres ? `${e.litres} L` : '',
    kindOf(e.kind).group === 'vessel' && e.tareG ? `${sayMass(e.tareG)} empty` : '',
    e.watts ? `${e.watts} W` : '',
    e.widthMm && e.depthMm ? `${e.widthMm} x ${e.depthMm} mm` : '',
    e.kg ? `${e.kg} kg` : '',
  ].filter(Boolean);
  return parts.join(', ');
}

function Shelf({ list, figures, onEdit }: { list: readonly Equipment[]; figures: Figures; onEdit: (e: Equipment) => void }) {
  const measures = useMeasures();
  const tallest = Math.max(60, ...list.map((e) => size(e).h));
  return (
    <Group align="flex-end" gap={22}>
      {list.map((e) => (
        <Box ta="center" miw={108} key={e.id}>
          <Drawn e={e} tallest={tallest} figures={figures} />
          <Text component="div" inherit fw={700} pt={6} style={{ borderTop: '4px solid var(--kind-bread)' }}>
            {e.name}
            {e.count > 1 ? `, ${e.count}${e.kind === 'steamer' ? ' tiers' : ''}` : ''}
          </Text>
          <Text component="div" size="xs" c="dimmed">
            {says(e, measures) || 'size not known yet'}
          </Text>
          {e.kind === 'pot' && !e.tareG && (
            <Text component="div" size="xs" c="var(--saffron)">
              weigh it empty once
            </Text>
          )}
          <Anchor component="button" size="xs" type="button" onClick={() => onEdit(e)} aria-label={`Change ${e.name}`}>
            change
          </Anchor>
        </Box>
      ))}
    </Group>
  );
}

function GearRows({
  kinds,
  data,
  onEdit,
  onAdd,
}: {
  kinds: readonly GearKind[];
  data: KitchenAnswer;
  onEdit: (e: Equipment) => void;
  onAdd: (k: Equipment['kind']) => void;
}) {
  const measures = useMeasures();
  return (
    <Rows>
      {kinds.flatMap((k) => {
        const mine = data.equipment.filter((e) => e.kind === k.kind && e.count > 0);
        if (mine.length === 0)
          return [
            <li key={k.kind}>
              <Text className="grow" span inherit c="dimmed">
                {k.name}
              </Text>
              <Anchor component="button" size="xs" type="button" onClick={() => onAdd(k.kind)} aria-label={`Add: ${k.name}`}>
                there is one
              </Anchor>
            </li>,
          ];
        return mine.map((e) => (
          <li key={e.id}>
            <Box className="grow">
              <b>{e.name}</b>
              {e.count > 1 ? `, ${e.count} ${k.count === 'How many' ? 'of them' : k.count.toLowerCase()}` : ''}
              <Text component="div" size="xs" c="dimmed">
                {says(e, measures)}
              </Text>
            </Box>
            <Anchor component="button" size="xs" type="button" onClick={() => onEdit(e)} aria-label={`Change ${e.name}`}>
              change
            </Anchor>
          </li>
        ));
      })}
    </Rows>
  );
}

/** What there is to cook with, drawn at one scale, with the quiet bottlenecks beside it. */
export function Gear({ data }: { data: KitchenAnswer }) {
  const measures = useMeasures();
  const { write } = useCommands();
  const editing = useOpened();
  const open = data.equipment.find((e) => e.id === editing.id);
  /** A new one is named by its kind in the address. */
  const added = gearKinds.find((k) => editing.id === `new-${k.kind}`)?.kind;
  const change = (e: Equipment): void => editing.open(e.id);
  const add = (kind: Equipment['kind']): void => editing.open(`new-${kind}`);
  const drawn = (group: GearKind['group']): Equipment[] => data.equipment.filter((e) => e.count > 0 && kindOf(e.kind).group === group);
  const vessels = drawn('vessel');
  const bowls = drawn('bowl');
  return (
    <Columns parts={[1.35, 1]} align="start">
      <Stack>
        <Card aria-label="Pots">
          <Group justify="space-between" align="baseline" mb={8}>
            <Title order={2}>Pots, side by side</Title>
            <Text span inherit c="dimmed">
              the dashed line is how far each is filled
            </Text>
          </Group>
          {vessels.length === 0 ? (
            <Text inherit c="dimmed">
              No pots yet. Add the ones you cook big batches in.
            </Text>
          ) : (
            <Shelf list={vessels} figures={data.figures} onEdit={change} />
          )}
          <Box mt={14}>
            <Button variant="outline" onClick={() => add('pot')}>
              Add a pot
            </Button>
          </Box>
        </Card>
        <Card aria-label="Bowls and steamer">
          <Title order={2}>Bowls and steamer</Title>
          {bowls.length === 0 ? (
            <Text inherit c="dimmed">
              Nothing yet. Bowl loads are worked out once a blender or processor is here.
            </Text>
          ) : (
            <Shelf list={bowls} figures={data.figures} onEdit={change} />
          )}
          <Group mt={14}>
            {(['processor', 'blender', 'steamer'] as const).map((k) => (
              <Button variant="outline" key={k} onClick={() => add(k)}>
                Add a {kindOf(k).name.toLowerCase()}
              </Button>
            ))}
          </Group>
        </Card>
      </Stack>
      <Stack>
        <Card aria-label="Heat">
          <Title order={2}>Heat</Title>
          <Rows>
            {heat.map((x) => {
              const mine = data.equipment.find((e) => e.kind === x.kind);
              const on = (mine?.count ?? 0) > 0;
              return (
                <li key={x.kind}>
                  <Checkbox
                    aria-label={x.name}
                    checked={on}
                    onChange={() =>
                      void write(
                        [
                          {
                            table: 'equipment',
                            id: mine?.id ?? `gear_${x.kind}`,
                            data: { ...(mine ?? { id: `gear_${x.kind}`, name: x.name, kind: x.kind }), count: on ? 0 : x.count },
                            was: mine ?? null,
                          },
                        ],
                        on ? `No ${x.name.toLowerCase()}` : `${x.name} noted`,
                      )
                    }
                  />
                  <Box className="grow">
                    <b>{x.name}</b>
                    <Text component="div" size="xs" c="dimmed">
                      {on
                        ? [x.of ? `${mine?.count ?? x.count} ${x.of}` : '', mine ? says(mine, measures) : '', mine?.heat ?? '']
                            .filter(Boolean)
                            .join(', ') || 'labels say how to use it'
                        : 'left out of labels and plans'}
                    </Text>
                  </Box>
                  {on && mine && (
                    <Anchor component="button" size="xs" type="button" onClick={() => change(mine)} aria-label={`Change ${x.name}`}>
                      change
                    </Anchor>
                  )}
                </li>
              );
            })}
          </Rows>
        </Card>
        <Card aria-label="Trays">
          <Title order={2}>Trays and dryers</Title>
          <GearRows kinds={gearKinds.filter((k) => k.group === 'tray')} data={data} onEdit={change} onAdd={add} />
        </Card>
        <Card aria-label="Also here">
          <Title order={2}>Also here</Title>
          <GearRows kinds={gearKinds.filter((k) => k.group === 'other')} data={data} onEdit={change} onAdd={add} />
        </Card>
      </Stack>
      {(open ?? added) && <GearForm key={editing.id} gear={open} data={data} {...(added && { kind: added })} onClose={editing.close} />}
    </Columns>
  );
}
