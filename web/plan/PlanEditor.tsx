import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Session } from '#core/contract';
import { isDinnerKind, countOf, daysFrom, sayPortions, sayWeekday } from '#core/kitchen';
import { maxPortions } from '#core/recipe';
import type { RecipeBrief } from '#core/queries';
import { sayError, useCheckPlanQuery, useFrameQuery, useKitchenQuery } from '../sync/api.ts';
import { useCommands } from '../sync/commands.ts';
import { newId } from '../sync/device.ts';
import { PageHead } from '../ui/ui.tsx';
import { Field } from '../kitchen/fields.tsx';
import { CutOnce, ThreeWeeks, ToBuy } from './Beside.tsx';
import { AddDish, BaseNote, okPortions, PickedDish, type Pick } from './Dishes.tsx';
import { FitCard } from './FitCard.tsx';

const halfHours = Array.from({ length: 34 }, (_, i) => `${String(5 + Math.floor(i / 2)).padStart(2, '0')}:${i % 2 === 0 ? '00' : '30'}`);

/** At most six hands at one worktop. */
const mostCooks = 6;

/** Cooks by their names; those who were there keep who they are. */
function cooksFrom(text: string, before: Session['cooks']): Session['cooks'] {
  const names = text
    .split(',')
    .map((n) => n.trim().slice(0, 60))
    .filter(Boolean)
    .slice(0, mostCooks);
  const list = names.length > 0 ? names : ['Cook'];
  return list.map((name, i) => ({ id: before.find((c) => c.name === name)?.id ?? before[i]?.id ?? `cook_${i + 1}`, name }));
}

