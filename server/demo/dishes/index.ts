import type { Dish } from '../dish.ts';
import { meals } from './meals.ts';
import { others } from './others.ts';

/** The household's own dishes, over the kinds. */
export const dishes: readonly Dish[] = [...meals, ...others];
