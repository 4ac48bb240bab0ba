import { Badge, Card, Group, Text, Title } from '@mantine/core';
import { memo, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Writing, WrittenLine } from '#core/contract';
import type { IngredientFinder } from '#core/kitchen';
import { move, type Composed, type ComposedFood, type ComposedRow } from '#core/recipe';
import { newId } from '../sync/device.ts';
import { useMeasures } from '../sync/measures.ts';
import { FoodPanel, type SetFood } from './FoodPanel.tsx';
import { FoodRead } from './FoodRead.tsx';
import { AnotherText, SortedTexts } from './SortedTexts.tsx';
import { TextRow, type TextActs } from './TextRow.tsx';
import { useTexts } from './useTexts.ts';
import c from './Texts.module.css';

const newLine = (text: string): WrittenLine => ({ id: newId(), text });

interface FoodActs {
  /** Opens a food's panel, or shuts it when it is open. */
  open: (lineId: string | undefined) => void;
  take: (food: ComposedFood, item: { id: string; name: string }) => void;
  set: SetFood;
  asRead: (rowId: string) => void;
  one: (rowId: string) => void;
  make: (food: ComposedFood) => void;
  others: () => Composed['revision']['lines'];
  match: IngredientFinder['match'];
}

/** One written line: its text, what it is read as beside it, and below it the panel that corrects one of its foods. */
const LineRow = memo(function LineRow({
  line,
  n,
  only,
  row,
  open,
  steps,
  units,
  acts,
  texts,
}: {
  line: WrittenLine;
  n: number;
  only: boolean;
  row: ComposedRow | undefined;
  /** The open food's id, when it is of this row. */
  open: string | undefined;
  /** Which steps take it; empty when none does. */
  steps: string;
  units: ReturnType<typeof useMeasures>['units'];
  acts: FoodActs;
  texts: TextActs;
}) {
  const foods = row && 'foods' in row ? row.foods : [];
  const opened = foods.find((f) => f.line.id === open);
  const one = line.one === true;
  return (
    <TextRow
      id={line.id}
      text={line.text}
      label={`Line ${n}`}
      placeholder={only ? '2 big leeks, sliced thin' : undefined}
      acts={texts}
      heading={row !== undefined && 'heading' in row}
    >
      <div className={c.read}>
        {row && 'heading' in row && (
          <Text c="dimmed" size="sm" py={8}>
            {row.heading ? 'a part of the recipe' : 'the part ends here'}
          </Text>
        )}
        {foods.map((food) => (
          <FoodRead key={food.line.id} food={food} units={units} open={food.line.id === open} onOpen={acts.open} onTake={acts.take} />
        ))}
      </div>
      <div className={c.where}>{steps && <Badge color="rim">{steps}</Badge>}</div>
      {opened && (
        <div className={c.panel}>
          <FoodPanel
            key={opened.line.id}
            food={opened}
            others={acts.others().filter((l) => l.id !== opened.line.id && l.moment === 'batch')}
            several={foods.length > 1 || one}
            match={acts.match}
            onSet={acts.set}
            onAsRead={line.fixes !== undefined || one ? () => acts.asRead(line.id) : undefined}
            onOne={one ? undefined : () => acts.one(line.id)}
            onNew={() => acts.make(opened)}
            onClose={() => acts.open(undefined)}
          />
        </div>
      )}
    </TextRow>
  );
});

/** As you write it, and as it will be weighed: one line a food, headings for parts, corrections one tap away. */
export function LinesCard({
  writing,
  composed,
  edit,
  finder,
  onFood,
  onNew,
  onWhole,
}: {
  writing: Writing;
  composed: Composed;
  edit: (next: Writing, field?: string) => void;
  finder: IngredientFinder;
  onFood: SetFood;
  /** Makes one of the household's foods of it. */
  onNew: (food: ComposedFood) => void;
  onWhole: (text: string) => boolean;
}) {
  const { units } = useMeasures();
  const [open, setOpen] = useState<string>();
  const empty = useRef(newLine(''));
  // an empty page begins with a line to write on
  const lines = writing.lines.length > 0 ? writing.lines : [empty.current];
  const setLines = (next: WrittenLine[], field?: string): void => edit({ ...writing, lines: next }, field);
  const acts = useTexts(lines, setLines, newLine, onWhole);
  const rows = useMemo(() => new Map(composed.rows.map((r) => [r.id, r])), [composed.rows]);
  const stepsOf = useMemo(() => {
    const found = new Map<string, number[]>();
    composed.revision.steps.forEach((s, i) => s.uses.forEach((u) => found.set(u.lineId, [...(found.get(u.lineId) ?? []), i + 1])));
    return found;
  }, [composed.revision.steps]);
  const live = useRef({ writing, composed, edit });
  useEffect(() => {
    live.current = { writing, composed, edit };
  });
  const change = useCallback((rowId: string, next: (line: WrittenLine) => WrittenLine, field?: string): void => {
    const { writing: w, edit: put } = live.current;
    put({ ...w, lines: w.lines.map((l) => (l.id === rowId ? next(l) : l)) }, field);
  }, []);
  const foodActs = useMemo((): FoodActs => {
    return {
      open: (id) => setOpen((before) => (before === id ? undefined : id)),
      take: (food, item) => onFood(food, { item: { type: 'ingredient', id: item.id }, name: item.name }),
      set: onFood,
      asRead: (rowId) => change(rowId, ({ id, text }) => ({ id, text })),
      one: (rowId) => change(rowId, ({ id, text }) => ({ id, text, one: true })),
      make: onNew,
      others: () => live.current.composed.revision.lines,
      match: finder.match,
    };
  }, [change, onFood, onNew, finder]);
  return (
    <Card aria-label="Ingredients">
      <Group justify="space-between" mb={6}>
        <Title order={2}>As you write it</Title>
        <Text c="dimmed" size="sm">
          as it will be weighed; tap to correct
        </Text>
        <Text c="dimmed" size="sm">
          step
        </Text>
      </Group>
      <SortedTexts ids={lines.map((l) => l.id)} onMove={(id, by) => setLines(move(lines, id, by))}>
        {lines.map((line, i) => {
          const row = rows.get(line.id);
          const foods = row && 'foods' in row ? row.foods : [];
          return (
            <LineRow
              key={line.id}
              line={line}
              n={i + 1}
              only={i === 0 && lines.length === 1}
              row={row}
              open={foods.some((f) => f.line.id === open) ? open : undefined}
              steps={[...new Set(foods.flatMap((f) => stepsOf.get(f.line.id) ?? []))].join(', ')}
              units={units}
              acts={foodActs}
              texts={acts}
            />
          );
        })}
      </SortedTexts>
      <AnotherText
        texts={lines}
        acts={acts}
        name="Another line"
        hint="Enter for the next line; “For the sauce:” makes a part; Alt and arrows move a line."
      />
    </Card>
  );
}
