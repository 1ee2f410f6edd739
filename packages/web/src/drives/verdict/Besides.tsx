import type { Drive } from '@jasperwren/core/drive/drive';
import { exerciseRuns } from '@jasperwren/core/drive/clock';
import { exerciseStepKinds } from '@jasperwren/core/drive/event-kinds';
import { askedOn } from '@jasperwren/core/marking/asked';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { clockTime, counted } from '../../ui/format';
import { Rows, Section } from '../../ui/Page';
import styles from './verdict.module.css';

/** What the log holds besides marks: the briefing, questions, exercises, pauses and notes. */
export function Besides({ standard, drive }: { readonly standard: EffectiveStandard; readonly drive: Drive }) {
  const lines = [
    ...briefingLines(standard, drive),
    ...askedOn(standard, drive)
      .filter(({ answered }) => answered > 0)
      .map(({ rule, right, wrong }) => `${rule.name}: ${right} right, ${wrong} wrong.`),
    ...exerciseRuns(drive, drive.lastMs).map(({ exercise, timeMs, steps, failedAtMs }) => {
      const name = standard.exercises.find(({ code }) => code === exercise)?.name ?? exercise;
      const counts = exerciseStepKinds.flatMap((kind) =>
        steps[kind].length > 0 ? [counted(steps[kind].length, kind, `${kind}s`)] : [],
      );
      return `${[`${name}: ${clockTime(timeMs)} min`, ...counts, ...(failedAtMs === undefined ? [] : ['attempt failed'])].join(', ')}.`;
    }),
    ...roadLines(drive),
    ...drive.pauses.map(
      ({ fromMs, toMs, reason }) =>
        `Paused at ${clockTime(fromMs)}${toMs === undefined ? '' : ` for ${clockTime(toMs - fromMs)} min`}${reason ? `: ${reason.toLowerCase()}` : ''}.`,
    ),
    ...drive.notes
      .filter((note) => !note.private && note.target === undefined)
      .map(({ atMs, text }) => `${clockTime(atMs)}: ${text}`),
  ];
  if (lines.length === 0) return null;
  return (
    <Section title="Besides the marks">
      <Rows>
        {lines.map((line, i) => (
          <li key={i} className={styles.line}>
            {line}
          </li>
        ))}
      </Rows>
    </Section>
  );
}

function briefingLines({ briefing = [] }: EffectiveStandard, { checks }: Drive): readonly string[] {
  const nameOf = (code: string) => briefing.find((step) => step.code === code)?.name ?? code;
  const done = checks.filter(({ result }) => result === 'done').length;
  return [
    ...(done > 0 ? [`${done} of ${briefing.length} steps of the briefing done.`] : []),
    ...checks.flatMap(({ check, result, reason, detail }) => {
      if (result === 'skipped') return [`${nameOf(check)} left out: ${reason ?? 'no reason given'}.`];
      if (result === 'failed') return [`${nameOf(check)} not passed.`];
      return detail ? [`${nameOf(check)}: ${detail}.`] : [];
    }),
  ];
}

function roadLines({ steps }: Drive): readonly string[] {
  const n = (step: 'pull-up' | 'move-off') => steps.filter((one) => one.step === step).length;
  const counts = [
    n('pull-up') > 0 && counted(n('pull-up'), 'pull-up', 'pull-ups'),
    n('move-off') > 0 && counted(n('move-off'), 'move-off', 'move-offs'),
  ].filter(Boolean);
  return counts.length > 0 ? [`${counts.join(' and ')} counted.`] : [];
}
