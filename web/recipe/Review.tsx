import { Box, Button, Card, Group, Input, Stack, Table, Text, TextInput, Title, VisuallyHidden } from '@mantine/core';
import { countOf } from '#core/kitchen';
import { readLine, type RecipeDraft } from '#core/recipe';
import type { Line } from '#core/contract';
import { api } from '../sync/api.ts';
import { useAppDispatch } from '../sync/store.ts';
import { useCommands } from '../sync/commands.ts';
import { useOnce } from '../ui/useOnce.ts';
import { newId, stampInstant } from '../sync/device.ts';
import { PageHead } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { answersFrom, problemsOf, ReviewQuestions, withAnswers, type Answers } from './ReviewCard.tsx';
import { LineRow } from './LineRow.tsx';
import { Note } from '../ui/Note.tsx';
import { Rows } from '../ui/Rows.tsx';
import { Columns } from '../ui/Columns.tsx';

/** A recipe under review: what was read, and what was changed of it. */
export interface Reviewed {
  draft: RecipeDraft;
  name: string;
  answers: Answers;
  /** A line that is being typed. */
  more: string;
  /** What it will be kept as, however often that is tapped. */
  ids: { recipeId: string; id: string };
}

export const reviewOf = (draft: RecipeDraft): Reviewed => ({
  draft,
  name: draft.revision.name,
  answers: answersFrom(draft.revision),
  more: '',
  ids: { recipeId: newId(), id: newId() },
});

