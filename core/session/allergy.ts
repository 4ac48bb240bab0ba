import type { AllergenSummary, Day, Eater } from '#core/contract';
import { allergenLines, allergenWarnings, type AllergenWarning } from '#core/recipe';
import type { PackState } from '#core/store';
import { allergensOf, type World } from './world.ts';

type AllergyWorld = Pick<World, 'finder' | 'recipe' | 'revision' | 'eaters' | 'allergenNames' | 'household' | 'memo'>;

/** What a revision holds by what is known today. */
function summaryOf(revisionId: string, world: AllergyWorld): AllergenSummary | undefined {
  const revision = world.revision(revisionId);
  if (!revision) return undefined;
  const make = (): AllergenSummary => allergensOf(revision, world);
  // what it draws from may have changed meanwhile; only recipes without draws stay the same
  return revision.lines.some((l) => l.item.type === 'recipe') ? make() : world.memo([revision, world.finder], 'allergens', make);
}

/**
 * * What a pack holds: what was known when it was filled, and what is known of the same ingredients today. Nothing that was ever known is forgotten.
 * @example packAllergens(tub7, world).contains // what was known when it was filled, and since
 */
export function packAllergens(pack: PackState, world: AllergyWorld): AllergenSummary {
  const now = pack.revisionId === undefined ? undefined : summaryOf(pack.revisionId, world);
  if (!now) return pack.allergens;
  return { ...now, contains: [...new Set([...pack.allergens.contains, ...now.contains])].sort() };
}

/**
 * Everybody who might be served: the household, and guests of an evening with their allergies.
 * @example tableOf(world, '2026-11-27') // the household, and Friday's guests with allergies
 */
export function tableOf(world: Pick<World, 'eaters' | 'household'>, day?: Day): Pick<Eater, 'id' | 'name' | 'allergens'>[] {
  const guests = (world.household.guests ?? []).filter((g) => g.day === day && (g.allergens?.length ?? 0) > 0);
  return [...world.eaters, ...guests.map((g, i) => ({ id: `guest${i}`, name: 'a guest', allergens: g.allergens ?? [] }))];
}

/**
 * Who could be hurt by a pack: by what it holds, may hold, or by what nobody checked.
 * @example packWarnings(tub7, world, friday) // for Friday's guests too
 */
export const packWarnings = (pack: PackState, world: AllergyWorld, day?: Day): AllergenWarning[] =>
  allergenWarnings(packAllergens(pack, world), tableOf(world, day));

const notFor = (w: AllergenWarning): string => `Not for ${w.name}`;

/**
 * `Not for Mio: holds tree nuts`.
 * @example sayWarning({ eaterId: 'mio', name: 'Mio', codes: ['al_treenut'], how: 'holds', parts: [] }, new Map([['al_treenut', 'nuts']])) // 'Not for Mio: holds nuts'
 */
export function sayWarning(w: AllergenWarning, names: ReadonlyMap<string, string>): string {
  const codes = w.codes.map((c) => names.get(c) ?? c).join(', ');
  const who = w.name.charAt(0).toUpperCase() + w.name.slice(1);
  if (w.how === 'holds') return `${notFor(w)}: holds ${codes}`;
  if (w.how === 'mayHold') return `${who}: may hold ${codes}, read the labels`;
  return `${who}: not checked for ${codes} (${w.parts.join(', ')})`;
}

/**
 * What a label has to say about allergies today, line by line.
 * @example labelAllergy(tub7, world).cautions // ['Not for Mio: holds nuts']
 */
export function labelAllergy(pack: PackState, world: AllergyWorld): { allergens: string[]; cautions: string[] } {
  const summary = packAllergens(pack, world);
  return {
    allergens: allergenLines(summary, world.allergenNames),
    cautions: allergenWarnings(summary, world.eaters)
      .filter((w) => w.how !== 'unknown')
      .map((w) => sayWarning(w, world.allergenNames)),
  };
}

const allergySays = (a: { allergens: readonly string[]; cautions: readonly string[] }): string =>
  [...a.allergens, ...a.cautions].join('\n').slice(0, 2000);

/**
 * What a label printed now says about allergies, as one text to be remembered with it.
 * @example labelSays(tub7, world) // remembered with the print
 */
export const labelSays = (pack: PackState, world: AllergyWorld): string => allergySays(labelAllergy(pack, world));

/**
 * Whether a pack's label no longer tells the truth about allergies: an ingredient or an eater was changed since it was printed. Packs of one lot with the
 * same words on them are judged once for a table of ingredients and eaters.
 * @example printAgain(tub7, world) // true once walnuts were entered as tree nuts
 */
export function printAgain(pack: PackState, world: AllergyWorld): boolean {
  if (!pack.labelled) return false;
  if (pack.labelOld) return true;
  const revision = pack.revisionId === undefined ? undefined : world.revision(pack.revisionId);
  // what a recipe draws may change without it
  if (revision?.lines.some((l) => l.item.type === 'recipe')) return isOld(pack, world);
  const label = JSON.stringify([pack.revisionId, pack.allergens, pack.labelSays, pack.cautions]);
  return world.memo([world.eaters, world.finder], `print again ${label}`, () => isOld(pack, world));
}

function isOld(pack: PackState, world: AllergyWorld): boolean {
  if (pack.labelSays !== undefined) return pack.labelSays !== labelSays(pack, world);
  // labels from before this was remembered: what they were filled with is what they say
  const summary = packAllergens(pack, world);
  return (
    summary.contains.some((code) => !pack.allergens.contains.includes(code)) ||
    allergenWarnings(summary, world.eaters).some((w) => w.how === 'holds' && !pack.cautions.some((old) => old.startsWith(notFor(w))))
  );
}
