import type { Line, Revision, Unit } from '#core/contract';
import { surfaceM2, trueDensity } from '#core/heat';
import { fromNumber, plus, times, toNumber, unitFacts, type Because, type Rational } from '#core/kitchen';
import type { Passage } from './contents.ts';
import { panOf } from './loads.ts';
import { brimMlOf, type Gear } from './vessels.ts';
import type { LineFacts } from './weigh.ts';

/** A line's amount at a size, before it is measured. */
export interface Grown {
  amount: Rational | undefined;
  unit?: Unit;
  upTo?: Rational;
  because: Because[];
}

/** Reasons that are the same for every line. */
const ruleBecause = Object.fromEntries(
  ['proportional', 'whole', 'ratio', 'perVessel', 'cover', 'fixed', 'toTaste', 'toTasteFrom', 'noAmount'].map((code) => [code, [{ code }]]),
) as Record<Line['scaling']['rule'] | 'toTasteFrom' | 'noAmount', Because[]>;

/** Laws of growth that need nothing but the factor (COMPUTATION, scaling). */
export function grown(line: Line, factor: Rational, f: number): Grown {
  if (line.amount === undefined) return { amount: undefined, because: line.scaling.rule === 'ratio' ? [] : ruleBecause.noAmount };
  const unit = line.unit && { unit: line.unit };
  // of a range the low end is measured out; “up to four spoons” has no low end, so the high one counts
  const low = line.amountTo !== undefined && toNumber(line.amount) === 0 ? line.amountTo : line.amount;
  const inProportion = times(low, factor);
  if (line.amountTo !== undefined && line.scaling.rule !== 'toTaste') {
    const open = low === line.amountTo;
    return {
      amount: inProportion,
      ...(!open && { upTo: times(line.amountTo, factor) }),
      because: [...ruleBecause[line.scaling.rule], { code: open ? 'atMost' : 'range' }],
      ...unit,
    };
  }
  if (line.scaling.rule !== 'toTaste') return { amount: inProportion, because: ruleBecause[line.scaling.rule], ...unit };
  return f <= 1
    ? { amount: inProportion, because: ruleBecause.toTaste, ...unit }
    : {
        amount: times(line.amount, fromNumber(Number((f ** 0.8).toFixed(6)))),
        upTo: inProportion,
        because: ruleBecause.toTasteFrom,
        ...unit,
      };
}

/** Lines that take the boil-off: water first, else the stock. */
const waters = ['water', 'stock'];

/** The line whose liquid is set by what boils off: poured, growing in proportion. */
export function waterLine(revision: Revision): Line | undefined {
  const pours = revision.lines.filter(
    (l) =>
      l.moment === 'batch' &&
      l.scaling.rule === 'proportional' &&
      l.item.type === 'ingredient' &&
      waters.includes(l.item.id) &&
      l.amount !== undefined &&
      l.unit &&
      unitFacts[l.unit].dimension === 'volume',
  );
  return pours.find((l) => l.item.type === 'ingredient' && l.item.id === 'water') ?? pours[0];
}

/** Least change of the water that is worth saying, in millilitres. */
const leastMl = 5;

/** Water for the size: what was written and stays, with what boils off now in place of what boiled off then. */
export function withBoilOff(line: Line, amount: Rational, f: number, passage: Passage): Grown | undefined {
  const off = passage.boilOff;
  if (!off || !line.unit) return undefined;
  const ml = off.value - f * off.writtenMl;
  if (Math.abs(ml) < leastMl) return undefined;
  const perUnit = toNumber(unitFacts[line.unit].base);
  const settled = plus(amount, fromNumber(Number((ml / perUnit).toFixed(4))));
  const because: Because[] = [
    {
      code: 'boilOff',
      params: { ml: Math.round(off.value), min: off.minutes, inProportionMl: Math.round(f * off.writtenMl) },
      source: 'CALC',
    },
  ];
  return toNumber(settled) > 0 ? { amount: settled, because } : { amount: '0', because: [...because, { code: 'noWaterNeeded' }] };
}

