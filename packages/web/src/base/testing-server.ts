/** A request as the pretended server hears it. */
interface Heard {
  readonly method: string;
  readonly path: string;
  readonly headers: Headers;
  readonly body: unknown;
}

type Answer = { readonly status?: number; readonly body?: unknown } | Error;

/** Stands in for the network: answers each request as it is told, and keeps what was asked. */
export function pretendServer(answer: (heard: Heard) => Answer) {
  const heard: Heard[] = [];
  const original = globalThis.fetch;
  const base = 'http://server.example';
  // In a page addresses have a base; here it is made up.
  const OriginalRequest = globalThis.Request;
  globalThis.Request = class extends OriginalRequest {
    constructor(input: string | URL | Request, init?: RequestInit) {
      super(typeof input === 'string' && input.startsWith('/') ? base + input : input, init);
    }
  };
  globalThis.fetch = async (input) => {
    const request = input as Request;
    const text = await request.text();
    const one: Heard = {
      method: request.method,
      path: request.url.slice(base.length),
      headers: request.headers,
      body: text === '' ? undefined : (JSON.parse(text) as unknown),
    };
    heard.push(one);
    const said = answer(one);
    if (said instanceof Error) throw said;
    const { status = 200, body } = said;
    return new Response(body === undefined ? null : JSON.stringify(body), {
      status,
      headers: { 'content-type': 'application/json' },
    });
  };
  return {
    heard,
    paths: () => heard.map(({ method, path }) => `${method} ${path}`),
    forget: () => void heard.splice(0),
    stop() {
      globalThis.fetch = original;
      globalThis.Request = OriginalRequest;
    },
  };
}
