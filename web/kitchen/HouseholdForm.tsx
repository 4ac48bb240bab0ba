import { Card, Group, Text, Title } from '@mantine/core';
import { householdSchema, type Household } from '#core/contract';
import { Field, ListField, Pick } from '../form/fields.tsx';
import { FormBody } from '../form/FormSheet.tsx';
import { useContractForm } from '../form/useContractForm.ts';
import { useCommands } from '../sync/commands.ts';

const countries = [
  ['GB', 'United Kingdom'],
  ['US', 'United States'],
  ['EU', 'European Union'],
] as const;

const units = [
  ['metric', 'grams and litres'],
  ['us', 'US cups and pounds'],
  ['uk', 'pounds and pints'],
] as const;

const steps = [
  ['1', 'whole grams'],
  ['0.1', 'tenths of a gram'],
] as const;

const lives = [
  ['usual', 'usual for the country'],
  ['cautious', 'the shorter of UK and US'],
] as const;

const asks = [
  ['yes', 'each evening'],
  ['no', 'never'],
] as const;

/** Settings that move numbers everywhere: country, hours, stock to keep. */
export function HouseholdForm({ household }: { household: Household }) {
  const { write } = useCommands();
  const form = useContractForm({
    schema: householdSchema,
    was: household,
    blank: { reminders: { askDinner: true } },
    draftKey: 'household',
    name: () => 'Household settings',
    path: '/kitchen?tab=household',
    together: (h) => (/^[A-Z]{3}$/.test(h.currency) ? undefined : { currency: 'three letters, such as GBP' }),
    onKeep: (data, was) => {
      void write([{ table: 'household', id: 'household', data, was }], 'Household settings kept');
      form.drop();
    },
  });
  const { values, field, set } = form;
  return (
    <Card maw={860} aria-label="Household">
      <Title order={2}>Household</Title>
      <FormBody form={form}>
        <Group align="flex-start">
          <Field label="Name" {...field('name')} />
          <Pick label="Country" options={countries} {...field('country')} />
          <Pick label="Measures" options={units} {...field('units')} />
          <Pick label="Scale shows" options={steps} {...field('scaleStepG')} />
          <Field label="Currency" width={110} {...field('currency')} onChange={(text) => set({ currency: text.toUpperCase() })} />
          <Pick
            label="Dates and numbers"
            options={[...new Set(['en-GB', 'en-US', 'en-IE', household.locale])].map((x) => [x, x] as const)}
            {...field('locale')}
          />
          <Field label="Time zone" width={190} {...field('timeZone')} />
        </Group>
        <Group align="flex-start">
          <Pick label="Fridge lives" options={lives} {...field('lives')} />
          <Field label="Dinner at" width={130} {...field('dinnerAt')} />
          <ListField label="Pack sizes liked" unit="portions" width={190} {...field('groupSizes')} />
        </Group>
        <Group align="flex-start">
          <Field label="Dinners to keep in hand" width={230} {...field('parDays')} />
          <Field label="Broth a week" width={230} {...field('brothPacksPerWeek')} unit="packs of 500 ml" />
        </Group>
        <div>
          <Title order={3} mb={8}>
            Reminders on Today
          </Title>
          <Group align="flex-start">
            <Field label="Cook again" width={180} {...field('leadDays')} unit="days’ notice" />
            <Field label="Take out at" width={180} {...field('reminders.takeOutAt')} unit={`or ${values.dinnerAt}`} />
            <Pick
              label="Ask if dinner was as planned"
              options={asks}
              value={values.reminders.askDinner ? 'yes' : 'no'}
              onChange={(ask) => set({ reminders: { ...values.reminders, askDinner: ask === 'yes' } })}
            />
            {values.reminders.askDinner && (
              <Field label="Ask from" width={170} {...field('reminders.askDinnerAt')} unit={`or ${values.dinnerAt}`} />
            )}
          </Group>
          <Text inherit c="dimmed" mt={8}>
            A pack leaves the freezer the last time that hour leaves its thaw hours before dinner. Without the question, what was planned
            counts as probably eaten until you say so.
          </Text>
        </div>
        <Field label="Address that a label’s code opens, if phones reach Tambo by one" {...field('address')} />
      </FormBody>
    </Card>
  );
}
