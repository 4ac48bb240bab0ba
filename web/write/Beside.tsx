import { Anchor, Box, Button, Card, Group, Stack, Text, Title } from '@mantine/core';
import { memo, useMemo } from 'react';
import { Link } from 'react-router';
import type { Figures, Revision, Writing } from '#core/contract';
import { capital, countOf, mayHold, type IngredientFinder } from '#core/kitchen';
import {
  allergenLines,
  absorbedG,
  allergenSummary,
  doublesOf,
  finished,
  finishedDensity,
  freezeFlags,
  massCheck,
  sayAsk,
  scaleTo,
  weighRecipe,
  type Composed,
  type ComposedFood,
} from '#core/recipe';
import { packableOf, portionMlOf } from '#core/session';
import type { WriteAnswer } from '#core/queries';
import { useMeasures } from '../sync/measures.ts';
import { Rows } from '../ui/Rows.tsx';
import type { SetFood } from './FoodPanel.tsx';

/** Changes some of what is written, whatever else is typed meanwhile. */
export type Put = (part: Partial<Writing>, field?: string) => void;

/** A composed recipe as a revision that scaling takes. */
function asRevision(composed: Composed, finder: IngredientFinder, figures: Figures): Revision {
  const revision: Revision = { ...composed.revision, id: 'writing', recipeId: 'writing', madeAt: '2020-01-01T00:00:00.000Z' };
  return { ...revision, density: finishedDensity(revision, finder, figures) };
}

/** What goes in, what boils off and what comes out of a recipe as it stands. */
function useYield(composed: Composed, finder: IngredientFinder, data: WriteAnswer) {
  return useMemo(() => {
    const revision = asRevision(composed, finder, data.figures);
    if (revision.lines.length === 0) return undefined;
    try {
      const recipe = weighRecipe(revision, finder);
      const scaled = scaleTo(
        recipe,
        { by: 'portions', portions: revision.servings },
        { scaleStepG: 1, gear: data.gear, units: data.household.units },
      );
      const boiledG = scaled.ok ? (scaled.scaled.passage?.boilOff?.writtenMl ?? 0) : 0;
      const batch = recipe.facts.filter(
        (f) => f.line.moment === 'batch' && f.line.scaling.rule !== 'toTaste' && f.line.amount !== undefined,
      );
      const inG = [...recipe.massG.values()].reduce((s, g) => s + g, 0);
      const open = batch.filter((f) => f.writtenG === undefined).map((f) => f.line.name);
      return {
        revision,
        inG,
        takenG: absorbedG(recipe.facts),
        boiledG,
        open,
        out: finished(revision, revision.servings),
        check: massCheck(revision, finder, boiledG),
      };
    } catch {
      return undefined;
    }
  }, [composed, finder, data]);
}

const round = (g: number): number => (g >= 1000 ? Math.round(g / 100) * 100 : Math.round(g / 10) * 10);

