import { createApi, type FetchBaseQueryError } from '@reduxjs/toolkit/query/react';
import type { ComeIn, DoorAnswer, HomeAnswer, RecipeList, Refusal } from '#core/contract';
import type { IngredientRow } from '#core/kitchen';
import type {
  BackupsAnswer,
  DamageAnswer,
  DeletedThing,
  CalendarAnswer,
  ChangesAnswer,
  CountAnswer,
  EatAnswer,
  FindEntry,
  FrameAnswer,
  HistoryAnswer,
  JobState,
  KeptRecipe,
  KitchenAnswer,
  LabelsAnswer,
  LarderAnswer,
  LifeChoice,
  MeansAnswer,
  PackAnswer,
  RecipeAnswer,
  RecipeBrief,
  RecordAnswer,
  ReferenceAnswer,
  RevisionsAnswer,
  WriteAnswer,
  AwayRecipe,
  SessionPart,
  SessionParts,
  SessionsAnswer,
  Starter,
  StoreAnswer,
  TodayAnswer,
} from '#core/queries';
import { baseQuery } from './baseQuery.ts';

/** A page asks for its own part of a session. */
const partOf = (part: SessionPart) => (id: string) => `/sessions/${encodeURIComponent(id)}/${part}`;

/** Server data has one owner: this cache. Whatever is written makes all of it stale. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery,
  tagTypes: ['World', 'Home'],
  refetchOnReconnect: true,
  refetchOnFocus: true,
  endpoints: (b) => ({
    frame: b.query<FrameAnswer, void>({ query: () => '/frame', providesTags: ['World'] }),
    today: b.query<TodayAnswer, void>({ query: () => '/today', providesTags: ['World'] }),
    find: b.query<FindEntry[], void>({ query: () => '/find', providesTags: ['World'] }),
    recipes: b.query<RecipeBrief[], void>({ query: () => '/recipes', providesTags: ['World'] }),
    recipe: b.query<RecipeAnswer, string>({ query: (id) => `/recipes/${encodeURIComponent(id)}`, providesTags: ['World'] }),
    ingredients: b.query<IngredientRow[], string>({ query: (q) => `/ingredients?q=${encodeURIComponent(q)}` }),
    means: b.query<MeansAnswer, string>({ query: (q) => `/ingredients/means?q=${encodeURIComponent(q)}` }),
    write: b.query<WriteAnswer, void>({ query: () => '/write', providesTags: ['World'] }),
    record: b.query<RecordAnswer, string>({ query: (id) => `/recipes/${encodeURIComponent(id)}/record`, providesTags: ['World'] }),
    lists: b.query<RecipeList[], void>({ query: () => '/lists', providesTags: ['World'] }),
    keptRecipes: b.query<KeptRecipe[], string>({ query: (ids) => `/recipes/kept?ids=${encodeURIComponent(ids)}`, keepUnusedDataFor: 0 }),
    revisions: b.query<RevisionsAnswer, string>({ query: (id) => `/recipes/${encodeURIComponent(id)}/revisions`, providesTags: ['World'] }),
    awayRecipes: b.query<AwayRecipe[], void>({ query: () => '/recipes/away', providesTags: ['World'] }),
    lives: b.query<LifeChoice[], void>({ query: () => '/lives' }),
    sessions: b.query<SessionsAnswer, void>({ query: () => '/sessions', providesTags: ['World'] }),
    sessionPlan: b.query<SessionParts['plan'], string>({ query: partOf('plan'), providesTags: ['World'] }),
    sessionShop: b.query<SessionParts['shop'], string>({ query: partOf('shop'), providesTags: ['World'] }),
    sessionCook: b.query<SessionParts['cook'], string>({ query: partOf('cook'), providesTags: ['World'] }),
    sessionPack: b.query<SessionParts['pack'], string>({ query: partOf('pack'), providesTags: ['World'] }),
    changes: b.query<ChangesAnswer, string>({ query: (id) => `/changes/${encodeURIComponent(id)}`, providesTags: ['World'] }),
    labels: b.query<LabelsAnswer, string>({ query: (id) => `/labels/${encodeURIComponent(id)}`, providesTags: ['World'] }),
    store: b.query<StoreAnswer, void>({ query: () => '/store', providesTags: ['World'] }),
    count: b.query<CountAnswer, void>({ query: () => '/count', providesTags: ['World'] }),
    starters: b.query<Starter[], void>({ query: () => '/starters', providesTags: ['World'] }),
    pack: b.query<PackAnswer, string>({ query: (key) => `/packs/${encodeURIComponent(key)}`, providesTags: ['World'] }),
    eat: b.query<EatAnswer, void>({ query: () => '/eat', providesTags: ['World'] }),
    damage: b.query<DamageAnswer, void>({ query: () => '/damage', providesTags: ['World'] }),
    /** A long job, asked again until it has ended (`useJob`). */
    job: b.query<JobState, string>({ query: (id) => `/jobs/${encodeURIComponent(id)}`, keepUnusedDataFor: 0 }),
    stopJob: b.mutation<unknown, string>({ query: (id) => ({ url: `/jobs/${encodeURIComponent(id)}/stop`, method: 'POST', body: {} }) }),
    makeBackup: b.mutation<{ id: string; name: string }, void>({ query: () => ({ url: '/backup', method: 'POST', body: {} }) }),
    /** A copy to be looked at: one that lies here, by its name, or a file. */
    lookAtCopy: b.mutation<{ id: string; jobId: string }, string | File>({
      query: (copy) =>
        typeof copy === 'string'
          ? { url: '/restore/copy', method: 'POST', body: { name: copy } }
          : { url: '/restore', method: 'PUT', body: copy, headers: { 'content-type': 'application/octet-stream' } },
    }),
    takeCopy: b.mutation<unknown, string>({ query: (id) => ({ url: '/restore/take', method: 'POST', body: { id } }) }),
    leaveCopy: b.mutation<unknown, string>({ query: (id) => ({ url: '/restore/leave', method: 'POST', body: { id } }) }),
    secondPlace: b.mutation<unknown, string>({
      query: (folder) => ({ url: '/backups/second', method: 'POST', body: { folder } }),
      invalidatesTags: ['World'],
    }),
    askForCopyLater: b.mutation<unknown, void>({
      query: () => ({ url: '/backups/later', method: 'POST', body: {} }),
      invalidatesTags: ['World'],
    }),
    putDamageAside: b.mutation<unknown, void>({ query: () => ({ url: '/damage/aside', method: 'POST', body: {} }) }),
    backups: b.query<BackupsAnswer, void>({ query: () => '/backups', providesTags: ['World'] }),
    deleted: b.query<DeletedThing[], void>({ query: () => '/deleted', providesTags: ['World'] }),
    kitchen: b.query<KitchenAnswer, void>({ query: () => '/kitchen', providesTags: ['World'] }),
    larder: b.query<LarderAnswer, void>({ query: () => '/larder', providesTags: ['World'] }),
    reference: b.query<ReferenceAnswer, string>({ query: (table) => `/reference/${encodeURIComponent(table)}`, providesTags: ['World'] }),
    readCalendar: b.mutation<CalendarAnswer, { text: string; fileName: string }>({
      query: (body) => ({ url: '/calendar/read', method: 'POST', body }),
    }),
    /** How this page stands at the household's door. */
    door: b.query<DoorAnswer, void>({ query: () => '/door' }),
    comeIn: b.mutation<unknown, ComeIn>({ query: (body) => ({ url: '/door/in', method: 'POST', body }) }),
    leave: b.mutation<unknown, void>({ query: () => ({ url: '/door/out', method: 'POST', body: {} }) }),
    home: b.query<HomeAnswer, void>({ query: () => '/home', providesTags: ['Home'] }),
    suggestPassphrase: b.mutation<{ passphrase: string }, void>({ query: () => '/home/suggested' }),
    /** Opens, shuts, names, puts out: each answers with how the household stands then. */
    changeHome: b.mutation<HomeAnswer, { path: string; body?: object }>({
      query: ({ path, body = {} }) => ({ url: `/home/${path}`, method: 'POST', body }),
      invalidatesTags: ['Home', 'World'],
    }),
    history: b.query<HistoryAnswer, number>({ query: (limit) => `/history?limit=${limit}`, providesTags: ['World'] }),
  }),
});

