import type { AllergenSummary, Eater, Line } from '#core/contract';
import type { IngredientFinder } from '#core/kitchen';

/** Looks up what went into another recipe that a line draws from. */
export type DrawAllergens = (recipeId: string) => AllergenSummary | undefined;

const unique = (items: readonly string[]): string[] => [...new Set(items)].sort();

/**
 * What a dish holds, what must be checked on a bought pack's label, and what is not known (DECISIONS 25).
 * A cook's answer ("I read this label: holds ...") replaces a row's `mayHold`; an unmatched line is unknown until answered; draws pass on what went in.
 * @example allergenSummary(revision.lines, finder).contains // ['al_milk', 'al_mustard']
 */
export function allergenSummary(lines: readonly Line[], finder: IngredientFinder, draws: DrawAllergens = () => undefined): AllergenSummary {
  const contains: string[] = [];
  const check: AllergenSummary['check'] = [];
  const unmatched: string[] = [];
  for (const line of lines) {
    const row = line.item.type === 'ingredient' ? finder.byId(line.item.id) : undefined;
    if (line.item.type === 'recipe') {
      const drawn = draws(line.item.id);
      if (!drawn) unmatched.push(line.name);
      else {
        contains.push(...drawn.contains);
        check.push(...drawn.check);
        unmatched.push(...drawn.unmatched);
      }
    } else if (line.allergens) {
      contains.push(...line.allergens.contains, ...(row?.contains ?? []));
    } else if (!row) {
      unmatched.push(line.name);
    } else {
      contains.push(...row.contains);
      if (row.allergenCheck !== 'plain') check.push({ name: row.name, mayHold: [...row.mayHold] });
    }
  }
  const checks = [...new Map(check.map((c) => [c.name, c])).values()].sort((a, b) => a.name.localeCompare(b.name));
  return { contains: unique(contains), check: checks, unmatched: unique(unmatched) };
}

/** Codes that are no declared allergen: followed only for families that ask. */
const notDeclared = new Set(['al_coconut']);

/**
 * The allergen lines of a label, in the order they are printed.
 * @param names plain name by code, in the household's country
 * @example allergenLines({ contains: ['al_milk'], check: [{ name: 'sausage', mayHold: [] }], unmatched: [] }, names)
 *   // ['Contains: milk', 'Check: sausage (read its label)']
 */
export function allergenLines(summary: AllergenSummary, names: ReadonlyMap<string, string>, on: 'label' | 'page' = 'label'): string[] {
  const declared = summary.contains.filter((c) => !notDeclared.has(c));
  const said = unique(declared.includes('al_wheat') ? declared.filter((c) => c !== 'al_gluten') : declared).map((c) =>
    c === 'al_wheat' ? 'gluten (wheat)' : (names.get(c) ?? c),
  );
  const lines: string[] = [];
  if (said.length > 0) lines.push(`Contains: ${said.join(', ')}`);
  if (summary.check.length > 0)
    lines.push(`Check: ${summary.check.map((c) => c.name).join(', ')} (read ${summary.check.length === 1 ? 'its label' : 'their labels'})`);
  if (summary.unmatched.length > 0) lines.push(`Allergens not checked: ${summary.unmatched.join(', ')}`);
  return lines.length > 0 ? lines : [`${on === 'page' ? 'Holds none' : 'none'} of the 14 declared allergens`];
}

/** A warning by name: somebody is allergic to what the dish holds, may hold, or to what nobody has checked it for. */
export interface AllergenWarning {
  eaterId: string;
  name: string;
  codes: string[];
  how: 'holds' | 'mayHold' | 'unknown';
  /** Parts of the dish that it comes from, where it is not certain. */
  parts: string[];
}

/**
 * Who could be hurt by a dish: by what it holds for certain, by what a bought pack may hold, and by parts of which nothing is known.
 * Law: an eater with an allergy is warned of, or every part of the dish is known to be free of it.
 * @example allergenWarnings(summary, [mio])[0]?.how // 'holds'
 */
export function allergenWarnings(summary: AllergenSummary, eaters: readonly Pick<Eater, 'id' | 'name' | 'allergens'>[]): AllergenWarning[] {
  return eaters.flatMap((eater) => {
    const { id: eaterId, name } = eater;
    const certain = eater.allergens.filter((a) => summary.contains.includes(a));
    const open = eater.allergens.filter((a) => !certain.includes(a));
    const maybe = open.filter((a) => summary.check.some((c) => c.mayHold.includes(a)));
    const unknown = summary.unmatched.length > 0 ? open.filter((a) => !maybe.includes(a)) : [];
    const from = summary.check.filter((c) => c.mayHold.some((a) => maybe.includes(a))).map((c) => c.name);
    return [
      ...(certain.length > 0 ? [{ eaterId, name, codes: certain, how: 'holds' as const, parts: [] }] : []),
      ...(maybe.length > 0 ? [{ eaterId, name, codes: maybe, how: 'mayHold' as const, parts: from }] : []),
      ...(unknown.length > 0 ? [{ eaterId, name, codes: unknown, how: 'unknown' as const, parts: summary.unmatched }] : []),
    ];
  });
}

/** Salt as a cook adds it. */
export const saltIds: ReadonlySet<string> = new Set(['salt_table', 'salt_sea_fine', 'salt_flake']);

/**
 * Grams of salt added by the cook per portion; what is in cured or bought foods is not counted.
 * @example addedSaltG(scaled.lines, 9) // grams of added salt in one of nine portions
 */
export function addedSaltG(lines: readonly { line: Line; massG?: number }[], portions: number): number | undefined {
  const salted = lines.filter((l) => l.line.moment === 'batch' && l.line.item.type === 'ingredient' && saltIds.has(l.line.item.id));
  if (salted.some((l) => l.massG === undefined)) return undefined;
  return salted.reduce((sum, l) => sum + (l.massG ?? 0), 0) / portions;
}
