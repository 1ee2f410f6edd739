import type { NewYardCar, YardRunView } from '@jasperwren/contract/yard';
import { randomPlan, simulateRun } from '@jasperwren/core/yard/simulate-run';
import { timedYard } from '@jasperwren/core/marking/testing-standards';
import { csvHead, csvRows, writeRunCsv } from '@jasperwren/core/yard/telemetry-csv';
import { startTestServer, testClient } from '@jasperwren/server/testing';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { run } from './run';
import { sendAsCar } from './yard-send';

const samples = simulateRun(timedYard, randomPlan(timedYard, 2, 0));
const csv = writeRunCsv(samples);
const [columns, rows] = [csvHead, csvRows(samples)];
const atOnce = () => 0;

async function schoolWithCar() {
  const server = await startTestServer();
  const lead = testClient(server.address);
  await lead.signIn('lead@first.example');
  const { body } = await lead.send<NewYardCar>('POST', '/api/yard/cars', { name: 'Car 7' });
  const runs = async () => (await lead.send<readonly YardRunView[]>('GET', '/api/yard/runs')).body;
  return { server, token: body.token, runs };
}

it('sends a file as a car, by the command line', async () => {
  const { server, token, runs } = await schoolWithCar();
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'yard-')), 'lap.csv');
  writeFileSync(file, csv);
  process.env['JASPERWREN_CAR_TOKEN'] = token;
  const out: string[] = [];
  const io = { out: (line: string) => out.push(line), err: (line: string) => out.push(line) };
  expect(await run(['yard', 'send', file, '--to', server.address, '--pace', '10000'], io)).toBe(0);
  expect(out).toEqual([`Sent ${rows.length} samples.`]);
  expect(await runs()).toEqual([
    expect.objectContaining({ name: 'lap.csv', car: 'Car 7', samples: rows.length, source: 'car' }),
  ]);
  process.env['JASPERWREN_CAR_TOKEN'] = 'made-up';
  expect(await run(['yard', 'send', file, '--to', server.address], io)).toBe(2);
  expect(out.at(-1)).toBe('The server does not know this car.');
  delete process.env['JASPERWREN_CAR_TOKEN'];
  expect(await run(['yard', 'send', file, '--to', server.address], io)).toBe(1);
  await server.remove();
});

it('goes on after the server was gone, with nothing lost and nothing doubled', async () => {
  const { server, token } = await schoolWithCar();
  const port = Number(new URL(server.address).port);
  // A row every millisecond: the server goes while they are sent.
  const sending = sendAsCar({
    to: server.address,
    token,
    run: 'cut',
    name: 'Cut',
    columns: columns,
    rows,
    due: (row) => row,
  });
  await new Promise((resolve) => setTimeout(resolve, 300));
  await server.stop();
  const back = await startTestServer(server.dataDir, { port });
  await sending;
  const page = testClient(back.address);
  await page.signIn('lead@first.example');
  const file = await fetch(`${back.address}/api/yard/runs/cut/file`, { headers: { cookie: page.cookie() } });
  expect(await file.text()).toBe(`${csv}\r\n`);
  await back.remove();
});

it('says why a run is refused', async () => {
  const { server, token } = await schoolWithCar();
  const sent = {
    to: server.address,
    token,
    run: 'one',
    name: 'One',
    columns: columns,
    rows: rows.slice(0, 5),
    due: atOnce,
  };
  await sendAsCar(sent);
  await expect(sendAsCar({ ...sent, columns: 'at_ms' })).rejects.toThrow(/columns are others/);
  await server.remove();
});
