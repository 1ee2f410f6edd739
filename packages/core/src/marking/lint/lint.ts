import { findBehaviour } from '../../catalogue/catalogue';
import { checkCourse } from './lint-course';
import { checkLimits } from './lint-limits';
import { effective } from '../options';
import { problemList, noSuch, type Add, type Problem, type StandardProblem } from './problem';
import type { Measured, Standard } from '../standard';

export type { StandardProblem } from './problem';

/** The desk shows this many categories, and items of a category, on one screen. */
export const deskRoom = { categories: 21, items: 8 } as const;

/**
 * Everything in a standard that contradicts itself or could not be marked with: each with the place, as a JSON
 * Pointer (RFC 6901), and what is wrong there as a code with its values. The shape is taken to be right; `parseStandardFile` checks it.
 */
export function lintStandard(standard: Standard): readonly StandardProblem[] {
  const problems = problemList();
  checkHead(standard, problems.add);
  checkCodes(standard, problems.add);
  checkItems(standard, problems.add);
  checkCaps(standard, problems.add);
  checkRequirements(standard, problems.add);
  checkBriefing(standard, problems.add);
  checkOptions(standard, problems.add);
  checkCourse(standard, problems.add);
  if (problems.all.length === 0) checkLimits(effective(standard), problems.add);
  return problems.all;
}

function checkHead({ length, grades, categories, startScore }: Standard, add: Add): void {
  if (length.totalMin.value <= 0) add('/length/totalMin', { code: 'testWithoutLength' });
  if ((length.independentMin?.value ?? 0) > length.totalMin.value)
    add('/length/independentMin', { code: 'independentTooLong' });
  if (grades.length === 0) add('/grades', { code: 'noGrades' });
  if (grades.length > 9) add('/grades', { code: 'tooManyGrades' });
  grades.forEach(({ points }, g) => {
    if (points && points.value < 0) add(`/grades/${g}/points`, { code: 'negativePoints' });
  });
  if (categories.length === 0) add('/categories', { code: 'noCategories' });
  if (categories.length > deskRoom.categories)
    add('/categories', { code: 'tooManyCategories', room: deskRoom.categories, found: categories.length });
  if (startScore && startScore.value <= 0) add('/startScore', { code: 'scoreWithoutStart' });
}

type TwiceIn = Extract<Problem, { readonly code: 'twice' }>['list'];

function checkCodes(standard: Standard, add: Add): void {
  const unique = (path: string, what: TwiceIn, values: readonly string[], field: 'code' | 'name' | 'letter') => {
    values.forEach((value, i) => {
      if (values.indexOf(value) < i) add(`${path}/${i}/${field}`, { code: 'twice', list: what, field, value });
    });
  };
  const lists = ['grades', 'categories', 'limits', 'caps', 'exercises', 'options', 'classes', 'briefing'] as const;
  for (const list of lists) {
    const codes = (standard[list] ?? []).map(({ code }) => code);
    unique(`/${list}`, list, codes, 'code');
  }
  const names = standard.limits.map(({ name }) => name);
  unique('/limits', 'limits', names, 'name');
  const letters = standard.categories.map(({ letter }) => letter);
  unique('/categories', 'categories', letters, 'letter');
  const seen = new Set<string>();
  standard.categories.forEach(({ items, letter }, c) => {
    if (!/^[A-Z]$/.test(letter)) add(`/categories/${c}/letter`, { code: 'notACapital', letter });
    const own = items.map((item) => item.letter);
    unique(`/categories/${c}/items`, 'itemsHere', own, 'letter');
    items.forEach((item, i) => {
      const path = `/categories/${c}/items/${i}`;
      if (!/^[A-Z]$/.test(item.letter)) add(`${path}/letter`, { code: 'notACapital', letter: item.letter });
      if (seen.has(item.code)) add(`${path}/code`, { code: 'twice', list: 'items', field: 'code', value: item.code });
      seen.add(item.code);
    });
  });
}