export function Review({
  value,
  onChange,
  onDone,
  onCancel,
}: {
  value: Reviewed;
  onChange: (next: Reviewed, field?: string) => void;
  onDone: (id: string) => void;
  onCancel: () => void;
}) {
  const { draft, name, answers, more } = value;
  const { recipeId, id } = value.ids;
  const { lines } = draft.revision;
  const setLines = (next: Line[], typed = more): void =>
    onChange({ ...value, more: typed, draft: { ...draft, revision: { ...draft.revision, lines: next } } });
  const { write } = useCommands();
  const unknown = lines.filter((l) => l.item.type === 'unmatched').length;
  const problems = [
    ...(name.trim() ? [] : ['Give it a name.']),
    ...problemsOf(answers),
    ...(lines.length > 0 ? [] : ['It has no ingredients yet: add a line.']),
  ];
  const { busy, once } = useOnce();
  const adding = useOnce();
  const dispatch = useAppDispatch();
  const save = async (): Promise<void> => {
    const kept = new Set(lines.map((l) => l.id));
    const revision = {
      ...withAnswers(
        {
          ...draft.revision,
          name: name.trim(),
          lines,
          steps: draft.revision.steps.map((s) => ({ ...s, uses: s.uses.filter((u) => kept.has(u.lineId)) })),
        },
        answers,
      ),
      id,
      recipeId,
      madeAt: stampInstant(),
    };
    await write(
      [
        { table: 'recipe_revision', id, data: revision, was: null },
        {
          table: 'recipe',
          id: recipeId,
          data: { id: recipeId, revisionId: id, name: revision.name, kind: revision.kind, archived: false },
          was: null,
        },
      ],
      `${revision.name} is in your recipes`,
    );
    onDone(recipeId);
  };
  const addLine = async (): Promise<void> => {
    if (!more.trim()) return;
    const r = readLine(more);
    if (r.heading || !r.name.trim()) return;
    const best = await dispatch(api.endpoints.means.initiate(r.name))
      .unwrap()
      .then((m) => m.taken)
      .catch(() => undefined);
    const line: Line = {
      id: newId(),
      written: more,
      ...(r.amount !== undefined && { amount: r.amount }),
      ...(r.unit && { unit: r.unit }),
      item: best ? { type: 'ingredient', id: best.id } : { type: 'unmatched' },
      name: (best?.name ?? r.name).slice(0, 160),
      ...(r.form && { form: r.form }),
      moment: 'batch',
      scaling: { rule: 'proportional' },
    };
    setLines([...lines, line], '');
  };
  return (
    <>
      <PageHead
        title={
          <Group wrap="nowrap" component="span" gap={12}>
            <KindMark kind={answers.kind} size={34} />
            Check what was read
          </Group>
        }
        lead={`${countOf(lines.length, 'line')}, ${unknown === 0 ? 'all known here' : `${unknown} not known here`}; ${countOf(draft.revision.steps.length, 'step')} with guessed minutes.${draft.yieldText ? ` The file says “${draft.yieldText}”.` : ''}`}
      >
        <Button variant="outline" onClick={onCancel}>
          Another file
        </Button>
        <Button disabled={busy || problems.length > 0} onClick={() => once(save)}>
          Keep this recipe
        </Button>
      </PageHead>
      <Stack>
        <Card aria-label="Five questions">
          <Box mb={12}>
            <Input.Label htmlFor="rv-name">Name</Input.Label>
            <TextInput
              w="100%"
              size="lg"
              id="rv-name"
              value={name}
              onChange={(e) => onChange({ ...value, name: e.currentTarget.value }, 'name')}
            />
          </Box>
          <ReviewQuestions answers={answers} onChange={(next) => onChange({ ...value, answers: next }, 'answers')} />
          {problems.map((p) => (
            <Note tone="bad" mt={10} role="alert" key={p}>
              {p}
            </Note>
          ))}
        </Card>
        <Card aria-label="Lines">
          <Title order={2}>Lines</Title>
          <Table>
            <Table.Thead>
              <Table.Tr>
                <Table.Th>as written</Table.Th>
                <Table.Th>amount</Table.Th>
                <Table.Th>unit</Table.Th>
                <Table.Th>ingredient</Table.Th>
                <Table.Th>form</Table.Th>
                <Table.Th>
                  <VisuallyHidden>leave out</VisuallyHidden>
                </Table.Th>
              </Table.Tr>
            </Table.Thead>
            <Table.Tbody>
              {lines.map((l) => (
                <LineRow
                  key={l.id}
                  line={l}
                  onChange={(n) => setLines(lines.map((x) => (x.id === l.id ? n : x)))}
                  onRemove={() => setLines(lines.filter((x) => x.id !== l.id))}
                />
              ))}
            </Table.Tbody>
          </Table>
          <Group wrap="nowrap" mt={10}>
            <TextInput
              className="grow"
              placeholder="Another line, such as 200 g peas"
              aria-label="Another line"
              value={more}
              onChange={(e) => onChange({ ...value, more: e.currentTarget.value }, 'more')}
              onKeyDown={(e) => e.key === 'Enter' && !adding.busy && adding.once(addLine)}
            />
            <Button variant="outline" disabled={adding.busy} onClick={() => adding.once(addLine)}>
              Add line
            </Button>
          </Group>
        </Card>
        <Columns parts={[1.4, 1]} align="start">
          <Card aria-label="Steps">
            <Title order={2}>Steps</Title>
            <Rows component="ol">
              {draft.revision.steps.map((s, i) => (
                <li key={s.id}>
                  <b>{i + 1}</b>
                  <Box className="grow">
                    {s.text}
                    <Text component="div" size="xs" c="dimmed">
                      about {s.handsOnMin} min of hands{s.waitMin ? `, ${s.waitMin} min by itself` : ''} (guessed)
                    </Text>
                  </Box>
                </li>
              ))}
            </Rows>
          </Card>
          <Card aria-label="Not understood">
            <Title order={2}>Not understood</Title>
            {draft.notUnderstood.length === 0 ? (
              <Text inherit c="dimmed">
                Everything in the file was understood.
              </Text>
            ) : (
              <Rows>
                {draft.notUnderstood.map((n) => (
                  <li key={n.field}>
                    <Box className="grow">
                      <b>{n.field}</b>
                      <Text component="div" size="xs" c="dimmed">
                        {n.value}
                      </Text>
                    </Box>
                  </li>
                ))}
              </Rows>
            )}
          </Card>
        </Columns>
      </Stack>
    </>
  );
}
