import { Button, Card, Group, Input, NativeSelect, Text, TextInput, Title } from '@mantine/core';
import { isRawKind, allKinds } from '#core/kitchen';
import { useState } from 'react';
import { z } from 'zod';
import { useHalfMade } from '../form/useHalfMade.ts';
import { kindSchema, type Kind, type Recipe, type Revision } from '#core/contract';
import { newId, stampInstant } from '../sync/device.ts';
import { useLivesQuery } from '../sync/api.ts';
import { Field } from '../form/fields.tsx';
import { LifeSelect } from '../form/LifeSelect.tsx';
import { useCommands } from '../sync/commands.ts';
import { Note } from '../ui/Note.tsx';
import { Columns } from '../ui/Columns.tsx';

export const answersSchema = z.object({
  kind: kindSchema,
  servings: z.string(),
  amount: z.string(),
  unit: z.enum(['g', 'ml']),
  lifeId: z.string(),
  hands: z.string(),
  /** The cook said how large a serving is; untouched, it stays a guess. */
  sized: z.boolean(),
});
export type Answers = z.infer<typeof answersSchema>;

/** What the review card asks, filled in with the guesses. */
export const answersFrom = (r: Pick<Revision, 'kind' | 'servings' | 'serving' | 'storage' | 'steps' | 'confirmed'>): Answers => ({
  kind: r.kind,
  servings: String(r.servings),
  amount: String(r.serving.amount),
  unit: r.serving.unit,
  lifeId: r.storage[0]?.rowId ?? '',
  hands: String(r.steps.reduce((s, x) => s + x.handsOnMin, 0)),
  sized: r.confirmed.includes('serving'),
});

/** A revision with the answers in it; hands-on minutes are shared out over the steps as they were guessed. */
export function withAnswers<
  T extends Pick<Revision, 'kind' | 'name' | 'servings' | 'serving' | 'storage' | 'steps' | 'confirmed' | 'cubeMl' | 'raw'>,
>(r: T, a: Answers): T {
  const total = r.steps.reduce((s, x) => s + x.handsOnMin, 0);
  const hands = Number(a.hands);
  const cubes = a.kind === 'puree' || a.kind === 'aromatic';
  const { cubeMl: _cube, ...rest } = r;
  return {
    ...(rest as T),
    kind: a.kind,
    servings: Number(a.servings),
    serving: { amount: Number(a.amount), unit: a.unit },
    storage: [{ rowId: a.lifeId, part: r.storage[0]?.part ?? r.name }],
    raw: isRawKind(a.kind),
    ...(cubes && { cubeMl: Number(a.amount) }),
    steps:
      total > 0 && Number.isFinite(hands)
        ? r.steps.map((s) => ({ ...s, handsOnMin: Math.max(0, Math.round((s.handsOnMin * hands) / total)) }))
        : r.steps,
    confirmed: ['kind', 'yield', ...(a.sized ? (['serving'] as const) : []), 'storage', 'hands'],
  };
}

/** What is wrong with the answers, in words; empty when nothing is. */
export function problemsOf(a: Answers): string[] {
  const n = Number(a.servings);
  const amount = Number(a.amount);
  return [
    ...(Number.isFinite(n) && n > 0 && n <= 2000 ? [] : [`“${a.servings}” servings cannot be right: give more than 0 and at most 2000.`]),
    ...(Number.isFinite(amount) && amount > 0 && amount <= 20_000
      ? []
      : [`A serving of “${a.amount}” cannot be right: give grams or millilitres above 0.`]),
  ];
}

/** The five questions that a recipe from a file leaves open, each already answered with a guess (DECISIONS 11). */
export function ReviewQuestions({ answers, onChange }: { answers: Answers; onChange: (a: Answers) => void }) {
  const lives = useLivesQuery().data ?? [];
  const set = (part: Partial<Answers>): void => onChange({ ...answers, ...part });
  return (
    <Columns least={190}>
      <div>
        <Input.Label htmlFor="rv-kind">What is it?</Input.Label>
        <NativeSelect w="100%" id="rv-kind" value={answers.kind} onChange={(e) => set({ kind: e.currentTarget.value as Kind })}>
          {allKinds.map((k) => (
            <option key={k}>{k}</option>
          ))}
        </NativeSelect>
      </div>
      <Field label="How many servings does it make?" figure value={answers.servings} onChange={(servings) => set({ servings })} />
      <div>
        <Input.Label htmlFor="rv-amount">
          How large is one?{' '}
          {!answers.sized && (
            <Text span inherit c="dimmed">
              (guessed)
            </Text>
          )}
        </Input.Label>
        <Group wrap="nowrap" gap={6}>
          <TextInput
            w="100%"
            id="rv-amount"
            inputMode="decimal"
            value={answers.amount}
            onChange={(e) => set({ amount: e.currentTarget.value, sized: true })}
          />
          <NativeSelect
            aria-label="Unit of a serving"
            value={answers.unit}
            onChange={(e) => set({ unit: e.currentTarget.value as 'g' | 'ml', sized: true })}
          >
            <option>g</option>
            <option>ml</option>
          </NativeSelect>
        </Group>
      </div>
      <LifeSelect label="How does it keep?" lives={lives} value={answers.lifeId} onChange={(lifeId) => set({ lifeId })} />
      <Field label="Minutes of hands in all" figure value={answers.hands} onChange={(hands) => set({ hands })} />
    </Columns>
  );
}

/** The same questions for a recipe that was kept without them being answered. */
export function ReviewCard({ recipe, revision }: { recipe: Recipe; revision: Revision }) {
  const [initial] = useState(() => answersFrom(revision));
  const [answers, setAnswers, half] = useHalfMade({
    key: `review ${recipe.id}`,
    name: `Checking ${recipe.name}`,
    path: `/recipes/${recipe.id}`,
    initial,
    schema: answersSchema,
  });
  const { write } = useCommands();
  const problems = problemsOf(answers);
  const [id] = useState(newId);
  const save = (): void => {
    half?.drop();
    const next = { ...withAnswers(revision, answers), id, madeAt: stampInstant() };
    void write(
      [
        { table: 'recipe_revision', id, data: next, was: null },
        { table: 'recipe', id: recipe.id, data: { ...recipe, revisionId: id, kind: next.kind }, was: recipe },
      ],
      `${recipe.name}: checked`,
    );
  };
  return (
    <Card mb={16} data-tone="saffron" aria-label="Check before planning">
      <Title order={2}>Check these before you plan it</Title>
      <ReviewQuestions answers={answers} onChange={(next) => setAnswers(next, 'answers')} />
      {problems.map((p) => (
        <Note tone="bad" mt={10} role="alert" key={p}>
          {p}
        </Note>
      ))}
      <Group wrap="nowrap" mt={12}>
        <Button disabled={problems.length > 0} onClick={save}>
          That’s right
        </Button>
      </Group>
    </Card>
  );
}
