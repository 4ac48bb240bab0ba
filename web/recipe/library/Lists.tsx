import { ActionIcon, Button, Group, Menu, Modal, TextInput } from '@mantine/core';
import { IconDots } from '@tabler/icons-react';
import { useState } from 'react';
import type { RecipeList } from '#core/contract';
import { useListsQuery } from '../../sync/api.ts';
import { useCommands } from '../../sync/commands.ts';
import type { Library } from './useLibrary.ts';

/** The cook's own lists: a tap shows what is on one; the one that is shown can be renamed or taken away. */
export function Lists({ library, list }: { library: Library; list: RecipeList | undefined }) {
  const lists = useListsQuery().data ?? [];
  const { write } = useCommands();
  const [name, setName] = useState<string>();
  if (lists.length === 0) return null;
  const there = new Set(library.briefs.map((b) => b.recipe.id));
  const rename = (): void => {
    const said = (name ?? '').trim().slice(0, 60);
    setName(undefined);
    if (list && said && said !== list.name)
      void write([{ table: 'recipe_list', id: list.id, data: { ...list, name: said }, was: list }], `The list is called “${said}”`);
  };
  const remove = (): void => {
    if (!list) return;
    void write([{ table: 'recipe_list', id: list.id, data: null, was: list }], `The list “${list.name}” is taken away; its recipes stay`);
    library.set({ list: '' });
  };
  return (
    <Group gap={8} className="chips" role="group" aria-label="Lists">
      {lists.map((l) => (
        <Button
          key={l.id}
          variant="chip"
          aria-pressed={l.id === list?.id}
          onClick={() => library.set({ list: l.id === list?.id ? '' : l.id })}
        >
          {l.name} {l.recipes.filter((r) => there.has(r.id)).length}
        </Button>
      ))}
      {list && (
        <Menu position="bottom-end">
          <Menu.Target>
            <ActionIcon aria-label={`More for the list ${list.name}`}>
              <IconDots size={18} aria-hidden />
            </ActionIcon>
          </Menu.Target>
          <Menu.Dropdown>
            <Menu.Item onClick={() => setName(list.name)}>Call it otherwise</Menu.Item>
            <Menu.Item color="tomato" onClick={remove}>
              Take the list away
            </Menu.Item>
          </Menu.Dropdown>
        </Menu>
      )}
      <Modal
        opened={name !== undefined}
        onClose={() => setName(undefined)}
        title="What is it called?"
        closeButtonProps={{ 'aria-label': 'Close' }}
      >
        <form
          onSubmit={(e) => {
            e.preventDefault();
            rename();
          }}
        >
          <TextInput
            data-autofocus
            aria-label="Name of the list"
            maxLength={60}
            value={name ?? ''}
            onChange={(e) => setName(e.currentTarget.value)}
          />
          <Group mt={12} justify="flex-end">
            <Button type="submit" disabled={!name?.trim()}>
              Keep
            </Button>
          </Group>
        </form>
      </Modal>
    </Group>
  );
}
