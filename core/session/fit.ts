import type { Place } from '#core/contract';
import type { Schedule } from '#core/cook';
import { countOf, listOf, quarterDown, quarterUp, sayMinutes, sayPortions, sayVolumeIn, type UnitSystem } from '#core/kitchen';
import { outerMl, type FillFigures, type Free } from '#core/pack';
import type { PlaceRoom } from '#core/store';
import type { BaseNeed } from './bases.ts';
import type { BatchView } from './batch.ts';

/** One thing a session needs, against what there is. */
export interface FitRow {
  id: string;
  /** Pots are about one dish each, everything else about the whole session. */
  about?: 'pot';
  name: string;
  need: number;
  have: number;
  unit: 'piece' | 'ml' | 'min' | 'portion';
  fits: boolean;
  says: string;
  /** Ways out when it does not fit. */
  waysOut: string[];
}

export interface Fit {
  rows: FitRow[];
  fits: boolean;
  /** What binds most, in a sentence. */
  binding?: string;
}

export interface FitInput {
  batches: readonly BatchView[];
  /** What dishes draw from bases. */
  bases?: readonly BaseNeed[];
  /** Containers free before this session takes any. */
  frees: readonly Free[];
  schedule: Schedule | undefined;
  /** When it is likely over by the household's own pace. */
  likelyMin?: number;
  /** Hours the cooks have, when they said so. */
  hoursMin?: number;
  rooms: readonly PlaceRoom[];
  freezers: readonly Place[];
  units?: UnitSystem;
  figures: FillFigures;
}

/**
 * First check before shopping: containers, freezer litres, hours.
 * @example fitCheck({ batches, bases, frees, rooms, freezers, schedule, units: 'metric' }).fits // false: tubs run out
 */
export function fitCheck(input: FitInput): Fit {
  const sayVolume = (ml: number): string => sayVolumeIn(input.units ?? 'metric', ml);
  const rows: FitRow[] = [];
  const short = input.batches.filter((b) => !b.flags.packed && (!b.packing.ok || b.packing.choice.portionsLeft > 0));
  const wanted = input.batches
    .filter((b) => !b.flags.packed)
    .reduce(
      (s, b) => s + (b.packing.ok ? b.packing.choice.packs + (b.packing.choice.portionsLeft > 0 ? b.packing.choice.portionsLeft : 0) : 1),
      0,
    );
  const found = input.batches.filter((b) => !b.flags.packed).reduce((s, b) => s + (b.packing.ok ? b.packing.choice.packs : 0), 0);
  const taken = new Map<string, number>();
  for (const b of input.batches)
    if (b.packing.ok && !b.flags.packed)
      for (const g of b.packing.choice.groups) taken.set(g.container.id, (taken.get(g.container.id) ?? 0) + g.packs);
  const tightestKind = input.frees
    .filter((f) => taken.has(f.container.id))
    .toSorted((a, b) => (taken.get(b.container.id) ?? 0) / Math.max(1, b.free) - (taken.get(a.container.id) ?? 0) / Math.max(1, a.free))[0];
  if (wanted > 0)
    rows.push({
      id: 'containers',
      name: short.length === 0 && tightestKind ? tightestKind.container.name : 'Containers',
      need: short.length === 0 && tightestKind ? (taken.get(tightestKind.container.id) ?? 0) : wanted,
      have: short.length === 0 && tightestKind ? tightestKind.free : found,
      unit: 'piece',
      fits: short.length === 0,
      says:
        short.length === 0
          ? `${countOf(found, 'container')} in all, chosen from what is free; ${tightestKind?.container.name ?? 'they'} runs out first`
          : short.map((b) => sayShort(b, sayVolume)).join(' '),
      waysOut:
        short.length === 0
          ? []
          : [
              'wash the empty ones on the Kitchen page',
              'eat down a few packs first',
              'cook fewer portions',
              'buy more and add them in Kitchen',
            ],
    });

  rows.push(
    ...potRows(
      input.batches.filter((b) => !b.flags.cooked),
      sayVolume,
    ),
  );

  for (const base of input.bases ?? []) {
    const have = base.made + base.inStore;
    const draws = base.draws.map((d) => `${sayPortions(quarterUp(d.portions))} for ${d.name}`);
    const from = [
      base.made > 0 ? `${sayPortions(base.made)} made here` : '',
      base.inStore > 0 ? `${sayPortions(base.inStore)} in store` : '',
    ].filter(Boolean);
    rows.push({
      id: `base:${base.recipeId}`,
      name: base.name,
      need: quarterUp(base.asked),
      have: quarterDown(have),
      unit: 'portion',
      fits: base.short < 0.01,
      says: `${listOf(draws)}; ${from.length > 0 ? listOf(from) : 'none made here, none in store'}`,
      waysOut:
        base.short < 0.01
          ? []
          : [
              `cook ${sayPortions(quarterUp(base.asked - base.inStore))} of it here`,
              `share what there is: ${listOf(base.draws.map((d) => `${sayPortions(quarterDown(d.gets))} for ${d.name}`))}`,
              'cook fewer portions of what draws from it',
            ],
    });
  }

  const needMl = input.batches
    .filter((b) => !b.flags.stored && b.packing.ok)
    .reduce(
      (s, b) =>
        s +
        (b.packing.ok
          ? b.packing.choice.groups.reduce(
              (t, g) => t + g.packs * outerMl(g.container, g.mlEach, input.figures, b.revision.cubeMl !== undefined),
              0,
            )
          : 0),
      0,
    );
  const freeMl = input.rooms.filter((r) => input.freezers.some((f) => f.id === r.placeId)).reduce((s, r) => s + r.freeMl, 0);
  if (needMl > 0)
    rows.push({
      id: 'freezer',
      name: 'Freezer room',
      need: needMl,
      have: freeMl,
      unit: 'ml',
      fits: needMl <= freeMl,
      says: `${sayVolume(Math.round(needMl / 100) * 100)} by the outside of the packs, ${sayVolume(Math.round(freeMl / 100) * 100)} free`,
      waysOut:
        needMl <= freeMl
          ? []
          : ['flat bags take less room than tubs', 'eat down what is due first', 'cook fewer portions', 'split it over two sessions'],
    });

  if (input.schedule && input.schedule.makespanMin > 0) {
    const min = input.schedule.makespanMin;
    const have = input.hoursMin ?? 8 * 60;
    rows.push({
      id: 'hours',
      name: 'Hours',
      need: min,
      have,
      unit: 'min',
      fits: min <= have,
      says: `about ${sayMinutes(min)} to the last pot washed, ${sayMinutes(input.schedule.handsMin)} of it hands-on, packing counted${
        input.likelyMin !== undefined && input.likelyMin !== min ? `; at your own pace about ${sayMinutes(input.likelyMin)}` : ''
      }`,
      waysOut: min <= have ? [] : ['take a second pair of hands', 'drop a dish', 'split it over two days'],
    });
  }
  // the smallest pot that holds a dish is always nearly full: it binds only when it does not
  const tightest = rows
    .filter((r) => r.have > 0 && !(r.about === 'pot' && r.fits))
    .toSorted((a, b) => b.need / b.have - a.need / a.have)[0];
  return {
    rows,
    fits: rows.every((r) => r.fits),
    ...(tightest && {
      binding: tightest.fits
        ? `${tightest.name} ${tightest.need / tightest.have > 0.8 ? 'will be tight' : 'is what fills up first'}: ${tightest.says}.`
        : `${tightest.name} does not fit: ${tightest.says}`,
    }),
  };
}

