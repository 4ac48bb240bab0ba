import { mindsItself, simmerGuess, workFacts } from './classes.ts';
import type { WorkKind } from '#core/contract';
import { mostMinutes, readDurations, type Duration } from './durations.ts';
import { readNumber } from '../text/number.ts';
import { toNumber } from '#core/kitchen';

/** Minutes of a step at the written size. */
export interface StepMinutes {
  hands: number;
  wait: number;
  /** Long end of the wait, where a range is said or guessed. */
  waitTo?: number;
  /** The text says the hands, or the wait; the other is a guess by the kind of work. */
  said: { hands: boolean; wait: boolean };
}

/** “for 50.”, “another 20”, “a further 15”: minutes that go without saying. */
const bare =
  /\b(?:for(?: about| around)?|cook|simmer|fry|bake|boil|roast|steam|another|a further|further|about|noch|weitere|encore|otros)\s+(\d{1,3})(?:\s*(?:-|–|to)\s*(\d{1,3}))?(?=\s*(?:[.,;)]|$|more\b|until\b|till\b|covered\b|then\b|and\b))/giu;
const batches =
  /\b(?:in|over) (\w+) (?:batches|loads|goes|lots|turns|portionen|fournées|tandas)\b|\b(a third|half|a quarter) at a time\b/iu;
const eachOne = /^\s*(?:each|apiece|per (?:batch|load|pancake|piece)|a batch|je\b|chacun|cada)/iu;
const aSide =
  /^\s*(?:a|each|per|on each|on the first|on either|pro) (?:side|seite)|^\s*(?:par|de chaque) côté|^\s*por (?:lado|cada lado)/iu;
const count =
  /\b(\d{1,2}|two|three|four|five|six|eight|ten|twelve)\s+(?:thin |small |round |large |flat )?(?:pancakes?|crepes?|crêpes|fritters?|patties|flatbreads?|wraps?|rounds?|cakes|burgers|batches|loads)\b/iu;
const handsWords =
  /\b(?:stirring(?! (?:now|once|from|occasionally|every|gently now))|all the time|constantly|keep (?:turning|stirring)|of stirring|by hand|ständig rühren|en remuant|sans cesse|removiendo|mescolando)\b/iu;
const waitWords =
  /\b(?:lid on|with (?:a|the) lid|covered|undisturbed|leave (?:it|them|alone)|lid ajar|on the lowest|zugedeckt|à couvert|tapad[oa])\b/iu;

/** As many letters before and after a time tell how it is spent. */
const longestClause = 400;

const numberOf = (word: string): number => {
  const read = readNumber(word);
  return read ? toNumber(read.amount) : 1;
};

/** How often a time is gone through: batches, pieces, sides. */
function timesOf(text: string, d: Duration): number {
  const after = text.slice(d.end, d.end + 40);
  if (aSide.test(after)) return 2;
  if (!eachOne.test(after)) return 1;
  const b = batches.exec(text);
  if (b) return b[1] ? Math.max(1, numberOf(b[1])) : b[2] === 'half' ? 2 : b[2] === 'a quarter' ? 4 : 3;
  const c = count.exec(text);
  return c ? Math.max(1, numberOf(c[1]!)) : 1;
}

/** Times of a step's text, those without a unit too. @example durationsOf('Simmer for 50.')[0]?.low // 50 */
export function durationsOf(text: string): Duration[] {
  const found = readDurations(text);
  for (const m of text.matchAll(bare)) {
    const at = m.index + m[0].indexOf(m[1]!);
    if (found.some((d) => at >= d.at - 1 && at <= d.end)) continue;
    const low = Number(m[1]);
    const high = m[2] ? Number(m[2]) : undefined;
    if (low < 1) continue;
    found.push({ low, ...(high !== undefined && high > low && { high }), at, end: m.index + m[0].length });
  }
  return found.sort((a, b) => a.at - b.at);
}

/** Kind of work at a place of the text, by the segments it is told in. */
export type KindAt = (at: number) => WorkKind | 'other' | undefined;

/**
 * Minutes of one step: what is written goes to hands or waiting by the work it is told of, what is not is guessed by its kind.
 * @param kindAt kind of the work told at a place of the text
 * @param kg what the step works on
 * @example minutesOf('Sweat the leeks 10 min.', 'soften', () => 'soften', 0.4) // { hands: 10, wait: 0, ... }
 */
