import { Badge, Box, Button, Card, Checkbox, Group, Text, Title } from '@mantine/core';
import { memo, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { sayDay, sayMinutes, sayPortions } from '#core/kitchen';
import { portionName } from '#core/session';
import { starsOf, type FoundRecipe, type RecipeBrief } from '#core/queries';
import { Becomes } from '../../draw/Becomes.tsx';
import { KindMark } from '../../draw/KindMark.tsx';
import { Columns } from '../../ui/Columns.tsx';
import type { Chosen } from './useChosen.ts';
import c from './Library.module.css';

/** Cards drawn at once. */
const cardsAtOnce = 60;

/** One recipe: what it is, what it becomes, whether there is some. */
function Inside({ brief: r, missing }: { brief: RecipeBrief; missing: number | undefined }) {
  const stars = starsOf(r);
  return (
    <>
      <Group wrap="nowrap" align="flex-start">
        <KindMark kind={r.recipe.kind} size={30} />
        <Title className="grow" order={3} fz={19}>
          {r.recipe.name}
        </Title>
      </Group>
      {r.becomes.count > 0 && <Becomes becomes={r.becomes} kind={r.recipe.kind} />}
      <Text component="div" c="dimmed" fz={15}>
        Written for {sayPortions(r.servings)} of {r.servingText}. {sayMinutes(r.handsMin)} of hands
        {r.waitMin > 0 ? `, ${sayMinutes(r.waitMin)} by itself` : ''}.
      </Text>
      <Text component="div" c="dimmed" fz={15}>
        {r.allergens.join('. ')}
      </Text>
      <Group gap={8} mt="auto">
        {r.portionsInStore > 0 ? (
          <Badge color="rim">
            {sayPortions(r.portionsInStore)} {portionName(r.recipe.kind, r.portionsInStore)} in store
          </Badge>
        ) : (
          <Badge color="saffron">none in store</Badge>
        )}
        {stars > 0 && (
          <Text span size="xs" fw={600}>
            ★ {stars}
          </Text>
        )}
        {r.lastMade && (
          <Text span size="xs" c="dimmed">
            made {sayDay(r.lastMade)}
          </Text>
        )}
        {missing !== undefined && (
          <Badge color={missing === 0 ? 'leaf' : 'rim'}>{missing === 0 ? 'nothing missing' : `${missing} missing`}</Badge>
        )}
        {!r.canPlan && <Badge color="tomato">{r.broken === undefined ? 'check it first' : 'cannot be worked out'}</Badge>}
      </Group>
    </>
  );
}

/** A card that leads to the recipe, or is ticked while several are chosen. */
const OneCard = memo(function OneCard({
  brief,
  missing,
  on,
  toggle,
}: {
  brief: RecipeBrief;
  /** How many foods are missing, where that was asked. */
  missing: number | undefined;
  /** Whether it is ticked; undefined while nothing is being chosen. */
  on: boolean | undefined;
  toggle: ((id: string) => void) | undefined;
}) {
  const { id, name } = brief.recipe;
  const inside: ReactNode = <Inside brief={brief} missing={missing} />;
  return on !== undefined ? (
    <Card component="label" className={c.card} data-on={on || undefined}>
      <Checkbox className={c.tick} aria-label={`Choose ${name}`} checked={on} onChange={() => toggle?.(id)} />
      {inside}
    </Card>
  ) : (
    <Card component={Link} td="none" c="inherit" className={c.card} to={`/recipes/${id}`}>
      {inside}
    </Card>
  );
});

/** The library as cards, sixty at once. */
export const LibraryCards = memo(function LibraryCards({
  found,
  have,
  chosen,
}: {
  found: readonly FoundRecipe[];
  have: boolean;
  chosen: Chosen | undefined;
}) {
  const [room, setRoom] = useState(cardsAtOnce);
  return (
    <>
      <Columns least={330}>
        {found.slice(0, room).map((f) => (
          <OneCard
            key={f.brief.recipe.id}
            brief={f.brief}
            missing={have ? f.missing : undefined}
            on={chosen?.ids.has(f.brief.recipe.id)}
            toggle={chosen?.toggle}
          />
        ))}
      </Columns>
      {found.length > room && (
        <Group mt={14}>
          <Button variant="outline" onClick={() => setRoom(room + cardsAtOnce)}>
            {Math.min(cardsAtOnce, found.length - room)} more
          </Button>
          <Box c="dimmed">
            {room} of {found.length} shown; search and kinds look through all.
          </Box>
        </Group>
      )}
    </>
  );
});
