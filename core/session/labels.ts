import type { Container, EventData, Revision } from '#core/contract';
import { datesFor, lifeOf, sayDayYear, sayPortions, sayVolume, type LifeResult } from '#core/kitchen';
import { outerMl, reheatText, thawHours, type LabelContent } from '#core/pack';
import { addedSaltG, allergenLines, allergenWarnings, sayDose, type ScaledRecipe } from '#core/recipe';
import { sayVague, type PackState } from '#core/store';
import { allergensOf, type World } from './world.ts';

/** Added salt a plate above which a low-salt eater is named: a quarter of the 6 g a day of NHS advice. */
export const lowSaltPlateG = 1.5;

const unitName: Readonly<Record<string, [string, string]>> = {
  puree: ['cube', 'cubes'],
  aromatic: ['cube', 'cubes'],
  broth: ['pack', 'packs'],
  bread: ['piece', 'pieces'],
};

/** What one portion of a kind is called. */
export const portionName = (kind: string, n: number): string => (unitName[kind] ?? ['portion', 'portions'])[n === 1 ? 0 : 1] ?? 'portions';

/** Everything a filled pack snapshots about its food, the same for all packs of a batch. */
export interface LotFacts {
  life: LifeResult;
  allergens: EventData<'filled'>['allergens'];
  cautions: string[];
  /** Of the portions that were dipped out before the salt. */
  unsaltedCautions: string[];
  addOnDay: string[];
  raw: boolean;
}

/** Life, allergens, cautions and what is added on the day, for a batch of a revision. */
export function lotFacts(revision: Revision, scaled: ScaledRecipe, world: World): LotFacts {
  const allergens = allergensOf(revision, world);
  const names = (codes: readonly string[]): string => codes.map((c) => world.allergenNames.get(c) ?? c).join(', ');
  const salt = revision.kind === 'meal' || revision.kind === 'kit' ? addedSaltG(scaled.lines, scaled.portions) : undefined;
  const saltG = salt === undefined ? 0 : Math.round(salt * 10) / 10;
  const salty =
    saltG > lowSaltPlateG
      ? world.eaters.filter((e) => e.needs.includes('lowSalt')).map((e) => `Not for ${e.name} (${saltG.toLocaleString('en-GB')} g salt)`)
      : [];
  const warned = allergenWarnings(allergens, world.eaters).map((w) =>
    w.certain ? `Not for ${w.name} (${names(w.codes)})` : `${w.name}: may hold ${names(w.codes)}, read the labels`,
  );
  const raw = revision.raw ? ['Raw: cook right through'] : [];
  const baby = revision.kind === 'puree' ? ['Heat right through, cool, use once'] : [];
  return {
    life: lifeOf(revision.storage, world.lives, world.household),
    allergens,
    cautions: [...warned, ...salty, ...raw, ...baby],
    unsaltedCautions: ['No added salt', ...warned, ...raw, ...baby],
    addOnDay: scaled.lines.filter((l) => l.line.moment === 'cookDay').map((l) => l.line.name),
    raw: revision.raw,
  };
}

/** Reheating and thawing text for a batch in one container. */
export interface ContainerFacts {
  reheat: string[];
  thaw?: string;
}

export function containerFacts(revision: Revision, container: Container | undefined, ml: number, world: World): ContainerFacts {
  const cubes = revision.cubeMl !== undefined;
  const hours = thawHours(world.thaws, container, ml, cubes);
  const then = world.household.country === 'US' ? '' : ', then eat within 24\u00A0h';
  return {
    reheat: [
      ...(revision.dose ? sayDose(revision.dose, (id) => world.finder.byId(id)?.name ?? id) : []),
      ...reheatText(
        world.reheats,
        revision.reheatIds,
        cubes ? undefined : container,
        world.equipment,
        world.materials,
        world.household.country,
      ),
    ].slice(0, 6),
    ...(hours && revision.kind !== 'aromatic' && { thaw: `${hours.low} to ${hours.high}\u00A0h in the fridge${then}` }),
  };
}

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
  densityGPerMl: number | undefined;
}

/**
 * The `filled` payload of one pack: dates, life and its source, allergens and texts are snapshots, so that later edits of a table never move a printed date.
 * @returns a refusal in words when the food should not be frozen or its life is not known
 */
export function filledData(
  plan: FillPlan,
  pack: { code: string; container: Container; portions: number; ml: number; n: number; of: number; unsalted?: boolean },
  facts: ContainerFacts,
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
      containerId: pack.container.id,
      portions: pack.portions,
      ...(revision.cubeMl !== undefined && { cubes: Math.max(1, Math.round(pack.portions)) }),
      massG: Math.round(pack.ml * (plan.densityGPerMl ?? 1)),
      volumeMl: Math.round(pack.ml),
      outerMl: Math.round(outerMl(pack.container, pack.ml, revision.cubeMl !== undefined)),
      made: { earliest: plan.day, latest: plan.day },
      nOf: { n: pack.n, of: pack.of },
      life: lot.life.life,
      ...datesFor(lot.life.life, plan.day),
      allergens: lot.allergens,
      cautions: pack.unsalted ? lot.unsaltedCautions : lot.cautions,
      raw: lot.raw,
      addOnDay: lot.addOnDay,
      reheat: facts.reheat,
      ...(facts.thaw && { thaw: facts.thaw }),
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
  | 'nOf'
  | 'made'
  | 'bestBy'
  | 'allergens'
  | 'cautions'
  | 'thaw'
  | 'reheat'
  | 'addOnDay'
>;

/** What a pack's label says, from its snapshot. */
export function labelContent(pack: Labelled, allergenNames: ReadonlyMap<string, string>): LabelContent {
  return {
    packId: pack.packId,
    code: pack.code,
    kind: pack.kind,
    name: pack.name,
    portions: `${sayPortions(pack.portions)}\u00A0${portionName(pack.kind, pack.portions)}, ${sayVolume(pack.volumeMl)}, ${pack.nOf.n} of ${pack.nOf.of}`,
    made: `Made ${sayVague(pack.made)}`,
    bestBy: sayDayYear(pack.bestBy),
    allergens: allergenLines(pack.allergens, allergenNames),
    cautions: pack.cautions,
    more: [
      ...(pack.addOnDay.length > 0 ? [{ head: 'Add', text: `${pack.addOnDay.join(', ')}.` }] : []),
      ...pack.reheat.map((text) => ({ head: 'Heat', text })),
      ...(pack.thaw ? [{ head: 'Thaw', text: `${pack.thaw}.` }] : []),
    ],
  };
}
