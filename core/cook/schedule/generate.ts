import type { Random } from '#core/solve';
import type { Activity, Fixed, Hand, Lag, Pool, ScheduleModel, Span, Stretch, UnitGroup } from './model.ts';

/** What is hard in a generated kitchen. */
export const families = ['plain', 'calendar', 'twoCooks', 'oven', 'manyLags', 'longSimmers'] as const;
export type Family = (typeof families)[number];

/** Wash by class: 0 for the baby, 1 ready to eat, 2 raw vegetables, 3 nuts, 4 raw meat, 5 raw poultry; clean before dirty costs nothing. */
const washes = [
  [0, 0, 0, 0, 0, 0],
  [2, 0, 0, 0, 0, 0],
  [3, 2, 0, 0, 0, 0],
  [5, 5, 5, 0, 2, 2],
  [6, 6, 6, 5, 0, 2],
  [6, 6, 6, 5, 3, 0],
] as const;

const usual = ['stew', 'stew', 'bake', 'blanch', 'puree'] as const;

function shapeOf(family: Family, random: Random): (typeof usual)[number] {
  const often = random();
  if (family === 'oven' && often < 0.6) return 'bake';
  if (family === 'manyLags' && often < 0.5) return 'blanch';
  return usual[Math.floor(random() * usual.length)]!;
}

/**
 * A kitchen of twelve dishes and about 140 activities, made up from a source of chance: cutting on boards (one of them mostly for raw meat), puree in a bowl, pots held from the sear to the wash-up, blanching
 * with ice, stews with stirring, bakes that share an oven, chilling in time, labels and tidying.
 * @example generateKitchen('oven', randomFrom(3))
 */
export function generateKitchen(family: Family, random: Random, dishes = 12): ScheduleModel {
  const int = (a: number, b: number): number => a + Math.floor(random() * (b - a + 1));
  const one = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const activities: Activity[] = [];
  const lags: Lag[] = [];
  const spans: Span[] = [];
  const cooks: Hand[] = Array.from({ length: family === 'twoCooks' ? 2 : 3 }, (_, i) => ({ id: `c${i}` }));
  const after = (a: string, b: string, max?: number, min = 0): void => {
    lags.push({ a, b, from: 'end', to: 'start', min, ...(max !== undefined && { max }) });
  };
  for (let d = 0; d < dishes; d += 1) {
    const dish = `d${d}`;
    let count = 0;
    const add = (hands: number, wait: number, more: Partial<Activity> = {}): string => {
      const id = `${dish}.${count}`;
      count += 1;
      activities.push({ id, dish, hands, wait, ...more });
      return id;
    };
    const meat = random() < 0.45;
    const baby = d % 6 === 0;
    const cuts = Array.from({ length: int(2, 3) }, () =>
      add(int(3, 14), 0, { unit: { group: 'board', cls: baby ? 0 : random() < 0.15 ? 3 : 2, to: 0 } }),
    );
    for (const id of cuts) {
      const cut = activities.find((a) => a.id === id)!;
      cut.unit!.to = cut.hands;
    }
    const tops: string[] = [...cuts];
    if (meat) {
      const hands = int(4, 10);
      const raw = add(hands, 0, { unit: { group: 'board', cls: one([4, 5]), to: hands } });
      tops.push(raw);
    }
    const size = one(['potS', 'potM', 'potL']);
    // one broth or braise a session, as cooks who cook ahead do
    const broth = d === 1;
    const shape = broth ? 'stew' : shapeOf(family, random);
    let last: string;
    if (shape === 'stew') {
      const sear = add(int(5, 12), 0, { pools: [] });
      activities.at(-1)!.pools = [{ pool: 'hob', units: 1, from: 0, to: activities.at(-1)!.hands }];
      for (const t of tops) after(t, sear, meat && t === tops.at(-1) ? 30 : undefined);
      const long = broth ? int(130, 190) : family === 'longSimmers' ? int(60, 130) : int(25, 75);
      const simmer = add(int(2, 4), long);
      activities.at(-1)!.pools = [{ pool: 'hob', units: 1, from: 0, to: activities.at(-1)!.hands + long }];
      after(sear, simmer, 5);
      if (family === 'manyLags' || random() < 0.4) {
        const stir = add(int(1, 3), 0);
        lags.push({ a: simmer, b: stir, from: 'start', to: 'start', min: 20, max: Math.min(45, long) });
      }
      const cool = add(int(3, 6), int(18, 30), { pools: [{ pool: 'ice', units: 1, from: 0, to: 18 }] });
      lags.push({ a: simmer, b: cool, from: 'end', to: 'start', min: 0, max: 15 });
      lags.push({ a: simmer, b: cool, from: 'end', to: 'end', min: 0, max: 120 });
      last = add(int(3, 6), 0);
      after(cool, last, 60);
      spans.push({ pool: size, units: 1, a: sear, b: last });
    } else if (shape === 'bake') {
      const mix = add(int(4, 10), 0);
      for (const t of tops) after(t, mix, meat && t === tops.at(-1) ? 30 : undefined);
      const loads = int(1, 2);
      const baked: string[] = [];
      const tempC = one([160, 180, 200, 220]);
      for (let l = 0; l < loads; l += 1) {
        const wait = int(18, 40);
        const hands = int(1, 3);
        const load = add(hands, wait, { oven: { oven: 'oven', shelves: random() < 0.35 ? 2 : 1, tempC, from: hands, to: hands + wait } });
        after(mix, load);
        baked.push(load);
      }
      last = add(int(2, 5), int(15, 30));
      for (const b of baked)
        lags.push({ a: b, b: last, from: 'end', to: 'start', min: 0, max: family === 'manyLags' && loads === 1 ? 20 : 90 });
    } else if (shape === 'blanch') {
      const boil = add(2, int(8, 16));
      activities.at(-1)!.pools = [{ pool: 'hob', units: 1, from: 0, to: 2 + activities.at(-1)!.wait }];
      let before = boil;
      const dips = int(2, 3);
      for (let l = 0; l < dips; l += 1) {
        const wait = int(2, 4);
        const dip = add(1, wait, { pools: [{ pool: 'hob', units: 1, from: 0, to: 1 + wait }] });
        for (const t of tops) after(t, dip);
        after(before, dip, 12);
        const ice = add(2, 4, { pools: [{ pool: 'ice', units: 1, from: 0, to: 6 }] });
        after(dip, ice, 1);
        before = dip;
        last = ice;
      }
      const drain = add(int(3, 6), 0);
      after(last!, drain, 40);
      const wash = add(int(2, 4), 0);
      after(drain, wash);
      spans.push({ pool: size, units: 1, a: boil, b: wash });
      last = drain;
    } else {
      const wait = int(12, 30);
      const cook = add(2, wait, { pools: [{ pool: 'hob', units: 1, from: 0, to: 2 + wait }] });
      for (const t of tops) after(t, cook);
      const hands = int(5, 12);
      last = add(hands, 0, { unit: { group: 'bowl', cls: baby ? 0 : 2, to: hands } });
      after(cook, last, 25);
      spans.push({ pool: size, units: 1, a: cook, b: last });
    }
    const pack = add(int(4, 14), 0);
    after(last, pack, family === 'manyLags' ? 30 : 90);
    const label = add(int(1, 3), 0);
    after(pack, label);
    const stow = add(1, 0);
    after(label, stow, 30);
    if (random() < 0.5) {
      const tidy = add(int(2, 6), 0);
      after(pack, tidy);
    }
  }
  const away: Stretch[] = [];
  if (family === 'calendar') {
    const from = int(50, 90);
    away.push([from, from + int(25, 50)]);
    cooks[0] = { id: 'c0', away };
    cooks[2] = {
      id: 'c2',
      away: [
        [0, int(30, 60)],
        [int(150, 190), 2000],
      ],
    };
  }
  const quiet: Stretch[] = family === 'calendar' ? [[110, 150]] : [];
  const pools: Pool[] = [
    { id: 'hob', capacity: 4 },
    { id: 'ice', capacity: 2 },
    { id: 'potS', capacity: 3 },
    { id: 'potM', capacity: 3 },
    { id: 'potL', capacity: 2 },
  ];
  const groups: UnitGroup[] = [
    { id: 'board', units: 4, wash: washes },
    { id: 'bowl', units: 1, wash: washes, closed: quiet },
  ];
  const fixed: Fixed[] = [];
  return {
    activities,
    lags,
    spans,
    cooks,
    pools,
    groups,
    ovens: [{ id: 'oven', shelves: 3, heatPer10: 1, coolPer10: 2 }],
    fixed,
  };
}

