import { closedForGood } from '@jasperwren/contract/yard-feed';
import type { SentSample } from '@jasperwren/core/yard/sample';
import { sendRun, sendWholeRun } from './send-run';
import { watchRun, type Hearing } from './watch-run';

/** A socket that a test drives from the other end. */
class PretendedSocket {
  static readonly OPEN = 1;
  static made: PretendedSocket[] = [];
  readyState = 0;
  readonly sent: unknown[] = [];
  onopen?: () => void;
  onmessage?: (event: { readonly data: string }) => void;
  onclose?: (event: { readonly code: number }) => void;
  constructor(readonly address: URL) {
    PretendedSocket.made.push(this);
  }
  send(text: string): void {
    this.sent.push(JSON.parse(text));
  }
  close(code = 1006): void {
    this.readyState = 3;
    this.onclose?.({ code });
  }
  open(): void {
    this.readyState = PretendedSocket.OPEN;
    this.onopen?.();
  }
  tell(what: unknown): void {
    this.onmessage?.({ data: JSON.stringify(what) });
  }
}
const last = () => PretendedSocket.made.at(-1)!;

beforeEach(() => {
  jest.useFakeTimers();
  PretendedSocket.made = [];
  Object.assign(globalThis, { WebSocket: PretendedSocket, location: { href: 'https://school.example/yard' } });
});
afterEach(() => jest.useRealTimers());

const rows = Array.from({ length: 1000 }, (_, i) => `${i * 50},5`);
const columns = 'at_ms,speed_kmh';

describe('sending a run', () => {
  it('says which run it is, then sends what there is, one message after the other', () => {
    const sender = sendRun({ run: 'r', columns, rows });
    sender.advance(700);
    last().open();
    expect(last().address.href).toBe('wss://school.example/api/yard/feed');
    expect(last().sent).toEqual([{ run: 'r', columns }]);
    last().tell({ have: 0 });
    last().tell({ have: 400 });
    expect(last().sent.slice(1)).toEqual([
      { from: 0, rows: rows.slice(0, 400) },
      { from: 400, rows: rows.slice(400, 700) },
    ]);
    last().tell({ have: 700 });
    sender.advance(702);
    expect(last().sent.at(-1)).toEqual({ from: 700, rows: rows.slice(700, 702) });
  });

  it('goes on from what is kept once it is connected again', () => {
    const sender = sendRun({ run: 'r', columns, rows });
    sender.advance(100);
    last().open();
    last().tell({ have: 0 });
    last().close();
    sender.advance(300);
    jest.advanceTimersByTime(1000);
    expect(PretendedSocket.made).toHaveLength(2);
    last().open();
    last().tell({ have: 60 });
    expect(last().sent).toEqual([
      { run: 'r', columns },
      { from: 60, rows: rows.slice(60, 300) },
    ]);
    sender.close();
    jest.advanceTimersByTime(5000);
    expect(PretendedSocket.made).toHaveLength(2);
  });

  it('is done once all is kept, and says why it was refused', async () => {
    const kept: number[] = [];
    const whole = sendWholeRun({ run: 'r', columns, rows: rows.slice(0, 5) }, (have) => kept.push(have));
    last().open();
    last().tell({ have: 0 });
    last().tell({ have: 5 });
    await whole;
    expect(kept).toEqual([0, 5]);
    const refused = sendWholeRun({ run: 'r', columns, rows });
    last().open();
    last().tell({ error: 'There is no run with this id.' });
    await expect(refused).rejects.toThrow('There is no run with this id.');
    jest.advanceTimersByTime(5000);
    expect(PretendedSocket.made).toHaveLength(2);
  });
});

describe('watching a run', () => {
  it('gives every sample once and in order over several connections, and says whether it is heard', () => {
    const heard: SentSample[] = [];
    const hearing: Hearing[] = [];
    const stop = watchRun('a b', { samples: (more) => heard.push(...more), hearing: (now) => hearing.push(now) });
    expect(last().address.href).toBe('wss://school.example/api/yard/watch?run=a%20b&from=0');
    last().open();
    last().tell({ columns, from: 0, rows: rows.slice(0, 4) });
    last().tell({ columns, from: 2, rows: rows.slice(2, 6) });
    last().tell({ columns, from: 6, rows: [] });
    last().close();
    jest.advanceTimersByTime(1000);
    expect(last().address.searchParams.get('from')).toBe('6');
    last().open();
    last().tell({ columns, from: 6, rows: rows.slice(6, 8) });
    expect(heard.map(({ at }) => at)).toEqual([0, 50, 100, 150, 200, 250, 300, 350]);
    expect(hearing).toEqual(['connecting', 'heard', 'lost', 'heard']);
    stop();
    jest.advanceTimersByTime(5000);
    expect(PretendedSocket.made).toHaveLength(2);
  });

  it('says that nothing was sent yet, and nothing of the sort once something was', () => {
    const none = jest.fn();
    watchRun('new', { samples: () => undefined, none });
    last().open();
    last().tell({ columns, from: 0, rows: [] });
    expect(none).toHaveBeenCalledTimes(1);
    last().tell({ columns, from: 0, rows: rows.slice(0, 2) });
    last().close();
    jest.advanceTimersByTime(1000);
    last().open();
    last().tell({ columns, from: 2, rows: [] });
    expect(none).toHaveBeenCalledTimes(1);
  });

  it('asks no more for a run that the school does not have', () => {
    const hearing: Hearing[] = [];
    watchRun('deleted', { samples: () => undefined, hearing: (now) => hearing.push(now) });
    last().open();
    last().close(closedForGood);
    jest.advanceTimersByTime(60_000);
    expect(hearing).toEqual(['connecting', 'heard', 'unknown']);
    expect(PretendedSocket.made).toHaveLength(1);
  });
});
