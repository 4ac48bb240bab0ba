import type { LoaderFunction, Params } from 'react-router';
import { api } from '../sync/api.ts';
import { store } from '../sync/store.ts';

const { prefetch } = api.util;
type Ask = ReturnType<typeof prefetch>;

/** What a page will ask for, by its address. */
const asks = {
  frame: () => prefetch('frame', undefined, {}),
  today: () => prefetch('today', undefined, {}),
  recipes: () => prefetch('recipes', undefined, {}),
  write: () => prefetch('write', undefined, {}),
  recipe: ({ id = '' }: Params) => prefetch('recipe', id, {}),
  sessions: () => prefetch('sessions', undefined, {}),
  sessionPlan: ({ id = '' }: Params) => prefetch('sessionPlan', id, {}),
  sessionShop: ({ id = '' }: Params) => prefetch('sessionShop', id, {}),
  sessionCook: ({ id = '' }: Params) => prefetch('sessionCook', id, {}),
  sessionPack: ({ id = '' }: Params) => prefetch('sessionPack', id, {}),
  labels: ({ id = '' }: Params) => prefetch('labels', id, {}),
  kitchen: () => prefetch('kitchen', undefined, {}),
  store: () => prefetch('store', undefined, {}),
  count: () => prefetch('count', undefined, {}),
  pack: ({ code = '' }: Params) => prefetch('pack', code, {}),
  eat: () => prefetch('eat', undefined, {}),
} satisfies Record<string, (params: Params) => Ask>;

/**
 * A route's loader that asks for a page's data while its code is still on the way, so that nothing waits for one another.
 * It waits for nothing itself: the page shows what is there and what is coming.
 * @example { path: 'shop/:id', loader: preload('sessionShop', 'sessions'), lazy: ... }
 */
export const preload =
  (...names: (keyof typeof asks)[]): LoaderFunction =>
  ({ params }) => {
    for (const name of names) store.dispatch(asks[name](params));
    return null;
  };
