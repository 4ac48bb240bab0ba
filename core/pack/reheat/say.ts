import type { Advice } from '#core/kitchen';
import { reheatCore } from './core.ts';
import type { Span } from './minutes.ts';
import type { HeatWay } from './ways.ts';

/** Longest sentence about heating that a label takes. */
export const labelSigns = 110;

const nb = '\u00A0';
const quarters = ['', '¼', '½', '¾'];
/** Halves and quarters as a cook writes them: 2¼, ½. */
export const figure = (n: number): string => {
  const whole = Math.floor(n + 1e-9);
  const part = quarters[Math.round((n - whole) * 4)] ?? '';
  return part === '' ? String(Math.round(n)) : `${whole > 0 ? whole : ''}${part}`;
};

const labelUnit = { h: 'h', min: 'min', s: 's' } as const;
const pageUnit = { h: ['hour', 'hours'], min: ['minute', 'minutes'], s: ['second', 'seconds'] } as const;

const shortSpan = (s: Span, about: boolean): string =>
  s.low === s.high
    ? `${about ? 'about ' : ''}${figure(s.low)}${nb}${labelUnit[s.unit]}`
    : `${figure(s.low)}–${figure(s.high)}${nb}${labelUnit[s.unit]}`;
export const longSpan = (s: Span, about: boolean): string =>
  s.low === s.high
    ? `${about ? 'about ' : ''}${figure(s.low)} ${pageUnit[s.unit][s.high === 1 ? 0 : 1]}`
    : `${figure(s.low)} to ${figure(s.high)} ${pageUnit[s.unit][s.high === 1 ? 0 : 1]}`;

const power = (pct: number): string => (pct === 100 ? 'on full' : pct === 50 ? 'at half power' : `at ${pct}${nb}% power`);
export const longPower = (pct: number): string => (pct === 100 ? 'at full power' : pct === 50 ? 'at half power' : `at ${pct} % power`);

/** What the sentences call the food, and whether it is one thing. */
interface Noun {
  the: string;
  one: boolean;
}

/** Countable things of which a pack holds just one. */
const wholes = new Set([
  'kit_raw',
  'kit_part',
  'kit_dry',
  'loaf',
  'pie_mash',
  'pie_pastry',
  'pie_fruit',
  'quiche',
  'lasagne',
  'bake_unbaked',
]);

export function nounOf(way: HeatWay): Noun {
  const { one, many } = way.row;
  // "beans", "vegetables": always several; "stew", "rice": always it
  if (one === many) return { the: `the ${one}`, one: !(one.length > 3 && one.endsWith('s') && !one.endsWith('ss')) };
  const pieces = way.pieces === undefined ? undefined : Math.ceil(way.pieces / (way.turns?.n ?? 1));
  if (pieces === 1 || wholes.has(way.row.classId)) return { the: `the ${one}`, one: true };
  return { the: pieces !== undefined ? `the ${pieces} ${many}` : `the ${many}`, one: false };
}

const startWords = {
  frozen: 'From frozen',
  thawed: 'Once thawed',
  chilled: 'From the fridge',
  dry: 'From dry',
  any: 'From frozen',
} as const;

export const isRaw = (way: HeatWay): boolean => way.row.say.startsWith('raw') && way.row.say !== 'raw dough';
export const isBaby = (way: HeatWay): boolean => way.row.end === 'baby';

/** Settings that the way is made at: `at 180 °C`, `on high`. */
function heatAt(way: HeatWay): string {
  const [first] = way.temperaturesC;
  if ((way.method === 'oven' || way.method === 'air fryer') && first !== undefined)
    return `at ${first}${nb}°C${way.fan && way.method === 'oven' ? ' fan' : ''}`;
  if (way.method === 'pressure cooker') return 'on high';
  return '';
}

