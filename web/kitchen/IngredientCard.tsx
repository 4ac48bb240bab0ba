import { Anchor, Button, Card, Group, Stack, Text } from '@mantine/core';
import { useState } from 'react';
import { Link } from 'react-router';
import { ingredientRowSchema, type IngredientRow } from '#core/contract';
import { capital } from '#core/kitchen';
import { aisles } from '#core/shop/data';
import type { LarderAnswer } from '#core/queries';
import { useCommands } from '../sync/commands.ts';
import { Known, Prices, TrimLog } from './IngredientFacts.tsx';
import { placeNames } from './keepPlaces.ts';
import { Field, numberOf, Pick, Toggle } from './fields.tsx';
import { Note } from '../ui/Note.tsx';

const states = ['whole', 'chopped', 'grated', 'pureed', 'dry', 'liquid', 'cooked'] as const;

/** What is typed, field by field; an empty one is not known. */
interface Typed {
  name: string;
  others: string;
  piece: string;
  pieceG: string;
  edible: string;
  cooked: string;
  low: string;
  high: string;
  freezeNote: string;
  liner: string;
  density: Record<(typeof states)[number], string>;
}

const text = (n: number | undefined): string => (n === undefined ? '' : String(n));

const typedFrom = (row: IngredientRow): Typed => ({
  name: row.name,
  others: row.otherNames.join(', '),
  piece: row.pieceName ?? '',
  pieceG: text(row.pieceG),
  edible: text(row.ediblePct),
  cooked: text(row.cookedFactor),
  low: text(row.keepDaysLow),
  high: text(row.keepDaysHigh),
  freezeNote: row.freezeNote ?? '',
  liner: row.liner ?? '',
  density: Object.fromEntries(states.map((s) => [s, text(row.density[s])])) as Typed['density'],
});

/** The row that the form says; empty fields stay away. */
function rowFrom(row: IngredientRow, t: Typed): unknown {
  const {
    pieceName: _a,
    pieceG: _b,
    ediblePct: _c,
    cookedFactor: _d,
    keepDaysLow: _e,
    keepDaysHigh: _f,
    freezeNote: _g,
    liner: _h,
    ...rest
  } = row;
  const num = (key: string, value: string) => (value.trim() === '' ? {} : { [key]: numberOf(value) ?? NaN });
  return {
    ...rest,
    name: t.name.trim(),
    otherNames: t.others
      .split(',')
      .map((n) => n.trim())
      .filter(Boolean),
    ...(t.piece.trim() && { pieceName: t.piece.trim() }),
    ...num('pieceG', t.pieceG),
    ...num('ediblePct', t.edible),
    ...num('cookedFactor', t.cooked),
    ...num('keepDaysLow', t.low),
    ...num('keepDaysHigh', t.high),
    ...(t.liner.trim() && { liner: t.liner.trim() }),
    ...(t.freezeNote.trim() && { freezeNote: t.freezeNote.trim() }),
    density: Object.fromEntries(states.flatMap((s) => (t.density[s].trim() === '' ? [] : [[s, numberOf(t.density[s]) ?? NaN]]))),
  };
}

