import { Anchor, Button, Card, Group, Stack, Text } from '@mantine/core';
import { memo, useState } from 'react';
import type { Revision } from '#core/contract';
import { sayPortions } from '#core/kitchen';
import { doseFor, sayDose } from '#core/recipe';
import type { RecipeAnswer } from '#core/queries';
import { useIngredientsQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { Figure } from '../ui/ui.tsx';
import { Field, numberOf, Pick, Toggle } from '../kitchen/fields.tsx';
import { useRevise } from './useRevise.ts';

type Dose = NonNullable<Revision['dose']>;

/** Kinds that stand in for something, spoon by spoon. */
const concentrates = new Set(['aromatic', 'broth', 'base', 'dried']);

function DoseForm({ data, onDone }: { data: RecipeAnswer; onDone: () => void }) {
  const { write } = useCommands();
  const revise = useRevise(data);
  const now = data.revision.dose;
  const [amount, setAmount] = useState(String(now?.amount ?? 1));
  const [unit, setUnit] = useState<Dose['unit']>(now?.unit ?? 'tbsp');
  const [perMl, setPerMl] = useState(now?.perMl === undefined ? '' : String(now.perMl));
  const [count, setCount] = useState(now?.insteadOf ? String(now.insteadOf.count) : '');
  const [name, setName] = useState(now?.insteadOf?.ingredientId ?? '');
  const [noSalt, setNoSalt] = useState(now?.noSalt ?? false);
  const found = useIngredientsQuery(name, { skip: name.length < 2 }).data ?? [];
  const row = found.find((r) => r.id === name || r.name === name) ?? (count.trim() ? found[0] : undefined);
  const [a, ml, n] = [numberOf(amount), numberOf(perMl), numberOf(count)];
  const good = a !== undefined && a > 0 && ((ml !== undefined && ml > 0) || (n !== undefined && n > 0 && row !== undefined));
  const save = (): void => {
    const dose: Dose = {
      amount: a ?? 1,
      unit,
      noSalt,
      ...(ml !== undefined && ml > 0 && { perMl: ml }),
      ...(n !== undefined && n > 0 && row && { insteadOf: { ingredientId: row.id, count: n } }),
    };
    void write(
      revise((r) => ({ ...r, dose })),
      'The dose is kept, and printed on its labels',
    );
    onDone();
  };
  return (
    <Stack gap={10}>
      <Group align="flex-end">
        <Field label="So much of it" type="number" width={110} value={amount} onChange={setAmount} />
        <Pick
          label="in"
          value={unit}
          options={[
            ['tsp', 'teaspoons'],
            ['tbsp', 'tablespoons'],
            ['g', 'grams'],
            ['piece', 'pieces'],
          ]}
          onChange={setUnit}
        />
      </Group>
      <Group align="flex-end">
        <Field label="for so much liquid" unit="ml" type="number" width={160} value={perMl} onChange={setPerMl} />
        <Field label="or in place of" type="number" width={110} value={count} onChange={setCount} />
        <Field label="of what" width={150} value={name} onChange={setName} />
      </Group>
      {count.trim() !== '' && (
        <Text size="xs" c="dimmed" role="status">
          {row ? `Stands in for ${row.name}.` : 'Nothing by that name is known.'}
        </Text>
      )}
      <Group>
        <Toggle on={noSalt} onChange={setNoSalt}>
          brings its salt: do not salt
        </Toggle>
        <Button size="sm" disabled={!good} onClick={save}>
          Keep
        </Button>
        <Anchor component="button" type="button" onClick={onDone}>
          as it was
        </Anchor>
      </Group>
    </Stack>
  );
}

/** How a concentrate is dosed: spoons for a pot, or in place of pieces. */
export const DoseCard = memo(function DoseCard({ data }: { data: RecipeAnswer }) {
  const [editing, setEditing] = useState(false);
  const [litres, setLitres] = useState('2');
  const { revision } = data;
  if (!concentrates.has(revision.kind)) return null;
  const { dose } = revision;
  const nameOf = (id: string): string => data.doseNames[id] ?? id;
  const l = numberOf(litres);
  return (
    <Card aria-label="Dose">
      <Group justify="space-between" align="baseline" mb={8}>
        <h2>Dose</h2>
        {!editing && (
          <Anchor component="button" type="button" onClick={() => setEditing(true)}>
            {dose ? 'change' : 'say how much to take'}
          </Anchor>
        )}
      </Group>
      {editing ? (
        <DoseForm data={data} onDone={() => setEditing(false)} />
      ) : dose ? (
        <>
          {sayDose(dose, nameOf).map((d) => (
            <Text variant="mid" key={d}>
              {d}
            </Text>
          ))}
          {dose.perMl !== undefined && (
            <Group component="label" gap={8} mt={8}>
              <span>A pot of</span>
              <Figure label="Litres in the pot" value={litres} onChange={setLitres} />
              <span>L wants</span>
              <b role="status">
                {l !== undefined && l > 0
                  ? `${sayPortions(doseFor(l * 1000, { amount: dose.amount, perMl: dose.perMl }))} ${dose.unit}`
                  : 'a figure above 0'}
              </b>
            </Group>
          )}
        </>
      ) : (
        <Text inherit c="dimmed">
          One spoon for half a litre, one piece for two cloves: said once, it is on every label and in the recipes that can take it.
        </Text>
      )}
    </Card>
  );
});
