import type { Unit } from '#core/contract';
import {
  countOf,
  inBase,
  sayMassIn,
  sayVolumeIn,
  toNumber,
  unitFacts,
  type Because,
  type IngredientFinder,
  type IngredientRow,
  type UnitSystem,
  pluralOf,
} from '#core/kitchen';
import type { Dish } from '#core/plan';
import type { ScaledLine } from '#core/recipe';
import { aisles } from './data/aisles.ts';

/** Who asked for how much of a line. */
export interface Asked {
  batchId: string;
  recipeName: string;
  /** In the line's own bought unit. */
  amount: number;
  text: string;
}

export interface ShopLine {
  /** Ingredient, form and unit bought: what a tick holds on to. */
  key: string;
  name: string;
  aisle: string;
  unit: 'g' | 'ml' | 'piece' | 'asNeeded';
  /** What is counted, when it has a name: tins, bunches. */
  each?: Unit;
  /** As-purchased amount. */
  amount: number;
  out: string;
  asked: Asked[];
  because: Because[];
  onTheDay: boolean;
}

export interface ShopSection {
  id: string;
  name: string;
  lines: ShopLine[];
}

interface Bought {
  unit: ShopLine['unit'];
  /** What is counted, when it has a name: tins, bunches. */
  each?: Unit;
  amount: number;
  because: Because[];
}

/** How much more is bought than is measured out: of a range the high end (2 to 3 onions), so that there is enough. */
const ofRange = (line: ScaledLine): number =>
  line.line.amountTo !== undefined && line.line.scaling.rule !== 'toTaste' && line.upTo && line.exact && toNumber(line.exact.amount) > 0
    ? toNumber(line.upTo.amount) / toNumber(line.exact.amount)
    : 1;

/** As-purchased amount of one line: edible mass over the edible share, volumes of what is poured, whole pieces; of a range its high end. */
function bought(line: ScaledLine, row: IngredientRow | undefined): Bought {
  const low = boughtAsMeasured(line, row);
  const more = ofRange(line);
  return more === 1 ? low : { ...low, amount: low.amount * more, because: [...low.because, { code: 'range' }] };
}

function boughtAsMeasured(line: ScaledLine, row: IngredientRow | undefined): Bought {
  if (!line.exact) return { unit: 'asNeeded', amount: 0, because: [] };
  const edible = row?.ediblePct ?? 100;
  const base = inBase(line.exact);
  if (base?.dimension === 'volume' && row?.density.liquid !== undefined) return { unit: 'ml', amount: base.value, because: [] };
  if (line.massG !== undefined)
    return {
      unit: 'g',
      amount: (line.massG * 100) / edible,
      because: edible < 100 ? [{ code: 'trim', params: { edible }, ...(row && { source: row.source }) }] : [],
    };
  if (base?.dimension === 'volume') return { unit: 'ml', amount: base.value, because: row ? [{ code: 'noDensity' }] : [] };
  const { dimension } = unitFacts[line.exact.unit];
  if (dimension === 'piece') return { unit: 'piece', amount: toNumber(line.exact.amount), because: [] };
  if (dimension === 'count') return { unit: 'piece', each: line.exact.unit, amount: toNumber(line.exact.amount), because: [] };
  return { unit: 'asNeeded', amount: 0, because: [] };
}

const say = ({ unit, each }: Pick<ShopLine, 'unit' | 'each'>, amount: number, units: UnitSystem): string =>
  unit === 'g'
    ? sayMassIn(units, Math.ceil(amount))
    : unit === 'ml'
      ? sayVolumeIn(units, Math.ceil(amount))
      : unit === 'piece'
        ? each
          ? countOf(Math.ceil(amount - 1e-9), unitFacts[each].short)
          : String(Math.ceil(amount - 1e-9))
        : 'as needed';

