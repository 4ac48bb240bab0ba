import { Anchor, Checkbox } from '@mantine/core';
import { Link } from 'react-router';
import { sayDay, sayMinutes, sayPortions } from '#core/kitchen';
import { starsOf, type FoundRecipe } from '#core/queries';
import type { Chosen } from './useChosen.ts';
import { DataTable, type Column } from '../../ui/DataTable.tsx';

const columns: readonly Column<FoundRecipe>[] = [
  {
    key: 'name',
    head: 'Recipe',
    by: (f) => f.brief.recipe.name,
    cell: (f) => (
      <Anchor component={Link} to={`/recipes/${f.brief.recipe.id}`}>
        {f.brief.recipe.name}
      </Anchor>
    ),
  },
  { key: 'kind', head: 'Kind', by: (f) => f.brief.recipe.kind, cell: (f) => f.brief.recipe.kind },
  { key: 'makes', head: 'Makes', by: (f) => f.brief.servings, cell: (f) => `${sayPortions(f.brief.servings)} of ${f.brief.servingText}` },
  { key: 'hands', head: 'Hands', by: (f) => f.brief.handsMin, cell: (f) => sayMinutes(f.brief.handsMin), align: 'right' },
  {
    key: 'whole',
    head: 'In all',
    by: (f) => f.brief.wholeMin,
    cell: (f) => sayMinutes(f.brief.wholeMin),
    align: 'right',
  },
  {
    key: 'store',
    head: 'In store',
    by: (f) => f.brief.portionsInStore,
    cell: (f) => (f.brief.portionsInStore > 0 ? sayPortions(f.brief.portionsInStore) : '0'),
    align: 'right',
  },
  {
    key: 'stars',
    head: 'Stars',
    by: (f) => starsOf(f.brief),
    cell: (f) => (starsOf(f.brief) === 0 ? 'none yet' : String(starsOf(f.brief))),
    align: 'right',
  },
  {
    key: 'made',
    head: 'Last made',
    by: (f) => f.brief.lastMade ?? '',
    cell: (f) => (f.brief.lastMade ? sayDay(f.brief.lastMade) : 'never'),
  },
];

/** The library as a table: a head sorts, twenty-five a page; a box before each while several are chosen. */
export const LibraryTable = ({ found, chosen }: { found: readonly FoundRecipe[]; chosen: Chosen | undefined }) => (
  <DataTable
    label="Recipes"
    columns={
      chosen
        ? [
            {
              key: 'choose',
              head: 'Choose',
              cell: ({ brief: { recipe } }) => (
                <Checkbox
                  aria-label={`Choose ${recipe.name}`}
                  checked={chosen.ids.has(recipe.id)}
                  onChange={() => chosen.toggle(recipe.id)}
                />
              ),
            },
            ...columns,
          ]
        : columns
    }
    rows={found}
    rowKey={(f) => f.brief.recipe.id}
  />
);
