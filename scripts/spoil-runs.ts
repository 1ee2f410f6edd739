// npm run spoil [COPIES] [SEED]: files of yard runs that fail, spoilt as programs and people spoil them. Each copy must come out as the sound
// one, or be refused, or say which faults it could not show: none may pass in silence where the sound one fails.
import { writeRunCsv } from '../packages/core/src/yard/telemetry-csv';
import { cameOf, sayTheSame, spoilt } from '../packages/core/src/yard/testing-spoilt';
import { randomPlan, simulateRun } from '../packages/core/src/yard/simulate-run';
import { attemptsYard, reversingArea, timedYard } from '../packages/core/src/marking/testing-standards';

const copies = Number(process.argv[2] ?? 5000);
const seed = Number(process.argv[3] ?? 1);
const sound = [timedYard, attemptsYard, reversingArea].flatMap((standard) =>
  Array.from({ length: 40 }, (_, i) => writeRunCsv(simulateRun(standard, randomPlan(standard, seed * 1000 + i, 0.3))))
    .map((text) => ({ standard, text, came: cameOf(standard, text) }))
    .filter(({ came }) => came.outcome === 'fail'),
);
const counts: Record<string, Record<string, number>> = {};
const troubles: string[] = [];
for (let i = 0; i < copies; i++) {
  const { standard, text, came } = sound[i % sound.length]!;
  const { how, text: bad } = spoilt(text, seed * 100_000 + i);
  const now = cameOf(standard, bad);
  const silent = now.outcome === 'pass' && !now.said;
  const other = sayTheSame.has(how) && (now.outcome !== came.outcome || now.marks !== came.marks);
  if (silent || other) troubles.push(`${how}, copy ${i} under ${standard.id}: ${came.outcome} became ${now.outcome}`);
  const row = (counts[how] ??= {
    same: 0,
    refused: 0,
    'pass, and says what was not seen': 0,
    'another result': 0,
    'pass in silence': 0,
  });
  const kind = silent
    ? 'pass in silence'
    : now.outcome === 'refused'
      ? 'refused'
      : now.outcome === 'pass'
        ? 'pass, and says what was not seen'
        : now.outcome === came.outcome && now.marks === came.marks
          ? 'same'
          : 'another result';
  row[kind]! += 1;
}
console.table(counts);
console.log(`${copies} spoilt copies of ${sound.length} files that fail (seed ${seed})`);
for (const one of troubles.slice(0, 20)) console.log(`TROUBLE ${one}`);
console.log(troubles.length === 0 ? 'no fail became a pass in silence' : `${troubles.length} troubles`);
process.exitCode = troubles.length === 0 ? 0 : 1;
