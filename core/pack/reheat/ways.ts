import type { Container, Equipment, Figures } from '#core/contract';
import { foilOffMin, growth, liquidMl, onMarks, wattFactor, type BlockLimits, type Span } from './minutes.ts';
import type { HeatForm, HeatMethod, HeatRow, HeatStart } from './rows.ts';

/** The food in one pack, as heat sees it. */
export interface HeatPack {
  /** What it stands in, the likeliest first: a glass tub is a dish, else a jar. */
  forms: readonly HeatForm[];
  massG: number;
  volumeMl: number;
  /** Food at its thickest; unknown for loose pieces nobody measured. */
  thicknessMm?: number;
  /** Cubes, rolls or patties in one helping, when they are counted. */
  pieces?: number;
  /** Whether its container may go into a microwave; unknown counts as no. */
  microwave?: Container['microwave'];
  /** Water that was dried out of it. */
  waterLostMl?: number;
}

/** What a household heats with. */
export interface Stoves {
  has: ReadonlySet<HeatMethod>;
  fan: boolean;
  /** Watts of its microwave; not known, the weaker usual one counts. */
  watts?: number;
  /** What a microwave does with thick frozen blocks. */
  block: BlockLimits;
}

/** Not entered, a microwave counts as one of these watts (reheating table, 2). */
export const assumedWatts = 700;

const stoveOf: Partial<Record<Equipment['kind'], readonly HeatMethod[]>> = {
  hob: ['hob', 'boil', 'steam', 'kettle'],
  oven: ['oven'],
  microwave: ['microwave'],
  airFryer: ['air fryer'],
  pressureCooker: ['pressure cooker'],
  slowCooker: ['slow cooker'],
  toaster: ['toaster'],
};

/**
 * What can be heated with here; a household that has entered no stove at all is taken to have a hob, an oven and a microwave.
 * @example stovesOf(equipment, figures).watts // watts, when there is one
 */
export function stovesOf(equipment: readonly Equipment[], figures: Pick<Figures, 'blockSlow' | 'blockMost' | 'blockLonger'>): Stoves {
  const own = equipment.filter((e) => e.count > 0);
  const has = new Set<HeatMethod>(own.flatMap((e) => stoveOf[e.kind] ?? []));
  if (has.size === 0) for (const m of ['hob', 'boil', 'steam', 'kettle', 'oven', 'microwave'] as const) has.add(m);
  has.add('none');
  const microwave = own.find((e) => e.kind === 'microwave' && e.watts !== undefined);
  const ovens = own.filter((e) => e.kind === 'oven');
  return {
    has,
    // an oven that is said to have a fan counts; two of them and one has not: the static minutes hold for both
    fan: ovens.length > 0 && ovens.every((e) => e.fan === true),
    ...(microwave?.watts !== undefined && { watts: microwave.watts }),
    block: { slowMm: figures.blockSlow, mostMm: figures.blockMost, longer: figures.blockLonger },
  };
}

/** Why a way is not to be taken, or not as it stands. */
export type HeatStop = 'thawFirst' | 'tooThick' | 'refused';

/** One way to heat one pack: figures and codes, no sentences. */
export interface HeatWay {
  row: HeatRow;
  method: HeatMethod;
  start: HeatStart;
  stop?: HeatStop;
  /** One span, or one for each microwave or oven stage. */
  stages: Span[];
  /** Per cent of full power for each stage. */
  powers: readonly number[];
  watts?: { value: number; assumed: boolean };
  temperaturesC: readonly number[];
  fan: boolean;
  liquid?: { name: string; ml: number };
  foilOffMin?: number;
  /** Too much for one go: so many equal turns, pans, bowls or dishes, and what goes into one. */
  turns?: { n: number; kind: string; eachG: number; eachMl: number };
  /** Thicker than this it is cut or spread first. */
  cutToMm?: number;
  /** It stays in what it was frozen in. */
  staysIn: boolean;
  pieces?: number;
  thicknessMm?: number;
  waterMl?: number;
}

