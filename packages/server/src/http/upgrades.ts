import type { IncomingMessage, Server } from 'node:http';
import type { Duplex } from 'node:stream';
import type { Logger } from 'pino';
import { addressOf } from './address';

/** A request for another protocol (RFC 9110, 7.8), with its address taken apart. */
export interface Upgrade {
  readonly request: IncomingMessage;
  readonly socket: Duplex;
  readonly head: Buffer;
  readonly path: string;
  readonly query: URLSearchParams;
}

/** Takes a connection over, or answers with the status by which it is refused. */
export type UpgradeHandler = (upgrade: Upgrade) => Promise<RefusedStatus | undefined>;

const statuses = {
  400: 'Bad Request',
  401: 'Unauthorized',
  403: 'Forbidden',
  404: 'Not Found',
  421: 'Misdirected Request',
  503: 'Service Unavailable',
} as const;
export type RefusedStatus = keyof typeof statuses;

/**
 * The one door for connections that leave HTTP. From the first byte on somebody listens for a connection that breaks, an
 * address that cannot be read is refused, and whatever a handler throws ends that connection and nothing else.
 * @param handlers by the path they serve; any other path is refused
 */
export function serveUpgrades(server: Server, handlers: ReadonlyMap<string, UpgradeHandler>, log: Logger): void {
  server.on('upgrade', (request: IncomingMessage, socket: Duplex, head: Buffer) => {
    // A phone that leaves the network resets its connection at any moment.
    socket.on('error', () => socket.destroy());
    open(request, socket, head)
      .then((refused) => refused && refuse(socket, refused))
      .catch((error: unknown) => {
        log.error({ err: error }, 'a socket was not opened');
        refuse(socket, 503);
      });
  });

  async function open(request: IncomingMessage, socket: Duplex, head: Buffer): Promise<RefusedStatus | undefined> {
    const address = addressOf(request.url);
    if (!address) return 400;
    const handler = handlers.get(address.pathname);
    if (!handler) return 404;
    return handler({ request, socket, head, path: address.pathname, query: address.searchParams });
  }
}

function refuse(socket: Duplex, status: RefusedStatus): void {
  if (socket.destroyed || !socket.writable) return void socket.destroy();
  socket.end(`HTTP/1.1 ${status} ${statuses[status]}\r\nconnection: close\r\ncontent-length: 0\r\n\r\n`);
}
