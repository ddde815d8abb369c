import { t } from '@kelmot/core';
import {
  Problem,
  type Ack,
  type Asset,
  type CardFile,
  type CardOutcome,
  type CodeSignIn,
  type Command,
  type DemoUser,
  type DevicePerson,
  type Forecast,
  type KnownAir,
  type LeftoverOffer,
  type Me,
  type NewPassword,
  type OwnCode,
  type RepairPage,
  type RepairView,
  type ShelfLot,
  type Site,
  type StockMove,
  type RepairSort,
} from '@kelmot/contract';
import type { Card } from '@kelmot/core';
import {
  createApi,
  fetchBaseQuery,
  type BaseQueryFn,
  type EndpointBuilder,
  type FetchArgs,
} from '@reduxjs/toolkit/query/react';
import { fetchWithEarlyAnswers } from './earlyAnswers';
import { clockSeen } from './clock';
import { reads } from './reads';
import { signalSeen } from './view';

/** The error of a failed request: the server's problem, or no signal. */
export type ApiError =
  { kind: 'offline' } | { kind: 'problem'; problem: Problem; current?: RepairView };

/** Timeout of a request, ms: longer than any answer takes where there is signal. */
const LONGEST_MS = 25_000;

const raw = fetchBaseQuery({
  // Outside a browser a relative address has no base.
  baseUrl: `${globalThis.location?.origin ?? 'http://127.0.0.1'}/api`,
  credentials: 'same-origin',
  fetchFn: (asked) => fetchWithEarlyAnswers(asked as Request),
  timeout: LONGEST_MS,
});

/** The header that names the person: the server refuses the request if another person is signed in. */
const as = (person: string) => ({ headers: { 'kelmot-person': person } });

const baseQuery: BaseQueryFn<string | FetchArgs, unknown, ApiError> = async (args, api, extra) => {
  const asked = Date.now();
  const result = await raw(args, api, extra);
  const server = Date.parse(result.meta?.response?.headers.get('date') ?? '');
  if (!Number.isNaN(server)) api.dispatch(clockSeen({ server, asked, answered: Date.now() }));
  const failed = typeof result.error?.status === 'string';
  const { view } = api.getState() as { view?: { signal: boolean } };
  if (view?.signal === failed) api.dispatch(signalSeen(!failed));
  if (!result.error) return { data: result.data };
  const { current, ...said } = (result.error.data ?? {}) as { current?: unknown };
  const problem = Problem.safeParse(said);
  if (problem.success) {
    // The state in the answer may be of another version, or its schema may not be loaded: the rejection counts in any
    // case.
    const seen =
      current === undefined ? undefined : await reads.repair(current).catch(() => undefined);
    const error: ApiError = { kind: 'problem', problem: problem.data };
    return { error: seen ? { ...error, current: seen } : error };
  }
  if (typeof result.error.status === 'number') {
    const { status } = result.error;
    return {
      error: {
        kind: 'problem',
        problem: {
          type: 'about:blank',
          title: t('The server answered {status}', { status }),
          status,
        },
      },
    };
  }
  return { error: { kind: 'offline' } };
};

export interface RepairsQuery {
  status: 'open' | 'closed' | 'all';
  q: string;
  /** The column that the server sorts by; by default the last change comes first. */
  sort?: RepairSort;
  order?: 'up' | 'down';
}

const TAGS = ['Me', 'Here', 'Repairs', 'Repair', 'Assets', 'Cards', 'Shelf'] as const;
type Build = EndpointBuilder<typeof baseQuery, (typeof TAGS)[number], 'api'>;

/** Endpoints for sessions and people. */
const peopleEndpoints = (build: Build) => ({
  me: build.query<Me, void>({
    query: () => 'me',
    transformResponse: reads.me,
    providesTags: ['Me'],
  }),
  demoUsers: build.query<DemoUser[], void>({
    query: () => 'demo/users',
    transformResponse: reads.demoUsers,
  }),
  signIn: build.mutation<void, { username: string; password: string }>({
    query: (body) => ({ url: 'auth/sign-in/username', method: 'POST', body }),
    transformResponse: () => undefined,
    invalidatesTags: ['Me', 'Repairs', 'Repair', 'Assets'],
  }),
  here: build.query<DevicePerson[], void>({
    query: () => 'auth/here',
    transformResponse: reads.here,
    providesTags: ['Here'],
  }),
  signInByCode: build.mutation<void, CodeSignIn>({
    query: (body) => ({ url: 'auth/sign-in/code', method: 'POST', body }),
    transformResponse: () => undefined,
    // After too many wrong codes the code is removed.
    invalidatesTags: (_r, error) => (error ? ['Here'] : []),
  }),
  setCode: build.mutation<void, OwnCode>({
    query: (body) => ({ url: 'me/code', method: 'POST', body }),
    transformResponse: () => undefined,
    invalidatesTags: ['Here'],
  }),
  dropCode: build.mutation<void, void>({
    query: () => ({ url: 'me/code/drop', method: 'POST', body: {} }),
    transformResponse: () => undefined,
    invalidatesTags: ['Here'],
  }),
  signOut: build.mutation<void, void>({
    query: () => ({ url: 'auth/sign-out', method: 'POST', body: {} }),
    transformResponse: () => undefined,
  }),
  changePassword: build.mutation<void, NewPassword>({
    query: (body) => ({ url: 'me/password', method: 'POST', body }),
    transformResponse: () => undefined,
  }),
});

