import {
  addressOf,
  sharedTopics,
  topics,
  type AnswerOf,
  type ArgOf,
  type FileAnswer,
  type Topic,
} from '@jasperwren/contract/route';
import { routeNames, routeOf, routes, writes, type RouteName, type Routes } from '@jasperwren/contract/routes';
import { createApi, type FetchArgs, type MutationDefinition, type QueryDefinition } from '@reduxjs/toolkit/query/react';
import { query, type Query } from './client';

/** Routes that answer with a file are links, see `addressFor`. */
type Asked = {
  [N in RouteName]: AnswerOf<Routes[N]> extends FileAnswer ? never : N;
}[RouteName];

/** What a call is given; where there is nothing to say, nothing has to be said. */
type Arg<N extends RouteName> = keyof ArgOf<Routes[N]> extends never
  ? void
  : object extends ArgOf<Routes[N]>
    ? ArgOf<Routes[N]> | void
    : ArgOf<Routes[N]>;

/** A change may say whose it is where the address does not: then nobody else's pages are asked for again. */
type Change<N extends RouteName> = Arg<N> extends void ? void : Arg<N> & { readonly learnerId?: string | undefined };

type Endpoints = {
  readonly [N in Asked]: Routes[N]['method'] extends 'GET'
    ? QueryDefinition<Arg<N>, Query, Topic, AnswerOf<Routes[N]>, 'api'>
    : MutationDefinition<Change<N>, Query, Topic, AnswerOf<Routes[N]>, 'api'>;
};

/** The tag of what is about nobody in particular; one with another id is about that learner. */
const everybody = 'everybody';

const learnerIn = (arg: unknown) => (arg as { readonly learnerId?: string } | undefined)?.learnerId;

/** The address of a route, for a link to a file. */
export const addressFor = <N extends RouteName>(name: N, arg: Omit<ArgOf<Routes[N]>, 'body'>): string =>
  addressOf(routes[name], arg);

function requestOf(name: RouteName, arg: unknown): FetchArgs {
  const route = routeOf(name);
  const { body } = (arg ?? {}) as { readonly body?: unknown };
  return {
    url: addressOf(route, arg ?? {}),
    method: route.method,
    ...(body !== undefined && { body }),
  };
}

/** All requests of the application: an endpoint for each route of the table, its tags from the topics it names. */
export const api = createApi({
  baseQuery: query,
  tagTypes: topics,
  endpoints: (build) => {
    const endpointOf = (name: RouteName) => {
      const route = routeOf(name);
      if (writes(route))
        return build.mutation<unknown, unknown>({
          query: (arg) => requestOf(name, arg),
          invalidatesTags(_, error, arg) {
            if (error) return [];
            const id = learnerIn(arg);
            return (id === undefined ? [undefined] : [everybody, id]).flatMap((whose) =>
              route.changes.map((type) => ({ type, ...(whose !== undefined && { id: whose }) })),
            );
          },
        });
      return build.query<unknown, unknown>({
        query: (arg) => requestOf(name, arg),
        providesTags: (_, __, arg) =>
          route.reads.map((type) => ({
            type,
            id: (sharedTopics.includes(type) ? undefined : learnerIn(arg)) ?? everybody,
          })),
        ...(route.live && { keepUnusedDataFor: 0 }),
      });
    };
    const asked = routeNames.filter((name) => !routeOf(name).file);
    return Object.fromEntries(asked.map((name) => [name, endpointOf(name)])) as unknown as Endpoints;
  },
});
