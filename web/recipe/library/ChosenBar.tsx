import { Anchor, Button, Card, Group, Menu, Popover, Stack, Text } from '@mantine/core';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { RecipeList } from '#core/contract';
import { countOf, listOf } from '#core/kitchen';
import type { RecipeBrief } from '#core/queries';
import { api, useListsQuery } from '../../sync/api.ts';
import { useCommands } from '../../sync/commands.ts';
import { newId } from '../../sync/device.ts';
import { useAppDispatch } from '../../sync/store.ts';
import { Note } from '../../ui/Note.tsx';
import { OneLine } from '../../ui/OneLine.tsx';
import { awayChanges, listed, mostTagged, tagChanges, tagOf, unlisted } from './manyChanges.ts';
import type { Chosen } from './useChosen.ts';
import c from './Library.module.css';

const files = [
  ['json', 'JSON-LD'],
  ['md', 'Markdown'],
  ['csv', 'a table (CSV)'],
] as const;

/** More dishes than anybody cooks on one day. */
const mostPlanned = 12;

/** What can be done with the recipes that are chosen. */
export function ChosenBar({
  chosen,
  found,
  list,
  onEnd,
}: {
  chosen: Chosen;
  found: readonly RecipeBrief[];
  /** The list that is looked at. */
  list: RecipeList | undefined;
  onEnd: () => void;
}) {
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const { write } = useCommands();
  const lists = useListsQuery().data ?? [];
  const [open, setOpen] = useState<'tag' | 'list'>();
  const [problem, setProblem] = useState('');
  const picked = found.filter((r) => chosen.ids.has(r.recipe.id));
  const ids = picked.map((r) => r.recipe.id);
  const some = countOf(picked.length, 'recipe');
  const none = picked.length === 0;
  const borne = [...new Set(picked.flatMap((r) => r.tags))].toSorted((a, b) => a.localeCompare(b));

  const tag = async (what: { add?: string; drop?: string }): Promise<void> => {
    setProblem('');
    const kept = await dispatch(api.endpoints.keptRecipes.initiate(ids.join(','), { forceRefetch: true }))
      .unwrap()
      .catch(() => undefined);
    if (!kept) return setProblem('No connection to Tambo: nothing was changed. Tags can be given when it is back.');
    const { changes, full } = tagChanges(kept, what);
    if (full.length > 0) setProblem(`${listOf(full.slice(0, 4))} bear as many tags as they can; take one off first.`);
    if (changes.length > 0)
      await write(
        changes,
        what.add ? `${countOf(changes.length / 2, 'recipe')} tagged “${what.add}”` : `“${what.drop ?? ''}” is taken off`,
      );
    setOpen(undefined);
  };
  const putOn = async (to: RecipeList, isNew: boolean): Promise<void> => {
    await write([{ table: 'recipe_list', id: to.id, data: listed(to, ids), was: isNew ? null : to }], `${some} on the list “${to.name}”`);
    setOpen(undefined);
  };
  const away = async (): Promise<void> => {
    await write(
      awayChanges(picked.map((r) => r.recipe)),
      picked.length === 1 ? `${picked[0]?.recipe.name ?? ''} is put away` : `${some} are put away`,
    );
    onEnd();
  };
  return (
    <Card aria-label="With those chosen" className={c.acts} mb={14}>
      <Stack gap={8}>
        <Group gap={10}>
          <Text className="grow" role="status" fw={600}>
            {none ? 'Tick the recipes you mean' : `${some} chosen`}
          </Text>
          <Button size="sm" disabled={none || picked.length > mostPlanned} onClick={() => void navigate(`/plan?add=${ids.join(',')}`)}>
            Plan them
          </Button>
          <Popover
            opened={open === 'list'}
            onChange={(on) => setOpen(on ? 'list' : undefined)}
            width={320}
            trapFocus
            returnFocus
            shadow="sm"
          >
            <Popover.Target>
              <Button size="sm" variant="outline" disabled={none} onClick={() => setOpen(open === 'list' ? undefined : 'list')}>
                Put on a list
              </Button>
            </Popover.Target>
            <Popover.Dropdown>
              <Group gap={8}>
                {lists.map((l) => (
                  <Button key={l.id} variant="chip" onClick={() => void putOn(l, false)}>
                    {l.name}
                  </Button>
                ))}
              </Group>
              <OneLine
                label="Name of a new list"
                placeholder="before the trip"
                button="New list"
                onKeep={(name) => void putOn({ id: newId(), name: name.slice(0, 60), recipes: [] }, true)}
              />
            </Popover.Dropdown>
          </Popover>
          {list && (
            <Button
              size="sm"
              variant="outline"
              disabled={none}
              onClick={() =>
                void write(
                  [{ table: 'recipe_list', id: list.id, data: unlisted(list, ids), was: list }],
                  `${some} off the list “${list.name}”`,
                )
              }
            >
              Off “{list.name}”
            </Button>
          )}
          <Popover opened={open === 'tag'} onChange={(on) => setOpen(on ? 'tag' : undefined)} width={320} trapFocus returnFocus shadow="sm">
            <Popover.Target>
              <Button
                size="sm"
                variant="outline"
                disabled={none || picked.length > mostTagged}
                onClick={() => setOpen(open === 'tag' ? undefined : 'tag')}
              >
                Tag
              </Button>
            </Popover.Target>
            <Popover.Dropdown>
              {borne.length > 0 && (
                <Group gap={8} role="group" aria-label="Tags to take off">
                  {borne.map((t) => (
                    <Button key={t} variant="chip" aria-label={`Take off “${t}”`} onClick={() => void tag({ drop: t })}>
                      {t} ✕
                    </Button>
                  ))}
                </Group>
              )}
              <OneLine
                label="Tag for them"
                placeholder="winter"
                button="Tag"
                good={(t) => tagOf(t) !== ''}
                onKeep={(t) => void tag({ add: tagOf(t) })}
              />
            </Popover.Dropdown>
          </Popover>
          <Menu position="bottom-end">
            <Menu.Target>
              <Button size="sm" variant="outline" disabled={none}>
                Save as
              </Button>
            </Menu.Target>
            <Menu.Dropdown>
              {files.map(([format, name]) => (
                <Menu.Item
                  key={format}
                  component="a"
                  href={`/api/recipes/file/${format}?ids=${encodeURIComponent(ids.join(','))}`}
                  download
                >
                  {name}
                </Menu.Item>
              ))}
            </Menu.Dropdown>
          </Menu>
          <Button size="sm" variant="outline" disabled={none} onClick={() => void away()}>
            Put away
          </Button>
        </Group>
        <Group gap={16}>
          <Anchor component="button" type="button" size="sm" onClick={() => chosen.all(found.map((r) => r.recipe.id))}>
            All {found.length} shown
          </Anchor>
          <Anchor component="button" type="button" size="sm" onClick={chosen.none}>
            None
          </Anchor>
          {picked.length > mostPlanned && (
            <Text size="sm" c="dimmed">
              {mostPlanned} dishes go into one plan at most.
            </Text>
          )}
          {picked.length > mostTagged && (
            <Text size="sm" c="dimmed">
              {mostTagged} are tagged at once at most.
            </Text>
          )}
        </Group>
        {problem !== '' && (
          <Note tone="bad" role="alert">
            {problem}
          </Note>
        )}
      </Stack>
    </Card>
  );
}
