import type { Container } from '#core/contract';
import type { PackChoice, PackGroup } from '#core/pack';
import { numberOf } from '../form/fields.tsx';

/** So many packs of one kind of container, with so many portions in each: as it is typed. */
export interface MixRow {
  containerId: string;
  packs: string;
  each: string;
}

/** More than anybody fills of one pot. */
export const mostPacks = 60;
const inQuarters = (n: number): boolean => Math.abs(n * 4 - Math.round(n * 4)) < 1e-9;

/** What a row comes to; undefined while it cannot be read. */
export function readRow({ packs, each }: MixRow): { packs: number; each: number } | undefined {
  const [n, of] = [numberOf(packs), numberOf(each)];
  return n !== undefined && of !== undefined && Number.isInteger(n) && n > 0 && n <= mostPacks && of > 0 && inQuarters(of)
    ? { packs: n, each: of }
    : undefined;
}

/** Packs and portions of all rows, and whether one of them cannot be read. */
export function sumRows(rows: readonly MixRow[]): { packs: number; portions: number; wrong: boolean } {
  const read = rows.map(readRow);
  return {
    packs: read.reduce((s, r) => s + (r?.packs ?? 0), 0),
    portions: read.reduce((s, r) => s + (r ? r.packs * r.each : 0), 0),
    wrong: read.some((r) => r === undefined),
  };
}

/** A container with no name of its own: as large as what goes into it. */
export const noName = (ml: number): Container => ({
  id: '',
  name: 'something with no name',
  shape: 'box',
  brimMl: Math.ceil(ml * 1.1),
  fillMl: Math.ceil(ml),
  heightMm: 80,
  widthMm: 130,
  footMm: 120,
  depthMm: 130,
  owned: 0,
  oneUse: true,
  materialId: 'm_pp',
  microwave: 'unknown',
});

/**
 * A mix of the cook's own: some singles, some for the family, what is at hand. Nothing has to be free or known by name.
 * @param portionMl of one portion, or of one cube
 * @param toPackMl what there is
 * @returns what it comes to, or what speaks against it in words
 */
export function ownMix(
  rows: readonly MixRow[],
  { containers, portionMl, toPackMl, bags }: { containers: readonly Container[]; portionMl: number; toPackMl: number; bags: boolean },
): { ok: true; choice: PackChoice } | { ok: false; why: string } {
  const groups: PackGroup[] = [];
  for (const row of rows) {
    const read = readRow(row);
    if (!read) return { ok: false, why: 'Say how many packs, and how much in each: quarters of a portion.' };
    const mlEach = read.each * portionMl;
    const container = containers.find((c) => c.id === row.containerId) ?? noName(mlEach);
    // cubes lie loose in a bag, to its brim
    if (mlEach > (bags ? container.brimMl : container.fillMl) + 1)
      return {
        ok: false,
        why: `${read.each} in one ${container.name} is over its line: it takes ${Math.floor((container.fillMl / portionMl) * 4) / 4}.`,
      };
    groups.push({ container, packs: read.packs, portionsEach: read.each, mlEach });
  }
  const ml = groups.reduce((s, g) => s + g.packs * g.mlEach, 0);
  // half a portion more than was reckoned is the ladle, not the arithmetic
  if (ml > toPackMl + portionMl / 2 + 1) return { ok: false, why: 'That is more than there is: take some off, or weigh again.' };
  const left = Math.max(0, toPackMl - ml);
  const whole = Math.floor(left / portionMl + 1e-9);
  return {
    ok: true,
    choice: {
      groups,
      packs: groups.reduce((s, g) => s + g.packs, 0),
      portionsPacked: groups.reduce((s, g) => s + g.packs * g.portionsEach, 0),
      portionsLeft: whole,
      // what can still be packed is nobody's dinner yet
      tonightMl: whole > 0 ? 0 : left,
    },
  };
}