export const {
  useFrameQuery,
  useTodayQuery,
  useFindQuery,
  useRecipesQuery,
  useRecipeQuery,
  useIngredientsQuery,
  useMeansQuery,
  useWriteQuery,
  useRecordQuery,
  useListsQuery,
  useRevisionsQuery,
  useAwayRecipesQuery,
  useLivesQuery,
  useSessionsQuery,
  useSessionPlanQuery,
  useSessionShopQuery,
  useSessionCookQuery,
  useSessionPackQuery,
  useChangesQuery,
  useLabelsQuery,
  useStoreQuery,
  useCountQuery,
  useStartersQuery,
  usePackQuery,
  useEatQuery,
  useBackupsQuery,
  useJobQuery,
  useStopJobMutation,
  useMakeBackupMutation,
  useLookAtCopyMutation,
  useTakeCopyMutation,
  useLeaveCopyMutation,
  useSecondPlaceMutation,
  useAskForCopyLaterMutation,
  usePutDamageAsideMutation,
  useDamageQuery,
  useDeletedQuery,
  useKitchenQuery,
  useHistoryQuery,
  useLarderQuery,
  useReferenceQuery,
  useReadCalendarMutation,
  useDoorQuery,
  useComeInMutation,
  useLeaveMutation,
  useHomeQuery,
  useSuggestPassphraseMutation,
  useChangeHomeMutation,
} = api;

/** What went wrong, and what was refused. */
export interface Said {
  message: string;
  refusals: Refusal[];
}

/**
 * What went wrong, in the server's own words; no connection is said as such.
 * @param away what it means here that there was no connection
 */
export function sayError(error: unknown, away = 'What you enter is kept here and sent when it is back.'): Said {
  const e = error as FetchBaseQueryError | undefined;
  if (e && e.status === 'FETCH_ERROR') return { message: `No connection to Tambo. ${away}`, refusals: [] };
  const data = e && 'data' in e ? (e.data as { message?: string; refusals?: Refusal[] } | undefined) : undefined;
  return { message: data?.message ?? 'Something went wrong. Nothing was changed; try again.', refusals: data?.refusals ?? [] };
}
