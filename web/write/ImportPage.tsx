import { Button, Card, FileButton, Group, Progress, Stack, Text, Title } from '@mantine/core';
import { useRef, useState, type DragEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { writingOfFile } from '#core/recipe';
import { FeelScale } from '../draw/FeelScale.tsx';
import { RecipeSheet } from '../draw/RecipeSheet.tsx';
import { useHalfMade } from '../form/useHalfMade.ts';
import { useWriteQuery } from '../sync/api.ts';
import { now } from '../sync/clock.ts';
import { newId } from '../sync/device.ts';
import { draftEdited } from '../sync/draftsSlice.ts';
import { useAppDispatch } from '../sync/store.ts';
import { HalfMade } from '../ui/HalfMade.tsx';
import { Columns } from '../ui/Columns.tsx';
import { Note } from '../ui/Note.tsx';
import { notReadable } from '../ui/readable.ts';
import { Empty, PageHead, Page, Waiting } from '../ui/ui.tsx';
import type { FilesRead, ToRead } from '../workers/read.worker.ts';
import { filesOf, isRecipeFile } from './dropped.ts';
import { importKey, importListSchema, noImports, writingKey, writingName, type ImportItem, type ImportList } from './importList.ts';
import { ImportListView } from './ImportListView.tsx';
import { PasteSheet } from './PasteSheet.tsx';
import { useReader } from './useReader.ts';
import { useReading } from './useWriting.ts';

const nameOf = ({ items }: ImportList): string =>
  items.length === 1 ? `Bringing in ${items[0]?.writing.name ?? 'a recipe'}` : `Bringing in ${items.length} recipes`;

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
