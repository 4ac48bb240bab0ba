import { Anchor, Button, Group, Text } from '@mantine/core';
import { useState } from 'react';
import { z } from 'zod';
import { trim } from '#core/commands';
import { inUnit, priceSchema, type IngredientRow, type Price } from '#core/contract';
import { capital, sayMoney } from '#core/kitchen';
import type { LarderAnswer } from '#core/queries';
import { useFrameQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { newId } from '../sync/device.ts';
import { Section, Why } from '../ui/ui.tsx';
import { useContractForm } from '../form/useContractForm.ts';
import { Field, numberOf, Pick } from '../form/fields.tsx';
import { Rows } from '../ui/Rows.tsx';

const trimSchema = z.object({
  bought: inUnit(z.number().positive().max(100_000), { unit: 'g' }),
  left: inUnit(z.number().positive().max(100_000), { unit: 'g' }),
});

/** What was bought and what was left of it to cook with: the trim of this kitchen. */
export function TrimLog({ row, data }: { row: IngredientRow; data: LarderAnswer }) {
  const { log } = useCommands();
  /** Its own name, so that a second tap is the same weighing; the next one has another. */
  const [id, setId] = useState(newId);
  const form = useContractForm({
    schema: trimSchema,
    was: null,
    draftKey: `trim ${row.id}`,
    name: () => `Trim of ${row.name}`,
    path: `/kitchen?tab=larder&i=${row.id}`,
    together: ({ bought, left }) => (left > bought ? { left: 'at most what was bought' } : undefined),
    onKeep: ({ bought, left }) => {
      void log([trim(row.id, bought, left, id)], `${capital(row.name)}: ${Math.round((left / bought) * 100)} % left`);
      setId(newId());
      form.drop();
    },
  });
  const { values, field } = form;
  const share = (numberOf(values.left) ?? 0) / (numberOf(values.bought) ?? 0);
  const seen = data.trims[row.id];
  return (
    <Section>
      <b>Weigh your own trim</b>{' '}
      {seen && (
        <span>
          {Math.round(seen.factor * 1000) / 10} % is used from now on, from {seen.runs} of yours.{' '}
          <Why label="learned trim">
            The shipped figure blended with what you weighed, by how often: {Math.round(seen.low * 100)} to{' '}
            {Math.round(Math.min(1, seen.high) * 100)} %, four times in five.
          </Why>
        </span>
      )}
      <form onSubmit={form.onSubmit} noValidate>
        <Group gap={10} align="flex-end" mt={6}>
          <Field label="Bought" width={130} {...field('bought')} />
          <Field label="Left to cook with" width={170} {...field('left')} />
          <Button type="submit" variant="outline">
            Note it
          </Button>
          {share > 0 && share <= 1 && (
            <Text span variant="mid">
              {Math.round(share * 100)} % usable
            </Text>
          )}
        </Group>
      </form>
    </Section>
  );
}

const priceUnits = [
  ['g', 'g'],
  ['ml', 'ml'],
  ['piece', 'pieces'],
] as const;

const mostPrices = 20;

export function Prices({ row, data, onChange }: { row: IngredientRow; data: LarderAnswer; onChange: (prices: Price[]) => void }) {
  const day = useFrameQuery().data?.today;
  const prices = row.prices ?? [];
  const form = useContractForm({
    schema: priceSchema,
    was: null,
    blank: { unit: 'g' },
    draftKey: `price ${row.id}`,
    name: () => `A price of ${row.name}`,
    path: `/kitchen?tab=larder&i=${row.id}`,
    onKeep: (price) => {
      onChange([{ ...price, ...(day && { day }) }, ...prices].slice(0, mostPrices));
      form.drop();
    },
  });
  const { field } = form;
  return (
    <Section>
      <b>Packs and prices</b>
      <Rows>
        {prices.map((p, i) => (
          <li key={i}>
            <Text className="grow" span inherit>
              {p.amount} {p.unit === 'piece' ? 'pieces' : p.unit} for{' '}
              <b>{sayMoney(p.cents, data.household.currency, data.household.locale)}</b>
              <Text span size="xs" c="dimmed">
                {' '}
                {[p.shop, p.day, p.madeUp ? 'made up for the demo' : ''].filter(Boolean).join(', ')}
              </Text>
            </Text>
            <Anchor component="button" size="xs" type="button" onClick={() => onChange(prices.filter((_, k) => k !== i))}>
              not any more
            </Anchor>
          </li>
        ))}
      </Rows>
      <form onSubmit={form.onSubmit} noValidate>
        <Group gap={10} align="flex-end">
          <Field label="A pack of" width={100} {...field('amount')} />
          <Pick label="Unit" options={priceUnits} {...field('unit')} />
          <Field label="costs" width={120} {...field('cents')} unit={data.household.currency} />
          <Field label="where" width={120} {...field('shop')} />
          <Button type="submit" variant="outline">
            Add
          </Button>
        </Group>
      </form>
    </Section>
  );
}

/** What the tables say of it: how it keeps, blanching, puree, scraps. */
export function Known({ row, data }: { row: IngredientRow; data: LarderAnswer }) {
  const refs = row.refRows ?? [];
  const of = (prefix: string, table: keyof LarderAnswer['tables']) =>
    refs.filter((r) => r.startsWith(prefix)).flatMap((r) => data.tables[table][r.slice(prefix.length)] ?? []);
  const lines = [
    ...of('4.3:', 'keep').map((k) => ({
      source: k.source,
      says: `Keeps ${String(k.days)} ${String(k.days) === '1' ? 'day' : 'days'}: ${String(k.keepWhere)}${k.moisture && k.moisture !== '-' ? `, ${String(k.moisture)}` : ''}.`,
    })),
    ...of('5.2:', 'blanch').map((k) => ({
      source: k.source,
      says: `Blanch ${String(k.cut)}: ${k.waterMin === 0 ? 'not needed' : `${String(k.waterMin ?? '–')} min in water, ${String(k.steamMin ?? '–')} min in steam`}.`,
    })),
    ...of('6.2:', 'puree').map((k) => ({
      source: k.source,
      says: `For puree ${String(k.method)} ${String(k.cookMin)} min; 100 g prepared make ${String(k.pureePer100g)} g, with ${String(k.waterMlPer100g ?? 0)} ml water.`,
    })),
    ...of('7.2:', 'cooked').map((k) => ({
      source: k.source,
      says: `Cooked (${String(k.method)}) it weighs ${String(k.factor)} times as much, ${String(k.range)}.`,
    })),
    ...of('9.2:', 'scrap').map((k) => ({
      source: k.source,
      says: `In the broth bag, ${String(k.scrap)}: ${String(k.fit)}, ${String(k.why)}.`,
    })),
  ];
  if (lines.length === 0) return null;
  return (
    <Section>
      <b>What the tables say</b>
      <Rows>
        {lines.map((l) => (
          <li key={l.says}>
            <Text className="grow" span inherit>
              {l.says}
            </Text>
            <Text span size="xs" c="dimmed">
              {l.source}
            </Text>
          </li>
        ))}
      </Rows>
    </Section>
  );
}
