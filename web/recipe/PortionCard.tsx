import { Box, Card, Group, Text, Title } from '@mantine/core';
import { countOf, sayMoney, sayPortions } from '#core/kitchen';
import { addedSaltG, costOf, drawnCost, type ScaledRecipe, type SplitResult } from '#core/recipe';
import { portionName } from '#core/session';
import { type RecipeAnswer } from '#core/queries';
import { Link } from 'react-router';
import { Section, Why, Stepper } from '../ui/ui.tsx';
import { numberIn } from './target.ts';
import type { Scaling } from './useScaling.ts';
import { useMeasures } from '../sync/measures.ts';
import { Note } from '../ui/Note.tsx';

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
    <Section mt={12}>
      <Group justify="space-between">
        <span>
          <b>Dip out before the salt</b>
          {lowSalt.length > 0 && (
            <Text span inherit c="dimmed">
              {' '}
              for {lowSalt.map((e) => e.name).join(' and ')}
            </Text>
          )}
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
      </Group>
      {split && !split.ok && (
        <Note tone="bad" role="alert">
          {whyNot(split)} The salt stays as it was.
        </Note>
      )}
      {split?.ok && (
        <Text inherit mt={8} role="status">
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
            <Note tone="warn" mt={6}>
              {split.split.alsoSalty.join(' and ')} {split.split.alsoSalty.length === 1 ? 'brings' : 'bring'} salt of{' '}
              {split.split.alsoSalty.length === 1 ? 'its' : 'their'} own: the dipped portions have it too. For a baby, leave it out or add
              it after dipping.
            </Note>
          )}
        </Text>
      )}
    </Section>
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
    <Card aria-label="One portion">
      <Title order={2}>One {portionName(revision.kind, 1)}</Title>
      <Group gap={22} align="baseline">
        {cost.perPortionCents >= 0.5 || (cost.cents > 0 && cost.leftOut.length === 0) ? (
          <span>
            <Text span variant="big">
              {money(cost.perPortionCents)}
            </Text>{' '}
            {cost.leftOut.length > 0 && (
              <Text span inherit c="dimmed">
                and more{' '}
              </Text>
            )}
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
          <Text span inherit c="dimmed">
            No prices yet: <Link to="/kitchen?tab=larder">add some</Link>
          </Text>
        )}
        {salt !== undefined && salt > 0 && (
          <span>
            <Text span variant="big">
              {salt.toFixed(1)}
            </Text>{' '}
            <Text span variant="unit">
              g added salt
            </Text>{' '}
            <Why label="salt">
              Only the salt that the lines add; what is in bought or cured parts is not counted.{' '}
              {sayMass(Math.round(salt * scaled.portions))} in all.
            </Why>
          </span>
        )}
      </Group>
      <Box mt={10}>
        {data.allergens.map((a) => (
          <div key={a}>{a}</div>
        ))}
      </Box>
      {(salt === undefined || salt > 0) && <SaltSplit data={data} s={s} scaled={scaled} />}
    </Card>
  );
}
