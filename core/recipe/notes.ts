import type { Line, Unit } from '#core/contract';
import { fromNumber, measure, over, plus, times, toNumber, unitFacts, unitNamed, type Rational } from '#core/kitchen';

/** A next-time note understood as a changed amount: offered, never made by itself. */
export interface NoteOffer {
  lineId: string;
  name: string;
  from: { amount: Rational; unit: Unit };
  to: { amount: Rational; unit: Unit };
  /** `said`: the note names the amount; `guess`: it only says which way, so a tenth is offered. */
  how: 'said' | 'guess';
}

const number = String.raw`(\d+(?:[.,]\d+)?|half|a third|a quarter)`;
const unit = String.raw`\s*(ml|cl|dl|l|litres?|g|grams?|kg|tsp|tbsp|teaspoons?|tablespoons?|cups?|pinch(?:es)?|turns?)?\b`;

const words: Readonly<Record<string, number>> = { half: 0.5, 'a third': 1 / 3, 'a quarter': 0.25 };
const valueOf = (text: string): number => words[text.toLowerCase()] ?? Number(text.replace(',', '.'));

/** Words for a whole dish that point at one of its lines. */
const dishWords: readonly [RegExp, RegExp, 'less' | 'more'][] = [
  [/\b(too |a bit |a little )?(thin|watery|runny|soupy)\b/i, /water|stock|broth/i, 'less'],
  [/\b(too |a bit |a little )?(thick|dry|stiff)\b/i, /water|stock|broth/i, 'more'],
  [/\b(too |a bit |a little )?salty\b/i, /salt/i, 'less'],
  [/\b(needs?|wants?|more|under)\s?-?(salt|seasoning|salted|seasoned)\b|\bbland\b/i, /salt/i, 'more'],
];

function lineIn(text: string, lines: readonly Line[]): Line | undefined {
  const low = text.toLowerCase();
  return lines
    .filter((l) => l.amount !== undefined && l.unit)
    .flatMap((l) => {
      const hit = l.name
        .toLowerCase()
        .split(/\s+/)
        .filter((w) => w.length > 2 && low.includes(w.replace(/(?:oes|es|s)$/, '')));
      return hit.length > 0 ? [{ l, score: hit.join('').length }] : [];
    })
    .sort((a, b) => b.score - a.score)[0]?.l;
}

/** A tenth, to an amount that can be measured. */
function nudged(from: { amount: Rational; unit: Unit }, way: 'less' | 'more'): { amount: Rational; unit: Unit } {
  const share = times(from.amount, way === 'less' ? '9/10' : '11/10');
  const fact = unitFacts[from.unit];
  if (fact.dimension !== 'mass' && fact.dimension !== 'volume') return { amount: share, unit: from.unit };
  const nice = fromNumber(measure(toNumber(times(share, fact.base)), 0.05).value);
  return { amount: over(nice, fact.base), unit: from.unit };
}

/**
 * Reads a next-time note as a changed amount of one line, when it says so.
 * @returns undefined when it names no line, or would leave nothing or less
 * @example readNote('use 850 ml water', lines).to // { amount: '850', unit: 'ml' }
 * @example readNote('less water, it was thin', lines).how // 'guess'
 */
export function readNote(text: string, lines: readonly Line[]): NoteOffer | undefined {
  const named = lineIn(text, lines);
  const dish = dishWords.find(([pattern]) => pattern.test(text));
  const line = named ?? (dish && lines.find((l) => l.amount !== undefined && l.unit && dish[1].test(l.name)));
  if (!line?.amount || !line.unit) return undefined;
  const from = { amount: line.amount, unit: line.unit };
  const offer = (to: { amount: Rational; unit: Unit }, how: NoteOffer['how']): NoteOffer | undefined =>
    toNumber(to.amount) > 0 && !(to.amount === from.amount && to.unit === from.unit)
      ? { lineId: line.id, name: line.name, from, to, how }
      : undefined;
  const times2 = /\b(double|twice)\b/i.test(text) ? '2' : /\bhalve\b|\bhalf (of )?the\b|\bhalf as much\b/i.test(text) ? '1/2' : undefined;
  if (times2) return offer({ amount: times(from.amount, times2), unit: from.unit }, 'said');
  const share = new RegExp(String.raw`\b(a third|a quarter|half|(\d+) ?%)\s+(less|more|fewer)\b`, 'i').exec(text);
  if (share) {
    const part = share[2] ? Number(share[2]) / 100 : valueOf(share[1] ?? '');
    const f = share[3]?.toLowerCase() === 'more' ? 1 + part : 1 - part;
    return offer({ amount: times(from.amount, fromNumber(Number(f.toFixed(6)))), unit: from.unit }, 'said');
  }
  const said = new RegExp(`${number}${unit}`, 'i').exec(text);
  if (said) {
    const spoken = said[2] ? unitNamed(said[2]) : from.unit;
    const n = valueOf(said[1] ?? '');
    const sameKind = spoken && unitFacts[spoken].dimension === unitFacts[from.unit].dimension;
    if (spoken && sameKind && n > 0) {
      const after = text.slice(said.index + said[0].length);
      const way = /^\s*(less|fewer|more|extra)\b/i.exec(after)?.[1]?.toLowerCase();
      if (!way) return offer({ amount: fromNumber(n), unit: spoken }, 'said');
      const inOwn = over(times(fromNumber(n), unitFacts[spoken].base), unitFacts[from.unit].base);
      const moved = way === 'more' || way === 'extra' ? plus(from.amount, inOwn) : plus(from.amount, times(inOwn, '-1'));
      return offer({ amount: moved, unit: from.unit }, 'said');
    }
  }
  const way = /\b(less|fewer|reduce)\b/i.test(text) ? 'less' : /\b(more|extra|add)\b/i.test(text) ? 'more' : dish?.[2];
  return way ? offer(nudged(from, way), 'guess') : undefined;
}
