import {
  Ack,
  Asset,
  CardOutcome,
  DemoUser,
  Forecast,
  KnownAir,
  LeftoverOffer,
  Me,
  Problem,
  RepairPage,
  RepairView,
  ShelfLot,
  Site,
  type CardFile,
  type Command,
  type NewPassword,
  type StockMove,
} from '@kelmot/contract';
import { Card } from '@kelmot/core';
import {
  createApi,
  fetchBaseQuery,
  type BaseQueryFn,
  type FetchArgs,
} from '@reduxjs/toolkit/query/react';
import { z } from 'zod';

/** What a failed request tells a screen: the server's problem, or that there is no signal. */
export type ApiError =
  { kind: 'offline' } | { kind: 'problem'; problem: Problem; current?: RepairView };

const raw = fetchBaseQuery({
  // A relative address has no base outside a browser.
  baseUrl: `${globalThis.location?.origin ?? 'http://127.0.0.1'}/api`,
  credentials: 'same-origin',
});

const Conflict = Problem.extend({ current: RepairView.optional() });

const baseQuery: BaseQueryFn<string | FetchArgs, unknown, ApiError> = async (args, api, extra) => {
  const result = await raw(args, api, extra);
  if (!result.error) return { data: result.data };
  const parsed = Conflict.safeParse(result.error.data);
  if (parsed.success) {
    const { current, ...problem } = parsed.data;
    return { error: { kind: 'problem', problem, current } };
  }
  if (typeof result.error.status === 'number') {
    const { status } = result.error;
    return {
      error: {
        kind: 'problem',
        problem: { type: 'about:blank', title: `The server answered ${status}`, status },
      },
    };
  }
  return { error: { kind: 'offline' } };
};

export interface RepairsQuery {
  status: 'open' | 'closed' | 'all';
  q: string;
}

/** Everything the client asks of the server. Answers are parsed by the contract's schemas on the way in. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery,
  tagTypes: ['Me', 'Repairs', 'Repair', 'Assets', 'Cards', 'Shelf'],
  refetchOnReconnect: true,
  endpoints: (build) => ({
    me: build.query<Me, void>({
      query: () => 'me',
      transformResponse: (r) => Me.parse(r),
      providesTags: ['Me'],
    }),
    demoUsers: build.query<DemoUser[], void>({
      query: () => 'demo/users',
      transformResponse: (r) => z.array(DemoUser).parse(r),
    }),
    signIn: build.mutation<void, { username: string; password: string }>({
      query: (body) => ({ url: 'auth/sign-in/username', method: 'POST', body }),
      transformResponse: () => undefined,
      invalidatesTags: ['Me', 'Repairs', 'Repair', 'Assets'],
    }),
    signOut: build.mutation<void, void>({
      query: () => ({ url: 'auth/sign-out', method: 'POST', body: {} }),
      transformResponse: () => undefined,
    }),
    changePassword: build.mutation<void, NewPassword>({
      query: (body) => ({ url: 'me/password', method: 'POST', body }),
      transformResponse: () => undefined,
    }),
    site: build.query<Site, void>({ query: () => 'site', transformResponse: (r) => Site.parse(r) }),
    assets: build.query<Asset[], void>({
      query: () => 'assets',
      transformResponse: (r) => z.array(Asset).parse(r),
      providesTags: ['Assets'],
    }),
    cards: build.query<Card[], void>({
      query: () => 'cards',
      transformResponse: (r) => z.array(Card).parse(r),
      providesTags: ['Cards'],
    }),
    importCards: build.mutation<CardOutcome[], CardFile>({
      query: (body) => ({ url: 'cards', method: 'POST', body }),
      transformResponse: (r) => z.array(CardOutcome).parse(r),
      invalidatesTags: ['Cards'],
    }),
    shelf: build.query<ShelfLot[], void>({
      query: () => 'shelf',
      transformResponse: (r) => z.array(ShelfLot).parse(r),
      providesTags: ['Shelf'],
    }),
    moveStock: build.mutation<ShelfLot[], StockMove>({
      query: (body) => ({ url: 'shelf/moves', method: 'POST', body }),
      transformResponse: (r) => z.array(ShelfLot).parse(r),
      invalidatesTags: ['Shelf'],
    }),
    forecast: build.query<Forecast, void>({
      query: () => 'forecast',
      transformResponse: (r) => Forecast.parse(r),
    }),
    air: build.query<KnownAir | null, string>({
      query: (position) => ({ url: 'air', params: { position } }),
      transformResponse: (r) => KnownAir.nullable().parse(r),
    }),
    repairs: build.infiniteQuery<RepairPage, RepairsQuery, string | null>({
      infiniteQueryOptions: {
        initialPageParam: null,
        getNextPageParam: (page) => page.next ?? undefined,
      },
      query: ({ queryArg, pageParam }) => ({
        url: 'repairs',
        params: { ...queryArg, limit: 100, ...(pageParam ? { cursor: pageParam } : {}) },
      }),
      transformResponse: (r) => RepairPage.parse(r),
      providesTags: ['Repairs'],
    }),
    repair: build.query<RepairView, string>({
      query: (id) => `repairs/${id}`,
      transformResponse: (r) => RepairView.parse(r),
      providesTags: (_r, _e, id) => [{ type: 'Repair', id }],
    }),
    leftovers: build.query<LeftoverOffer[], string>({
      query: (id) => `repairs/${id}/leftovers`,
      transformResponse: (r) => z.array(LeftoverOffer).parse(r),
      providesTags: ['Repairs'],
    }),
    command: build.mutation<Ack, Command>({
      query: (body) => ({ url: 'commands', method: 'POST', body }),
      transformResponse: (r) => Ack.parse(r),
    }),
  }),
});

export const {
  useMeQuery,
  useDemoUsersQuery,
  useSignInMutation,
  useSignOutMutation,
  useChangePasswordMutation,
  useSiteQuery,
  useAssetsQuery,
  useCardsQuery,
  useImportCardsMutation,
  useShelfQuery,
  useMoveStockMutation,
  useForecastQuery,
  useAirQuery,
  useRepairsInfiniteQuery,
  useRepairQuery,
  useLeftoversQuery,
} = api;

/** One sentence for a failed request. */
export function sayError(error: unknown): string {
  const e = error as ApiError | undefined;
  if (e?.kind === 'problem') {
    const { title, detail, issues } = e.problem;
    const fields = issues?.map((i) => `${i.path}: ${i.message}`).join('; ');
    return [title, detail, fields].filter(Boolean).join('. ');
  }
  return 'No signal. What you typed is kept; it goes on by itself when signal returns.';
}
