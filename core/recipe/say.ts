import { countOf, sayVolume, type Because } from '#core/kitchen';
import type { RecipeGap } from './check.ts';
import type { ScaledRecipe, TargetError } from './scale/index.ts';

const p = (b: Because, name: string): string => String(b.params?.[name] ?? '');
const n = (b: Because, name: string): number => Number(b.params?.[name] ?? 0);
const from = (b: Because): string => (b.source ? ` (${b.source.split(';').join(', ')})` : '');
const actions: Readonly<Record<string, string>> = { pulse: 'pulsing', puree: 'pureeing', hot: 'anything hot' };

/** How a line grows, in a word or two, as a tag. */
export const sayRule: Readonly<Record<string, string>> = {
  proportional: 'in proportion',
  whole: 'whole pieces',
  toTaste: 'to taste',
  ratio: 'share of the rest',
  perVessel: 'per vessel',
  cover: 'to cover',
  fixed: 'per pot',
};

/**
 * A scaled line's, or a vessel's, reason in a sentence.
 * @example sayWhy({ code: 'proportional' }) // the reason of an amount, in words
 */
export function sayWhy(b: Because): string {
  switch (b.code) {
    case 'proportional':
      return 'grows with the portions';
    case 'whole':
      return 'whole pieces, the nearest number';
    case 'toTaste':
      return 'to taste';
    case 'toTasteFrom':
      return 'seasoning grows slower than the pot: start here, taste, and stop at the upper amount';
    case 'ratio':
      return p(b, 'of') === 'rest' ? `${p(b, 'percent')} % of the weighed rest` : `${p(b, 'percent')} % of the whole, itself included`;
    case 'ratioMissing':
      return 'a share of lines whose weight is not known: weigh those first';
    case 'ratioCircle':
      return `these wait for each other: ${p(b, 'names')}; give one of them an amount`;
    case 'fixed':
      return n(b, 'pots') > 1 ? `the same in each of ${p(b, 'pots')} pots` : 'the same for any size';
    case 'perVessel':
      return `once for each of ${countOf(n(b, 'n'), 'vessel')} filled (${p(b, 'name')})`;
    case 'coverFrom':
      return `fills the room between the pieces and stands ${p(b, 'mm')} mm above them, in a pot ${p(b, 'diameterMm')} mm wide${n(b, 'pots') > 1 ? `, ${p(b, 'pots')} times` : ''}`;
    case 'asIfProportional':
      return p(b, 'rule') === 'cover'
        ? 'grown in proportion: no pot with a diameter is known to reckon with'
        : 'grown in proportion: no vessel is known to count';
    case 'boilOff':
      return `${sayVolume(n(b, 'ml'))} boils off in ${p(b, 'min')} min whatever the size; in proportion it would be ${sayVolume(n(b, 'inProportionMl'))}, so the water makes up the difference`;
    case 'noWaterNeeded':
      return 'less boils off than the written water, so none is needed and it comes out a little thinner';
    case 'stringyHalves':
      return `stringy, so it is cut half as large as the ${p(b, 'from')} mm written`;
    case 'cutAsWritten':
      return 'cut as written';
    case 'noAmount':
      return 'written without an amount';
    case 'range':
      return 'written as a range: the low end is weighed, the high end is bought, so that there is enough for both';
    case 'atMost':
      return 'written as “up to”: the most is weighed and bought, and less may go in';
    case 'pieceWeight':
      return `one weighs about ${p(b, 'g')} g, ${p(b, 'edible')} % of it is eaten${from(b)}`;
    case 'density':
      return `${p(b, 'gPerMl')} g per ml${from(b)}`;
    case 'noDensity':
      return 'no weight per volume known, so it is not weighed: weigh yours once';
    case 'noPieceWeight':
      return 'no weight of one piece known: weigh yours once';
    case 'belowScale':
      return `less than two steps of your scale (${p(b, 'stepG')} g)`;
    case 'ownLimit':
      return `to your own limit, ${p(b, 'percent')} % of the brim`;
    case 'underRim':
      return `to ${p(b, 'mm')} mm under the rim, as a stock pot is filled`;
    case 'threeQuarters':
      return 'to three quarters, so that it can be stirred';
    case 'bowlMark':
      return `to its own mark for ${actions[p(b, 'action')] ?? 'this'}`;
    case 'bowlShare':
      return p(b, 'action') === 'hot'
        ? 'to a third with the vent open, since steam lifts a lid'
        : p(b, 'action') === 'puree'
          ? 'to two thirds, so that it turns over'
          : 'to a half, so that the pieces fall back onto the blade';
    case 'oneLayer':
      return `in one layer, ${countOf(n(b, 'trays'), 'tray')} at once`;
    case 'pansInOven':
      return `${countOf(n(b, 'pans'), 'pan')} in all, ${p(b, 'perRound')} at once (${p(b, 'pan')})`;
    case 'dipWater':
    case 'leafWater':
      return `${p(b, 'litres')} l of boiling water to a kilo${b.code === 'leafWater' ? ' of leaves' : ''}, so that it boils again within a minute${from(b)}`;
    case 'tiers':
      return `${countOf(n(b, 'tiers'), 'tier')} at once`;
    default:
      return b.code;
  }
}