/** The verb with the vessel or the cover, as short as a label needs it. */
function act(way: HeatWay, short: boolean): string {
  const { row } = way;
  const covered = row.cover === 'lid' || row.cover === 'lid ajar';
  switch (way.method) {
    case 'hob': {
      if (row.into === 'the pan' || row.into === 'the hot pan' || row.into === 'the sauce' || row.into === 'the hot sauce')
        return `stir into ${row.into}`;
      const warm = way.start === 'frozen' || row.say === 'no boil' ? 'warm' : 'heat';
      return `${warm} in ${isBaby(way) ? 'a small' : covered && row.cover === 'lid' ? 'a covered' : row.into === 'a hot pan' ? 'a hot' : 'a'} pan`;
    }
    case 'microwave':
      if (row.cover === 'damp cloth') return short ? 'microwave, covered,' : 'microwave in damp paper';
      if (way.staysIn) return short ? 'microwave, covered,' : 'microwave with the lid loose';
      return short
        ? 'microwave, covered,'
        : `microwave ${row.into === 'a plate' ? 'on a covered plate' : `in ${row.into.replace(/^a (small |deep )?/, 'a $1covered ')}`}`;
    case 'oven':
      if (row.into === 'a foil parcel') return 'bake in a foil parcel';
      if (row.into === 'foil') return 'bake wrapped in foil';
      return row.cover === 'foil' || row.cover === 'foil then off'
        ? 'bake under foil'
        : row.cover === 'lid'
          ? 'bake with the lid on'
          : row.into === 'a wire rack'
            ? 'bake on a rack'
            : 'bake';
    case 'air fryer':
      return 'air-fry in one layer';
    case 'steam':
      return 'steam with the lid on';
    case 'boil':
      return 'drop into boiling water';
    case 'pressure cooker':
      return 'pressure-cook';
    case 'slow cooker':
      return `slow-cook ${row.say === 'raw high' ? 'on high' : 'on low'}`;
    case 'toaster':
      return 'toast';
    case 'kettle':
    case 'water bath':
    case 'none':
      return '';
  }
}

const times = ['once', 'once', 'twice', 'three times', 'four times'];

/** `every 3 min` by the clock; over an hour in the oven, how many times. */
function howOften(way: HeatWay, every: number): string {
  if (every === 1) return 'every minute';
  const [first] = way.stages;
  if (every < 20 || !first) return `every ${every}${nb}min`;
  const middle = ((first.low + first.high) / 2) * (first.unit === 'h' ? 60 : 1);
  // the last one would be when it is ready
  return times[Math.max(1, Math.ceil(middle / every - 0.5) - 1)] ?? 'now and then';
}

function stirShort(way: HeatWay, detail: boolean): string {
  const { stir, stirEveryMin: every } = way.row;
  switch (stir) {
    case 'break up':
    case 'often':
    case 'gently':
      return stir === 'gently' ? (detail ? 'stirring gently' : 'stirring') : detail ? 'stirring often' : 'stirring';
    case 'every':
      return detail && every !== undefined ? `stirring ${howOften(way, every)}` : 'stirring';
    case 'halfway':
      return 'stirring halfway';
    case 'once':
      return 'stirring once';
    case 'bursts':
      return 'in short bursts';
    case 'whisk':
      return detail ? 'whisking often' : 'whisking';
    case 'turn once':
      return 'turning once';
    case 'separate':
      return detail ? 'pulling pieces apart' : '';
    case 'at the end':
      return 'stir';
    default:
      return '';
  }
}

function endShort(way: HeatWay, advice: Advice, whole: boolean): string {
  const core = reheatCore(advice).degrees;
  if (way.row.say === 'no boil') return `to ${core} but not boiling`;
  switch (way.row.end) {
    case 'boil':
      return 'then bring to the boil';
    case 'hot boil':
      return 'until it boils again';
    case 'hot':
      return way.row.classId.startsWith('aromatic') ? 'until hot' : 'until hot in the middle';
    case 'baby':
      return whole ? 'until piping hot; cool to lukewarm. Once only' : 'to piping hot; cool to lukewarm. Once only';
    default:
      return whole ? `to ${core} right through` : `to ${core}`;
  }
}

