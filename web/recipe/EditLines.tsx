import { Anchor, Button, Group, Stack, Table, Text } from '@mantine/core';
import { memo, useState } from 'react';
import { lineSchema, type Line, type Revision } from '#core/contract';
import { ingredientFinder, listOf } from '#core/kitchen';
import { composeLines, readLine } from '#core/recipe';
import type { RecipeAnswer } from '#core/queries';
import { api, useMeansQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { newId } from '../sync/device.ts';
import { OneLine } from '../ui/OneLine.tsx';
import { useAppDispatch } from '../sync/store.ts';
import { useHalfMade } from '../form/useHalfMade.ts';
import { LineRow } from './LineRow.tsx';
import { useCircle } from './useCircle.ts';
import { useRevise } from './useRevise.ts';
import { Note } from '../ui/Note.tsx';
import c from './Recipe.module.css';

/** A line's amount, unit, ingredient and form, changed into a new revision; a draw that would go in a circle is refused by name. */
export function EditLine({ data, line, onDone }: { data: RecipeAnswer; line: Line; onDone: () => void }) {
  const { write } = useCommands();
  const revise = useRevise(data);
  const circle = useCircle();
  const [draft, setDraft, half] = useHalfMade({
    kind: 'line',
    key: `line ${line.id}`,
    name: `${line.name} in ${data.recipe.name}`,
    path: `/recipes/${data.recipe.id}?line=${line.id}`,
    initial: line,
    schema: lineSchema,
  });
  const [problem, setProblem] = useState('');
  const keep = async (): Promise<void> => {
    const change = (r: Revision): Revision => ({ ...r, lines: r.lines.map((l) => (l.id === line.id ? draft : l)) });
    const names = await circle(change(data.revision), data.drawn).catch(() => undefined);
    if (names) {
      setProblem(`That would go in a circle: ${names.join(', from ')}. The line stays as it was; choose another recipe.`);
      return;
    }
    await write(revise(change), `${draft.name} is changed`);
    half?.drop();
    onDone();
  };
  const remove = (): void => {
    void write(
      revise((r) => ({
        ...r,
        lines: r.lines.filter((l) => l.id !== line.id),
        steps: r.steps.map((s) => ({ ...s, uses: s.uses.filter((u) => u.lineId !== line.id) })),
      })),
      `${line.name} is left out`,
    );
    half?.drop();
    onDone();
  };
  return (
    <Stack gap={10}>
      <div className={c.line}>
        <Table>
          <Table.Tbody>
            <LineRow line={draft} onChange={setDraft} onRemove={remove} />
          </Table.Tbody>
        </Table>
      </div>
      {problem && (
        <Note tone="bad" role="alert">
          {problem}
        </Note>
      )}
      <Group wrap="nowrap">
        <Button size="sm" disabled={draft === line} onClick={() => void keep()}>
          Keep
        </Button>
        <Anchor
          component="button"
          type="button"
          onClick={() => {
            half?.drop();
            onDone();
          }}
        >
          as it was
        </Anchor>
      </Group>
    </Stack>
  );
}

/** What a typed line is read as. */
function ReadAs({ text }: { text: string }) {
  const read = text.trim() ? readLine(text) : undefined;
  const means = useMeansQuery(read?.name ?? '', { skip: (read?.name.length ?? 0) < 2 }).data;
  if (!read || read.heading || !read.name.trim()) return null;
  return (
    <Text span size="xs" c="dimmed" role="status">
      {means?.taken
        ? `read as ${means.taken.name}`
        : `${read.name}: not known here, its weight and allergens stay open${means && means.offers.length > 0 ? `; ${listOf(means.offers.map((o) => o.name))} can be chosen once it is added` : ''}`}
    </Text>
  );
}

/** A line typed as a cook writes it, read and added. */
export const AddLine = memo(function AddLine({ data }: { data: RecipeAnswer }) {
  const { write } = useCommands();
  const revise = useRevise(data);
  const dispatch = useAppDispatch();
  const add = async (written: string): Promise<void> => {
    const foods = await dispatch(api.endpoints.write.initiate()).unwrap();
    const [row] = composeLines([{ id: newId(), text: written }], { finder: ingredientFinder(foods.rows), recipes: [] });
    if (!row || !('foods' in row)) return;
    const lines = row.foods.map((f) => f.line);
    await write(
      revise((r) => ({ ...r, lines: [...r.lines, ...lines] })),
      `${listOf(lines.map((l) => l.name))} ${lines.length > 1 ? 'go' : 'goes'} in too`,
    );
  };
  const good = (text: string): boolean => {
    const read = text.trim() ? readLine(text) : undefined;
    return read !== undefined && !read.heading && read.name.trim() !== '';
  };
  return (
    <OneLine
      label="Add a line"
      placeholder="add a line, such as 60 ml olive oil"
      button="Add"
      good={good}
      onKeep={(text) => void add(text)}
    >
      {(text) => <ReadAs text={text} />}
    </OneLine>
  );
});
