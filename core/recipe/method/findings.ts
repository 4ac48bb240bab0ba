import type { Line } from '#core/contract';
import { toNumber, unitFacts, type IngredientFinder } from '#core/kitchen';
import { sameStem } from './language.ts';
import { groupOf, mentionsIn } from './foods.ts';
import { isProduct } from './results.ts';
import { readMeasure } from '../text/measure.ts';
import type { Understood } from './understand.ts';

/** Something a method and its list leave open against each other, with where. An offer is no fault: tap water, salt to taste, what is served beside. */
export type MethodFinding =
  | { finding: 'unused'; line: Line; likeliest?: number; offer?: true }
  | { finding: 'unlisted'; step: number; name: string; amount?: string; offer?: true }
  | { finding: 'twice'; line: Line; step: number; first: string; second: string; offer?: true }
  | { finding: 'sharesOver'; line: Line; total: number; offer?: true }
  | { finding: 'circle'; steps: number[]; offer?: true }
  | { finding: 'neverMade'; step: number; name: string; offer?: true };

/** Never missed on a list: it comes from the tap, or everybody has it and sees what it needs. */
const offered = new Set(['water', 'salt_table', 'salt_sea_fine', 'salt_flake', 'pepper_black']);
/** Words of the food table that are tools, results or ways too. */
const notFoods =
  /^(?:date|base|mix|rice paper|cloves?|sheet|stock|sauce|paste|batter|dough|bread|roll|dip|filling|leaf|leaves|seed|bean|pea|meat|fish|fruit|vegetable|herb|spice|cheese|spread|ice|salsa|wrap|peel|skin|bone|oil bath|crisp|season|time|must|juice|squash|curd|fat|mint green|top)s?$/iu;

const stop =
  /^(?:and|or|of|with|in|the|a|an|to|for|on|at|by|from|into|over|tbsp|tsp|clove|cloves|sprigs?|knob|pinch|splash|handful|bunch|little|bit|some|more|hot|cold|it|them|g|kg|ml|l|cups?|spoons?|two|three|one|four|und|mit|im|et|de|la|le|les|y|con|e|di|until|then|rounds?|is|are|about|cm|mm|min|minutes?|hours?|h)$/iu;

/** Foods of the table that a step names and nobody lists. */
function unlisted(read: Understood, finder: IngredientFinder): MethodFinding[] {
  const found: MethodFinding[] = [];
  const seen = new Set<string>();
  read.pieces.forEach((p, step) => {
    for (const s of p.segments) {
      const named = mentionsIn(s.tokens, read.lines, s.verbs);
      for (let i = 0; i < s.tokens.length; i += 1) {
        if (s.verbs.has(i) || s.quiet.has(i) || named.some((m) => i >= m.from && i <= m.to)) continue;
        for (let n = 3; n >= 1; n -= 1) {
          const span = s.tokens.slice(i, i + n);
          if (span.length < n || span.slice(1).some((t) => t.before !== 'space') || span.some((_t, k) => s.verbs.has(i + k))) continue;
          if (named.some((m) => m.from < i + n && m.to >= i)) continue;
          if (span.some((t) => stop.test(t.word) || /^\d/.test(t.word))) continue;
          // “for the hummus, …” names the part that follows
          if (i === 2 && s.first && /^(?:for|für|pour|para|per)$/.test(s.tokens[0]!.word)) continue;
          const name = span.map((t) => t.word).join(' ');
          if (notFoods.test(name) || (n === 1 && (isProduct(span[0]!.stem) || groupOf(s.tokens, i, read.lines)))) continue;
          const row = /^[\d¼-¾]/.test(name) ? undefined : finder.match(name);
          if (!row || !span.some((t) => t.word.length > 2)) continue;
          // another name of what is listed, or part of it
          const covered = read.lines.some(
            (l) => l.row?.id === row.id || l.names.some((x) => x.some((w) => span.some((t) => sameStem(w, t.stem)))),
          );
          if (covered || seen.has(row.id) || row.id === 'ice') break;
          const before = s.tokens[i - 1]?.word ?? '';
          if (
            /^(?:no|without|not|ohne|sans|sin|senza|like|of|boiling|iced?|soaking|cooking)$/.test(before) &&
            !/^(?:cloves?|tbsp|tsp|spoons?|spoonfuls?|knob|pinch|splash|g|ml|glass|cup|handful|bunch|tin|can|sprigs?)$/.test(
              s.tokens[i - 2]?.word ?? '',
            )
          )
            break;
          seen.add(row.id);
          const from = s.tokens[Math.max(0, i - 4)]!.at;
          const amount = /((?:\d+[\d.,/]*|[¼-¾]|a|an|one|two|three|four|half a)\s+(?:\d+\/\d+ )?[\p{L}]+)(?: of)?(?: the)?\s*$/iu.exec(
            p.text.slice(Math.max(0, from - p.at), span[0]!.at - p.at),
          )?.[1];
          const unit = amount === undefined ? undefined : readMeasure(`${amount} x`)?.unit;
          const offer =
            offered.has(row.id) ||
            p.serve ||
            (row.id.startsWith('oil') && p.kind === 'fill') ||
            /\b(?:if you (?:like|have)|optional|or)\b/iu.test(
              p.text.slice(Math.max(0, span[0]!.at - p.at - 20), span.at(-1)!.end - p.at + 20),
            );
          found.push({
            finding: 'unlisted',
            step,
            name,
            ...(amount !== undefined && unit !== undefined && { amount }),
            ...(offer && { offer: true as const }),
          });
          i += n - 1;
          break;
        }
      }
    }
  });
  return found;
}

