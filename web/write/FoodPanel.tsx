import { Anchor, Box, Button, Group, NativeSelect, Stack, Text, TextInput } from '@mantine/core';
import { useState } from 'react';
import { formSchema, type Fix, type IngredientRow, type Line, type Unit } from '#core/contract';
import { pluralOf, toNumber, unitFacts } from '#core/kitchen';
import { readAmount, type ComposedFood } from '#core/recipe';
import { AllergenChips } from '../form/AllergenChips.tsx';
import { Chips, numberOf } from '../form/fields.tsx';
import { IngredientField } from '../form/IngredientField.tsx';
import { Answered } from '../recipe/Answered.tsx';

export type SetFood = (food: ComposedFood, set: Partial<Line>, unset?: Fix['unset']) => void;

const units = Object.keys(unitFacts) as Unit[];
const unitName = (u: Unit): string =>
  u === 'piece' ? 'pieces' : unitFacts[u].dimension === 'count' ? pluralOf(unitFacts[u].short) : unitFacts[u].short;
const written = (line: Line): string => {
  // halves and thirds stay what they are, 11/10 is 1.1
  const said = (a: string): string => (/\/[2346]$/.test(a) ? a : String(Number(toNumber(a).toFixed(3))));
  return [line.amount, line.amountTo].flatMap((a) => (a === undefined ? [] : [said(a)])).join(' to ');
};

const rules: readonly (readonly [Line['scaling']['rule'], string])[] = [
  ['proportional', 'in proportion'],
  ['whole', 'whole pieces only'],
  ['toTaste', 'to taste, slower than the pot'],
  ['ratio', 'a share of other lines'],
  ['cover', 'to cover what is in the pot'],
  ['perVessel', 'once for each vessel'],
  ['fixed', 'the same in each pot'],
];

/** How a line grows; a share says of what. */
function Grows({ line, others, onChange }: { line: Line; others: readonly Line[]; onChange: (scaling: Line['scaling']) => void }) {
  const { scaling } = line;
  const [percent, setPercent] = useState(scaling.rule === 'ratio' ? String(scaling.percent) : '2');
  const choose = (rule: Line['scaling']['rule']): void => {
    if (rule === 'ratio') onChange({ rule, percent: 2, of: 'rest', lines: others.map((o) => o.id) });
    else onChange({ rule } as Line['scaling']);
  };
  return (
    <>
      <NativeSelect
        label="Grows"
        value={scaling.rule}
        data={rules.filter(([rule]) => rule !== 'ratio' || others.length > 0).map(([value, label]) => ({ value, label }))}
        onChange={(e) => choose(e.currentTarget.value as Line['scaling']['rule'])}
      />
      {scaling.rule === 'ratio' && (
        <Group align="flex-end" w="100%">
          <TextInput
            label="Share (%)"
            w={110}
            inputMode="decimal"
            value={percent}
            error={(numberOf(percent) ?? 0) > 0 && (numberOf(percent) ?? 0) <= 99 ? undefined : 'above 0, at most 99'}
            onChange={(e) => {
              setPercent(e.currentTarget.value);
              const n = numberOf(e.currentTarget.value);
              if (n !== undefined && n > 0 && n <= 99) onChange({ ...scaling, percent: n });
            }}
          />
          <NativeSelect
            label="Of"
            value={scaling.of}
            data={[
              { value: 'rest', label: 'the other lines' },
              { value: 'total', label: 'the whole, itself included' },
            ]}
            onChange={(e) => onChange({ ...scaling, of: e.currentTarget.value as 'rest' | 'total' })}
          />
          <Chips
            label="Of these lines"
            options={others.map((o) => [o.id, o.name] as const)}
            value={scaling.lines}
            onChange={(lines) => lines.length > 0 && onChange({ ...scaling, lines })}
          />
        </Group>
      )}
    </>
  );
}

