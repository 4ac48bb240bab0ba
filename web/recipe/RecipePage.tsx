import { Box, Button, Card, Group, Stack, Text, Title } from '@mantine/core';
import { memo, useCallback, useEffect, useRef } from 'react';
import { Link, Navigate, useNavigate, useParams } from 'react-router';
import { countOf, sayDayYear, sayPortions, toNumber } from '#core/kitchen';
import { sayGap } from '#core/recipe';
import { portionName } from '#core/session';
import { type RecipeAnswer } from '#core/queries';
import { useFrameQuery, useRecipeQuery } from '../sync/api.ts';
import { Cautions, NotFor, PageHead, Waiting, Page } from '../ui/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { Amounts } from './Amounts.tsx';
import { DrawnByCard, DrawsCard } from './BasesCard.tsx';
import { DoseCard } from './DoseCard.tsx';
import { FreezingCard } from './FreezingCard.tsx';
import { NotesCard } from './NotesCard.tsx';
import { PortionCard } from './PortionCard.tsx';
import { RecipeMenu } from './RecipeMenu.tsx';
import { RecordCard } from './RecordCard.tsx';
import { ReheatCard } from './ReheatCard.tsx';
import { ReviewCard } from './ReviewCard.tsx';
import { ScaleBar } from './ScaleBar.tsx';
import { SizeCard } from './SizeCard.tsx';
import { StepsCard } from './StepsCard.tsx';
import { ThroughCard } from './ThroughCard.tsx';
import { YieldCheck } from './YieldCheck.tsx';
import { useScaling, type Scaling } from './useScaling.ts';
import { useMeasures, type Measures } from '../sync/measures.ts';
import { Rows } from '../ui/Rows.tsx';
import { Columns } from '../ui/Columns.tsx';
import { Picture } from '../ui/Picture.tsx';
import c from './Recipe.module.css';

/** What does not move with the size is not drawn again at every key. */
const CookCautions = memo(Cautions);

function lead(data: RecipeAnswer, { sayMass, sayVolume }: Measures): string {
  const { revision, learned, runs } = data;
  const one = revision.serving.unit === 'ml' ? sayVolume(revision.serving.amount) : sayMass(revision.serving.amount);
  const off = learned ? Math.round((learned.factor - 1) * 100) : 0;
  return [
    `Written for ${sayPortions(revision.servings)} of ${one}${revision.confirmed.includes('serving') ? '' : ' (guessed)'}.`,
    data.lastMade ? `Last made ${sayDayYear(data.lastMade)}.` : 'Not made yet.',
    off !== 0
      ? `Comes out ${Math.abs(off)} % ${off < 0 ? 'under' : 'over'} what it says, from ${countOf(runs.length, 'weighed batch', 'weighed batches')}.`
      : '',
    data.portionsInStore > 0 ? `${sayPortions(data.portionsInStore)} ${portionName(revision.kind, data.portionsInStore)} in store.` : '',
  ]
    .filter(Boolean)
    .join(' ');
}

/** Everything that moves with the size. */
const Sized = memo(function Sized({ data, s }: { data: RecipeAnswer; s: Scaling }) {
  const { revision } = data;
  const { scaled, change } = s;
  const toPortions = useCallback((n: number) => change({ by: 'portions', portions: String(n) }), [change]);
  const gaps = data.gaps.filter((g) => g.gap !== 'unconfirmed');
  return (
    <Columns parts={[1.35, 1]} align="start" className={c.sized} mt={16}>
      <Stack>
        {scaled && (
          <Amounts
            data={data}
            s={s}
            lines={scaled.lines.filter((l) => l.line.moment === 'batch')}
            title="What goes in"
            none="No lines yet"
          />
        )}
        {scaled && (
          <Amounts data={data} s={s} lines={scaled.lines.filter((l) => l.line.moment === 'cookDay')} title="On the day it is eaten" />
        )}
        <StepsCard revision={revision} passage={scaled?.passage} factor={scaled ? toNumber(scaled.factor) : 1} />
      </Stack>
      <Stack>
        {scaled && <SizeCard data={data} scaled={scaled} />}
        {scaled?.passage && <ThroughCard passage={scaled.passage} />}
        {scaled && <PortionCard data={data} s={s} scaled={scaled} />}
        {scaled && <DrawsCard data={data} scaled={scaled} />}
        {data.recipe.pictureId && (
          <Card p={0} aria-label="Picture" className={c.picture}>
            <Picture key={data.recipe.pictureId} id={data.recipe.pictureId} alt={revision.name} />
          </Card>
        )}
        <DrawnByCard data={data} onScale={toPortions} />
        <DoseCard data={data} />
        <NotesCard data={data} />
        <ReheatCard data={data} />
        <FreezingCard flags={data.freezing} keeps={data.keeps} />
        {gaps.length > 0 && (
          <Card aria-label="Left open">
            <Title order={2}>Left open</Title>
            <Rows>
              {gaps.map((g) => (
                <li key={JSON.stringify(g)}>
                  <Box className="grow">{sayGap(g)}.</Box>
                </li>
              ))}
            </Rows>
          </Card>
        )}
        <CookCautions list={data.cautions} title="While you cook it" />
        <Text size="xs" c="dimmed">
          {countOf(revision.lines.length, 'line')}, {countOf(revision.steps.length, 'step')}, {revision.source}.{' '}
          <Link to="/recipes">All recipes</Link>
        </Text>
      </Stack>
    </Columns>
  );
});

