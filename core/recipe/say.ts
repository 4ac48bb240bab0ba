import type { Because } from '#core/kitchen';
import type { RecipeGap } from './check.ts';

const p = (b: Because, name: string): string => String(b.params?.[name] ?? '');

/** A scaled line's reason in a sentence. */
export function sayWhy(b: Because): string {
  switch (b.code) {
    case 'proportional':
      return 'grows with the portions';
    case 'whole':
    case 'wholePieces':
      return 'whole pieces, the nearest number';
    case 'toTaste':
      return 'to taste';
    case 'toTasteFrom':
      return `start here and taste; at most ${Number(b.params?.upTo ?? 0).toLocaleString('en-GB', { maximumFractionDigits: 2 })} of the written unit`;
    case 'ratio':
      return 'a share of the weighed rest';
    case 'fixed':
      return 'the same for any size';
    case 'asIfProportional':
      return 'grown in proportion; count your vessels and adjust';
    case 'noAmount':
      return 'written without an amount';
    case 'pieceWeight':
      return `one weighs about ${p(b, 'g')} g, ${p(b, 'edible')} % of it is eaten${b.source ? ` (${b.source})` : ''}`;
    case 'density':
      return `${p(b, 'gPerMl')} g per ml${b.source ? ` (${b.source})` : ''}`;
    case 'noDensity':
      return 'no weight per volume known, so it is not weighed: weigh yours once';
    case 'noPieceWeight':
      return 'no weight of one piece known: weigh yours once';
    case 'belowScale':
      return `less than two steps of your scale (${p(b, 'stepG')} g)`;
    default:
      return b.code;
  }
}

/** A gap in a recipe, in words that say what to do. */
export function sayGap(g: RecipeGap): string {
  switch (g.gap) {
    case 'neverUsed':
      return `${g.name} is listed, no step takes it`;
    case 'notListed':
      return `A step uses ${g.name}, no line lists it`;
    case 'sharesOver':
      return `${g.name} is used ${Math.round(g.total * 100)} % in the steps`;
    case 'unmatched':
      return `${g.name} is not known here: its weight and allergens are open`;
    case 'noDensity':
      return 'No weight per litre yet: weigh one full tub when you pack';
    case 'unconfirmed':
      return `Confirm the ${g.what} before planning it`;
  }
}
