import type { Container, EventData, Figures, Revision, Unit } from '#core/contract';
import {
  isDinnerKind,
  datesFor,
  fromNumber,
  isCounted,
  lifeOf,
  over,
  sayDayYear,
  sayPortions,
  times,
  type LifeResult,
  type Packable,
  type Rational,
  isOne,
  pluralOf,
  toNumber,
} from '#core/kitchen';
import { outerMl, type LabelContent } from '#core/pack';
import {
  addedSaltG,
  allergenLines,
  allergenWarnings,
  type AllergenWarning,
  lineFacts,
  measureLine,
  type LineFacts,
  type ScaledLine,
  type ScaledRecipe,
} from '#core/recipe';
import { sayVague, type PackState } from '#core/store';
import { sayWarning } from './allergy.ts';
import { portionName, sayContents, sayUndated } from './packWords.ts';
import { heatTexts, packHeat, type HeatBasis, type HeatTexts } from './heat.ts';
import { allergensOf, type World } from './world.ts';

/** Added salt a plate above which a low-salt eater is named: a quarter of the 6 g a day of NHS advice. */
export const lowSaltPlateG = 1.5;

/** Everything a filled pack snapshots about its food, the same for all packs of a batch. */
export interface LotFacts {
  life: LifeResult;
  allergens: EventData<'filled'>['allergens'];
  /** Who could be hurt by it, for the plan. */
  warnings: AllergenWarning[];
  cautions: string[];
  /** Of the portions that were dipped out before the salt. */
  unsaltedCautions: string[];
  /** Added on the day: exact for one portion, measured out for each pack. */
  add: AddLine[];
  raw: boolean;
  /** Frozen as cubes or baked in its pan: what decides which containers it may go into. */
  dish: Packable;
  measure: 'g' | 'ml';
}

/** A line that is added on the day, for one portion. */
export interface AddLine {
  scaled: Pick<ScaledLine, 'line' | 'gPerMl'>;
  facts: Pick<LineFacts, 'pour' | 'weighOnly' | 'tight'>;
  exact?: { amount: Rational; unit: Unit };
  /** Its name for one of it, where the line has the name for many. */
  one?: string;
}

/** What is added, one of it or several: `¾ lime`, `2 limes`. */
const addName = (add: AddLine, portions: number): string =>
  add.one !== undefined && add.exact?.unit === 'piece' && isOne(toNumber(add.exact.amount) * portions) ? add.one : add.scaled.line.name;

/** How much of an added line a pack of so many portions takes; labels stay metric (decision 40). */
function addAmount(add: AddLine, portions: number, scaleStepG: number): string {
  if (!add.exact) return '';
  const exact = { amount: times(add.exact.amount, fromNumber(portions)), unit: add.exact.unit };
  return measureLine({ ...add.scaled, exact }, add.facts, scaleStepG, 'metric')?.text ?? '';
}

/** What decides which containers a recipe may go into. @example packableOf({ tags: ['pan'] }) // { cubes: false, pan: true } */
export const packableOf = (revision: Pick<Revision, 'cubeMl' | 'tags'>): Packable => ({
  cubes: revision.cubeMl !== undefined,
  pan: revision.tags.includes('pan'),
});

function addLines(revision: Revision, scaled: ScaledRecipe, world: Pick<World, 'finder'>): AddLine[] {
  const facts = new Map(lineFacts(revision, world.finder).map((f) => [f.line.id, f]));
  return scaled.lines
    .filter((l) => l.line.moment === 'cookDay')
    .map((l) => {
      const f = facts.get(l.lineId);
      return {
        scaled: { line: l.line, ...(l.gPerMl !== undefined && { gPerMl: l.gPerMl }) },
        facts: { pour: f?.pour ?? false, weighOnly: f?.weighOnly ?? false, tight: f?.tight ?? false },
        ...(f?.row && pluralOf(f.row.name) === l.line.name && { one: f.row.name }),
        ...(l.exact && { exact: { amount: over(l.exact.amount, fromNumber(scaled.portions)), unit: l.exact.unit } }),
      };
    });
}

