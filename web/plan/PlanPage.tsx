import { Button, Card, Text, Title } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { Session } from '#core/contract';
import { addDays, nextWeekday, sayWeekday } from '#core/kitchen';
import type { FrameAnswer, RecipeBrief, SessionParts } from '#core/queries';
import { FirstSession } from '../welcome/FirstSession.tsx';
import { useFrameQuery, useKitchenQuery, useRecipesQuery, useSessionPlanQuery, useSessionsQuery } from '../sync/api.ts';
import { newId } from '../sync/device.ts';
import { PageHead, Waiting, Page } from '../ui/ui.tsx';
import { SessionHeader } from '../session/SessionHeader.tsx';
import { useDraft } from '../sync/useDraft.ts';
import { Editor } from './PlanEditor.tsx';
import { HalfMade } from '../ui/HalfMade.tsx';
import { batchOf, planDraftOf, planName, readPlanDraft, withDish } from './planDraft.ts';
import { Rows } from '../ui/Rows.tsx';

/** Plan: recipes and portions for a day, checked against containers, freezer and hours as you type. */
export function PlanPage() {
  const { id } = useParams();
  const [params] = useSearchParams();
  const frame = useFrameQuery();
  const recipes = useRecipesQuery();
  const sessions = useSessionsQuery();
  const kitchen = useKitchenQuery();
  const existing = useSessionPlanQuery(id ?? '', { skip: !id });
  if (!frame.data || !recipes.data || !sessions.data || (id && !existing.data))
    return <Waiting error={frame.error ?? recipes.error ?? sessions.error ?? existing.error} refetch={() => void existing.refetch()} />;
  const add = params.get('add');
  const here = sessions.data.sessions.find((s) => s.id === id);
  const creating = params.get('new') === '1' || add !== null;
  if (!id && !creating && sessions.data.sessions.length > 0) {
    return (
      <Page>
        <PageHead title="Plan" lead="What is cooking, what is coming.">
          <Button component={Link} to="/plan?new=1">
            Plan a session
          </Button>
        </PageHead>
        <HalfMade kinds={['plan']} />
        {sessions.data.sessions.map((s) => (
          <SessionHeader key={s.id} brief={s} />
        ))}
        {sessions.data.older.length > 0 && (
          <Card>
            <Title order={2}>Longer ago</Title>
            <Rows>
              {sessions.data.older.map((s) => (
                <li key={s.id}>
                  <Link className="main" to={`/plan/${s.id}`}>
                    {s.name}
                  </Link>
                  <Text span size="xs" c="dimmed">
                    {sayWeekday(s.day)}
                  </Text>
                </li>
              ))}
            </Rows>
          </Card>
        )}
      </Page>
    );
  }
  if (recipes.data.length === 0)
    return (
      <Page>
        <PageHead title="Plan" lead="A session is made of recipes: how many portions of each, on which day, by whom." />
        <Card aria-label="Your first session">
          <Title order={2}>Begin with dishes that come with Tambo</Title>
          {kitchen.data && <FirstSession kitchen={kitchen.data} today={frame.data.today} />}
        </Card>
      </Page>
    );
  return (
    <Page>
      {here && <SessionHeader brief={here} here={`/plan/${here.id}`} />}
      <Plan
        key={id ?? 'new'}
        id={id}
        begun={existing.data?.begun ?? []}
        stored={existing.data?.session ?? null}
        recipes={recipes.data}
        frame={frame.data}
      />
    </Page>
  );
}

/** A new session: next Saturday at nine. */
const newSession = (id: string, frame: FrameAnswer): Session => {
  const day = nextWeekday(addDays(frame.today, 1), 'sat');
  return {
    id,
    name: `Cook on ${sayWeekday(day)}`,
    day,
    startAt: '09:00',
    cooks: [{ id: 'cook_1', name: frame.household.name ? 'You' : 'Cook' }],
    batches: [],
  };
};

/** One plan being made: as it was left on this device, else as it is stored; a dish that is to be added comes on top. */
function Plan({
  id,
  begun,
  stored,
  recipes,
  frame,
}: {
  id: string | undefined;
  begun: SessionParts['plan']['begun'];
  stored: Session | null;
  recipes: RecipeBrief[];
  frame: FrameAnswer;
}) {
  const [params, setParams] = useSearchParams();
  const [freshId] = useState(newId);
  const [initial] = useState(() => planDraftOf(stored ?? newSession(freshId, frame), stored));
  const draft = useDraft({
    kind: 'plan',
    key: `plan ${id ?? 'new'}`,
    name: planName,
    path: id === undefined ? '/plan?new=1' : `/plan/${id}`,
    initial,
    read: readPlanDraft,
  });
  const add = params.get('add');
  const asked = (add ?? '').split(',');
  const portions = Number(params.get('portions'));
  const added = recipes
    .filter((r) => asked.includes(r.recipe.id))
    .map((r, i) => batchOf(`${freshId}-b${i === 0 ? '' : i}`, r, portions || r.servings, Number(params.get('unsalted'))));
  const laid = useRef(false);
  useEffect(() => {
    if (!draft || added.length === 0 || laid.current) return;
    laid.current = true;
    draft.edit(added.reduce(withDish, draft.value));
    setParams(id === undefined ? { new: '1' } : {}, { replace: true });
  });
  return draft && <Editor draft={draft} initial={initial} recipes={recipes} begun={begun} />;
}
