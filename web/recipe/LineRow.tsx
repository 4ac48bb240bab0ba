import { Anchor, Badge, Box, Card, Group, NativeSelect, Stack, Table, Text, TextInput } from '@mantine/core';
import { useState } from 'react';
import { formSchema, type Line, type Unit } from '#core/contract';
import { fromNumber, toNumber, unitFacts } from '#core/kitchen';
import { AllergenChips } from '../ui/AllergenChips.tsx';
import { useIngredientsQuery, useMeansQuery, useRecipesQuery } from '../sync/api.ts';
import { Figure } from '../ui/ui.tsx';
import { Answered } from './Answered.tsx';

/** Finds the ingredient or the recipe of one's own that a line means; typing searches, a tap takes it. */
function IngredientPick({ line, onPick }: { line: Line; onPick: (item: Line['item'], name: string) => void }) {
  const [q, setQ] = useState(line.name);
  const [open, setOpen] = useState(false);
  const found = useIngredientsQuery(q, { skip: !open || q.length < 2 }).data ?? [];
  const library = useRecipesQuery(undefined, { skip: !open || q.length < 2 }).data ?? [];
  const own = library.filter((r) => r.recipe.name.toLowerCase().includes(q.trim().toLowerCase())).slice(0, 5);
  return (
    <Box style={{ position: 'relative' }}>
      <TextInput
        w="100%"
        aria-label={`Ingredient for “${line.written}”`}
        value={q}
        onFocus={() => setOpen(true)}
        onChange={(e) => {
          setQ(e.currentTarget.value);
          setOpen(true);
        }}
      />
      {open && found.length + own.length > 0 && (
        <Card component="div" p={6} style={{ position: 'absolute', zIndex: 10, left: 0, right: 0, maxHeight: 230, overflow: 'auto' }}>
          {found.map((r) => (
            <Anchor
              component="button"
              w="100%"
              ta="left"
              py={6}
              px={8}
              type="button"
              key={r.id}
              style={{ display: 'block' }}
              onClick={() => {
                onPick({ type: 'ingredient', id: r.id }, r.name);
                setQ(r.name);
                setOpen(false);
              }}
            >
              {r.name}
            </Anchor>
          ))}
          {own.map((r) => (
            <Anchor
              component="button"
              w="100%"
              ta="left"
              py={6}
              px={8}
              type="button"
              key={r.recipe.id}
              style={{ display: 'block' }}
              onClick={() => {
                onPick({ type: 'recipe', id: r.recipe.id }, r.recipe.name);
                setQ(r.recipe.name);
                setOpen(false);
              }}
            >
              {r.recipe.name}{' '}
              <Text span inherit c="dimmed">
                from your own
              </Text>
            </Anchor>
          ))}
        </Card>
      )}
    </Box>
  );
}

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
        <IngredientPick line={line} onPick={(item, name) => onChange(named(line, item, name))} />
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