function checkItems(standard: Standard, add: Add): void {
  const has = (list: readonly { readonly code: string }[] | undefined, code: string) =>
    list?.some((entry) => entry.code === code) ?? false;
  standard.categories.forEach((category, c) => {
    if (category.items.length === 0) add(`/categories/${c}/items`, { code: 'noItems', category: category.name });
    if (category.items.length > deskRoom.items)
      add(`/categories/${c}/items`, {
        code: 'tooManyItems',
        room: deskRoom.items,
        category: category.name,
        found: category.items.length,
      });
    category.items.forEach((item, i) => {
      const path = `/categories/${c}/items/${i}`;
      if (!findBehaviour(item.behaviour))
        add(`${path}/behaviour`, { code: 'unknownBehaviour', behaviour: item.behaviour });
      if (item.grades?.length === 0) add(`${path}/grades`, { code: 'itemWithoutGrade', item: item.name });
      item.grades?.forEach((grade, g) => {
        if (!has(standard.grades, grade)) add(`${path}/grades/${g}`, noSuch('grade', grade));
      });
      for (const [grade, points] of Object.entries(item.points ?? {}))
        if (points.value < 0) add(`${path}/points/${grade}`, { code: 'negativePoints' });
        else if (!has(standard.grades, grade)) add(`${path}/points/${grade}`, noSuch('grade', grade));
      if (item.class !== undefined && !has(standard.classes, item.class))
        add(`${path}/class`, noSuch('class', item.class));
      if (item.exercise !== undefined && !has(standard.exercises, item.exercise))
        add(`${path}/exercise`, noSuch('exercise', item.exercise));
      if (item.measured)
        checkBands(standard, item.measured, item.grades, (at, text) => add(`${path}/measured${at}`, text));
    });
  });
}

function checkBands(standard: Standard, { bands }: Measured, allowed: readonly string[] | undefined, add: Add): void {
  bands.forEach((band, b) => {
    const from = band.atLeast ?? band.over ?? -Infinity;
    if (band.below !== undefined && band.below <= from)
      add(`/bands/${b}`, { code: 'emptyBand', from, below: band.below });
    if (!standard.grades.some(({ code }) => code === band.grade)) add(`/bands/${b}/grade`, noSuch('grade', band.grade));
    else if (allowed && !allowed.includes(band.grade))
      add(`/bands/${b}/grade`, { code: 'gradeNotOfItem', grade: band.grade });
  });
}

function checkCaps(standard: Standard, add: Add): void {
  const items = new Set(standard.categories.flatMap((category) => category.items.map((item) => item.code)));
  standard.caps.forEach((cap, c) => {
    cap.items.forEach((item, i) => {
      if (!items.has(item)) add(`/caps/${c}/items/${i}`, noSuch('item', item));
    });
    cap.grades.forEach((grade, g) => {
      if (!standard.grades.some(({ code }) => code === grade)) add(`/caps/${c}/grades/${g}`, noSuch('grade', grade));
    });
    if (cap.items.length === 0) add(`/caps/${c}/items`, { code: 'capWithoutItem', cap: cap.name });
    if (cap.grades.length === 0) add(`/caps/${c}/grades`, { code: 'capWithoutGrade', cap: cap.name });
    cap.grades.forEach((code, g) => {
      const sign = standard.grades.find((grade) => grade.code === code)?.sign;
      if (sign === 'outright' || sign === 'highest')
        add(`/caps/${c}/grades/${g}`, { code: 'capOnFailing', cap: cap.name });
    });
    if ((cap.free?.value ?? 0) > mostFree)
      add(`/caps/${c}/free`, { code: 'capFreesAll', cap: cap.name, most: mostFree });
    if (cap.atMost && cap.atMost.value < 1) add(`/caps/${c}/atMost`, { code: 'capCountsNone', cap: cap.name });
    if (!cap.free && !cap.atMost) add(`/caps/${c}`, { code: 'capDoesNothing', cap: cap.name });
    for (const field of ['free', 'atMost'] as const)
      if (cap[field] && !isCount(cap[field].value)) add(`/caps/${c}/${field}`, { code: 'notACount' });
  });
  standard.questions.forEach(({ item }, q) => {
    if (!items.has(item)) add(`/questions/${q}/item`, noSuch('item', item));
  });
}