/** How much there is in the unit of the row's base; single raw pieces have a thickness of their own. */
const amountIn = (row: HeatRow, pack: HeatPack): number | undefined =>
  row.baseUnit === 'g'
    ? pack.massG
    : row.baseUnit === 'ml'
      ? pack.volumeMl
      : row.baseUnit === 'mm' && row.say !== 'raw single'
        ? pack.thicknessMm
        : undefined;

const shared = new Set(['two pans', 'two bowls', 'two plates', 'in turns', 'two cooks']);

/** Of the water dried out, so much goes back first; the rest is judged by eye (reference 10.9). */
const waterBackShare = 0.9;
/** A pressure cooker always needs this much thin liquid. */
const pressureMl = 250;

/** Forms that may be left standing in a microwave when their owner says so. */
const microForms: ReadonlySet<HeatForm> = new Set(['tub', 'jar', 'dish']);

/** Whether the food is heated in what it stands in. */
function staysIn(row: HeatRow, pack: HeatPack): boolean {
  if (!pack.forms.includes(row.form)) return false;
  if (row.method !== 'microwave') return !row.takeOut;
  return microForms.has(row.form) && (pack.microwave === 'yes' || (!row.takeOut && pack.microwave !== 'no'));
}

/**
 * What a row means for a pack: minutes on their marks, liquid, turns, or why not.
 * @param row one that fits the pack's container
 * @example heatWay(row, tubOfStew, stovesOf(equipment, figures)) // from frozen or thawed, how long, how hot
 */
export function heatWay(row: HeatRow, pack: HeatPack, stoves: Stoves): HeatWay {
  const micro = row.method === 'microwave';
  const way: HeatWay = {
    row,
    method: row.method,
    start: row.start,
    stages: [],
    powers: row.powers,
    temperaturesC: stoves.fan && row.fanC.length > 0 ? row.fanC : row.ovenC,
    fan: stoves.fan && row.fanC.length > 0,
    staysIn: staysIn(row, pack),
    ...(pack.pieces !== undefined && { pieces: pack.pieces }),
    ...(pack.thicknessMm !== undefined && { thicknessMm: pack.thicknessMm }),
    ...(pack.waterLostMl !== undefined && { waterMl: Math.round((pack.waterLostMl * waterBackShare) / 10 + 1e-9) * 10 }),
  };
  if (row.allowed === 'no') return { ...way, stop: 'refused' };
  if (row.allowed === 'thaw first') return { ...way, stop: 'thawFirst' };
  const amount = amountIn(row, pack);
  const most = row.validHigh;
  let massG = pack.massG;
  let volumeMl = pack.volumeMl;
  let grownFor = amount;
  if (amount !== undefined && most !== undefined && amount > most + 1e-9) {
    if (row.baseUnit === 'mm') {
      if (row.beyond === 'cut smaller' || row.beyond === 'two dishes' || row.beyond === 'break up') way.cutToMm = most;
      else return { ...way, stop: 'tooThick' };
    } else if (row.end === 'baby') {
      // only what is eaten at one meal is heated
      grownFor = most;
      massG = Math.min(massG, most);
    } else if (shared.has(row.beyond) || row.beyond === '') {
      const n = Math.ceil(amount / most - 1e-9);
      massG = pack.massG / n;
      volumeMl = pack.volumeMl / n;
      grownFor = amount / n;
      way.turns = { n, kind: row.beyond || 'in turns', eachG: massG, eachMl: volumeMl };
    } else return { ...way, stop: 'tooThick' };
  }
  let factor = growth(row, grownFor);
  if (micro) {
    const watts = stoves.watts ?? assumedWatts;
    way.watts = { value: watts, assumed: stoves.watts === undefined };
    factor *= wattFactor(watts);
    const block = row.start === 'frozen' && row.form !== 'loose' ? (pack.thicknessMm ?? 0) : 0;
    if (block > stoves.block.mostMm && row.cover === 'vented') return { ...way, stop: 'tooThick' };
    if (block > stoves.block.slowMm && row.cover === 'vented') factor *= stoves.block.longer;
  }
  way.stages = row.stages.map((s) => onMarks(s.low * factor, s.high * factor));
  const baby = row.end === 'baby';
  if (row.method === 'pressure cooker') way.liquid = { name: row.liquid || 'water', ml: pressureMl };
  else if (row.liquid && row.liquidMlPer500g !== undefined)
    way.liquid = { name: row.liquid, ml: liquidMl(row.liquidMlPer500g, row.baseUnit === 'ml' ? volumeMl : massG, baby) };
  const [first] = row.stages;
  if (row.foilOffLastPct !== undefined && first) {
    const off = foilOffMin(first.low * factor, first.high * factor, row.foilOffLastPct);
    if (off > 0) way.foilOffMin = off;
  }
  return way;
}

