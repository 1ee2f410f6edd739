import type { EffectiveStandard } from '../marking/standard';
import { unknownSchool, type Assumptions, type School } from './assumptions';
import { checklist, type ReadinessItem } from './checklist';
import { compileStandard } from './compiled';
import { wholeTest, type Evidence, type FaultKind } from './evidence';
import { courseStanding } from './course';
import { judgeReadiness, type Judgement } from './judgement';
import { expectedByCategory, expectedTotal, posteriorOn } from './posterior';
import { simulate, usualEffort, type Chance, type Effort } from './simulate';

/** Everything an estimate rests on. */
export interface Question {
  readonly standard: EffectiveStandard;
  readonly evidence: readonly Evidence[];
  readonly on: Date;
  readonly assumptions: Assumptions;
  /** What the school's own learners say; missing where nothing is known of it. */
  readonly school?: School;
  /** Chance that the safety questions are right on the day of the test, 0 to 1. */
  readonly questions?: number | undefined;
  readonly seed: number;
  readonly effort?: Effort;
}

/** What halving the faults of one area would bring. */
export interface AreaChange {
  readonly category: string;
  readonly name: string;
  /** Faults that add up, expected on a test. */
  readonly counted: number;
  readonly outright: number;
  /** The chance with half of them, 0 to 1. */
  readonly chance: number;
}

export interface Readiness {
  readonly chance: Pick<Chance, 'mean' | 'from' | 'to' | 'tests'>;
  readonly checks: readonly ReadinessItem[];
  readonly judgement: Judgement;
  /** Areas by what working on them would bring, the most first. */
  readonly changes: readonly AreaChange[];
  /** Drives and sheets that stand behind it. */
  readonly drives: number;
  readonly sheets: number;
  /** Weighted tests that stand behind it. */
  readonly exposure: number;
  /** Learners and drives of the school that stand behind what is assumed of learners in general. */
  readonly school: Pick<School, 'learners' | 'drives'>;
  /** Faults expected on a test. */
  readonly expected: Readonly<Record<FaultKind, number>>;
}

/** The moment for which a day's estimate is made, the end of the day in UTC: it holds all day, wherever it is asked. */
export const asOf = (now: Date): Date => new Date(`${now.toISOString().slice(0, 10)}T23:59:59Z`);

/** Would this learner pass, how sure is that, and what would change it? */
export function estimate({
  standard,
  evidence,
  on,
  assumptions,
  school,
  questions,
  seed,
  effort,
}: Question): Readiness {
  const posterior = posteriorOn(on, standard, evidence, assumptions, school);
  const { halved, ...chance } = simulate(standard, posterior, seed, effort ?? usualEffort, compileStandard(standard));
  const counted = expectedByCategory(posterior, 'counted');
  const outright = expectedByCategory(posterior, 'outright');
  const checks = checklist(standard, evidence, on, questions);
  const past = evidence.filter(({ at }) => Date.parse(at) <= on.getTime());
  return {
    chance,
    checks,
    judgement: judgeReadiness(chance, checks, courseStanding(standard, evidence, on)),
    changes: standard.categories
      .map(({ code, name }) => ({
        category: code,
        name,
        counted: counted.get(code) ?? 0,
        outright: outright.get(code) ?? 0,
        chance: halved.get(code) ?? chance.mean,
      }))
      .sort((a, b) => b.chance - a.chance || (a.name < b.name ? -1 : 1)),
    drives: past.filter(({ kind }) => kind === 'drive').length,
    sheets: past.filter(({ kind }) => kind === 'sheet').length,
    exposure: posterior.exposure,
    school: { learners: posterior.school.learners, drives: posterior.school.drives },
    expected: { counted: expectedTotal(posterior, 'counted'), outright: expectedTotal(posterior, 'outright') },
  };
}

/** What stands behind a chance, as chances of a pass, 0 to 1. */
export interface WhatMovesIt {
  /** Of a learner of this school who has driven nothing yet. */
  readonly schoolAlone: number;
  /** After one more mock test on the day, on new roads: without a fault, and with one failing fault. */
  readonly afterClean: number;
  readonly afterFailing: number;
}

/** What the school contributes to a chance, and what one more mock test would change. */
export function whatMovesIt(question: Question): WhatMovesIt {
  const { standard, evidence, on, assumptions, school, seed, effort } = question;
  const compiled = compileStandard(standard);
  const chanceWith = (known: readonly Evidence[]) =>
    simulate(standard, posteriorOn(on, standard, known, assumptions, school), seed, effort ?? historyEffort, compiled)
      .mean;
  const at = on.toISOString();
  const failing = posteriorOn(on, standard, [], assumptions, school).cells.find(
    ({ severity }) => severity === 'outright',
  );
  const fault = failing ? { [failing.behaviour]: { counted: 0, outright: 1 } } : {};
  return {
    schoolAlone: chanceWith([]),
    afterClean: chanceWith([...evidence, wholeTest(standard, at, {})]),
    afterFailing: chanceWith([...evidence, wholeTest(standard, at, fault)]),
  };
}

/** The estimate as of one day. */
export interface HistoryPoint {
  /** RFC 3339. */
  readonly at: string;
  readonly mean: number;
  readonly from: number;
  readonly to: number;
}

const historyEffort: Effort = { draws: 160, testsEach: 80, asksFailed: false };

/** The same estimate as of each drive and each test, from what was known then and never from later. */
export function history(question: Omit<Question, 'on'>): readonly HistoryPoint[] {
  const { standard, evidence, assumptions, school, seed, effort } = question;
  const compiled = compileStandard(standard);
  return [...evidence]
    .sort((a, b) => (a.at < b.at ? -1 : 1))
    .map(({ at }) => {
      const posterior = posteriorOn(new Date(at), standard, evidence, assumptions, school);
      const { mean, from, to } = simulate(standard, posterior, seed, effort ?? historyEffort, compiled);
      return { at, mean, from, to };
    });
}

/** The estimate on the eve of a day, with what was known by then: what is kept when a test result is entered. */
export function estimateBefore(
  standard: EffectiveStandard,
  evidence: readonly Evidence[],
  date: string,
  school: School = unknownSchool,
): Pick<HistoryPoint, 'mean' | 'from' | 'to'> {
  const posterior = posteriorOn(new Date(`${date}T00:00:00Z`), standard, evidence, school.assumptions, school);
  const { mean, from, to } = simulate(standard, posterior, 1, historyEffort);
  return { mean, from, to };
}