/** "1.65 kg, about 11": counted things are bought by eye. */
function sayBought(line: Pick<ShopLine, 'unit' | 'each' | 'amount'>, row: IngredientRow | undefined, units: UnitSystem): string {
  const text = say(line, line.amount, units);
  if (line.unit !== 'g' || row?.pieceG === undefined || !['greens_roots', 'fruit', 'dairy_eggs', 'herbs'].includes(row.aisle)) return text;
  const pieces = Math.ceil(line.amount / row.pieceG - 1e-9);
  const each =
    row.pieceName && !['medium', 'large', 'small', 'whole', 'one'].includes(row.pieceName) && !/^\d/.test(row.pieceName)
      ? ` ${pieces > 1 ? pluralOf(row.pieceName) : row.pieceName}`
      : '';
  return pieces > 0 && pieces <= 60 ? `${text}, about ${pieces}${each}` : text;
}

/** Water comes from the tap. */
const neverBought = new Set(['water']);

/**
 * One summed list in as-purchased amounts with the trace of who asked for what, by aisle; what is added on the day stands apart.
 * Draws from other recipes are cooked, not bought, and are left out.
 * Law: a line's amount is the sum of what was asked; the order of the dishes does not matter.
 * @example shoppingList([stew, soup], finder)[0]?.lines[0]?.out // '1.65 kg, about 11'
 */
export function shoppingList(dishes: readonly Dish[], finder: IngredientFinder, units: UnitSystem = 'metric'): ShopSection[] {
  const lines = new Map<string, ShopLine & { row?: IngredientRow }>();
  for (const dish of dishes) {
    for (const scaled of dish.scaled.lines) {
      const { item } = scaled.line;
      if (item.type === 'recipe' || (item.type === 'ingredient' && neverBought.has(item.id))) continue;
      const row = item.type === 'ingredient' ? finder.byId(item.id) : undefined;
      const b = bought(scaled, row);
      const onTheDay = scaled.line.moment === 'cookDay';
      const name = row?.name ?? scaled.line.name;
      const key = `${onTheDay ? 'day' : 'batch'}|${item.type === 'ingredient' ? item.id : name.toLowerCase()}|${b.unit}${b.each ? `:${b.each}` : ''}`;
      const asked: Asked = { batchId: dish.batch.id, recipeName: dish.revision.name, amount: b.amount, text: say(b, b.amount, units) };
      const line = lines.get(key);
      if (line) {
        line.amount += b.amount;
        line.asked.push(asked);
      } else {
        lines.set(key, {
          key,
          name,
          aisle: row?.aisle ?? 'other',
          unit: b.unit,
          ...(b.each && { each: b.each }),
          amount: b.amount,
          out: '',
          asked: [asked],
          because: b.because,
          onTheDay,
          ...(row && { row }),
        });
      }
    }
  }
  const all = [...lines.values()].map(({ row, ...line }): ShopLine => ({ ...line, out: sayBought(line, row, units) }));
  const byName = (a: ShopLine, b: ShopLine): number => a.name.localeCompare(b.name) || a.key.localeCompare(b.key);
  const sections = aisles.map((aisle) => ({ ...aisle, lines: all.filter((l) => !l.onTheDay && l.aisle === aisle.id).sort(byName) }));
  return [...sections, { id: 'onTheDay', name: 'For the day it is eaten', lines: all.filter((l) => l.onTheDay).sort(byName) }].filter(
    (s) => s.lines.length > 0,
  );
}

/** What a tick remembers, and whether the list has moved since. */
export interface Tick {
  amount: number;
  unit: string;
  how: 'bought' | 'haveIt';
}

/**
 * Whether a ticked line now asks for more than was ticked.
 * @example tickNote({ amount: 1200, unit: 'g', how: 'bought' }, { unit: 'g', amount: 1500 }) // 'ticked at 1.2 kg, now 1.5 kg'
 */
export function tickNote(tick: Tick, line: Pick<ShopLine, 'unit' | 'each' | 'amount'>, units: UnitSystem = 'metric'): string | undefined {
  const more = line.amount > tick.amount * 1.02 + 0.5;
  return more ? `ticked at ${say(line, tick.amount, units)}, now ${say(line, line.amount, units)}` : undefined;
}
