import type { Line, Step, WrittenStep } from '#core/contract';
import { statedMinutes } from '../method/durations.ts';

function needsOf(text: string): Step['needs'] {
  const needs: Step['needs'] = [];
  const temp = /(\d{2,3})\s*°?\s*C\b/i.exec(text);
  const tempC = Number(temp?.[1]);
  if (/\b(oven|bake|roast)\b/i.test(text)) needs.push({ kind: 'oven', ...(tempC > 0 && tempC <= 400 && { tempC }) });
  if (/\b(simmer|boil|fry|sweat|soften|sear|brown|pot|saucepan|pan|hob)\b/i.test(text) && needs.length === 0) needs.push({ kind: 'hob' });
  if (/\b(blend|blitz|pur[ée]e)\b/i.test(text)) needs.push({ kind: 'blender' });
  return needs;
}

function hazardsOf(text: string): Step['hazards'] {
  const hazards: Step['hazards'] = [];
  if (/\b(blend|blitz|pur[ée]e)\b/i.test(text)) hazards.push('hotBlending');
  if (/\b(chicken|turkey|poultry)\b/i.test(text)) hazards.push('rawPoultry');
  if (/\b(kidney beans?|dried beans?)\b/i.test(text)) hazards.push('beans');
  return hazards;
}

/** Words of names that say nothing about which ingredient a step means. */
const commonWords = new Set(['tinned', 'chopped', 'fresh', 'dried', 'ground', 'cooked', 'white', 'plain', 'whole', 'table']);

/** Whether a step's text names a line by a word of its own. */
const names = (text: string, line: Line): boolean => {
  const low = text.toLowerCase();
  return line.name
    .toLowerCase()
    .split(/\s+/)
    .some((word) => word.length > 3 && !commonWords.has(word) && low.includes(word.replace(/(?:oes|es|s)$/, '')));
};

const most = { stepChars: 1200, waitMin: 20_000, handsMin: 600 };

function guessed(id: string, text: string, previous: string | undefined): Step {
  const said = statedMinutes(text);
  return {
    id,
    text: text.slice(0, most.stepChars),
    uses: [],
    needs: needsOf(text),
    // a wait takes a look in; a step that says nothing a few minutes
    handsOnMin: Math.min(most.handsMin, said.hands > 0 ? said.hands : said.wait > 0 ? 3 : 5),
    handsOnPerKgMin: 0,
    waitMin: Math.min(most.waitMin, said.wait),
    hazards: hazardsOf(text),
    after: previous === undefined ? [] : [previous],
    guess: true,
  };
}

/**
 * Steps of their texts: one that was known keeps what was known of it while its text stays; the others are read, in a chain, with guessed minutes
 * (decision 11). A line that no step takes goes into the first that names it.
 * @example stepsOf([{ id: 's1', text: 'Simmer for 20 min.' }], lines)[0]?.waitMin // 20
 */
export function stepsOf(written: readonly WrittenStep[], lines: readonly Line[]): Step[] {
  const texts = written.filter((w) => w.text.trim() !== '');
  const ids = new Set(texts.map((w) => w.id));
  const known = new Set(lines.map((l) => l.id));
  const steps = texts.map((w, i): Step => {
    const previous = texts[i - 1]?.id;
    if (!w.step || w.step.text !== w.text) return guessed(w.id, w.text, previous);
    const after = w.step.after.filter((id) => ids.has(id));
    return {
      ...w.step,
      id: w.id,
      uses: w.step.uses.filter((u) => known.has(u.lineId)),
      // what it waited for has gone: it comes after the one before
      after: after.length === 0 && w.step.after.length > 0 && previous !== undefined ? [previous] : after,
    };
  });
  const used = new Set(steps.flatMap((s) => s.uses.map((u) => u.lineId)));
  for (const line of lines) {
    const step = used.has(line.id) ? undefined : steps.find((s) => names(s.text, line));
    step?.uses.push({ lineId: line.id, share: 1 });
  }
  return steps;
}