/** Sentences for what is not heated by minutes, or not at all. */
function fixedShort(way: HeatWay, advice: Advice): string | undefined {
  const core = reheatCore(advice).degrees;
  const { row } = way;
  switch (row.say) {
    case 'paste':
      return 'Use from the freezer: 1 level tsp in 250 ml hot water, or straight into the dish; add no other salt.';
    case 'thaw eat':
      return 'Thaw in the fridge and eat cold.';
    case 'thaw stir':
      return 'Thaw in the fridge, stir, and eat cold.';
    case 'thaw fruit':
      return 'Thaw in the fridge, or use from frozen in what is cooked.';
    case 'thaw counter':
      return 'Thaw in its wrapping, at room temperature or in the fridge.';
    case 'thaw dough':
      return 'Thaw in the fridge overnight, then shape and bake.';
    case 'thaw raw':
      return `RAW. Thaw fully in the fridge, then cook to ${core} right through.`;
    case 'thaw dairy':
      return 'Thaw in the fridge, then shake or stir it, for cooked dishes.';
    case 'from frozen':
      return 'Use from frozen.';
    case 'dry meal':
      return `Pour on ${way.waterMl !== undefined ? `${way.waterMl} ml ` : ''}boiling water, cover for ${shortSpan(way.stages[0] ?? { unit: 'min', low: 10, high: 20 }, true)}, stir, then heat to ${core} right through.`;
    case 'dry veg':
      return `Pour on ${way.waterMl !== undefined ? `${way.waterMl} ml ` : ''}boiling water, soak for ${shortSpan(way.stages[0] ?? { unit: 'min', low: 30, high: 90 }, true)}, then cook.`;
    case 'dry mince':
      return `Soak in ${way.waterMl !== undefined ? `${way.waterMl} ml ` : ''}water for ${shortSpan(way.stages[0] ?? { unit: 'min', low: 30, high: 60 }, true)}, then simmer ${shortSpan(way.stages[1] ?? { unit: 'min', low: 10, high: 10 }, true)}, to ${core} right through.`;
    default:
      return undefined;
  }
}

/** Why a way is refused, and what to do. */
function stopShort(way: HeatWay, advice: Advice): string {
  const { row } = way;
  const core = reheatCore(advice).degrees;
  if (way.stop === 'thawFirst') return 'Thaw in the fridge first: a frozen glass or china dish can crack in the heat.';
  if (way.stop === 'tooThick') return `Too thick to heat from frozen: thaw in the fridge first, then heat to ${core} right through.`;
  if (row.why.startsWith('baby meat')) return 'Not in a microwave: heat on the hob until piping hot, then cool to lukewarm.';
  if (row.why.startsWith('baby from frozen')) return 'Not from frozen in a microwave: thaw first, or heat on the hob until piping hot.';
  if (row.why.startsWith('baby lukewarm')) return 'Not in warm water alone: heat until piping hot, then cool to lukewarm.';
  if (row.why.startsWith('slow cooker'))
    return 'Do not reheat in a slow cooker: heat it on the hob or in the oven, then keep it hot in the cooker.';
  if (row.why.startsWith('frozen raw')) return 'RAW. Not from frozen in a slow cooker: thaw fully in the fridge first.';
  if (row.why.startsWith('part-cooked')) return 'Part-cooked meat does not keep: cook it right through before it is frozen.';
  if (row.why.startsWith('raw filling')) return 'Not in a microwave: a raw filling cooks unevenly. Steam or boil it.';
  if (row.why.startsWith('raw meat filling')) return 'Not with a raw meat filling: cook the filling before it is frozen.';
  if (row.why.startsWith('whole bird')) return 'Never from frozen: thaw the whole bird fully in the fridge first.';
  if (row.why.startsWith('does not freeze')) return 'This does not freeze: keep it fresh.';
  return 'Not this way.';
}

/** What a label sentence gives up in turn, so that it stays one sentence. */
interface Cut {
  liquid: 'amount' | 'name' | 'none';
  stir: 'detail' | 'bare' | 'none';
  right: boolean;
  foil: boolean;
  short: boolean;
  rest: boolean;
}

/** Left out first to last: standing, amount of liquid, the liquid, "right through", stirring detail, stirring, foil off, "in a bowl". */
const cuts: readonly Cut[] = (() => {
  const full: Cut = { liquid: 'amount', stir: 'detail', right: true, foil: true, short: false, rest: true };
  const steps: Partial<Cut>[] = [
    { rest: false },
    { liquid: 'name' },
    { liquid: 'none' },
    { right: false },
    { stir: 'bare' },
    { stir: 'none' },
    { foil: false },
    { short: true },
  ];
  return steps.reduce<Cut[]>((all, step) => [...all, { ...(all[all.length - 1] ?? full), ...step }], [full]);
})();

