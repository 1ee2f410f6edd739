import { connect, type Socket } from 'node:net';
import { feedPath, watchPath } from '@jasperwren/contract/yard-feed';
import { routeNames, routeOf } from '@jasperwren/contract/routes';
import { pick, randomFrom } from '@jasperwren/core/safety-questions/random';

/** What is sent over one connection, and how it ends. */
interface RawRequest {
  readonly bytes: Buffer;
  /** Whether the connection is reset instead of closed, as by a phone that leaves the network. */
  readonly reset: boolean;
  /** How many bytes are sent before it is reset or closed; all where it is as many. */
  readonly sent: number;
}

const verbs = ['GET', 'POST', 'PUT', 'DELETE', 'HEAD', 'OPTIONS', 'PATCH', 'CONNECT', 'TRACE', 'get', 'G ET', ''];
const versions = ['HTTP/1.1', 'HTTP/1.1', 'HTTP/1.1', 'HTTP/1.0', 'HTTP/2.0', 'HTTP/9', 'XTP/1.1', ''];
const oddPaths = [
  ...['/', '//', '///', '//host/path', '/%', '/%zz', '/%00', '/..', '/../../etc/passwd', '/\\', '*', '?', '#', ''],
  ...['http://', 'http://[', 'http://elsewhere/', 'host:80', '/api/', '/api/%ff', `/${'a'.repeat(9000)}`],
  ...['/assets/%', '/assets/../index.html', '/shared/%E0%A4%A', '/healthz', '/healthz?', '/api/yard/feed/', '/sw.js'],
];
const names = ['A', ' ', '', '\u0000', 'host', 'Content-Length', 'Transfer-Encoding', 'é', 'x'.repeat(300)];
const values = ['', '1', '-1', '9'.repeat(30), 'chunked', '\u0000', 'é', '%', '%zz', '"', ';;=;', 'x'.repeat(9000)];
const bodies = [
  '',
  '{',
  '{}',
  'null',
  '[]',
  '"',
  '{"a":1}',
  '[[[[[[',
  '\u0000',
  '5\r\nabc',
  '{"email":1,"password":[]}',
];

/** A source of requests as nobody's program sends them; the same for the same seed. */
export function rawRequests(seed: number): () => RawRequest {
  const random = randomFrom(seed);
  const chance = (p: number) => random() < p;
  const paths = [...oddPaths, ...routeNames.map((name) => routeOf(name).path), feedPath, watchPath];

  const spoilt = (text: string): string => {
    if (text === '' || chance(0.7)) return text;
    const at = Math.floor(random() * text.length);
    return text.slice(0, at) + pick(random, [...oddPaths, ...values]) + text.slice(at + (chance(0.5) ? 1 : 0));
  };

  function upgrade(): string[] {
    const key = pick(random, ['dGhlIHNhbXBsZSBub25jZQ==', 'short', '', '%']);
    const all = [
      `Upgrade: ${pick(random, ['websocket', 'websocket', 'websocket', 'h2c', ''])}`,
      `Connection: ${pick(random, ['Upgrade', 'Upgrade', 'upgrade, close', 'keep-alive'])}`,
      `Sec-WebSocket-Key: ${key}`,
      `Sec-WebSocket-Version: ${pick(random, ['13', '13', '13', '8', 'x'])}`,
      `Authorization: ${pick(random, ['Bearer made-up', 'Bearer', 'Basic x', 'Bearer \u0000'])}`,
      `Origin: ${pick(random, ['http://host', 'null', '', 'http://[', '%'])}`,
    ];
    return all.filter(() => chance(0.9));
  }

  return () => {
    const path = pick(random, chance(0.25) ? ['//', feedPath, watchPath] : paths);
    const body = pick(random, bodies);
    const lines = [
      `${pick(random, chance(0.7) ? ['GET', 'POST'] : verbs)} ${spoilt(path)} ${pick(random, versions)}`,
      ...(chance(0.9) ? [`Host: ${pick(random, ['host', 'host', '', '[', 'a b'])}`] : []),
      ...(chance(0.4) ? upgrade() : []),
      ...(chance(0.3)
        ? [`Cookie: ${pick(random, ['jasperwren=%', 'jasperwren=%E0%A4%A', '=', ';;', 'jasperwren='])}`]
        : []),
      ...(chance(0.4)
        ? [`Content-Length: ${chance(0.6) ? body.length : pick(random, values)}`, 'Content-Type: application/json']
        : []),
      ...(chance(0.2) ? [`Transfer-Encoding: ${pick(random, ['chunked', 'gzip', ''])}`] : []),
      ...(chance(0.2) ? [`${pick(random, names)}: ${pick(random, values)}`] : []),
    ];
    const text = spoilt(lines.join(chance(0.95) ? '\r\n' : '\n')) + (chance(0.95) ? '\r\n\r\n' : '') + body;
    const bytes = Buffer.from(text, chance(0.5) ? 'utf8' : 'latin1');
    const sent = chance(0.25) ? Math.floor(random() * bytes.length) : bytes.length;
    return { bytes, sent, reset: chance(0.4) };
  };
}

/** How long one connection may stay without an answer, in milliseconds: half of a request is waited for. */
const mostMs = 150;

/**
 * Sends requests, several at a time, each over a connection of its own.
 * @returns how many of them were answered, by status; under 0 where the connection ended without one
 */
export async function sendRaw(
  address: string,
  next: () => RawRequest,
  count: number,
  atOnce = 16,
): Promise<ReadonlyMap<number, number>> {
  const { port, hostname } = new URL(address);
  const answers = new Map<number, number>();
  let left = count;
  const lane = async () => {
    while (left-- > 0) {
      const status = await sendOne(connect(Number(port), hostname), next());
      answers.set(status, (answers.get(status) ?? 0) + 1);
    }
  };
  await Promise.all(Array.from({ length: atOnce }, lane));
  return answers;
}

function sendOne(socket: Socket, { bytes, sent, reset }: RawRequest): Promise<number> {
  return new Promise((resolve) => {
    let answer = '';
    const timer = setTimeout(() => socket.destroy(), mostMs);
    const end = () => {
      clearTimeout(timer);
      socket.destroy();
      resolve(Number(/^HTTP\/1\.1 (\d{3})/.exec(answer)?.[1] ?? 0));
    };
    socket.on('error', end);
    socket.on('close', end);
    socket.on('data', (chunk: Buffer) => {
      answer += chunk.toString('latin1');
      if (!reset) end();
    });
    socket.on('connect', () => {
      socket.write(bytes.subarray(0, sent), () => {
        if (reset) socket.resetAndDestroy();
        else if (sent < bytes.length) socket.end();
      });
    });
  });
}
