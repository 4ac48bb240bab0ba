import { Button, Card, Checkbox, Group, Text, Title } from '@mantine/core';
import { useState } from 'react';
import type { Kind } from '#core/contract';
import { allKinds, countOf, sayMinutes } from '#core/kitchen';
import { inSession } from '#core/recipe';
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
  const [kind, setKind] = useState<Kind>();
  const byId = new Map(starters.map((s) => [s.recipe.id, s]));
  const kinds = allKinds.filter((k) => starters.some((s) => s.recipe.kind === k));
  const shown = starters.filter((s) => kind === undefined || s.recipe.kind === kind);
  // what a recipe draws from comes along
  const drawnBy = (id: string): string[] =>
    (byId.get(id)?.revision.lines ?? []).flatMap((l) =>
      l.item.type === 'recipe' && byId.has(l.item.id) ? [l.item.id, ...drawnBy(l.item.id)] : [],
    );
  const wanted = new Set(chosen.flatMap((id) => [id, ...drawnBy(id)]));
  const picked = starters.filter((s) => wanted.has(s.recipe.id));
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
      <Group gap={8} mb={8} className="chips" role="group" aria-label="Kind of starter">
        {kinds.map((k) => (
          <Button key={k} variant="chip" aria-pressed={kind === k} onClick={() => setKind(kind === k ? undefined : k)}>
            <KindMark kind={k} size={16} color={kind === k ? 'var(--on-rim)' : undefined} /> {k}{' '}
            {starters.filter((s) => s.recipe.kind === k).length}
          </Button>
        ))}
      </Group>
      <Rows aria-label="Starter recipes" mah={520}>
        {shown.map((s) => (
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
                {s.recipe.kind}, {sayMinutes(inSession(s.revision.steps).reduce((t, x) => t + x.handsOnMin, 0))} of hands
                {wanted.has(s.recipe.id) && !chosen.includes(s.recipe.id) ? ', comes along' : ''}
              </Text>
            </div>
          </li>
        ))}
      </Rows>
    </Card>
  );
}
