import { timedYard } from '@jasperwren/core/marking/testing-standards';
import { judged, planWith } from '@jasperwren/core/yard/testing-runs';
import { simulateRun } from '@jasperwren/core/yard/simulate-run';
import { tokens } from '../../base/tokens';
import { stripFigure, windowOf, type StripRun } from './strip-figure';

const samples = simulateRun(timedYard, planWith('garage-bay', [{ sign: 'line' }]));
const run = judged(samples);
const strip: StripRun = { samples, findings: run.findings, span: run.span! };
const marks = run.drive.marks.map((mark) => ({ ...mark, carMs: mark.atMs }));
const figure = (part: Parameters<typeof windowOf>[1], other?: StripRun) =>
  stripFigure({ standard: timedYard, run: strip, marks, part, other, colours: tokens.day });

const xOf = ({ data }: ReturnType<typeof figure>, i: number) => (data[i] as { x: readonly number[] }).x;

it('shows the whole run with its exercises, its limits and its fault', () => {
  const { data, layout, figures } = figure({ kind: 'run' });
  expect(data.map(({ name }) => name)).toEqual(['speed, km/h', 'engine, rpm', 'brake', 'clutch', 'gear']);
  expect(layout.annotations?.map(({ text }) => text)).toEqual(timedYard.exercises.map(({ name }) => name));
  const lines = layout.shapes!.filter(({ type }) => type === 'line');
  expect(lines.filter(({ yref }) => yref !== 'paper').map(({ y0 }) => y0)).toEqual([35, 3000]);
  expect(lines.filter(({ yref }) => yref === 'paper').map(({ x0 }) => x0)).toEqual([marks[0]!.atMs / 1000]);
  expect(figures.rows.length).toBeLessThanOrEqual(40);
  expect(xOf({ data, layout, figures }, 0).length).toBeLessThanOrEqual(1500);
});

it('numbers the exercises where names have no room', () => {
  const { layout } = stripFigure({
    standard: timedYard,
    run: strip,
    marks,
    part: { kind: 'run' },
    colours: tokens.day,
    narrow: true,
  });
  expect(layout.annotations?.map(({ text }) => text)).toEqual(['1', '2', '3', '4', '5']);
});

it('starts an exercise at its trigger, and lays another run under it from its own', () => {
  const slow = simulateRun(timedYard, planWith('slope', [], { waitS: 9 }));
  const late = judged(slow);
  const both = figure(
    { kind: 'exercise', exercise: 'garage-bay' },
    { samples: slow, findings: late.findings, span: late.span! },
  );
  expect(both.data).toHaveLength(10);
  // Both begin two seconds before reverse gear, though the other came to it nine seconds later.
  for (const i of [0, 5]) expect(xOf(both, i)[0]).toBeCloseTo(-2, 5);
  const gearAt = (i: number) => {
    const { x, y } = both.data[i] as { x: readonly number[]; y: readonly (number | null)[] };
    return x[y.findIndex((level) => level === -1)];
  };
  expect(gearAt(4)).toBeCloseTo(gearAt(9)!, 1);
});

it('shows ten seconds around a fault', () => {
  const { carMs } = marks[0]!;
  expect(windowOf(strip, { kind: 'fault', atMs: carMs })).toEqual({
    zero: strip.span.from,
    from: carMs - 5000,
    to: carMs + 5000,
  });
  const { layout } = figure({ kind: 'fault', atMs: carMs });
  expect(layout.xaxis?.range).toEqual([carMs / 1000 - 5, carMs / 1000 + 5]);
});

it('leaves out what is no reading, and draws nothing of a run without the exercise', () => {
  const torn = [...samples.slice(0, 40), { at: 'soon' }, { at: 2000, speed: Number.NaN }];
  const short: StripRun = { samples: torn, findings: [], span: { from: 0, to: 2000 } };
  const { data } = stripFigure({
    standard: timedYard,
    run: short,
    marks: [],
    part: { kind: 'exercise', exercise: 'garage-bay' },
    colours: tokens.day,
  });
  const { y } = data[0] as { y: readonly (number | null)[] };
  expect(y).toHaveLength(41);
  expect(y.at(-1)).toBeNull();
});