/** Order of starts on a label: what needs no forethought first. */
const startOrder: Readonly<Record<HeatStart, number>> = { frozen: 0, dry: 0, any: 1, thawed: 2, chilled: 3 };

/** Dishes that a stove of the household can take, whatever the food stands in now: taken out of it first. */
const anyForm: readonly HeatForm[] = ['tub', 'bag', 'dish', 'foil', 'loose', 'jar', 'any'];

/** Good ways first: those that need no dividing, then the order of the table. */
const rank = (way: HeatWay): number => startOrder[way.start] * 10 + (way.turns ? 4 : 0) + (way.cutToMm !== undefined ? 2 : 0);

/**
 * Every way to heat a pack in this household, the best first; then, so that nobody tries them, those that are refused.
 * A pack whose container has no row is taken out of it; a household without the right stove is told of the class's first way all the same.
 * Law: every class that is heated at all has at least one way that is no refusal, and it comes first.
 * @example heatWays(rows, 'stew', tubOfStew, stoves)[0] // the way this household would take first
 */
export function heatWays(rows: readonly HeatRow[], classId: string, pack: HeatPack, stoves: Stoves): HeatWay[] {
  const own = rows.filter((r) => r.classId === classId);
  const bases = [...new Set(own.map((r) => r.baseId))];
  const pick = (forms: readonly HeatForm[], methods: ReadonlySet<HeatMethod> | undefined): HeatWay[] =>
    bases.flatMap((baseId) => {
      const variants = own.filter((r) => r.baseId === baseId && (methods === undefined || methods.has(r.method)));
      const row = [...forms, 'any' as const].map((f) => variants.find((r) => r.form === f)).find((r) => r !== undefined);
      return row ? [heatWay(row, pack, stoves)] : [];
    });
  const good = (ways: readonly HeatWay[]): boolean => ways.some((w) => w.stop === undefined);
  const first = pick(pack.forms, stoves.has);
  const found = good(first) ? first : merged(first, pick(anyForm, stoves.has));
  const all = good(found) ? found : merged(found, pick([...pack.forms, ...anyForm], undefined));
  const ways = good(all) ? all : [...all, ...onceThawed(all, pack, stoves)];
  return ways
    .map((w, i) => ({ w, i }))
    .toSorted((a, b) => stopOrder(a.w) - stopOrder(b.w) || rank(a.w) - rank(b.w) || a.i - b.i)
    .map((x) => x.w);
}

/** Good ways, then those that ask for thawing first, refusals last. */
const stopOrder = (way: HeatWay): number => (way.stop === undefined ? 0 : way.stop === 'refused' ? 2 : 1);

/** Frozen ways that must wait for the fridge, where the table knows no thawed one: its minutes from frozen are the cautious ones. */
const onceThawed = (ways: readonly HeatWay[], pack: HeatPack, stoves: Stoves): HeatWay[] =>
  ways
    .filter((w) => w.stop === 'thawFirst')
    .map((w) => heatWay({ ...w.row, baseId: `${w.row.baseId}_thawed`, allowed: 'yes', start: 'thawed' }, pack, stoves));

/** Ways of the second list that the first lacks; a good one takes the place of a stopped one of the same base. */
function merged(first: readonly HeatWay[], second: readonly HeatWay[]): HeatWay[] {
  const known = new Map(first.map((w) => [w.row.baseId, w]));
  for (const w of second) {
    const there = known.get(w.row.baseId);
    if (!there || (there.stop === 'tooThick' && w.stop === undefined)) known.set(w.row.baseId, w);
  }
  return [...known.values()];
}
