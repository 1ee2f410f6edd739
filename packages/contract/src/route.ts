/** Who may call a route: anybody, whoever is signed in of the school, its leads, or a learner who is signed in. */
export type Access = 'anybody' | 'staff' | 'lead' | 'learner';

/** What a school keeps, by subject: routes say which of it they read and which they change. */
export const topics = [
  'accounts',
  'audit',
  'checks',
  'drives',
  'learners',
  'lessons',
  'readiness',
  'reviews',
  'roads',
  'routes',
  'school',
  'shares',
  'sheets',
  'signIns',
  'standards',
  'traces',
  'wheels',
  'yard',
] as const;
export type Topic = (typeof topics)[number];

/** Topics of which one learner's part follows from the others' too: an hour that is taken is taken for all. */
export const sharedTopics: readonly Topic[] = ['lessons'];

export type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';

type NamesIn<Path extends string> = Path extends `${string}:${infer Rest}`
  ? Rest extends `${infer Name}/${infer More}`
    ? Name | NamesIn<More>
    : Rest
  : never;

/** The parameters of a path such as `/api/learners/:learnerId`. */
type ParamsOf<Path extends string> = Readonly<Record<NamesIn<Path>, string>>;

/** One way of calling the server. What is sent with it is checked by its entry in `bodies.ts`. */
export interface Route<
  Verb extends Method = Method,
  Path extends string = string,
  Who extends Access = Access,
  Query extends string = string,
  Body = unknown,
  Answer = unknown,
> {
  readonly method: Verb;
  readonly path: Path;
  readonly who: Who;
  /** Names of the query that may be given. */
  readonly query: readonly Query[];
  /** What the answer follows from, besides the person and the day. */
  readonly reads: readonly Topic[];
  /** Whether the answer follows from more than that, so that none is kept for a second asking. */
  readonly live: boolean;
  /** Whether everybody of the school in the same role gets the same answer: it is made once for all of them. */
  readonly ofSchool: boolean;
  /** What of the school a call changes. */
  readonly changes: readonly Topic[];
  /** Whether it is open to somebody who has to set up a second factor first. */
  readonly beforeFactor: boolean;
  /** Whether it goes ahead of what still has to follow from earlier changes. */
  readonly ahead: boolean;
  readonly status: 200 | 201 | 204;
  /** Whether the answer is sent as a file with a name. */
  readonly file: boolean;
  /** Whether a file is sent, as bytes, in place of a body. */
  readonly upload: boolean;
  /** For the type alone. */
  readonly body?: Body;
  /** For the type alone. */
  readonly answer?: Answer;
}

/** Everything a route says in its path and its query. */
export type InputOf<R> =
  R extends Route<Method, infer Path, Access, infer Query>
    ? ParamsOf<Path> & Readonly<Partial<Record<Query, string>>>
    : never;
export type BodyOf<R> = R extends { readonly body?: infer Body } ? Exclude<Body, undefined> : never;
export type AnswerOf<R> = R extends { readonly answer?: infer Answer } ? Answer : never;
export type AccessOf<R> = R extends { readonly who: infer Who extends Access } ? Who : never;

type Given<T> = { readonly [K in keyof T]: T[K] | (string extends T[K] ? number : never) };

/** What a caller gives: what the address needs, and what is sent. */
export type ArgOf<R> = Given<InputOf<R>> & ([BodyOf<R>] extends [never] ? unknown : { readonly body: BodyOf<R> });

/**
 * The address of a call, with its parameters and those of its query that are given.
 * @throws Error where a parameter is missing
 */
export function addressOf({ path, query }: Pick<Route, 'path' | 'query'>, input: object = {}): string {
  const given = input as Readonly<Record<string, string | number | undefined>>;
  const address = path.replace(/:(\w+)/g, (_, name: string) => {
    if (given[name] === undefined) throw new Error(`The address ${path} needs "${name}".`);
    return encodeURIComponent(given[name]);
  });
  const asked = query.flatMap((name) => (given[name] ? [`${name}=${encodeURIComponent(given[name])}`] : []));
  return asked.length > 0 ? `${address}?${asked.join('&')}` : address;
}

interface More<Query extends string> {
  readonly query?: readonly Query[];
  readonly reads?: readonly Topic[];
  readonly live?: boolean;
  readonly ofSchool?: boolean;
  readonly changes?: readonly Topic[];
  readonly beforeFactor?: boolean;
  readonly ahead?: boolean;
  readonly upload?: boolean;
}

const way =
  <const Verb extends Method>(method: Verb) =>
  <const Path extends string, const Who extends Access, const Query extends string = never>(
    path: Path,
    who: Who,
    {
      query = [],
      reads = [],
      live = false,
      ofSchool = false,
      changes = [],
      beforeFactor = false,
      ahead = false,
      upload = false,
    }: More<Query> = {},
  ) => {
    const ways = { method, path, who, query, reads, live, ofSchool, changes, beforeFactor, ahead, upload };
    const ends = <Body>() => ({
      /** Says what is answered. */
      answers: <Answer>(status: 200 | 201 = 200): Route<Verb, Path, Who, Query, Body, Answer> => ({
        ...ways,
        status,
        file: false,
      }),
      /** A file is answered. */
      file: (): Route<Verb, Path, Who, Query, Body, FileAnswer> => ({ ...ways, status: 200, file: true }),
      /** Nothing is answered but that it is done. */
      done: (): Route<Verb, Path, Who, Query, Body, void> => ({ ...ways, status: 204, file: false }),
    });
    return {
      ...ends<never>(),
      /** Says what is sent. */
      takes: <Body extends object>() => ends<Body>(),
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
