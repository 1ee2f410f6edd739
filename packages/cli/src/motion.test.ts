import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import DxfParser from 'dxf-parser';
import { run } from './run';

const folder = mkdtempSync(path.join(tmpdir(), 'motion-'));
afterAll(() => rmSync(folder, { recursive: true }));

async function motion(...args: string[]) {
  const [out, err]: [string[], string[]] = [[], []];
  const code = await run(['motion', ...args], { out: (line) => out.push(line), err: (line) => err.push(line) });
  return { code, out: out.join('\n'), err: err.join('\n') };
}

function spec(value: unknown): string {
  const file = path.join(folder, 'spec.json');
  writeFileSync(file, JSON.stringify(value));
  return file;
}

it('plans an exercise, as sentences and as JSON', async () => {
  const file = spec({ vehicle: 'car', exercise: 'bay-reverse' });
  const said = await motion('plan', file);
  expect(said).toMatchObject({ code: 0, err: '' });
  expect(said.out).toContain('1 movement,');
  expect(said.out).toContain('1. ');
  const found = JSON.parse((await motion('plan', file, '--json')).out) as { movements: number; steps: unknown[] };
  expect(found.movements).toBe(1);
  expect(found.steps.length).toBeGreaterThan(1);
});

it('plans for a car with its trailer, and says of what kind the way is', async () => {
  const said = await motion('plan', spec({ vehicle: 'car-with-trailer', exercise: 'alley-dock' }));
  expect(said).toMatchObject({ code: 0, err: '' });
  expect(said.out).toContain('1 movement,');
  expect(said.out).toContain('straight lines and even bends');
});

it('says how much more room would do where there is no way', async () => {
  const said = await motion(
    'plan',
    spec({ vehicle: 'car', exercise: 'parallel', space: { gapM: 4.2 }, mostMovements: 3 }),
  );
  expect(said.code).toBe(3);
  expect(said.out).toMatch(/Gap between cars must be at least \d\.\d\d m \(\d+ cm more\)/);
});

it('says how to set out, draws it, and writes it for other programs', async () => {
  const file = spec({ vehicle: 'van', exercise: 'angle-bay', side: 'left' });
  expect((await motion('setout', file)).out).toContain('Base line from');
  expect((await motion('setout', file, '--svg')).out).toMatch(/^<svg[\s\S]*<\/svg>$/);
  const drawing = new DxfParser().parseSync((await motion('setout', file, '--dxf')).out);
  expect(drawing?.entities.some(({ type }) => type === 'LINE')).toBe(true);
  const read = JSON.parse((await motion('setout', file, '--json')).out) as { layout: { markers: unknown[] } };
  expect(read.layout.markers).toHaveLength(4);
});

// The Highway Code (Great Britain), rule 126; from memory: 9 and 14 m at 30 mph.
it('tells a stopping distance', async () => {
  const read = JSON.parse((await motion('stopping', '--speed', '30', '--unit', 'mph', '--json')).out) as {
    thinkingM: number;
    brakingM: number;
  };
  expect(Math.round(read.thinkingM)).toBe(9);
  expect(Math.round(read.brakingM)).toBe(14);
  expect((await motion('stopping', '--speed', '48', '--unit', 'km/h', '--surface', 'wet')).out).toContain('48 km/h');
});

it('refuses what it cannot use, and says what', async () => {
  expect(await motion('stopping')).toMatchObject({ code: 1, err: expect.stringContaining('--speed') as string });
  expect(await motion('stopping', '--speed', '30', '--surface', 'sand')).toMatchObject({ code: 1 });
  expect(await motion('plan', path.join(folder, 'missing.json'))).toMatchObject({ code: 2 });
  const wrong = await motion('plan', spec({ vehicle: 'car', exercise: 'parallel', space: { gapM: 1 } }));
  expect(wrong).toMatchObject({ code: 2, err: expect.stringContaining('/space/gapM') as string });
  expect(await motion('fly')).toMatchObject({ code: 1 });
});
