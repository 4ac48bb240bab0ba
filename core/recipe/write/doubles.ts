/** A recipe to be told apart from others: its name and the foods in it. */
export interface Comparable {
  id: string;
  name: string;
  ingredientIds: readonly string[];
}

const words = (name: string): string[] =>
  name
    .toLowerCase()
    .normalize('NFD')
    .replace(/[\u0300-\u036f]/g, '')
    .split(/[^a-z0-9]+/)
    .filter((w) => w.length > 2 && !['the', 'and', 'with', 'recipe', 'our', 'best', 'easy'].includes(w))
    .map((w) => w.replace(/s$/, ''));

const share = (a: ReadonlySet<string>, b: ReadonlySet<string>): number => {
  if (a.size === 0 || b.size === 0) return 0;
  let both = 0;
  for (const x of a) if (b.has(x)) both += 1;
  return both / (a.size + b.size - both);
};

/** From here on the same: one name, or nearly one name and most of the foods. */
const same = { foods: 0.8, name: 0.5, leastFoods: 4 };

/**
 * Recipes that one is probably the same as, the likeliest first: of the same name, or of a like name with most of the same foods.
 * @example doublesOf({ id: 'new', name: 'Our leek soup', ingredientIds: ['leek'] }, [{ id: 'a', name: 'Leek soup', ingredientIds: ['leek'] }])[0]?.id // 'a'
 */
export function doublesOf<T extends Comparable>(recipe: Comparable, others: readonly T[]): T[] {
  const name = new Set(words(recipe.name));
  const foods = new Set(recipe.ingredientIds);
  return others
    .flatMap((o) => {
      if (o.id === recipe.id) return [];
      const [names, parts] = [share(name, new Set(words(o.name))), share(foods, new Set(o.ingredientIds))];
      const alike = names === 1 || (names >= same.name && parts >= same.foods) || (parts === 1 && foods.size >= same.leastFoods);
      return alike ? [{ o, score: names + parts }] : [];
    })
    .toSorted((a, b) => b.score - a.score)
    .map((x) => x.o);
}
