/**
 * A yard with ten cars that send 20 samples a second each, and as many consoles that find faults in them, on one server: how long
 * until rows are acknowledged, and until a console has looked at them, against a plain request in the same time.
 * Run: npm run build && npm run bench yard
 */
import { timedYard } from '../packages/core/src/marking/testing-standards';
import { startDetector } from '../packages/core/src/yard/detector';
import { randomPlan, simulateRun } from '../packages/core/src/yard/simulate-run';
import { csvHead, csvRows, readRunCsv } from '../packages/core/src/yard/telemetry-csv';
import { feedPath, watchPath, type WatchRows } from '../packages/contract/src/yard-feed';
import type { NewYardCar } from '../packages/contract/src/yard';
import { startTestServer, testClient } from '../packages/server/src/testing';
import { WebSocket } from 'ws';

const cars = 10;
const seconds = 15;
const perMessage = 5;
const messageMs = 250;

const server = await startTestServer();
const lead = testClient(server.address);
await lead.signIn('lead@first.example');
const address = server.address.replace('http', 'ws');

const acknowledged: number[] = [];
const looked: number[] = [];
const plain: number[] = [];
const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const p95 = (values: readonly number[]) => values.toSorted((a, b) => a - b)[Math.floor(values.length * 0.95)] ?? NaN;

async function car(i: number): Promise<void> {
  const { body } = await lead.send<NewYardCar>('POST', '/api/yard/cars', { name: `Car ${i}` });
  const [columns, rows] = [csvHead, csvRows(simulateRun(timedYard, randomPlan(timedYard, i, 0.2)))];
  const run = `bench-${i}`;
  const sentAt: number[] = [];
  const feed = new WebSocket(address + feedPath, { headers: { authorization: `Bearer ${body.token}` } });
  await new Promise((resolve) => feed.once('open', resolve));
  feed.send(JSON.stringify({ run, columns }));
  await new Promise((resolve) => feed.once('message', resolve));
  const detector = startDetector(timedYard);
  const watch = new WebSocket(`${address}${watchPath}?run=${run}`, {
    headers: { cookie: lead.cookie(), origin: server.address },
  });
  watch.on('message', (data: Buffer) => {
    const { columns: head, from, rows: fresh } = JSON.parse(data.toString('utf8')) as WatchRows;
    const read = readRunCsv([head, ...fresh].join('\n'));
    if ('run' in read) for (const sample of read.run.samples) detector.take(sample);
    looked.push(performance.now() - sentAt[Math.floor(from / perMessage)]!);
  });
  await new Promise((resolve) => watch.once('open', resolve));
  feed.on('message', (data: Buffer) => {
    const { have } = JSON.parse(data.toString('utf8')) as { readonly have: number };
    acknowledged.push(performance.now() - sentAt[have / perMessage - 1]!);
  });
  for (let n = 0; n < (seconds * 1000) / messageMs; n++) {
    sentAt[n] = performance.now();
    feed.send(JSON.stringify({ from: n * perMessage, rows: rows.slice(n * perMessage, (n + 1) * perMessage) }));
    await wait(messageMs);
  }
  feed.close();
  watch.close();
}

let over = false;
const asking = (async () => {
  while (!over) {
    const from = performance.now();
    await (await fetch(`${server.address}/healthz`)).text();
    plain.push(performance.now() - from);
    await wait(100);
  }
})();
await Promise.all(Array.from({ length: cars }, (_, i) => car(i)));
over = true;
await asking;
await server.remove();

const reference = p95(plain);
const line = (what: string, values: readonly number[]) =>
  console.log(
    `${what}: p95 ${p95(values).toFixed(1)} ms, ${(p95(values) / reference).toFixed(1)} x (${values.length})`,
  );
console.log(`${cars} cars, ${cars * 20} samples a second, ${seconds} s; all on this machine and one process`);
line('plain request, the reference', plain);
line('rows acknowledged', acknowledged);
line('rows looked at by a console', looked);
