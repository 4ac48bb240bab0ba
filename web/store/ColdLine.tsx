import { Text } from '@mantine/core';
import { clockOf, dayOf, sayNear } from '#core/kitchen';
import type { PackBrief } from '#core/queries';
import { useFrameQuery } from '../sync/api.ts';
import { Note } from '../ui/Note.tsx';

/** The evening a pack is taken out for: the one it is planned for, unless it cannot be thawed by then. */
export const pullFor = (p: Pick<PackBrief, 'planned' | 'outFor'>): string =>
  p.planned && p.planned.day > p.outFor ? p.planned.day : p.outFor;

/** Where a pack stands in the cold, in a sentence: thawing until, thawed and to be eaten by, past. */
export function ColdLine({ pack, today }: { pack: PackBrief; today: string }) {
  const zone = useFrameQuery().data?.household.timeZone ?? 'UTC';
  const at = (instant: string): string => `${sayNear(dayOf(instant, zone), today)} ${clockOf(instant, zone)}`;
  const eatBy = pack.due.day === undefined ? '' : sayNear(pack.due.day, today);
  if (pack.cold === 'thawing' && pack.readyFrom && pack.readyBy)
    return (
      <Text c="dimmed" fz={15}>
        Thawing: ready from {at(pack.readyFrom)}, for certain by {at(pack.readyBy)}. Eat by {eatBy}.
      </Text>
    );
  if (pack.cold === 'thawed')
    return (
      <Text c="dimmed" fz={15}>
        Thawed. Eat by {eatBy}.
      </Text>
    );
  if (pack.cold === 'past') return <Note tone="warn">Its day in the fridge was {eatBy}. Binned, or eaten?</Note>;
  return null;
}
