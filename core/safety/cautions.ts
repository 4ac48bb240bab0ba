import type { Figures, Household } from '#core/contract';
import { sayMinutes } from '#core/kitchen';

/** Where in the work a caution belongs. */
export type CautionPlace =
  | 'cooling'
  | 'reheating'
  | 'thawing'
  | 'refreezing'
  | 'rawPoultry'
  | 'rawMeat'
  | 'hotBlending'
  | 'garlicOil'
  | 'beans'
  | 'rice'
  | 'baby'
  | 'bestBy'
  | 'hotFat';

export interface Caution {
  id: string;
  place: CautionPlace;
  /** Where countries differ each has its own wording; `any` holds everywhere. */
  text: Partial<Record<Household['country'] | 'any', string | ((figures: Figures) => string)>>;
  why: string;
  source: string;
  /** Who comes first. */
  defer: string;
}

const local = 'Local rules come first.';

const inDays = (days: number): string => (days < 2 ? `${Math.round(days * 24)} h` : `${Math.floor(days)} days`);
const ofJug = (share: number): string =>
  share === 0.5 ? 'half' : Math.abs(share - 1 / 3) < 0.01 ? 'a third' : share === 0.25 ? 'a quarter' : `${Math.round(share * 100)} %`;

/** The usual cautions, each with its reason and source. Never a promise that something is safe. */
export const cautions: readonly Caution[] = [
  {
    id: 'cool',
    place: 'cooling',
    text: {
      GB: (f) =>
        `Cool cooked food and get it into the fridge or freezer within 1 to 2 h. A usual limit: under 21 °C within ${sayMinutes(f.cool21)}, under 5 °C within ${sayMinutes(f.cool5)} more.`,
      any: (f) => `Under 21 °C within ${sayMinutes(f.cool21)}, then under 5 °C within ${sayMinutes(f.cool5)} more.`,
    },
    why: 'Bacteria grow fastest between the two; a deep pot cools far too slowly by itself.',
    source: 'FSA; FDA-FC',
    defer: local,
  },
  {
    id: 'freezeCold',
    place: 'cooling',
    text: { any: 'Chill to 5 °C or less first, then freeze; spread packs in one layer.' },
    why: 'A hot load thaws its neighbours and freezes slowly.',
    source: 'NCHFP; FSA',
    defer: local,
  },
  {
    id: 'reheat',
    place: 'reheating',
    text: {
      GB: (f) => `Reheat once only, steaming hot right through: 70 °C for 2 min or ${f.coreUk} °C in the middle.`,
      any: (f) => `Reheat to ${f.coreUs} °C in the middle; boil soups and sauces.`,
    },
    why: 'Heat has to reach the middle to undo what grew while it cooled and thawed.',
    source: 'FSA; FSIS',
    defer: local,
  },
  {
    id: 'thaw',
    place: 'thawing',
    text: {
      GB: (f) => `Thaw in the fridge, in a tray below ready-to-eat food; eat within ${inDays(f.thawedUk)} of thawing.`,
      US: (f) => `Thaw in the fridge; cooked food keeps ${inDays(f.thawedUsCooked)} from then.`,
      EU: (f) => `Thaw in the fridge; eat within ${inDays(f.thawedUk)} of thawing.`,
    },
    why: 'The outside warms long before the middle has thawed.',
    source: 'FSA; FSIS',
    defer: local,
  },
  {
    id: 'refreeze',
    place: 'refreezing',
    text: { any: 'Do not freeze it again once thawed; UK advice allows it only after cooking it into a new dish.' },
    why: 'Each thaw lets bacteria grow, and freezing does not undo it.',
    source: 'FSA',
    defer: local,
  },
  {
    id: 'poultry',
    place: 'rawPoultry',
    text: { any: 'Never wash raw poultry; board, knife and hands after it with hot soapy water.' },
    why: 'Splashes carry Campylobacter and Salmonella around the kitchen.',
    source: 'FSA; FSIS',
    defer: local,
  },
  {
    id: 'meat',
    place: 'rawMeat',
    text: { any: 'Raw meat last on the board, below everything else in the fridge.' },
    why: 'What drips on ready food is eaten without being cooked.',
    source: 'FSA',
    defer: local,
  },
  {
    id: 'blend',
    place: 'hotBlending',
    text: {
      any: (f) => `Hot liquid: jug to ${ofJug(f.hotShare)}, vent open under a folded towel, lowest speed first. Never in a sealed cup.`,
    },
    why: 'Steam blows the lid off and scalds.',
    source: 'MAKER; KIT',
    defer: "Your blender's own manual comes first.",
  },
  {
    id: 'garlicOil',
    place: 'garlicOil',
    text: { any: (f) => `Garlic or herbs in oil: fridge for ${inDays(f.garlicOil)} at most, or freeze. Never at room temperature.` },
    why: 'Botulinum can grow without air in oil, unseen and without smell.',
    source: 'NCHFP',
    defer: local,
  },
  {
    id: 'beans',
    place: 'beans',
    text: { any: 'Dried kidney beans: soak, throw the water away, boil hard for 10 min (FDA advises 30) before any simmer.' },
    why: 'A toxin in raw beans is destroyed by boiling only, not by a slow cooker.',
    source: 'FSA; FDA',
    defer: local,
  },
  {
    id: 'rice',
    place: 'rice',
    text: {
      GB: (f) => `Cooked rice: cool within ${sayMinutes(f.riceUk)}, fridge for 24 h at most.`,
      any: 'Cooked rice: cool it fast and spread thin.',
    },
    why: 'Its spores survive cooking and make a toxin that reheating does not destroy.',
    source: 'FSA; NHS',
    defer: local,
  },
  {
    id: 'baby',
    place: 'baby',
    text: {
      any: 'For the baby: heat right through, stir, let it cool and try it yourself; throw away what is left in the bowl. No honey before 12 months, no added salt.',
    },
    why: 'A small body is hurt by less; saliva spoils the rest.',
    source: 'NHS; AAP; WHO',
    defer: 'Your health visitor, midwife or doctor decides.',
  },
  {
    id: 'quality',
    place: 'bestBy',
    text: { any: (f) => `At a steady ${f.freezer} °C the date is about taste and texture, not about safety.` },
    why: 'Freezing stops growth; air and time still dry food out.',
    source: 'FSIS; FSA',
    defer: local,
  },
  {
    id: 'hotFat',
    place: 'hotFat',
    text: { any: 'Hot fat: stay with it, dry the food first, lid at hand.' },
    why: 'Water spits, and fat that smokes is about to burn.',
    source: 'KIT',
    defer: local,
  },
];

export interface SaidCaution {
  id: string;
  text: string;
  why: string;
  source: string;
  defer: string;
}

/**
 * The cautions that belong to these places of work, in the household's country and with the figures of its tables.
 * @example cautionsFor(['baby'], 'GB', figures)[0]?.text // heat right through, stir, let it cool, try it yourself
 */
export function cautionsFor(places: readonly CautionPlace[], country: Household['country'], figures: Figures): SaidCaution[] {
  return cautions.flatMap((c) => {
    const text = c.text[country] ?? c.text.any;
    return places.includes(c.place) && text
      ? [{ id: c.id, text: typeof text === 'string' ? text : text(figures), why: c.why, source: c.source, defer: c.defer }]
      : [];
  });
}