/** Endpoints for the plant and its store. */
const plantEndpoints = (build: Build) => ({
  site: build.query<Site, void>({
    query: () => 'site',
    transformResponse: reads.site,
  }),
  assets: build.query<Asset[], void>({
    query: () => 'assets',
    transformResponse: reads.assets,
    providesTags: ['Assets'],
  }),
  cards: build.query<Card[], void>({
    query: () => 'cards',
    transformResponse: reads.cards,
    providesTags: ['Cards'],
  }),
  importCards: build.mutation<CardOutcome[], { file: CardFile; by: string }>({
    query: ({ file, by }) => ({ url: 'cards', method: 'POST', body: file, ...as(by) }),
    transformResponse: reads.outcomes,
    invalidatesTags: ['Cards'],
  }),
  shelf: build.query<ShelfLot[], void>({
    query: () => 'shelf',
    transformResponse: reads.shelf,
    providesTags: ['Shelf'],
  }),
  moveStock: build.mutation<ShelfLot[], { move: StockMove; by: string }>({
    query: ({ move, by }) => ({ url: 'shelf/moves', method: 'POST', body: move, ...as(by) }),
    transformResponse: reads.shelf,
    invalidatesTags: ['Shelf'],
  }),
  forecast: build.query<Forecast, void>({
    query: () => 'forecast',
    transformResponse: reads.forecast,
  }),
  air: build.query<KnownAir | null, string>({
    query: (position) => ({ url: 'air', params: { position } }),
    transformResponse: reads.air,
  }),
});

/** Endpoints for repairs. */
const repairEndpoints = (build: Build) => ({
  repairs: build.infiniteQuery<RepairPage, RepairsQuery, string | null>({
    infiniteQueryOptions: {
      initialPageParam: null,
      getNextPageParam: (page) => page.next ?? undefined,
    },
    query: ({ queryArg, pageParam }) => ({
      url: 'repairs',
      params: { ...queryArg, limit: 100, ...(pageParam ? { cursor: pageParam } : {}) },
    }),
    transformResponse: reads.page,
    providesTags: ['Repairs'],
  }),
  repair: build.query<RepairView, string>({
    query: (id) => `repairs/${id}`,
    transformResponse: reads.repair,
    providesTags: (_r, _e, id) => [{ type: 'Repair', id }],
  }),
  leftovers: build.query<LeftoverOffer[], string>({
    query: (id) => `repairs/${id}/leftovers`,
    transformResponse: reads.leftovers,
    providesTags: ['Repairs'],
  }),
  command: build.mutation<Ack, { command: Command; by: string }>({
    query: ({ command, by }) => ({ url: 'commands', method: 'POST', body: command, ...as(by) }),
    transformResponse: reads.ack,
  }),
});

/** Everything that the client asks of the server. Answers are parsed by the contract's schemas. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery,
  tagTypes: TAGS,
  refetchOnReconnect: true,
  endpoints: (build) => ({
    ...peopleEndpoints(build),
    ...plantEndpoints(build),
    ...repairEndpoints(build),
  }),
});

export const {
  useMeQuery,
  useDemoUsersQuery,
  useHereQuery,
  useSignInByCodeMutation,
  useSetCodeMutation,
  useDropCodeMutation,
  useSignInMutation,
  useSignOutMutation,
  useChangePasswordMutation,
  useSiteQuery,
  useAssetsQuery,
  useCardsQuery,
  useImportCardsMutation,
  useShelfQuery,
  useForecastQuery,
  useAirQuery,
  useRepairsInfiniteQuery,
  useRepairQuery,
  useLeftoversQuery,
} = api;

/** Who is signed in, if it is known. */
export const signedIn = (state: unknown): Me | undefined =>
  api.endpoints.me.select()(state as Parameters<ReturnType<typeof api.endpoints.me.select>>[0])
    .data;

/** The server's error for a field, as a sentence. */
export const fieldErrorOf = (error: unknown, path: string): string | undefined => {
  const e = error as ApiError | undefined;
  const issue = e?.kind === 'problem' ? e.problem.issues?.find((i) => i.path === path) : undefined;
  return issue && t('This {message}.', { message: issue.message });
};

/** One sentence for a failed request. */
export function errorText(error: unknown): string {
  const e = error as ApiError | undefined;
  if (e?.kind === 'problem') {
    const { title, detail, issues } = e.problem;
    const fields = issues?.map((i) => `${i.path}: ${i.message}`).join('; ');
    return [title, detail, fields].filter(Boolean).join('. ');
  }
  return t('No signal. What you typed is kept and is sent when signal returns.');
}

/** One sentence for what could not be loaded. */
export const loadErrorText = (error: unknown): string =>
  (error as ApiError | undefined)?.kind === 'problem'
    ? errorText(error)
    : t('No signal. This is not on the device yet. It is loaded when signal returns.');
