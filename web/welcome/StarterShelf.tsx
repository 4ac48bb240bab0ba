import { Button, Card, Checkbox, Group, Text, Title } from '@mantine/core';
import { useState } from 'react';
import type { Kind } from '#core/contract';
import { allKinds, countOf, listOf, sayMinutes } from '#core/kitchen';
import { inSession } from '#core/recipe';
import { useRecipesQuery, useStartersQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { KindMark } from '../draw/KindMark.tsx';
import { Rows } from '../ui/Rows.tsx';
import { NotFor } from '../ui/ui.tsx';
import { fits, takeChanges, withDrawn } from './takeStarters.ts';

/** Recipes that come with Tambo, by who eats here and the gear that is there: those that are ticked become the household's own. */
export function StarterShelf() {
  const { data: all = [] } = useStartersQuery();
  const own = new Set((useRecipesQuery().data ?? []).map((r) => r.recipe.id));
  const { write } = useCommands();
  const [chosen, setChosen] = useState<readonly string[]>([]);
  const [kind, setKind] = useState<Kind>();
  const [fitting, setFitting] = useState(true);
  const starters = all.filter((s) => !own.has(s.recipe.id));
  const ours = starters.filter((s) => !fitting || fits(s));
  const kinds = allKinds.filter((k) => ours.some((s) => s.recipe.kind === k));
  const shown = ours.filter((s) => kind === undefined || s.recipe.kind === kind);
  const picked = withDrawn(starters, chosen);
  const take = (): void => {
    void write(takeChanges(picked, own), `${countOf(picked.length, 'recipe')} taken`);
    setChosen([]);
  };
  if (all.length > 0 && starters.length === 0)
    return (
      <Card aria-label="Recipes that come with Tambo">
        <Text c="dimmed">All {all.length} recipes that come with Tambo are yours already.</Text>
      </Card>
    );
  return (
    <Card aria-label="Recipes that come with Tambo">
      <Group justify="space-between" mb={8}>
        <Title order={2}>Or begin with some of ours</Title>
        <Group gap={8}>
          <Button
            variant="outline"
            disabled={shown.length === 0}
            onClick={() => setChosen([...new Set([...chosen, ...shown.map((s) => s.recipe.id)])])}
          >
            Tick all {shown.length}
          </Button>
          <Button disabled={picked.length === 0} onClick={take}>
            {picked.length === 0 ? 'Tick some' : `Take ${countOf(picked.length, 'recipe')}`}
          </Button>
        </Group>
      </Group>
      <Group gap={8} mb={8} className="chips" role="group" aria-label="Kind of starter">
        {kinds.map((k) => (
          <Button key={k} variant="chip" aria-pressed={kind === k} onClick={() => setKind(kind === k ? undefined : k)}>
            <KindMark kind={k} size={16} color={kind === k ? 'var(--on-rim)' : undefined} /> {k}{' '}
            {ours.filter((s) => s.recipe.kind === k).length}
          </Button>
        ))}
        <Checkbox
          label={`Only what fits who eats here and the gear here (${starters.filter(fits).length} of ${starters.length})`}
          checked={fitting}
          onChange={(e) => setFitting(e.currentTarget.checked)}
        />
      </Group>
      <Rows aria-label="Starter recipes" mah={520} tabIndex={0}>
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
                {picked.includes(s) && !chosen.includes(s.recipe.id) ? ', comes along' : ''}
              </Text>
              {s.lacks.length > 0 && (
                <Text size="xs" c="var(--saffron)">
                  Asks for {listOf(s.lacks)}
                </Text>
              )}
              <NotFor says={[...s.notFor, ...s.check]} />
            </div>
          </li>
        ))}
      </Rows>
    </Card>
  );
}
