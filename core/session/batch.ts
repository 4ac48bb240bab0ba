import { intentId, type Batch, type Container, type Revision } from '#core/contract';
import type { Task } from '#core/cook';
import { mayHold } from '#core/kitchen';
import { choosePacks, cubeRounds, freeAfter, type CubeRounds, type Free, type PackChoice, type PackResult } from '#core/pack';
import { densityIsGuess, type ScaledRecipe } from '#core/recipe';
import type { ShopSection } from '#core/shop';
import type { PackState } from '#core/store';
import { heatBasis, type HeatBasis } from './heat.ts';
import { lotFacts, packableOf, type LotFacts } from './labels.ts';
import type { SessionLog } from './log.ts';
import { stageFlags, stageOf, type Flags, type Stage } from './state.ts';
import type { World } from './world.ts';

export interface BatchYield {
  ml: number;
  g: number;
  /** Servings it comes to: grams by grams, millilitres by millilitres, cubes by the tray's own cell. */
  portions: number;
  /** Planned until it is weighed. */
  how: 'planned' | 'weighed';
  densityGPerMl: number;
  /** Nobody weighed or entered the density yet. */
  densityGuess: boolean;
  /** Volume and weight of one portion. */
  portionMl: number;
  portionG: number;
}

export interface BatchView {
  batch: Batch;
  revision: Revision;
  scaled: ScaledRecipe;
  yield: BatchYield;
  packs: PackState[];
  /** The newest events about it and its packs, as one id. */
  seen: string;
  tonightMl: number;
  discardedMl: number;
  /** Goes into other dishes of the session. */
  drawnMl: number;
  /** What is still in the pot. */
  toPackMl: number;
  packing: PackResult;
  cubes?: CubeRounds;
  flags: Flags;
  stage: Stage;
  lot: LotFacts;
  /** How it is thawed and heated, for the labels of what is chosen. */
  heat: HeatBasis;
}

/** Cubes a bag should hold: two days of the baby's meals, else twenty. */
const cubeGroups = (world: World): number[] => {
  const baby = world.eaters.find((e) => e.baby)?.baby;
  return baby ? [baby.cubesPerMeal * baby.mealsPerDay * 2] : [20];
};

/**
 * Finished volume of one portion of a recipe, whose density is always known (`densityResolver`).
 * @example portionMlOf(leekSoup) // 400
 */
export const portionMlOf = (revision: Revision): number =>
  revision.cubeMl ?? (revision.serving.unit === 'ml' ? revision.serving.amount : revision.serving.amount / (revision.density?.gPerMl ?? 1));

/** Cells this far apart in size are the same tray. */
const sameCell = 0.02;

/** The tray whose cells make a recipe's cubes: of its own size, else the nearest the household has; its own cell is then the cube. */
export function trayFor(revision: Pick<Revision, 'cubeMl'>, containers: readonly Container[]): Container | undefined {
  const { cubeMl } = revision;
  if (cubeMl === undefined) return undefined;
  return containers
    .filter((c) => (c.shape === 'tray' || c.shape === 'mould') && c.owned > 0)
    .toSorted((a, b) => Math.abs(a.fillMl - cubeMl) - Math.abs(b.fillMl - cubeMl) || a.id.localeCompare(b.id))[0];
}

/**
 * What one cube holds: the tray's own fill, never a round figure.
 * @example cubeMlOf({ cubeMl: 30 }, [trayOf27]) // 27: the tray decides
 */
export function cubeMlOf(revision: Pick<Revision, 'cubeMl'>, containers: readonly Container[]): number | undefined {
  const tray = trayFor(revision, containers);
  if (revision.cubeMl === undefined || !tray) return revision.cubeMl;
  return Math.abs(tray.fillMl / revision.cubeMl - 1) <= sameCell ? revision.cubeMl : tray.fillMl;
}

/**
 * What a batch came to: as weighed, else as planned.
 * @example yieldOf(batch, stew, log).how // 'weighed' once it stood on the scale
 */
export function yieldOf(batch: Batch, revision: Revision, log: SessionLog, containers: readonly Container[] = []): BatchYield {
  const weighed = log.weighed.get(batch.id);
  const density = revision.density?.gPerMl ?? 1;
  const cubeMl = cubeMlOf(revision, containers);
  const planned = batch.portions * portionMlOf(revision);
  const taught = weighed?.tub ? weighed.tub.g / weighed.tub.ml : undefined;
  const ml = weighed ? weighed.volumeMl : planned;
  // measured by volume, the weight follows from the density
  const g = weighed ? (weighed.netG ?? weighed.volumeMl * (taught ?? density)) : planned * density;
  const portions =
    cubeMl !== undefined ? ml / cubeMl : revision.serving.unit === 'g' ? g / revision.serving.amount : ml / revision.serving.amount;
  return {
    ml,
    g,
    portions: Number(portions.toFixed(6)),
    how: weighed ? 'weighed' : 'planned',
    densityGPerMl: g / ml,
    densityGuess: taught === undefined && densityIsGuess(revision.density),
    portionMl: ml / portions,
    portionG: g / portions,
  };
}

