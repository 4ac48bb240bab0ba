import { Anchor, Badge, Group, NativeSelect, Stack, Table, Text } from '@mantine/core';
import { useState } from 'react';
import { formSchema, type Line, type Unit } from '#core/contract';
import { fromNumber, toNumber, unitFacts } from '#core/kitchen';
import { AllergenChips } from '../form/AllergenChips.tsx';
import { IngredientField } from '../form/IngredientField.tsx';
import { useMeansQuery } from '../sync/api.ts';
import { Figure } from '../ui/ui.tsx';
import { Answered } from './Answered.tsx';

/** A line that means something else: what was said of the food before says nothing of this one. */
function named(line: Line, item: Line['item'], name: string): Line {
  const { allergens: _said, ...rest } = line;
  return { ...rest, item, name };
}

/** A food that is not known here: what it may be, each in one tap, and what the cook says it holds. */
function NotKnown({ line, onChange }: { line: Line; onChange: (l: Line) => void }) {
  const means = useMeansQuery(line.name, { skip: line.name.length < 2 }).data;
  const [open, setOpen] = useState(false);
  const said = line.allergens?.contains;
  const say = (contains: string[]): void => onChange({ ...line, allergens: { contains, checked: true } });
  return (
    <div>
      <Badge color="saffron">not known here</Badge> {said && <Answered contains={said} />}
      {means && !means.taken && means.offers.length > 0 && (
        <Group gap={8}>
          <Text span size="xs" c="dimmed">
            Is it
          </Text>
          {means.offers.map((o) => (
            <Anchor
              component="button"
              size="xs"
              type="button"
              key={o.id}
              aria-label={`${line.name} is ${o.name}`}
              onClick={() => onChange(named(line, { type: 'ingredient', id: o.id }, o.name))}
            >
              {o.name}?
            </Anchor>
          ))}
        </Group>
      )}
      <Anchor component="button" size="xs" type="button" aria-expanded={open} onClick={() => setOpen(!open)}>
        what it holds
      </Anchor>
      {open && (
        <Stack gap={6}>
          <Text size="xs" c="dimmed">
            Read its label: it answers for allergies until something else is chosen.
          </Text>
          <AllergenChips label={`What ${line.name} holds`} value={said ?? []} onChange={say} />
          {said === undefined && (
            <Anchor component="button" size="xs" type="button" style={{ alignSelf: 'start', justifySelf: 'start' }} onClick={() => say([])}>
              none of them
            </Anchor>
          )}
        </Stack>
      )}
    </div>
  );
}

const units = Object.keys(unitFacts) as Unit[];

/** One line as read: amount, unit, ingredient and form stay editable, what was written stays visible. */
export function LineRow({ line, onChange, onRemove }: { line: Line; onChange: (l: Line) => void; onRemove: () => void }) {
  const [amount, setAmount] = useState(line.amount !== undefined ? String(Number(toNumber(line.amount).toFixed(3))) : '');
  const bad = amount.trim() !== '' && !(Number(amount.replace(',', '.')) > 0);
  const setA = (text: string): void => {
    setAmount(text);
    const n = Number(text.replace(',', '.'));
    const { amount: _a, ...rest } = line;
    if (text.trim() === '') onChange(rest);
    else if (n > 0) onChange({ ...line, amount: fromNumber(n), unit: line.unit ?? 'piece' });
  };
  return (
    <Table.Tr>
      <Table.Td w="32%">
        <div>{line.written}</div>
        {line.item.type === 'unmatched' && <NotKnown line={line} onChange={onChange} />}
        {bad && (
          <Text component="div" size="xs" c="var(--tomato)">
            “{amount}” is no amount: the last good one is kept
          </Text>
        )}
      </Table.Td>
      <Table.Td>
        <Figure label={`Amount of ${line.name}`} value={amount} onChange={setA} width={84} bad={bad} />
      </Table.Td>
      <Table.Td>
        <NativeSelect
          aria-label={`Unit of ${line.name}`}
          value={line.unit ?? ''}
          onChange={(e) => {
            const { unit: _u, ...rest } = line;
            onChange(e.currentTarget.value ? { ...line, unit: e.currentTarget.value as Unit } : rest);
          }}
        >
          <option value="">none</option>
          {units.map((u) => (
            <option key={u} value={u}>
              {u === 'piece' ? 'pieces' : unitFacts[u].short}
            </option>
          ))}
        </NativeSelect>
      </Table.Td>
      <Table.Td w="26%">
        <IngredientField
          named={`Ingredient for “${line.written}”`}
          name={line.name}
          withRecipes
          onPick={({ type, id, name }) => onChange(named(line, { type, id }, name))}
        />
      </Table.Td>
      <Table.Td>
        <NativeSelect
          aria-label={`Form of ${line.name}`}
          value={line.form ?? ''}
          onChange={(e) => {
            const { form: _f, ...rest } = line;
            onChange(e.currentTarget.value ? { ...line, form: e.currentTarget.value as NonNullable<Line['form']> } : rest);
          }}
        >
          <option value="">as it is</option>
          {formSchema.options.map((f) => (
            <option key={f}>{f}</option>
          ))}
        </NativeSelect>
      </Table.Td>
      <Table.Td ta="right">
        <Anchor component="button" size="xs" c="var(--tomato)" type="button" aria-label={`Leave out ${line.written}`} onClick={onRemove}>
          leave out
        </Anchor>
      </Table.Td>
    </Table.Tr>
  );
}
