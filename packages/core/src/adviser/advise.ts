import { gradeFor } from '../marking/compare/translate';
import { gradesOf, rulesOf } from '../marking/rules';
import type { Grade, Item, EffectiveStandard } from '../marking/standard';
import { adviserRules, severities, type AdviserReason, type AdviserRule, type GradeLevel } from './rules';

/** The answer given to each question, by code; questions left out are unknown. */
export type Answers = Readonly<Record<string, string>>;

/** What the answers amount to. A proposal: a person decides. */
export interface Advice {
  readonly severity: GradeLevel;
  /** What it could also pass as. */
  readonly or?: GradeLevel | undefined;
  /** The deciding one first. */
  readonly because: readonly AdviserReason[];
}

/** An advice in the words of a standard. */
export interface Proposal extends Advice {
  /** The grade of the item; missing where no mark is proposed. */
  readonly grade?: Grade | undefined;
  readonly orGrade?: Grade | undefined;
}

/** How grave something was, from what was answered and what the standard has settled. */
export function advise(standard: EffectiveStandard, behaviour: string, answers: Answers): Advice {
  const rules = adviserRules.filter((rule) => holds(rule, standard, behaviour, answers));
  const base = rules.findLast(({ as }) => as === 'base')!;
  const raised = gravest(rules.filter(({ as }) => as === 'at-least'));
  const lowered = mildest(rules.filter(({ as }) => as === 'at-most'));
  if (raised && rank(raised[0]!.severity) > rank(base.severity)) {
    return { severity: raised[0]!.severity, because: raised.map(({ because }) => because) };
  }
  if (lowered && rank(lowered[0]!.severity) < rank(base.severity)) return withHabit(lowered, answers);
  return withHabit([base], answers);
}

/** A thing done again and again may be a habit, which weighs more than its parts. */
function withHabit(rules: readonly AdviserRule[], { times }: Answers): Advice {
  const [first] = rules as readonly [AdviserRule];
  const because = rules.map((rule) => rule.because);
  return times === 'often' && rank(first.severity) >= rank('counted')
    ? {
        severity: first.severity,
        or: 'outright',
        because: [...because, 'habit'],
      }
    : { severity: first.severity, or: first.or, because };
}

/**
 * The advice as a grade that the item can have.
 * @throws Error where the standard has no such item
 */
export function propose(standard: EffectiveStandard, itemCode: string, answers: Answers): Proposal {
  const item = rulesOf(standard).items.get(itemCode)?.item;
  if (!item) throw new Error(`The standard has no item "${itemCode}".`);
  const advice = advise(standard, item.behaviour, answers);
  const orGrade = advice.or && gradeOfSeverity(standard, item, advice.or);
  // A standard that notes nothing has the mildest grade for what another would note.
  const grade = gradeOfSeverity(standard, item, advice.severity) ?? (advice.severity === 'noted' ? orGrade : undefined);
  return {
    ...advice,
    grade,
    orGrade: orGrade === grade ? undefined : orGrade,
  };
}

function gradeOfSeverity(standard: EffectiveStandard, item: Item, severity: GradeLevel): Grade | undefined {
  return severity === 'nothing' ? undefined : gradeFor(gradesOf(standard, item), severity);
}

const rank = (severity: GradeLevel) => severities.indexOf(severity);

function gravest(rules: readonly AdviserRule[]): readonly AdviserRule[] | undefined {
  return extreme(rules, Math.max(...rules.map(({ severity }) => rank(severity))));
}

function mildest(rules: readonly AdviserRule[]): readonly AdviserRule[] | undefined {
  return extreme(rules, Math.min(...rules.map(({ severity }) => rank(severity))));
}

function extreme(rules: readonly AdviserRule[], at: number): readonly AdviserRule[] | undefined {
  return rules.length === 0 ? undefined : rules.filter(({ severity }) => rank(severity) === at);
}

function holds(rule: AdviserRule, standard: EffectiveStandard, behaviour: string, answers: Answers): boolean {
  const category = behaviour.slice(0, behaviour.indexOf('.'));
  return (
    (rule.of === undefined || rule.of.includes(behaviour) || rule.of.includes(`${category}.*`)) &&
    Object.entries(rule.when ?? {}).every(([question, wanted]) => wanted.includes(answers[question] ?? '')) &&
    Object.entries(rule.option ?? {}).every(([code, wanted]) =>
      wanted.includes(standard.options.find((option) => option.code === code)?.chosen ?? ''),
    )
  );
}
