import { Box, Button, Card, Group, Text, TextInput, Title } from '@mantine/core';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { sayMinutes, sayPortions } from '#core/kitchen';
import { inSession } from '#core/recipe';
import { portionName } from '#core/session';
import type { RecipeBrief, Starter } from '#core/queries';
import { useStartersQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { KindMark } from '../draw/KindMark.tsx';
import { NotFor } from '../ui/ui.tsx';
import { Rows } from '../ui/Rows.tsx';
import { fits, takeChanges, withDrawn } from '../welcome/takeStarters.ts';
import type { PlannedDish } from './planDraft.ts';

/** Offered at once: of one's own, and of those that come with Tambo. */
const mostOwn = 7;
const mostStarters = 3;

const usualPortions = (kind: string, servings: number): number => servings * (kind === 'meal' ? 2 : 1);

/** Recipes that are not on the plan yet, those that run out first; then those that come with Tambo, which become one's own by being added. */
export function AddDish({
  recipes,
  dishes,
  onAdd,
}: {
  recipes: readonly RecipeBrief[];
  dishes: readonly PlannedDish[];
  onAdd: (r: RecipeBrief, portions: number) => void;
}) {
  const { write } = useCommands();
  const [query, setQuery] = useState('');
  /** A starter that was taken and goes on the plan once it is one's own. */
  const [coming, setComing] = useState<string>();
  const words = query.toLowerCase().split(/\s+/).filter(Boolean);
  const meets = (text: string): boolean => words.every((w) => text.toLowerCase().includes(w));
  const offered = recipes
    .filter(
      (r) =>
        r.canPlan &&
        !dishes.some((p) => p.batch.recipeId === r.recipe.id) &&
        meets(`${r.recipe.name} ${r.recipe.kind} ${r.tags.join(' ')} ${r.holds.join(' ')}`),
    )
    .toSorted((a, b) => a.portionsInStore - b.portionsInStore)
    .slice(0, mostOwn);
  const { data: starters = [] } = useStartersQuery(undefined, { skip: query.trim().length < 2 });
  const own = new Set(recipes.map((r) => r.recipe.id));
  const ours =
    query.trim().length < 2
      ? []
      : starters
          .filter(
            (s) =>
              !own.has(s.recipe.id) &&
              fits(s) &&
              meets(`${s.recipe.name} ${s.recipe.kind} ${s.revision.tags.join(' ')} ${s.revision.lines.map((l) => l.name).join(' ')}`),
          )
          .slice(0, mostStarters);
  /** Of that name, and not yet looked through: it says so, and where to. */
  const unchecked = words.length === 0 ? [] : recipes.filter((r) => !r.canPlan && meets(r.recipe.name)).slice(0, mostStarters);
  const arrived = recipes.find((r) => r.recipe.id === coming);
  useEffect(() => {
    if (!arrived) return;
    setComing(undefined);
    onAdd(arrived, usualPortions(arrived.recipe.kind, arrived.servings));
  }, [arrived, onAdd]);
  const take = (s: Starter): void => {
    setComing(s.recipe.id);
    void write(takeChanges(withDrawn(starters, [s.recipe.id]), own), `${s.recipe.name} is in your recipes`);
  };
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
      {unchecked.map((r) => (
        <Text key={r.recipe.id} size="sm" mb={4}>
          {r.recipe.name} is not checked yet: what it is and how much it makes. <Link to={`/recipes/${r.recipe.id}`}>Check it</Link>, then
          it can be planned.
        </Text>
      ))}
      {offered.length + ours.length + unchecked.length === 0 ? (
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
                onClick={() => onAdd(r, usualPortions(r.recipe.kind, r.servings))}
              >
                Add
              </Button>
            </li>
          ))}
          {ours.map((s) => (
            <li key={s.recipe.id}>
              <KindMark kind={s.recipe.kind} size={22} />
              <Box className="grow">
                <b>{s.recipe.name}</b>
                <Text component="div" size="xs" c="dimmed">
                  comes with Tambo, {sayMinutes(inSession(s.revision.steps).reduce((t, x) => t + x.handsOnMin, 0))} of hands
                </Text>
                <NotFor says={s.check} />
              </Box>
              <Button
                variant="outline"
                size="sm"
                aria-label={`Take and add ${s.recipe.name}`}
                disabled={coming !== undefined}
                onClick={() => take(s)}
              >
                Take and add
              </Button>
            </li>
          ))}
        </Rows>
      )}
    </Card>
  );
}
