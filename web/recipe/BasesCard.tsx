import { Anchor, Box, Button, Card, Group, Text, Title } from '@mantine/core';
import { memo, useState } from 'react';
import { Link } from 'react-router';
import type { Revision } from '#core/contract';
import { listOf, quarterUp, sayPortions } from '#core/kitchen';
import { solveBases, type BasesResult, type ScaledRecipe } from '#core/recipe';
import { portionName } from '#core/session';
import { type RecipeAnswer } from '#core/queries';
import { numberIn } from './target.ts';
import { useMeasures, type Measures } from '../sync/measures.ts';
import { Figure } from '../ui/ui.tsx';
import { Note } from '../ui/Note.tsx';
import { Rows } from '../ui/Rows.tsx';

const problemWords = (r: Exclude<BasesResult, { ok: true }>): string => {
  if (r.why === 'circle') return `These draw from each other in a circle: ${r.names.join(', from ')}. Take one of the lines out.`;
  if (r.why === 'unknown') return `${r.name} is drawn from, but it is not in the library any more. Choose another recipe for that line.`;
  return `${r.name} cannot be turned into portions of ${r.base}: its weight per litre is not known. Weigh one full tub of it when you pack.`;
};

const amount = (d: { ml?: number; g?: number }, { sayMass, sayVolume }: Measures): string =>
  d.ml !== undefined ? sayVolume(Math.round(d.ml / 10) * 10) : d.g !== undefined ? sayMass(Math.round(d.g / 10) * 10) : '';

/** What a dish draws from others at its size, solved through everything it stands on. */
export function DrawsCard({ data, scaled }: { data: RecipeAnswer; scaled: ScaledRecipe }) {
  const measures = useMeasures();
  const all = new Map<string, Revision>([data.revision, ...data.drawn].map((r) => [r.recipeId, r]));
  if (!data.revision.lines.some((l) => l.item.type === 'recipe')) return null;
  const solved = solveBases([{ recipeId: data.revision.recipeId, portions: scaled.portions }], (id) => all.get(id));
  return (
    <Card aria-label="Draws from">
      <Title order={2}>Draws from</Title>
      {!solved.ok ? (
        <Note tone="bad" role="alert">
          {problemWords(solved)}
        </Note>
      ) : (
        <Rows>
          {solved.batches
            .filter((b) => b.recipeId !== data.revision.recipeId)
            .map((b) => {
              const kind = all.get(b.recipeId)?.kind ?? 'base';
              const made = quarterUp(b.portions);
              return (
                <li key={b.recipeId}>
                  <Box className="grow">
                    <Anchor component={Link} fw={700} to={`/recipes/${b.recipeId}?portions=${made}`}>
                      {b.name}
                    </Anchor>
                    <Text component="div" size="xs" c="dimmed">
                      {listOf(b.draws.map((d) => `${amount(d, measures)} for ${d.name}`))}
                    </Text>
                  </Box>
                  <Text span variant="mid">
                    {sayPortions(made)}{' '}
                    <Text span variant="unit">
                      {portionName(kind, made)}
                    </Text>
                  </Text>
                </li>
              );
            })}
        </Rows>
      )}
    </Card>
  );
}

/** How much of a base to make: what the dishes will draw, and what is packed besides. */
export const DrawnByCard = memo(function DrawnByCard({ data, onScale }: { data: RecipeAnswer; onScale: (portions: number) => void }) {
  const measures = useMeasures();
  const [wants, setWants] = useState<Record<string, string>>({});
  const [packed, setPacked] = useState('');
  if (data.drawnBy.length === 0) return null;
  const { revision } = data;
  const all = new Map<string, Revision>([revision, ...data.drawn, ...data.drawnBy].map((r) => [r.recipeId, r]));
  const asked = data.drawnBy.flatMap((r) => {
    const n = numberIn(wants[r.recipeId] ?? '');
    return n > 0 && n <= 2000 ? [{ recipeId: r.recipeId, portions: n }] : [];
  });
  const own = numberIn(packed);
  const solved = solveBases([...asked, ...(own > 0 ? [{ recipeId: revision.recipeId, portions: own }] : [])], (id) => all.get(id));
  const batch = solved.ok ? solved.batches.find((b) => b.recipeId === revision.recipeId) : undefined;
  const made = batch ? quarterUp(batch.portions) : 0;
  return (
    <Card aria-label="Drawn by">
      <Title order={2}>For which dishes?</Title>
      <Rows>
        {data.drawnBy.map((r) => {
          const draw = batch?.draws.find((d) => d.recipeId === r.recipeId);
          return (
            <li key={r.recipeId}>
              <Group className="grow" wrap="nowrap" component="label" gap={10}>
                <Text className="grow" span inherit>
                  <b>{r.name}</b>
                  <Text span size="xs" c="dimmed" display="block">
                    {draw ? `takes ${amount(draw, measures)}` : `written for ${sayPortions(r.servings)}`}
                  </Text>
                </Text>
                <Figure
                  label={`Portions of ${r.name}`}
                  value={wants[r.recipeId] ?? ''}
                  onChange={(text) => setWants({ ...wants, [r.recipeId]: text })}
                />
              </Group>
            </li>
          );
        })}
        <li>
          <Group className="grow" wrap="nowrap" component="label" gap={10}>
            <Text className="grow" span inherit>
              <b>Packed by itself</b>
            </Text>
            <Figure label="Portions packed by itself" value={packed} onChange={setPacked} />
          </Group>
        </li>
      </Rows>
      {!solved.ok && (
        <Note tone="bad" role="alert">
          {problemWords(solved)}
        </Note>
      )}
      <Group wrap="nowrap" mt={10} justify="space-between">
        <Text span variant="mid" role="status">
          {made > 0 ? `${sayPortions(made)} ${portionName(revision.kind, made)} to make` : 'Say how many of each'}
        </Text>
        <Button disabled={made === 0} onClick={() => onScale(made)}>
          Scale to that
        </Button>
      </Group>
    </Card>
  );
});
