import { useEffect, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { ingredientFinder, type IngredientFinder } from '#core/kitchen';
import { lineFacts, scaleTo, splitPot, type LineFacts, type ScaledRecipe, type SplitResult, type TargetError } from '#core/recipe';
import type { RecipeAnswer } from '#core/session';
import { draftFrom, linkOf, numberIn, targetOf, type Draft } from './target.ts';

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

/** The recipe at what the cook typed; worked out on the page with the core, at every key. */
export function useScaling(data: RecipeAnswer): Scaling {
  const [params, setParams] = useSearchParams();
  const [draft, setDraft] = useState(() => draftFrom(params, data));
  const finder = useMemo(() => ingredientFinder(data.rows), [data.rows]);
  const facts = useMemo(() => new Map(lineFacts(data.revision, finder).map((f) => [f.line.id, f])), [data.revision, finder]);
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
  const result = useMemo(() => scaleTo(data.revision, targetOf(data, draft), options), [data, draft, options]);
  // until something is on hand, the written size stands
  const waiting = !result.ok && result.why === 'nothingOnHand';
  const written = useMemo(
    () => (waiting ? scaleTo(data.revision, { by: 'portions', portions: data.revision.servings }, options) : undefined),
    [waiting, data, options],
  );
  const scaled = result.ok ? result.scaled : written?.ok ? written.scaled : undefined;
  const unsalted = numberIn(draft.unsalted);
  const split = scaled && draft.unsalted.trim() !== '' && unsalted !== 0 ? splitPot(scaled, unsalted, options) : undefined;
  useEffect(() => {
    const timer = setTimeout(() => setParams(linkOf(draft, data.household.units), { replace: true }), linkAfterMs);
    return () => clearTimeout(timer);
    // only what is typed moves the address
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [draft]);
  return {
    draft,
    change: (patch) => setDraft((d) => ({ ...d, ...patch })),
    finder,
    facts,
    ...(scaled && { scaled }),
    ...(!result.ok && { error: result }),
    ...(split && { split }),
  };
}
