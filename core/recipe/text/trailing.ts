import type { Unit } from '#core/contract';
import { readUnit } from './words.ts';

/** What a count word after the food is a unit of: `4 celery sticks`; a bay leaf, a stock cube and a fish ball are foods. */
const trailing: ReadonlySet<Unit> = new Set<Unit>([
  'clove',
  'stick',
  'stalk',
  'rib',
  'slice',
  'rasher',
  'sprig',
  'head',
  'bulb',
  'fillet',
  'sheet',
  'pod',
  'ear',
  'floret',
]);
const herbLeaves =
  /^(?:fresh )?(?:basil|sage|mint|coriander|parsley|thyme|oregano|tarragon|rocket|lettuce|cabbage|cavolo nero|chard|gelatine|mint)$/i;

/**
 * A count word after the food, for what was only counted so far.
 * @example trailingUnit('celery sticks') // { unit: 'stick', name: 'celery' }
 */
export function trailingUnit(name: string): { unit: Unit; name: string } | undefined {
  const german = /^(.+?)(zehen?|stangen?)$/iu.exec(name);
  if (german?.[1] && german[2] && /^(?:knoblauch|lauch|sellerie|zimt)$/i.test(german[1]))
    return { unit: /^zehe/i.test(german[2]) ? 'clove' : 'stalk', name: german[1] };
  const m = /^(.+?)\s+(\p{L}+)$/u.exec(name);
  if (!m?.[1] || !m[2]) return undefined;
  const unit = readUnit(`${m[2]} `)?.unit;
  if (unit === 'leaf' && herbLeaves.test(m[1])) return { unit, name: m[1] };
  return unit && trailing.has(unit) ? { unit, name: m[1] } : undefined;
}
