import { Anchor, Box, Button, Card, Group, Text, TextInput, Title } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { countOf, listOf, quarterUp, sayMinutes, sayPortions } from '#core/kitchen';
import { portionName } from '#core/session';
import type { RecipeBrief, SessionParts } from '#core/queries';
import { useMeasures } from '../sync/measures.ts';
import { Figure, NotFor } from '../ui/ui.tsx';
import { okPortions, type PlannedDish } from './planDraft.ts';
import { KindMark } from '../draw/KindMark.tsx';
import { Rows } from '../ui/Rows.tsx';
import { Note } from '../ui/Note.tsx';

type ComesTo = SessionParts['draft'];

/** Portions that are worth a word: less than this is noise of arithmetic. */
const worthSaying = 0.01;

function PackingWords({ comesTo, batchId }: { comesTo: ComesTo | undefined; batchId: string }) {
  const { sayVolume } = useMeasures();
  const b = comesTo?.batches.find((x) => x.batch.id === batchId);
  if (!b) return null;
  if (!b.packing.ok)
    return (
      <Text span inherit c="var(--tomato)">
        {b.packing.why === 'portionTooLarge'
          ? `one portion (${sayVolume(Math.round(b.packing.portionMl))}) is larger than every container${b.packing.nearest ? `, nearest ${b.packing.nearest.name}` : ''}`
          : b.packing.why === 'nothingFree'
            ? 'no container that fits is free'
            : 'less than one portion'}
      </Text>
    );
  const parts = b.packing.choice.groups.map((g) => `${g.packs} × ${g.container.name} of ${sayPortions(g.portionsEach)}`);
  return (
    <>
      {parts.join(', ')}
      {b.packing.choice.tonightMl >= 20 ? `; ${sayVolume(Math.round(b.packing.choice.tonightMl))} for tonight` : ''}
      {b.cubes && b.cubes.rounds > 0 ? `; trays in ${countOf(b.cubes.rounds, 'round')}` : ''}
    </>
  );
}

/** A dish on the plan: what it is packed in, what was noted last time, how many portions. */
export function PickedDish({
  dish: { batch, text },
  brief,
  comesTo,
  onType,
  onRemove,
}: {
  dish: PlannedDish;
  brief: RecipeBrief | undefined;
  comesTo: ComesTo | undefined;
  onType: (text: string) => void;
  onRemove: () => void;
}) {
  const kind = brief?.recipe.kind ?? 'meal';
  return (
    <li>
      <KindMark kind={kind} size={28} />
      <Box className="grow">
        <Link className="main" to={`/recipes/${batch.recipeId}?portions=${text}`}>
          {brief?.recipe.name ?? 'a recipe that is gone'}
        </Link>
        <Text component="div" c="dimmed" fz={15}>
          <PackingWords comesTo={comesTo} batchId={batch.id} />
          {comesTo?.notes
            .filter((n) => n.recipeId === batch.recipeId)
            .map((n) => (
              <Text span inherit c="var(--saffron)" key={n.text} display="block">
                Last time you noted: “{n.text}”
              </Text>
            ))}
          {batch.unsalted ? `; ${sayPortions(batch.unsalted)} dipped out before the salt` : ''}
        </Text>
        <NotFor says={brief?.notFor ?? []} />
      </Box>
      <Figure label={`Portions of ${brief?.recipe.name ?? 'dish'}`} value={text} onChange={onType} bad={!okPortions(text)} loud />
      <Text span inherit c="dimmed" w={66}>
        {portionName(kind, Number(text))}
      </Text>
      <Anchor component="button" size="xs" type="button" aria-label={`Remove ${brief?.recipe.name ?? 'dish'}`} onClick={onRemove}>
        remove
      </Anchor>
    </li>
  );
}

/** What dishes draw from a base; where it is short, the base can be cooked too, unless it is on the plan already (no brief). */
export function BaseNote({
  base: b,
  brief,
  onAdd,
}: {
  base: ComesTo['bases'][number];
  brief: RecipeBrief | undefined;
  onAdd: (r: RecipeBrief, portions: number) => void;
}) {
  const short = b.short > worthSaying;
  const cook = Math.max(brief?.servings ?? 0, quarterUp(b.asked - b.inStore));
  return (
    <Note tone={short ? 'warn' : 'plain'} mt={8}>
      <Group>
        <Text className="grow" span inherit>
          <b>{b.name}</b>: {sayPortions(quarterUp(b.asked))} drawn by {listOf(b.draws.map((d) => d.name))}
          {b.made > 0 ? `, ${sayPortions(b.made)} made here` : ''}
          {b.inStore > 0 ? `, ${sayPortions(b.inStore)} in store` : ''}
          {short ? '; not enough yet' : ''}.
        </Text>
        {short && brief && (
          <Button variant="outline" size="sm" onClick={() => onAdd(brief, cook)}>
            Cook {sayPortions(cook)} of it too
          </Button>
        )}
      </Group>
    </Note>
  );
}

/** Recipes that are not on the plan yet, those that run out first. */
export function AddDish({
  recipes,
  dishes,
  onAdd,
}: {
  recipes: readonly RecipeBrief[];
  dishes: readonly PlannedDish[];
  onAdd: (r: RecipeBrief, portions: number) => void;
}) {
  const [query, setQuery] = useState('');
  const words = query.toLowerCase().split(/\s+/).filter(Boolean);
  const offered = recipes
    .filter(
      (r) =>
        r.canPlan &&
        !dishes.some((p) => p.batch.recipeId === r.recipe.id) &&
        words.every((w) => `${r.recipe.name} ${r.recipe.kind} ${r.tags.join(' ')}`.toLowerCase().includes(w)),
    )
    .toSorted((a, b) => a.portionsInStore - b.portionsInStore)
    .slice(0, 7);
  return (
    <Card aria-label="Add a dish">
      <Group justify="space-between" align="baseline" mb={8}>
        <Title order={2}>Add a dish</Title>
        <TextInput
          type="search"
          placeholder="Find a recipe"
          aria-label="Find a recipe"
          value={query}
          onChange={(e) => setQuery(e.currentTarget.value)}
        />
      </Group>
      {offered.length === 0 ? (
        <Text inherit c="dimmed">
          {recipes.length === 0 ? (
            <>
              No recipes yet. <Link to="/recipes/new">Bring one in</Link>.
            </>
          ) : (
            'Nothing else of that name.'
          )}
        </Text>
      ) : (
        <Rows>
          {offered.map((r) => (
            <li key={r.recipe.id}>
              <KindMark kind={r.recipe.kind} size={22} />
              <Box className="grow">
                <b>{r.recipe.name}</b>
                <Text component="div" size="xs" c="dimmed">
                  {r.portionsInStore === 0
                    ? 'none in store'
                    : `${sayPortions(r.portionsInStore)} ${portionName(r.recipe.kind, r.portionsInStore)} in store`}
                  , {sayMinutes(r.handsMin)} of hands
                </Text>
                <NotFor says={r.notFor} />
              </Box>
              <Button
                variant="outline"
                size="sm"
                aria-label={`Add ${r.recipe.name}`}
                onClick={() => onAdd(r, r.servings * (r.recipe.kind === 'meal' ? 2 : 1))}
              >
                Add
              </Button>
            </li>
          ))}
        </Rows>
      )}
    </Card>
  );
}
