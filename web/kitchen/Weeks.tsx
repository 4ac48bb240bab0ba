import { monthsOld, sayPortions, shortWeekday } from '#core/kitchen';
import type { KitchenAnswer } from '#core/session';

/** Four weeks of a household: dinner, lunch and breakfast as rows of plates for each eater, mouths at dinner below. */
export function Weeks({ data }: { data: KitchenAnswer }) {
  const { days, present, quarters } = data.weeks;
  const left = 150;
  const step = 33;
  const rowH = 58;
  const w = left + days.length * step;
  const h = 30 + data.eaters.length * rowH + 40;
  return (
    <div style={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="Four weeks at the table">
      <svg
        viewBox={`0 0 ${w} ${h}`}
        width="100%"
        style={{ minWidth: 820, display: 'block' }}
        role="img"
        aria-label={`Four weeks: ${data.eaters.map((e) => `${e.name} at dinner on ${days.filter((_, i) => present[e.id]?.[i]?.dinner).length} of ${days.length} days`).join('; ')}`}
      >
        {days.map((d, i) =>
          i % 7 === 0 ? (
            <g key={d}>
              <path d={`M${left + i * step - 4} 6V${h - 12}`} stroke="var(--line)" strokeWidth="1.5" />
              <text x={left + i * step} y={18} fontSize="14" fill="var(--quiet)">
                {shortWeekday(d)} {Number(d.slice(8))}
              </text>
            </g>
          ) : null,
        )}
        {data.eaters.map((e, r) => {
          const y = 30 + r * rowH;
          return (
            <g key={e.id}>
              <text x="0" y={y + 18} fontSize="17" fontWeight="700" fill="var(--ink)">
                {e.name}
              </text>
              <text x="0" y={y + 36} fontSize="14" fill="var(--quiet)">
                {e.stage === 'baby'
                  ? `${e.birthDay ? `${monthsOld(e.birthDay, days[0] ?? e.birthDay)} months, ` : ''}${e.baby?.mealsPerDay ?? 0} meals`
                  : `${e.stage}, eats ${sayPortions(Math.round(e.appetite * 4) / 4)}`}
                {e.needs.includes('lowSalt') ? ', low salt' : ''}
              </text>
              {days.map((d, i) => {
                const m = present[e.id]?.[i];
                return (['breakfast', 'lunch', 'dinner'] as const).map((meal, k) => (
                  <rect
                    key={d + meal}
                    x={left + i * step}
                    y={y + 2 + k * 15}
                    width="26"
                    height="11"
                    rx="5.500"
                    fill={m?.[meal] ? (e.stage === 'baby' ? 'var(--plum)' : 'var(--rim)') : 'var(--card)'}
                    stroke={m?.[meal] ? 'none' : 'var(--line)'}
                    strokeWidth="1.5"
                    opacity={m?.[meal] && meal !== 'dinner' ? 0.5 : 1}
                  />
                ));
              })}
            </g>
          );
        })}
        <path d={`M0 ${h - 38}H${w}`} stroke="var(--kind-bread)" strokeWidth="3" />
        <text x="0" y={h - 14} fontSize="15" fontWeight="700" fill="var(--ink)">
          plates at dinner
        </text>
        {quarters.map((q, i) => (
          <text
            key={days[i]}
            x={left + i * step + 13}
            y={h - 14}
            fontSize="15"
            fontWeight="700"
            textAnchor="middle"
            fill={q === 0 ? 'var(--tomato)' : 'var(--ink)'}
          >
            {sayPortions(q / 4)}
          </text>
        ))}
      </svg>
    </div>
  );
}
