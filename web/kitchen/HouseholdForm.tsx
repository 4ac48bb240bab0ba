import { Button, Card, Group, Stack, Text, Title } from '@mantine/core';
import { useState } from 'react';
import type { Household } from '#core/contract';
import { useCommands } from '../sync/commands.ts';
import { Field, numberOf, Pick } from './fields.tsx';
import { Note } from '../ui/Note.tsx';

/** Settings that move numbers everywhere: country, hours, stock to keep. */
export function HouseholdForm({ household }: { household: Household }) {
  const { write } = useCommands();
  const [h, setH] = useState(household);
  const [was] = useState(household);
  const [t, setT] = useState({
    par: String(h.parDays),
    lead: String(h.leadDays),
    broth: String(h.brothPacksPerWeek),
    groups: h.groupSizes.join(', '),
    address: h.address ?? '',
    takeOut: h.reminders?.takeOutAt ?? '',
    ask: h.reminders?.askDinnerAt ?? '',
  });
  const [asks, setAsks] = useState<'yes' | 'no'>(h.reminders?.askDinner === false ? 'no' : 'yes');
  const par = numberOf(t.par);
  const lead = numberOf(t.lead);
  const broth = numberOf(t.broth);
  const groups = t.groups
    .split(',')
    .map((g) => Number(g.trim()))
    .filter((g) => Number.isInteger(g) && g > 0 && g <= 12);
  const whole = (n: number | undefined, most: number): boolean => n !== undefined && Number.isInteger(n) && n >= 0 && n <= most;
  const isClock = (text: string): boolean => /^([01]\d|2[0-3]):[0-5]\d$/.test(text);
  const problems = [
    ...(h.name.trim() ? [] : ['Give the household a name.']),
    ...(/^[A-Z]{3}$/.test(h.currency) ? [] : ['A currency has three letters, such as GBP.']),
    ...(whole(par, 60) ? [] : ['Days to keep in hand: a whole number up to 60.']),
    ...(whole(lead, 30) ? [] : ['Days of notice: a whole number up to 30.']),
    ...(broth !== undefined && broth >= 0 && broth <= 50 ? [] : ['Broth a week: 0 to 50.']),
    ...(isClock(h.dinnerAt) ? [] : ['Dinner at: hours and minutes, such as 18:30.']),
    ...([t.takeOut, t.ask].every((x) => x.trim() === '' || isClock(x.trim()))
      ? []
      : ['Reminders: hours and minutes, such as 20:00, or nothing to go by dinner.']),
    ...(groups.length > 0 ? [] : ['Pack sizes: whole portions, such as 2, 1.']),
  ];
  const save = (): void => {
    const { address: _a, reminders: _r, ...rest } = h;
    void write(
      [
        {
          table: 'household',
          id: 'household',
          data: {
            ...rest,
            name: h.name.trim(),
            parDays: par ?? 7,
            leadDays: lead ?? 3,
            brothPacksPerWeek: broth ?? 0,
            groupSizes: groups,
            ...(t.address.trim() && { address: t.address.trim() }),
            reminders: {
              ...(t.takeOut.trim() && { takeOutAt: t.takeOut.trim() }),
              askDinner: asks === 'yes',
              ...(t.ask.trim() && { askDinnerAt: t.ask.trim() }),
            },
          },
          was,
        },
      ],
      'Household settings kept',
    );
  };
  return (
    <Card maw={860} aria-label="Household">
      <h2>Household</h2>
      <Stack>
        <Group align="flex-start">
          <Field label="Name" value={h.name} onChange={(name) => setH({ ...h, name })} />
          <Pick
            label="Country"
            value={h.country}
            options={[
              ['GB', 'United Kingdom'],
              ['US', 'United States'],
              ['EU', 'European Union'],
            ]}
            onChange={(country) => setH({ ...h, country })}
          />
          <Pick
            label="Measures"
            value={h.units}
            options={[
              ['metric', 'grams and litres'],
              ['us', 'US cups and pounds'],
              ['uk', 'pounds and pints'],
            ]}
            onChange={(units) => setH({ ...h, units })}
          />
          <Pick
            label="Scale shows"
            value={String(h.scaleStepG) as '1' | '0.1'}
            options={[
              ['1', 'whole grams'],
              ['0.1', 'tenths of a gram'],
            ]}
            onChange={(s) => setH({ ...h, scaleStepG: s === '0.1' ? 0.1 : 1 })}
          />
          <Field label="Currency" width={90} value={h.currency} onChange={(currency) => setH({ ...h, currency: currency.toUpperCase() })} />
          <Pick
            label="Dates and numbers"
            value={h.locale}
            options={[...new Set(['en-GB', 'en-US', 'en-IE', h.locale])].map((x) => [x, x] as const)}
            onChange={(locale) => setH({ ...h, locale })}
          />
          <Field label="Time zone" width={190} value={h.timeZone} onChange={(timeZone) => setH({ ...h, timeZone })} />
        </Group>
        <Group align="flex-start">
          <Pick
            label="Fridge lives"
            value={h.lives}
            options={[
              ['usual', 'usual for the country'],
              ['cautious', 'the shorter of UK and US'],
            ]}
            onChange={(lives) => setH({ ...h, lives })}
          />
          <Field label="Dinner at" width={110} value={h.dinnerAt} onChange={(dinnerAt) => setH({ ...h, dinnerAt })} />
          <Field label="Pack sizes liked" unit="portions" width={170} value={t.groups} onChange={(v) => setT({ ...t, groups: v })} />
        </Group>
        <Group align="flex-start">
          <Field
            label="Dinners to keep in hand"
            unit="days"
            type="number"
            width={190}
            value={t.par}
            onChange={(v) => setT({ ...t, par: v })}
          />
          <Field
            label="Broth a week"
            unit="packs of 500 ml"
            type="number"
            width={210}
            value={t.broth}
            onChange={(v) => setT({ ...t, broth: v })}
          />
        </Group>
        <div>
          <Title order={3} mb={8}>
            Reminders on Today
          </Title>
          <Group align="flex-start">
            <Field
              label="Cook again"
              unit="days’ notice"
              type="number"
              width={180}
              value={t.lead}
              onChange={(v) => setT({ ...t, lead: v })}
            />
            <Field
              label="Take out at"
              unit={`or ${h.dinnerAt}`}
              width={150}
              value={t.takeOut}
              onChange={(v) => setT({ ...t, takeOut: v })}
            />
            <Pick
              label="Ask if dinner was as planned"
              value={asks}
              options={[
                ['yes', 'each evening'],
                ['no', 'never'],
              ]}
              onChange={setAsks}
            />
            {asks === 'yes' && (
              <Field label="Ask from" unit={`or ${h.dinnerAt}`} width={140} value={t.ask} onChange={(v) => setT({ ...t, ask: v })} />
            )}
          </Group>
          <Text inherit c="dimmed" mt={8}>
            A pack leaves the freezer the last time that hour leaves its thaw hours before dinner. Without the question, what was planned
            counts as probably eaten until you say so.
          </Text>
        </div>
        <Field
          label="Address that a label’s code opens, if phones reach Tambo by one"
          value={t.address}
          onChange={(v) => setT({ ...t, address: v })}
        />
        {problems.map((p) => (
          <Note tone="bad" key={p} role="alert">
            {p}
          </Note>
        ))}
        <div>
          <Button disabled={problems.length > 0} onClick={save}>
            Keep
          </Button>
        </div>
      </Stack>
    </Card>
  );
}
