import { Anchor, Box, Button, Group, Text, Title } from '@mantine/core';
import { sayPortions } from '#core/kitchen';
import { portionName } from '#core/session';
import type { EatAnswer, PackBrief } from '#core/queries';
import { KindMark } from '../draw/KindMark.tsx';
import { Columns } from '../ui/Columns.tsx';
import { Note } from '../ui/Note.tsx';
import { datedAs } from '../ui/packWords.ts';
import { NotFor, Stepper } from '../ui/ui.tsx';
import { dishSums, type DishSaid } from './mealSaid.ts';

/** One who eats, with a stepper. */
function Helping({ name, value, step, onChange }: { name: string; value: number; step: number; onChange: (n: number) => void }) {
  return (
    <Note bg={value > 0 ? 'var(--pale)' : 'var(--card)'} style={{ justifyContent: 'space-between', border: '1.5px solid var(--rim-soft)' }}>
      <Group wrap="nowrap">
        <b>{name}</b>
        <Stepper label={name} value={value} step={step} say={sayPortions} onChange={onChange} />
      </Group>
    </Note>
  );
}

/** Of one dish of a meal: who ate how much, and where the rest goes. */
export function DishHelpings({
  packs,
  dish,
  eaters,
  say,
  onOther,
  onRemove,
}: {
  packs: readonly PackBrief[];
  dish: DishSaid;
  eaters: EatAnswer['eaters'];
  say: (next: DishSaid, field?: string) => void;
  /** Another pack in place of it. */
  onOther: () => void;
  /** It was not eaten after all; absent for the only one. */
  onRemove: (() => void) | undefined;
}) {
  const first = packs[0];
  if (!first) return null;
  const { held, total, over, stays } = dishSums(packs, dish);
  const step = first.kind === 'puree' || first.kind === 'aromatic' || first.kind === 'bread' ? 1 : 0.25;
  return (
    <Box component="section" aria-label={first.name}>
      <Group wrap="nowrap" mb={12}>
        <KindMark kind={first.kind} size={34} />
        <Box className="grow">
          <Title order={2} m={0}>
            {first.name}
          </Title>
          <Text component="div" c="dimmed" fz={15}>
            {packs.map((p) => p.code).join(', ')}: {sayPortions(held)} {portionName(first.kind, held)}, {datedAs(first)}
          </Text>
        </Box>
        {onRemove && (
          <Anchor component="button" type="button" size="sm" aria-label={`Leave out ${first.name}`} onClick={onRemove}>
            leave out
          </Anchor>
        )}
        <Button variant="outline" size="sm" onClick={onOther}>
          Another pack
        </Button>
      </Group>
      <NotFor says={[...new Set(packs.flatMap((p) => p.notFor))]} />
      {first.cold === 'thawing' && <Note tone="warn">It is still thawing: some ice may be left. Heat it by the minutes from frozen.</Note>}
      <Columns parts={[1, 1]} gap={10}>
        {eaters.map((e) => (
          <Helping
            key={e.id}
            name={e.name}
            value={dish.eaten[e.id] ?? 0}
            step={step}
            onChange={(n) => say({ ...dish, eaten: { ...dish.eaten, [e.id]: n } }, e.id)}
          />
        ))}
        <Helping name="Guests" value={dish.guests} step={step} onChange={(guests) => say({ ...dish, guests }, 'guests')} />
      </Columns>
      {over && (
        <Note tone="warn" mt={12} role="alert">
          That is {sayPortions(total - held)} more than these packs hold. Take some off, or add another pack of it from the store.
        </Note>
      )}
      {stays > 0 && !over && (
        <Note tone="good" mt={12}>
          <Group>
            <Text className="grow" span inherit>
              <b>
                {sayPortions(stays)} {portionName(first.kind, stays)}
              </b>{' '}
              {stays === 1 ? 'stays' : 'stay'}: where?
            </Text>
            {(['fridge', 'freezer', 'binned'] as const).map((r) => (
              <Button variant="chip" key={r} aria-pressed={dish.rest === r} onClick={() => say({ ...dish, rest: r })}>
                {r === 'binned' ? 'binned' : `in the ${r}`}
              </Button>
            ))}
          </Group>
          {dish.rest === 'fridge' && <Box mt={6}>A fridge clock starts now; it then comes first in Eat first.</Box>}
          {dish.rest === 'freezer' && first.status === 'fridge' && (
            <Box mt={6}>It has thawed: freezing it again is not advised. Take this only when the rest was still frozen.</Box>
          )}
        </Note>
      )}
    </Box>
  );
}
