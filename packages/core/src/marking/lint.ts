import { findBehaviour } from '../catalogue/catalogue';
import { checkCourse } from './lint-course';
import { checkLimits } from './lint-limits';
import { effective } from './options';
import { problemList, type StandardProblem } from './problem';
import type { Measured, Standard } from './standard';

export type { StandardProblem } from './problem';

/** The desk shows this many categories, and items of a category, on one screen. */
export const deskRoom = { categories: 21, items: 8 } as const;

/**
 * Everything in a standard that contradicts itself or could not be marked with: each with the place, as a JSON
 * Pointer (RFC 6901), and the cause in a sentence. The shape is taken to be right; `parseStandardFile` checks it.
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

type Add = (path: string, cause: string) => void;

function checkHead({ length, grades, categories, startScore }: Standard, add: Add): void {
  if (length.totalMin.value <= 0) add('/length/totalMin', 'The test has to last longer than 0 min.');
  if ((length.independentMin?.value ?? 0) > length.totalMin.value)
    add('/length/independentMin', 'The independent part is longer than the whole test.');
  if (grades.length === 0) add('/grades', 'A standard needs at least one grade.');
  if (grades.length > 9) add('/grades', 'The desk has keys for nine grades at most.');
  grades.forEach(({ points }, g) => {
    if (points && points.value < 0) add(`/grades/${g}/points`, 'Points are 0 or more.');
  });
  if (categories.length === 0) add('/categories', 'A standard needs at least one category.');
  if (categories.length > deskRoom.categories)
    add('/categories', `The desk has room for ${deskRoom.categories} categories, this has ${categories.length}.`);
  if (startScore && startScore.value <= 0) add('/startScore', 'A score has to start above 0.');
}

function checkCodes(standard: Standard, add: Add): void {
  const unique = (path: string, what: string, values: readonly string[], field: string) => {
    values.forEach((value, i) => {
      if (values.indexOf(value) < i) add(`${path}/${i}/${field}`, `There are two ${what} "${value}".`);
    });
  };
  const lists = ['grades', 'categories', 'limits', 'caps', 'exercises', 'options', 'classes', 'briefing'] as const;
  for (const list of lists) {
    const codes = (standard[list] ?? []).map(({ code }) => code);
    unique(`/${list}`, `${list} with the code`, codes, 'code');
  }
  const names = standard.limits.map(({ name }) => name);
  unique('/limits', 'limits with the name', names, 'name');
  const letters = standard.categories.map(({ letter }) => letter);
  unique('/categories', 'categories with the letter', letters, 'letter');
  const seen = new Set<string>();
  standard.categories.forEach(({ items, letter }, c) => {
    if (!/^[A-Z]$/.test(letter)) add(`/categories/${c}/letter`, `"${letter}" is not a capital letter.`);
    const own = items.map((item) => item.letter);
    unique(`/categories/${c}/items`, 'items of this category with the letter', own, 'letter');
    items.forEach((item, i) => {
      const path = `/categories/${c}/items/${i}`;
      if (!/^[A-Z]$/.test(item.letter)) add(`${path}/letter`, `"${item.letter}" is not a capital letter.`);
      if (seen.has(item.code)) add(`${path}/code`, `There are two items with the code "${item.code}".`);
      seen.add(item.code);
    });
  });
}

function checkItems(standard: Standard, add: Add): void {
  const has = (list: readonly { readonly code: string }[] | undefined, code: string) =>
    list?.some((entry) => entry.code === code) ?? false;
  standard.categories.forEach((category, c) => {
    if (category.items.length === 0) add(`/categories/${c}/items`, `${category.name} has no items.`);
    if (category.items.length > deskRoom.items)
      add(
        `/categories/${c}/items`,
        `The desk has room for ${deskRoom.items} items in a category, ${category.name} has ${category.items.length}.`,
      );
    category.items.forEach((item, i) => {
      const path = `/categories/${c}/items/${i}`;
      if (!findBehaviour(item.behaviour))
        add(`${path}/behaviour`, `The catalogue has no behaviour "${item.behaviour}".`);
      if (item.grades?.length === 0) add(`${path}/grades`, `${item.name} can have no grade at all.`);
      item.grades?.forEach((grade, g) => {
        if (!has(standard.grades, grade)) add(`${path}/grades/${g}`, noGrade(grade));
      });
      for (const [grade, points] of Object.entries(item.points ?? {}))
        if (points.value < 0) add(`${path}/points/${grade}`, 'Points are 0 or more.');
        else if (!has(standard.grades, grade)) add(`${path}/points/${grade}`, noGrade(grade));
      if (item.class !== undefined && !has(standard.classes, item.class))
        add(`${path}/class`, `The standard has no class "${item.class}".`);
      if (item.exercise !== undefined && !has(standard.exercises, item.exercise))
        add(`${path}/exercise`, `The standard has no exercise "${item.exercise}".`);
      if (item.measured)
        checkBands(standard, item.measured, item.grades, (at, cause) => add(`${path}/measured${at}`, cause));
    });
  });
}

const noGrade = (grade: string) => `The standard has no grade "${grade}".`;

function checkBands(standard: Standard, { bands }: Measured, allowed: readonly string[] | undefined, add: Add): void {
  bands.forEach((band, b) => {
    const from = band.atLeast ?? band.over ?? -Infinity;
    if (band.below !== undefined && band.below <= from)
      add(`/bands/${b}`, `Nothing is both ${from} or more and below ${band.below}.`);
    if (!standard.grades.some(({ code }) => code === band.grade)) add(`/bands/${b}/grade`, noGrade(band.grade));
    else if (allowed && !allowed.includes(band.grade))
      add(`/bands/${b}/grade`, `The item cannot have the grade "${band.grade}".`);
  });
}

function checkCaps(standard: Standard, add: Add): void {
  const items = new Set(standard.categories.flatMap((category) => category.items.map((item) => item.code)));
  standard.caps.forEach((cap, c) => {
    cap.items.forEach((item, i) => {
      if (!items.has(item)) add(`/caps/${c}/items/${i}`, `The standard has no item "${item}".`);
    });
    cap.grades.forEach((grade, g) => {
      if (!standard.grades.some(({ code }) => code === grade)) add(`/caps/${c}/grades/${g}`, noGrade(grade));
    });
    if (cap.items.length === 0) add(`/caps/${c}/items`, `${cap.name}: it names no item.`);
    if (cap.grades.length === 0) add(`/caps/${c}/grades`, `${cap.name}: it names no grade.`);
    cap.grades.forEach((code, g) => {
      const sign = standard.grades.find((grade) => grade.code === code)?.sign;
      if (sign === 'outright' || sign === 'highest')
        add(`/caps/${c}/grades/${g}`, `${cap.name}: a grade of which one fails cannot be kept from counting.`);
    });
    if ((cap.free?.value ?? 0) > mostFree)
      add(`/caps/${c}/free`, `${cap.name}: it frees more than ${mostFree} marks, so that nothing would count.`);
    if (cap.atMost && cap.atMost.value < 1) add(`/caps/${c}/atMost`, `${cap.name}: none of its marks would count.`);
    if (!cap.free && !cap.atMost) add(`/caps/${c}`, `${cap.name}: it neither frees marks nor caps them.`);
    for (const field of ['free', 'atMost'] as const)
      if (cap[field] && !isCount(cap[field].value))
        add(`/caps/${c}/${field}`, 'It has to be a whole number, 0 or more.');
  });
  standard.questions.forEach(({ item }, q) => {
    if (!items.has(item)) add(`/questions/${q}/item`, `The standard has no item "${item}".`);
  });
}

function checkRequirements({ requirements, exercises, length }: Standard, add: Add): void {
  requirements.forEach((requirement, r) => {
    if (requirement.kind === 'exercise') {
      if (!exercises.some(({ code }) => code === requirement.exercise))
        add(`/requirements/${r}/exercise`, `The standard has no exercise "${requirement.exercise}".`);
    } else if (requirement.atLeastMin.value < 0) {
      add(`/requirements/${r}/atLeastMin`, 'What is required has to be 0 min or more.');
    } else if (requirement.atLeastMin.value > length.totalMin.value) {
      add(
        `/requirements/${r}/atLeastMin`,
        `${requirement.atLeastMin.value} min are required and the test lasts ${length.totalMin.value} min.`,
      );
    }
  });
}

function checkBriefing(standard: Standard, add: Add): void {
  const items = new Set(standard.categories.flatMap((category) => category.items.map(({ code }) => code)));
  const noItem = (code: string) => `The standard has no item "${code}".`;
  const asked = new Set(standard.questions.map(({ item }) => item));
  standard.exercises.forEach((exercise, e) =>
    exercise.items?.forEach((code, i) => {
      if (!items.has(code)) add(`/exercises/${e}/items/${i}`, noItem(code));
    }),
  );
  standard.briefing?.forEach((step, s) => {
    const path = `/briefing/${s}`;
    if (step.kind === 'eyesight' && step.distanceM.value <= 0)
      add(`${path}/distanceM`, 'A plate is read from further away than 0 m.');
    if (step.kind === 'questions')
      step.items.forEach((code, i) => {
        if (!asked.has(code)) add(`${path}/items/${i}`, `The standard asks no question of "${code}".`);
      });
    if (step.kind !== 'checklist' && step.kind !== 'calls') return;
    if (step.parts.length === 0) add(`${path}/parts`, `${step.name}: there is nothing to check.`);
    step.parts.forEach(({ item }, i) => {
      if (item !== undefined && !items.has(item)) add(`${path}/parts/${i}/item`, noItem(item));
    });
    if (step.kind !== 'checklist' || !step.otherOrder) return;
    const names = step.parts.map(({ name }) => name).sort();
    if (names.join('\n') !== [...step.otherOrder].sort().join('\n'))
      add(`${path}/otherOrder`, `${step.name}: the other order has other parts.`);
  });
}

function checkOptions(standard: Standard, add: Add): void {
  standard.options.forEach((option, o) => {
    const path = `/options/${o}`;
    if (option.choices.length < 2) add(`${path}/choices`, `${option.name}: a matter to choose needs two choices.`);
    if (!option.choices.some(({ code }) => code === option.chosen))
      add(`${path}/chosen`, `${option.name}: "${option.chosen}" is not among the choices.`);
    option.choices.forEach((choice, c) =>
      choice.sets?.forEach((setting, s) => {
        const at = `${path}/choices/${c}/sets/${s}`;
        if (setting.kind === 'limit') {
          if (!standard.limits.some(({ code }) => code === setting.limit))
            add(`${at}/limit`, `The standard has no limit "${setting.limit}".`);
          if (setting.allowed < 0) add(`${at}/allowed`, 'What is allowed has to be 0 or more.');
          return;
        }
        const item = standard.categories.flatMap(({ items }) => items).find(({ code }) => code === setting.item);
        if (!item) add(`${at}/item`, `The standard has no item "${setting.item}".`);
        const grades = setting.kind === 'grades' ? setting.grades : setting.bands.map(({ grade }) => grade);
        if (setting.kind === 'grades' && grades.length === 0) add(at, `${setting.item} could have no grade at all.`);
        for (const grade of grades) if (!standard.grades.some(({ code }) => code === grade)) add(at, noGrade(grade));
        if (setting.kind === 'bands' && item && !item.measured) add(at, `${item.name} is not measured.`);
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