/** `in two turns`, `in two pans`: what does not go in one go. */
function turnsShort(way: HeatWay, short: boolean): string {
  const { turns } = way;
  if (!turns) return '';
  const n = turns.n === 2 && !short ? 'two' : String(turns.n);
  const kind = way.method === 'microwave' || turns.kind === 'in turns' ? 'turns' : turns.kind.replace(/^two /, '');
  return ` in ${n} ${kind}`;
}

/** Minutes with what they are at, for one go. */
function minutesShort(way: HeatWay): string {
  const [one, two] = way.stages;
  if (!one) return '';
  const each = way.turns ? 'each' : 'for';
  const [firstPct, secondPct] = way.powers;
  if (two && firstPct !== undefined && secondPct !== undefined)
    return `${each} ${shortSpan(one, false)} ${power(firstPct)}, then ${shortSpan(two, false)} ${power(secondPct)}`;
  if (two && way.method === 'oven') {
    const [hot, cooler = hot] = way.temperaturesC;
    const fan = way.fan ? ' fan' : '';
    return `${each} ${shortSpan(one, false)} at ${hot}${nb}°C${fan} and then ${shortSpan(two, false)} at ${cooler}${nb}°C${fan}`;
  }
  return `${each} ${shortSpan(one, true)}${firstPct === undefined ? '' : ` ${power(firstPct)}`}`;
}

function liquidShort(way: HeatWay, cut: Cut): string {
  const { liquid } = way;
  if (!liquid) return '';
  if (way.method === 'pressure cooker') return ` with ${liquid.ml}${nb}ml ${liquid.name}`;
  if (cut.liquid === 'none' || way.turns) return '';
  return cut.liquid === 'amount' ? ` with ${liquid.ml}${nb}ml ${liquid.name}` : ` with a little ${liquid.name}`;
}

function startShort(way: HeatWay): string {
  if (isRaw(way))
    return way.start === 'thawed' ? `RAW. Thaw fully${way.cutToMm === undefined ? ' in the fridge' : ''}, then` : 'RAW. From frozen:';
  if (way.row.classId === 'broth_cube' || way.row.classId.startsWith('aromatic')) return 'Use from frozen:';
  return `${startWords[way.start]}:`;
}

function labelSentence(way: HeatWay, advice: Advice, cut: Cut): string {
  const { row } = way;
  const thinner =
    way.cutToMm === undefined
      ? ''
      : `${row.beyond === 'cut smaller' ? 'cut' : 'spread'} to ${way.cutToMm}${nb}mm${cut.short ? '' : ' or thinner'} and `;
  const verb = act(way, cut.short);
  const inTurns = turnsShort(way, cut.short);
  // a stage of its own each: the setting stands with its minutes
  const at = way.stages.length > 1 || !heatAt(way) ? '' : ` ${heatAt(way)}`;
  const head =
    way.method === 'microwave' && way.turns
      ? `microwave${inTurns}, covered:`
      : verb.endsWith(',')
        ? `${thinner}${verb.slice(0, -1)}${liquidShort(way, cut)},`
        : `${thinner}${verb}${inTurns}${liquidShort(way, cut)}${at}`;
  const tail = [
    cut.rest && way.method === 'pressure cooker' && row.restMin > 0 ? `rest ${row.restMin}${nb}min` : '',
    row.say === 'foil edges' && cut.foil ? 'edges under foil' : '',
    way.foilOffMin !== undefined && cut.foil ? `foil off for the last ${way.foilOffMin}` : '',
    cut.stir === 'none' ? '' : stirShort(way, cut.stir === 'detail'),
    endShort(way, advice, cut.right),
  ].filter(Boolean);
  return `${startShort(way)} ${head} ${[minutesShort(way), ...tail].filter(Boolean).join(', ')}.`;
}

/**
 * One way as a label says it, longest first: one sentence of at most 110 signs, then ever shorter ones for a label without room.
 * Start, appliance, setting, minutes, cover and end stay in all of them.
 * @example labelWays(way, advice) // the longest wording first, shorter ones for a small label
 */
export function labelWays(way: HeatWay, advice: Advice): string[] {
  if (way.stop) return [stopShort(way, advice)];
  const fixed = fixedShort(way, advice);
  if (fixed !== undefined) return [fixed];
  const all = [...new Set(cuts.map((c) => labelSentence(way, advice, c)))];
  const fitting = all.filter((s) => s.length <= labelSigns);
  return fitting.length > 0 ? fitting : all.slice(-1);
}
