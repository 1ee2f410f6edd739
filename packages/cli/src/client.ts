import type { SessionView } from '@jasperwren/contract/accounts';

/**
 * Signs in to a server and sends requests as the web application does.
 * @throws Error with the server's answer where a request is refused
 */
export async function signedIn(address: string, email: string, password: string) {
  const response = await request(address, 'POST', '/api/session', { email, password }, {});
  const session = (await response.json()) as SessionView;
  const cookie = response.headers
    .getSetCookie()
    .map((set) => set.split(';')[0])
    .join('; ');
  return {
    accountId: session.account.id,
    async send<T>(method: string, path: string, body: unknown): Promise<T> {
      const answer = await request(address, method, path, body, { cookie, 'x-csrf-token': session.csrfToken });
      return (answer.status === 204 ? undefined : await answer.json()) as T;
    },
  };
}

async function request(
  address: string,
  method: string,
  path: string,
  body: unknown,
  headers: Record<string, string>,
): Promise<Response> {
  const response = await fetch(address + path, {
    method,
    headers: { 'content-type': 'application/json', ...headers },
    ...(body !== undefined && { body: JSON.stringify(body) }),
  });
  if (!response.ok) throw new Error(`${method} ${path} was refused (${response.status}): ${await response.text()}`);
  return response;
}
