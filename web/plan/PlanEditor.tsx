import { useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Batch, Session } from '#core/contract';
import { countOf, daysFrom, listOf, sayMinutes, sayPortions, sayWeekday } from '#core/kitchen';
import { maxPortions } from '#core/recipe';
import { portionName, type RecipeBrief, type SessionView } from '#core/session';
import { sayError, useCheckPlanQuery, useFrameQuery, useKitchenQuery } from '../app/api.ts';
import { useCommands } from '../app/commands.ts';
import { newId } from '../app/device.ts';
import { PageHead } from '../app/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { Plates } from '../draw/Plates.tsx';
import { Field } from '../kitchen/fields.tsx';
import { FitCard } from './FitCard.tsx';
import { sayMass, sayVolume } from '../app/measures.ts';

/** What the plan lets in: portions as typed, so that a half-typed number is not lost. */
export interface Pick {
  batch: Batch;
  text: string;
}

const halfHours = Array.from({ length: 34 }, (_, i) => `${String(5 + Math.floor(i / 2)).padStart(2, '0')}:${i % 2 === 0 ? '00' : '30'}`);

const okPortions = (text: string): boolean => Number(text) > 0 && Number(text) <= maxPortions;

function PackingWords({ view, batchId }: { view: SessionView | undefined; batchId: string }) {
  const b = view?.batches.find((x) => x.batch.id === batchId);
  if (!b) return null;
  if (!b.packing.ok)
    return (
      <span style={{ color: 'var(--tomato)' }}>
        {b.packing.why === 'portionTooLarge'
          ? `one portion (${sayVolume(Math.round(b.packing.portionMl))}) is larger than every container${b.packing.nearest ? `, nearest ${b.packing.nearest.name}` : ''}`
          : b.packing.why === 'nothingFree'
            ? 'no container that fits is free'
            : 'less than one portion'}
      </span>
    );
  const parts = b.packing.choice.groups.map((g) => `${g.packs} × ${g.container.name} of ${sayPortions(g.portionsEach)}`);
  return (
    <>
      {parts.join(', ')}
      {b.packing.choice.tonightMl >= 20 ? `; ${sayVolume(Math.round(b.packing.choice.tonightMl))} for tonight` : ''}
      {b.cubes && b.cubes.rounds > 0 ? `; trays in ${countOf(b.cubes.rounds, 'round')}` : ''}
    </>
  );
}

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