/**
 * A small kitchen of so many activities with lags, spans, washes and an oven, for exhaustive search.
 * @example generateSmall(7, randomFrom(5))
 */
export function generateSmall(size: number, random: Random): ScheduleModel {
  const int = (a: number, b: number): number => a + Math.floor(random() * (b - a + 1));
  const cooks: Hand[] = Array.from({ length: int(1, 2) }, (_, i) => ({
    id: `c${i}`,
    ...(random() < 0.25 && { away: [[int(2, 5), int(6, 8)]] as Stretch[] }),
  }));
  const activities: Activity[] = Array.from({ length: size }, (_, i) => {
    const hands = int(1, 3);
    const wait = random() < 0.5 ? int(1, 4) : 0;
    const what = random();
    return {
      id: `t${i}`,
      hands,
      wait,
      ...(what < 0.35 && { pools: [{ pool: 'hob', units: 1, from: 0, to: hands + wait }] }),
      ...(what >= 0.35 && what < 0.6 && { unit: { group: 'bowl', cls: int(0, 1), to: hands } }),
      ...(what >= 0.6 &&
        what < 0.75 &&
        wait > 0 && { oven: { oven: 'oven', shelves: 1, tempC: random() < 0.5 ? 180 : 200, from: hands, to: hands + wait } }),
      ...(random() < 0.15 && { release: int(1, 4) }),
      ...(random() < 0.2 && cooks.length > 1 && { cooks: [cooks[int(0, 1)]!.id] }),
    };
  });
  const lags: Lag[] = [];
  for (let b = 1; b < size; b += 1) {
    if (random() < 0.65) {
      const a = int(0, b - 1);
      lags.push({ a: `t${a}`, b: `t${b}`, from: 'end', to: 'start', min: 0, ...(random() < 0.4 && { max: int(0, 4) }) });
    }
    if (random() < 0.15)
      lags.push({
        a: `t${int(0, b - 1)}`,
        b: `t${b}`,
        from: 'start',
        to: 'start',
        min: int(0, 2),
        ...(random() < 0.5 && { max: int(3, 8) }),
      });
  }
  const span = lags.find((l) => l.from === 'end' && random() < 0.6);
  return {
    activities,
    lags,
    spans: span ? [{ pool: 'pot', units: 1, a: span.a, b: span.b }] : [],
    cooks,
    pools: [
      { id: 'hob', capacity: int(1, 2) },
      { id: 'pot', capacity: 1, ...(random() < 0.2 && { closed: [[2, 4]] }) },
    ],
    groups: [
      {
        id: 'bowl',
        units: 1,
        wash: [
          [0, 0],
          [int(1, 2), 0],
        ],
      },
    ],
    ovens: [{ id: 'oven', shelves: 1, heatPer10: 1, coolPer10: 1 }],
    fixed: [],
  };
}