/**
 * What was wrong with a target, and what may be given instead. Nothing else is ever changed by it.
 * @example sayTargetError(error) // why it cannot be scaled to that, and what is allowed
 */
export function sayTargetError(e: TargetError): string {
  switch (e.why) {
    case 'zero':
    case 'negative':
    case 'tooMany':
      return `${Number.isNaN(e.got) ? 'That' : Number(e.got.toFixed(2)).toLocaleString('en-GB')} cannot be cooked. Give ${e.allowed}.`;
    case 'noVolume':
    case 'noWeight':
      return `How much a litre of this weighs is not known, so ${e.why === 'noVolume' ? 'litres' : 'grams'} cannot be reached. It needs ${e.allowed}.`;
    case 'nothingOnHand':
      return `Say how much you have of ${e.allowed.replace('an amount of ', '')}.`;
    case 'noSuchLine':
      return 'That line is not in this recipe.';
    case 'noAmount':
      return `${e.name ?? 'That line'} has no written amount to grow from. Choose another line.`;
    case 'doesNotGrow':
      return `${e.name ?? 'That line'} follows the pots, not the recipe, so it cannot set the size. Choose another line.`;
    case 'noPath':
      return `${e.name ?? 'That'} cannot be turned into what the recipe asks for: no weight is known. Give ${e.allowed}.`;
    case 'noVessel':
      return 'That pot is not in this kitchen any more.';
    case 'noSize':
      return `${e.name ?? 'That pot'} has no size yet: enter ${e.allowed} in Kitchen.`;
    case 'vesselTooSmall':
      return `${e.name ?? 'That pot'} does not hold one portion of this (${Math.round(e.got * 100)} % of one). Choose a larger one.`;
    case 'vesselNotUsed':
      return `This dish does not go through ${e.name ?? 'that'}. Choose a pot or bowl it uses.`;
  }
}

/**
 * What sets the size or fills up first, in a sentence; undefined when nothing binds.
 * @example sayLimit(scaled) // 'The big pot is full at this size.'
 */
export function sayLimit(s: ScaledRecipe): string | undefined {
  const { limit, passage } = s;
  if (limit?.type === 'line') return `Your ${limit.name} sets the limit.`;
  const pot = passage?.loads.find((l) => l.vessels.some((v) => v.id === (limit?.id ?? passage.limit?.vesselId)));
  if (limit?.type === 'vessel')
    return `The ${limit.name} sets the limit${pot ? `: filled ${sayWhy(pot.because[0] ?? { code: '' })}` : ''}.`;
  if (!passage?.limit || !pot) return undefined;
  const { name, loads, fill } = passage.limit;
  if (loads > 1 && passage.limit.use === 'dip') return `It is blanched in ${loads} dips, the ${name} full of water.`;
  if (loads > 1)
    return pot.rounds < loads
      ? `It takes ${loads} pots at once: ${pot.vessels.map((v) => v.name).join(' and ')}.`
      : `The ${name} takes it in ${loads} loads.`;
  return fill > 0.9 ? `The ${name} is all but full.` : `The ${name} fills up first: ${Math.round(fill * 100)} % of what it may hold.`;
}

/** A gap in a recipe, in words that say what to do. @example sayGap(gap) // 'How many portions is it?' */
export function sayGap(g: RecipeGap): string {
  switch (g.gap) {
    case 'neverUsed':
      return `${g.name} is listed, no step takes it`;
    case 'notListed':
      return `A step uses ${g.name}, no line lists it`;
    case 'sharesOver':
      return `${g.name} is used ${Math.round(g.total * 100)} % in the steps`;
    case 'twoAmounts':
      return `${g.name} is written twice over: ${g.first} and ${g.second} are not the same amount. ${g.first} is what counts here`;
    case 'unmatched':
      return `${g.name} is not known here: its weight and allergens are open`;
    case 'noDensity':
      return 'No weight per litre yet: weigh one full tub when you pack';
    case 'unconfirmed':
      return `Confirm the ${g.what} before planning it`;
  }
}
