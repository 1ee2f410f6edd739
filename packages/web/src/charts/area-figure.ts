import { t } from '@jasperwren/words/common';
import type { DriveSummary } from '@jasperwren/contract/drives';
import type { GradeSign, EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { Outcome } from '@jasperwren/core/marking/verdict';
import dayjs from 'dayjs';

/** One dot of the chart: the marks of one area on one drive. */
interface AreaDot {
  readonly drive: number;
  readonly area: string;
  readonly count: number;
  /** Sign of the gravest grade among them. */
  readonly worst: GradeSign;
  readonly words: string;
}

export interface AreaFigure {
  /** The mock tests in their order: number, day and how each ended. */
  readonly drives: readonly { readonly label: string; readonly outcome: Outcome }[];
  /** Row labels, the area with most marks first. */
  readonly areas: readonly string[];
  readonly dots: readonly AreaDot[];
  /** What the picture shows, in a sentence. */
  readonly sentence: string;
}

const lately = 3;

/** Marks by area over a learner's drives, as something to draw; drives under way are left out. */
export function areaFigure(
  summaries: readonly DriveSummary[],
  standards: readonly EffectiveStandard[],
  name: string,
): AreaFigure {
  const ended = summaries.filter(({ phase }) => phase === 'ended');
  const totals = new Map<string, number>();
  const dots = ended.flatMap((summary, i) => {
    const grades = standards.find(({ id }) => id === summary.standard.id)?.grades ?? [];
    return summary.byArea.map(({ name: area, total, byGrade }): AreaDot => {
      totals.set(area, (totals.get(area) ?? 0) + total);
      const worst = grades.findLast(({ code }) => byGrade[code]);
      const words = grades
        .filter(({ code }) => byGrade[code])
        .map((grade) => `${byGrade[grade.code]} ${byGrade[grade.code] === 1 ? grade.name : grade.plural}`)
        .join(', ');
      return { drive: i, area, count: total, worst: worst?.sign ?? 'noted', words };
    });
  });
  const areas = [...totals].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1)).map(([area]) => area);
  return {
    drives: ended.map(({ startedAt, outcome }) => ({ label: dayjs(startedAt).format('D MMM'), outcome })),
    areas,
    dots,
    sentence: sentenceFor(ended, areas, totals, dots, name),
  };
}

function sentenceFor(
  ended: readonly DriveSummary[],
  areas: readonly string[],
  totals: ReadonlyMap<string, number>,
  dots: readonly AreaDot[],
  name: string,
): string {
  const [top] = areas;
  if (ended.length === 0) return t('nameHasNotFinishedAMock', { name });
  if (!top)
    return t('noFaultsOnPart', {
      part: ended.length === 1 ? t('theOnlyMockTest') : t('countMockTests', { count: ended.length }),
    });
  const all = totals.get(top) ?? 0;
  const onDrives = t('mostFaultsTopAllOnPart', {
    top: top.toLowerCase(),
    all,
    part: ended.length === 1 ? t('n1MockTest') : t('countMockTests', { count: ended.length }),
  });
  if (ended.length <= lately) return `${onDrives}.`;
  const recent = dots
    .filter(({ area, drive }) => area === top && drive >= ended.length - lately)
    .reduce((sum, { count }) => sum + count, 0);
  return t('onDrivesPartOfThemInThe', { onDrives, part: recent === 0 ? 'none' : recent });
}