export function Editor({ initial, stored, recipes }: { initial: Session; stored: Session | null; recipes: readonly RecipeBrief[] }) {
  const navigate = useNavigate();
  const frame = useFrameQuery().data;
  const kitchen = useKitchenQuery().data;
  const { write } = useCommands();
  const [was] = useState(stored);
  const [name, setName] = useState(initial.name);
  const [day, setDay] = useState(initial.day);
  const [startAt, setStartAt] = useState(initial.startAt);
  const [cooks, setCooks] = useState(initial.cooks.map((c) => c.name).join(', '));
  const [picks, setPicks] = useState<Pick[]>(initial.batches.map((batch) => ({ batch, text: String(batch.portions) })));
  const good = picks.filter((p) => okPortions(p.text));
  const draft = useMemo<Session>(
    () => ({
      ...initial,
      name: name.trim() || 'Session',
      day,
      startAt,
      cooks: cooksFrom(cooks, initial.cooks),
      batches: good.map((p) => ({ ...p.batch, portions: Number(p.text) })),
    }),
    [initial, name, day, startAt, cooks, good],
  );
  const key = JSON.stringify(draft);
  const stable = useMemo(() => JSON.parse(key) as Session, [key]);
  const check = useCheckPlanQuery(stable, { skip: stable.batches.length === 0 });
  const view = stable.batches.length === 0 ? undefined : (check.data ?? undefined);
  const today = frame?.today ?? initial.day;
  const badPortions = picks
    .filter((p) => !okPortions(p.text))
    .map(
      (p) =>
        `“${p.text}” portions of ${recipes.find((r) => r.recipe.id === p.batch.recipeId)?.recipe.name ?? 'a dish'}: give more than 0 and at most ${maxPortions}. The rest is kept.`,
    );
  const days = daysFrom(today, 84);
  const add = (r: RecipeBrief, portions: number): void =>
    setPicks([
      ...picks,
      {
        batch: {
          id: newId(),
          recipeId: r.recipe.id,
          revisionId: r.recipe.revisionId,
          portions,
          ...(r.yieldFactor !== undefined && { yieldFactor: r.yieldFactor }),
        },
        text: String(portions),
      },
    ]);
  const save = async (): Promise<void> => {
    await write([{ table: 'session', id: draft.id, data: draft, was }], `${draft.name} is planned for ${sayWeekday(draft.day)}`);
    void navigate(`/shop/${draft.id}`);
  };
  const remove = async (): Promise<void> => {
    await write([{ table: 'session', id: initial.id, data: null, was }], `${initial.name} is taken off the plan`);
    void navigate('/plan');
  };
  const plates = draft.batches.reduce(
    (s, b) => s + (isDinnerKind(recipes.find((r) => r.recipe.id === b.recipeId)?.recipe.kind ?? '') ? b.portions : 0),
    0,
  );
  return (
    <>
      <PageHead
        title={stored === null ? 'Plan a session' : name || 'Session'}
        lead={`${countOf(picks.length, 'dish', 'dishes')}, ${sayPortions(plates)} plates${frame ? `; ${frame.supplies.dinners.count} dinners stand in the freezer` : ''}.`}
      >
        {stored !== null && (
          <button type="button" className="btn o" onClick={() => void remove()}>
            Take it off the plan
          </button>
        )}
        <button type="button" className="btn" disabled={picks.length === 0 || badPortions.length > 0} onClick={() => void save()}>
          {stored === null ? 'Plan it and make the list' : 'Save and open the list'}
        </button>
      </PageHead>
      {kitchen && <ThreeWeeks weeks={kitchen.weeks} day={day} />}
      <div className="grid" style={{ gridTemplateColumns: 'minmax(0,1.6fr) minmax(0,1fr)', alignItems: 'start' }}>
        <div className="stack">
          <section className="card" aria-label="When">
            <div className="row wrap" style={{ gap: 16 }}>
              <div className="grow" style={{ minWidth: 220 }}>
                <label className="lab" htmlFor="pl-name">
                  Name
                </label>
                <input
                  id="pl-name"
                  className="field"
                  style={{ width: '100%' }}
                  value={name}
                  onChange={(e) => setName(e.currentTarget.value)}
                />
              </div>
              <div>
                <label className="lab" htmlFor="pl-day">
                  Day
                </label>
                <select id="pl-day" className="field" value={day} onChange={(e) => setDay(e.currentTarget.value)}>
                  {!days.includes(day) && <option value={day}>{sayWeekday(day)}</option>}
                  {days.map((d) => (
                    <option key={d} value={d}>
                      {sayWeekday(d)}
                    </option>
                  ))}
                </select>
              </div>
              <div>
                <label className="lab" htmlFor="pl-start">
                  Start
                </label>
                <select id="pl-start" className="field" value={startAt} onChange={(e) => setStartAt(e.currentTarget.value)}>
                  {!halfHours.includes(startAt) && <option>{startAt}</option>}
                  {halfHours.map((t) => (
                    <option key={t}>{t}</option>
                  ))}
                </select>
              </div>
              <Field label="Who cooks" unit="with commas" value={cooks} onChange={setCooks} />
            </div>
          </section>
          <section className="card" aria-label="Dishes">
            <h2>Dishes</h2>
            {picks.length === 0 ? (
              <p className="quiet">None yet. Pick from the list below.</p>
            ) : (
              <ul className="rows">
                {picks.map((p) => (
                  <PickedDish
                    key={p.batch.id}
                    pick={p}
                    brief={recipes.find((x) => x.recipe.id === p.batch.recipeId)}
                    view={view}
                    onType={(text) => setPicks(picks.map((x) => (x === p ? { ...x, text } : x)))}
                    onRemove={() => setPicks(picks.filter((x) => x !== p))}
                  />
                ))}
              </ul>
            )}
            {badPortions.map((p) => (
              <p key={p} className="note bad" role="alert" style={{ marginTop: 8 }}>
                {p}
              </p>
            ))}
            {view?.bases.map((b) => (
              <BaseNote
                key={b.recipeId}
                base={b}
                brief={picks.some((p) => p.batch.recipeId === b.recipeId) ? undefined : recipes.find((r) => r.recipe.id === b.recipeId)}
                onAdd={add}
              />
            ))}
            {check.error && (
              <p className="note bad" role="alert" style={{ marginTop: 8 }}>
                {sayError(check.error).message}
              </p>
            )}
          </section>
          <AddDish recipes={recipes} picks={picks} onAdd={add} />
        </div>
        <div className="stack">
          <FitCard view={view} busy={check.isFetching} />
          {view && <CutOnce tasks={view.tasks} />}
          {view && <ToBuy list={view.list} />}
        </div>
      </div>
    </>
  );
}
