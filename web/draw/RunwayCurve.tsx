import { VisuallyHidden } from '@mantine/core';
import { sayDay } from '#core/kitchen';
import type { Supply } from '#core/session';

const w = 330;
const h = 124;
const base = 92;

/** What is left over the days: the middle of what may come, and the band from its 10 to its 90 % quantile; with the stock to keep and the day to cook by. */
export function RunwayCurve({ supply, today }: { supply: Supply; today: string }) {
  const r = supply.runway;
  const points = r.points;
  if (points.length < 2 || r.left <= 0) return null;
  const t0 = Date.parse(points[0]?.day ?? today);
  const t1 = Date.parse(points[points.length - 1]?.day ?? today);
  const x = (day: string): number => ((Date.parse(day) - t0) / Math.max(1, t1 - t0)) * w;
  const y = (n: number): number => base - (n / r.left) * (base - 8);
  const line = (pick: 'low' | 'middle' | 'high'): string =>
    points.map((p, i) => `${i === 0 ? 'M' : 'L'}${x(p.day).toFixed(1)} ${y(p[pick]).toFixed(1)}`).join('');
  const band = `${line('high')}${[...points]
    .reverse()
    .map((p) => `L${x(p.day).toFixed(1)} ${y(p.low).toFixed(1)}`)
    .join('')}Z`;
  const par = r.parPortions > 0 && r.parPortions < r.left ? y(r.parPortions) : undefined;
  const cookX = r.cookBy !== undefined && r.cookBy >= today ? x(r.cookBy) : undefined;
  const cookPoint = r.cookBy !== undefined ? points.findLast((p) => p.day <= (r.cookBy ?? '')) : undefined;
  return (
    <figure style={{ margin: 0 }}>
      <svg width="100%" viewBox={`0 0 ${w} ${h}`} role="img" aria-label={`${supply.unit} ${supply.says}`}>
        <path d={`M0 ${base}H${w}`} stroke="var(--line)" />
        <path d={band} fill="var(--frost)" />
        <path d={line('middle')} fill="none" stroke="var(--rim)" strokeWidth="2.5" />
        {par !== undefined && (
          <>
            <path d={`M0 ${par}H${w}`} stroke="var(--saffron-fill)" strokeDasharray="4 4" />
            <text x={w} y={par - 4} textAnchor="end" fontSize="13" fill="var(--saffron)">
              a week in hand
            </text>
          </>
        )}
        {cookX !== undefined && cookPoint && (
          <>
            <path d={`M${cookX} ${y(cookPoint.middle)}V${base}`} stroke="var(--saffron-fill)" strokeWidth="1.5" strokeDasharray="2 3" />
            <circle cx={cookX} cy={y(cookPoint.middle)} r="5" fill="var(--saffron-fill)" stroke="var(--ink)" />
          </>
        )}
        <text x="0" y={h - 10} fontSize="13" fill="var(--quiet)">
          today
        </text>
        {cookX !== undefined && r.cookBy && (
          <text x={Math.min(Math.max(cookX, 70), w - 70)} y={h - 10} textAnchor="middle" fontSize="14" fontWeight="600" fill="var(--ink)">
            cook by {sayDay(r.cookBy)}
          </text>
        )}
        <text x={w} y={h - 10} textAnchor="end" fontSize="13" fill="var(--quiet)">
          {sayDay(points[points.length - 1]?.day ?? today)}
        </text>
      </svg>
      <VisuallyHidden>
        <table>
          <caption>{supply.unit} left by day</caption>
          <tbody>
            {points
              .filter((_, i) => i % 7 === 0)
              .map((p) => (
                <tr key={p.day}>
                  <th>{p.day}</th>
                  <td>
                    {p.low} to {p.high}, middle {p.middle}
                  </td>
                </tr>
              ))}
          </tbody>
        </table>
      </VisuallyHidden>
    </figure>
  );
}
