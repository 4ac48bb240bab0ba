import { Anchor, Box, Button, Card, Group, Stack, Text, TextInput, Title } from '@mantine/core';
import { useEffect, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Unit } from '#core/contract';
import { capital, measureIn, toNumber, unitFacts, type IngredientRow } from '#core/kitchen';
import { compareRuns, potBalance, pouredOf, poursOf, tally, type Pour, type Tally } from '#core/recipe';
import { useIngredientsQuery, useRecipeQuery, useRecipesQuery } from '../sync/api.ts';
import { now } from '../sync/clock.ts';
import { useCommands } from '../sync/commands.ts';
import { newId } from '../sync/device.ts';
import { PageHead, Page } from '../ui/ui.tsx';
import { ScaleReader } from '../devices/ScaleReader.tsx';
import { Field, numberOf } from '../form/fields.tsx';
import { emptyDraft, feelRecipe, saveDraft, savedDraft, wentInG, type FeelDraft } from './feelDraft.ts';
import { useMeasures } from '../sync/measures.ts';
import { Rows } from '../ui/Rows.tsx';
import { Note } from '../ui/Note.tsx';
import { Said } from '../ui/Said.tsx';
import { Columns } from '../ui/Columns.tsx';

/** Measures of a hand and a drawer. */
const quick: readonly { unit: Unit; name: string }[] = [
  { unit: 'pinch', name: 'a pinch' },
  { unit: 'turn', name: 'a turn' },
  { unit: 'handful', name: 'a handful' },
  { unit: 'glug', name: 'a glug' },
  { unit: 'ladle', name: 'a ladle' },
  { unit: 'piece', name: 'a piece' },
  { unit: 'tsp', name: 'a teaspoon' },
  { unit: 'tbsp', name: 'a tablespoon' },
];

const sayTally = (t: Tally): string =>
  measureIn('metric', { quantity: { amount: t.amount, unit: t.unit }, pour: t.unit === 'ml', cap: 0.02, scaleStepG: 0.1 }).text;

/** What goes in next: a name, then how much of it. */
function Next({ onPour, rows }: { onPour: (p: Pour) => void; rows: (found: readonly IngredientRow[]) => void }) {
  const [name, setName] = useState('');
  const [row, setRow] = useState<IngredientRow>();
  const [amount, setAmount] = useState('');
  const [scale, setScale] = useState(false);
  const found = useIngredientsQuery(name, { skip: name.trim().length < 2 || row?.name === name }).data ?? [];
  const n = numberOf(amount);
  const ready = name.trim().length > 0;
  const pour = (a: number, unit: Unit): void =>
    onPour({ name: (row?.name ?? name).trim(), ...(row && { ingredientId: row.id }), amount: a, unit });
  return (
    <Card aria-label="What goes in">
      <Title order={2}>What goes in?</Title>
      <TextInput
        w="100%"
        size="lg"
        aria-label="Ingredient"
        placeholder="pepper, lentils, water"
        value={name}
        onChange={(e) => {
          setName(e.currentTarget.value);
          setRow(undefined);
        }}
      />
      {!row && found.length > 0 && (
        <Group gap={8} mt={8} className="chips">
          {found.slice(0, 8).map((r) => (
            <Button
              variant="chip"
              key={r.id}
              onClick={() => {
                setRow(r);
                setName(r.name);
                rows([r]);
              }}
            >
              {r.name}
            </Button>
          ))}
        </Group>
      )}
      <Group gap={8} mt={12} className="chips wrapchips" role="group" aria-label="By hand">
        {quick.map((x) => (
          <Button variant="chip" size="lg" key={x.unit} disabled={!ready} onClick={() => pour(1, x.unit)}>
            {x.name}
          </Button>
        ))}
      </Group>
      <Group align="flex-end" mt={12}>
        <Field label="or a figure" figure width={110} value={amount} onChange={setAmount} />
        {(['g', 'ml'] as const).map((u) => (
          <Button
            variant="outline"
            key={u}
            disabled={!ready || n === undefined || n <= 0}
            onClick={() => {
              pour(n ?? 0, u);
              setAmount('');
            }}
          >
            {u} in
          </Button>
        ))}
        <Anchor component="button" type="button" aria-expanded={scale} onClick={() => setScale(!scale)}>
          weigh it in
        </Anchor>
      </Group>
      {scale && <ScaleReader onTake={(g) => ready && pour(g, 'g')} takes={ready ? `${name.trim()} in` : 'Say what it is'} />}
    </Card>
  );
}

function Pot({ draft, wentIn, change }: { draft: FeelDraft; wentIn: number | undefined; change: (p: Partial<FeelDraft>) => void }) {
  const { sayMass } = useMeasures();
  const [full, empty] = [numberOf(draft.fullG), numberOf(draft.emptyG)];
  const balance = full !== undefined ? potBalance(empty ?? 0, full, wentIn !== undefined && wentIn > 0 ? wentIn : undefined) : undefined;
  return (
    <Card aria-label="The pot">
      <Title order={2}>The pot, before and after</Title>
      <Group align="flex-start">
        <Field label="Empty" unit="g" figure width={120} value={draft.emptyG} onChange={(emptyG) => change({ emptyG })} />
        <Field label="Full at the end" unit="g" figure width={150} value={draft.fullG} onChange={(fullG) => change({ fullG })} />
        <Field label="Plates" figure width={90} value={draft.plates} onChange={(plates) => change({ plates })} />
        <Field label="Minutes on the hob" figure width={150} value={draft.minutes} onChange={(minutes) => change({ minutes })} />
      </Group>
      {balance && (
        <Said bad={!balance.ok}>
          {balance.ok
            ? `${sayMass(Math.round(balance.madeG))} came out${balance.steamedG !== undefined ? `, ${sayMass(Math.round(balance.steamedG / 10) * 10)} went up in steam` : ''}: ${sayMass(Math.round(balance.madeG / Math.max(1, numberOf(draft.plates) ?? 1)))} a plate.`
            : balance.why === 'lighterThanEmpty'
              ? 'The full pot weighs no more than the empty one: check both figures, they are kept as typed.'
              : 'More came out than went in: something was not noted, or a figure is off. Both are kept as typed.'}
        </Said>
      )}
    </Card>
  );
}

