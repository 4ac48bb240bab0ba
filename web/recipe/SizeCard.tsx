import { Card, Group, Text } from '@mantine/core';
import { countOf, quarterDown, sayDayYear, sayPortions, toNumber } from '#core/kitchen';
import { sayLimit, type ScaledRecipe } from '#core/recipe';
import { portionName } from '#core/session';
import { type RecipeAnswer } from '#core/queries';
import { Why } from '../ui/ui.tsx';
import { useMeasures } from '../sync/measures.ts';

/** How many times the recipe, how many portions, what sets the size and what to expect. */
export function SizeCard({ data, scaled }: { data: RecipeAnswer; scaled: ScaledRecipe }) {
  const { sayMass, sayVolume, aboutVolume } = useMeasures();
  const { revision, learned, runs } = data;
  const f = toNumber(scaled.factor);
  const whole = quarterDown(scaled.portions);
  const restMl = scaled.finishedMl === undefined ? 0 : ((scaled.portions - whole) / scaled.portions) * scaled.finishedMl;
  const limit = sayLimit(scaled);
  const one = revision.serving.unit === 'ml' ? sayVolume(revision.serving.amount) : sayMass(revision.serving.amount);
  // the middle of what is expected is what the amounts were grown for
  const expects =
    learned && scaled.finishedMl !== undefined
      ? { low: (scaled.finishedMl * learned.low) / learned.factor, high: (scaled.finishedMl * learned.high) / learned.factor }
      : undefined;
  const off = learned ? Math.round((learned.factor - 1) * 100) : 0;
  return (
    <Card aria-label="Size">
      <Group wrap="nowrap" align="baseline" justify="space-between">
        <Text span variant="big" aria-label={`${f.toFixed(2)} times the recipe`}>
          × {f.toLocaleString('en-GB', { maximumFractionDigits: 2 })}
        </Text>
        <span>
          <Text span variant="big">
            {sayPortions(whole)}
          </Text>{' '}
          <Text span variant="unit">
            {portionName(revision.kind, whole)} of {one}
          </Text>
        </span>
      </Group>
      {restMl >= 10 && (
        <Text size="xs" c="dimmed">
          and {aboutVolume(restMl)} that is not a quarter more: tonight’s
        </Text>
      )}
      {limit && (
        <Text mt={8} fz={17}>
          <b>{limit}</b>
        </Text>
      )}
      <Text inherit mt={6}>
        {scaled.finishedMl !== undefined ? `${aboutVolume(scaled.finishedMl)} finished` : ''}
        {scaled.finishedMl !== undefined && scaled.finishedG !== undefined ? ', ' : ''}
        {scaled.finishedG !== undefined ? sayMass(Math.round(scaled.finishedG / 10) * 10) : ''}.{' '}
        {expects && (
          <>
            Expect {aboutVolume(expects.low)} to {aboutVolume(expects.high)}.{' '}
            <Why label="what to expect">
              From {countOf(runs.length, 'weighed batch', 'weighed batches')}: it comes out{' '}
              {off === 0 ? 'as it says' : `${Math.abs(off)} % ${off < 0 ? 'under' : 'over'} what it says`}, and the amounts are grown by
              that. Four times in five it lies in this range.{' '}
              {runs
                .map(
                  (r) =>
                    `${sayDayYear(r.day)}: ${r.unit === 'g' ? sayMass(Math.round(r.weighed)) : aboutVolume(r.weighed)} of ${r.unit === 'g' ? sayMass(Math.round(r.planned)) : aboutVolume(r.planned)} planned`,
                )
                .join('; ')}
              .
            </Why>
          </>
        )}
      </Text>
    </Card>
  );
}
