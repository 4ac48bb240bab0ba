import type { Container, Equipment, Figures, Kind, Revision } from '#core/contract';
import { adviceOf, type Advice, type ReferenceRow } from '#core/kitchen';
import {
  classOfOldIds,
  formsOf,
  guessClass,
  heatNotes,
  heatRow,
  heatWays,
  isBlock,
  labelWays,
  pageWay,
  partsOf,
  sayThaw,
  stovesOf,
  thawRange,
  thicknessMm,
  type HeatPack,
  type HeatRow,
  type HeatWay,
  type ThawRange,
  type ThawShape,
} from '#core/pack';
import { sayDose } from '#core/recipe';
import type { World } from './world.ts';

/** The reheating table with its cells read. @example heatRowsOf(world).filter((r) => r.classId === 'stew') */
export const heatRowsOf = (world: Pick<World, 'reheats' | 'memo'>): HeatRow[] =>
  world.memo([world.reheats], 'heat rows', () => world.reheats.map(heatRow));

/** How a food is thawed and heated, before one knows the pack: its class, its own words, the rows that may hold. */
export interface HeatBasis {
  classId: string;
  /** Nobody has confirmed the class yet. */
  guess: boolean;
  kind: Kind;
  raw: boolean;
  cubes: boolean;
  ownReheat?: string;
  ownThaw?: string;
  dose: string[];
  /** Cubes of one helping. */
  helping: number;
  rows: HeatRow[];
  thaws: readonly ReferenceRow[];
  figures: Figures;
  advice: Advice;
}

/** Cubes that go into one dish where the table says nothing else (kitchen estimate). */
const cubesADish: Partial<Record<string, number>> = { aromatic: 2, aromatic_oil: 2, broth_cube: 4 };
/** A baby's meal where no baby is entered (kitchen estimate, as the stage table's middle). */
const cubesAMeal = 3;

interface Food {
  name: string;
  kind: Kind;
  lifeIds: readonly string[];
  raw: boolean;
  cubes: boolean;
}

type HeatWorld = Pick<World, 'reheats' | 'thaws' | 'eaters' | 'finder' | 'memo' | 'figures' | 'household'>;

function basis(food: Food, classId: string, guess: boolean, world: HeatWorld, revision?: Revision): HeatBasis {
  return {
    classId,
    guess,
    kind: food.kind,
    raw: food.raw,
    cubes: food.cubes,
    ...(revision?.ownReheat && { ownReheat: revision.ownReheat }),
    ...(revision?.ownThaw && { ownThaw: revision.ownThaw }),
    dose: revision?.dose ? sayDose(revision.dose, (id) => world.finder.byId(id)?.name ?? id) : [],
    helping: cubesADish[classId] ?? world.eaters.find((e) => e.baby)?.baby?.cubesPerMeal ?? cubesAMeal,
    rows: heatRowsOf(world).filter((r) => r.classId === classId),
    thaws: world.thaws,
    figures: world.figures,
    advice: adviceOf(world.household.country, world.figures),
  };
}

/**
 * The class of a recipe: said by the cook, carried over from older rows, else guessed from what it is.
 * @example heatBasis(stew, world).classId // 'stew'
 */
export function heatBasis(revision: Revision, world: HeatWorld): HeatBasis {
  const rows = heatRowsOf(world);
  const food: Food = {
    name: revision.name,
    kind: revision.kind,
    lifeIds: revision.storage.map((s) => s.rowId),
    raw: revision.raw,
    cubes: revision.cubeMl !== undefined,
  };
  const said =
    revision.reheatClass !== undefined && rows.some((r) => r.classId === revision.reheatClass) ? revision.reheatClass : undefined;
  const old = classOfOldIds(revision.reheatIds, rows);
  const classId = said ?? old ?? guessClass({ ...food, parts: partsOf(revision.lines), pan: revision.tags.includes('pan') }, rows);
  return basis(food, classId, !revision.confirmed.includes('reheat') && old === undefined, world, revision);
}

/** What of a pack decides how it is heated. */
export interface HeatedPack {
  name: string;
  kind: Kind;
  portions: number;
  massG: number;
  volumeMl: number;
  cubes?: number | undefined;
  raw: boolean;
  recipeId?: string | undefined;
  life: { rowId: string };
  /** What it was first labelled with, for packs of which nothing else is known. */
  reheat?: readonly string[];
}

/**
 * The basis of a pack: its recipe's as it stands now, so that what is confirmed later holds for packs in store too.
 * @example packBasis(tub7, world).guess // true while nobody has confirmed how it is heated
 */
export function packBasis(pack: HeatedPack, world: HeatWorld & Pick<World, 'recipe'>): HeatBasis {
  const revision = pack.recipeId === undefined ? undefined : world.recipe(pack.recipeId)?.revision;
  if (revision) return heatBasis(revision, world);
  const food: Food = { name: pack.name, kind: pack.kind, lifeIds: [pack.life.rowId], raw: pack.raw, cubes: pack.cubes !== undefined };
  return basis(food, guessClass({ ...food, pan: false }, heatRowsOf(world)), true, world);
}

/** How one pack is thawed and heated, in figures. */
export interface PackHeat {
  ways: HeatWay[];
  thaw?: ThawRange;
}

const shapeOf = (b: HeatBasis, container: Container | undefined): ThawShape =>
  b.cubes ? 'cube' : b.raw ? 'raw' : container?.shape === 'bag' ? 'flat' : container?.shape === 'pan' ? 'pan' : 'tub';

