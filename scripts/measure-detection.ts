// npm run detection: what sensors tell of generated runs whose faults are known, over a bad line, as a table.
import { effective } from '@jasperwren/core/marking/options';
import { rulesOf } from '@jasperwren/core/marking/rules';
import { templates } from '@jasperwren/core/marking/templates';
import { judgeRun } from '@jasperwren/core/yard/judge-run';
import { overBadLine, randomPlan, simulateRun, truthOf } from '@jasperwren/core/yard/simulate-run';

const runs = Number(process.env['RUNS'] ?? 1000);
const [slips, lost, jitterMs] = [0.2, 0.02, 50];

interface Row {
  found: number;
  missed: number;
  invented: number;
}

const table = new Map<string, Row>();
const standards = templates.filter(({ course }) => course).map(effective);
const marksIn = (items: readonly string[]) => {
  const counts = new Map<string, number>();
  for (const item of items) counts.set(item, (counts.get(item) ?? 0) + 1);
  return counts;
};

for (let seed = 1; seed <= runs; seed++) {
  const standard = standards[seed % standards.length]!;
  const { items } = rulesOf(standard);
  const plan = randomPlan(standard, seed, slips);
  const sent = overBadLine(simulateRun(standard, plan), seed, lost, jitterMs);
  const judged = judgeRun(standard, sent, { run: 'r', learnerId: 'l', startedAt: '2026-05-04T09:00:00Z', by: 'b' })!;
  const [truth, found] = [
    marksIn(truthOf(standard, plan).map(({ item }) => item)),
    marksIn(judged.drive.marks.map(({ item }) => item)),
  ];
  for (const item of new Set([...truth.keys(), ...found.keys()])) {
    const [real, seen] = [truth.get(item) ?? 0, found.get(item) ?? 0];
    // By what sensors tell, not by exercise and school.
    const sign = items.get(item)!.item.sensors!.join(', ');
    const row = table.get(sign) ?? { found: 0, missed: 0, invented: 0 };
    row.found += Math.min(real, seen);
    row.missed += Math.max(0, real - seen);
    row.invented += Math.max(0, seen - real);
    table.set(sign, row);
  }
}

console.log(
  `${runs} runs under ${standards.map(({ id }) => id).join(', ')}; ${lost * 100} % of samples lost, up to ${jitterMs} ms late\n`,
);
console.log('| what sensors tell | found | missed | invented |\n|---|---|---|---|');
const sum: Row = { found: 0, missed: 0, invented: 0 };
for (const [sign, row] of [...table].sort(([a], [b]) => (a < b ? -1 : 1))) {
  console.log(`| ${sign} | ${row.found} | ${row.missed} | ${row.invented} |`);
  for (const key of ['found', 'missed', 'invented'] as const) sum[key] += row[key];
}
console.log(`| all | ${sum.found} | ${sum.missed} | ${sum.invented} |`);