/** Water that covers loose pieces in the chosen pots by a finger's breadth: the room between them, and a layer on top. */
export function coverMl(
  line: Line,
  revision: Revision,
  facts: readonly LineFacts[],
  massG: ReadonlyMap<string, number>,
  passage: Passage,
  gear: Gear,
): Grown | undefined {
  if (line.scaling.rule !== 'cover' || !line.unit) return undefined;
  const pot = passage.loads.find((l) => l.use === 'pot');
  const equipment = pot && gear.equipment.find((e) => e.id === pot.vessels[0]?.id);
  const diameter = equipment?.diameterMm;
  const brim = equipment && brimMlOf(equipment);
  if (!pot || diameter === undefined || brim === undefined) return undefined;
  const own = line.scaling.lines;
  const beside = own ?? revision.steps.filter((s) => s.uses.some((u) => u.lineId === line.id)).flatMap((s) => s.uses.map((u) => u.lineId));
  let loose = 0;
  let solid = 0;
  for (const id of new Set(beside)) {
    const f = facts.find((x) => x.line.id === id);
    const g = massG.get(id);
    if (id === line.id || !f || g === undefined || f.pour) continue;
    const bulk = f.row?.density.chopped ?? f.row?.density.whole ?? f.gPerMl;
    if (bulk === undefined) return undefined;
    loose += g / bulk;
    solid += g / trueDensity();
  }
  if (loose === 0) return undefined;
  const above = line.scaling.aboveMm ?? 25;
  const ml = Math.max(0, loose - solid) + surfaceM2(diameter) * above * 1000 * pot.loads;
  const perUnit = toNumber(unitFacts[line.unit].base);
  return {
    amount: fromNumber(Number((ml / perUnit).toFixed(3))),
    because: [{ code: 'coverFrom', params: { mm: above, pots: pot.loads, diameterMm: diameter }, source: 'CALC' }],
  };
}

/** Vessels that a dish fills: its pans or jars. */
export function vesselsFilled(
  line: Line,
  revision: Revision,
  finishedMl: number | undefined,
  gear: Gear,
): { n: number; name: string } | undefined {
  if (line.scaling.rule !== 'perVessel' || finishedMl === undefined) return undefined;
  const id = line.scaling.containerId;
  const container = gear.containers.find((c) => c.id === id) ?? panOf(gear, revision) ?? gear.containers.find((c) => c.shape === 'jar');
  return container && { n: Math.max(1, Math.ceil(finishedMl / container.fillMl - 1e-9)), name: container.name };
}

/** What a ratio comes to, or why it does not. */
export type Ratio = { g: number } | { names: string[] } | 'missing';

export function ratioBecause(line: Line, ratio: Ratio): Because {
  if (ratio === 'missing') return { code: 'ratioMissing' };
  if ('names' in ratio) return { code: 'ratioCircle', params: { names: ratio.names.join(', ') } };
  return line.scaling.rule === 'ratio'
    ? { code: 'ratio', params: { percent: line.scaling.percent, of: line.scaling.of } }
    : { code: line.scaling.rule };
}

/** Salt and cures held to a share of other lines, in an order in which each finds its rest; what waits for itself is named. */
export function solveRatios(lines: readonly Line[], masses: Map<string, number>): Map<string, Ratio> {
  const ratios = lines.filter((l) => l.scaling.rule === 'ratio');
  const solved = new Map<string, Ratio>();
  if (ratios.length === 0) return solved;
  const open = new Map(ratios.map((l) => [l.id, l]));
  for (const l of ratios) masses.delete(l.id);
  for (let moved = true; moved && open.size > 0;) {
    moved = false;
    for (const [id, line] of open) {
      if (line.scaling.rule !== 'ratio' || line.scaling.lines.some((x) => open.has(x))) continue;
      const rest = line.scaling.lines.map((x) => masses.get(x));
      open.delete(id);
      moved = true;
      if (rest.some((g) => g === undefined)) solved.set(id, 'missing');
      else {
        const sum = rest.reduce<number>((s, g) => s + (g ?? 0), 0);
        const p = line.scaling.percent;
        const g = line.scaling.of === 'rest' ? (p / 100) * sum : (p / (100 - p)) * sum;
        masses.set(id, g);
        solved.set(id, { g });
      }
    }
  }
  for (const line of open.values()) solved.set(line.id, { names: [...open.values()].map((l) => l.name) });
  return solved;
}
