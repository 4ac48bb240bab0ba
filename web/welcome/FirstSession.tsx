import { Box, Button, Checkbox, Group, NativeSelect, Text } from '@mantine/core';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { isDinnerKind, countOf, daysFrom, nextWeekday, sayMinutes, sayPortions, sayWeekday } from '#core/kitchen';
import { maxPortions, solveBases } from '#core/recipe';
import { portionName } from '#core/session';
import { type KitchenAnswer, type Starter } from '#core/queries';
import { useRecipesQuery, useStartersQuery } from '../sync/api.ts';
import { useCommands, type NewChange } from '../sync/commands.ts';
import { newId } from '../sync/device.ts';
import { Stepper } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { Rows } from '../ui/Rows.tsx';
import { fits, takeChanges } from './takeStarters.ts';

/** A dish's portions unless the cook says otherwise: three dinners of this table, never less than the recipe is written for. */
const dinnersOfADish = 3;
const daysOffered = 28;

/** Step 4: one to three starter recipes, a day, and the first batch is planned. */
export function FirstSession({ kitchen, today }: { kitchen: KitchenAnswer; today: string }) {
  const { data: starters = [] } = useStartersQuery();
  const own = useRecipesQuery().data ?? [];
  const { write } = useCommands();
  const navigate = useNavigate();
  const [chosen, setChosen] = useState<Record<string, number>>({});
  const [day, setDay] = useState(nextWeekday(today, 'sat'));
  const table = Math.max(...kitchen.weeks.quarters) / 4;
  const usual = (s: Starter): number =>
    isDinnerKind(s.recipe.kind) ? Math.max(s.revision.servings, Math.ceil(table * dinnersOfADish)) : s.revision.servings;
  const portionsOf = (s: Starter): number => chosen[s.recipe.id] ?? usual(s);
  const toggle = (s: Starter): void =>
    setChosen(({ [s.recipe.id]: now, ...rest }) => (now === undefined ? { ...rest, [s.recipe.id]: usual(s) } : rest));
  const picked = starters.filter((s) => chosen[s.recipe.id] !== undefined);
  const plan = async (): Promise<void> => {
    const id = newId();
    const wanted = solveBases(
      picked.map((s) => ({ recipeId: s.recipe.id, portions: portionsOf(s) })),
      (recipeId) => starters.find((s) => s.recipe.id === recipeId)?.revision,
    );
    // what a dish draws from is cooked first, in the same session
    const bases = wanted.ok ? starters.filter((s) => !picked.includes(s) && wanted.batches.some((b) => b.recipeId === s.recipe.id)) : [];
    const asked = (s: Starter): number => (wanted.ok ? (wanted.batches.find((b) => b.recipeId === s.recipe.id)?.portions ?? 0) : 0);
    const kept = [...bases, ...picked].map((s) => {
      const mine = own.find((r) => r.recipe.id === s.recipe.id)?.recipe;
      return { starter: s, recipeId: s.recipe.id, revisionId: mine?.revisionId ?? s.revision.id };
    });
    const changes: NewChange[] = [
      ...takeChanges(
        kept.map((k) => k.starter),
        new Set(own.map((r) => r.recipe.id)),
      ),
      {
        table: 'session',
        id,
        data: {
          id,
          name: 'First session',
          day,
          startAt: '10:00',
          cooks: [{ id: 'cook_1', name: kitchen.eaters.find((e) => e.stage === 'adult')?.name ?? 'Cook' }],
          batches: kept.map((k) => ({
            id: newId(),
            recipeId: k.recipeId,
            revisionId: k.revisionId,
            portions: chosen[k.recipeId] ?? Math.max(k.starter.revision.servings, Math.ceil(asked(k.starter))),
          })),
        },
        was: null,
      },
    ];
    await write(changes, `First session is planned for ${sayWeekday(day)}`);
    void navigate(`/plan/${id}`);
  };
  return (
    <>
      <Group mb={12}>
        <Group wrap="nowrap" component="label" gap={8}>
          Cook on{' '}
          <NativeSelect value={day} onChange={(e) => setDay(e.currentTarget.value)}>
            {daysFrom(today, daysOffered).map((d) => (
              <option key={d} value={d}>
                {sayWeekday(d)}
              </option>
            ))}
          </NativeSelect>
        </Group>
        <Text className="grow" span inherit />
        <Button component={Link} variant="outline" to="/recipes/new">
          From a file of your own
        </Button>
        <Button disabled={picked.length === 0} onClick={() => void plan()}>
          {picked.length === 0 ? 'Choose a dish' : `Plan ${countOf(picked.length, 'dish', 'dishes')}`}
        </Button>
      </Group>
      <Rows className="startlist" aria-label="Starter recipes">
        {starters.filter(fits).map((s) => {
          const on = chosen[s.recipe.id];
          return (
            <li key={s.recipe.id}>
              <Checkbox aria-label={s.recipe.name} checked={on !== undefined} onChange={() => toggle(s)} />
              <KindMark kind={s.recipe.kind} size={26} />
              <Box className="grow">
                <b>{s.recipe.name}</b>
                <Text component="div" size="xs" c="dimmed">
                  {s.recipe.kind}, {sayMinutes(s.revision.steps.reduce((t, x) => t + x.handsOnMin, 0))} of hands
                </Text>
              </Box>
              {on !== undefined && (
                <>
                  <Stepper
                    label={`Portions of ${s.recipe.name}`}
                    value={on}
                    min={1}
                    max={maxPortions}
                    say={sayPortions}
                    onChange={(n) => setChosen({ ...chosen, [s.recipe.id]: n })}
                  />
                  <Text span inherit c="dimmed">
                    {portionName(s.recipe.kind, on)}
                  </Text>
                </>
              )}
            </li>
          );
        })}
      </Rows>
      {starters.some((s) => !fits(s)) && (
        <Text size="sm" c="dimmed" mt={8}>
          {countOf(starters.filter((s) => !fits(s)).length, 'more recipe')} that do not fit who eats here or the gear here stand in Recipes.
        </Text>
      )}
    </>
  );
}
