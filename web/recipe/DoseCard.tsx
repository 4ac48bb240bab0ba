import { Anchor, Card, Group, Text, Title } from '@mantine/core';
import { memo, useState } from 'react';
import { revisionSchema } from '#core/contract';
import { sayPortions } from '#core/kitchen';
import { doseFor, sayDose } from '#core/recipe';
import type { RecipeAnswer } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { Figure } from '../ui/ui.tsx';
import { Field, numberOf, Pick, Toggle } from '../form/fields.tsx';
import { FormBody } from '../form/FormSheet.tsx';
import { IngredientField } from '../form/IngredientField.tsx';
import { useContractForm } from '../form/useContractForm.ts';
import { useRevise } from './useRevise.ts';

/** Kinds that stand in for something, spoon by spoon. */
const concentrates = new Set(['aromatic', 'broth', 'base', 'dried']);

const doseSchema = revisionSchema.shape.dose.unwrap();

const units = [
  ['tsp', 'teaspoons'],
  ['tbsp', 'tablespoons'],
  ['g', 'grams'],
  ['piece', 'pieces'],
] as const;

function DoseForm({ data, onDone }: { data: RecipeAnswer; onDone: () => void }) {
  const { write } = useCommands();
  const revise = useRevise(data);
  const form = useContractForm({
    schema: doseSchema,
    was: data.revision.dose ?? null,
    blank: { amount: 1, unit: 'tbsp' },
    draftKey: `dose ${data.recipe.id}`,
    name: () => `Dose of ${data.recipe.name}`,
    path: `/recipes/${data.recipe.id}`,
    together: (dose) => ((dose.perMl ?? dose.insteadOf) ? undefined : { perMl: 'for so much liquid, or in place of so many pieces' }),
    onKeep: (dose) => {
      void write(
        revise((r) => ({ ...r, dose })),
        'The dose is kept, and printed on its labels',
      );
      form.drop();
      onDone();
    },
  });
  const { values, field, set } = form;
  const standIn = (next: Partial<typeof values.insteadOf>): void => set({ insteadOf: { ...values.insteadOf, ...next } });
  return (
    <FormBody
      form={form}
      more={
        <Anchor
          component="button"
          type="button"
          onClick={() => {
            form.drop();
            onDone();
          }}
        >
          as it was
        </Anchor>
      }
    >
      <Group align="flex-start">
        <Field label="So much of it" width={120} {...field('amount')} />
        <Pick label="in" options={units} {...field('unit')} />
      </Group>
      <Group align="flex-start">
        <Field label="for so much liquid" width={190} {...field('perMl')} unit="ml" />
        <Field label="or in place of" width={120} {...field('insteadOf.count')} />
        <IngredientField
          label="of what"
          width={180}
          name={data.doseNames[values.insteadOf.ingredientId] ?? ''}
          error={form.errors['insteadOf.ingredientId'] && 'Choose one from the list'}
          onPick={({ id }) => standIn({ ingredientId: id })}
        />
      </Group>
      <div>
        <Toggle {...field('noSalt')}>brings its salt: do not salt</Toggle>
      </div>
    </FormBody>
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
        <Title order={2}>Dose</Title>
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
