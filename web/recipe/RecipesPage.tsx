import { Anchor, Badge, Button, Card, Group, NativeSelect, Stack, Text, TextInput, Title } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { allKinds, sayDay, sayMinutes, sayPortions } from '#core/kitchen';
import { portionName } from '#core/session';
import { useFindQuery, useFrameQuery, useRecipesQuery } from '../sync/api.ts';
import { Empty, PageHead, Waiting, Page } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { Columns } from '../ui/Columns.tsx';
import { Either } from '../ui/Either.tsx';
import { HalfMade } from '../ui/HalfMade.tsx';
import { useTyped } from '../ui/useTyped.ts';
import { RecipeSheet } from '../draw/RecipeSheet.tsx';
import { LibraryFilters } from './LibraryFilters.tsx';
import { LibraryTable } from './LibraryTable.tsx';
import { useLibrary } from './useLibrary.ts';
import { StarterShelf } from '../welcome/StarterShelf.tsx';

/** Cards drawn at once. */
const cardsAtOnce = 60;

/** All recipes in one file. */
const files = [
  ['json', 'All as JSON-LD'],
  ['md', 'as Markdown'],
  ['csv', 'as a table'],
] as const;

/** The library: by kind, searched as you type, with what is in store and when it was last made. */
export function RecipesPage() {
  const { data, error, refetch } = useRecipesQuery();
  const frame = useFrameQuery().data;
  const library = useLibrary(data, frame?.today ?? '2020-01-01');
  const { params, query, holds, found, set } = library;
  const ingredient = useFindQuery(undefined, { skip: !holds }).data?.find((e) => e.to.endsWith(`with=${encodeURIComponent(holds)}`));
  const narrowed = Object.keys(query).filter((k) => !['text', 'kind', 'sort'].includes(k)).length;
  const [open, setOpen] = useState(narrowed > 0);
  const [room, setRoom] = useState(cardsAtOnce);
  const [text, type] = useTyped(params.get('q') ?? '', (next) => set({ q: next }));
  const kind = query.kind ?? '';
  const asTable = params.get('view') === 'table';
  if (!data) return <Waiting error={error} refetch={() => void refetch()} />;
  const present = allKinds.filter((k) => data.some((r) => r.recipe.kind === k));
  const shown = found.map((f) => f.brief);
  const missing = new Map(found.map((f) => [f.brief.recipe.id, f.missing]));
  const byKind = library.counts(Object.fromEntries(present.map((k) => [k, { kind: k }] as const)));
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
          </Group>
          {open && <LibraryFilters library={library} briefs={data} allergenNames={frame?.allergenNames ?? {}} />}
          <Text c="dimmed" mb={8} role="status">
            {shown.length === data.length ? `${data.length} recipes` : `${shown.length} of ${data.length}`}
          </Text>
          {shown.length === 0 ? (
            <Empty title="None that meets all of it" text="Nothing is all of this at once. Take one of the ways to narrow back.">
              <Button variant="outline" onClick={library.clear}>
                Show all
              </Button>
            </Empty>
          ) : asTable ? (
            <LibraryTable found={found} />
          ) : (
            <Columns least={330}>
              {shown.slice(0, room).map((r) => (
                <Card
                  component={Link}
                  td="none"
                  c="inherit"
                  key={r.recipe.id}
                  to={`/recipes/${r.recipe.id}`}
                  style={{ display: 'flex', flexDirection: 'column', gap: 8 }}
                >
                  <Group wrap="nowrap" align="flex-start">
                    <KindMark kind={r.recipe.kind} size={30} />
                    <Title className="grow" order={3} fz={19}>
                      {r.recipe.name}
                    </Title>
                  </Group>
                  <Text component="div" c="dimmed" fz={15}>
                    Written for {sayPortions(r.servings)} of {r.servingText}. {sayMinutes(r.handsMin)} of hands
                    {r.waitMin > 0 ? `, ${sayMinutes(r.waitMin)} by itself` : ''}.
                  </Text>
                  <Text component="div" c="dimmed" fz={15}>
                    {r.allergens.join('. ')}
                  </Text>
                  <Group gap={8} mt="auto">
                    {r.portionsInStore > 0 ? (
                      <Badge color="rim">
                        {sayPortions(r.portionsInStore)} {portionName(r.recipe.kind, r.portionsInStore)} in store
                      </Badge>
                    ) : (
                      <Badge color="saffron">none in store</Badge>
                    )}
                    {r.lastMade && (
                      <Text span size="xs" c="dimmed">
                        made {sayDay(r.lastMade)}
                      </Text>
                    )}
                    {missing.get(r.recipe.id) !== undefined && query.have && (
                      <Badge color={missing.get(r.recipe.id) === 0 ? 'leaf' : 'rim'}>
                        {missing.get(r.recipe.id) === 0 ? 'nothing missing' : `${missing.get(r.recipe.id)} missing`}
                      </Badge>
                    )}
                    {!r.canPlan && <Badge color="tomato">{r.broken === undefined ? 'check it first' : 'cannot be worked out'}</Badge>}
                  </Group>
                </Card>
              ))}
            </Columns>
          )}
          {!asTable && shown.length > room && (
            <Group mt={14}>
              <Button variant="outline" onClick={() => setRoom(room + cardsAtOnce)}>
                {Math.min(cardsAtOnce, shown.length - room)} more
              </Button>
              <Text c="dimmed">
                {room} of {shown.length} shown; search and kinds look through all.
              </Text>
            </Group>
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
