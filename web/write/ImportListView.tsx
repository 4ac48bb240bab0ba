import { Badge, Button, Card, Checkbox, Group, Text, Title } from '@mantine/core';
import { useEffect, useMemo, useReducer } from 'react';
import { useNavigate } from 'react-router';
import { countOf } from '#core/kitchen';
import { canKeep, compose, doublesOf, readYield, type Composed, type ReadingContext } from '#core/recipe';
import type { WriteAnswer } from '#core/queries';
import { KindMark } from '../draw/KindMark.tsx';
import { useCommands } from '../sync/commands.ts';
import { Rows } from '../ui/Rows.tsx';
import { useOnce } from '../ui/useOnce.ts';
import { noImports, type ImportItem, type ImportList } from './importList.ts';
import { keepChanges } from './keep.ts';

/** A recipe of the list with what is understood of it. */
interface Looked {
  item: ImportItem;
  composed: Composed;
  unknown: number;
  double: { id: string; name: string } | undefined;
}

const lookAt = (item: ImportItem, reading: ReadingContext, data: WriteAnswer): Looked => {
  const composed = compose(item.writing, reading);
  const foods = composed.revision.lines.flatMap((l) => (l.item.type === 'ingredient' ? [l.item.id] : []));
  return {
    item,
    composed,
    unknown: composed.revision.lines.filter((l) => l.item.type === 'unmatched').length,
    double: doublesOf({ id: item.id, name: item.writing.name, ingredientIds: foods }, data.recipes)[0],
  };
};

function ItemRow({ looked, onLeave, onLook }: { looked: Looked; onLeave: (left: boolean) => void; onLook: () => void }) {
  const { item, composed, unknown, double } = looked;
  const made = readYield(item.writing.makes);
  const open = composed.asks.some((a) => a.ask === 'cannotBeMeant');
  return (
    <li>
      <Checkbox checked={item.left !== true} aria-label={`Keep ${item.writing.name}`} onChange={(e) => onLeave(!e.currentTarget.checked)} />
      <KindMark kind={composed.revision.kind} size={24} />
      <div className="grow">
        <b>{item.writing.name}</b>
        <Text size="sm" c="dimmed">
          {countOf(composed.revision.lines.length, 'line')}, {countOf(composed.revision.steps.length, 'step')}
          {made.count === undefined && made.total === undefined ? ', makes: not said' : `, ${item.writing.makes}`}; {item.writing.from}
        </Text>
      </div>
      <Group gap={6}>
        {item.writing.around?.some((n) => n.field === 'file') && <Badge color="tomato">was cut off or broken</Badge>}
        {double && <Badge color="saffron">you have {double.name}</Badge>}
        {unknown > 0 && <Badge color="saffron">{unknown} not known</Badge>}
        {open && <Badge color="tomato">an amount to mend</Badge>}
        <Button variant="outline" size="sm" aria-label={`Look at ${item.writing.name}`} onClick={onLook}>
          Look
        </Button>
      </Group>
    </li>
  );
}

/** Recipes understood in one go: the page answers in between. */
const perTurn = 12;

/** The list with what is understood of it, a few at a time; what was looked at once is not looked at again. */
function useLooked(items: readonly ImportItem[], reading: ReadingContext, data: WriteAnswer): Looked[] {
  // begun anew when foods or recipes change: what is double may be another
  const known = useMemo(() => ({ of: [reading, data], map: new WeakMap<ImportItem['writing'], Looked>() }), [reading, data]).map;
  const [, turn] = useReducer((n: number) => n + 1, 0);
  const next = items.filter((item) => !known.has(item.writing)).slice(0, perTurn);
  useEffect(() => {
    if (next.length === 0) return undefined;
    const timer = setTimeout(() => {
      for (const item of next) known.set(item.writing, lookAt(item, reading, data));
      turn();
    }, 0);
    return () => clearTimeout(timer);
  });
  return items.flatMap((item) => {
    const looked = known.get(item.writing);
    return looked ? [{ ...looked, item }] : [];
  });
}

/** Rows drawn at once; a folder of five hundred is gone through in turns. */
const shown = 100;
/** Recipes in one write: each is two documents, and one tap is undone as one. */
const perWrite = 25;

/** What was read and waits: each with what is not clear of it, kept in one tap. */
export function ImportListView({
  list,
  put,
  onLook,
  reading,
  data,
}: {
  list: ImportList;
  put: (next: ImportList) => void;
  onLook: (item: ImportItem) => void;
  reading: ReadingContext;
  data: WriteAnswer;
}) {
  const navigate = useNavigate();
  const { write } = useCommands();
  const { busy, once } = useOnce();
  const looked = useLooked(list.items, reading, data);
  const looking = looked.length < list.items.length;
  const chosen = looked.filter((l) => l.item.left !== true && canKeep(l.composed));
  const held = looked.filter((l) => l.item.left !== true && !canKeep(l.composed)).length;
  const leave = (id: string, left: boolean): void => put({ items: list.items.map((x) => (x.id === id ? { ...x, left } : x)) });
  const keep = async (): Promise<void> => {
    for (let i = 0; i < chosen.length; i += perWrite) {
      const part = chosen.slice(i, i + perWrite);
      await write(
        // nothing of them was looked at: what they are and make is asked before they are planned
        part.flatMap(({ item, composed }) => keepChanges(item.id, item.writing, { ...composed.revision, confirmed: [] }, null)),
        part.length === 1 ? `${part[0]!.item.writing.name} is in your recipes` : `${countOf(part.length, 'recipe')} are in your library`,
      );
    }
    const kept = new Set(chosen.map((l) => l.item.id));
    const rest = list.items.filter((x) => !kept.has(x.id) && x.left !== true);
    put({ items: rest });
    if (rest.length === 0) await navigate(chosen.length === 1 ? `/recipes/${chosen[0]!.item.id}` : '/recipes');
  };
  return (
    <Card aria-label="What was read" mb={16}>
      <Group justify="space-between" mb={6}>
        <Title order={2}>{countOf(list.items.length, 'recipe')} to look over</Title>
        <Group gap={8}>
          <Button variant="outline" onClick={() => put(noImports)}>
            Leave them all
          </Button>
          <Button disabled={busy || looking || chosen.length === 0} loading={busy} onClick={() => once(keep)}>
            {looking ? `Looking at ${looked.length} of ${list.items.length}` : 'Keep'}{' '}
            {looking ? '' : chosen.length === list.items.length ? (chosen.length === 1 ? 'it' : `all ${chosen.length}`) : chosen.length}
          </Button>
        </Group>
      </Group>
      <Text c="dimmed" size="sm" mb={6}>
        Look at each beside its text, or keep them and be asked before you plan one.
        {held > 0 ? ` ${held} with an amount that cannot be meant wait here until it is mended.` : ''}
      </Text>
      <Rows>
        {looked.slice(0, shown).map((l) => (
          <ItemRow key={l.item.id} looked={l} onLeave={(left) => leave(l.item.id, left)} onLook={() => onLook(l.item)} />
        ))}
      </Rows>
      {looked.length > shown && (
        <Text c="dimmed" size="sm" mt={8}>
          and {looked.length - shown} more, which stand here once these are kept.
        </Text>
      )}
    </Card>
  );
}
