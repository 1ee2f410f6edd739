import { t } from '@jasperwren/words/common';
import type { ErrorBody } from '@jasperwren/contract/errors';
import { noteAnswer } from './keep/kept-answers';
import { fetchBaseQuery, type BaseQueryFn, type FetchArgs } from '@reduxjs/toolkit/query/react';

/** What went wrong with a request, in the server's words or ours. */
export interface ApiError {
  /** HTTP status; 0 where the server was not reached. */
  readonly status: number;
  readonly code: string;
  readonly message: string;
  readonly problems?: readonly { readonly field: string; readonly message: string }[];
  /** With the code `stale`: what stands now. */
  readonly current?: unknown;
}

const unreachable: ApiError = {
  status: 0,
  code: 'unreachable',
  message: t('noConnectionTryAgain'),
};

let csrfToken = '';

/** The token of the present sign-in, sent with every change from now on. */
export function keepToken(token: string): void {
  csrfToken = token;
}

/** The header that every request which changes something carries. */
export function csrfHeader(): Readonly<Record<string, string>> {
  return csrfToken ? { 'x-csrf-token': csrfToken } : {};
}

const rawQuery = fetchBaseQuery({
  prepareHeaders: (headers) => {
    for (const [name, value] of Object.entries(csrfHeader())) headers.set(name, value);
    return headers;
  },
});

export type Query = BaseQueryFn<FetchArgs, unknown, ApiError>;

/** Asks the server; every failure has the one shape. */
export const query: Query = async (args, api, extra) => {
  const { data, error, meta } = await rawQuery(args, api, extra);
  if (meta?.response) noteAnswer(args.url, meta.response.headers);
  if (!error) return { data };
  const body = error.data as Partial<ErrorBody> | undefined;
  if (typeof error.status !== 'number') return { error: unreachable };
  // A proxy in front answers without our error shape while the server is away.
  if (!body?.error) return { error: { ...unreachable, status: error.status >= 500 ? 0 : error.status } };
  return { error: { status: error.status, ...body.error } };
};

/** The error of a query or mutation as something to show. */
export function apiError(error: unknown): ApiError | undefined {
  if (!error) return undefined;
  return typeof error === 'object' && 'code' in error && 'message' in error
    ? (error as ApiError)
    : { ...unreachable, code: 'unknown', message: t('somethingWentWrongCheckWhetherIt') };
}
