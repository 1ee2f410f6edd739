import type { StandardProblem } from '../lint/problem';
import { setBySchool, type Sourced } from '../provenance';
import {
  measuredUnits,
  type Cap,
  type Item,
  type Limit,
  type Measured,
  type Requirement,
  type Standard,
} from '../standard';
import { added, freeCode, inList, withField, without, type Change } from './change';
import { setCourse } from './exercises';
import { freeLetter, inItem, withGrades, withoutCategory } from './items';
import { withoutLimit } from './limits';

/** How a problem of a standard is mended at a touch: what it is called, and the change. */
export interface Mend {
  readonly as:
    | { readonly code: 'remove' | 'addLimit' | 'everyGrade' | 'leaveOpen' | 'anyOrder' | 'noCourse' | 'addGrade' }
    | { readonly code: 'setTo'; readonly value: number }
    | { readonly code: 'letter'; readonly letter: string }
    | { readonly code: 'unit'; readonly unit: string };
  readonly change: Change;
}

const remove = (change: Change): Mend => ({ as: { code: 'remove' }, change });
const setTo = (value: number, change: (sourced: Sourced) => Change): Mend => ({
  as: { code: 'setTo', value },
  change: change(setBySchool(value)),
});

/** The names that limits get which a mend adds. */
export interface MendNames {
  readonly failing: (grade: string) => string;
  readonly failedExercises: string;
  readonly failedAttempts: (exercise: string) => string;
}

const failsTest = { kind: 'fail-test' } as const;

function withLimit(limit: Omit<Limit, 'code' | 'allowed'>): Mend {
  return {
    as: { code: 'addLimit' },
    change: (standard) =>
      added('limits', { code: freeCode(standard.limits), allowed: setBySchool(0), ...limit })(standard),
  };
}

const failingLimit = (grade: string | undefined, name: string): Mend | undefined =>
  grade === undefined
    ? undefined
    : withLimit({ name, scope: { kind: 'test' }, measure: { kind: 'count', grades: [grade] }, effect: failsTest });

/**
 * The change that mends a problem of a standard; undefined where only a person can say what was meant.
 * @param names what a limit is called that the mend adds
 */
export function mendOf(standard: Standard, problem: StandardProblem, names: MendNames): Mend | undefined {
  const [list, at] = problem.path.split('/').slice(1);
  const place = Number(at);
  switch (list) {
    case 'categories':
      return mendOfArea(standard, problem, place);
    case 'limits':
      return mendOfLimits(standard, problem, standard.limits[place], names);
    case 'caps':
      return mendOfCap(problem, standard.caps[place]);
    case 'grades':
      return problem.is.code === 'failsNothing'
        ? failingLimit(standard.grades[place]?.code, names.failing(standard.grades[place]?.plural ?? ''))
        : undefined;
    case 'requirements':
      return mendOfRequirement(problem, standard.requirements[place], place);
    default:
      return mendOfRest(standard, problem, place);
  }
}

function mendOfArea(standard: Standard, { path, is }: StandardProblem, place: number): Mend | undefined {
  const category = standard.categories[place];
  if (!category) return undefined;
  const item = /\/items\/(\d+)/.exec(path);
  const found = item ? category.items[Number(item[1])] : undefined;
  if (is.code === 'noItems') return remove(withoutCategory(category.code));
  if (is.code === 'notACapital' || (is.code === 'twice' && is.field === 'letter')) {
    const letter = freeLetter(found ? category.items : standard.categories, []);
    const change = found
      ? inItem(found.code, withField<Item, 'letter'>('letter', letter))
      : inList('categories', category.code, withField<typeof category, 'letter'>('letter', letter));
    return { as: { code: 'letter', letter }, change };
  }
  if (!found) return undefined;
  return mendOfItem(standard, { path, is }, found);
}

function mendOfItem(standard: Standard, { path, is }: StandardProblem, item: Item): Mend | undefined {
  const measured = (change: (measured: Measured) => Measured): Change =>
    inItem(item.code, (one) => (one.measured ? { ...one, measured: change(one.measured) } : one));
  switch (is.code) {
    case 'itemWithoutGrade':
      return {
        as: { code: 'everyGrade' },
        change: withGrades(
          [item.code],
          standard.grades.map(({ code }) => code),
        ),
      };
    case 'gradeNotOfItem':
      return { as: { code: 'addGrade' }, change: withGrades([item.code], [...(item.grades ?? []), is.grade]) };
    case 'emptyBand': {
      const band = Number(/bands\/(\d+)/.exec(path)?.[1]);
      const open = measured((one) => ({
        ...one,
        bands: one.bands.map(({ below, ...rest }, i) =>
          i === band || below === undefined ? rest : { ...rest, below },
        ),
      }));
      return { as: { code: 'leaveOpen' }, change: open };
    }
    case 'otherUnit': {
      const unit = measuredUnits.find((one) => one === is.unit);
      return unit && { as: { code: 'unit', unit }, change: measured((one) => ({ ...one, unit })) };
    }
    default:
      return undefined;
  }
}

