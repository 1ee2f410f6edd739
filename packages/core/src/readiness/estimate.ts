import type { EffectiveStandard } from '../marking/standard';
import { unknownSchool, type Assumptions, type School } from './assumptions';
import { checklist, type ReadinessItem } from './checklist';
import { compileStandard } from './compiled';
import { wholeTest, type Evidence, type FaultKind } from './evidence';
import { courseStanding } from './course';
import { judgeReadiness, type Judgement } from './judgement';
import { chanceOf } from './chance';
import type { Change } from './change';
import { outlookOf, type Outlook } from './outlook';
import { expectedByCategory, expectedTotal, posteriorOn, seenOf, type Posterior } from './posterior';
import type { Lesson } from './practice';
import type { StandardSight } from './shown';
import { testKindOf, type TestKind } from '../marking/test-kind';
import { usualEffort, type Chance, type Effort } from './simulate';

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
  /** Lessons held and booked. */
  readonly lessons?: readonly Lesson[];
  /** When the driving test is, `YYYY-MM-DD`, and where. */
  readonly testDate?: string;
  readonly centre?: string;
  /** What the standards of the drives look at besides the one asked about, by id. */
  readonly sights?: ReadonlyMap<string, StandardSight>;
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
  readonly outlook: Outlook;
  /** That the last mock tests differ from the ones before; missing where nothing speaks for it. */
  readonly change?: Change;
  /** Areas by what working on them would bring, the most first. */
  readonly changes: readonly AreaChange[];
  /** Drives and sheets that stand behind it, and those that show nothing of this test. */
  readonly others: number;
  readonly drives: number;
  readonly sheets: number;
  /** Weighted tests that stand behind it. */
  readonly exposure: number;
  /** Learners and drives of the school that stand behind what is assumed of learners in general. */
  readonly school: Pick<School, 'learners' | 'drives'> & {
    /** Of those drives, those under this standard. */
    readonly underThis: number;
  };
  readonly test: TestKind;
  /** Faults expected on a test. */
  readonly expected: Readonly<Record<FaultKind, number>>;
}

/** The moment for which a day's estimate is made, the end of the day in UTC: it holds all day, wherever it is asked. */
export const asOf = (now: Date): Date => new Date(`${now.toISOString().slice(0, 10)}T23:59:59Z`);

/** So likely a change has to be before it is said (house default). */
const saidFrom = 0.8;

/**
 * Would this learner pass, how sure is that, what would change it, and what does that mean for the date? Every page, list and
 * command says what this says.
 */
export function estimate(question: Question): Readiness {
  const { standard, evidence, on, school, questions, seed, effort } = question;
  const posterior = posteriorFor(question);
  const { halved, ...chance } = chanceOf(standard, posterior, seed, effort ?? usualEffort, compileStandard(standard));
  const counted = expectedByCategory(posterior, 'counted');
  const outright = expectedByCategory(posterior, 'outright');
  const checks = checklist(standard, evidence, on, questions);
  const judgement = judgeReadiness(chance, checks, courseStanding(standard, evidence, on));
  const past = evidence.filter(({ at }) => Date.parse(at) <= on.getTime());
  const seen = seenOf(on, standard, evidence, school ?? unknownSchool, question);
  const of = (kind: Evidence['kind']) => seen.filter((one) => one.evidence.kind === kind).length;
  const { change } = posterior;
  return {
    chance,
    checks,
    judgement,
    // A drive of another kind is no lesson for this one: what its standard shows of it counts, and nothing else.
    outlook: outlookOf({ ...question, evidence: seen.map((one) => one.evidence) }, posterior, { chance, judgement }),
    ...(change &&
      change.chance >= saidFrom && { change: { drives: change.drives, chance: change.chance, to: change.to } }),
    changes: standard.categories
      .map(({ code, name }) => ({
        category: code,
        name,
        counted: counted.get(code) ?? 0,
        outright: outright.get(code) ?? 0,
        chance: halved.get(code) ?? chance.mean,
      }))
      .sort((a, b) => b.chance - a.chance || (a.name < b.name ? -1 : 1)),
    drives: of('drive'),
    sheets: of('sheet'),
    others: past.length - seen.length,
    exposure: posterior.exposure,
    school: {
      learners: posterior.school.learners,
      drives: posterior.school.drives,
      underThis: posterior.school.standards.get(standard.id)?.drives ?? 0,
    },
    test: testKindOf(standard),
    expected: { counted: expectedTotal(posterior, 'counted'), outright: expectedTotal(posterior, 'outright') },
  };
}

const posteriorFor = (question: Question): Posterior =>
  posteriorOn(question.on, question.standard, question.evidence, question.assumptions, question.school, question);

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
  const { standard, evidence, on, seed, effort } = question;
  const compiled = compileStandard(standard);
  const chanceWith = (known: readonly Evidence[]) =>
    chanceOf(standard, posteriorFor({ ...question, evidence: known }), seed, effort ?? historyEffort, compiled).mean;
  const at = on.toISOString();
  const failing = posteriorFor({ ...question, evidence: [] }).cells.find(({ severity }) => severity === 'outright');
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
  const { standard, evidence, school, seed, effort } = question;
  const compiled = compileStandard(standard);
  const last = new Date(Math.max(0, ...evidence.map(({ at }) => Date.parse(at))));
  return seenOf(last, standard, evidence, school ?? unknownSchool, question).map(({ evidence: { at } }) => {
    const posterior = posteriorFor({ ...question, on: new Date(at) });
    const { mean, from, to } = chanceOf(standard, posterior, seed, effort ?? historyEffort, compiled);
    return { at, mean, from, to };
  });
}

/** The estimate on the eve of a day, with what was known by then: what is kept when a test result is entered. */
export function estimateBefore(
  question: Omit<Question, 'on' | 'seed'>,
  date: string,
): Pick<HistoryPoint, 'mean' | 'from' | 'to'> {
  const posterior = posteriorFor({ ...question, seed: 1, on: new Date(`${date}T00:00:00Z`) });
  const { mean, from, to } = chanceOf(question.standard, posterior, 1, historyEffort);
  return { mean, from, to };
}
