import { Button, Card, Checkbox, Group, Text, Title } from '@mantine/core';
import { useState } from 'react';
import { countOf, sayMinutes } from '#core/kitchen';
import type { NewChange } from '../sync/commands.ts';
import { useStartersQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { KindMark } from '../draw/KindMark.tsx';
import { Rows } from '../ui/Rows.tsx';

/** Recipes that come with Tambo: those that are ticked become the household's own. */
export function StarterShelf() {
  const { data: starters = [] } = useStartersQuery();
  const { write } = useCommands();
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const picked = starters.filter((s) => chosen.includes(s.recipe.id));
  const take = (): void => {
    const changes = picked.flatMap((s): NewChange[] => [
      { table: 'recipe_revision', id: s.revision.id, data: s.revision, was: null },
      { table: 'recipe', id: s.recipe.id, data: s.recipe, was: null },
    ]);
    void write(changes, `${countOf(picked.length, 'recipe')} taken`);
  };
  return (
    <Card aria-label="Recipes that come with Tambo">
      <Group justify="space-between" mb={8}>
        <Title order={2}>Or begin with some of ours</Title>
        <Button disabled={picked.length === 0} onClick={take}>
          {picked.length === 0 ? 'Tick some' : `Take ${countOf(picked.length, 'recipe')}`}
        </Button>
      </Group>
      <Rows aria-label="Starter recipes">
        {starters.map((s) => (
          <li key={s.recipe.id}>
            <Checkbox
              aria-label={s.recipe.name}
              checked={chosen.includes(s.recipe.id)}
              onChange={(e) => setChosen(e.currentTarget.checked ? [...chosen, s.recipe.id] : chosen.filter((id) => id !== s.recipe.id))}
            />
            <KindMark kind={s.recipe.kind} size={26} />
            <div className="grow">
              <b>{s.recipe.name}</b>
              <Text size="xs" c="dimmed">
                {s.recipe.kind}, {sayMinutes(s.revision.steps.reduce((t, x) => t + x.handsOnMin, 0))} of hands
              </Text>
            </div>
          </li>
        ))}
      </Rows>
    </Card>
  );
}