function mendOfLimits(
  standard: Standard,
  { is }: StandardProblem,
  limit: Limit | undefined,
  names: MendNames,
): Mend | undefined {
  const gravest = standard.grades.at(-1);
  if (is.code === 'everybodyPasses') return failingLimit(gravest?.code, names.failing(gravest?.plural ?? ''));
  if (is.code === 'failedExercisesUncounted')
    return withLimit({
      name: names.failedExercises,
      scope: { kind: 'test' },
      measure: { kind: 'failed-exercises' },
      effect: failsTest,
    });
  if (!limit) return undefined;
  const allowing = (value: number) =>
    setTo(value, (allowed) => inList('limits', limit.code, withField<Limit, 'allowed'>('allowed', allowed)));
  switch (is.code) {
    case 'limitNegative':
      return allowing(0);
    case 'limitNotWhole':
      return allowing(Math.floor(limit.allowed.value));
    case 'allowsTooMuch':
      return allowing(is.most);
    case 'cappedBelow':
      return is.most > 0 ? allowing(is.most - 1) : remove(withoutLimit(limit.code));
    case 'failedAttemptsUncounted': {
      const { scope } = limit;
      const code = scope.kind === 'exercise' ? scope.exercise : undefined;
      const name = standard.exercises.find((one) => one.code === code)?.name ?? '';
      return withLimit({
        name: names.failedAttempts(name),
        scope,
        measure: { kind: 'failed-attempts' },
        effect: { kind: 'fail-exercise' },
      });
    }
    case 'bindsLater':
    case 'reachesNoItem':
    case 'worthNothing':
    case 'noExerciseFails':
    case 'countsNoGrade':
    case 'upgradesNothing':
      return remove(withoutLimit(limit.code));
    default:
      return undefined;
  }
}

function mendOfCap({ path, is }: StandardProblem, cap: Cap | undefined): Mend | undefined {
  if (!cap) return undefined;
  const field = path.endsWith('/free') ? 'free' : 'atMost';
  const setting = (value: number) =>
    setTo(value, (sourced) => inList('caps', cap.code, withField<Cap, 'free' | 'atMost'>(field, sourced)));
  switch (is.code) {
    case 'capFreesAll':
      return setting(is.most);
    case 'capCountsNone':
    case 'capDoesNothing':
      return setting(1);
    case 'notACount':
      return setting(Math.round(cap[field]?.value ?? 1));
    case 'capMeetsUpgrade':
    case 'capWeighsUnevenly':
    case 'capOnFailing':
      return remove(without('caps', cap.code));
    default:
      return undefined;
  }
}

function mendOfRequirement({ is }: StandardProblem, was: Requirement | undefined, place: number): Mend | undefined {
  if (is.code !== 'requiresTooLong' || !was || was.kind === 'exercise') return undefined;
  return setTo(is.total, (atLeastMin) => (standard) => ({
    ...standard,
    requirements: standard.requirements.with(place, { ...was, atLeastMin }),
  }));
}

function mendOfRest(standard: Standard, { path, is }: StandardProblem, place: number): Mend | undefined {
  const { length } = standard;
  switch (is.code) {
    case 'independentTooLong':
      return setTo(length.totalMin.value, (independentMin) => (all) => ({
        ...all,
        length: { ...length, independentMin },
      }));
    case 'courseWithoutExercise':
      return { as: { code: 'noCourse' }, change: setCourse(false) };
    case 'scoreWithoutStart':
      return remove(withField<Standard, 'startScore'>('startScore', undefined));
    case 'stepWithoutParts': {
      const step = standard.briefing?.[place];
      return step && remove(without('briefing', step.code));
    }
    case 'otherOrderDiffers': {
      const step = standard.briefing?.[place];
      if (step?.kind !== 'checklist') return undefined;
      const { otherOrder: _, ...rest } = step;
      return { as: { code: 'anyOrder' }, change: inList('briefing', step.code, () => rest) };
    }
    case 'afterItself': {
      const exercise = standard.exercises[place];
      const next = exercise?.next?.filter((code) => code !== exercise.code);
      return exercise && remove(inList('exercises', exercise.code, withField<typeof exercise, 'next'>('next', next)));
    }
    case 'noQuestionOf': {
      const step = standard.briefing?.[place];
      const gone = Number(path.split('/').at(-1));
      if (step?.kind !== 'questions') return undefined;
      return remove(inList('briefing', step.code, () => ({ ...step, items: step.items.toSpliced(gone, 1) })));
    }
    default:
      return undefined;
  }
}
