import { logOf, start } from '@jasperwren/core/drive/testing';
import type { DriveEvent } from '@jasperwren/core/drive/event';
import { strFromU8, unzipSync } from 'fflate';
import { expect, test } from './fixtures';
import { password } from './server';

/** Each start of a server takes a while: `KILLS=50` for the long run. */
const kills = Number(process.env['KILLS'] ?? 10);
const perBatch = 8;
/** Of the first fix. */
const traceFrom = Date.UTC(2026, 4, 4, 9, 0);

test('killing the server at random while events are sent loses nothing acknowledged and doubles nothing', async ({
  request,
  school,
  server,
}) => {
  test.setTimeout(900_000);
  const signedIn = await request.post('/api/session', { data: { email: school.email, password } });
  const { csrfToken } = (await signedIn.json()) as { csrfToken: string };
  const headers = { 'x-csrf-token': csrfToken };
  const added = await request.post('/api/learners', {
    headers,
    data: { name: 'Wren', transmission: 'manual', standardId: 'tally' },
  });
  const { id: learnerId } = (await added.json()) as { id: string };
  const events: DriveEvent[] = logOf([
    [0, { ...start(), learnerId }],
    ...Array.from({ length: kills * perBatch }, (_, i) => [i / 20, { type: 'pin' }] as const),
  ]);
  const send = async (batch: readonly DriveEvent[]): Promise<readonly string[]> => {
    try {
      const answer = await request.post('/api/drives/killed/events', { headers, data: { events: batch } });
      return answer.ok() ? ((await answer.json()) as { accepted: string[] }).accepted : [];
    } catch {
      return [];
    }
  };
  // The trace of the same mock test travels beside its events, a piece of some fixes at a time.
  const fixesIn = 4;
  const pieces = Array.from({ length: kills }, (_, i) => ({
    id: `piece-${i}`,
    source: 'device',
    fixes: Array.from({ length: fixesIn }, (__, k) => [traceFrom + (i * fixesIn + k) * 1000, 48, -30 + i / 1e4, 5, -1]),
  }));
  const sendPiece = async (piece: (typeof pieces)[number]): Promise<boolean> => {
    try {
      return (await request.post('/api/drives/killed/fixes', { headers, data: { pieces: [piece] } })).ok();
    } catch {
      return false;
    }
  };
  const stored = async () =>
    ((await (await request.get('/api/drives/killed')).json()) as { events: DriveEvent[] }).events.map(({ id }) => id);

  const acknowledged = new Set(await send(events.slice(0, 1)));
  let unanswered = 0;
  let piecesUnanswered = 0;
  for (let i = 0; i < kills; i++) {
    const batch = events.slice(1 + i * perBatch, 1 + (i + 1) * perBatch);
    const answer = send(batch);
    const taken = sendPiece(pieces[i]!);
    // Every third at once, the others at any moment of what the server does then.
    await new Promise((resolve) => setTimeout(resolve, i % 3 === 0 ? 0 : Math.random() * 25));
    await server.kill();
    const accepted = await answer;
    accepted.forEach((id) => acknowledged.add(id));
    const isTaken = await taken;
    await server.start();
    if (!isTaken) {
      piecesUnanswered++;
      expect(await sendPiece(pieces[i]!)).toBe(true);
    }
    if (accepted.length === batch.length) continue;
    unanswered++;
    // What was not acknowledged may be on disk or not; the device sends it again.
    (await send(batch)).forEach((id) => acknowledged.add(id));
    if (i % 10 === 0) expect(new Set(await stored()).size).toBeGreaterThanOrEqual(acknowledged.size);
  }
  const ids = await stored();
  expect(new Set(ids).size).toBe(ids.length);
  expect([...acknowledged].filter((id) => !ids.includes(id))).toEqual([]);
  expect([...ids].sort()).toEqual(events.map(({ id }) => id).sort());
  const exported = await (await request.get(`/api/learners/${learnerId}/export.zip`)).body();
  const everything = JSON.parse(strFromU8(unzipSync(exported)['everything.json']!)) as {
    readonly trace_pieces: readonly { readonly fixes: readonly (readonly number[])[] | string }[];
  };
  const times = everything.trace_pieces.flatMap(({ fixes }) =>
    (typeof fixes === 'string' ? (JSON.parse(fixes) as readonly (readonly number[])[]) : fixes).map(([at]) => at!),
  );
  expect(times.sort((a, b) => a - b)).toEqual(pieces.flatMap(({ fixes }) => fixes.map(([at]) => at)));
  // Kills that never met a request under way would prove nothing.
  expect(unanswered).toBeGreaterThan(0);
  expect(piecesUnanswered).toBeGreaterThan(0);
});
