import { Box, Button, Group } from '@mantine/core';
import { useState } from 'react';
import { sayAtHome } from '#core/commands';
import type { Meal } from '#core/contract';
import { countOf, monthsOld, sayDay, sayPortions, shortWeekday } from '#core/kitchen';
import type { KitchenAnswer } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { Pick } from '../form/fields.tsx';

const meals: readonly Meal[] = ['breakfast', 'lunch', 'dinner'];

type Flip = (eaterId: string, day: string, meal: Meal) => void;

/** One meal changed without a mouse: who, which day, which meal. */
function OneMeal({ data, onFlip }: { data: KitchenAnswer; onFlip: Flip }) {
  const { days, present } = data.weeks;
  const [eaterId, setEater] = useState(data.eaters[0]?.id ?? '');
  const [day, setDay] = useState(days[0] ?? '');
  const [meal, setMeal] = useState<Meal>('dinner');
  const eater = data.eaters.find((e) => e.id === eaterId);
  const there = present[eaterId]?.[days.indexOf(day)]?.[meal] ?? false;
  if (!eater) return null;
  return (
    <Group align="flex-end" mt={10}>
      <Pick label="One meal of" value={eaterId} options={data.eaters.map((e) => [e.id, e.name] as const)} onChange={setEater} />
      <Pick label="on" value={day} options={days.map((d) => [d, `${shortWeekday(d)} ${sayDay(d)}`] as const)} onChange={setDay} />
      <Pick label="meal" value={meal} options={meals.map((m) => [m, m] as const)} onChange={setMeal} />
      <Button variant="outline" onClick={() => onFlip(eaterId, day, meal)}>
        {there ? `${eater.name} is not here for it` : `${eater.name} eats here`}
      </Button>
    </Group>
  );
}

/** Four weeks of a household: breakfast, lunch and dinner as rows of plates for each eater, plates at dinner below; a tap lays or clears one. */
export function Weeks({ data }: { data: KitchenAnswer }) {
  const { log } = useCommands();
  const flip: Flip = (eaterId, day, meal) => {
    const eater = data.eaters.find((e) => e.id === eaterId);
    const there = data.weeks.present[eaterId]?.[data.weeks.days.indexOf(day)]?.[meal] ?? false;
    if (!eater) return;
    void log(
      [sayAtHome(eaterId, day, meal, !there, data.tableSeen)],
      `${eater.name} ${there ? 'is not here for' : 'is here for'} ${meal} on ${sayDay(day)}`,
    );
  };
  const { days, present, quarters } = data.weeks;
  const left = 150;
  const step = 33;
  const rowH = 58;
  const w = left + days.length * step;
  const h = 30 + data.eaters.length * rowH + 40;
  return (
    <>
      <Box style={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="Four weeks at the table">
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
                    ? `${e.birthDay ? `${countOf(monthsOld(e.birthDay, days[0] ?? e.birthDay), 'month')}, ` : ''}${countOf(e.baby?.mealsPerDay ?? 0, 'meal')}`
                    : `${e.stage}, eats ${sayPortions(e.appetite)}`}
                  {e.needs.includes('lowSalt') ? ', low salt' : ''}
                </text>
                {days.map((d, i) => {
                  const m = present[e.id]?.[i];
                  return meals.map((meal, k) => (
                    <rect
                      key={d + meal}
                      onClick={() => flip(e.id, d, meal)}
                      style={{ cursor: 'pointer' }}
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
      </Box>
      <OneMeal data={data} onFlip={flip} />
    </>
  );
}