/** Name, record and what can be done: the same at every size. */
const RecipeHead = memo(function RecipeHead({
  data,
  ready,
  onPlan,
}: {
  data: RecipeAnswer;
  ready: boolean;
  onPlan: (to?: string) => void;
}) {
  const measures = useMeasures();
  const frame = useFrameQuery().data;
  const { revision } = data;
  const open = frame?.open.find((x) => x.state.stage === 'planned');
  return (
    <PageHead
      title={
        <Group wrap="nowrap" component="span" gap={14}>
          <KindMark kind={revision.kind} size={38} alone />
          {revision.name}
        </Group>
      }
      lead={lead(data, measures)}
    >
      <Button component="a" variant="outline" href="#method">
        Method
      </Button>
      <Button component={Link} variant="outline" to={`/recipes/${data.recipe.id}/edit`}>
        Edit
      </Button>
      <RecipeMenu data={data} />
      {!isUnconfirmed(data) && (
        <Button disabled={!ready} onClick={() => onPlan(open?.id)}>
          {open ? (
            <>
              {open.dishes.includes(revision.name) ? 'Change it in' : 'Add to'}{' '}
              <Text span inherit visibleFrom="sm">
                {open.name}
              </Text>
              <Text span inherit hiddenFrom="sm">
                the plan
              </Text>
            </>
          ) : (
            'Plan it'
          )}
        </Button>
      )}
    </PageHead>
  );
});

const isUnconfirmed = (data: RecipeAnswer): boolean => data.gaps.some((g) => g.gap === 'unconfirmed');

function Scaled({ data }: { data: RecipeAnswer }) {
  const navigate = useNavigate();
  const { typing, scaling } = useScaling(data);
  const { revision } = data;
  const live = useRef(scaling);
  useEffect(() => {
    live.current = scaling;
  });
  const plan = useCallback(
    (sessionId?: string): void => {
      const { scaled, split } = live.current;
      if (!scaled) return;
      const p = new URLSearchParams({ add: revision.recipeId, portions: String(Number(scaled.portions.toFixed(2))) });
      if (split?.ok) p.set('unsalted', String(split.split.unsalted));
      void navigate(sessionId === undefined ? `/plan?${p.toString()}` : `/plan/${sessionId}?${p.toString()}`);
    },
    [navigate, revision.recipeId],
  );
  return (
    <Page>
      <RecipeHead data={data} ready={scaling.scaled !== undefined} onPlan={plan} />
      {isUnconfirmed(data) ? <ReviewCard recipe={data.recipe} revision={revision} /> : <YieldCheck data={data} />}
      <NotFor says={data.warnings} />
      <ScaleBar data={data} typing={typing} error={scaling.error} />
      <Sized data={data} s={scaling} />
      <RecordCard data={data} />
    </Page>
  );
}

/** One recipe at any size: what to measure out, large; exact figures and reasons one tap away. */
export function RecipePage() {
  const { id = '' } = useParams();
  const { currentData: data, error, refetch } = useRecipeQuery(id);
  if (!data) return <Waiting error={error} refetch={() => void refetch()} />;
  // it is the same as another one by now
  if (data.recipe.id !== id) return <Navigate to={`/recipes/${data.recipe.id}`} replace />;
  return <Scaled key={id} data={data} />;
}