function checkRequirements({ requirements, exercises, length }: Standard, add: Add): void {
  requirements.forEach((requirement, r) => {
    if (requirement.kind === 'exercise') {
      if (!exercises.some(({ code }) => code === requirement.exercise))
        add(`/requirements/${r}/exercise`, noSuch('exercise', requirement.exercise));
    } else if (requirement.atLeastMin.value < 0) {
      add(`/requirements/${r}/atLeastMin`, { code: 'negativeMinutes' });
    } else if (requirement.atLeastMin.value > length.totalMin.value) {
      add(`/requirements/${r}/atLeastMin`, {
        code: 'requiresTooLong',
        required: requirement.atLeastMin.value,
        total: length.totalMin.value,
      });
    }
  });
}

function checkBriefing(standard: Standard, add: Add): void {
  const items = new Set(standard.categories.flatMap((category) => category.items.map(({ code }) => code)));
  const asked = new Set(standard.questions.map(({ item }) => item));
  standard.exercises.forEach((exercise, e) =>
    exercise.items?.forEach((code, i) => {
      if (!items.has(code)) add(`/exercises/${e}/items/${i}`, noSuch('item', code));
    }),
  );
  standard.briefing?.forEach((step, s) => {
    const path = `/briefing/${s}`;
    if (step.kind === 'eyesight' && step.distanceM.value <= 0) add(`${path}/distanceM`, { code: 'plateTooNear' });
    if (step.kind === 'questions')
      step.items.forEach((code, i) => {
        if (!asked.has(code)) add(`${path}/items/${i}`, { code: 'noQuestionOf', item: code });
      });
    if (step.kind !== 'checklist' && step.kind !== 'calls') return;
    if (step.parts.length === 0) add(`${path}/parts`, { code: 'stepWithoutParts', step: step.name });
    step.parts.forEach(({ item }, i) => {
      if (item !== undefined && !items.has(item)) add(`${path}/parts/${i}/item`, noSuch('item', item));
    });
    if (step.kind !== 'checklist' || !step.otherOrder) return;
    const names = step.parts.map(({ name }) => name).sort();
    if (names.join('\n') !== [...step.otherOrder].sort().join('\n'))
      add(`${path}/otherOrder`, { code: 'otherOrderDiffers', step: step.name });
  });
}

function checkOptions(standard: Standard, add: Add): void {
  standard.options.forEach((option, o) => {
    const path = `/options/${o}`;
    if (option.choices.length < 2) add(`${path}/choices`, { code: 'tooFewChoices', option: option.name });
    if (!option.choices.some(({ code }) => code === option.chosen))
      add(`${path}/chosen`, { code: 'chosenMissing', option: option.name, chosen: option.chosen });
    option.choices.forEach((choice, c) =>
      choice.sets?.forEach((setting, s) => {
        const at = `${path}/choices/${c}/sets/${s}`;
        if (setting.kind === 'limit') {
          if (!standard.limits.some(({ code }) => code === setting.limit))
            add(`${at}/limit`, noSuch('limit', setting.limit));
          if (setting.allowed < 0) add(`${at}/allowed`, { code: 'negativeAllowed' });
          return;
        }
        const item = standard.categories.flatMap(({ items }) => items).find(({ code }) => code === setting.item);
        if (!item) add(`${at}/item`, noSuch('item', setting.item));
        const grades = setting.kind === 'grades' ? setting.grades : setting.bands.map(({ grade }) => grade);
        if (setting.kind === 'grades' && grades.length === 0)
          add(at, { code: 'itemWithoutGrade', item: item?.name ?? setting.item });
        for (const grade of grades)
          if (!standard.grades.some(({ code }) => code === grade)) add(at, noSuch('grade', grade));
        if (setting.kind === 'bands' && item && !item.measured) add(at, { code: 'notMeasured', item: item.name });
      }),
    );
  });
}

/** No cap frees more marks than this (house default): beyond it a test could hardly be failed. */
const mostFree = 20;

/** A whole number, 0 or more. */
export function isCount(value: number): boolean {
  return Number.isInteger(value) && value >= 0;
}
