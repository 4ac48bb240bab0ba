import { Box, Button, Card, Group, Text, Title } from '@mantine/core';
import { eat, planFor, type Act } from '#core/commands';
import { countOf, sayNear } from '#core/kitchen';
import { eatenAsPlanned } from '#core/eat';
import type { EatAnswer, PackBrief } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { KindMark } from '../draw/KindMark.tsx';
import { amountOf } from '../ui/packWords.ts';
import { Rows } from '../ui/Rows.tsx';

/** Enough for a minute; the rest comes after. */
const atOnce = 5;

interface Doubtful {
  first: PackBrief;
  packs: PackBrief[];
  day: string;
  meal: NonNullable<PackBrief['planned']>['meal'];
}

/** Packs of one dish for one meal are one question. */
function questions(data: EatAnswer): Doubtful[] {
  const found = new Map<string, Doubtful>();
  for (const p of data.probable) {
    const day = p.planned?.day ?? data.today;
    const meal = p.planned?.meal ?? 'dinner';
    const key = `${p.recipeId ?? p.name}|${day}|${meal}`;
    const q = found.get(key);
    if (q) q.packs.push(p);
    else found.set(key, { first: p, packs: [p], day, meal });
  }
  return [...found.values()].toSorted((a, b) => a.day.localeCompare(b.day));
}

/** The doubtful ones, settled in a minute: planned, their day has passed, nobody said. */
export function Settle({ data, onChanged }: { data: EatAnswer; onChanged: (packId: string, day: string) => void }) {
  const { log } = useCommands();
  const all = questions(data);
  if (all.length === 0) return null;
  const asked = all.slice(0, atOnce);
  const planned = (q: Doubtful): Act[] => {
    const eaten = eatenAsPlanned(q.packs, data.eaters, 0, { day: q.day, meal: q.meal });
    // of what nobody was home for, all is taken to have gone to guests
    const rows =
      eaten.length > 0
        ? eaten
        : q.packs.map((p) => ({ packId: p.packId, data: { day: q.day, meal: q.meal, shares: [], guests: p.left, rest: 'none' as const } }));
    const packs = new Map(q.packs.map((p) => [p.packId, p]));
    return rows.map((r) => eat(packs.get(r.packId) ?? r, r.data));
  };
  return (
    <Card aria-label="Probably eaten" data-tone="saffron" id="settle">
      <Group justify="space-between" align="baseline" mb={8}>
        <Title order={2}>{asked.length === 1 ? 'Was it eaten?' : `Were these ${asked.length} eaten?`}</Title>
        {asked.length > 1 && (
          <Button
            size="sm"
            onClick={() => void log(asked.flatMap(planned), `${countOf(asked.length, 'dish', 'dishes')}: eaten as planned`)}
          >
            All as planned
          </Button>
        )}
      </Group>
      <Rows>
        {asked.map((q) => (
          <li key={q.first.packId}>
            <KindMark kind={q.first.kind} size={24} />
            <Box className="grow">
              <b>
                {q.first.name}, {amountOf({ kind: q.first.kind, left: q.packs.reduce((s, p) => s + p.left, 0) })}
              </b>
              <Text component="div" size="xs" c="dimmed">
                planned for {sayNear(q.day, data.today)}, nobody said. Not counted in the store until you do.
              </Text>
            </Box>
            <Button size="sm" onClick={() => void log(planned(q), `${q.first.name}: eaten as planned`)}>
              As planned
            </Button>
            <Button variant="outline" size="sm" onClick={() => onChanged(q.first.packId, q.day)}>
              Changed
            </Button>
            <Button variant="outline" size="sm" onClick={() => void log(planFor(q.packs, undefined), `${q.first.name} is still there`)}>
              Still there
            </Button>
          </li>
        ))}
      </Rows>
      {all.length > asked.length && (
        <Text size="xs" c="dimmed">
          {all.length - asked.length} more after these.
        </Text>
      )}
    </Card>
  );
}
