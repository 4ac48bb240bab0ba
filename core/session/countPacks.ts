import type { Day, EventData, Household } from '#core/contract';
import { isRawKind, datesFor, lifeOf, type LifeRow } from '#core/kitchen';
import type { CountedLine } from '#core/store';

/** Bag and air around food in the freezer: packs that nobody measured take about a sixth more than what is in them (kitchen estimate). */
const outerFactor = 1.17;
/** Grams per millilitre of food that nobody weighed (kitchen estimate, as water). */
const gPerMl = 1;

/**
 * The packs of one counted line, as `filled` events say them. Nothing is known of what is in them, so their allergens are unchecked;
 * the best-by day counts from the earliest day they may have been made.
 * @param codes one for each pack
 * @param today the day they were found, for those without a date
 * @returns a refusal when the food has no storage life here
 * @example countedPacks(line, ['K4MD8'], lotId, lives) // events of packs that were found, not filled
 */
export function countedPacks(
  line: CountedLine,
  codes: readonly string[],
  lotId: string,
  lives: ReadonlyMap<string, LifeRow>,
  household: Pick<Household, 'country' | 'lives'>,
  today: Day,
): { ok: true; packs: EventData<'filled'>[] } | { ok: false; why: string } {
  const life = lifeOf([{ rowId: line.lifeRow, part: line.name }], lives, household);
  if (!life.ok) return { ok: false, why: `No storage life is known for ${line.name}: choose another kind.` };
  const volumeMl = Math.round(line.portionsEach * line.mlEach);
  return {
    ok: true,
    packs: codes.map((code, i) => ({
      code,
      lotId,
      ...(line.recipeId && { recipeId: line.recipeId }),
      name: line.name,
      kind: line.kind,
      portions: line.portionsEach,
      ...(line.kind === 'puree' && { cubes: Math.max(1, Math.round(line.portionsEach)) }),
      massG: Math.round(volumeMl * gPerMl),
      volumeMl,
      outerMl: Math.round(volumeMl * outerFactor),
      // nobody knows how old it is: it was found today, and no date is counted from that
      ...(line.made ? { made: line.made } : { foundOn: today }),
      nOf: { n: i + 1, of: codes.length },
      life: life.life,
      ...(line.made && datesFor(life.life, line.made.earliest)),
      allergens: { contains: [], check: [], unmatched: [line.name] },
      raw: isRawKind(line.kind),
      ...(line.kind === 'kit' && { whole: line.whole ?? true }),
      cautions: [],
      addOnDay: [],
      reheat: [],
    })),
  };
}
