import type { Advice } from '#core/kitchen';
import { reheatCore } from './core.ts';
import { isBaby, isRaw, longPower, longSpan, nounOf } from './say.ts';
import type { HeatForm } from './rows.ts';
import type { HeatWay } from './ways.ts';

const formWord: Readonly<Record<HeatForm, string>> = {
  bag: 'bag',
  tub: 'tub',
  jar: 'jar',
  foil: 'foil tray',
  dish: 'dish',
  loose: 'bag',
  any: 'container',
};

/** Word forms for what is one thing or several. */
const words = (one: boolean) => (one ? { it: 'it', It: 'It', is: 'is' } : { it: 'them', It: 'They', is: 'are' });

const piecewise = new Set(['a tray', 'a hot tray', 'an oven tray', 'the basket', 'a wire rack', 'a lined steamer', 'a steamer', 'a plate']);

/** 1: out of what it is in, and into what. */
function takeOut(way: HeatWay, the: string, one: boolean): string {
  const { row } = way;
  const w = words(one);
  const liquid = way.liquid && way.method !== 'pressure cooker' ? ` with ${way.liquid.ml} ml of ${way.liquid.name}` : '';
  const from = formWord[row.form];
  const block = way.start === 'frozen' && (row.form === 'bag' || row.form === 'tub' || row.form === 'jar' || row.form === 'dish');
  if (way.staysIn) {
    if (way.method === 'microwave') return `Loosen the lid and leave ${the} in the ${from}.`;
    if (way.liquid)
      return `Pour ${way.liquid.ml} ml of ${way.liquid.name} over ${the}, stand the ${from} on a baking sheet${row.cover.startsWith('foil') ? ' and cover it with foil' : ''}.`;
    if (row.form === 'foil')
      return `Stand the foil tray on a baking sheet${row.cover.startsWith('foil') ? ' and cover it with foil' : ''}.`;
    return row.cover.startsWith('foil') ? `Leave ${the} in the ${from} and cover it with foil.` : `Leave ${the} in the ${from}.`;
  }
  if (row.into === 'the pan' || row.into === 'the hot pan' || row.into === 'the sauce' || row.into === 'the hot sauce')
    return `Put ${the} straight into ${row.into} from frozen.`;
  if (row.into === 'a toaster') return '';
  if (row.into === 'boiling water') return `Drop ${the} into a large pan of boiling water.`;
  if (row.into === 'foil' || row.into === 'a foil parcel') return `Wrap ${the} in foil.`;
  if (way.method === 'pressure cooker' && way.liquid) {
    const first = block ? `Run cold water over the ${from} until the block slips out, then put it` : `Put ${the}`;
    return `${first} into the pressure cooker with ${way.liquid.ml} ml of ${way.liquid.name}, and fill it no more than two thirds.`;
  }
  if (way.method === 'microwave' && row.form === 'foil')
    return `Take ${the} out of the foil, which must not go in a microwave, and put ${w.it} on ${row.into || 'a plate'}.`;
  const into = row.into || 'a pan';
  const covered =
    way.method === 'oven' && row.cover.startsWith('foil')
      ? ' and cover it with foil'
      : way.method === 'oven' && row.cover === 'lid'
        ? ' and put the lid on'
        : '';
  if (piecewise.has(into))
    return `${into === 'a plate' ? 'Put' : 'Lay'} ${the} ${into === 'the basket' || into.endsWith('steamer') ? 'in' : 'on'} ${into}${liquid}${into === 'the basket' ? ' in one layer' : into.endsWith('steamer') ? ' over boiling water' : ''}${covered}.`;
  if (block && way.method !== 'oven')
    return `Run cold water over the ${from} until the block slips out, then tip it into ${into}${liquid}.`;
  if (block) return `Run cold water over the ${from} until the block slips out, then put it into ${into}${liquid}${covered}.`;
  return `${isBaby(way) || !one ? 'Put' : 'Tip'} ${the} into ${into}${liquid}${covered}.`;
}

function stirLong(way: HeatWay, one: boolean): string {
  const { stir, stirEveryMin: every } = way.row;
  const it = words(one).it;
  const at = every === undefined ? '' : every === 1 ? ' every minute' : ` every ${every} minutes`;
  switch (stir) {
    case 'break up':
      return `, breaking up the block and stirring${at}`;
    case 'every':
    case 'stir':
      return `, stirring${at || ' often'}`;
    case 'often':
      return ', stirring often';
    case 'gently':
      return `, stirring gently${at}`;
    case 'halfway':
      return ', stirring halfway';
    case 'once':
      return ', stirring once';
    case 'whisk':
      return `, whisking${at || ' often'}`;
    case 'turn once':
      return `, turning ${it} once`;
    case 'bursts':
      return ', in short bursts, stirring after each';
    case 'separate':
      return `, pulling the pieces apart${at ? ` after ${every} minutes` : ''}`;
    default:
      return '';
  }
}

