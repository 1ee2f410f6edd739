import { judgeDrive } from '../marking/judge';
import { exerciseResults } from '../yard/exercise-history';
import { exercisesAsked } from '../marking/way-through';
import { drivenMs, exerciseRuns, sectionMs } from '../drive/clock';
import type { Drive, Mark } from '../drive/drive';
import type { Familiarity } from '../drive/event';
import { countingMarks } from '../marking/counting';
import { rulesOf } from '../marking/rules';
import type { SheetEntry } from '../marking/sheet';
import { strangeReferences } from '../marking/strange';
import type { GradeSign, EffectiveStandard } from '../marking/standard';
import { testKindOf, type TestKind } from '../marking/test-kind';

/** What a mark of a behaviour counts as: faults that add up, and faults that fail at once, are separate processes. */
export const severities = ['counted', 'outright'] as const;
export type FaultKind = (typeof severities)[number];

/** Marks of one behaviour. */
export interface BehaviourCount {
  readonly counted: number;
  readonly outright: number;
}

/** What one drive, or one sheet of a real test, says about a learner. */
export interface Evidence {
  readonly kind: 'drive' | 'sheet';
  /** The standard it was marked under, by its id, and the kind of test that is. */
  readonly standard: string;
  readonly test: TestKind;
  /** Exercises that were driven, by code; missing where it was a whole test. */
  readonly drove?: readonly string[];
  /** The test centre of a driving test, see `centreKey`. */
  readonly centre?: string;
  /** The account of whoever marked it; missing on the sheet of a driving test. */
  readonly marker?: string;
  /** RFC 3339. */
  readonly at: string;
  /** Marks by behaviour of the catalogue. */
  readonly counts: Readonly<Record<string, BehaviourCount>>;
  /** How much of a test it was: its minutes as a share of the test's length, or its exercises as a share of the course; 0 or more. */
  readonly exposure: number;
  readonly minutes: number;
  readonly independentMin: number;
  readonly familiarity: Familiarity;
  /** The share of its length that the learner had driven before, from 0 to 1, by its trace; it counts before what was said. */
  readonly knownShare?: number;
  readonly prompts: number;
  readonly interventions: number;
  /** Prompts with no mark beside them: each kept a fault from happening. */
  readonly promptsAlone: number;
  readonly interventionsAlone: number;
  /** Exercises driven without a mark. */
  readonly cleanExercises: readonly string[];
  /** What became of the exercises of a course, under the standard of this id. */
  readonly course?: {
    readonly standard: string;
    readonly results: readonly { readonly exercise: string; readonly passed: boolean }[];
  };
  /** Driven to its end as a test. */
  readonly completed: boolean;
}

/** A test centre by its name, however it was typed: spaces and capitals make no other centre. */
export const centreKey = (name: string): string => name.trim().replace(/\s+/g, ' ').toLowerCase();

/** Help within this time of a mark belongs to it (house default). */
const besideMs = 15_000;

/** What a mark of a grade counts as; undefined for a note. */
export const severityOf = (sign: GradeSign | undefined): FaultKind | undefined =>
  sign === 'counted' ? 'counted' : sign === 'outright' || sign === 'highest' ? 'outright' : undefined;

type Counts = Record<string, { counted: number; outright: number }>;

function count(counts: Counts, behaviour: string | undefined, severity: FaultKind | undefined, n = 1): void {
  if (behaviour === undefined || severity === undefined) return;
  const one = (counts[behaviour] ??= { counted: 0, outright: 0 });
  one[severity] += n;
}

/**
 * What an ended drive says.
 * @param standard the one it was marked under
 * @returns undefined where the drive cannot be judged by it: what is not judged says nothing
 */
export function evidenceOfDrive(standard: EffectiveStandard, drive: Drive): Evidence | undefined {
  const rules = rulesOf(standard);
  if (strangeReferences(rules, drive).length > 0) return undefined;
  const { items, grades } = rules;
  const marks = countingMarks(standard, drive);
  const counts: Counts = {};
  for (const mark of marks)
    count(counts, items.get(mark.item)?.item.behaviour, severityOf(grades.get(mark.grade)?.sign));
  const minutes = drivenMs(drive, drive.lastMs) / 60_000;
  const alone = (moments: Drive['prompts']) =>
    moments.filter(({ atMs }) => !marks.some((mark: Mark) => Math.abs(mark.atMs - atMs) <= besideMs)).length;
  const all = exerciseRuns(drive, drive.lastMs);
  const runs = new Set(all.filter(({ failedAtMs }) => failedAtMs === undefined).map(({ exercise }) => exercise));
  // Judged on a course alone: what was driven elsewhere needs no verdict here.
  const verdict = standard.course && judgeDrive(standard, drive);
  const results = verdict ? exerciseResults(standard, drive, verdict) : [];
  const asked = exercisesAsked(
    standard.exercises,
    results.map(({ exercise }) => exercise),
  );
  const completed = drive.ended?.ending === 'completed' && minutes > 0;
  const test = testKindOf(standard);
  return {
    kind: 'drive',
    standard: standard.id,
    test,
    ...(!completed && { drove: [...new Set(all.map(({ exercise }) => exercise))] }),
    at: drive.startedAt ?? '',
    counts,
    exposure:
      test === 'road'
        ? minutes / standard.length.totalMin.value
        : completed && verdict?.outcome !== 'incomplete'
          ? 1
          : results.length / Math.max(1, asked),
    minutes,
    independentMin: sectionMs(drive, 'independent', drive.lastMs) / 60_000,
    familiarity: drive.familiarity ?? 'partly',
    prompts: drive.prompts.length,
    interventions: drive.interventions.length,
    promptsAlone: alone(drive.prompts),
    interventionsAlone: alone(drive.interventions),
    cleanExercises: [...runs].filter((exercise) => !marks.some((mark) => mark.exercise === exercise)),
    ...(results.length > 0 && {
      course: { standard: standard.id, results: results.map(({ exercise, passed }) => ({ exercise, passed })) },
    }),
    completed,
  };
}

/** A whole test on new roads without help, with these faults; at a moment, RFC 3339. */
export function wholeTest(standard: EffectiveStandard, at: string, counts: Evidence['counts']): Evidence {
  const { length } = standard;
  return {
    kind: 'drive',
    standard: standard.id,
    test: testKindOf(standard),
    at,
    counts,
    exposure: 1,
    minutes: length.totalMin.value,
    independentMin: length.independentMin?.value ?? 0,
    familiarity: 'new',
    prompts: 0,
    interventions: 0,
    promptsAlone: 0,
    interventionsAlone: 0,
    cleanExercises: [],
    completed: true,
  };
}

/**
 * What the sheet of a real test says: counts alone, of one test on roads that are not rehearsed.
 * @param date of the test, `YYYY-MM-DD`
 * @param centre where it was driven
 */
export function evidenceOfSheet(
  standard: EffectiveStandard,
  entries: readonly SheetEntry[],
  date: string,
  centre?: string,
): Evidence {
  const { items, grades } = rulesOf(standard);
  const counts: Counts = {};
  for (const { item, grade, count: n } of entries)
    count(counts, items.get(item)?.item.behaviour, severityOf(grades.get(grade)?.sign), n);
  return {
    ...wholeTest(standard, `${date}T12:00:00.000Z`, counts),
    kind: 'sheet',
    ...(centre !== undefined && { centre: centreKey(centre) }),
  };
}

/** All marks of a severity. */
export function totalOf({ counts }: Pick<Evidence, 'counts'>, severity: FaultKind): number {
  return Object.values(counts).reduce((sum, one) => sum + one[severity], 0);
}