/**
 * Life, allergens, cautions and what is added on the day, for a batch of a revision.
 * @example lotFacts(stew, scaled, world).life // the part that keeps least, with its source
 */
export function lotFacts(revision: Revision, scaled: ScaledRecipe, world: World): LotFacts {
  const allergens = allergensOf(revision, world);
  const salt = isDinnerKind(revision.kind) ? addedSaltG(scaled.lines, scaled.portions) : undefined;
  const saltG = salt === undefined ? 0 : Math.round(salt * 10) / 10;
  const salty =
    saltG > lowSaltPlateG
      ? world.eaters.filter((e) => e.needs.includes('lowSalt')).map((e) => `Not for ${e.name} (${saltG.toLocaleString('en-GB')} g salt)`)
      : [];
  const warned = allergenWarnings(allergens, world.eaters)
    .filter((w) => w.how !== 'unknown')
    .map((w) => sayWarning(w, world.allergenNames));
  const raw = revision.raw ? ['Raw: cook right through'] : [];
  const baby = revision.kind === 'puree' ? ['Heat right through, cool, use once'] : [];
  return {
    life: lifeOf(revision.storage, world.lives, world.household),
    allergens,
    warnings: allergenWarnings(allergens, world.eaters),
    cautions: [...warned, ...salty, ...raw, ...baby],
    unsaltedCautions: ['No added salt', ...warned, ...raw, ...baby],
    add: addLines(revision, scaled, world),
    raw: revision.raw,
    dish: packableOf(revision),
    measure: revision.serving.unit === 'ml' && !isCounted(revision.kind) ? 'ml' : 'g',
  };
}

/**
 * How a pack of a batch is thawed and heated in one container of this household.
 * @example packTexts(basis, { massG: 840, volumeMl: 800, portions: 2 }, tub1000, world).heat
 */
export const packTexts = (
  b: HeatBasis,
  pack: { massG: number; volumeMl: number; portions: number },
  container: Container | undefined,
  kitchen: Pick<World, 'equipment'>,
): HeatTexts => heatTexts(b, packHeat(b, pack, container, kitchen.equipment));

/**
 * Which packs take what was dipped out before the salt: the smallest first, as many whole ones as there are portions for.
 * @returns packs without salt, group by group; the portions that fill no whole pack go with the salted ones and are told
 * @example unsaltedPacks([{ packs: 6, portionsEach: 2 }], 3) // { packs: [1], left: 1 }
 */
export function unsaltedPacks(
  groups: readonly { packs: number; portionsEach: number }[],
  portions: number,
): { packs: number[]; left: number } {
  const packs = groups.map(() => 0);
  let left = portions;
  for (const { g, i } of groups.map((g, i) => ({ g, i })).toSorted((a, b) => a.g.portionsEach - b.g.portionsEach)) {
    const n = Math.min(g.packs, Math.floor(left / g.portionsEach + 1e-9));
    packs[i] = n;
    left -= n * g.portionsEach;
  }
  return { packs, left: Math.max(0, Math.round(left * 4) / 4) };
}

export interface FillPlan {
  revision: Revision;
  batchId: string;
  sessionId: string;
  lot: LotFacts;
  day: string;
  /** Finished grams per millilitre; never absent (decision 43). */
  densityGPerMl: number;
  figures: Figures;
  scaleStepG: number;
}

/**
 * The `filled` payload of one pack: dates, life and its source, allergens and texts are snapshots, so that later edits of a table never move a printed date.
 * @returns a refusal in words when the food should not be frozen or its life is not known
 * @example filledData(plan, { code: 'K4MD8', container: tub1000, ...fill }).life?.bestBy // '2027-02-28'
 */
