import { feedPath } from '@jasperwren/contract/yard-feed';
import { WebSocket } from 'ws';

/** A car's connection to the server: each message is answered before the next is sent. */
export async function openFeed(address: string, token: string) {
  const socket = new WebSocket(address.replace('http', 'ws') + feedPath, {
    headers: { authorization: `Bearer ${token}` },
  });
  await new Promise<void>((resolve, reject) => {
    socket.once('open', resolve);
    socket.once('error', reject);
  });
  return {
    ask: (message: unknown) =>
      new Promise<void>((resolve) => {
        socket.once('message', () => resolve());
        socket.send(JSON.stringify(message));
      }),
    close: () => socket.close(),
  };
}