/** 2: cover, setting, minutes, stirring. */
function cook(way: HeatWay, one: boolean): string {
  const { row, stages } = way;
  const [first, second] = stages;
  if (!first) return '';
  const w = words(one);
  const stir = stirLong(way, one);
  const foilOff = way.foilOffMin === undefined ? '' : `, taking the foil off for the last ${way.foilOffMin} minutes`;
  const degrees = (n: number | undefined): string => `${n ?? 180} °C${way.fan ? ' fan' : ''}`;
  switch (way.method) {
    case 'microwave': {
      const watts = way.watts ? ` (${way.watts.value} W${way.watts.assumed ? ', not entered: taken as usual' : ''})` : '';
      const cover =
        row.cover === 'damp cloth'
          ? `Cover ${w.it} with damp kitchen paper`
          : way.staysIn
            ? `Keep ${w.it} covered`
            : `Cover ${w.it} loosely`;
      const time =
        second && way.powers.length > 1
          ? `${longSpan(first, false)} ${longPower(way.powers[0] ?? 50)} and then for ${longSpan(second, false)} ${longPower(way.powers[1] ?? 100)}`
          : `${longSpan(first, true)} ${longPower(way.powers[0] ?? 100)}`;
      return `${cover} and microwave for ${time}${watts}${stir}.`;
    }
    case 'oven':
      return second
        ? `Bake for ${longSpan(first, false)} at ${degrees(way.temperaturesC[0])}, then turn the oven down to ${degrees(way.temperaturesC[1])} and bake for another ${longSpan(second, false)}${row.say === 'foil edges' ? ', with foil over the edges' : ''}.`
        : `Bake at ${degrees(way.temperaturesC[0])} for ${longSpan(first, true)}${row.say === 'foil edges' ? ', with foil over the edges' : ''}${foilOff}${foilOff && stir ? stir.replace(/^,/, ' and') : stir}.`;
    case 'air fryer':
      return `Air-fry at ${way.temperaturesC[0] ?? 190} °C for ${longSpan(first, true)}${stir}.`;
    case 'steam':
      return `Put the lid on and steam for ${longSpan(first, true)}${stir}.`;
    case 'boil':
      return `Boil for ${longSpan(first, true)} from when the water boils again${stir}.`;
    case 'pressure cooker':
      return `Cook at high pressure for ${longSpan(first, true)}${row.say.startsWith('raw') ? ` (for ${row.say.slice(4)})` : ''}, let the pressure fall by itself for ${row.restMin} minutes, then open it and stir.`;
    case 'slow cooker':
      return `Fill it between half and two thirds, and cook on ${row.say === 'raw high' ? 'high' : 'low'} for ${longSpan(first, true)} with the lid on.`;
    case 'toaster':
      return `Toast ${nounOf(way).the} from frozen for ${longSpan(first, true)}.`;
    default: {
      const heat = row.cover === 'lid' ? 'Put the lid on and' : row.cover === 'lid ajar' ? 'Leave the lid ajar and' : '';
      const strength = row.setting === 'low' || isBaby(way) ? `heat ${w.it} gently` : `heat ${w.it} over a medium heat`;
      const said = `${heat} ${strength}`.trim();
      return `${said.charAt(0).toUpperCase()}${said.slice(1)} for ${longSpan(first, true)}${stir}.`;
    }
  }
}

