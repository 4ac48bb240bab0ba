import { useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { ingredientFinder, type IngredientFinder } from '#core/kitchen';
import { scaleTo, splitPot, weighRecipe, type LineFacts, type ScaledRecipe, type SplitResult, type TargetError } from '#core/recipe';
import type { RecipeAnswer } from '#core/queries';
import { draftFrom, linkOf, numberIn, targetOf, type Draft } from './target.ts';

/** What is typed right now: drawn at once, before anything is worked out. */
export interface Typing {
  draft: Draft;
  change: (patch: Partial<Draft>) => void;
}

/** The recipe at what was typed, the same object until that moves. */
export interface Scaling {
  draft: Draft;
  change: (patch: Partial<Draft>) => void;
  finder: IngredientFinder;
  facts: ReadonlyMap<string, LineFacts>;
  scaled?: ScaledRecipe;
  error?: TargetError;
  /** The pot split before the salt, when some portions are dipped out. */
  split?: SplitResult;
}

/** Quiet moment after which the address follows what was typed. */
const linkAfterMs = 250;

/** The recipe at a draft, worked out on the page with the core. */
function useScaled(data: RecipeAnswer, draft: Draft, change: Scaling['change']): Scaling {
  const finder = useMemo(() => ingredientFinder(data.rows), [data.rows]);
  const recipe = useMemo(() => weighRecipe(data.revision, finder), [data.revision, finder]);
  const facts = useMemo(() => new Map(recipe.facts.map((f) => [f.line.id, f])), [recipe]);
  const units = draft.shown === 'both' ? data.household.units : draft.shown;
  const options = useMemo(
    () => ({
      finder,
      scaleStepG: data.household.scaleStepG,
      units,
      gear: data.gear,
      yieldFactor: data.learned ? Number(data.learned.factor.toFixed(3)) : 1,
    }),
    [finder, data, units],
  );
  return useMemo(() => {
    const result = scaleTo(recipe, targetOf(data, draft), options);
    // until something is on hand, the written size stands
    const written =
      !result.ok && result.why === 'nothingOnHand'
        ? scaleTo(recipe, { by: 'portions', portions: data.revision.servings }, options)
        : undefined;
    const scaled = result.ok ? result.scaled : written?.ok ? written.scaled : undefined;
    const unsalted = numberIn(draft.unsalted);
    const split = scaled && draft.unsalted.trim() !== '' && unsalted !== 0 ? splitPot(scaled, unsalted, options) : undefined;
    return { draft, change, finder, facts, ...(scaled && { scaled }), ...(!result.ok && { error: result }), ...(split && { split }) };
  }, [recipe, data, draft, options, finder, facts, change]);
}

/** What is typed, at once; and the recipe at that size, a moment later when the page is busy, so that no key ever waits. */
export function useScaling(data: RecipeAnswer): { typing: Typing; scaling: Scaling } {
  const [params] = useSearchParams();
  const [draft, setDraft] = useState(() => draftFrom(params, data));
  const change = useCallback((patch: Partial<Draft>) => setDraft((d) => ({ ...d, ...patch })), []);
  const scaling = useScaled(data, useDeferredValue(draft), change);
  const { units } = data.household;
  useEffect(() => {
    // the address alone: nothing is drawn anew for it, and a page that is being opened meanwhile is not called back
    const timer = setTimeout(() => history.replaceState(history.state, '', `?${linkOf(draft, units).toString()}`), linkAfterMs);
    return () => clearTimeout(timer);
  }, [draft, units]);
  return { typing: { draft, change }, scaling };
}