const fieldNames: Readonly<Record<string, string>> = {
  name: 'Give it a name',
  pieceG: 'One piece weighs more than 0 g',
  ediblePct: 'Of what is bought, 1 to 100 % is eaten',
  cookedFactor: 'Cooked by raw lies between 0.1 and 12',
  keepDaysLow: 'Days are 0 or more',
  keepDaysHigh: 'Days are 0 or more',
  density: 'A weight per millilitre lies between 0.01 and 3 g',
};

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
  const [base, setBase] = useState(row);
  const [t, setT] = useState(() => typedFrom(row));
  const parsed = ingredientRowSchema.safeParse(rowFrom(base, t));
  const problems = parsed.success ? [] : [...new Set(parsed.error.issues.map((i) => fieldNames[String(i.path[0])] ?? i.message))];
  const days =
    numberOf(t.low) !== undefined && numberOf(t.high) !== undefined && (numberOf(t.low) ?? 0) > (numberOf(t.high) ?? 0)
      ? ['The shortest days come before the longest']
      : [];
  const edited = data.edited.includes(row.id);
  const own = data.own.includes(row.id);
  const keep = (next: IngredientRow, says: string): void => {
    void write(
      [{ table: 'reference', id: `ingredient:${row.id}`, data: { id: `ingredient:${row.id}`, table: 'ingredient', row: next }, was: null }],
      says,
    );
    onKept(row.id);
  };
  const back = (): void => {
    void write(
      [{ table: 'reference', id: `ingredient:${row.id}`, data: null, was: null }],
      own ? `${row.name} is gone` : `${row.name} is as it was shipped`,
    );
    onKept(row.id);
  };
  const set = (key: keyof Omit<Typed, 'density'>) => (value: string) => setT({ ...t, [key]: value });
  return (
    <Card aria-label={row.name || 'A new ingredient'}>
      <Group justify="space-between" align="baseline" mb={8}>
        <h2>{row.name ? capital(row.name) : 'A new ingredient'}</h2>
        <Text span inherit c="dimmed">
          {base.source.split(';').join(', ')}
          {base.conf === 'confirm' ? '; weigh yours' : ''}
        </Text>
      </Group>
      <Stack
        component="form"
        gap={12}
        onSubmit={(e) => {
          e.preventDefault();
          if (parsed.success && days.length === 0) keep(parsed.data, `${capital(parsed.data.name)} is noted`);
        }}
      >
        <Group align="flex-start">
          <Field label="Name" value={t.name} onChange={set('name')} />
          <Field label="Other names, with commas" value={t.others} onChange={set('others')} />
          <Pick
            label="Aisle"
            value={base.aisle}
            options={aisles.map((a) => [a.id, a.name.toLowerCase()] as const)}
            onChange={(aisle) => setBase({ ...base, aisle })}
          />
        </Group>
        <Group align="flex-start">
          <Field label="One piece is a" width={110} value={t.piece} onChange={set('piece')} />
          <Field label="weighs" unit="g" type="number" width={90} value={t.pieceG} onChange={set('pieceG')} />
          <Field label="Eaten of what is bought" unit="%" type="number" width={170} value={t.edible} onChange={set('edible')} />
          <Field label="Cooked by raw" unit="times" type="number" width={120} value={t.cooked} onChange={set('cooked')} />
        </Group>
        <div>
          <Text fz={15} fw={600} mb={3}>
            Grams in one millilitre, by state; empty is not known
          </Text>
          <Group>
            {states.map((s) => (
              <Field
                key={s}
                label={s}
                type="number"
                width={76}
                value={t.density[s]}
                onChange={(v) => setT({ ...t, density: { ...t.density, [s]: v } })}
              />
            ))}
          </Group>
        </div>
        <Group align="flex-start">
          <Pick
            label="Freezes"
            value={base.freeze ?? 'unknown'}
            options={[
              ['unknown', 'not known'],
              ['well', 'well'],
              ['changes', 'changes'],
              ['badly', 'badly'],
            ]}
            onChange={(f) => {
              const { freeze: _f, ...rest } = base;
              setBase(f === 'unknown' ? rest : { ...base, freeze: f });
            }}
          />
          <Field label="what changes; what to do" value={t.freezeNote} onChange={set('freezeNote')} />
        </Group>
        <Group align="flex-start">
          <Pick
            label="Keeps in"
            value={base.keepPlace ?? 'room'}
            options={placeNames}
            onChange={(keepPlace) => setBase({ ...base, keepPlace })}
          />
          <Field label="for days, at least" type="number" width={130} value={t.low} onChange={set('low')} />
          <Field label="at most" type="number" width={90} value={t.high} onChange={set('high')} />
          <Pick
            label="Wash before storing"
            value={base.washBeforeStoring ?? 'late'}
            options={[
              ['yes', 'fine if dried fully'],
              ['late', 'wash when used'],
              ['no', base.aisle === 'meat' || base.aisle === 'fish' ? 'never' : 'not needed'],
            ]}
            onChange={(washBeforeStoring) => setBase({ ...base, washBeforeStoring })}
          />
        </Group>
        <Group align="flex-start">
          <Field label="Wrapped or lined with" value={t.liner} onChange={set('liner')} />
          <Pick
            label="When cut"
            value={base.texture ?? 'tender'}
            options={[
              ['tender', 'tender: cut as written'],
              ['stringy', 'stringy: cut half as large'],
            ]}
            onChange={(texture) => setBase({ ...base, texture })}
          />
        </Group>
        <div>
          <Text fz={15} fw={600} mb={3}>
            Holds by nature
          </Text>
          <Group gap={8} className="chips">
            {Object.entries(data.allergenNames).map(([id, name]) => (
              <Toggle
                key={id}
                on={base.contains.includes(id)}
                onChange={(on) =>
                  setBase({
                    ...base,
                    contains: on ? [...base.contains, id] : base.contains.filter((c) => c !== id),
                    mayHold: base.mayHold.filter((m) => m !== id),
                  })
                }
              >
                {name}
              </Toggle>
            ))}
          </Group>
        </div>
        {base.allergenCheck !== 'plain' && (
          <div>
            <Text fz={15} fw={600} mb={3}>
              A bought pack may hold
            </Text>
            <Group gap={8} className="chips">
              {Object.entries(data.allergenNames)
                .filter(([id]) => !base.contains.includes(id))
                .map(([id, name]) => (
                  <Toggle
                    key={id}
                    on={base.mayHold.includes(id)}
                    onChange={(on) => setBase({ ...base, mayHold: on ? [...base.mayHold, id] : base.mayHold.filter((m) => m !== id) })}
                  >
                    {name}
                  </Toggle>
                ))}
            </Group>
          </div>
        )}
        <Pick
          label="Its allergens are"
          value={base.allergenCheck}
          options={[
            ['plain', 'all of the above: a single plain food'],
            ['read_label', 'on the label of what is bought: read it'],
            ['unknown', 'not known yet: never taken as free of any'],
          ]}
          onChange={(allergenCheck) => setBase({ ...base, allergenCheck })}
        />
        {[...problems, ...days].map((p) => (
          <Note tone="bad" key={p} role="alert">
            {p}. The last good figures are kept until you change this.
          </Note>
        ))}
        <Group>
          <Button type="submit" disabled={!parsed.success || days.length > 0}>
            {isNew ? 'Add it' : 'Keep'}
          </Button>
          {edited && (
            <Button variant="outline" onClick={back}>
              Set back to what ships
            </Button>
          )}
          {own && (
            <Anchor component="button" c="var(--tomato)" type="button" onClick={back}>
              Remove
            </Anchor>
          )}
          <Link to={`/recipes?with=${encodeURIComponent(row.id)}`}>Recipes with it</Link>
        </Group>
      </Stack>
      {!isNew && (
        <Stack gap={12} mt={14}>
          <Prices row={row} data={data} onChange={(prices) => keep({ ...row, prices }, `${capital(row.name)}: prices noted`)} />
          <TrimLog row={row} data={data} />
          <Known row={row} data={data} />
        </Stack>
      )}
    </Card>
  );
}
