import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import type { Batch, Session } from '#core/contract';
import { addDays, nextWeekday, sayWeekday } from '#core/kitchen';
import { useFrameQuery, useRecipesQuery, useSessionPlanQuery, useSessionsQuery } from '../sync/api.ts';
import { newId } from '../sync/device.ts';
import { Empty, PageHead, Waiting } from '../ui/ui.tsx';
import { SessionHeader } from '../session/SessionHeader.tsx';
import { Editor } from './PlanEditor.tsx';

/** Plan: recipes and portions for a day, checked against containers, freezer and hours as you type. */
export function PlanPage() {
  const { id } = useParams();
  const [params] = useSearchParams();
  const frame = useFrameQuery();
  const recipes = useRecipesQuery();
  const sessions = useSessionsQuery();
  const existing = useSessionPlanQuery(id ?? '', { skip: !id });
  const [freshId] = useState(newId);
  if (!frame.data || !recipes.data || !sessions.data || (id && !existing.data))
    return <Waiting error={frame.error ?? recipes.error ?? sessions.error ?? existing.error} refetch={() => void existing.refetch()} />;
  const add = params.get('add');
  const brief = recipes.data.find((r) => r.recipe.id === add);
  const added: Batch[] = brief
    ? [
        {
          id: `${freshId}-b`,
          recipeId: brief.recipe.id,
          revisionId: brief.recipe.revisionId,
          portions: Number(params.get('portions')) || brief.servings,
          ...(brief.yieldFactor !== undefined && { yieldFactor: brief.yieldFactor }),
          ...(Number(params.get('unsalted')) > 0 && { unsalted: Number(params.get('unsalted')) }),
        },
      ]
    : [];
  const day = nextWeekday(addDays(frame.data.today, 1), 'sat');
  const cook = frame.data.household.name;
  const stored = existing.data?.session;
  const base: Session = stored ?? {
    id: freshId,
    name: `Cook on ${sayWeekday(day)}`,
    day,
    startAt: '09:00',
    cooks: [{ id: 'cook_1', name: cook ? 'You' : 'Cook' }],
    batches: [],
  };
  const initial: Session = {
    ...base,
    // what is on the plan already is cooked at the new size, not twice
    batches: [
      ...base.batches.map((b) => {
        const again = added.find((a) => a.recipeId === b.recipeId);
        return again ? { ...again, id: b.id } : b;
      }),
      ...added.filter((a) => !base.batches.some((b) => b.recipeId === a.recipeId)),
    ],
  };
  const here = sessions.data.sessions.find((s) => s.id === id);
  const creating = params.get('new') === '1' || add !== null;
  if (!id && !creating && sessions.data.sessions.length > 0) {
    return (
      <main className="page">
        <PageHead title="Plan" lead="What is cooking, what is coming.">
          <Link className="btn" to="/plan?new=1">
            Plan a session
          </Link>
        </PageHead>
        {sessions.data.sessions.map((s) => (
          <SessionHeader key={s.id} brief={s} />
        ))}
        {sessions.data.older.length > 0 && (
          <section className="card">
            <h2>Longer ago</h2>
            <ul className="rows">
              {sessions.data.older.map((s) => (
                <li key={s.id}>
                  <Link className="main" to={`/plan/${s.id}`}>
                    {s.name}
                  </Link>
                  <span className="sub">{sayWeekday(s.day)}</span>
                </li>
              ))}
            </ul>
          </section>
        )}
      </main>
    );
  }
  if (recipes.data.length === 0)
    return (
      <main className="page">
        <Empty title="First a recipe" text="A session is made of recipes. Bring one in from a file, then plan how many portions you want.">
          <Link className="btn" to="/recipes/new">
            Bring in a recipe
          </Link>
        </Empty>
      </main>
    );
  return (
    <main className="page">
      {here && <SessionHeader brief={here} here={`/plan/${here.id}`} />}
      <Editor key={`${id ?? 'new'}-${add ?? ''}`} initial={initial} stored={stored ?? null} recipes={recipes.data} />
    </main>
  );
}
