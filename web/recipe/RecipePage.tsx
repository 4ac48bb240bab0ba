import { useMemo, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import type { Revision } from '#core/contract';
import {
  capital,
  countOf,
  ingredientFinder,
  sayDayYear,
  sayMass,
  sayMinutes,
  sayPortions,
  sayVolume,
  unitFacts,
  toNumber,
} from '#core/kitchen';
import { addedSaltG, sayGap, sayWhy, scaleRecipe, type ScaledLine } from '#core/recipe';
import { portionName } from '#core/session';
import { useFrameQuery, useRecipeQuery } from '../app/api.ts';
import { Cautions, PageHead, Waiting, Why } from '../app/ui.tsx';
import { KindMark } from '../draw/KindMark.tsx';
import { ReviewCard } from './ReviewCard.tsx';

/** What a note says beyond the form that already stands there. */
const noteOf = (l: ScaledLine): string =>
  (l.line.note ?? '')
    .split('; ')
    .filter((n) => n !== l.line.form && !/^cut into|^\d+ of /.test(n))
    .join('; ');

const exactText = (l: ScaledLine): string =>
  l.exact
    ? `${toNumber(l.exact.amount).toLocaleString('en-GB', { maximumFractionDigits: 3 })} ${unitFacts[l.exact.unit].short}`.trim()
    : 'no amount written';

function Lines({ lines, title, none }: { lines: readonly ScaledLine[]; title: string; none?: string }) {
  if (lines.length === 0 && !none) return null;
  return (
    <section className="card" aria-label={title}>
      <h2>{title}</h2>
      {lines.length === 0 ? (
        <p className="quiet">{none}</p>
      ) : (
        <table className="plain">
          <thead>
            <tr>
              <th>Ingredient</th>
              <th className="num">measure out</th>
              <th className="num">
                <span className="sr">why</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {lines.map((l) => (
              <tr key={l.lineId}>
                <td>
                  <b>{capital(l.line.name)}</b>
                  {l.line.form && l.line.form !== 'whole' && !l.line.name.includes(l.line.form) && (
                    <span className="quiet">
                      , {l.line.form}
                      {l.line.sizeMm ? ` ${l.line.sizeMm} mm` : ''}
                    </span>
                  )}
                  {l.line.item.type === 'unmatched' && (
                    <>
                      {' '}
                      <span className="tag s">not known here</span>
                    </>
                  )}
                  {noteOf(l) && <div className="sub">{noteOf(l)}</div>}
                </td>
                <td className="num out">
                  {l.out || 'as you like'}
                  {l.massG !== undefined && l.exact && unitFacts[l.exact.unit].dimension !== 'mass' && l.massG >= 1 && (
                    <div className="sub" style={{ fontWeight: 400 }}>
                      {sayMass(Math.round(l.massG))}
                    </div>
                  )}
                </td>
                <td className="num">
                  <Why label={`${l.line.name}, ${l.out}`}>
                    Exactly {exactText(l)}
                    {Math.abs(l.error) >= 0.0005 ? `, so this is ${l.error > 0 ? '+' : ''}${(l.error * 100).toFixed(1)} %` : ''}.{' '}
                    {l.because.map(sayWhy).filter(Boolean).join('; ')}. Written: “{l.line.written || l.line.name}”.
                  </Why>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

function Steps({ revision }: { revision: Revision }) {
  return (
    <section className="card" aria-label="Steps">
      <h2>Steps</h2>
      <ol className="rows">
        {revision.steps.map((s, i) => (
          <li key={s.id} style={{ alignItems: 'flex-start' }}>
            <span className="mid" style={{ color: 'var(--rim)', minWidth: 26 }}>
              {i + 1}
            </span>
            <div className="grow">
              <div style={{ fontSize: 17 }}>{s.text}</div>
              <div className="sub" style={{ fontSize: 15 }}>
                {sayMinutes(s.handsOnMin)} of hands{s.handsOnPerKgMin ? ` and ${s.handsOnPerKgMin} min a kilo` : ''}
                {s.waitMin > 0 ? `, ${sayMinutes(s.waitMin)} by itself` : ''}
                {s.guess ? ' (guessed)' : ''}.{s.cue && <b> Done when: {s.cue}.</b>}
              </div>
            </div>
          </li>
        ))}
      </ol>
    </section>
  );
}

/** One recipe at any number of portions: what to measure out, large; exact figures and reasons one tap away. */
export function RecipePage() {
  const { id = '' } = useParams();
  const { data, error, refetch } = useRecipeQuery(id);
  const frame = useFrameQuery().data;
  const navigate = useNavigate();
  const [params, setParams] = useSearchParams();
  const [typed, setTyped] = useState<string | undefined>();
  const finder = useMemo(() => ingredientFinder(data?.rows ?? []), [data]);
  if (!data) return <Waiting error={error} refetch={() => void refetch()} />;
  const { revision } = data;
  const text = typed ?? params.get('portions') ?? String(revision.servings);
  const portions = Number(text.replace(',', '.'));
  const result = scaleRecipe(revision, portions, { finder, scaleStepG: data.scaleStepG });
  const scaled = result.ok ? result.scaled : undefined;
  const salt = scaled && addedSaltG(scaled.lines, scaled.portions);
  const set = (value: string): void => {
    setTyped(value);
    if (Number(value) > 0) setParams({ portions: value }, { replace: true });
  };
  const open = frame?.open.find((s) => s.state.stage === 'planned');
  const unconfirmed = data.gaps.some((g) => g.gap === 'unconfirmed');
  const gaps = data.gaps.filter((g) => g.gap !== 'unconfirmed');
  return (
    <main className="page">
      <PageHead
        title={
          <span className="row" style={{ gap: 14 }}>
            <KindMark kind={revision.kind} size={38} alone />
            {revision.name}
          </span>
        }
        lead={`Written for ${sayPortions(revision.servings)} of ${revision.serving.unit === 'ml' ? sayVolume(revision.serving.amount) : sayMass(revision.serving.amount)}.${data.lastMade ? ` Last made ${sayDayYear(data.lastMade)}.` : ' Not made yet.'}${data.portionsInStore > 0 ? ` ${sayPortions(data.portionsInStore)} ${portionName(revision.kind, data.portionsInStore)} in store.` : ''}`}
      >
        {!unconfirmed && (
          <button
            type="button"
            className="btn"
            disabled={!scaled}
            onClick={() =>
              void navigate(
                open
                  ? `/plan/${open.id}?add=${revision.recipeId}&portions=${portions}`
                  : `/plan?add=${revision.recipeId}&portions=${portions}`,
              )
            }
          >
            {open ? `Add to ${open.name}` : 'Plan it'}
          </button>
        )}
      </PageHead>
      {unconfirmed && <ReviewCard recipe={data.recipe} revision={revision} />}
      <div className="grid" style={{ gridTemplateColumns: 'minmax(0,1.35fr) minmax(0,1fr)', alignItems: 'start' }}>
        <div className="stack">
          <section className="card" aria-label="Scale to">
            <div className="row wrap" style={{ gap: 16 }}>
              <label className="row" style={{ gap: 10 }}>
                <span className="mid">Scale to</span>
                <input
                  className="field"
                  style={{ width: 96, fontSize: 22, fontWeight: 700, textAlign: 'right' }}
                  inputMode="decimal"
                  value={text}
                  onChange={(e) => set(e.currentTarget.value)}
                  aria-invalid={!result.ok}
                  aria-describedby="scale-error"
                />
                <span>{portionName(revision.kind, portions)}</span>
              </label>
              <div className="chips">
                {[...new Set([revision.servings, revision.servings * 2, revision.servings * 3])].map((n) => (
                  <button type="button" key={n} className="chip" aria-pressed={n === portions} onClick={() => set(String(n))}>
                    {sayPortions(n)}
                  </button>
                ))}
              </div>
              {scaled && (
                <div className="grow" style={{ textAlign: 'right' }}>
                  {scaled.finishedMl !== undefined && (
                    <>
                      <span className="big">{sayVolume(Math.round(scaled.finishedMl))}</span>
                    </>
                  )}
                  {scaled.finishedG !== undefined && <div className="sub">{sayMass(Math.round(scaled.finishedG))} finished</div>}
                </div>
              )}
            </div>
            <div id="scale-error" role="alert">
              {!result.ok && (
                <p className="note bad" style={{ marginTop: 10 }}>
                  {text.trim() === '' || Number.isNaN(portions) ? `“${text}” is not a number.` : `${text} portions cannot be cooked.`} Give{' '}
                  {result.allowed}. Nothing else was changed.
                </p>
              )}
            </div>
          </section>
          {scaled && <Lines lines={scaled.lines.filter((l) => l.line.moment === 'batch')} title="What goes in" none="No lines yet" />}
          {scaled && <Lines lines={scaled.lines.filter((l) => l.line.moment === 'cookDay')} title="On the day it is eaten" />}
        </div>
        <div className="stack">
          <Steps revision={revision} />
          <section className="card" aria-label="To know">
            <h2>To know</h2>
            <ul className="rows">
              <li>
                <div className="grow">Keeps {data.keeps}</div>
              </li>
              <li>
                <div className="grow">
                  {data.allergens.map((a) => (
                    <div key={a}>{a.startsWith('none') ? `Holds ${a}` : a}</div>
                  ))}
                </div>
              </li>
              {data.warnings.map((w) => (
                <li key={w.eaterId + String(w.certain)}>
                  <div className="grow note bad">
                    {w.certain ? `Not for ${w.name}` : `${w.name}: a bought part may hold what they must not eat. Read the labels`}
                  </div>
                </li>
              ))}
              {salt !== undefined && salt > 0 && (
                <li>
                  <div className="grow">{salt.toFixed(1)} g added salt a portion</div>
                  <Why label="salt">Only the salt that the lines add; what is in bought or cured parts is not counted.</Why>
                </li>
              )}
              {gaps.map((g) => (
                <li key={JSON.stringify(g)}>
                  <div className="grow">
                    <span className="tag s">open</span> {sayGap(g)}
                  </div>
                </li>
              ))}
            </ul>
            {revision.note && (
              <p className="note" style={{ marginTop: 8 }}>
                Your note: {revision.note}
              </p>
            )}
            <p className="sub" style={{ marginTop: 8 }}>
              {countOf(revision.lines.length, 'line')}, {countOf(revision.steps.length, 'step')}, {revision.source}.{' '}
              <Link to="/recipes">All recipes</Link>
            </p>
          </section>
          <Cautions list={data.cautions} title="While you cook it" />
        </div>
      </div>
    </main>
  );
}