export function minutesOf(text: string, kind: WorkKind, kindAt: KindAt, kg: number, what = text): StepMinutes {
  const facts = workFacts[kind];
  let [hands, wait, waitTo] = [0, 0, 0];
  const said = { hands: false, wait: false };
  const durations = durationsOf(text);
  durations.forEach((d, i) => {
    const own = kindAt(d.at) ?? kind;
    if (own === 'other' || (kind === 'freeze' && /\bor\b/iu.test(text.slice(0, d.at)))) return;
    const rest = text.slice(d.end, d.end + longestClause);
    const clause = text.slice(
      Math.max(durations[i - 1]?.end ?? 0, d.at - longestClause),
      d.end + (/[.;]/.exec(rest)?.index ?? longestClause),
    );
    const written = workFacts[own].written;
    const byHand =
      handsWords.test(clause) && (d.low <= 25 || /\b(?:all the time|constantly|continuously|ständig|sans cesse)\b/iu.test(clause))
        ? true
        : waitWords.test(clause) && written === 'hands' && own !== 'brown' && own !== 'melt'
          ? false
          : written === 'hands' &&
            !(own === 'soften' && d.low >= 30) &&
            !(own === 'mix' && d.low > 15) &&
            !(own === 'strain' && d.low >= 10) &&
            !(own === 'cut' && d.low >= 40);
    const n = timesOf(text, d);
    if (byHand) {
      hands += d.low * n;
      said.hands = true;
    } else {
      wait += d.low * n;
      waitTo += (d.high ?? d.low) * n;
      said.wait = true;
    }
  });
  if (!said.hands) {
    const [setUp, perKg] = facts.hands;
    // waiting is looked in on; what is done on the way is counted with it
    hands = mindsItself(kind) || said.wait ? setUp : setUp + perKg * kg;
    if (!mindsItself(kind) && said.wait) hands = Math.min(hands + perKg_(kind) * kg, 30);
  }
  if (!said.wait && facts.wait && !(said.hands && kind !== 'preheat')) {
    const guess = kind === 'simmer' || kind === 'boil' ? simmerGuess.find(([pattern]) => pattern.test(what)) : undefined;
    [wait, waitTo] = guess ? [guess[1], guess[2]] : facts.wait;
    // blanching is a dip in and out
    if (kind === 'boil' && /\b(?:blanch|scald|parboil|blanchier|escald|ébouillant|blanchir)/iu.test(text))
      [wait, waitTo, hands] = [0, 0, 4 + 6 * kg];
  }
  return {
    hands: Math.min(600, Math.round(hands * 10) / 10),
    wait: Math.min(mostMinutes, Math.round(wait)),
    ...(Math.round(waitTo) > Math.round(wait) && { waitTo: Math.min(mostMinutes, Math.round(waitTo)) }),
    said,
  };
}

const perKg_ = (kind: WorkKind): number => workFacts[kind].hands[1];

const gas: readonly number[] = [0, 140, 150, 160, 180, 190, 200, 220, 230, 240];

/** Oven heat a text says, in degrees Celsius for top and bottom heat. @example heatOf('bake at gas 5') // 190 */
export function heatOf(text: string): number | undefined {
  const c = /(\d{2,3})\s*(?:°|º|degrees?|grad)?\s*C\b/iu.exec(text) ?? /(\d{2,3})\s*(?:°|º|grad)(?!\s*F)/iu.exec(text);
  const f = /(\d{3})\s*(?:°|º|degrees?)?\s*F\b/u.exec(text);
  const mark = /\bgas(?: mark)?\s*(\d)\b/iu.exec(text);
  // “180 C, 160 fan”: the first holds as it stands; of a fan's heat alone 20 are more
  const temps = [...text.matchAll(/\d{3}\s*(?:°|º|degrees?)?\s*(?:C\b|F\b)?/gu)].filter((m) => Number.parseInt(m[0], 10) <= 500);
  const fan = temps.length <= 1 && /\b(?:fan|umluft|convection|chaleur tournante|aire|ventilato)\b/iu.test(text);
  const core = /\d{2,3}\s*°?\s*C\b[^.;]*\b(?:core|inside|centre|center|middle|probe)\b/iu.test(text) && !/\bat \d{2,3}/iu.test(text);
  const value = core
    ? undefined
    : c
      ? Number(c[1])
      : f
        ? Math.round((Number(f[1]) - 32) / 1.8)
        : mark
          ? gas[Number(mark[1])]
          : /\b(?:low|slow) oven\b/iu.test(text)
            ? 150
            : /(?:oven|roast|bake)[^.]*?\b(?:at|to|,)\s*(1[2-9]0|2[0-5]0)\b(?!\s*(?:g|ml|min))/iu.exec(text)
              ? Number(/(?:at|to|,)\s*(1[2-9]0|2[0-5]0)\b/iu.exec(text)?.[1])
              : undefined;
  if (
    value === undefined ||
    value < 30 ||
    (value < 90 && !/\boven|ofen|four|horno|forno/iu.test(text)) ||
    value > 400 ||
    Number.isNaN(value)
  )
    return undefined;
  return fan ? value + 20 : value;
}

const cues =
  /\b(?:until|till|bis(?: zu)?|jusqu['’]à ce qu(?:e|['’])|jusqu['’]à|hasta que|hasta|finché|fino a|as soon as|when (?=they|it|the))\s+([^.;,(]{3,120}?)(?=,? (?:about|around|etwa|environ|unos|circa)? ?\d|[.;,(]|$| then\b| and (?:stir|add|fold|then|simmer|mix|pour)\b)/iu;

/** What shows that a step is done, in the cook's words. @example cueOf('Fry until golden, 8 min.') // 'golden' */
export const cueOf = (text: string): string | undefined =>
  cues
    .exec(text)?.[1]
    ?.replace(/ and (?:squeeze|stir|add|fold|then|simmer|mix|pour|season|serve|cook|drain|mash|leave|let)\b.*$/iu, '')
    .trim()
    .slice(0, 200) || undefined;
