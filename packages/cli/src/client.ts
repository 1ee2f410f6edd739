import type { SessionView } from '@jasperwren/contract/accounts';
import { addressOf, type AnswerOf, type ArgOf } from '@jasperwren/contract/route';
import { routes, type RouteName, type Routes } from '@jasperwren/contract/routes';

/**
 * Signs in to a server and calls its routes as the web application does.
 * @throws Error with the server's answer where a call is refused
 */
export async function signedIn(address: string, email: string, password: string) {
  const response = await request(address, 'signIn', { body: { email, password } }, {});
  const session = (await response.json()) as SessionView;
  const cookie = response.headers
    .getSetCookie()
    .map((set) => set.split(';')[0])
    .join('; ');
  return {
    accountId: session.account.id,
    /** Sends a file to a route that takes one. */
    async upload<N extends RouteName>(name: N, arg: ArgOf<Routes[N]>, file: Uint8Array): Promise<AnswerOf<Routes[N]>> {
      const headers = { cookie, 'x-csrf-token': session.csrfToken, 'content-type': 'application/octet-stream' };
      return (await (await request(address, name, arg, headers, file)).json()) as AnswerOf<Routes[N]>;
    },
    async call<N extends RouteName>(name: N, arg: ArgOf<Routes[N]>): Promise<AnswerOf<Routes[N]>> {
      const answer = await request(address, name, arg, { cookie, 'x-csrf-token': session.csrfToken });
      return (answer.status === 204 ? undefined : await answer.json()) as AnswerOf<Routes[N]>;
    },
  };
}

export type Client = Awaited<ReturnType<typeof signedIn>>;

async function request<N extends RouteName>(
  address: string,
  name: N,
  arg: ArgOf<Routes[N]>,
  headers: Record<string, string>,
  file?: Uint8Array,
): Promise<Response> {
  const { method, path, query } = routes[name];
  const { body } = arg as { readonly body?: unknown };
  const response = await fetch(address + addressOf({ path, query }, arg), {
    method,
    headers: { 'content-type': 'application/json', ...headers },
    ...(body !== undefined && { body: JSON.stringify(body) }),
    ...(file && { body: file as Uint8Array<ArrayBuffer> }),
  });
  if (!response.ok) throw new Error(`"${name}" was refused (${response.status}): ${await response.text()}`);
  return response;
}
