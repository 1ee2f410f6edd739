import { helpIn, type Drive } from '../drive/drive';
import { whyCode } from '../drive/why';
import { rulesOf } from '../marking/rules';
import type { EffectiveStandard } from '../marking/standard';

/** The columns of the table, in order. Times are seconds of the drive's clock. */
export const driveColumns = [
  'at_s',
  'event',
  'category',
  'item',
  'grade',
  'first_grade',
  'measured',
  'unit',
  'section',
  'exercise',
  'text',
  'struck',
] as const;

export type DriveRow = Partial<Readonly<Record<(typeof driveColumns)[number], string | number>>>;

/** A drive as a table, a row for each thing that happened, in order of time. Private notes stay out. */
export function driveTable(standard: EffectiveStandard, drive: Drive): readonly DriveRow[] {
  const { items, grades } = rulesOf(standard);
  const seconds = (ms: number) => Math.round(ms / 100) / 10;
  const gradeName = (code: string | undefined) => (code === undefined ? '' : (grades.get(code)?.name ?? code));
  const timed: (readonly [atMs: number, row: DriveRow])[] = [
    ...drive.checks.map(
      ({ atMs, check, result, why, detail, missed = [] }) =>
        [
          atMs,
          {
            event: `briefing ${result}`,
            item: check,
            text: [whyCode(why), detail, ...missed].filter(Boolean).join('; '),
          },
        ] as const,
    ),
    ...drive.spans.map(
      ({ fromMs, section, exercise }) => [fromMs, { event: 'section', section, exercise: exercise ?? '' }] as const,
    ),
    ...drive.pauses.flatMap(({ fromMs, toMs, why }) => [
      [fromMs, { event: 'paused', text: whyCode(why) }] as const,
      ...(toMs === undefined ? [] : [[toMs, { event: 'resumed' }] as const]),
    ]),
    ...drive.answers.map(
      ({ atMs, item, right }) =>
        [atMs, { event: right ? 'answer right' : 'answer wrong', item: items.get(item)?.item.name ?? item }] as const,
    ),
    ...drive.steps.map(({ atMs, step }) => [atMs, { event: step }] as const),
    ...drive.failedAttempts.map(({ atMs }) => [atMs, { event: 'attempt failed' }] as const),
    ...helpIn(drive).map(({ atMs, kind, mark, reason }) => {
      const made = drive.marks.find(({ id }) => id === mark);
      return [
        atMs,
        { event: kind, item: made ? (items.get(made.item)?.item.name ?? made.item) : '', text: reason ?? '' },
      ] as const;
    }),
    ...drive.pins.map(
      ({ atMs, state, struck }) => [atMs, { event: `pin ${state}`, struck: whyCode(struck?.why) }] as const,
    ),
    ...drive.notes.flatMap(({ atMs, text, private: own }) => (own ? [] : [[atMs, { event: 'note', text }] as const])),
    ...drive.marks
      .filter(({ struck }) => !struck?.undo)
      .map((mark) => {
        const found = items.get(mark.item);
        const span = drive.spans.findLast(({ fromMs }) => fromMs <= mark.atMs);
        return [
          mark.atMs,
          {
            event: 'mark',
            category: found?.category.name ?? '',
            item: found?.item.name ?? mark.item,
            grade: gradeName(mark.grade),
            first_grade: gradeName(mark.firstGrade),
            measured: mark.measured ?? '',
            unit: mark.measured === undefined ? '' : (found?.item.measured?.unit ?? ''),
            section: span?.section ?? '',
            exercise: mark.exercise ?? '',
            text: [mark.step, mark.note].filter(Boolean).join('; '),
            struck: whyCode(mark.struck?.why),
          },
        ] as const;
      }),
    ...(drive.ended
      ? [[drive.ended.atMs, { event: drive.ended.ending, text: whyCode(drive.ended.why) }] as const]
      : []),
  ];
  return timed.sort(([a], [b]) => a - b).map(([atMs, row]) => ({ at_s: seconds(atMs), ...row }));
}
