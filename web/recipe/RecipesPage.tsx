import { Anchor, Button, Group, NativeSelect, Stack, Text, TextInput } from '@mantine/core';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { RecipeList } from '#core/contract';
import { allKinds } from '#core/kitchen';
import { useFindQuery, useFrameQuery, useListsQuery, useRecipesQuery } from '../sync/api.ts';
import { Empty, PageHead, Waiting, Page } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { Either } from '../ui/Either.tsx';
import { HalfMade } from '../ui/HalfMade.tsx';
import { useTyped } from '../ui/useTyped.ts';
import { RecipeSheet } from '../draw/RecipeSheet.tsx';
import { ChosenBar } from './library/ChosenBar.tsx';
import { LibraryCards } from './library/LibraryCards.tsx';
import { LibraryFilters } from './library/LibraryFilters.tsx';
import { LibraryTable } from './library/LibraryTable.tsx';
import { Lists } from './library/Lists.tsx';
import { useChosen } from './library/useChosen.ts';
import { useLibrary } from './library/useLibrary.ts';
import { StarterShelf } from '../welcome/StarterShelf.tsx';

/** All recipes in one file. */
const files = [
  ['json', 'All as JSON-LD'],
  ['md', 'as Markdown'],
  ['csv', 'as a table'],
] as const;

/** What stands beside the filters and narrows nothing that they would show. */
const beside = new Set(['text', 'kind', 'sort', 'only']);

const noNames: Readonly<Record<string, string>> = {};
const noLists: readonly RecipeList[] = [];

/** A household without recipes: what stands here, and three ways to begin. */
const NoRecipes = () => (
  <Stack>
    <Empty
      title="Your recipes stand here"
      drawing={<RecipeSheet />}
      text="Each at any size, with what to measure out, what it costs and how it freezes. Write one, paste one, bring them in from files, or cook by feel and let it be written down."
    >
      <Group gap={8} justify="center">
        <Button component={Link} to="/recipes/write">
          Write one
        </Button>
        <Button component={Link} variant="outline" to="/recipes/new">
          Bring some in
        </Button>
      </Group>
    </Empty>
    <StarterShelf />
  </Stack>
);