/** 3 to 5: how one sees that it is ready, standing, and what is always said. */
function ready(way: HeatWay, one: boolean, advice: Advice): string[] {
  const { row } = way;
  const w = words(one);
  const core = reheatCore(advice).degrees.replace('\u00A0', ' ');
  const once = advice.country === 'US' ? [] : [`Reheat ${w.it} only once.`];
  const rest =
    row.restMin > 0 && way.method !== 'pressure cooker'
      ? [
          `Let ${w.it} stand for ${row.restMin < 1 ? `${row.restMin * 60} seconds` : row.restMin === 1 ? '1 minute' : `${row.restMin} minutes`} before serving.`,
        ]
      : [];
  if (isBaby(way))
    return [
      `Heat until piping hot all the way through, ${core} in the middle, then let it cool to lukewarm (about 37 °C). Stir, test a drop on your wrist, and throw away what is not eaten.`,
    ];
  const hot = `${w.It} ${w.is} ready when steaming hot all the way through, ${core} in the middle.`;
  const own: string[] =
    row.say === 'no boil'
      ? ['Do not let it boil hard, or it may split.']
      : row.say === 'pc thick' || way.method === 'pressure cooker'
        ? ['If any part is still cold, let it simmer without the pressure lid until that part is hot too.']
        : row.say === 'garlic oil'
          ? ['Do not thaw it on the worktop: use it within 24 hours once thawed.']
          : [];
  switch (row.end) {
    case 'boil':
      return [
        row.classId === 'broth_cube' ? 'Stir until it boils.' : 'Bring it to a full boil, so that it bubbles all over for a minute.',
        ...own,
        ...once,
      ];
    case 'hot boil':
      return ['Drain once the water boils again.', ...once];
    case 'hot':
      return [`${w.It} ${w.is} ready when hot in the middle.`, ...own, ...rest];
    case 'cooked':
      return [`${w.It} ${w.is} ready when cooked all the way through, ${core} in the middle.`, ...own.filter(() => !isRaw(way)), ...rest];
    default:
      return [...own.slice(0, row.say === 'no boil' ? 1 : 0), hot, ...own.slice(row.say === 'no boil' ? 1 : 0), ...rest, ...once];
  }
}

/** Lines that belong to a food whatever way it is heated; for the page. @example heatNotes(way, advice) // cautions that go with it */
export function heatNotes(way: HeatWay, advice: Advice): string[] {
  const { say } = way.row;
  return [
    ...(say === 'rice'
      ? [
          advice.country === 'US'
            ? 'Rice: cool it fast, and heat it right through.'
            : 'Rice: from the fridge within 24 hours, and heated once only.',
        ]
      : say === 'veg'
        ? ['Vegetables frozen at home are heated right through, not eaten raw in a salad.']
        : say === 'berries'
          ? ['For a baby boil berries for a full minute.']
          : []),
    ...(way.method === 'pressure cooker' && way.start === 'frozen'
      ? ['Coming up to pressure takes another 10 to 15 minutes from frozen.']
      : []),
  ];
}

const pageStop: Readonly<Record<string, (core: string, mm: number | undefined, the: string) => string>> = {
  thawFirst: (_c, _m, the) =>
    `Thaw ${the} in the fridge first, in its container: glass and china can crack when they go from the freezer into heat. Then use the minutes for thawed food.`,
  tooThick: (_c, mm, the) =>
    `${mm === undefined ? 'As it is' : `At ${Math.round(mm)} mm thick`} ${the} would be dry outside before the middle is hot: thaw it in the fridge first, then use the minutes for thawed food.`,
};

const refusals: readonly [RegExp, (core: string) => string][] = [
  [
    /^slow cooker/,
    (core) =>
      `A slow cooker warms too slowly to reheat in. Heat it to ${core} on the hob or in the oven first; the slow cooker may then keep it hot, at 60 °C or more.`,
  ],
  [
    /^frozen raw/,
    () =>
      'Frozen raw meat must not go into a slow cooker: it stays lukewarm for hours. Thaw it fully in the fridge first, for at least 24 hours.',
  ],
  [
    /^baby meat/,
    () =>
      'Purées with meat or egg do not go in a microwave: heat them in a small pan, stirring, until piping hot, then let them cool to lukewarm.',
  ],
  [
    /^baby from frozen/,
    () => 'A microwave heats frozen purée unevenly: thaw it in the fridge first, or heat it in a small pan from frozen.',
  ],
  [
    /^baby lukewarm/,
    () => 'Warm water alone does not make frozen purée hot: heat it until piping hot first, then let it cool to lukewarm.',
  ],
  [/^part-cooked/, () => 'Meat or poultry is never part-cooked for later: cook it right through before it is frozen.'],
  [/^raw filling/, () => 'A raw filling cooks unevenly in a microwave: steam or boil it.'],
  [/^raw meat filling/, () => 'A pie with a raw meat filling is not frozen unbaked: cook the filling first.'],
  [/^whole bird/, () => 'A whole bird never goes into the oven frozen: thaw it fully in the fridge, 10 to 12 hours a kilo.'],
  [/^does not freeze/, () => 'This does not stand freezing: keep it fresh.'],
];

/**
 * One way as a page says it: out of the container, cover and minutes, how one sees it is ready, standing, once only.
 * @returns whole sentences, in that order
 * @example pageWay(way, advice) // step by step, for the page
 */
