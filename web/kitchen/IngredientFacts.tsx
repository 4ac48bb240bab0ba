import { Anchor, Box, Button, Group, Text } from '@mantine/core';
import { useState } from 'react';
import { trim } from '#core/commands';
import type { IngredientRow, Price } from '#core/contract';
import { capital, sayMoney } from '#core/kitchen';
import type { LarderAnswer } from '#core/queries';
import { useFrameQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { newId } from '../sync/device.ts';
import { Why } from '../ui/ui.tsx';
import { Field, numberOf, Pick } from './fields.tsx';
import { Rows } from '../ui/Rows.tsx';

/** What was bought and what was left of it to cook with: the trim of this kitchen. */
export function TrimLog({ row, data }: { row: IngredientRow; data: LarderAnswer }) {
  const { log } = useCommands();
  const [bought, setBought] = useState('');
  const [left, setLeft] = useState('');
  const [draft, setDraft] = useState(newId);
  const b = numberOf(bought);
  const l = numberOf(left);
  const good = b !== undefined && l !== undefined && b > 0 && l > 0 && l <= b;
  const seen = data.trims[row.id];
  return (
    <Box pt={12} style={{ borderTop: '1px solid var(--line)' }}>
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
      <Group gap={10} align="flex-end" mt={6}>
        <Field label="Bought" unit="g" type="number" width={100} value={bought} onChange={setBought} />
        <Field label="Left to cook with" unit="g" type="number" width={140} value={left} onChange={setLeft} />
        <Button
          variant="outline"
          disabled={!good}
          onClick={() => {
            void log([trim(row.id, b ?? 0, l ?? 0, draft)], `${capital(row.name)}: ${Math.round(((l ?? 0) / (b ?? 1)) * 100)} % left`);
            setBought('');
            setLeft('');
            setDraft(newId());
          }}
        >
          Note it
        </Button>
        {good && (
          <Text span variant="mid">
            {Math.round((l / b) * 100)} % usable
          </Text>
        )}
      </Group>
      {!good && b !== undefined && l !== undefined && (
        <Text size="xs" c="dimmed">
          What is left weighs more than 0 and at most what was bought.
        </Text>
      )}
    </Box>
  );
}

export function Prices({ row, data, onChange }: { row: IngredientRow; data: LarderAnswer; onChange: (prices: Price[]) => void }) {
  const today = useFrameQuery().data?.today;
  const [amount, setAmount] = useState('');
  const [unit, setUnit] = useState<Price['unit']>('g');
  const [money, setMoney] = useState('');
  const [shop, setShop] = useState('');
  const n = numberOf(amount);
  const cents = numberOf(money);
  const good = n !== undefined && n > 0 && cents !== undefined && cents >= 0;
  const prices = row.prices ?? [];
  return (
    <Box pt={12} style={{ borderTop: '1px solid var(--line)' }}>
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
      <Group gap={10} align="flex-end">
        <Field label="A pack of" type="number" width={90} value={amount} onChange={setAmount} />
        <Pick
          label="Unit"
          value={unit}
          options={[
            ['g', 'g'],
            ['ml', 'ml'],
            ['piece', 'pieces'],
          ]}
          onChange={setUnit}
        />
        <Field label="costs" unit={data.household.currency} type="number" width={100} value={money} onChange={setMoney} />
        <Field label="where" width={120} value={shop} onChange={setShop} />
        <Button
          variant="outline"
          disabled={!good}
          onClick={() => {
            onChange(
              [
                {
                  amount: n ?? 1,
                  unit,
                  cents: Math.round((cents ?? 0) * 100),
                  ...(shop.trim() && { shop: shop.trim() }),
                  ...(today && { day: today }),
                },
                ...prices,
              ].slice(0, 20),
            );
            setAmount('');
            setMoney('');
          }}
        >
          Add
        </Button>
      </Group>
    </Box>
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
    <Box pt={12} style={{ borderTop: '1px solid var(--line)' }}>
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
    </Box>
  );
}
