import { countOf, sayMoney, sayPortions } from '#core/kitchen';
import { addedSaltG, costOf, drawnCost, type ScaledRecipe, type SplitResult } from '#core/recipe';
import { portionName } from '#core/session';
import { type RecipeAnswer } from '#core/queries';
import { Link } from 'react-router';
import { Why, Stepper } from '../ui/ui.tsx';
import { numberIn } from './target.ts';
import type { Scaling } from './useScaling.ts';
import { useMeasures } from '../sync/measures.ts';

const whyNot = (r: Exclude<SplitResult, { ok: true }>): string =>
  r.why === 'noSalt'
    ? 'No line of this recipe is salt, so there is nothing to dip out before.'
    : r.why === 'negative'
      ? 'Give 0 portions or more.'
      : `That is more than the ${sayPortions(r.portions)} there are.`;

function SaltSplit({ data, s, scaled }: { data: RecipeAnswer; s: Scaling; scaled: ScaledRecipe }) {
  const { sayVolume } = useMeasures();
  const { draft, change, split } = s;
  const lowSalt = data.eaters.filter((e) => e.needs.includes('lowSalt') || e.stage === 'baby');
  const n = numberIn(draft.unsalted);
  const count = Number.isFinite(n) ? n : 0;
  const step = scaled.lines.some((l) => l.line.unit) ? 1 : 1;
  return (
    <div style={{ borderTop: '1px solid var(--line)', paddingTop: 12, marginTop: 12 }}>
      <div className="row wrap" style={{ justifyContent: 'space-between' }}>
        <span>
          <b>Dip out before the salt</b>
          {lowSalt.length > 0 && <span className="quiet"> for {lowSalt.map((e) => e.name).join(' and ')}</span>}
        </span>
        <Stepper
          label="Portions without salt"
          value={count}
          say={(x) => sayPortions(x)}
          min={0}
          max={Math.max(0, Math.floor(scaled.portions))}
          step={step}
          onChange={(x) => change({ unsalted: x === 0 ? '' : String(x) })}
        />
      </div>
      {split && !split.ok && (
        <p className="note bad" role="alert">
          {whyNot(split)} The salt stays as it was.
        </p>
      )}
      {split?.ok && (
        <p style={{ marginTop: 8 }} role="status">
          First: dip out{' '}
          <b>
            {split.split.dipMl !== undefined
              ? sayVolume(Math.round(split.split.dipMl / 10) * 10)
              : countOf(split.split.unsalted, 'portion')}
          </b>
          . Then salt the other {sayPortions(split.split.salted)} with{' '}
          <b>{split.split.salt.map((x) => `${x.out} ${x.name}`).join(' and ')}</b>
          {split.split.perPortionG !== undefined ? `, ${split.split.perPortionG.toFixed(1)} g a portion` : ''}.
          {split.split.alsoSalty.length > 0 && (
            <span className="note warn" style={{ display: 'block', marginTop: 6 }}>
              {split.split.alsoSalty.join(' and ')} {split.split.alsoSalty.length === 1 ? 'brings' : 'bring'} salt of{' '}
              {split.split.alsoSalty.length === 1 ? 'its' : 'their'} own: the dipped portions have it too. For a baby, leave it out or add
              it after dipping.
            </span>
          )}
        </p>
      )}
    </div>
  );
}

/** What one portion costs and holds: money, salt, allergens, and the pot split before the salt. */
export function PortionCard({ data, s, scaled }: { data: RecipeAnswer; s: Scaling; scaled: ScaledRecipe }) {
  const { sayMass } = useMeasures();
  const { household, revision } = data;
  const salt = addedSaltG(scaled.lines, scaled.portions);
  const drawn = drawnCost((id) => data.drawn.find((r) => r.recipeId === id), { finder: s.finder, scaleStepG: household.scaleStepG });
  const cost = costOf(scaled.lines, scaled.portions, s.finder, drawn);
  const money = (cents: number): string => sayMoney(cents, household.currency, household.locale);
  const priced = cost.lines.length - cost.leftOut.length;
  return (
    <section className="card" aria-label="One portion">
      <h2>One {portionName(revision.kind, 1)}</h2>
      <div className="row wrap" style={{ gap: 22, alignItems: 'baseline' }}>
        {cost.cents > 0 ? (
          <span>
            <span className="big">{money(cost.perPortionCents)}</span>{' '}
            <Why label="what a portion costs">
              {money(cost.cents)} in all, the used share of the packs bought
              {cost.leftOut.length > 0
                ? `; ${priced} of ${cost.lines.length} lines have a price, left out: ${cost.leftOut.join(', ')}`
                : ''}
              . Energy and containers are not in it.{cost.madeUp ? ' Prices are made up for the demo.' : ''} Change them under Kitchen,
              Ingredients.
            </Why>
          </span>
        ) : (
          <span className="quiet">
            No prices yet: <Link to="/kitchen?tab=larder">add some</Link>
          </span>
        )}
        {salt !== undefined && salt > 0 && (
          <span>
            <span className="big">{salt.toFixed(1)}</span> <span className="unit">g added salt</span>{' '}
            <Why label="salt">
              Only the salt that the lines add; what is in bought or cured parts is not counted.{' '}
              {sayMass(Math.round(salt * scaled.portions))} in all.
            </Why>
          </span>
        )}
      </div>
      <div style={{ marginTop: 10 }}>
        {data.allergens.map((a) => (
          <div key={a}>{a}</div>
        ))}
      </div>
      {(salt === undefined || salt > 0) && <SaltSplit data={data} s={s} scaled={scaled} />}
    </section>
  );
}
