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
    async call<N extends RouteName>(name: N, arg: ArgOf<Routes[N]>): Promise<AnswerOf<Routes[N]>> {
      const answer = await request(address, name, arg, { cookie, 'x-csrf-token': session.csrfToken });
      return (answer.status === 204 ? undefined : await answer.json()) as AnswerOf<Routes[N]>;
    },
  };
}

async function request<N extends RouteName>(
  address: string,
  name: N,
  arg: ArgOf<Routes[N]>,
  headers: Record<string, string>,
): Promise<Response> {
  const { method, path, query } = routes[name];
  const { body } = arg as { readonly body?: unknown };
  const response = await fetch(address + addressOf({ path, query }, arg), {
    method,
    headers: { 'content-type': 'application/json', ...headers },
    ...(body !== undefined && { body: JSON.stringify(body) }),
  });
  if (!response.ok) throw new Error(`"${name}" was refused (${response.status}): ${await response.text()}`);
  return response;
}
