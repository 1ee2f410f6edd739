import type { Finding } from '@jasperwren/core/yard/findings';
import type { LeftOut } from '@jasperwren/core/yard/intake';
import type { CsvProblem } from '@jasperwren/core/yard/telemetry-csv';
import { joinWords } from './lists';
import { wordsOf } from './words';

export const resource = {
  empty: 'The file has no samples.',
  noTimes: 'The file has no column “at_ms” with times, or none of them can be read.',
  noChannels: 'The file has times but no column with sensor values.',
  tooMany: 'The file has more than {{most, number}} samples. Split it.',
  torn: 'Row {{row}} cannot be read: it has other fields than the first row, or a quotation mark is missing.',
  twice: 'The column “{{column}}” stands in the file twice.',
  unreadable: 'Not judged: a value that cannot be read could be a fault. {{columns}}',
  unreadableColumn_one: '{{column}}: {{count}} value of {{of}} cannot be read, “{{value}}” in row {{row}}.',
  unreadableColumn_other:
    '{{column}}: {{count}} values of {{of}} cannot be read, the first “{{value}}” in row {{row}}.',
  times: 'The times span {{seconds, number}} s. No run takes that long: “at_ms” is in milliseconds.',
  unseen: 'Without sensor values, these faults were not looked for: {{faults}}.',
  tooLarge: 'The file is larger than {{most}} MB. Split it.',
  gap: 'No signal for {{seconds}} s from {{at}}: not judged.',
  reaction: 'Reaction time {{seconds}} s.',
  stoppingDistance: 'Stopped {{metres}} m after the brake was pressed.',
  leftOut: 'Left out: {{list}}.',
  untimed_one: '{{count}} sample with no usable time',
  untimed_other: '{{count}} samples with no usable time',
  doubled_one: '{{count}} sample that was sent twice',
  doubled_other: '{{count}} samples that were sent twice',
  late_one: '{{count}} sample that came too late',
  late_other: '{{count}} samples that came too late',
} as const;

const t = wordsOf('yard-runs', resource);

/** Why a file holds no run of sensor values. */
export function csvProblem(problem: CsvProblem | { readonly code: 'too-large'; readonly mostMb: number }): string {
  switch (problem.code) {
    case 'empty':
      return t('empty');
    case 'no-times':
      return t('noTimes');
    case 'no-channels':
      return t('noChannels');
    case 'too-many':
      return t('tooMany', { most: problem.most });
    case 'torn':
      return t('torn', { row: problem.row });
    case 'twice':
      return t('twice', { column: problem.column });
    case 'unreadable':
      return t('unreadable', {
        columns: problem.columns.map((one) => t('unreadableColumn', one)).join(' '),
      });
    case 'times':
      return t('times', { seconds: problem.seconds });
    case 'too-large':
      return t('tooLarge', { most: problem.mostMb });
  }
}

/** What was found in a run beside faults: gaps and measurements; empty for everything else. */
export function foundSentence(found: Finding): string {
  switch (found.kind) {
    case 'gap':
      return t('gap', { seconds: ((found.to - found.at) / 1000).toFixed(1), at: clockWords(found.at) });
    case 'fact':
      return found.fact === 'reaction'
        ? t('reaction', { seconds: found.value.toFixed(2) })
        : t('stoppingDistance', { metres: found.value.toFixed(1) });
    default:
      return '';
  }
}

/** What of a run was left out, in a sentence; empty where nothing was. */
export function leftOutSentence(leftOut: LeftOut): string {
  const parts = (['untimed', 'doubled', 'late'] as const)
    .filter((why) => leftOut[why] > 0)
    .map((why) => t(why, { count: leftOut[why] }));
  return parts.length === 0 ? '' : t('leftOut', { list: joinWords(parts) });
}

/** Which faults a run could not show, in a sentence; empty where it could show all. */
export const unseenSentence = (items: readonly { readonly name: string }[]): string =>
  items.length === 0 ? '' : t('unseen', { faults: joinWords([...new Set(items.map(({ name }) => name))]) });

/** Minutes and seconds: "1:04". */
export const clockWords = (ms: number): string =>
  `${Math.floor(ms / 60_000)}:${String(Math.floor((ms % 60_000) / 1000)).padStart(2, '0')}`;
