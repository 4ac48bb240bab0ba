export type { IngredientRow, LifeRow, ReferenceRow } from '#core/contract';
import type { IngredientRow, LifeRow } from '#core/contract';

/** Low and high end of a range as the source gives it. */
export type Range = Exclude<LifeRow['freezerMonths'], string | undefined>;

/** How sure a figure is: A stated by the body, B range or good recall, confirm = weigh or check yours. */
export type Confidence = IngredientRow['conf'];

/** Grams per millilitre by state; an absent state is not known. */
export type Densities = IngredientRow['density'];
