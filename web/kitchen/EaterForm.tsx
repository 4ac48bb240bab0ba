import { Checkbox, Group, Table, Text } from '@mantine/core';
import { useState } from 'react';
import type { Eater, Meal } from '#core/contract';
import { useFrameQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { AwayDays } from './AwayDays.tsx';
import { AllergenChips } from '../ui/AllergenChips.tsx';
import { Field, numberOf, Pick, Sheet, Toggle } from './fields.tsx';
import { appetites, babyMeals, newEater, weekDays } from './newEater.ts';
import { DayField } from '../ui/DayField.tsx';

const meals: readonly Meal[] = ['breakfast', 'lunch', 'dinner'];

const stages = [
  ['adult', 'adult'],
  ['elder', 'elder'],
  ['child', 'child'],
  ['toddler', 'toddler'],
  ['baby', 'baby'],
] as const;

/** Who eats: appetite, what they must not eat, which meals on which days, a rota. */
export function EaterForm({ eater, onClose }: { eater: Eater | undefined; onClose: () => void }) {
  const { write } = useCommands();
  const today = useFrameQuery().data?.today ?? '2026-01-01';
  const [was] = useState(eater ?? null);
  const [e, setE] = useState<Eater>(eater ?? newEater());
  const [appetite, setAppetite] = useState(String(e.appetite));
  const [rota, setRota] = useState({
    first: e.presence.rota?.firstDay ?? today,
    on: String(e.presence.rota?.daysOn ?? 14),
    off: String(e.presence.rota?.daysOff ?? 14),
  });
  const [onRota, setOnRota] = useState(Boolean(e.presence.rota));
  const a = numberOf(appetite);
  const on = numberOf(rota.on);
  const off = numberOf(rota.off);
  const problems = [
    ...(e.name.trim() ? [] : ['Give a name.']),
    ...(a !== undefined && a >= 0.1 && a <= 3 ? [] : ['An appetite lies between 0.1 and 3 plates.']),
    ...(!onRota || (on !== undefined && off !== undefined && Number.isInteger(on) && Number.isInteger(off) && on > 0 && off > 0)
      ? []
      : ['A rota has whole days away and home.']),
  ];
  const toggleMeal = (d: (typeof weekDays)[number], m: Meal): void => {
    const now = e.presence.weekly[d] ?? [];
    setE({
      ...e,
      presence: { ...e.presence, weekly: { ...e.presence.weekly, [d]: now.includes(m) ? now.filter((x) => x !== m) : [...now, m] } },
    });
  };
  const save = (): void => {
    const { rota: _rota, ...presence } = e.presence;
    const { baby, ...rest } = e;
    const data: Eater = {
      ...rest,
      name: e.name.trim(),
      appetite: a ?? 1,
      presence: { ...presence, ...(onRota && { rota: { firstDay: rota.first, daysOn: on ?? 14, daysOff: off ?? 14 } }) },
      ...(e.stage === 'baby' && { baby: baby ?? babyMeals }),
    };
    void write([{ table: 'eater', id: e.id, data, was }], `${data.name} is at the table`);
    onClose();
  };
  return (
    <Sheet
      title={eater ? e.name : 'Who eats?'}
      problems={problems}
      onSave={save}
      onClose={onClose}
      onRemove={
        eater &&
        (() => {
          void write([{ table: 'eater', id: e.id, data: null, was }], `${e.name} is taken off the table`);
          onClose();
        })
      }
    >
      <Group align="flex-start">
        <Field label="Name" value={e.name} onChange={(name) => setE({ ...e, name })} />
        <Pick
          label="Stage"
          value={e.stage}
          options={stages}
          onChange={(stage) => {
            setE({ ...e, stage });
            setAppetite(String(appetites[stage]));
          }}
        />
        {e.stage !== 'baby' && <Field label="Appetite" unit="plates" type="number" width={110} value={appetite} onChange={setAppetite} />}
        {e.stage === 'baby' && (
          <>
            <DayField
              label="Born"
              year="last"
              value={e.birthDay ?? ''}
              onChange={(birthDay) => setE({ ...e, ...(birthDay && { birthDay }) })}
            />
            <Field
              label="Meals a day"
              type="number"
              width={110}
              value={String(e.baby?.mealsPerDay ?? 2)}
              onChange={(v) =>
                setE({
                  ...e,
                  baby: { mealsPerDay: Math.min(6, Math.max(1, Math.round(numberOf(v) ?? 2))), cubesPerMeal: e.baby?.cubesPerMeal ?? 3 },
                })
              }
            />
            <Field
              label="Cubes a meal"
              type="number"
              width={110}
              value={String(e.baby?.cubesPerMeal ?? 3)}
              onChange={(v) =>
                setE({
                  ...e,
                  baby: { mealsPerDay: e.baby?.mealsPerDay ?? 2, cubesPerMeal: Math.min(12, Math.max(1, Math.round(numberOf(v) ?? 3))) },
                })
              }
            />
          </>
        )}
      </Group>
      <div>
        <Text fz={15} fw={600} mb={3}>
          At the table
        </Text>
        <Table w="auto">
          <Table.Thead>
            <Table.Tr>
              <Table.Th />
              <Table.Th>Mon</Table.Th>
              <Table.Th>Tue</Table.Th>
              <Table.Th>Wed</Table.Th>
              <Table.Th>Thu</Table.Th>
              <Table.Th>Fri</Table.Th>
              <Table.Th>Sat</Table.Th>
              <Table.Th>Sun</Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {meals.map((m) => (
              <Table.Tr key={m}>
                <Table.Td>{m}</Table.Td>
                {weekDays.map((d) => {
                  const is = e.presence.weekly[d]?.includes(m) ?? false;
                  return (
                    <Table.Td p={4} key={d}>
                      <Checkbox aria-label={`${m} on ${d}`} checked={is} onChange={() => toggleMeal(d, m)} />
                    </Table.Td>
                  );
                })}
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      </div>
      <div>
        <Toggle on={onRota} onChange={setOnRota}>
          Works a rota
        </Toggle>
        {onRota && (
          <Group mt={8}>
            <DayField label="First day away" value={rota.first} onChange={(first) => setRota({ ...rota, first })} />
            <Field label="Days away" type="number" width={100} value={rota.on} onChange={(v) => setRota({ ...rota, on: v })} />
            <Field label="Days home" type="number" width={100} value={rota.off} onChange={(v) => setRota({ ...rota, off: v })} />
          </Group>
        )}
      </div>
      <AwayDays away={e.presence.away} today={today} onChange={(away) => setE({ ...e, presence: { ...e.presence, away } })} />
      <div>
        <Text fz={15} fw={600} mb={3}>
          Must not eat
        </Text>
        <AllergenChips label="Must not eat" value={e.allergens} onChange={(allergens) => setE({ ...e, allergens })} />
      </div>
      <Group gap={8} className="chips">
        <Toggle
          on={e.needs.includes('lowSalt')}
          onChange={(yes) => setE({ ...e, needs: yes ? [...e.needs, 'lowSalt'] : e.needs.filter((n) => n !== 'lowSalt') })}
        >
          low salt
        </Toggle>
        <Toggle
          on={e.needs.includes('vegetarian')}
          onChange={(yes) => setE({ ...e, needs: yes ? [...e.needs, 'vegetarian'] : e.needs.filter((n) => n !== 'vegetarian') })}
        >
          vegetarian
        </Toggle>
        <Toggle
          on={e.needs.includes('noPork')}
          onChange={(yes) => setE({ ...e, needs: yes ? [...e.needs, 'noPork'] : e.needs.filter((n) => n !== 'noPork') })}
        >
          no pork
        </Toggle>
      </Group>
    </Sheet>
  );
}
