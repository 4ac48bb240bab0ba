import { Button, Card, Stack, Text, Title } from '@mantine/core';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Session } from '#core/contract';
import { isDinnerKind, countOf, sayPortions, sayWeekday } from '#core/kitchen';
import { maxPortions } from '#core/recipe';
import type { RecipeBrief, SessionParts } from '#core/queries';
import { useFrameQuery, useKitchenQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { newId } from '../sync/device.ts';
import type { DraftRun } from '../sync/useDraft.ts';
import { PageHead } from '../ui/ui.tsx';
import { Unkept } from '../ui/Unkept.tsx';
import { CutOnce, ThreeWeeks, ToBuy } from './Beside.tsx';
import { BegunAsks } from './BegunAsks.tsx';
import { AddDish } from './AddDish.tsx';
import { BaseNote, PickedDish } from './Dishes.tsx';
import { FitCard } from './FitCard.tsx';
import { batchOf, okPortions, sessionOfDraft, type PlanDraft } from './planDraft.ts';
import { WhenCard } from './WhenCard.tsx';
import { usePlanCheck } from './usePlanCheck.ts';
import { Columns } from '../ui/Columns.tsx';
import { Rows } from '../ui/Rows.tsx';
import { Note } from '../ui/Note.tsx';

/** What of a plan decides whether it fits: not what it is called. */
const checkedBy = (session: Session): string => JSON.stringify({ ...session, name: '' });

/** The plan of a session as it is made: when, who and what, and beside it what that comes to. */
export function Editor({
  draft,
  recipes,
  initial,
  begun,
}: {
  draft: DraftRun<PlanDraft>;
  recipes: readonly RecipeBrief[];
  initial: PlanDraft;
  /** Dishes of it that were begun. */
  begun: SessionParts['plan']['begun'];
}) {
  const navigate = useNavigate();
  const frame = useFrameQuery().data;
  const kitchen = useKitchenQuery().data;
  const { write } = useCommands();
  const [asking, setAsking] = useState<{ dishes: typeof begun; go: () => void }>();
  const { value: plan, edit } = draft;
  const { day, startAt, dishes, was } = plan;
  const session = useMemo(() => sessionOfDraft(plan), [plan]);
  const checked = checkedBy(session);
  // the same object while nothing that is checked has moved
  const asked = useMemo(() => JSON.parse(checked) as Session, [checked]);
  const { draft: comesTo, busy, problem } = usePlanCheck(asked.batches.length > 0 ? asked : undefined);
  const today = frame?.today ?? day;
  const nameOf = (recipeId: string): string => recipes.find((r) => r.recipe.id === recipeId)?.recipe.name ?? 'a dish';
  const badPortions = dishes
    .filter((p) => !okPortions(p.text))
    .map((p) => `“${p.text}” portions of ${nameOf(p.batch.recipeId)}: give more than 0 and at most ${maxPortions}. The rest is kept.`);
  const add = (r: RecipeBrief, portions: number): void =>
    edit({ ...plan, dishes: [...dishes, { batch: batchOf(newId(), r, portions), text: String(portions) }] });
  /** The draft stands until the next page does: a tap on the way there still means the same plan. */
  const leave = async (to: string): Promise<void> => {
    await navigate(to);
    draft.drop();
  };
  const save = async (): Promise<void> => {
    await write([{ table: 'session', id: session.id, data: session, was }], `${session.name} is planned for ${sayWeekday(session.day)}`);
    await leave(`/shop/${session.id}`);
  };
  const remove = async (): Promise<void> => {
    await write([{ table: 'session', id: plan.id, data: null, was }], `${initial.name} is taken off the plan`);
    await leave('/plan');
  };
  const takeOff = (p: PlanDraft['dishes'][number]): void => {
    const go = (): void => edit({ ...plan, dishes: dishes.filter((x) => x !== p) });
    const mine = begun.filter((b) => b.batchId === p.batch.id);
    if (mine.length > 0) setAsking({ dishes: mine, go });
    else go();
  };
  const plates = session.batches.reduce(
    (s, b) => s + (isDinnerKind(recipes.find((r) => r.recipe.id === b.recipeId)?.recipe.kind ?? '') ? b.portions : 0),
    0,
  );
  return (
    <>
      <PageHead
        title={was === null ? 'Plan a session' : 'The plan'}
        lead={`${countOf(dishes.length, 'dish', 'dishes')}, ${sayPortions(plates)} plates${frame ? `; ${frame.supplies.dinners.count} dinners stand in the freezer` : ''}.`}
      >
        {was !== null && (
          <Button
            variant="outline"
            onClick={() => (begun.length > 0 ? setAsking({ dishes: begun, go: () => void remove() }) : void remove())}
          >
            Take it off the plan
          </Button>
        )}
        <Button disabled={dishes.length === 0 || badPortions.length > 0} onClick={() => void save()}>
          {was === null ? 'Plan it and make the list' : 'Save and open the list'}
        </Button>
      </PageHead>
      {asking && (
        <BegunAsks
          dishes={asking.dishes}
          sessionId={plan.id}
          onGo={() => {
            setAsking(undefined);
            asking.go();
          }}
          onLeave={() => setAsking(undefined)}
        />
      )}
      <Unkept draft={draft} initial={initial} />
      <Columns align="start" parts={[1.6, 1]}>
        <Stack>
          <WhenCard plan={plan} session={session} today={today} edit={edit} />
          <Card aria-label="Dishes">
            <Title order={2}>Dishes</Title>
            {dishes.length === 0 ? (
              <Text inherit c="dimmed">
                None yet. Pick from the list below.
              </Text>
            ) : (
              <Rows>
                {dishes.map((p) => (
                  <PickedDish
                    key={p.batch.id}
                    dish={p}
                    brief={recipes.find((x) => x.recipe.id === p.batch.recipeId)}
                    comesTo={comesTo}
                    onType={(text) =>
                      edit({ ...plan, dishes: dishes.map((x) => (x === p ? { ...x, text } : x)) }, `portions of ${p.batch.id}`)
                    }
                    onRemove={() => takeOff(p)}
                  />
                ))}
              </Rows>
            )}
            {badPortions.map((p) => (
              <Note tone="bad" mt={8} key={p} role="alert">
                {p}
              </Note>
            ))}
            {comesTo?.bases.map((b) => (
              <BaseNote
                key={b.recipeId}
                base={b}
                brief={dishes.some((p) => p.batch.recipeId === b.recipeId) ? undefined : recipes.find((r) => r.recipe.id === b.recipeId)}
                onAdd={add}
              />
            ))}
            {problem !== undefined && (
              <Note tone="bad" mt={8} role="alert">
                {problem}
              </Note>
            )}
          </Card>
          <AddDish recipes={recipes} dishes={dishes} onAdd={add} />
        </Stack>
        <Stack>
          <FitCard comesTo={comesTo} busy={busy} startAt={startAt} />
          {comesTo && <CutOnce tasks={comesTo.cutOnce} />}
          {comesTo && <ToBuy buy={comesTo.buy} />}
        </Stack>
      </Columns>
      {kitchen && <ThreeWeeks weeks={kitchen.weeks} day={day} />}
    </>
  );
}