export function pageWay(way: HeatWay, advice: Advice): string[] {
  const { row } = way;
  const { the, one } = nounOf(way);
  const core = reheatCore(advice).degrees.replace('\u00A0', ' ');
  const rawFirst = isRaw(way) ? ['This kit is raw.'] : [];
  if (way.stop === 'refused') {
    const say = refusals.find(([pattern]) => pattern.test(row.why))?.[1];
    return [say ? say(core) : 'This is not done this way.'];
  }
  if (way.stop) return [...rawFirst, pageStop[way.stop]?.(core, way.thicknessMm, the) ?? ''];
  const fixed = fixedLong(way, core);
  if (fixed) return fixed;
  const thawed = isRaw(way) && way.start === 'thawed' ? ['Thaw it fully in the fridge: no ice may be left in the middle.'] : [];
  const turns = way.turns;
  const divide = turns
    ? [
        `Heat ${words(one).it} in ${turns.n === 2 ? 'two' : turns.n} ${way.method === 'microwave' || turns.kind === 'in turns' ? 'turns' : turns.kind.replace(/^two /, '')} of ${
          way.pieces !== undefined && way.pieces > 1
            ? Math.ceil(way.pieces / turns.n)
            : `about ${row.baseUnit === 'ml' ? `${Math.round(turns.eachMl / 10) * 10} ml` : `${Math.round(turns.eachG / 10) * 10} g`} each`
        }; the minutes are for one of them.`,
      ]
    : [];
  const thinner =
    way.cutToMm === undefined
      ? []
      : [
          `At ${Math.round(way.thicknessMm ?? 0)} mm ${the} would be dry outside before the middle is hot: ${row.beyond === 'cut smaller' ? 'cut' : 'spread'} ${words(one).it} no thicker than ${way.cutToMm} mm first.`,
        ];
  return [...rawFirst, ...thawed, ...divide, ...thinner, takeOut(way, the, one), cook(way, one), ...ready(way, one, advice)].filter(
    Boolean,
  );
}

/** What is not heated by minutes, in whole sentences. */
function fixedLong(way: HeatWay, core: string): string[] | undefined {
  const { row } = way;
  const [one, two] = way.stages;
  switch (row.say) {
    case 'paste':
      return [
        'Spoon it from the freezer with a clean, dry spoon: 1 level teaspoon in 250 ml of hot water makes a stock, or stir it straight into the dish. It is very salty, so add no other salt, and never use it for a baby.',
      ];
    case 'thaw eat':
      return ['Thaw it in the fridge and eat it cold within 24 hours.'];
    case 'thaw stir':
      return ['Thaw it in the fridge, stir it smooth, and eat it cold.'];
    case 'thaw fruit':
      return ['Thaw it in the fridge, or use it from frozen in what is cooked.'];
    case 'thaw counter':
      return ['Thaw it in its wrapping: at room temperature, or longer in the fridge.'];
    case 'thaw dough':
      return ['Thaw it in the fridge overnight, then shape and bake it.'];
    case 'thaw raw':
      return [
        'This is raw.',
        `Thaw it fully in the fridge: no ice may be left in the middle. Then cook it right through, ${core} in the middle.`,
      ];
    case 'thaw dairy':
      return ['Thaw it in the fridge, then shake or stir it; it is at its best in cooked dishes.'];
    case 'from frozen':
      return ['Use it from frozen.'];
    case 'dry meal':
      return [
        `Put the meal into a heatproof bowl and pour ${way.waterMl !== undefined ? `${way.waterMl} ml of ` : ''}boiling water over it. Cover it for ${longSpan(one ?? { unit: 'min', low: 10, high: 20 }, true)}, stirring after ${row.stirEveryMin ?? 5} minutes. It is ready when steaming hot all the way through, ${core} in the middle. If it is cooler than that, finish it on the hob or in the microwave. Reheat it only once.`,
      ];
    case 'dry veg':
      return [
        `Pour ${way.waterMl !== undefined ? `${way.waterMl} ml of ` : ''}boiling water over it, let it soak for ${longSpan(one ?? { unit: 'min', low: 30, high: 90 }, true)}, then cook it in the dish.`,
      ];
    case 'dry mince':
      return [
        `Soak it in ${way.waterMl !== undefined ? `${way.waterMl} ml of ` : ''}water for ${longSpan(one ?? { unit: 'min', low: 30, high: 60 }, true)}, then let it simmer for ${longSpan(two ?? { unit: 'min', low: 10, high: 10 }, true)}, to ${core} in the middle.`,
      ];
    default:
      return undefined;
  }
}
