import { Card, Stack, Text, Title } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { Navigate, useNavigate, useParams, useSearchParams } from 'react-router';
import type { Recipe, Writing } from '#core/contract';
import { sayPortions } from '#core/kitchen';
import {
  canKeep,
  compose,
  emptyWriting,
  readLine,
  readPasted,
  sayAsk,
  writingOf,
  writingOfFile,
  type ComposedFood,
  type ReadingContext,
} from '#core/recipe';
import { portionName } from '#core/session';
import type { RecipeAnswer, WriteAnswer } from '#core/queries';
import { useRecipeQuery, useWriteQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { newId } from '../sync/device.ts';
import { now } from '../sync/clock.ts';
import { useAppSelector } from '../sync/store.ts';
import type { DraftRun } from '../sync/useDraft.ts';
import { useMeasures } from '../sync/measures.ts';
import { Columns } from '../ui/Columns.tsx';
import { Note } from '../ui/Note.tsx';
import { Rows } from '../ui/Rows.tsx';
import { Page, Waiting } from '../ui/ui.tsx';
import { useOnce } from '../ui/useOnce.ts';
import { useCircle } from '../recipe/useCircle.ts';
import { AboutCard } from './AboutCard.tsx';
import { Asks, ComesOut, ForTheFreezer, type Put } from './Beside.tsx';
import { Head } from './Head.tsx';
import { importKey, type ImportList } from './importList.ts';
import { keepChanges } from './keep.ts';
import type { SetFood } from './FoodPanel.tsx';
import { LinesCard } from './LinesCard.tsx';
import { MethodCard } from './MethodCard.tsx';
import { NewFood } from './NewFood.tsx';
import { PasteSheet } from './PasteSheet.tsx';
import { MethodAsks, MethodFindings } from './shelf/MethodBeside.tsx';
import { MethodShelf } from './shelf/MethodShelf.tsx';
import { ReadAgain } from './shelf/ReadAgain.tsx';
import { useMethod } from './shelf/useMethod.ts';
import { corrected, useComposed, useReading, useWritingDraft } from './useWriting.ts';

interface Kept {
  recipe: Recipe;
  answer: RecipeAnswer;
}

const isBlank = (w: Writing): boolean => w.lines.every((l) => l.text.trim() === '') && w.steps.every((s) => s.text.trim() === '');

/** Title, lines and steps of a whole recipe that was pasted, put in where there is nothing yet and behind what there is. */
function withPasted(w: Writing, text: string): Writing | undefined {
  const [read] = readPasted(text);
  if (!read || read.steps.length === 0) return undefined;
  const pasted = writingOfFile(read, newId);
  const blank = isBlank(w);
  return {
    ...w,
    name: w.name.trim() || (pasted.name === 'Recipe without a name' ? '' : pasted.name),
    makes: w.makes.trim() || pasted.makes,
    tags: w.tags || pasted.tags,
    source: w.source || (pasted.source === 'from a file' ? '' : pasted.source),
    note: [w.note, pasted.note].filter(Boolean).join('\n'),
    lines: blank ? pasted.lines : [...w.lines.filter((l) => l.text.trim() !== ''), ...pasted.lines],
    steps: blank ? pasted.steps : [...w.steps.filter((s) => s.text.trim() !== ''), ...pasted.steps],
    ...(pasted.base && !w.base && { base: pasted.base }),
  };
}

function Editor({
  id,
  draft,
  reading,
  data,
  kept,
}: {
  id: string;
  draft: DraftRun<Writing>;
  reading: ReadingContext;
  data: WriteAnswer;
  kept: Kept | undefined;
}) {
  const navigate = useNavigate();
  const { write } = useCommands();
  const { busy, once } = useOnce();
  const { value: writing, edit } = draft;
  const { composed, read } = useComposed(writing, reading);
  const { sayMass, sayVolume } = useMeasures();
  const circleOf = useCircle();
  const [problem, setProblem] = useState('');
  const [pasting, setPasting] = useState(false);
  const [params] = useSearchParams();
  const [again, setAgain] = useState(params.has('again'));
  const [making, setMaking] = useState<ComposedFood>();
  /** Others of its files that still wait. */
  const waiting = useAppSelector((s) => (s.drafts.byKey[importKey]?.present as ImportList | undefined)?.items?.length ?? 0);
  const live = useRef({ writing, edit, draft });
  useEffect(() => {
    live.current = { writing, edit, draft };
  });
  useHotkeys(
    [
      ['mod+Z', () => live.current.draft.undo?.()],
      ['mod+shift+Z', () => live.current.draft.redo?.()],
      ['mod+Y', () => live.current.draft.redo?.()],
    ],
    [],
    true,
  );
  const rows = useRef(composed.rows);
  useEffect(() => {
    rows.current = composed.rows;
  });
  const onFood = useCallback<SetFood>((food, set, unset) => {
    const { writing: w, edit: put } = live.current;
    const next = corrected(w, rows.current, food, set, unset);
    put(next, `fix ${food.line.id} ${Object.keys(set).join()}`);
  }, []);
  const put = useCallback<Put>((part, field) => {
    const next = { ...live.current.writing, ...part };
    // what is said to be nothing is not there any more
    const kept = Object.fromEntries(Object.entries(next).filter(([, v]) => v !== undefined)) as Writing;
    live.current.edit(kept, field);
  }, []);
  // what stands beside follows a moment after the letter
  const later = useDeferredValue(composed);
  const laterWriting = useDeferredValue(writing);
  const openAgain = useCallback(() => setAgain(true), []);
  const laterMethod = useMethod(live, read);
  const takeAmount = useCallback(
    (lineId: string, amount: string): void => {
      const food = rows.current.flatMap((r) => ('foods' in r ? r.foods : [])).find((f) => f.line.id === lineId);
      const read = readLine(`${amount} of it`);
      if (food && read?.amount !== undefined) onFood(food, { amount: read.amount, ...(read.unit && { unit: read.unit }) });
    },
    [onFood],
  );
  const takeWhole = useCallback((text: string): boolean => {
    const next = withPasted(live.current.writing, text);
    if (next) live.current.edit(next);
    return next !== undefined;
  }, []);
  const keep = async (plan: boolean): Promise<void> => {
    // with every word of the method read, however quick the hand was
    const whole = compose(writing, reading);
    const revision = plan ? { ...whole.revision, confirmed: [...new Set([...whole.revision.confirmed, 'kind' as const])] } : whole.revision;
    const changes = keepChanges(id, writing, revision, kept?.recipe ?? null);
    const names = await circleOf({ ...revision, id: 'writing', recipeId: id, madeAt: now() }, kept?.answer.drawn ?? []).catch(
      () => undefined,
    );
    if (names) {
      setProblem(
        `That would go in a circle: ${names.join(', from ')}. Everything you wrote is kept here; choose another recipe for that line.`,
      );
      return;
    }
    await write(changes, kept ? `${revision.name} is changed` : `${revision.name} is in your recipes`);
    const more = writing.from !== undefined && waiting > 0;
    if (plan) await navigate(`/plan?${new URLSearchParams({ add: id, portions: String(revision.servings) }).toString()}`);
    else await navigate(more ? '/recipes/new' : `/recipes/${id}`);
    draft.drop();
  };
  const around = writing.around ?? [];
  const { serving } = composed.revision;
  const one = serving.unit === 'g' ? sayMass(serving.amount) : sayVolume(serving.amount);
  const good = canKeep(composed);
  const keeping = useRef((plan: boolean): void => once(() => keep(plan)));
  useEffect(() => {
    keeping.current = (plan) => once(() => keep(plan));
  });
  const headActs = useMemo(() => ({ put, paste: () => setPasting(true), keep: (plan: boolean) => keeping.current(plan) }), [put]);
  const stops = composed.asks.filter((a) => a.ask === 'cannotBeMeant' || a.ask === 'tooMany');
  return (
    <Page>
      <Head
        name={writing.name}
        kind={composed.revision.kind}
        makes={`${sayPortions(composed.revision.servings)} ${portionName(composed.revision.kind, composed.revision.servings)} of ${one}`}
        guessed={composed.guessed.includes('makes')}
        isNew={kept === undefined}
        good={good}
        plannable={good && composed.revision.confirmed.includes('yield')}
        busy={busy}
        onUndo={draft.undo}
        onRedo={draft.redo}
        acts={headActs}
      />
      {[problem, ...stops.map(sayAsk), ...around.filter((n) => n.field === 'file').map((n) => n.value)].filter(Boolean).map((says) => (
        <Note tone="bad" mb={12} role="alert" key={says}>
          {says}
        </Note>
      ))}
      <Columns parts={[2.35, 1]} align="start">
        <Stack>
          <LinesCard
            writing={writing}
            composed={composed}
            edit={edit}
            finder={reading.finder}
            onFood={onFood}
            onNew={setMaking}
            onWhole={takeWhole}
          />
          <MethodCard writing={writing} composed={composed} edit={edit} />
          <MethodShelf method={laterMethod} onReadAgain={writing.steps.some((w) => w.step ?? w.kept) ? openAgain : undefined} />
        </Stack>
        <Stack>
          <MethodAsks method={laterMethod} />
          <Asks writing={laterWriting} composed={later} recipeId={id} data={data} put={put} onFood={onFood} onNew={setMaking} />
          <MethodFindings method={laterMethod} finder={reading.finder} onAmount={takeAmount} />
          <AboutCard writing={writing} composed={composed} data={data} put={put} />
          <ComesOut composed={later} finder={reading.finder} data={data} put={put} />
          <ForTheFreezer composed={later} finder={reading.finder} data={data} />
          {around.length > 0 && (
            <Card aria-label="Not understood">
              <Title order={2}>Around it in {writing.from ?? 'the file'}</Title>
              <Text size="sm" c="dimmed">
                Not used, and nothing of it is kept once you keep the recipe.
              </Text>
              <Rows mah={320}>
                {around.map((n) => (
                  <li key={n.field}>
                    <div className="grow">
                      <b>{n.field}</b>
                      <Text size="sm" style={{ whiteSpace: 'pre-line', overflowWrap: 'anywhere' }}>
                        {n.value}
                      </Text>
                    </div>
                  </li>
                ))}
              </Rows>
            </Card>
          )}
        </Stack>
      </Columns>
      {again && (
        <ReadAgain
          writing={writing}
          steps={composed.revision.steps}
          reading={reading}
          onClose={() => setAgain(false)}
          onTake={(next) => {
            edit(next);
            setAgain(false);
          }}
        />
      )}
      {making && (
        <NewFood
          name={making.line.name}
          onClose={() => setMaking(undefined)}
          onMade={(row) => {
            onFood(making, { item: { type: 'ingredient', id: row.id }, name: row.name });
            setMaking(undefined);
          }}
        />
      )}
      {pasting && (
        <PasteSheet
          onClose={() => setPasting(false)}
          onText={(text) => {
            const whole = takeWhole(text);
            if (!whole) {
              const lines = text
                .split(/\r?\n/)
                .map((l) => l.trim())
                .filter(Boolean)
                .map((l) => ({ id: newId(), text: l }));
              edit({ ...writing, lines: [...writing.lines.filter((l) => l.text.trim() !== ''), ...lines] });
            }
            setPasting(false);
          }}
        />
      )}
    </Page>
  );
}

function Ready({
  id,
  path,
  initial,
  ...rest
}: {
  id: string;
  path: string;
  initial: Writing;
  reading: ReadingContext;
  data: WriteAnswer;
  kept: Kept | undefined;
}) {
  const draft = useWritingDraft(id, path, initial);
  return draft ? <Editor key={id} id={id} draft={draft} {...rest} /> : null;
}

/** A recipe of one's own, written from nothing or from what a file held. */
export function WritePage() {
  const { id = '' } = useParams();
  const { data, error, refetch } = useWriteQuery();
  const reading = useReading(data, id);
  if (!data || !reading) return <Waiting error={error} refetch={() => void refetch()} />;
  return <Ready key={id} id={id} path={`/recipes/write/${id}`} initial={emptyWriting} reading={reading} data={data} kept={undefined} />;
}

/** A recipe that is kept, written on: it becomes a new revision. */
export function EditPage() {
  const { id = '' } = useParams();
  const { data, error, refetch } = useWriteQuery();
  const recipe = useRecipeQuery(id);
  const reading = useReading(data, id);
  const answer = recipe.data?.recipe.id === id ? recipe.data : undefined;
  const initial = useMemo(() => answer && reading && writingOf(answer.revision, reading, answer.recipe), [answer, reading]);
  if (!data || !reading || !answer || !initial)
    return <Waiting error={error ?? recipe.error} refetch={() => void (error ? refetch() : recipe.refetch())} />;
  return (
    <Ready
      key={id}
      id={id}
      path={`/recipes/${id}/edit`}
      initial={initial}
      reading={reading}
      data={data}
      kept={{ recipe: answer.recipe, answer }}
    />
  );
}

/** A new recipe: a page of its own, so that several can be half written. */
export function NewRecipePage() {
  const [id] = useState(newId);
  return <Navigate to={`/recipes/write/${id}`} replace />;
}
