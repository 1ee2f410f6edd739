/**
 * How long folding and judging take, as ratios to parsing the same log from JSON in the same run.
 * Run: npm run bench judging
 */
import { Bench } from 'tinybench';
import type { Mark } from '../packages/core/src/drive/drive';
import type { DriveEvent, EventBody } from '../packages/core/src/drive/event';
import { foldDrive } from '../packages/core/src/drive/fold';
import { fullTest } from '../packages/core/src/drive/testing';
import { judgeDrive } from '../packages/core/src/marking/judge';
import { allCells, rulesOf } from '../packages/core/src/marking/rules';
import { addMark, scoreMarks, type Score } from '../packages/core/src/marking/score';
import { tally, templates } from '../packages/core/src/marking/testing-standards';
import { judgeUnder } from '../packages/core/src/marking/compare/translate';

const events = driveOf(500);
const text = JSON.stringify(events);
const drive = foldDrive(events);
const marks = drive.marks;
// Both hold every limit of every item, so that only the number of marks differs.
const short = scoreOf(500);
const long = scoreOf(50_000);

const finished = Array.from({ length: 1000 }, (_, i) => foldDrive(driveOf(20 + (i % 21))));

const bench = new Bench({ time: 1500, warmupTime: 300 });
bench
  .add('reference: JSON.parse of the 500-event log', () => JSON.parse(text) as unknown)
  .add('fold a 500-event drive', () => foldDrive(events))
  .add('fold and judge a 500-event drive', () => judgeDrive(tally, foldDrive(events)))
  .add('add one mark to a score of 500', () => addMark(short, marks[0]!))
  .add('add one mark to a score of 50,000', () => addMark(long, marks[0]!));
for (const standard of templates) {
  const { id, name } = standard;
  if (id === tally.id)
    bench.add(`judge 1,000 finished drives under ${name}`, () => finished.forEach((one) => judgeDrive(standard, one)));
  else
    bench.add(`translate 1,000 finished drives to ${name} and judge them`, () =>
      finished.forEach((one) => judgeUnder(tally, standard, one)),
    );
}
await bench.run();

const rows = bench.tasks.map(({ name, result }) => {
  if (result.state !== 'completed') throw new Error(`"${name}" was not measured: ${result.state}.`);
  return { name, medianMs: result.latency.p50, p99Ms: result.latency.p99 };
});
const median = (name: string) => rows.find((row) => row.name === name)!.medianMs;
const reference = rows[0]!.medianMs;
console.table(
  rows.map(({ name, medianMs, p99Ms }) => ({
    what: name,
    'median, ms': round(medianMs),
    'p99, ms': round(p99Ms),
    'of the reference': `${round(medianMs / reference)} x`,
  })),
);
console.log(
  `One mark more on 50,000 marks against on 500: ${round(median('add one mark to a score of 50,000') / median('add one mark to a score of 500'))} x`,
);

/** A drive of n events: mostly marks, with pins, strikes, regrades and prompts among them. */
function driveOf(n: number): readonly DriveEvent[] {
  const keys = allCells(rulesOf(tally));
  const bodies = Array.from({ length: n - 4 }, (_, i): EventBody => {
    const { item, grade } = keys[(i * 7) % keys.length]!;
    if (i % 11 === 5) return { type: 'strike', target: `e${i - 1}`, reason: 'Wrong cell' };
    if (i % 13 === 6) return { type: 'regrade', target: `e${i - 2}`, grade: 'driving' };
    if (i % 17 === 7) return { type: 'pin' };
    if (i % 19 === 8) return { type: 'prompt' };
    return { type: 'mark', item, grade };
  });
  return fullTest(bodies);
}

function scoreOf(n: number): Score {
  return scoreMarks(
    rulesOf(tally),
    Array.from({ length: n }, (_, i): Mark => marks[i % marks.length]!),
  );
}

function round(n: number): number {
  return Number(n.toPrecision(3));
}
