import {
  fetchBaseQuery,
  type BaseQueryFn,
  type FetchArgs,
  type FetchBaseQueryError,
  type FetchBaseQueryMeta,
} from '@reduxjs/toolkit/query/react';
import { offline, reached, shut, type OutboxState } from './outboxSlice.ts';

const network = fetchBaseQuery({ baseUrl: '/api' });

/** Told when the server answers again after a silence. */
export const backAgain = new EventTarget();

/**
 * Asks the server; when it does not answer, the page is answered from the household kept on this device with what waits here.
 * The same functions of the core make both answers.
 */
export const baseQuery: BaseQueryFn<string | FetchArgs, unknown, FetchBaseQueryError, object, FetchBaseQueryMeta> = async (
  args,
  api,
  extra,
) => {
  const result = await network(args, api, extra);
  const silent = result.error?.status === 'FETCH_ERROR' || result.meta?.response?.headers.has('x-tambo-kept') === true;
  const state = (): OutboxState => (api.getState() as { outbox: OutboxState }).outbox;
  if (!silent) {
    if (result.error?.status === 401) api.dispatch(shut());
    if (!state().online) {
      api.dispatch(reached());
      backAgain.dispatchEvent(new Event('back'));
    }
    return result;
  }
  if (typeof args !== 'string') {
    api.dispatch(offline(undefined));
    return result;
  }
  // its own part of the app, brought in once the household is kept; before that there is nothing to answer from
  const local = await import('./local.ts').then(
    ({ localAnswer }) => localAnswer(args, state().pending),
    () => undefined,
  );
  api.dispatch(offline(local?.at));
  if (!local) return result;
  return 'data' in local
    ? { data: local.data }
    : { error: { status: 404, data: { message: local.missing, refusals: [] } } satisfies FetchBaseQueryError };
};
