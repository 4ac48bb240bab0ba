import { toNumber } from '#core/kitchen';
import { readNumber } from '../text/number.ts';

/** A time said in a text, in minutes. */
export interface Duration {
  low: number;
  /** High end of a range; the clock rings at the short end. */
  high?: number;
  /** At least so long: the end is open. */
  open?: true;
  /** It adds to what was said before: “another 5”. */
  more?: true;
  /** Where it stands in the text. */
  at: number;
  end: number;
}

const weekMin = 7 * 1440;
const units: readonly (readonly [minutes: number, words: RegExp])[] = [
  [weekMin, /^(?:weeks?|wochen?|semaines?|semanas?|settiman[ae])(?![\p{L}])/iu],
  [1440, /^(?:days?|tagen?|tage|jours?|giorn[oi]|d[ií]as?)(?![\p{L}])/iu],
  [60, /^(?:hours?|hrs?|h|std|stunden?|heures?|or[ae]|horas?)(?![\p{L}])\.?/iu],
  [1, /^(?:minutes?|mins?|minuten?|minuti|minuto|minutos)(?![\p{L}])\.?/iu],
  [1 / 60, /^(?:seconds?|secs?|sekunden?|secondes?|secondi|segundos)(?![\p{L}])\.?/iu],
];

/** Times said without a number. */
const said: readonly (readonly [words: RegExp, low: number, high?: number])[] = [
  [/^(?:overnight|till morning|until morning|over night|über nacht|toute la nuit|una notte|toda la noche)(?![\p{L}])/iu, 480, 720],
  [
    /^three[- ]quarters of an hour(?![\p{L}])|^(?:eine )?dreiviertelstunde|^trois quarts d['’]heure|^tres cuartos de hora|^tre quarti d['’]ora/iu,
    45,
  ],
  [/^a quarter of an hour(?![\p{L}])|^(?:eine )?viertelstunde|^un quart d['’]heure|^un cuarto de hora|^un quarto d['’]ora/iu, 15],
  [/^half an hour(?![\p{L}])|^(?:eine )?halbe stunde|^une demi[- ]heure|^media hora|^mezz['’]ora/iu, 30],
  [/^a fortnight(?![\p{L}])/iu, 2 * weekMin],
  [/^half a minute(?![\p{L}])/iu, 0.5],
  [/^anderthalb stunden|^une heure et demie|^un['’]ora e mezza|^una hora y media/iu, 90],
  [/^a couple of minutes|^ein paar minuten|^quelques minutes|^unos minutos|^qualche minuto/iu, 2],
  [/^a few minutes/iu, 3, 5],
  [/^a couple of hours/iu, 120],
  [/^(?:an|one) hour and a half(?![\p{L}])/iu, 90],
  [/^(?:an|one) hour and a quarter(?![\p{L}])/iu, 75],
  [/^a minute(?! apart)(?![\p{L}])/iu, 1],
];

const rangeSign = /^\s*(?:-|–|—|to|or|bis|à|a|o|oder)\s*(?=[\d¼-¾⅐-⅞]|\p{L})/iu;
const unitAt = (text: string): { minutes: number; length: number } | undefined => {
  const space = /^[\s-]*/.exec(text)?.[0].length ?? 0;
  for (const [minutes, words] of units) {
    const m = words.exec(text.slice(space));
    if (m) return { minutes, length: space + m[0].length };
  }
  return undefined;
};

/** What stands before a number and makes it no time of the work: how long it keeps, by when, how far ahead. */
const noTime = /(?:keeps?(?: for)?|up to|within|in the next|for up to|every|after|last(?:s)?|older than|day)\s*$/iu;
const ahead = /^\s*(?:ahead|before(?: the end)?|less|longer|shorter|in advance|later|old|apart)(?![\p{L}])/iu;
const openEnd = /(?:at least|no less than|mindestens|au moins|al menos|almeno)\s*$/iu;
const adds = /(?:another|a further|noch|encore|otros|altri)\s*(?:about\s*)?$/iu;

/** Weeks are mostly said of how long something keeps: then they are no work. */
const keeping =
  /\b(?:keeps?|store[sd]?|storage|lasts?|good|best|use[ds]?|eaten?|within|fridge|freezer|frozen|freezes?|hält|haltbar|conserver?|se conserva|si conserva)\b/iu;

/** No time is said in more letters; what is read of a text at each of its places. */
const longestTime = 120;

/** One time that begins at the front of a text. */
function timeAt(text: string): { low: number; high?: number; length: number } | undefined {
  for (const [words, low, high] of said) {
    const m = words.exec(text);
    if (m) return { low, ...(high !== undefined && { high }), length: m[0].length };
  }
  const first = readNumber(text);
  if (!first) return undefined;
  let at = text.length - first.rest.length;
  const n = toNumber(first.amount);
  const sign = rangeSign.exec(first.rest);
  const second = sign ? readNumber(first.rest.slice(sign[0].length)) : undefined;
  const high = second && toNumber(second.amount) > n ? toNumber(second.amount) : undefined;
  if (second && high !== undefined) at = text.length - second.rest.length;
  const unit = unitAt(text.slice(at));
  if (!unit) return undefined;
  at += unit.length;
  let [low, top] = [n * unit.minutes, high === undefined ? undefined : high * unit.minutes];
  // "1 hour 20 min", "an hour and twenty", "1h15"
  if (unit.minutes === 60 && high === undefined) {
    const join = /^\s*(?:and|und|et|y|e)?\s*/iu.exec(text.slice(at))?.[0] ?? '';
    const more = readNumber(text.slice(at + join.length));
    const minutes = more && toNumber(more.amount);
    const rest = more?.rest ?? '';
    const named = more && unitAt(rest);
    const alone = /^\s*(?:[,.;)]|$|(?:at|in|until|with|lid|covered|or|then)\b)/iu.test(rest);
    const bare =
      named === undefined && (/\p{L}/u.test(join) || join === '' || alone) && !/^\s*(?:°|degrees|g\b|ml\b|cm\b|x\b)/iu.test(rest);
    if (minutes !== undefined && minutes > 0 && minutes < 60 && (named?.minutes === 1 || bare)) {
      low += minutes;
      at = text.length - rest.length + (named?.minutes === 1 ? named.length : 0);
    }
  }
  if (top !== undefined && top <= low) top = undefined;
  return { low, ...(top !== undefined && { high: top }), length: at };
}

/** Longer than any work of a household: ten weeks. */
export const mostMinutes = 100_000;

/**
 * Every time said in a text, in its order: `1 1/4 h`, `an hour and twenty`, `20-25 min`, `half an hour`, `overnight`, `another 5 minutes`; not how long a dish
 * keeps, by when it must be cold, or how far ahead.
 * @example readDurations('Simmer for an hour and a half, then 10 min with the lid off.').map((d) => d.low) // [90, 10]
 */
export function readDurations(text: string): Duration[] {
  const found: Duration[] = [];
  const starts = /(?<![\p{L}\d.,/])(?:\d|[¼-¾⅐-⅞]|[\p{L}])/gu;
  let from = 0;
  for (let m = starts.exec(text); m; m = starts.exec(text)) {
    if (m.index < from) continue;
    const time = timeAt(text.slice(m.index, m.index + longestTime));
    if (!time) continue;
    const before = text.slice(Math.max(0, m.index - 24), m.index);
    from = m.index + time.length;
    starts.lastIndex = from;
    if (noTime.test(before) || ahead.test(text.slice(from)) || time.low > mostMinutes) continue;
    if (time.low >= weekMin && keeping.test(/[^.;!?\n]*$/u.exec(text.slice(0, m.index))?.[0] ?? '')) continue;
    found.push({
      low: time.low,
      ...(time.high !== undefined && { high: time.high }),
      ...(openEnd.test(before) && { open: true as const }),
      ...(adds.test(before) && { more: true as const }),
      at: m.index,
      end: from,
    });
  }
  return found;
}
