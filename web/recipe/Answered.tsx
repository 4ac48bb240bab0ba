import { Badge } from '@mantine/core';
import { listOf } from '#core/kitchen';
import { useFrameQuery } from '../sync/api.ts';

/** What the cook answered about a food that is not known here. */
export function Answered({ contains }: { contains: readonly string[] }) {
  const names = useFrameQuery().data?.allergenNames ?? {};
  return (
    <Badge color="leaf">
      {contains.length === 0 ? 'you said: no allergens' : `you said: holds ${listOf(contains.map((c) => names[c] ?? c))}`}
    </Badge>
  );
}