const sayAmount = (line: Line): string =>
  `${line.amount === undefined ? '' : Number(toNumber(line.amount).toFixed(2))} ${line.unit && line.unit !== 'piece' ? line.unit : ''}`.trim();

/**
 * Listed but in no step, in a step but not listed, two amounts, shares over one, a circle.
 * Law: every line is in at least one step or told as unused.
 * @example methodFindings(understand(paragraphs, lines), finder)[0]?.finding // 'unused'
 */
export function methodFindings(read: Understood, finder?: IngredientFinder): MethodFinding[] {
  const found: MethodFinding[] = [];
  if (read.steps.length === 0) return found;
  for (const { line } of read.lines) {
    if (line.moment !== 'batch' || read.steps.some((s) => s.uses.some((u) => u.line === line))) continue;
    const likeliest = read.steps.findIndex((s) => s.moment === 'batch' && s.kind !== 'preheat' && s.kind !== 'cut');
    found.push({ finding: 'unused', line, ...(likeliest >= 0 && { likeliest }) });
  }
  for (const { line } of read.lines) {
    const said = read.steps.flatMap((s, step) => s.amounts.filter((a) => a.line === line).map((a) => ({ ...a, step })));
    if (said.length === 0) continue;
    const total = said.reduce((sum, a) => sum + a.share, 0);
    const cooks = line.unit !== undefined && ['mass', 'volume'].includes(unitFacts[line.unit].dimension);
    if (said.length === 1 && total > 1 + (cooks ? 0.25 : 0.25))
      found.push({ finding: 'twice', line, step: said[0]!.step, first: sayAmount(line), second: said[0]!.said });
    else if (total > 1.05 && said.length > 1) found.push({ finding: 'sharesOver', line, total });
    else if (said.length === 1 && total < 0.75) {
      // less than listed, and nobody says where the rest goes
      const others = read.steps.some((s, i) => i !== said[0]!.step && s.uses.some((u) => u.line === line));
      if (!others) found.push({ finding: 'twice', line, step: said[0]!.step, first: sayAmount(line), second: said[0]!.said });
    }
  }
  if (read.circle.length > 0) found.push({ finding: 'circle', steps: read.circle });
  if (finder) found.push(...unlisted(read, finder));
  return found;
}
