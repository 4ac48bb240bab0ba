import { Badge, Button, Card, Checkbox, FileButton, Group, Progress, Stack, Text, Title } from '@mantine/core';
import { useEffect, useMemo, useReducer, useRef, useState, type DragEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { countOf } from '#core/kitchen';
import { canKeep, compose, doublesOf, readYield, writingOfFile, type Composed, type ReadingContext } from '#core/recipe';
import type { WriteAnswer } from '#core/queries';
import { FeelScale } from '../draw/FeelScale.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { RecipeSheet } from '../draw/RecipeSheet.tsx';
import { useHalfMade } from '../form/useHalfMade.ts';
import { useWriteQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { now } from '../sync/clock.ts';
import { newId } from '../sync/device.ts';
import { draftEdited } from '../sync/draftsSlice.ts';
import { useAppDispatch } from '../sync/store.ts';
import { HalfMade } from '../ui/HalfMade.tsx';
import { Columns } from '../ui/Columns.tsx';
import { Note } from '../ui/Note.tsx';
import { notReadable } from '../ui/readable.ts';
import { Rows } from '../ui/Rows.tsx';
import { Empty, PageHead, Page, Waiting } from '../ui/ui.tsx';
import { useOnce } from '../ui/useOnce.ts';
import type { FilesRead, ToRead } from '../workers/read.worker.ts';
import { filesOf, isRecipeFile } from './dropped.ts';
import { importKey, importListSchema, noImports, writingKey, writingName, type ImportItem, type ImportList } from './importList.ts';
import { keepChanges } from './keep.ts';
import { PasteSheet } from './PasteSheet.tsx';
import { useReader } from './useReader.ts';
import { useReading } from './useWriting.ts';

const nameOf = ({ items }: ImportList): string =>
  items.length === 1 ? `Bringing in ${items[0]?.writing.name ?? 'a recipe'}` : `Bringing in ${items.length} recipes`;

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

function ImportListView({
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

/** Recipes in: from files, a folder, a paste; read in a thread of their own, looked over, kept. What cannot be read says why and loses nothing. */
export function ImportPage() {
  const { data, error, refetch } = useWriteQuery();
  const reading = useReading(data, '');
  const reset = useRef<() => void>(null);
  const resetFolder = useRef<() => void>(null);
  const reader = useReader();
  const [list, put, half] = useHalfMade({
    kind: 'import',
    key: importKey,
    name: nameOf,
    path: '/recipes/new',
    initial: noImports,
    schema: importListSchema,
  });
  const [problems, setProblems] = useState<FilesRead['problems']>([]);
  const [over, setOver] = useState(false);
  const [pasting, setPasting] = useState(false);
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  if (!data || !reading) return <Waiting error={error} refetch={() => void refetch()} />;
  const putList = (next: ImportList): void => (next.items.length === 0 ? half?.drop() : put(next));
  /** It becomes a recipe that is being written, beside the others that wait. */
  const look = (item: ImportItem): void => {
    const path = `/recipes/write/${item.id}`;
    dispatch(
      draftEdited({
        key: writingKey(item.id),
        kind: 'recipe',
        name: writingName(item.writing),
        path,
        at: now(),
        before: item.writing,
        value: item.writing,
      }),
    );
    if (list.items.some((x) => x.id === item.id)) putList({ items: list.items.filter((x) => x.id !== item.id) });
    void navigate(path);
  };
  const known = new Set(data.recipes.map((r) => r.id));
  const take = async (files: readonly ToRead[], skipped = 0): Promise<void> => {
    const tooLarge = files.flatMap((f) => {
      const why = f instanceof File ? notReadable(f) : undefined;
      return why === undefined ? [] : [{ from: f.name, says: why }];
    });
    const good = files.filter((f) => !tooLarge.some((t) => t.from === f.name));
    setProblems(tooLarge);
    if (good.length === 0) {
      if (tooLarge.length === 0)
        setProblems([
          {
            from: 'Nothing',
            says: `there is no file that may hold a recipe${skipped > 0 ? ` among ${skipped}` : ''}: .html, .json, .md, .txt or .csv.`,
          },
        ]);
      return;
    }
    const found = await reader.read(good);
    if (!found) return;
    setProblems([...tooLarge, ...found.problems]);
    const items = found.recipes.map(({ from, recipe }): ImportItem => ({
      id: newId(),
      writing: { ...writingOfFile(recipe, newId, known), from },
    }));
    if (items.length === 0) return;
    // one recipe is looked at at once
    if (items.length === 1 && list.items.length === 0) look(items[0]!);
    else put({ items: [...list.items, ...items] });
  };
  const onDrop = (e: DragEvent): void => {
    e.preventDefault();
    setOver(false);
    void filesOf(e.dataTransfer).then(({ files, skipped }) => take(files, skipped));
  };
  const { state } = reader;
  return (
    <Page>
      <PageHead
        title="Bring in recipes"
        lead="Saved pages, JSON-LD, Markdown, tables, plain text, one or a whole folder. You look them over before anything is kept."
      />
      <HalfMade kinds={['recipe']} />
      {state && (
        <Card mb={16} aria-label="Reading" role="status">
          <Group>
            <Text className="grow">
              Reading {state.name} ({state.done} of {state.total})
            </Text>
            <Button variant="outline" onClick={reader.stop}>
              Stop
            </Button>
          </Group>
          <Progress mt={10} value={state.total > 0 ? (100 * state.done) / state.total : 0} aria-label="Files read" />
        </Card>
      )}
      {(reader.stopped ?? '') !== '' && (
        <Note tone="bad" mb={14} role="alert">
          {reader.stopped}
        </Note>
      )}
      {problems.length > 0 && (
        <Note tone="bad" mb={14} role="alert">
          {problems.slice(0, 5).map((p) => (
            <div key={p.from}>
              <b>{p.from}</b> {p.says.startsWith(p.from) ? p.says.slice(p.from.length).trim() : p.says}
            </div>
          ))}
          {problems.length > 5 && <div>and {problems.length - 5} more files. The others were read.</div>}
        </Note>
      )}
      {list.items.length > 0 && <ImportListView list={list} put={putList} onLook={look} reading={reading} data={data} />}
      <Columns least={280}>
        <Card
          component="div"
          bg={over ? 'var(--frost)' : 'var(--card)'}
          py={30}
          px={20}
          ta="center"
          data-drop={over || undefined}
          onDragOver={(e) => {
            e.preventDefault();
            setOver(true);
          }}
          onDragLeave={() => setOver(false)}
          onDrop={onDrop}
          style={{ borderStyle: 'dashed', borderWidth: 2, borderColor: 'var(--rim)' }}
        >
          <RecipeSheet />
          <Title order={2} mt={8} mb={4}>
            From files
          </Title>
          <Text inherit c="dimmed" mb={14}>
            Drop files or a folder here: .html, .json, .md, .txt, .csv.
          </Text>
          <Group justify="center" gap={8}>
            <FileButton
              multiple
              resetRef={reset}
              accept=".json,.jsonld,.html,.htm,.md,.markdown,.txt,.csv,application/json,text/html,text/plain,text/csv,text/markdown"
              inputProps={{ 'aria-label': 'Recipe file' }}
              onChange={(files) => {
                reset.current?.();
                if (files.length > 0) void take(files);
              }}
            >
              {(props) => (
                <Button loading={state !== undefined} {...props}>
                  Choose files
                </Button>
              )}
            </FileButton>
            <FileButton
              multiple
              resetRef={resetFolder}
              inputProps={{ 'aria-label': 'Folder of recipes', ...{ webkitdirectory: '' } }}
              onChange={(files) => {
                resetFolder.current?.();
                const good = files.filter(isRecipeFile);
                if (files.length > 0) void take(good, files.length - good.length);
              }}
            >
              {(props) => (
                <Button variant="outline" {...props}>
                  A folder
                </Button>
              )}
            </FileButton>
          </Group>
        </Card>
        <Empty
          title="Paste or write one"
          drawing={<RecipeSheet />}
          text="From a page, a message, a card in the drawer: paste its text, or type it line by line as you would on paper."
        >
          <Group gap={8} justify="center">
            <Button onClick={() => setPasting(true)}>Paste a recipe</Button>
            <Button component={Link} variant="outline" to="/recipes/write">
              Write one
            </Button>
          </Group>
        </Empty>
        <Empty
          title="Cook by feel"
          drawing={<FeelScale />}
          text="Put the pot on the scale and cook as you always do; Tambo writes down what goes in, and makes a recipe of it."
        >
          <Button component={Link} variant="outline" to="/recipes/feel">
            Begin
          </Button>
        </Empty>
      </Columns>
      <Stack mt={14}>
        <Text size="xs" c="dimmed">
          To save a page: in the browser choose “Save page as” and “HTML only”. <Link to="/recipes">Back to the recipes</Link>
        </Text>
      </Stack>
      {pasting && (
        <PasteSheet
          onClose={() => setPasting(false)}
          onText={(text) => {
            setPasting(false);
            void take([{ name: 'What you pasted', text }]);
          }}
        />
      )}
    </Page>
  );
}
