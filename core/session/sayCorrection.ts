import type { EventData, PackFacts } from '#core/contract';
import { sayDayYear, sayPortions } from '#core/kitchen';
import { sayVague } from '#core/store';

interface Measures {
  sayMass: (g: number) => string;
  sayVolume: (ml: number) => string;
}

const dayOrNone = (day: string | null | undefined): string => (day ? sayDayYear(day) : 'unknown');
const madeOrNone = (made: PackFacts['made']): string => (made ? sayVague(made) : 'unknown');

/** How each fact is said; what has no short words is only named. */
const says: { [K in keyof PackFacts]-?: (fact: PackFacts, m: Measures) => string } = {
  name: (f) => `called “${f.name ?? ''}”`,
  kind: (f) => `a ${f.kind ?? 'meal'}`,
  portions: (f) => `${sayPortions(f.portions ?? 0)} inside when full`,
  massG: (f, m) => m.sayMass(f.massG ?? 0),
  volumeMl: (f, m) => m.sayVolume(f.volumeMl ?? 0),
  outerMl: () => '',
  made: (f) => `made ${madeOrNone(f.made)}`,
  bestBy: (f) => `best by ${dayOrNone(f.bestBy)}`,
  limit: () => '',
  life: (f) => `keeps like ${f.life?.part ?? 'it did'}`,
  containerId: () => 'in another container',
  allergens: () => 'what it contains',
};

/**
 * What was corrected of a pack, as it is and as it was.
 * @example sayCorrection({ reason: 'wrong lid', is: { name: 'Soup' }, was: { name: 'Stew' } }, measures) // 'called “Soup”, was called “Stew” (wrong lid)'
 */
export function sayCorrection({ portions, is, was, reason }: EventData<'corrected'>, measures: Measures): string {
  const parts = Object.keys(is ?? {}).flatMap((key) => {
    const say = says[key as keyof PackFacts];
    const now = say(is ?? {}, measures);
    const before = was && key in was ? say(was, measures) : '';
    return now === '' ? [] : [before !== '' && before !== now ? `${now}, was ${before}` : now];
  });
  const counted = portions === undefined ? [] : [`${sayPortions(portions)} there`];
  return `${[...counted, ...parts].join('; ') || 'as it was'}${reason && is ? ` (${reason})` : ''}`;
}
