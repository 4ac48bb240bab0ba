import { Autocomplete } from '@mantine/core';
import { useState } from 'react';
import { useIngredientsQuery, useRecipesQuery } from '../sync/api.ts';

interface Props {
  /** Shown above; without it `named` is said to a screen reader. */
  label?: string;
  named?: string;
  /** As it stands. */
  name: string;
  width?: number;
  error?: string | undefined;
  /** Recipes of one's own are offered too. */
  withRecipes?: boolean;
  onPick: (item: { type: 'ingredient' | 'recipe'; id: string; name: string }) => void;
}

const least = 2;
const mostRecipes = 5;

/** Finds an ingredient, or a recipe of one's own, by any of its names: typing searches, a tap or Enter takes it. */
export function IngredientField({ label, named, name, width, error, withRecipes = false, onPick }: Props) {
  const [text, setText] = useState(name);
  const [typing, setTyping] = useState(false);
  const skip = !typing || text.trim().length < least;
  const found = useIngredientsQuery(text, { skip }).data ?? [];
  const library = useRecipesQuery(undefined, { skip: skip || !withRecipes }).data ?? [];
  const own = library.filter((r) => r.recipe.name.toLowerCase().includes(text.trim().toLowerCase())).slice(0, mostRecipes);
  const items = [
    ...found.map((r) => ({ type: 'ingredient' as const, id: r.id, name: r.name, value: r.name })),
    ...own.map((r) => ({ type: 'recipe' as const, id: r.recipe.id, name: r.recipe.name, value: `${r.recipe.name}, from your own` })),
  ];
  const take = (value: string): void => {
    const item = items.find((x) => x.value === value);
    if (!item) return;
    setTyping(false);
    setText(item.name);
    onPick(item);
  };
  return (
    <Autocomplete
      label={label}
      aria-label={label === undefined ? named : undefined}
      w={width ?? '100%'}
      value={text}
      error={error}
      data={[...new Set(items.map((x) => x.value))]}
      // what is offered was found by all names of a food, not by its first alone
      filter={({ options }) => options}
      onChange={(next) => {
        setTyping(true);
        setText(next);
      }}
      onOptionSubmit={take}
      onBlur={() => {
        const same = items.find((x) => x.name.toLowerCase() === text.trim().toLowerCase());
        if (typing && same) take(same.value);
      }}
    />
  );
}