/** What is put frozen into the pan, and never thawed first. */
const neverThawed = new Set(['aromatic', 'aromatic_oil', 'broth_cube', 'stock_paste', 'nuts', 'never', 'kit_dry', 'veg_dry', 'mince_dry']);

/**
 * A pack as the heating table sees it: its form, thickness and weight.
 * @example packHeat(basis, { massG: 840, volumeMl: 800, portions: 2 }, tub1000, world)
 */
export function packHeat(
  b: HeatBasis,
  pack: { massG: number; volumeMl: number; portions: number },
  container: Container | undefined,
  equipment: readonly Equipment[],
): PackHeat {
  const each = Math.min(1, b.helping / Math.max(1, pack.portions));
  const share = b.cubes ? each : 1;
  const block = isBlock(b.classId) && container && !b.cubes;
  const mm = block ? thicknessMm(container, pack.volumeMl) : undefined;
  const food: HeatPack = {
    forms: formsOf(container, b.cubes),
    massG: pack.massG * share,
    volumeMl: pack.volumeMl * share,
    ...(mm !== undefined && { thicknessMm: mm }),
    ...(b.cubes && { pieces: Math.max(1, Math.min(b.helping, Math.round(pack.portions))) }),
    ...(b.kind === 'bread' && { pieces: Math.max(1, Math.round(pack.portions)) }),
    ...(container?.microwave !== undefined && { microwave: container.microwave }),
  };
  const thaw = neverThawed.has(b.classId)
    ? undefined
    : thawRange(b.thaws, shapeOf(b, container), b.cubes || !container ? undefined : thicknessMm(container, pack.volumeMl));
  return { ways: heatWays(b.rows, b.classId, food, stovesOf(equipment, b.figures)), ...(thaw && { thaw }) };
}

/** How a pack is thawed and heated, in words: for its label, shortest last, and for its page. */
export interface HeatTexts {
  classId: string;
  /** Minutes of the table, not the recipe's own words. */
  usual: boolean;
  guess: boolean;
  heat: string[][];
  thaw?: string;
  dose: string[];
  thawH?: { low: number; high: number };
  /** For the page: each way with its sentences, then those that are not to be taken. */
  ways: { id: string; title: string; sentences: string[]; refused: boolean }[];
  notes: string[];
}

/** Two ways stand on a label, if there is room. */
const waysOnLabel = 2;

const methodTitle: Readonly<Record<HeatWay['method'], string>> = {
  hob: 'On the hob',
  boil: 'In boiling water',
  steam: 'In the steamer',
  microwave: 'In the microwave',
  oven: 'In the oven',
  'air fryer': 'In the air fryer',
  'pressure cooker': 'In the pressure cooker',
  'slow cooker': 'In the slow cooker',
  toaster: 'In the toaster',
  kettle: 'With boiling water',
  'water bath': 'In a water bath',
  none: 'Thawed',
};
const startTitle: Readonly<Record<HeatWay['start'], string>> = {
  frozen: ', from frozen',
  thawed: ', once thawed',
  chilled: ', from the fridge',
  dry: '',
  any: '',
};

/** The second way on a label is another stove's, else another start. */
function secondOf(ways: readonly HeatWay[]): HeatWay | undefined {
  const [first, ...others] = ways;
  return others.find((w) => w.method !== first?.method) ?? others[0];
}

/** How a pack is thawed and heated, in words. @example heatTexts(basis, packHeat(basis, pack, tub500, world)).thaw */
export function heatTexts(b: HeatBasis, heat: PackHeat): HeatTexts {
  const { advice } = b;
  const good = heat.ways.filter((w) => w.stop === undefined);
  const [first = heat.ways[0]] = good;
  const second = secondOf(good);
  const table = [first, second].flatMap((w) => (w ? [labelWays(w, advice)] : [])).slice(0, waysOnLabel);
  const own = b.ownReheat?.trim();
  const baby = b.kind === 'puree';
  const thaw = b.ownThaw?.trim() || (heat.thaw && sayThaw(heat.thaw, advice, b.raw, baby));
  const notes = [...new Set(heat.ways.flatMap((w) => heatNotes(w, advice)))];
  return {
    classId: b.classId,
    usual: !own,
    guess: b.guess,
    heat: own ? [[/[.!?]$/.test(own) ? own : `${own}.`], ...table.slice(0, 1)] : table,
    ...(thaw && { thaw: thaw.replace(/\.$/, '') }),
    ...(heat.thaw && { thawH: { low: heat.thaw.low, high: heat.thaw.high } }),
    dose: b.dose,
    ways: heat.ways.map((w) => ({
      id: w.row.id,
      title: `${methodTitle[w.method]}${startTitle[w.start]}`,
      sentences: pageWay(w, advice),
      refused: w.stop === 'refused',
    })),
    notes,
  };
}

/**
 * How a pack in store is thawed and heated in this household.
 * @example heatOfPack(tub7, world).heat[0]?.[0] // the longest wording of the first way
 */
export function heatOfPack(
  pack: HeatedPack & { containerId?: string | undefined },
  world: HeatWorld & Pick<World, 'recipe' | 'containers' | 'equipment' | 'household'>,
): HeatTexts {
  const b = packBasis(pack, world);
  const container = world.containers.find((c) => c.id === pack.containerId);
  return heatTexts(b, packHeat(b, pack, container, world.equipment));
}
