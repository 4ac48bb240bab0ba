import { Button, Group, Modal, Select, Stack, Text } from '@mantine/core';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Recipe, Revision } from '#core/contract';
import { doublesOf } from '#core/recipe';
import { useRecipesQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';

/** Notes that a recipe holds at most. */
const mostNotes = 60;

/** Two recipes that are one: this one leads to the other from now on; what was cooked and packed by it stays, and it can be taken back. */
export function SameAs({ recipe, revision, onClose }: { recipe: Recipe; revision: Revision; onClose: () => void }) {
  const navigate = useNavigate();
  const { write } = useCommands();
  const library = useRecipesQuery().data;
  const foods = useMemo(() => revision.lines.flatMap((l) => (l.item.type === 'ingredient' ? [l.item.id] : [])), [revision]);
  const others = useMemo(() => (library ?? []).filter((r) => r.recipe.id !== recipe.id), [library, recipe.id]);
  const likely = useMemo(
    () =>
      doublesOf(
        { id: recipe.id, name: recipe.name, ingredientIds: foods },
        others.map((r) => ({ id: r.recipe.id, name: r.recipe.name, ingredientIds: r.ingredientIds })),
      )[0],
    [others, recipe, foods],
  );
  const [chosen, setChosen] = useState<string>();
  const id = chosen ?? likely?.id;
  const into = others.find((r) => r.recipe.id === id)?.recipe;
  const merge = async (): Promise<void> => {
    if (!into) return;
    const notes = [...(into.notes ?? []), ...(recipe.notes ?? [])].slice(-mostNotes);
    await write(
      [
        { table: 'recipe', id: recipe.id, data: { ...recipe, archived: true, mergedInto: into.id }, was: recipe },
        ...(recipe.notes && recipe.notes.length > 0
          ? [{ table: 'recipe' as const, id: into.id, data: { ...into, notes }, was: into }]
          : []),
      ],
      `${recipe.name} leads to ${into.name} now`,
    );
    await navigate(`/recipes/${into.id}`);
  };
  return (
    <Modal opened onClose={onClose} title={`${recipe.name} is the same as …`} size={560} closeButtonProps={{ 'aria-label': 'Close' }}>
      <Stack>
        <Select
          label="The recipe that stays"
          searchable
          value={id ?? null}
          nothingFoundMessage="None of that name"
          data={others.map((r) => ({ value: r.recipe.id, label: r.recipe.name }))}
          onChange={(value) => setChosen(value ?? undefined)}
        />
        <Text c="dimmed">
          Packs, sessions and weighed batches of {recipe.name} stay as they are and count for {into?.name ?? 'the other'}; whatever draws on
          it or leads to it leads there. Its notes go along. It can be taken back.
        </Text>
        <Group>
          <Button disabled={!into} onClick={() => void merge()}>
            They are one
          </Button>
        </Group>
      </Stack>
    </Modal>
  );
}
