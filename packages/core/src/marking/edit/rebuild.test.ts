import { blankStandard } from '../blank';
import { lintStandard } from '../lint/lint';
import type { BriefingStep } from '../briefing';
import { bySchool } from '../provenance';
import type { Band, Category, Item, Limit, Measured, Standard, StandardOption } from '../standard';
import { templates } from '../templates';
import { bandAfter, beginningOf, newMeasured, withBeginning, withEnd } from './bands';
import { newStep, setEnding, setMinutes, withNewQuestion, withNewStep, withParts } from './before-and-after';
import { atPlace, inList, withField, type Change } from './change';
import { addLook, setCourse, setLeaving, setRequired, withNewExercise } from './exercises';
import * as fields from './fields';
import { withNewClass, withNewGrade, withoutGrade } from './grades';
import { inItem, withGrades, withNewCategory, withNewItem, withPoints } from './items';
import {
  effectOf,
  effectsFor,
  scopesFor,
  withMeasure,
  withNewCap,
  withNewLimit,
  withoutLimit,
  withScope,
} from './limits';
import { addChoice, inOption, setSettings, withNewOption } from './options';
import { recoded } from './testing-recode';

type Table = Readonly<Record<string, fields.Field>>;
const last = <T>(entries: readonly T[] | undefined): T => entries!.at(-1)!;

/** Makes a standard from nothing, step by step with the operations of the editor, after the pattern of another one. */
class Builder {
  is: Standard = blankStandard('own', 'Own');
  /** The codes of the pattern by those that the editor gave. */
  private readonly codes = new Map<string, string>();

  constructor(private readonly pattern: Standard) {}

  private by(change: Change): void {
    this.is = change(this.is);
  }

  /** Remembers the code that an entry of the pattern has here, and gives it. */
  private known(pattern: { readonly code: string }, made: { readonly code: string }): string {
    this.codes.set(pattern.code, made.code);
    return made.code;
  }

  /** A value of the pattern with the codes of here. */
  private here<T>(value: T): T {
    if (typeof value === 'string') return (this.codes.get(value) ?? value) as T;
    if (Array.isArray(value)) return value.map((one) => this.here<unknown>(one)) as T;
    if (typeof value !== 'object' || value === null) return value;
    return Object.fromEntries(Object.entries(value).map(([name, one]) => [name, this.here<unknown>(one)])) as T;
  }

  /** Writes every field of the table that the entry of the pattern has and that is written as it stands. */
  private write<T>(table: Table, entry: T, change: (by: (entry: T) => T) => Change): void {
    for (const [name, { kind }] of Object.entries(table)) {
      const value = entry[name as keyof T];
      if (kind !== 'own' && value !== undefined)
        this.by(change(withField<T, keyof T>(name as keyof T, this.here(value))));
    }
  }

  build(): Standard {
    this.grades();
    this.pattern.classes?.forEach((one) => {
      this.by(withNewClass(one.name));
      this.known(one, last(this.is.classes));
    });
    this.pattern.exercises.forEach((exercise) => {
      this.by(withNewExercise({ name: exercise.name }));
      this.known(exercise, last(this.is.exercises));
    });
    this.pattern.categories.forEach((category) => this.category(category));
    this.exercises();
    this.pattern.limits.forEach((limit) => this.limit(limit));
    this.caps();
    this.aroundIt();
    this.pattern.options.forEach((option) => this.option(option));
    this.head();
    return this.is;
  }

  private grades(): void {
    const before = this.is.grades;
    this.is.limits.forEach(({ code }) => this.by(withoutLimit(code)));
    for (const grade of this.pattern.grades) {
      this.by(withNewGrade({ name: '?', plural: '?', short: '?', meaning: '?' }));
      const code = this.known(grade, last(this.is.grades));
      this.write(fields.gradeFields, grade, (change) => inList('grades', code, change));
    }
    before.forEach(({ code }) => this.by(withoutGrade(code)));
  }

  private category(category: Category): void {
    this.by(withNewCategory(category.name));
    const code = this.known(category, last(this.is.categories));
    this.write(fields.categoryFields, category, (change) => inList('categories', code, change));
    for (const item of category.items) {
      this.by(withNewItem(code, item.behaviour, this.here(item.exercise)));
      this.item(item, this.known(item, last(this.is.categories.find((one) => one.code === code)!.items)));
    }
  }

  private item(item: Item, code: string): void {
    this.write(fields.itemFields, item, (change) => inItem(code, change));
    if (item.grades) this.by(withGrades([code], this.here(item.grades)));
    for (const [grade, points] of Object.entries(item.points ?? {}))
      this.by(withPoints([code], this.here(grade), points.value));
    const { measured } = item;
    if (!measured) return;
    const { counts, ...made } = { ...newMeasured('?', '?'), ...this.measured(measured) };
    this.by(inItem(code, withField<Item, 'measured'>('measured', { ...made, ...(counts && { counts }) })));
  }

