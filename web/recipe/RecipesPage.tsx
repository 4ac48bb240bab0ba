import { Anchor, Badge, Button, Card, Group, Stack, Text, TextInput, Title } from '@mantine/core';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { allKinds, sayDay, sayMinutes, sayPortions } from '#core/kitchen';
import { portionName } from '#core/session';
import { useFindQuery, useRecipesQuery } from '../sync/api.ts';
import { Empty, PageHead, Waiting, Page } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { Columns } from '../ui/Columns.tsx';
import { HalfMade } from '../ui/HalfMade.tsx';
import { useTyped } from '../ui/useTyped.ts';
import { RecipeSheet } from '../draw/RecipeSheet.tsx';
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
  const [params, setParams] = useSearchParams();
  const q = params.get('q') ?? '';
  const kind = params.get('kind') ?? '';
  const holds = params.get('with') ?? '';
  const ingredient = useFindQuery(undefined, { skip: !holds }).data?.find((e) => e.to.endsWith(`with=${encodeURIComponent(holds)}`));
  const set = (key: string, value: string): void =>
    setParams(
      (p) => {
        if (value) p.set(key, value);
        else p.delete(key);
        return p;
      },
      { replace: true },
    );
  const [room, setRoom] = useState(cardsAtOnce);
  const [text, type] = useTyped(q, (next) => set('q', next));
  const shown = useMemo(() => {
    const words = q.toLowerCase().split(/\s+/).filter(Boolean);
    return (data ?? []).filter(
      (r) =>
        (!kind || r.recipe.kind === kind) &&
        (!holds || r.ingredientIds.includes(holds)) &&
        words.every((w) => [r.recipe.name, ...r.tags, ...r.allergens, r.recipe.kind].join(' ').toLowerCase().includes(w)),
    );
  }, [data, q, kind, holds]);
  if (!data) return <Waiting error={error} refetch={() => void refetch()} />;
  const present = allKinds.filter((k) => data.some((r) => r.recipe.kind === k));
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
              w={280}
              type="search"
              placeholder="Name, tag or allergen"
              aria-label="Search recipes"
              value={text}
              onChange={(e) => type(e.currentTarget.value)}
            />
            <Group gap={8} className="chips" role="group" aria-label="Kind">
              {present.map((k) => (
                <Button variant="chip" key={k} aria-pressed={kind === k} onClick={() => set('kind', kind === k ? '' : k)}>
                  <KindMark kind={k} size={16} color={kind === k ? 'var(--on-rim)' : undefined} /> {k}
                </Button>
              ))}
              {holds && (
                <Button variant="chip" aria-pressed onClick={() => set('with', '')}>
                  with {ingredient?.name.toLowerCase() ?? 'this'} ✕
                </Button>
              )}
            </Group>
          </Group>
          {shown.length === 0 ? (
            <Empty title="None of that name" text="Nothing matches all of these words. Try fewer.">
              <Button variant="outline" onClick={() => setParams({}, { replace: true })}>
                Show all
              </Button>
            </Empty>
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
                    {!r.canPlan && <Badge color="tomato">{r.broken === undefined ? 'check it first' : 'cannot be worked out'}</Badge>}
                  </Group>
                </Card>
              ))}
            </Columns>
          )}
          {shown.length > room && (
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
      <Group gap={16} mt={18}>
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
