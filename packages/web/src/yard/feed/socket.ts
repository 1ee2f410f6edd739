import { closedForGood } from '@jasperwren/contract/yard-feed';

/** After a connection is lost another is tried after so many milliseconds. */
const againMs = 1000;

/** A socket that is opened anew whenever it is lost, unless the server closed it for good. */
export interface Line {
  readonly send: (what: unknown) => void;
  /** Ends it for good. */
  readonly close: () => void;
}

interface Ends {
  readonly path: () => string;
  readonly opened?: (line: Line) => void;
  readonly told: (what: never, line: Line) => void;
  /** It was lost, and is tried again. */
  readonly lost?: () => void;
  /** The server closed it and would do so again. */
  readonly ended?: () => void;
}

/** Opens a socket of the server and keeps it open. */
export function openLine({ path, opened, told, lost, ended }: Ends): Line {
  let socket: WebSocket | undefined;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let closed = false;
  const line: Line = {
    send: (what) => {
      if (socket?.readyState === WebSocket.OPEN) socket.send(JSON.stringify(what));
    },
    close() {
      closed = true;
      clearTimeout(timer);
      socket?.close();
    },
  };
  const open = () => {
    const address = new URL(path(), location.href);
    address.protocol = address.protocol.replace('http', 'ws');
    socket = new WebSocket(address);
    socket.onopen = () => opened?.(line);
    socket.onmessage = ({ data }) => told(JSON.parse(data as string) as never, line);
    socket.onclose = ({ code }) => {
      if (closed) return;
      if (code === closedForGood) return ended?.();
      lost?.();
      timer = setTimeout(open, againMs);
    };
  };
  open();
  return line;
}
