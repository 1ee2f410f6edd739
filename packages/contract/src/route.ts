import type { InputClass } from './check';

/** Who may call a route: anybody, whoever is signed in of the school, its leads, or a learner who is signed in. */
export type Access = 'anybody' | 'staff' | 'lead' | 'learner';

/** What a school keeps, by subject: routes say which of it they read and which they change. */
export type Topic =
  | 'accounts'
  | 'audit'
  | 'checks'
  | 'drives'
  | 'learners'
  | 'lessons'
  | 'readiness'
  | 'reviews'
  | 'school'
  | 'shares'
  | 'sheets'
  | 'signIns'
  | 'standards';

export type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';

type NamesIn<Path extends string> = Path extends `${string}:${infer Rest}`
  ? Rest extends `${infer Name}/${infer More}`
    ? Name | NamesIn<More>
    : Rest
  : never;

/** The parameters of a path such as `/api/learners/:learnerId`. */
type ParamsOf<Path extends string> = Readonly<Record<NamesIn<Path>, string>>;

/** One way of calling the server. */
export interface Route<
  Path extends string = string,
  Who extends Access = Access,
  Body extends object = object,
  Query extends string = string,
  Answer = unknown,
> {
  readonly method: Method;
  readonly path: Path;
  readonly who: Who;
  /** What the body is checked against; missing where there is none. */
  readonly body?: InputClass<Body>;
  /** Names of the query that may be given. */
  readonly query: readonly Query[];
  /** What the answer follows from, besides the person and the day: it is the same while none of that changes. */
  readonly reads: readonly Topic[];
  /** What of the school a call changes. */
  readonly changes: readonly Topic[];
  readonly status: 200 | 201 | 204;
  /** Whether the answer is sent as a file with a name. */
  readonly file: boolean;
  /** For the type alone. */
  readonly answer?: Answer;
}

/** Everything a route says in its path and its query. */
export type InputOf<R> =
  R extends Route<infer Path, Access, never, infer Query, unknown>
    ? ParamsOf<Path> & Readonly<Partial<Record<Query, string>>>
    : never;
export type BodyOf<R> = R extends Route<string, Access, infer Body, string, unknown> ? Body : never;
export type AnswerOf<R> = R extends { readonly answer?: infer Answer } ? Answer : never;
export type AccessOf<R> = R extends { readonly who: infer Who extends Access } ? Who : never;

interface More<Body extends object, Query extends string> {
  readonly body?: InputClass<Body>;
  readonly query?: readonly Query[];
  readonly reads?: readonly Topic[];
  readonly changes?: readonly Topic[];
}

const way =
  (method: Method) =>
  <
    const Path extends string,
    const Who extends Access,
    Body extends object = never,
    const Query extends string = never,
  >(
    path: Path,
    who: Who,
    { body, query = [], reads = [], changes = [] }: More<Body, Query> = {},
  ) => {
    const route = <Answer>(status: 200 | 201 | 204, file = false): Route<Path, Who, Body, Query, Answer> => ({
      method,
      path,
      who,
      ...(body && { body }),
      query,
      reads,
      changes,
      status,
      file,
    });
    return {
      /** Says what is answered. */
      answers: <Answer>(status: 200 | 201 = 200) => route<Answer>(status),
      /** A file is answered. */
      file: () => route<FileAnswer>(200, true),
      /** Nothing is answered but that it is done. */
      done: () => route<void>(204),
    };
  };

export const get = way('GET');
export const post = way('POST');
export const put = way('PUT');
export const del = way('DELETE');

/** An answer that is a file: the server sends it with its name. */
export interface FileAnswer {
  readonly name: string;
  readonly type: string;
  readonly body: string | Uint8Array;
}