/** Pack sizes a kind is liked in when it is no dinner: rolls by the half dozen, bases for a family dish, broth by itself. */
const groupsByKind: Partial<Record<Revision['kind'], readonly number[]>> = {
  bread: [6],
  base: [4],
  broth: [1],
  dried: [4],
  aromatic: [20],
};

/**
 * Packs wished for, from what is free; pans take only what is baked in them.
 * @example packingFor(stew, 3800, 400, frees, world) // tubs of two, from what is free
 */
export function packingFor(
  revision: Revision,
  ml: number,
  portionMl: number,
  frees: readonly Free[],
  world: World,
  groups: readonly number[] = world.household.groupSizes,
): PackResult {
  const dish = packableOf(revision);
  const asCubes = dish.cubes;
  const fitting = frees.filter((f) => mayHold(f.container, dish));
  return choosePacks(
    {
      yieldMl: ml,
      portionMl,
      figures: world.figures,
      groups: asCubes && revision.kind === 'puree' ? cubeGroups(world) : (groupsByKind[revision.kind] ?? groups),
      ...(asCubes && { asCubes }),
    },
    fitting,
  );
}

export interface BatchInput {
  batch: Batch;
  revision: Revision;
  log: SessionLog;
  packs: readonly PackState[];
  frees: readonly Free[];
  list: readonly ShopSection[];
  tasks: readonly Task[];
  /** Goes into other dishes of the session. */
  drawnMl?: number;
  /** Trays decide how large a cube is. */
  containers?: readonly Container[];
}

/** How far a batch has come, without choosing containers for what is left. */
export interface Standing {
  made: BatchYield;
  packs: PackState[];
  tonightMl: number;
  discardedMl: number;
  drawnMl: number;
  toPackMl: number;
  flags: Flags;
}

export function standingOf(input: Omit<BatchInput, 'frees'>): Standing {
  const { batch, revision, log } = input;
  const made = yieldOf(batch, revision, log, input.containers);
  const packs = input.packs.filter((p) => p.batchId === batch.id).toSorted((a, b) => a.nOf.n - b.nOf.n);
  // what was packed anew was counted where it was packed first
  const packedMl = packs.reduce((s, p) => s + (p.from ? 0 : p.volumeMl), 0);
  const tonightMl = log.tonight.get(batch.id) ?? 0;
  const discardedMl = log.discarded.get(batch.id) ?? 0;
  const drawnMl = Math.min(made.ml, input.drawnMl ?? 0);
  const toPackMl = Math.max(0, made.ml - packedMl - tonightMl - discardedMl - drawnMl);
  const lines = input.list.flatMap((s) => s.lines).filter((l) => !l.onTheDay && l.asked.some((a) => a.batchId === batch.id));
  const tasks = input.tasks.filter((t) => t.batchIds.includes(batch.id));
  const flags = stageFlags({
    lines: { total: lines.length, ticked: lines.filter((l) => log.ticks.has(l.key)).length },
    tasks: { total: tasks.length, closed: tasks.filter((t) => ['done', 'skipped'].includes(log.tasks.get(t.id)?.state ?? '')).length },
    yieldLogged: log.weighed.has(batch.id),
    yieldMl: made.ml,
    portionMl: made.portionMl,
    packedMl,
    tonightMl,
    discardedMl,
    drawnMl,
    closedByHand: log.closed.has(batch.id),
    packs: {
      total: packs.length,
      labelled: packs.filter((p) => p.labelled).length,
      placed: packs.filter((p) => p.placeId || p.fridgeSince || p.left === 0).length,
    },
  });
  return { made, packs, tonightMl, discardedMl, drawnMl, toPackMl, flags };
}

/**
 * A batch of a session with all that is known of it; `frees` are the containers left by the batches before it.
 * @example batchView({ batch, revision, log, packs, frees, list, tasks }, world).view.stage // 'cooked'
 */
export function batchView(input: BatchInput, world: World): { view: BatchView; frees: Free[] } {
  const { batch, revision } = input;
  const result = world.scale(revision, batch.portions, batch.yieldFactor);
  if (!result.ok) throw new RangeError(`batch ${batch.id}: ${result.got} portions, expected ${result.allowed}`);
  const { made, packs, tonightMl, discardedMl, drawnMl, toPackMl, flags } = standingOf({ ...input, containers: world.containers });
  const packing = packingFor(revision, toPackMl, made.portionMl, input.frees, world);
  const tray = trayFor(revision, world.containers);
  const choice: PackChoice | undefined = packing.ok && !flags.packed ? packing.choice : undefined;
  return {
    view: {
      batch,
      revision,
      scaled: result.scaled,
      yield: made,
      packs,
      seen: intentId(input.log.seen.get(batch.id) ?? batch.id, ...packs.map((p) => p.seen ?? p.packId)),
      tonightMl,
      discardedMl,
      drawnMl,
      toPackMl,
      packing,
      flags,
      stage: stageOf(flags),
      lot: lotFacts(revision, result.scaled, world),
      heat: heatBasis(revision, world),
      ...(revision.cubeMl !== undefined && { cubes: cubeRounds(made.ml, made.portionMl, tray?.owned ?? 0, tray?.cells ?? 0) }),
    },
    frees: choice ? freeAfter(input.frees, choice) : [...input.frees],
  };
}