/** What goes in and what comes out, as it is written: in weight, litres, portions and packs. */
export const ComesOut = memo(function ComesOut({
  composed,
  finder,
  data,
  put,
}: {
  composed: Composed;
  finder: IngredientFinder;
  data: WriteAnswer;
  put: Put;
}) {
  const { sayMass, sayVolume } = useMeasures();
  const found = useYield(composed, finder, data);
  if (!found || found.inG <= 0) return null;
  const { revision, inG, takenG, boiledG, open, out, check } = found;
  const { serving, servings } = revision;
  const dish = packableOf(revision);
  const portionMl = portionMlOf(revision);
  const tubs = data.gear.containers.filter((c) => mayHold(c, dish) && c.fillMl >= portionMl).toSorted((a, b) => a.fillMl - b.fillMl);
  // the smallest that takes two portions, else the largest there is
  const tub = tubs.find((c) => c.fillMl >= portionMl * 2) ?? tubs.at(-1);
  const per = tub ? Math.max(1, Math.floor(tub.fillMl / portionMl)) : 0;
  const say = (n: number): string => (serving.unit === 'ml' ? sayVolume(n) : sayMass(n));
  const plain = (text: string): string => text.replace(/\u00A0/g, ' ');
  return (
    <Card aria-label="What comes out" data-tone={check ? 'saffron' : undefined}>
      <Title order={2}>What comes out</Title>
      <p>
        In go <b>{sayMass(round(inG + takenG))}</b>
        {open.length > 0 ? ' and more' : ''}
        {takenG > 0 ? ` with the ${sayMass(round(takenG))} of water that dry food takes up` : ''}
        {boiledG > 20 ? `; ${sayVolume(round(boiledG))} boils off` : ''}. Out{' '}
        {out.g !== undefined ? <b>{sayMass(round(out.g))}</b> : 'comes'}
        {out.ml !== undefined ? `, ${sayVolume(round(out.ml))}` : ''}: {Number(servings.toFixed(2))} of {say(serving.amount)}
        {tub && per > 0 && servings > 0 ? `, about ${countOf(Math.max(1, Math.round(servings / per)), 'pack')} in ${tub.name}` : ''}.
      </p>
      {open.length > 0 && (
        <Text size="sm" c="dimmed">
          Not weighed: {open.slice(0, 4).join(', ')}
          {open.length > 4 ? ` and ${open.length - 4} more` : ''}.
        </Text>
      )}
      {check && (
        <>
          <Text mt={8} fw={600}>
            That does not add up. Which is right?
          </Text>
          <Group mt={6} gap={8}>
            <Button
              size="sm"
              onClick={() =>
                put({
                  makes: `${countOf(check.servings, 'portion').replace(/\u00A0/g, ' ')} of ${plain(say(serving.amount))}`,
                })
              }
            >
              {check.servings} of {say(serving.amount)}
            </Button>
            <Button
              size="sm"
              variant="outline"
              onClick={() =>
                put({
                  makes: `${Number(servings.toFixed(2))} of ${plain(say(check.servingAmount))}`,
                  serving: plain(say(check.servingAmount)),
                })
              }
            >
              {Number(servings.toFixed(2))} of {say(check.servingAmount)}
            </Button>
            <Text size="sm" c="dimmed">
              or leave it, and weigh it once.
            </Text>
          </Group>
        </>
      )}
    </Card>
  );
});

/** How it freezes, what it holds. */
export const ForTheFreezer = memo(function ForTheFreezer({
  composed,
  finder,
  data,
}: {
  composed: Composed;
  finder: IngredientFinder;
  data: WriteAnswer;
}) {
  const found = useMemo(() => {
    const { lines } = composed.revision;
    const tables = { textures: new Map(data.textures.map((r) => [r.id, r])), seasonings: new Map(data.seasonings.map((r) => [r.id, r])) };
    return {
      flags: freezeFlags(lines, finder, tables).toSorted((a, b) => Number(b.fitness === 'badly') - Number(a.fitness === 'badly')),
      allergens: allergenLines(allergenSummary(lines, finder), new Map(Object.entries(data.allergenNames)), 'page'),
    };
  }, [composed, finder, data]);
  if (composed.revision.lines.length === 0) return null;
  const life = data.lives.find((l) => l.id === composed.revision.storage[0]?.rowId);
  return (
    <Card aria-label="For the freezer">
      <Title order={2}>For the freezer</Title>
      <Rows>
        <li>
          <Box className="grow">
            {found.flags.length === 0 ? <b>Freezes as it is.</b> : null}
            {found.flags.slice(0, 3).map((f) => (
              <div key={f.lineId}>
                <b>{capital(f.name)}:</b> {f.what}. {capital(f.advice)}.
              </div>
            ))}
          </Box>
        </li>
        <li>
          <Box className="grow">{found.allergens.join('. ')}.</Box>
        </li>
        {life && (
          <li>
            <Box className="grow">
              Keeps like {life.item.toLowerCase()}
              {composed.guessed.includes('storage') ? ' (guessed)' : ''}.
            </Box>
          </li>
        )}
      </Rows>
    </Card>
  );
});