export function filledData(
  plan: FillPlan,
  pack: { code: string; container: Container; portions: number; ml: number; n: number; of: number; unsalted?: boolean },
  texts: Pick<HeatTexts, 'heat' | 'thaw' | 'thawH'>,
): { ok: true; data: EventData<'filled'> } | { ok: false; why: string } {
  const { revision, lot } = plan;
  if (!lot.life.ok)
    return {
      ok: false,
      why:
        lot.life.why === 'doNotFreeze'
          ? `${lot.life.part} does not freeze: keep it in the fridge`
          : `no storage life is known for ${lot.life.part || revision.name}`,
    };
  return {
    ok: true,
    data: {
      code: pack.code,
      lotId: plan.batchId,
      batchId: plan.batchId,
      sessionId: plan.sessionId,
      recipeId: revision.recipeId,
      revisionId: revision.id,
      name: revision.name,
      kind: revision.kind,
      // one with no name of its own is kept as none
      ...(pack.container.id !== '' && { containerId: pack.container.id }),
      portions: pack.portions,
      ...(revision.cubeMl !== undefined && { cubes: Math.max(1, Math.round(pack.portions)) }),
      massG: Math.round(pack.ml * plan.densityGPerMl),
      volumeMl: Math.round(pack.ml),
      outerMl: Math.round(outerMl(pack.container, pack.ml, plan.figures, revision.cubeMl !== undefined)),
      made: { earliest: plan.day, latest: plan.day },
      nOf: { n: pack.n, of: pack.of },
      life: lot.life.life,
      ...datesFor(lot.life.life, plan.day),
      allergens: lot.allergens,
      cautions: pack.unsalted ? lot.unsaltedCautions : lot.cautions,
      raw: lot.raw,
      addOnDay: lot.add.map((a) => addName(a, pack.portions)),
      addAmounts: lot.add.map((a) => addAmount(a, pack.portions, plan.scaleStepG)),
      measure: lot.measure,
      ...(revision.kind === 'kit' && { whole: true }),
      reheat: texts.heat.flatMap((way) => way[0] ?? []),
      ...(texts.thaw && { thaw: texts.thaw }),
      ...(texts.thawH && { thawH: texts.thawH }),
    },
  };
}

type Labelled = Pick<
  PackState,
  | 'packId'
  | 'code'
  | 'kind'
  | 'name'
  | 'portions'
  | 'volumeMl'
  | 'massG'
  | 'measure'
  | 'nOf'
  | 'made'
  | 'foundOn'
  | 'bestBy'
  | 'allergens'
  | 'cautions'
  | 'addOnDay'
  | 'addAmounts'
>;

/** Cautions about allergies are worded by `sayWarning`; packs of before it say `Not for Mio (nuts)` or `Mio: may hold nuts`. */
const isAllergyCaution = (c: string): boolean => (/^Not for /.test(c) && !/ salt\)$/.test(c)) || /: may hold /.test(c);

/**
 * What a pack's label says: its snapshot, and how it is thawed and heated in this household.
 * @example labelContent(tub7, names, heatOfPack(tub7, world)).name // 'Leek and mustard gratin'
 */
export function labelContent(
  pack: Labelled,
  allergenNames: ReadonlyMap<string, string>,
  texts: Pick<HeatTexts, 'heat' | 'thaw' | 'dose' | 'usual'>,
  allergy: { allergens: readonly string[]; cautions: readonly string[] } = {
    allergens: allergenLines(pack.allergens, allergenNames),
    cautions: [],
  },
): LabelContent {
  // what is known of allergies today stands before what was known when it was filled
  const others = pack.cautions.filter((c) => !isAllergyCaution(c) || allergy.cautions.length === 0);
  return {
    packId: pack.packId,
    code: pack.code,
    kind: pack.kind,
    name: pack.name,
    portions: `${sayPortions(pack.portions)}\u00A0${portionName(pack.kind, pack.portions)}`,
    weight: sayContents(pack),
    nOf: `${pack.nOf.n} of ${pack.nOf.of}`,
    ...(pack.made && { made: sayVague(pack.made) }),
    ...(pack.bestBy !== undefined ? { bestBy: sayDayYear(pack.bestBy) } : { undated: sayUndated(pack.foundOn) }),
    allergens: allergy.allergens,
    cautions: [...allergy.cautions, ...others],
    add: pack.addOnDay.map((name, i) => ({ name, ...(pack.addAmounts?.[i] && { amount: pack.addAmounts[i] }) })),
    dose: texts.dose,
    ...(texts.thaw !== undefined && { thaw: texts.thaw }),
    heat: texts.heat,
    usual: texts.usual,
  };
}
