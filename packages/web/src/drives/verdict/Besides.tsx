import { exerciseName } from '@jasperwren/core/marking/exercise';
import { joinWords } from '@jasperwren/words/lists';
import { givenWhy, stepDetail, whyWords } from '@jasperwren/words/why';
import { durationWords, stepsWords } from '@jasperwren/words/marking/amounts';
import { t } from '@jasperwren/words/result';
import type { Drive } from '@jasperwren/core/drive/drive';
import { exerciseRuns } from '@jasperwren/core/drive/clock';
import { exerciseStepKinds } from '@jasperwren/core/drive/event-kinds';
import { askedOn } from '@jasperwren/core/marking/asked';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { clockTime, wholeMinutes } from '../../ui/format';
import { Rows, Section } from '../../ui/Page';
import styles from './verdict.module.css';

/** What the log holds besides marks: the briefing, questions, exercises, pauses and notes. */
export function Besides({ standard, drive }: { readonly standard: EffectiveStandard; readonly drive: Drive }) {
  const lines = [
    ...briefingLines(standard, drive),
    ...askedOn(standard, drive)
      .filter(({ answered }) => answered > 0)
      .map(({ rule, right, wrong }) => t('ruleRightRightWrongWrong', { rule: rule.name, right, wrong })),
    ...exerciseRuns(drive, drive.lastMs).map(({ exercise, timeMs, steps, failedAtMs }) => {
      const name = exerciseName(standard, exercise);
      const counts = exerciseStepKinds.flatMap((kind) =>
        steps[kind].length > 0 ? [stepsWords(kind, steps[kind].length)] : [],
      );
      return `${[t('nameTime', { name, time: durationWords(timeMs) }), ...counts, ...(failedAtMs === undefined ? [] : [t('attemptFailed')])].join(', ')}.`;
    }),
    ...roadLines(drive),
    ...drive.pauses.map(({ fromMs, toMs, why }) =>
      t('pausedAtTimePartPart2', {
        time: wholeMinutes(fromMs),
        part: toMs === undefined ? '' : ` ${t('forTime', { time: durationWords(toMs - fromMs) })}`,
        part2: why ? `: ${whyWords(why).toLowerCase()}` : '',
      }),
    ),
    ...drive.notes
      .filter((note) => !note.private && note.target === undefined)
      .map(({ atMs, text }) => `${clockTime(atMs)}: ${text}`),
  ];
  if (lines.length === 0) return null;
  return (
    <Section title={t('alsoRecorded')}>
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
    ...(done > 0 ? [t('briefingDoneOfCountStepsDone', { done, count: briefing.length })] : []),
    ...checks.flatMap((step) => {
      const { check, result, why } = step;
      if (result === 'skipped') return [t('nameOfSkippedReason', { nameOf: nameOf(check), reason: givenWhy(why) })];
      if (result === 'failed') return [t('nameOfNotPassed', { nameOf: nameOf(check) })];
      const detail = stepDetail(step);
      return detail ? [`${nameOf(check)}: ${detail}.`] : [];
    }),
  ];
}

function roadLines({ steps }: Drive): readonly string[] {
  const n = (step: 'pull-up' | 'move-off') => steps.filter((one) => one.step === step).length;
  const counts = [
    ...(n('pull-up') > 0 ? [t('pullUps', { count: n('pull-up') })] : []),
    ...(n('move-off') > 0 ? [t('moveOffs', { count: n('move-off') })] : []),
  ];
  return counts.length > 0 ? [t('countsCounted', { counts: joinWords(counts) })] : [];
}