export function Editor({ initial, isNew, recipes }: { initial: Session; isNew: boolean; recipes: readonly RecipeBrief[] }) {
  const navigate = useNavigate();
  const frame = useFrameQuery().data;
  const kitchen = useKitchenQuery().data;
  const { write } = useCommands();
  const [name, setName] = useState(initial.name);
  const [day, setDay] = useState(initial.day);
  const [startAt, setStartAt] = useState(initial.startAt);
  const [cooks, setCooks] = useState(initial.cooks.map((c) => c.name).join(', '));
  const [picks, setPicks] = useState<Pick[]>(initial.batches.map((batch) => ({ batch, text: String(batch.portions) })));
  const [query, setQuery] = useState('');
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
  const problems = [
    ...picks
      .filter((p) => !okPortions(p.text))
      .map(
        (p) =>
          `“${p.text}” portions of ${recipes.find((r) => r.recipe.id === p.batch.recipeId)?.recipe.name ?? 'a dish'}: give more than 0 and at most ${maxPortions}. The rest is kept.`,
      ),
    ...(picks.length === 0 ? ['Pick at least one dish.'] : []),
  ];
  const days = daysFrom(today, 84);
  const words = query.toLowerCase().split(/\s+/).filter(Boolean);
  const offered = recipes
    .filter(
      (r) =>
        r.canPlan &&
        !picks.some((p) => p.batch.recipeId === r.recipe.id) &&
        words.every((w) => `${r.recipe.name} ${r.recipe.kind} ${r.tags.join(' ')}`.toLowerCase().includes(w)),
    )
    .toSorted((a, b) => a.portionsInStore - b.portionsInStore)
    .slice(0, 7);
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
    await write([{ table: 'session', id: draft.id, data: draft }], `${draft.name} is planned for ${sayWeekday(draft.day)}`);
    void navigate(`/shop/${draft.id}`);
  };
  const remove = async (): Promise<void> => {
    await write([{ table: 'session', id: initial.id, data: null }], `${initial.name} is taken off the plan`);
    void navigate('/plan');
  };
  const plates = draft.batches.reduce(
    (s, b) => s + (['meal', 'kit'].includes(recipes.find((r) => r.recipe.id === b.recipeId)?.recipe.kind ?? '') ? b.portions : 0),
    0,
  );
  const span = kitchen?.weeks;
  return (
    <>
      <PageHead
        title={isNew ? 'Plan a session' : name || 'Session'}
        lead={`${countOf(picks.length, 'dish', 'dishes')}, ${sayPortions(plates)} plates${frame ? `; ${frame.supplies.dinners.count} dinners stand in the freezer` : ''}.`}
      >
        {!isNew && (
          <button type="button" className="btn o" onClick={() => void remove()}>
            Take it off the plan
          </button>
        )}
        <button type="button" className="btn" disabled={problems.length > 0} onClick={() => void save()}>
          {isNew ? 'Plan it and make the list' : 'Save and open the list'}
        </button>
      </PageHead>
      {span && (
        <section className="card" style={{ marginBottom: 16, padding: '10px 16px' }} aria-label="Who is at the table">
          <div className="threeweeks">
            {span.days.slice(0, 21).map((d, i) => (
              <div key={d}>
                <Plates quarters={span.quarters[i] ?? 0} covered={0} size={22} />
                <div
                  style={{
                    fontSize: 14,
                    borderTop: '3px solid var(--kind-bread)',
                    fontWeight: d === day ? 700 : 400,
                    color: d === day ? 'var(--tomato)' : 'var(--quiet)',
                  }}
                >
                  {d === day ? 'cook' : sayWeekday(d).slice(0, 2)}
                </div>
              </div>
            ))}
          </div>
          <p className="sub" style={{ marginTop: 4 }}>
            {sayPortions(span.quarters.slice(0, 21).reduce((s, q) => s + q, 0) / 4)} plates are asked for in the three weeks from today.
          </p>
        </section>
      )}
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
                {picks.map((p, i) => {
                  const r = recipes.find((x) => x.recipe.id === p.batch.recipeId);
                  const bad = !okPortions(p.text);
                  return (
                    <li key={p.batch.id}>
                      <KindMark kind={r?.recipe.kind ?? 'meal'} size={28} />
                      <div className="grow">
                        <Link className="main" to={`/recipes/${p.batch.recipeId}?portions=${p.text}`}>
                          {r?.recipe.name ?? 'a recipe that is gone'}
                        </Link>
                        <div className="sub" style={{ fontSize: 15 }}>
                          <PackingWords view={view} batchId={p.batch.id} />
                          {view?.notes
                            .filter((n) => n.recipeId === p.batch.recipeId)
                            .map((n) => (
                              <span key={n.text} style={{ display: 'block', color: 'var(--saffron)' }}>
                                Last time you noted: “{n.text}”
                              </span>
                            ))}
                          {p.batch.unsalted ? `; ${sayPortions(p.batch.unsalted)} dipped out before the salt` : ''}
                        </div>
                      </div>
                      <input
                        className="field"
                        style={{
                          width: 76,
                          textAlign: 'right',
                          fontWeight: 700,
                          fontSize: 18,
                          ...(bad && { borderColor: 'var(--tomato)' }),
                        }}
                        inputMode="decimal"
                        aria-label={`Portions of ${r?.recipe.name ?? 'dish'}`}
                        aria-invalid={bad}
                        value={p.text}
                        onChange={(e) => {
                          const text = e.currentTarget.value;
                          setPicks(picks.map((x, j) => (j === i ? { ...x, text } : x)));
                        }}
                      />
                      <span style={{ width: 66 }} className="quiet">
                        {portionName(r?.recipe.kind ?? 'meal', Number(p.text))}
                      </span>
                      <button
                        type="button"
                        className="link s"
                        aria-label={`Remove ${r?.recipe.name ?? 'dish'}`}
                        onClick={() => setPicks(picks.filter((_, j) => j !== i))}
                      >
                        remove
                      </button>
                    </li>
                  );
                })}
              </ul>
            )}
            {problems
              .filter((p) => p.startsWith('“'))
              .map((p) => (
                <p key={p} className="note bad" role="alert" style={{ marginTop: 8 }}>
                  {p}
                </p>
              ))}
            {view?.bases.map((b) => {
              const brief = recipes.find((r) => r.recipe.id === b.recipeId);
              const own = picks.some((p) => p.batch.recipeId === b.recipeId);
              const wanted = Math.ceil((b.asked - b.inStore) * 4 - 1e-6) / 4;
              return (
                <div key={b.recipeId} className={`note${b.short > 0.01 ? ' warn' : ''} row wrap`} style={{ marginTop: 8 }}>
                  <span className="grow">
                    <b>{b.name}</b>: {sayPortions(Math.ceil(b.asked * 4 - 1e-6) / 4)} drawn by {listOf(b.draws.map((d) => d.name))}
                    {b.made > 0 ? `, ${sayPortions(b.made)} made here` : ''}
                    {b.inStore > 0 ? `, ${sayPortions(b.inStore)} in store` : ''}
                    {b.short > 0.01 ? '; not enough yet' : ''}.
                  </span>
                  {b.short > 0.01 && brief && !own && (
                    <button type="button" className="btn o s" onClick={() => add(brief, Math.max(brief.servings, wanted))}>
                      Cook {sayPortions(Math.max(brief.servings, wanted))} of it too
                    </button>
                  )}
                </div>
              );
            })}
            {check.error && (
              <p className="note bad" role="alert" style={{ marginTop: 8 }}>
                {sayError(check.error).message}
              </p>
            )}
          </section>
          <section className="card" aria-label="Add a dish">
            <div className="cardhead">
              <h2>Add a dish</h2>
              <input
                className="field"
                type="search"
                placeholder="Find a recipe"
                aria-label="Find a recipe"
                value={query}
                onChange={(e) => setQuery(e.currentTarget.value)}
              />
            </div>
            {offered.length === 0 ? (
              <p className="quiet">
                {recipes.length === 0 ? (
                  <>
                    No recipes yet. <Link to="/recipes/new">Bring one in</Link>.
                  </>
                ) : (
                  'Nothing else of that name.'
                )}
              </p>
            ) : (
              <ul className="rows">
                {offered.map((r) => (
                  <li key={r.recipe.id}>
                    <KindMark kind={r.recipe.kind} size={22} />
                    <div className="grow">
                      <b>{r.recipe.name}</b>
                      <div className="sub">
                        {r.portionsInStore === 0
                          ? 'none in store'
                          : `${sayPortions(r.portionsInStore)} ${portionName(r.recipe.kind, r.portionsInStore)} in store`}
                        , {sayMinutes(r.handsMin)} of hands
                      </div>
                    </div>
                    <button
                      type="button"
                      className="btn o s"
                      aria-label={`Add ${r.recipe.name}`}
                      onClick={() => add(r, r.servings * (r.recipe.kind === 'meal' ? 2 : 1))}
                    >
                      Add
                    </button>
                  </li>
                ))}
              </ul>
            )}
          </section>
        </div>
        <div className="stack">
          <FitCard view={view} busy={check.isFetching} />
          {view && (
            <section className="card" aria-label="Cut once">
              <h2>Cut once</h2>
              <ul className="rows">
                {view.tasks
                  .filter((t) => t.batchIds.length > 1)
                  .map((t) => (
                    <li key={t.id} style={{ padding: '6px 0' }}>
                      <div className="grow">
                        <b>{t.title}</b>
                        <div className="sub">{t.detail}</div>
                      </div>
                      <span className="quiet">{sayMinutes(t.handsOnMin)}</span>
                    </li>
                  ))}
              </ul>
              {view.tasks.every((t) => t.batchIds.length < 2) && <p className="quiet">These dishes share no cutting.</p>}
            </section>
          )}
          {view && (
            <section className="card" aria-label="To buy">
              <h2>To buy, about</h2>
              <p className="reading">
                {countOf(
                  view.list.filter((s) => s.id !== 'onTheDay').reduce((s, x) => s + x.lines.length, 0),
                  'thing',
                )}
                ,{' '}
                {sayMass(
                  view.list
                    .flatMap((s) => s.lines)
                    .filter((l) => l.unit === 'g')
                    .reduce((s, l) => s + l.amount, 0),
                )}{' '}
                in all.
              </p>
            </section>
          )}
        </div>
      </div>
    </>
  );
}
