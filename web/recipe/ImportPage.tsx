import { Button, Card, FileButton, Group, Text, Title } from '@mantine/core';
import { useRef, useState, type DragEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { z } from 'zod';
import { useHalfMade } from '../form/useHalfMade.ts';
import { sayError, useReadRecipeMutation } from '../sync/api.ts';
import { notReadable } from '../ui/readable.ts';
import { Empty, PageHead, Page } from '../ui/ui.tsx';
import { RecipeSheet } from '../draw/RecipeSheet.tsx';
import { FeelScale } from '../draw/FeelScale.tsx';
import { Columns } from '../ui/Columns.tsx';
import { answersSchema } from './ReviewCard.tsx';
import { Review, reviewOf, type Reviewed } from './Review.tsx';
import { Note } from '../ui/Note.tsx';

/** A recipe as it was read; a line of it may be half changed. */
const readSchema = z.custom<Reviewed['draft']>(
  (v) =>
    z
      .looseObject({
        revision: z.looseObject({ lines: z.array(z.looseObject({ id: z.string(), written: z.string() })), steps: z.array(z.unknown()) }),
      })
      .safeParse(v).success,
);
/** What was read of a file and waits for a look, as it was left. */
const underReview = z.object({
  at: z.number(),
  list: z.array(
    z.object({
      draft: readSchema,
      name: z.string(),
      answers: answersSchema,
      more: z.string(),
      ids: z.object({ recipeId: z.string(), id: z.string() }),
    }),
  ),
});
const nothing: z.infer<typeof underReview> = { at: 0, list: [] };

/** A recipe file in: dropped or chosen, read, checked, kept. A file that cannot be read says why and loses nothing. */
export function ImportPage() {
  const navigate = useNavigate();
  const taken = useRef<() => void>(null);
  const [read, state] = useReadRecipeMutation();
  const [review, setReview, half] = useHalfMade({
    kind: 'import',
    key: 'import',
    name: (r) => `Bringing in ${r.list.map((x) => x.name).join(', ')}`,
    path: '/recipes/new',
    initial: nothing,
    schema: underReview,
  });
  const { list, at } = review;
  const [over, setOver] = useState(false);
  const [tooLarge, setTooLarge] = useState<string>();
  const take = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    const why = notReadable(file);
    setTooLarge(why);
    if (why) return;
    const answer = await read({ text: await file.text(), fileName: file.name });
    if (answer.data) {
      setReview({ at: 0, list: answer.data.drafts.map(reviewOf) });
    }
  };
  const onDrop = (e: DragEvent): void => {
    e.preventDefault();
    setOver(false);
    void take(e.dataTransfer.files[0]);
  };
  const value = list[at];
  const done = (id: string): void => {
    const rest = list.filter((_, i) => i !== at);
    if (rest.length > 0) setReview({ at: 0, list: rest });
    else half?.drop();
    if (rest.length === 0) void navigate(`/recipes/${id}`);
  };
  if (value)
    return (
      <Page>
        {list.length > 1 && (
          <Group gap={8} mb={12} className="chips">
            {list.map((r, i) => (
              <Button variant="chip" key={r.ids.id} aria-pressed={i === at} onClick={() => setReview({ ...review, at: i })}>
                {r.name}
              </Button>
            ))}
          </Group>
        )}
        <Review
          key={value.ids.id}
          value={value}
          onChange={(next, field) => setReview({ at, list: list.map((r, i) => (i === at ? next : r)) }, field)}
          onCancel={() => half?.drop()}
          onDone={done}
        />
      </Page>
    );
  const said = tooLarge !== undefined ? { message: tooLarge, refusals: [] } : state.error ? sayError(state.error) : undefined;
  return (
    <Page>
      <PageHead
        title="Bring in a recipe"
        lead="From a file on this computer: a web page you saved that holds a recipe, or a recipe file in JSON-LD."
      />
      <Columns least={280}>
        <Card
          component="div"
          bg={over ? 'var(--frost)' : 'var(--card)'}
          py={30}
          px={20}
          ta="center"
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
            From a file
          </Title>
          <Text inherit c="dimmed" mb={14}>
            Drop it here, or choose it: .json, .html or .htm. You check everything before it is kept.
          </Text>
          <FileButton
            resetRef={taken}
            accept=".json,.jsonld,.html,.htm,application/json,text/html"
            inputProps={{ 'aria-label': 'Recipe file' }}
            onChange={(file) => {
              taken.current?.();
              void take(file ?? undefined);
            }}
          >
            {(props) => (
              <Button loading={state.isLoading} {...props}>
                Choose a file
              </Button>
            )}
          </FileButton>
        </Card>
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
      {said && (
        <Note tone="bad" mt={14} role="alert">
          <b>{said.message}</b>
          {said.refusals[0] && (
            <div>
              {said.refusals[0].path}: expected {said.refusals[0].expected}, got {said.refusals[0].got}
            </div>
          )}
        </Note>
      )}
      <Text size="xs" c="dimmed" mt={14}>
        To save a page: in the browser choose “Save page as” and “HTML only”. <Link to="/recipes">Back to the recipes</Link>
      </Text>
    </Page>
  );
}