/** What a batch's pots hold at its fullest, side by side or one after another. */
function potRow(b: BatchView, sayVolume: (ml: number) => string): FitRow | undefined {
  const load = b.scaled.passage?.loads.find((l) => l.use === 'pot');
  if (!load) return undefined;
  const atOnce = load.vessels.length;
  const names = listOf([...new Set(load.vessels.map((v) => v.name))]);
  const held = `${sayVolume(Math.round(load.eachMl / 50) * 50)} at its fullest`;
  const portions = `${b.revision.name}, ${countOf(b.batch.portions, 'portion')}`;
  const says =
    load.loads === 1
      ? `${portions}: ${held}, of ${sayVolume(load.usableMl)} that ${names} may hold`
      : `${portions}: ${[
          ...(atOnce > 1 ? [`${countOf(atOnce, 'pot')} side by side (${names})`] : [`one pot (${names})`]),
          ...(load.rounds > 1 ? [`${countOf(load.rounds, 'round')}, +${sayMinutes(load.totalMin - load.runMin)}`] : []),
        ].join(', ')}; ${held} in each`;
  return {
    id: `pot:${b.batch.id}`,
    about: 'pot',
    name: `Pot for ${b.revision.name}`,
    need: load.eachMl * load.loads,
    have: load.usableMl * atOnce,
    unit: 'ml',
    fits: load.rounds === 1,
    says,
    waysOut:
      load.rounds === 1
        ? []
        : [`cook it in ${countOf(load.rounds, 'round')}: the hours below count them`, 'borrow a larger pot', 'cook fewer portions'],
  };
}

/** Dishes that take several pots or rounds, each by itself; of those that go into one pot, the fullest. */
function potRows(batches: readonly BatchView[], sayVolume: (ml: number) => string): FitRow[] {
  const rows = batches.flatMap((b) => {
    const row = potRow(b, sayVolume);
    return row ? [{ row, one: b.scaled.passage?.loads.find((l) => l.use === 'pot')?.loads === 1 }] : [];
  });
  const [fullest, ...others] = rows.filter((r) => r.one).toSorted((x, y) => y.row.need / y.row.have - x.row.need / x.row.have);
  return [
    ...rows.filter((r) => !r.one).map((r) => r.row),
    ...(fullest
      ? [
          others.length === 0
            ? fullest.row
            : { ...fullest.row, name: 'The fullest pot', says: `${fullest.row.says}; ${others.length} more in one pot each` },
        ]
      : []),
  ];
}

function sayShort(b: BatchView, sayVolume: (ml: number) => string): string {
  if (b.packing.ok) return `${b.revision.name}: ${countOf(b.packing.choice.portionsLeft, 'portion')} find no container.`;
  switch (b.packing.why) {
    case 'portionTooLarge':
      return `${b.revision.name}: one portion of ${sayVolume(Math.round(b.packing.portionMl))} is larger than every container${b.packing.nearest ? `; the nearest is ${b.packing.nearest.name} (${sayVolume(Math.round(b.packing.nearest.fillMl))})` : ''}.`;
    case 'nothingFree':
      return `${b.revision.name}: nothing that fits is free.`;
    case 'lessThanOne':
      return `${b.revision.name}: less than one portion, it is tonight's.`;
  }
}
