/** Portions each eater took from each pack. */
export interface PackShares {
  packId: string;
  shares: { eaterId: string; portions: number }[];
  guests: number;
  left: number;
}

/**
 * Deals what was eaten out over the packs that stood on the table, one pack after the other, in quarters.
 * What is more than all packs hold is put to the last one: a difference to settle.
 * Law: the shares over all packs add up to what each eater ate.
 * @example dealShares([{ packId: 'tub7', left: 2 }], [{ eaterId: 'osk', portions: 1 }], 0) // who ate of which pack
 */
export function dealShares(
  packs: readonly { packId: string; left: number }[],
  eaten: readonly { eaterId: string; portions: number }[],
  guests: number,
): PackShares[] {
  const queue = eaten.map((e) => ({ eaterId: e.eaterId, quarters: Math.round(e.portions * 4) }));
  let guestQuarters = Math.round(guests * 4);
  return packs.map((pack, i): PackShares => {
    const last = i === packs.length - 1;
    let room = last ? Infinity : Math.round(pack.left * 4);
    const shares: PackShares['shares'] = [];
    for (const eater of queue) {
      const q = Math.min(room, eater.quarters);
      if (q <= 0) continue;
      eater.quarters -= q;
      room -= q;
      shares.push({ eaterId: eater.eaterId, portions: q / 4 });
    }
    const g = Math.min(room, guestQuarters);
    guestQuarters -= g;
    const taken = shares.reduce((s, x) => s + x.portions, 0) + g / 4;
    return { packId: pack.packId, shares, guests: g / 4, left: Math.max(0, pack.left - taken) };
  });
}
