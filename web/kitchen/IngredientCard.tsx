import { Button, Card, Group, Text, Title } from '@mantine/core';
import { Link } from 'react-router';
import { ingredientRowSchema, type IngredientRow } from '#core/contract';
import { capital } from '#core/kitchen';
import { aisles } from '#core/shop/data';
import type { LarderAnswer } from '#core/queries';
import { useContractForm } from '../form/useContractForm.ts';
import { Chips, Field, FieldGroup, ListField, Pick } from '../form/fields.tsx';
import { FormBody } from '../form/FormSheet.tsx';
import { useCommands } from '../sync/commands.ts';
import { Known, Prices, TrimLog } from './IngredientFacts.tsx';
import { placeNames } from './keepPlaces.ts';

const states = ['whole', 'chopped', 'grated', 'pureed', 'dry', 'liquid', 'cooked'] as const;

const freezes = [
  ['', 'not known'],
  ['well', 'well'],
  ['changes', 'changes'],
  ['badly', 'badly'],
] as const;

const washes = (aisle: string) =>
  [
    ['yes', 'fine if dried fully'],
    ['late', 'wash when used'],
    ['no', aisle === 'meat' || aisle === 'fish' ? 'never' : 'not needed'],
  ] as const;

const textures = [
  ['tender', 'tender: cut as written'],
  ['stringy', 'stringy: cut half as large'],
] as const;

const checks = [
  ['plain', 'all of the above: a single plain food'],
  ['read_label', 'on the label of what is bought: read it'],
  ['unknown', 'not known yet: never taken as free of any'],
] as const;

/** One ingredient: every figure may be changed, and set back to what ships. */
export function IngredientCard({
  row,
  data,
  isNew,
  onKept,
}: {
  row: IngredientRow;
  data: LarderAnswer;
  isNew: boolean;
  onKept: (id: string) => void;
}) {
  const { write } = useCommands();
  const edited = data.edited.includes(row.id);
  const own = data.own.includes(row.id);
  const put = (next: IngredientRow | null, says: string): void => {
    const id = `ingredient:${next?.id ?? row.id}`;
    void write([{ table: 'reference', id, data: next && { id, table: 'ingredient', row: next }, was: null }], says);
    form.drop();
    onKept(next?.id ?? row.id);
  };
  const form = useContractForm({
    schema: ingredientRowSchema,
    was: row,
    blank: { keepPlace: 'room', washBeforeStoring: 'late', texture: 'tender' },
    draftKey: `ingredient ${isNew ? 'new' : row.id}`,
    name: (typed) => capital(typed.name.trim()) || 'A new ingredient',
    path: `/kitchen?tab=larder&i=${isNew ? 'new' : row.id}`,
    together: (r) =>
      r.keepDaysLow !== undefined && r.keepDaysHigh !== undefined && r.keepDaysLow > r.keepDaysHigh
        ? { keepDaysHigh: 'not before the shortest' }
        : undefined,
    onKeep: (next) => put(next, `${capital(next.name)} is noted`),
  });
  const { values, field, set } = form;
  const back = (): void => put(null, own ? `${row.name} is gone` : `${row.name} is as it was shipped`);
  const allergens = Object.entries(data.allergenNames);
  return (
    <Card aria-label={row.name || 'A new ingredient'}>
      <Group justify="space-between" align="baseline" mb={8}>
        <Title order={2}>{row.name ? capital(row.name) : 'A new ingredient'}</Title>
        <Text span inherit c="dimmed">
          {row.source.split(';').join(', ')}
          {row.conf === 'confirm' ? '; weigh yours' : ''}
        </Text>
      </Group>
      <FormBody
        form={form}
        keep={isNew ? 'Add it' : 'Keep'}
        onRemove={own ? back : undefined}
        more={
          <>
            {edited && (
              <Button variant="outline" onClick={back}>
                Set back to what ships
              </Button>
            )}
            <Link to={`/recipes?with=${encodeURIComponent(row.id)}`}>Recipes with it</Link>
          </>
        }
      >
        <Group align="flex-start">
          <Field label="Name" {...field('name')} />
          <ListField label="Other names, with commas" {...field('otherNames')} />
          <Pick label="Aisle" options={aisles.map((a) => [a.id as string, a.name.toLowerCase()] as const)} {...field('aisle')} />
        </Group>
        <Group align="flex-start">
          <Field label="One piece is a" width={120} {...field('pieceName')} />
          <Field label="weighs" width={110} {...field('pieceG')} />
          <Field label="Eaten of what is bought" width={210} {...field('ediblePct')} />
          <Field label="Cooked by raw" width={170} {...field('cookedFactor')} />
        </Group>
        <FieldGroup label="Grams in one millilitre, by state; empty is not known">
          <Group align="flex-start">
            {states.map((s) => (
              <Field key={s} label={s} width={76} {...field(`density.${s}`)} unit={undefined} />
            ))}
          </Group>
        </FieldGroup>
        <Group align="flex-start">
          <Pick label="Freezes" options={freezes} {...field('freeze')} />
          <Field label="what changes; what to do" {...field('freezeNote')} />
        </Group>
        <Group align="flex-start">
          <Pick label="Keeps in" options={placeNames} {...field('keepPlace')} />
          <Field label="at least" width={120} {...field('keepDaysLow')} />
          <Field label="at most" width={120} {...field('keepDaysHigh')} />
          <Pick label="Wash before storing" options={washes(values.aisle)} {...field('washBeforeStoring')} />
        </Group>
        <Group align="flex-start">
          <Field label="Wrapped or lined with" {...field('liner')} />
          <Pick label="When cut" options={textures} {...field('texture')} />
        </Group>
        <Chips
          label="Holds by nature"
          options={allergens}
          value={values.contains}
          onChange={(contains) => set({ contains, mayHold: values.mayHold.filter((m) => !contains.includes(m)) })}
        />
        {values.allergenCheck !== 'plain' && (
          <Chips label="A bought pack may hold" options={allergens.filter(([id]) => !values.contains.includes(id))} {...field('mayHold')} />
        )}
        <Pick label="Its allergens are" options={checks} {...field('allergenCheck')} />
      </FormBody>
      {!isNew && (
        <>
          <Prices row={row} data={data} onChange={(prices) => put({ ...row, prices }, `${capital(row.name)}: prices noted`)} />
          <TrimLog row={row} data={data} />
          <Known row={row} data={data} />
        </>
      )}
    </Card>
  );
}