  private measured({ quantity, unit, bands, counts }: Measured): Measured {
    return { quantity, unit, bands: this.bands(bands), ...(counts && { counts }) };
  }

  private bands(bands: readonly Band[]): readonly Band[] {
    return bands.reduce<readonly Band[]>((made, band) => {
      const added = last(bandAfter(made, this.here(band.grade)));
      const begun = withBeginning(added, beginningOf(band), band.over ?? band.atLeast);
      return [...made, withEnd(begun, band.below)];
    }, []);
  }

  private exercises(): void {
    for (const exercise of this.pattern.exercises) {
      const code = this.here(exercise.code);
      this.write(fields.exerciseFields, exercise, (change) => inList('exercises', code, change));
      exercise.looks?.forEach(({ name, item }) => this.by(addLook(code, name, this.here(item))));
      const { usual } = exercise;
      if (usual)
        this.by(
          inList('exercises', code, withField<typeof exercise, 'usual'>('usual', { ...usual, provenance: bySchool })),
        );
    }
  }

  private limit(limit: Limit): void {
    const { measure, scope, effect } = limit;
    expect(scopesFor(measure)).toContain(scope.kind);
    expect(effectsFor(measure, scope.kind)).toContain(effect.kind);
    this.by(withNewLimit(limit.name));
    const code = this.known(limit, last(this.is.limits));
    const change = (by: (is: Limit) => Limit) => this.by(inList('limits', code, by));
    change((is) => withMeasure(is, measure.kind, this.is));
    change(withField<Limit, 'measure'>('measure', this.here(measure)));
    change((is) => withScope(is, this.here(scope), this.is));
    change(withField<Limit, 'effect'>('effect', { ...effectOf(effect.kind, this.is), ...this.here(effect) }));
    change(withField<Limit, 'allowed'>('allowed', limit.allowed));
  }

  private caps(): void {
    for (const cap of this.pattern.caps) {
      this.by(withNewCap(cap.name));
      const { code } = last(this.is.caps);
      this.by(inList('caps', code, withField<typeof cap, 'atMost'>('atMost', undefined)));
      this.write(fields.capFields, cap, (change) => inList('caps', code, change));
    }
  }

  private aroundIt(): void {
    for (const requirement of this.pattern.requirements)
      if (requirement.kind === 'exercise') this.by(setRequired(this.here(requirement.exercise), true));
      else {
        const section = requirement.kind === 'section-time' ? requirement.section : undefined;
        this.by(setMinutes(section, requirement.atLeastMin.value));
      }
    this.pattern.questions.forEach((question, place) => {
      this.by(withNewQuestion('?'));
      this.write(
        fields.questionFields,
        question,
        (change) => (is) => atPlace('questions', place, change(is.questions[place]!))(is),
      );
    });
    this.pattern.briefing?.forEach((step) => this.step(step));
    this.pattern.endings?.forEach(({ cause, outcome }) => this.by(setEnding(cause, outcome)));
  }

  private step(step: BriefingStep): void {
    this.by(withNewStep(newStep(step.kind, '?', '?', '?')));
    const { code } = last(this.is.briefing);
    const change = (by: (is: BriefingStep) => BriefingStep) => this.by(inList('briefing', code, by));
    this.write<BriefingStep>(fields.stepFields[step.kind], step, (by) => inList('briefing', code, by));
    if (step.kind !== 'checklist' && step.kind !== 'calls') return;
    change((is) => withParts(is as typeof step, this.here(step.parts)));
    if (step.kind === 'checklist')
      change(withField<BriefingStep, never>('otherOrder' as never, step.otherOrder as never));
  }

  private option({ name, reason, choices, chosen }: StandardOption): void {
    const [one, other, ...more] = choices;
    this.by(withNewOption({ name, reason }, [one!.name, other!.name]));
    const { code } = last(this.is.options);
    more.forEach((choice) => this.by(addChoice(code, choice.name)));
    const made = last(this.is.options).choices;
    choices.forEach(({ sets }, i) => this.by(setSettings(code, made[i]!.code, this.here(sets ?? []))));
    const at = choices.findIndex((choice) => choice.code === chosen);
    this.by(inOption(code, withField<StandardOption, 'chosen'>('chosen', made[at]!.code)));
  }

  private head(): void {
    const { length, course } = this.pattern;
    this.write(fields.headFields, this.pattern, (change) => change);
    this.by(withField<Standard, 'length'>('length', length));
    if (!course) return;
    this.by(setCourse(true));
    if (course.leaving) this.by(setLeaving(course.leaving.order, this.here(course.leaving.item)));
  }
}

describe('the editor builds from nothing', () => {
  it.each(templates.map((standard) => [standard.id, standard] as const))('%s', (_, template) => {
    const pattern = recoded(template);
    const built = new Builder(pattern).build();
    expect(lintStandard(built)).toEqual([]);
    expect(recoded(built)).toEqual(pattern);
  });
});
