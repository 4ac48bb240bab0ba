import { Button, Card, Text, TextInput } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { countOf } from '#core/kitchen';
import type { Recipe } from '#core/contract';
import { KindMark } from '../draw/KindMark.tsx';
import { RecipeSheet } from '../draw/RecipeSheet.tsx';
import { useAwayRecipesQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { Rows } from '../ui/Rows.tsx';
import { Empty, Page, PageHead, Waiting } from '../ui/ui.tsx';

/** Recipes that were put away or merged, each brought back in one tap. */
export function AwayPage() {
  const { data, error, refetch } = useAwayRecipesQuery();
  const { write } = useCommands();
  const [q, setQ] = useState('');
  if (!data) return <Waiting error={error} refetch={() => void refetch()} />;
  const back = ({ mergedInto: _same, ...recipe }: Recipe, was: Recipe): void =>
    void write([{ table: 'recipe', id: recipe.id, data: { ...recipe, archived: false }, was }], `${recipe.name} is back in your recipes`);
  const shown = data.filter((a) => a.recipe.name.toLowerCase().includes(q.trim().toLowerCase()));
  return (
    <Page>
      <PageHead title="Put away" lead={`${countOf(data.length, 'recipe')}. Packs and sessions of them stay as they are.`}>
        <Button component={Link} variant="outline" to="/recipes">
          All recipes
        </Button>
      </PageHead>
      {data.length === 0 ? (
        <Empty
          title="Nothing is put away"
          drawing={<RecipeSheet />}
          text="A recipe you put away or merge with another stands here, and comes back in one tap."
        />
      ) : (
        <Card aria-label="Put away">
          <TextInput
            type="search"
            w={280}
            mb={8}
            aria-label="Search what is put away"
            placeholder="Name"
            value={q}
            onChange={(e) => setQ(e.currentTarget.value)}
          />
          <Rows>
            {shown.map(({ recipe, leadsTo }) => (
              <li key={recipe.id}>
                <KindMark kind={recipe.kind} size={24} />
                <div className="grow">
                  <b>{recipe.name}</b>
                  {leadsTo && (
                    <Text size="sm" c="dimmed">
                      the same as {leadsTo}
                    </Text>
                  )}
                </div>
                <Button variant="outline" size="sm" aria-label={`Bring back ${recipe.name}`} onClick={() => back(recipe, recipe)}>
                  Bring it back
                </Button>
              </li>
            ))}
          </Rows>
        </Card>
      )}
    </Page>
  );
}