/** For cooks who never measure: every pour and pinch as it goes in becomes a recipe that can be made again. */
export function FeelPage() {
  const navigate = useNavigate();
  const { write } = useCommands();
  const [draft, setDraft] = useState(savedDraft);
  const library = useRecipesQuery().data ?? [];
  const before = useRecipeQuery(draft.recipeId ?? '', { skip: !draft.recipeId }).data;
  useEffect(() => saveDraft(draft), [draft]);
  const known = useMemo(() => new Map([...(before?.rows ?? []), ...draft.rows].map((r) => [r.id, r] as const)), [before, draft.rows]);
  const change = (p: Partial<FeelDraft>): void => setDraft((d) => ({ ...d, ...p }));
  const sums = tally(draft.pours);
  const last = before ? poursOf(before.revision.lines) : [];
  const planned = tally(last);
  const changes = before && draft.pours.length > 0 ? compareRuns(last, draft.pours) : [];
  const mine = library.filter((r) => r.tags.includes('by feel'));
  const problems = [...(draft.name.trim() ? [] : ['Give it a name.']), ...(draft.pours.length > 0 ? [] : ['Nothing has gone in yet.'])];
  const save = async (): Promise<void> => {
    const made = feelRecipe(
      draft,
      before && { recipe: before.recipe, revision: before.revision },
      [...known.values()],
      { recipe: draft.recipeId ?? newId(), revision: newId(), line: (n) => `feel${n}`, step: newId() },
      now(),
    );
    await write(
      [
        { table: 'recipe_revision', id: made.revision.id, data: made.revision, was: null },
        { table: 'recipe', id: made.recipe.id, data: made.recipe, was: null },
      ],
      `${made.recipe.name} can be made again`,
    );
    setDraft(emptyDraft);
    saveDraft(emptyDraft);
    void navigate(`/recipes/${made.recipe.id}`);
  };
  return (
    <Page>
      <PageHead title="Cook by feel" lead="Say what goes in as it goes in. It is kept on this device until you keep it as a recipe.">
        <Button disabled={problems.length > 0} onClick={() => void save()}>
          Keep as a recipe
        </Button>
      </PageHead>
      <Columns parts={[1.35, 1]} align="start">
        <Stack>
          <Card aria-label="Which dish">
            <Group align="flex-end">
              <Field label="What is it?" value={draft.name} onChange={(name) => change({ name })} />
              {mine.length > 0 && (
                <Group gap={8} className="chips" role="group" aria-label="Again">
                  {mine.map((r) => (
                    <Button
                      variant="chip"
                      key={r.recipe.id}
                      aria-pressed={draft.recipeId === r.recipe.id}
                      onClick={() => {
                        const { recipeId, ...rest } = draft;
                        setDraft(recipeId === r.recipe.id ? rest : { ...rest, recipeId: r.recipe.id, name: r.recipe.name });
                      }}
                    >
                      {r.recipe.name} again
                    </Button>
                  ))}
                </Group>
              )}
            </Group>
          </Card>
          <Next
            onPour={(p) => change({ pours: [...draft.pours, p] })}
            rows={(found) => change({ rows: [...draft.rows.filter((r) => !found.some((f) => f.id === r.id)), ...found] })}
          />
          <Pot draft={draft} wentIn={wentInG(draft.pours, known)} change={change} />
        </Stack>
        <Card aria-label="In the pot">
          <Group justify="space-between" align="baseline" mb={8}>
            <Title order={2}>In the pot</Title>
            {draft.pours.length > 0 && (
              <Anchor component="button" type="button" onClick={() => change({ pours: draft.pours.slice(0, -1) })}>
                take the last one back
              </Anchor>
            )}
          </Group>
          {sums.length === 0 ? (
            <Text inherit c="dimmed">
              Nothing yet. A pinch, a glug, 300 g: whatever you would say aloud.
            </Text>
          ) : (
            <Rows>
              {sums.map((t) => {
                const plan = planned.find((p) => p.unit === t.unit && (p.ingredientId ?? p.name) === (t.ingredientId ?? t.name));
                const of = plan && pouredOf([toNumber(t.amount)], toNumber(plan.amount));
                return (
                  <li key={`${t.ingredientId ?? t.name}${t.unit}`}>
                    <Box className="grow">
                      <b>{capital(t.name)}</b>
                      {t.pours > 1 && (
                        <Text span size="xs" c="dimmed">
                          {' '}
                          in {t.pours} goes
                        </Text>
                      )}
                      {of && (
                        <Text component="div" size="xs" c="dimmed">
                          last time {sayTally(plan)}
                          {of.left > 0 ? `, ${Number(of.left.toFixed(1))} ${unitFacts[t.unit].short} to go` : ''}
                        </Text>
                      )}
                    </Box>
                    <Text span variant="mid">
                      {sayTally(t)}
                    </Text>
                  </li>
                );
              })}
            </Rows>
          )}
          {changes.length > 0 && <Note mt={10}>Against last time: {changes.map((c) => c.says).join(', ')}.</Note>}
          {problems.map((p) => (
            <Text size="xs" c="dimmed" mt={6} key={p}>
              {p}
            </Text>
          ))}
        </Card>
      </Columns>
    </Page>
  );
}