/** Foods asked about at once; the others stand beside their lines. */
const mostAsked = 3;

/** What is asked, at most a handful at a time, each answered in a tap. */
export const Asks = memo(function Asks({
  writing,
  composed,
  recipeId,
  data,
  put,
  onFood,
  onNew,
}: {
  writing: Writing;
  composed: Composed;
  recipeId: string;
  data: WriteAnswer;
  put: Put;
  onFood: SetFood;
  onNew: (food: ComposedFood) => void;
}) {
  const doubles = useMemo(
    () =>
      doublesOf(
        {
          id: recipeId,
          name: composed.revision.name,
          ingredientIds: composed.revision.lines.flatMap((l) => (l.item.type === 'ingredient' ? [l.item.id] : [])),
        },
        writing.base?.id === undefined ? data.recipes : [],
      ).slice(0, 1),
    [recipeId, composed, data, writing.base?.id],
  );
  const foods = composed.asks.filter((a) => a.ask === 'food');
  const other = composed.asks.filter((a) => a.ask !== 'food' && a.ask !== 'lines' && a.ask !== 'name');
  if (composed.revision.lines.length === 0 || other.length + foods.length + doubles.length === 0) return null;
  const goTo = (label: string): void => document.querySelector<HTMLElement>(label)?.focus();
  return (
    <Card aria-label="To ask" data-tone="saffron">
      <Title order={2}>{other.length + foods.length + doubles.length === 1 ? 'One thing to ask' : 'Things to ask'}</Title>
      <Rows>
        {doubles.map((d) => (
          <li key={d.id}>
            <Box className="grow">
              You may have this: <b>{d.name}</b>.
            </Box>
            <Anchor component={Link} to={`/recipes/${d.id}`}>
              look at it
            </Anchor>
          </li>
        ))}
        {other.map((a) => (
          <li key={`${a.ask} ${'lineId' in a ? a.lineId : ''}`} data-top>
            <Stack gap={6} className="grow">
              <span>{sayAsk(a)}</span>
              {a.ask === 'makes' && (
                <Button size="sm" variant="outline" style={{ alignSelf: 'start' }} onClick={() => goTo('[aria-label="What it is"] input')}>
                  Say it
                </Button>
              )}
              {a.ask === 'servingTooLarge' && (
                <Button
                  size="sm"
                  style={{ alignSelf: 'start' }}
                  onClick={() => put({ makes: writing.serving || writing.makes, serving: '' })}
                >
                  Yes, all of it
                </Button>
              )}
            </Stack>
          </li>
        ))}
        {foods.slice(0, mostAsked).map((a) => {
          const food = composed.rows.flatMap((r) => ('foods' in r ? r.foods : [])).find((f) => f.line.id === a.lineId);
          return (
            <li key={a.lineId} data-top>
              <Stack gap={6} className="grow">
                <span>{food && food.offers.length > 0 ? `Which ${a.name} is it?` : sayAsk(a)}</span>
                {food && food.offers.length === 0 && (
                  <Button
                    size="sm"
                    variant="outline"
                    style={{ alignSelf: 'start' }}
                    aria-label={`Make ${a.name} a food`}
                    onClick={() => onNew(food)}
                  >
                    Make it a food
                  </Button>
                )}
                {food && food.offers.length > 0 && (
                  <Group gap={6}>
                    {food.offers.map((o) => (
                      <Button
                        key={o.id}
                        size="sm"
                        variant="outline"
                        aria-label={`It is ${o.name}`}
                        onClick={() => onFood(food, { item: { type: 'ingredient', id: o.id }, name: o.name })}
                      >
                        {o.name}
                      </Button>
                    ))}
                  </Group>
                )}
              </Stack>
            </li>
          );
        })}
        {foods.length > mostAsked && (
          <li>
            <Text c="dimmed">and {foods.length - mostAsked} more, each marked beside its line.</Text>
          </li>
        )}
      </Rows>
    </Card>
  );
});
