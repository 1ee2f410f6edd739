import fc from 'fast-check';
import { mostRowsInAMessage, type FeedHello, type FeedRows } from './yard-feed';
import { yardSender } from './yard-sender';

const hello: FeedHello = { run: 'r', columns: 'at_ms,speed_kmh' };
const rowsOf = (count: number) => Array.from({ length: count }, (_, i) => `${i},5`);

/** The keeping end: as the server does it, each row once and none out of its place. */
function keeper() {
  const kept: string[] = [];
  return {
    kept,
    take(message: FeedHello | FeedRows): { readonly have: number } {
      if ('rows' in message && message.from <= kept.length)
        kept.push(...message.rows.slice(kept.length - message.from));
      return { have: kept.length };
    },
  };
}

it('says who it is first, and sends nothing before it was answered', () => {
  const sent: (FeedHello | FeedRows)[] = [];
  const sender = yardSender({ hello, rows: rowsOf(3), send: (what) => sent.push(what), refused: () => undefined });
  sender.advance(3);
  expect(sent).toEqual([]);
  sender.opened();
  expect(sent).toEqual([hello]);
  sender.advance(3);
  expect(sent).toHaveLength(1);
  sender.told({ have: 1 });
  expect(sent[1]).toEqual({ from: 1, rows: rowsOf(3).slice(1) });
  // Not twice while the answer is on its way.
  sender.advance(3);
  expect(sent).toHaveLength(2);
  sender.told({ have: 3 });
  expect(sent).toHaveLength(2);
});

it('sends only what is due, never less than before, and no more rows in a message than may be', () => {
  const sent: FeedRows[] = [];
  const all = rowsOf(mostRowsInAMessage + 10);
  const sender = yardSender({
    hello,
    rows: all,
    send: (what) => 'rows' in what && sent.push(what),
    refused: () => undefined,
  });
  sender.opened();
  sender.told({ have: 0 });
  sender.advance(2);
  sender.advance(1);
  sender.told({ have: 2 });
  sender.advance(100_000);
  sender.told({ have: mostRowsInAMessage + 2 });
  expect(sent.map(({ from, rows }) => [from, rows.length])).toEqual([
    [0, 2],
    [2, mostRowsInAMessage],
    [mostRowsInAMessage + 2, 8],
  ]);
});

it('stops at a refusal, with its reason', () => {
  const sent: unknown[] = [];
  const refused: string[] = [];
  const sender = yardSender({
    hello,
    rows: rowsOf(5),
    send: (what) => sent.push(what),
    refused: (why) => refused.push(why),
  });
  sender.opened();
  sender.told({ error: 'This code is not known.' });
  sender.advance(5);
  expect(refused).toEqual(['This code is not known.']);
  expect(sent).toEqual([hello]);
});

it('brings every row over once and in order, however often the line is lost, before or after the other end has kept it', () => {
  const happening = fc.constantFrom('answered', 'lost before', 'lost after');
  fc.assert(
    fc.property(fc.nat(60), fc.array(happening, { maxLength: 40 }), fc.nat(7), (count, happenings, pace) => {
      const rows = rowsOf(count);
      const { kept, take } = keeper();
      const told: number[] = [];
      let message: FeedHello | FeedRows | undefined;
      const sender = yardSender({
        hello,
        rows,
        send: (what) => (message = what),
        kept: (have) => told.push(have),
        refused: () => undefined,
      });
      let due = 0;
      sender.opened();
      // Once the line holds, all is well; before that anything goes.
      for (const what of [...happenings, ...Array<'answered'>(count + 3).fill('answered')]) {
        sender.advance((due += pace + 1));
        const now = message;
        message = undefined;
        if (!now) continue;
        if (what === 'answered') sender.told(take(now));
        else {
          if (what === 'lost after') take(now);
          sender.opened();
        }
      }
      expect(kept).toEqual(rows);
      expect(told.at(-1)).toBe(count);
    }),
  );
});