/** A food of a line, corrected: what is said here stands over how the text is read. */
export function FoodPanel({
  food,
  others,
  several,
  match,
  onSet,
  onAsRead,
  onOne,
  onNew,
  onClose,
}: {
  food: ComposedFood;
  /** Lines that a share can be of. */
  others: readonly Line[];
  /** The text reads like more than one food. */
  several: boolean;
  /** The food a name means for sure. */
  match: (name: string) => IngredientRow | undefined;
  onSet: SetFood;
  /** Takes back what was said of it. */
  onAsRead: (() => void) | undefined;
  onOne: (() => void) | undefined;
  onNew: () => void;
  onClose: () => void;
}) {
  const { line } = food;
  const [amount, setAmount] = useState(written(line));
  const bad = amount.trim() !== '' && readAmount(amount) === undefined;
  const typeAmount = (text: string): void => {
    setAmount(text);
    const read = readAmount(text);
    if (text.trim() === '') onSet(food, {}, ['amount', 'amountTo', 'unit']);
    else if (read) onSet(food, { ...read, unit: line.unit ?? 'piece' }, read.amountTo === undefined ? ['amountTo'] : []);
  };
  return (
    <Stack gap={10} p={12} my={4} bg="var(--pale)" bdrs={10} role="group" aria-label={`Correct ${line.name}`}>
      <Group align="flex-start" gap={10}>
        <TextInput
          label="Amount"
          w={120}
          autoFocus
          value={amount}
          error={bad ? 'no amount; the last good one is kept' : undefined}
          onChange={(e) => typeAmount(e.currentTarget.value)}
        />
        <NativeSelect
          label="Unit"
          w={130}
          value={line.unit ?? ''}
          data={[{ value: '', label: 'none' }, ...units.map((u) => ({ value: u, label: unitName(u) }))]}
          onChange={(e) => {
            const unit = e.currentTarget.value as Unit | '';
            if (unit) onSet(food, { unit });
            else onSet(food, {}, ['unit', 'amount', 'amountTo']);
          }}
        />
        <Box flex="1 1 200px">
          <IngredientField
            key={line.name}
            label="Food, or a recipe of your own"
            name={line.name}
            withRecipes
            onPick={({ type, id, name }) => onSet(food, { item: { type, id }, name }, [])}
          />
        </Box>
      </Group>
      <Group align="flex-start" gap={10}>
        <TextInput
          label="What is done to it"
          className="grow"
          value={line.formText ?? ''}
          maxLength={160}
          onChange={(e) =>
            onSet(food, e.currentTarget.value ? { formText: e.currentTarget.value } : {}, e.currentTarget.value ? [] : ['formText'])
          }
        />
        <NativeSelect
          label="Cut as"
          value={line.form ?? ''}
          data={[{ value: '', label: 'as it is' }, ...formSchema.options.map((f) => ({ value: f, label: f }))]}
          onChange={(e) => {
            const form = e.currentTarget.value as NonNullable<Line['form']> | '';
            onSet(food, form ? { form } : {}, form ? [] : ['form']);
          }}
        />
        <NativeSelect
          label="Goes in"
          value={line.moment}
          data={[
            { value: 'batch', label: 'while cooking' },
            { value: 'cookDay', label: 'on the day it is eaten' },
          ]}
          onChange={(e) => onSet(food, { moment: e.currentTarget.value as Line['moment'] })}
        />
        <Grows line={line} others={others} onChange={(scaling) => onSet(food, { scaling })} />
      </Group>
      {line.alternatives && line.alternatives.length > 0 && (
        <Group gap={10}>
          <Text size="sm">Or in its place:</Text>
          {line.alternatives.map((a) => {
            const row = match(a);
            return (
              <Anchor
                component="button"
                type="button"
                size="sm"
                key={a}
                onClick={() =>
                  onSet(food, { item: row ? { type: 'ingredient', id: row.id } : { type: 'unmatched' }, name: row?.name ?? a })
                }
              >
                {a}
              </Anchor>
            );
          })}
        </Group>
      )}
      {line.item.type === 'unmatched' && (
        <>
          <Group gap={12}>
            <Text size="sm" className="grow">
              <b>{line.name}</b> is not known here. Choose a food above, make it one of yours, or read its label and say what it holds.
            </Text>
            <Button variant="outline" size="sm" onClick={onNew}>
              Make it a food
            </Button>
          </Group>
          {line.allergens && <Answered contains={line.allergens.contains} />}
          <AllergenChips
            label={`What ${line.name} holds`}
            value={line.allergens?.contains ?? []}
            onChange={(contains) => onSet(food, { allergens: { contains, checked: true } })}
          />
          {line.allergens === undefined && (
            <Anchor component="button" type="button" size="sm" onClick={() => onSet(food, { allergens: { contains: [], checked: true } })}>
              its label names none of them
            </Anchor>
          )}
        </>
      )}
      <Group gap={16}>
        <Button size="sm" variant="outline" onClick={onClose}>
          Done
        </Button>
        {onAsRead && (
          <Anchor component="button" type="button" size="sm" onClick={onAsRead}>
            as it is read
          </Anchor>
        )}
        {several && onOne && (
          <Anchor component="button" type="button" size="sm" onClick={onOne}>
            it is one food
          </Anchor>
        )}
      </Group>
    </Stack>
  );
}