/** The library: searched as you type, narrowed, listed, with what is in store and when it was last made. */
export function RecipesPage() {
  const { data, error, refetch } = useRecipesQuery();
  const frame = useFrameQuery().data;
  const lists = useListsQuery().data ?? noLists;
  const library = useLibrary(data, frame?.today ?? '2020-01-01', lists);
  const { params, query, holds, found, set, list } = library;
  const ingredient = useFindQuery(undefined, { skip: !holds }).data?.find((e) => e.to.endsWith(`with=${encodeURIComponent(holds)}`));
  const narrowed = Object.keys(query).filter((k) => !beside.has(k)).length;
  const [open, setOpen] = useState(narrowed > 0);
  const { chosen, choosing } = useChosen();
  const [text, type] = useTyped(params.get('q') ?? '', (next) => set({ q: next }));
  const kind = query.kind ?? '';
  const asTable = params.get('view') === 'table';
  const present = useMemo(() => allKinds.filter((k) => data?.some((r) => r.recipe.kind === k)), [data]);
  const byKind = useMemo(() => library.counts(Object.fromEntries(present.map((k) => [k, { kind: k }] as const))), [library, present]);
  const shown = useMemo(() => found.map((f) => f.brief), [found]);
  if (!data) return <Waiting error={error} refetch={() => void refetch()} />;
  return (
    <Page>
      <PageHead
        title="Recipes"
        lead={`${data.length} of your own, ${data.filter((r) => r.portionsInStore > 0).length} of them in the freezer.`}
      >
        <Button component={Link} variant="outline" to="/recipes/feel">
          Cook by feel
        </Button>
        <Button component={Link} variant="outline" to="/recipes/new">
          Bring in recipes
        </Button>
        <Button component={Link} to="/recipes/write">
          Write a recipe
        </Button>
      </PageHead>
      <HalfMade kinds={['import', 'line', 'recipe']} />
      {data.length === 0 ? (
        <NoRecipes />
      ) : (
        <>
          <Group mb={14}>
            <TextInput
              w={300}
              type="search"
              placeholder="leeks, not milk"
              aria-label="Search recipes"
              value={text}
              onChange={(e) => type(e.currentTarget.value)}
            />
            <Group gap={8} className="chips" role="group" aria-label="Kind">
              {present.map((k) => (
                <Button variant="chip" key={k} aria-pressed={kind === k} onClick={() => set({ kind: kind === k ? '' : k })}>
                  <KindMark kind={k} size={16} color={kind === k ? 'var(--on-rim)' : undefined} /> {k} {byKind[k] ?? 0}
                </Button>
              ))}
              {holds && (
                <Button variant="chip" aria-pressed onClick={() => set({ with: '' })}>
                  with {ingredient?.name.toLowerCase() ?? 'this'} ✕
                </Button>
              )}
            </Group>
            <Lists library={library} list={list} />
            <Button variant="outline" size="sm" aria-expanded={open} onClick={() => setOpen(!open)}>
              {narrowed > 0 ? `Narrowed by ${narrowed}` : 'Narrow it'}
            </Button>
            <NativeSelect
              aria-label="Order"
              value={query.sort ?? (query.have ? 'missing' : 'name')}
              onChange={(e) => set({ sort: e.currentTarget.value })}
              data={[
                { value: 'name', label: 'by name' },
                { value: 'made', label: 'made last first' },
                { value: 'longest', label: 'not had for longest' },
                { value: 'hands', label: 'least hands first' },
                { value: 'stars', label: 'most stars first' },
                ...(query.have ? [{ value: 'missing', label: 'least missing first' }] : []),
              ]}
            />
            <Either
              name="Show as"
              value={asTable ? 'table' : 'cards'}
              onChange={(v) => set({ view: v === 'table' ? 'table' : '' })}
              ways={{ cards: 'Cards', table: 'Table' }}
            />
            <Button variant="outline" size="sm" aria-pressed={chosen !== undefined} onClick={() => choosing(chosen === undefined)}>
              {chosen ? 'Done choosing' : 'Choose several'}
            </Button>
          </Group>
          {open && <LibraryFilters library={library} briefs={data} allergenNames={frame?.allergenNames ?? noNames} />}
          <Text c="dimmed" mb={8} role="status">
            {found.length === data.length ? `${data.length} recipes` : `${found.length} of ${data.length}`}
          </Text>
          {chosen && <ChosenBar chosen={chosen} found={shown} list={list} onEnd={() => choosing(false)} />}
          {found.length === 0 ? (
            <Empty title="None that meets all of it" text="Nothing is all of this at once. Take one of the ways to narrow back.">
              <Button variant="outline" onClick={library.clear}>
                Show all
              </Button>
            </Empty>
          ) : asTable ? (
            <LibraryTable found={found} chosen={chosen} />
          ) : (
            <LibraryCards found={found} have={query.have !== undefined} chosen={chosen} />
          )}
        </>
      )}
      {params.has('starters') && data.length > 0 && <StarterShelf />}
      <Group gap={16} mt={18}>
        {data.length > 0 && (
          <Anchor component="button" type="button" size="sm" onClick={() => set({ starters: params.has('starters') ? '' : '1' })}>
            Recipes that come with Tambo
          </Anchor>
        )}
        <Anchor component={Link} size="sm" to="/recipes/away">
          Put away
        </Anchor>
        {data.length > 0 &&
          files.map(([format, name]) => (
            <Anchor key={format} size="sm" href={`/api/recipes/file/${format}`} download>
              {name}
            </Anchor>
          ))}
      </Group>
    </Page>
  );
}
