import { Button, Checkbox, Group, Table, Text } from '@mantine/core';
import { useState } from 'react';
import { eaterSchema, type Eater, type Meal } from '#core/contract';
import { appetitesOf, countOf, listOf } from '#core/kitchen';
import type { KitchenAnswer } from '#core/queries';
import { Chips, Field, FieldGroup, Pick, Toggle } from '../form/fields.tsx';
import { FormSheet } from '../form/FormSheet.tsx';
import { useFrameQuery } from '../sync/api.ts';
import { AllergenChips } from '../form/AllergenChips.tsx';
import { Asks } from '../ui/Asks.tsx';
import { DayField } from '../ui/DayField.tsx';
import { AwayDays } from './AwayDays.tsx';
import { babyMeals, newEater, weekDays } from './newEater.ts';
import { useDocumentForm } from './useDocumentForm.ts';

const mealNames: readonly Meal[] = ['breakfast', 'lunch', 'dinner'];

const stages = eaterSchema.shape.stage.options.toReversed().map((s) => [s, s] as const);

const needs = [
  ['lowSalt', 'low salt'],
  ['vegetarian', 'vegetarian'],
  ['noPork', 'no pork'],
] as const;

const noRota = { firstDay: '', daysOn: '', daysOff: '' };

/** Which meals on which days of the week. */
function Week({ value, onChange }: { value: Eater['presence']['weekly']; onChange: (week: Eater['presence']['weekly']) => void }) {
  return (
    <Table w="auto">
      <Table.Thead>
        <Table.Tr>
          <Table.Th />
          {weekDays.map((d) => (
            <Table.Th key={d} tt="capitalize">
              {d}
            </Table.Th>
          ))}
        </Table.Tr>
      </Table.Thead>
      <Table.Tbody>
        {mealNames.map((m) => (
          <Table.Tr key={m}>
            <Table.Td>{m}</Table.Td>
            {weekDays.map((d) => {
              const there = value[d] ?? [];
              const on = there.includes(m);
              return (
                <Table.Td p={4} key={d}>
                  <Checkbox
                    aria-label={`${m} on ${d}`}
                    checked={on}
                    onChange={() => onChange({ ...value, [d]: on ? there.filter((x) => x !== m) : [...there, m] })}
                  />
                </Table.Td>
              );
            })}
          </Table.Tr>
        ))}
      </Table.Tbody>
    </Table>
  );
}

/** Who eats: appetite, what they must not eat, which meals on which days, a rota. */
export function EaterForm({ eater, data, onClose }: { eater: Eater | undefined; data: KitchenAnswer; onClose: () => void }) {
  const { figures, allergenNames } = data;
  const meals = (eater ? (data.weeks.present[eater.id] ?? []) : []).reduce((s, d) => s + Object.values(d).filter(Boolean).length, 0);
  const today = useFrameQuery().data?.today ?? '2026-01-01';
  const [asking, setAsking] = useState<{ go: () => void }>();
  const [fresh] = useState(() => newEater(figures));
  const { form, remove } = useDocumentForm({
    table: 'eater',
    tab: 'eaters',
    schema: eaterSchema,
    stored: eater,
    blank: () => ({ ...fresh, baby: babyMeals }),
    finish: ({ baby, birthDay, ...e }) => ({ ...e, ...(e.stage === 'baby' && { baby, ...(birthDay && { birthDay }) }) }),
    says: (e) => `${e.name} is at the table`,
    goneSays: (name) => `${name} is taken off the table`,
    first: (after, go) => {
      if (after !== null) go();
      else setAsking({ go });
    },
    onClose,
  });
  const { values, field, set } = form;
  const { presence } = values;
  const onRota = Object.values(presence.rota).some((v) => v !== '');
  const setPresence = (next: Partial<typeof presence>): void => set({ presence: { ...presence, ...next } });
  const baby = values.stage === 'baby';
  if (asking && eater)
    return (
      <Asks title={`${eater.name} leaves the table`} onLeave={() => setAsking(undefined)}>
        <Text mb={12}>
          {meals === 0
            ? 'No meal of the next four weeks is counted for them'
            : `${countOf(meals, 'meal')} of the next four weeks are no longer counted`}
          {eater.allergens.length > 0
            ? `, and nothing is checked any more for ${listOf(eater.allergens.map((a) => allergenNames[a] ?? a))}`
            : ''}
          . What they ate and liked stays in History. Away for a while only? Say it under “Away” instead. They come back whole from Taken
          away.
        </Text>
        <Button onClick={asking.go}>Take {eater.name} off the table</Button>
      </Asks>
    );
  return (
    <FormSheet form={form} title={eater?.name ?? 'Who eats?'} onClose={onClose} onRemove={remove}>
      <Group align="flex-start">
        <Field label="Name" {...field('name')} />
        <Pick
          label="Stage"
          options={stages}
          value={values.stage as Eater['stage']}
          onChange={(stage) => set({ stage, appetite: String(appetitesOf(figures)[stage]) })}
        />
        {baby ? (
          <>
            <DayField label="Born" year="last" {...field('birthDay')} />
            <Field label="Meals a day" width={120} {...field('baby.mealsPerDay')} />
            <Field label="Cubes a meal" width={120} {...field('baby.cubesPerMeal')} />
          </>
        ) : (
          <Field label="Appetite" width={140} {...field('appetite')} />
        )}
      </Group>
      <FieldGroup label="At the table">
        <Week
          value={presence.weekly as Eater['presence']['weekly']}
          onChange={(weekly) => setPresence({ weekly: weekly as typeof presence.weekly })}
        />
      </FieldGroup>
      <div>
        <Toggle value={onRota} onChange={(on) => setPresence({ rota: on ? { firstDay: today, daysOn: '14', daysOff: '14' } : noRota })}>
          Works a rota
        </Toggle>
        {onRota && (
          <Group mt={8} align="flex-start">
            <DayField label="First day away" {...field('presence.rota.firstDay')} />
            <Field label="Away" width={120} {...field('presence.rota.daysOn')} />
            <Field label="Home" width={120} {...field('presence.rota.daysOff')} />
          </Group>
        )}
      </div>
      <AwayDays away={presence.away} today={today} onChange={(away) => setPresence({ away })} />
      <FieldGroup label="Must not eat">
        <AllergenChips label="Must not eat" {...field('allergens')} />
      </FieldGroup>
      <Chips label="Needs" hidden options={needs} value={values.needs as Eater['needs']} onChange={(list) => set({ needs: list })} />
    </FormSheet>
  );
}
