import type { Mark } from '../drive/drive';
import type { EndingCause } from '../drive/event';
import type { MeasuredConflict } from './counting';
import type { Reason } from './reason';
import { countsMarks, rulesOf } from './rules';
import type { LimitMeasure, EffectiveStandard } from './standard';
import type { StrangeReference } from './strange';
import type { Headroom, Missing, Stop, Verdict } from './verdict';

const smallNumbers = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];

/** A whole number in words up to twelve, in figures above. */
export function inWords(n: number): string {
  return smallNumbers[n] ?? String(n);
}

/** "one serious fault", "16 driving faults". */
export function countOfGrade(standard: EffectiveStandard, grade: string, n: number): string {
  const known = standard.grades.find((candidate) => candidate.code === grade);
  return `${inWords(n)} ${n === 1 ? (known?.name ?? grade) : (known?.plural ?? grade)}`;
}

/** "one serious fault and two driving faults", gravest first. */
export function countMarks(standard: EffectiveStandard, marks: readonly Mark[]): string {
  const parts = [...standard.grades]
    .reverse()
    .map((grade) => [grade.code, marks.filter((mark) => mark.grade === grade.code).length] as const)
    .filter(([, n]) => n > 0)
    .map(([grade, n]) => countOfGrade(standard, grade, n));
  return joinWords(parts);
}

/** "a", "a and b", "a, b and c". */
export function joinWords(parts: readonly string[]): string {
  return lists.format(parts);
}

const lists = new Intl.ListFormat('en-GB', { type: 'conjunction' });

/** A share or chance in whole percent, more would claim too much: "57 %", which does not break over a line. */
export function percent(share: number): string {
  return `${Math.round(100 * share)}\u00a0%`;
}

/** The verdict in a sentence. */
export function verdictSentence(standard: EffectiveStandard, verdict: Verdict): string {
  const detail = verdictDetail(standard, verdict);
  switch (verdict.outcome) {
    case 'fail':
      return `Fail: ${detail}.`;
    case 'pass':
      return `${capital(passPhrase(standard, verdict))}.`;
    case 'incomplete':
      return isNotJudged(verdict) ? `${capital(detail)}.` : `No verdict yet: ${detail}.`;
  }
}

/** A pass and what it rests on, to stand within a sentence: "pass with ten driving faults; …". */
export function passPhrase(standard: EffectiveStandard, verdict: Verdict): string {
  const detail = verdictDetail(standard, verdict);
  return passedClean(verdict) ? `pass, ${detail}` : `pass with ${detail}`;
}

/** Whether the standard cannot judge the drive at all, as against one that is not complete yet. */
export function isNotJudged({ missing }: Verdict): boolean {
  return missing.some(({ kind }) => kind === 'not-judged' || kind === 'does-not-fit');
}

/** What the verdict rests on, to stand beside its word: "one serious fault". */
export function verdictDetail(standard: EffectiveStandard, verdict: Verdict): string {
  switch (verdict.outcome) {
    case 'fail':
      return joinWords([
        ...verdict.stops.map(describeStop),
        ...verdict.reasons.map((reason) => usedWords(standard, reason)),
      ]);
    case 'pass': {
      const tightest = tightestLimit(verdict);
      if (!tightest || passedClean(verdict)) return 'without a mark against it';
      const used = countMeasured(standard, tightest, tightest.used);
      const score = standard.startScore;
      if (score && tightest.limit.measure.kind === 'points')
        return `${score.value - tightest.used} of ${score.value} points, ${score.value - tightest.allowed} needed`;
      return `${used}; ${tightest.left === 0 ? 'not one more was allowed' : `${inWords(tightest.left)} more would still have passed`}`;
    }
    case 'incomplete':
      return joinWords(missingWords(verdict.missing));
  }
}

function tightestLimit(verdict: Verdict): Headroom | undefined {
  return testHeadroom(verdict).find((room) => room.allowed > 0 && countsMarks(room.limit.measure));
}

function passedClean(verdict: Verdict): boolean {
  return (tightestLimit(verdict)?.used ?? 0) === 0;
}

/** "five driving faults", "12 points", "95 s": what a limit adds up, with its unit. */
function countMeasured(standard: EffectiveStandard, room: Pick<Headroom, 'limit'>, n: number): string {
  const { measure, name } = room.limit;
  if (measure.kind === 'count') {
    return measure.grades.length === 1
      ? countOfGrade(standard, measure.grades[0]!, n)
      : `${inWords(n)} of ${name.toLowerCase()}`;
  }
  if (measure.kind === 'time') return secondsWords(n);
  return `${measure.kind === 'points' ? n : inWords(n)} ${unitOf(measure, n)}`;
}

/** "95 s", and from ten minutes on "20 min" or "21 min 5 s". */
export function secondsWords(seconds: number): string {
  if (seconds < 600) return `${seconds} s`;
  const rest = seconds % 60;
  return `${Math.floor(seconds / 60)} min${rest > 0 ? ` ${rest} s` : ''}`;
}

/** The unit of what a limit adds up, for `n` of them. */
export function unitOf(measure: LimitMeasure, n: number): string {
  const one = n === 1;
  switch (measure.kind) {
    case 'count':
      return one ? 'mark' : 'marks';
    case 'points':
      return one ? 'point' : 'points';
    case 'time':
      return 's';
    case 'attempts':
      return one ? 'attempt' : 'attempts';
    case 'failed-attempts':
      return one ? 'failed attempt' : 'failed attempts';
    case 'steps':
      return one ? measure.step : `${measure.step}s`;
    case 'failed-exercises':
      return one ? 'failed exercise' : 'failed exercises';
  }
}

/** The limits over the whole test that fail it. */
export function testHeadroom(verdict: Verdict): readonly Headroom[] {
  return verdict.headroom.filter((room) => room.limit.scope.kind === 'test' && room.limit.effect.kind === 'fail-test');
}

/** The name of an item, with its category: "Junctions: looking". */
export function itemName(standard: EffectiveStandard, code: string): string {
  const found = rulesOf(standard).items.get(code);
  return found ? `${found.category.name}: ${found.item.name.toLowerCase()}` : code;
}

/** What a limit counts in this scope: "Driving faults", "Driving faults, Junctions". */
export function limitName(standard: EffectiveStandard, of: Pick<Headroom, 'limit' | 'scope'>): string {
  const { limit } = of;
  const fixed = limit.scope.kind === 'test' || Object.keys(limit.scope).length > 1;
  return fixed ? limit.name : `${limit.name}, ${scopeName(standard, of)}`;
}

/** The category, item, class or exercise that a limit holds in; empty for the whole test. */
export function scopeName(standard: EffectiveStandard, { limit, scope }: Pick<Headroom, 'limit' | 'scope'>): string {
  if (scope === undefined) return '';
  const named = (list: readonly { readonly code: string; readonly name: string }[] | undefined) =>
    list?.find(({ code }) => code === scope)?.name ?? scope;
  switch (limit.scope.kind) {
    case 'test':
      return '';
    case 'item':
      return itemName(standard, scope);
    case 'category':
      return named(standard.categories);
    case 'exercise':
      return named(standard.exercises);
    case 'class':
      return named(standard.classes);
  }
}

/** What was used of a limit: its marks in words, or its seconds, attempts and the like. */
function usedWords(standard: EffectiveStandard, reason: Reason): string {
  const { measure } = reason.limit;
  if (measure.kind === 'count') return countMarks(standard, reason.marks);
  const used = countMeasured(standard, reason, reason.used);
  return reason.scope ? `${used} in ${scopeName(standard, reason).toLowerCase()}` : used;
}

/** Why the drive failed on this limit, in a sentence. */
export function reasonSentence(standard: EffectiveStandard, reason: Reason): string {
  const allowed = reason.limit.allowed.value;
  const { measure } = reason.limit;
  const what =
    measure.kind === 'count' ? countMarks(standard, reason.marks) : countMeasured(standard, reason, reason.used);
  const where = reason.scope ? ` (${limitName(standard, reason)})` : '';
  const of = measure.kind === 'time' ? secondsWords(allowed) : inWords(allowed);
  return `${capital(what)}${where}, where ${allowed === 0 ? 'none is' : `${of} ${allowed === 1 ? 'is' : 'are'}`} allowed.`;
}

/** What decided it: the mark, or that time or attempts ran out. */
export function crossingWords(standard: EffectiveStandard, reason: Reason): string {
  if (reason.crossedBy) return itemName(standard, reason.crossedBy.item);
  const { measure } = reason.limit;
  if (countsMarks(measure)) return limitName(standard, reason);
  const name = limitName(standard, reason).toLowerCase();
  return measure.kind === 'time' ? `${name} running out` : name;
}

/** What is missing, each as the tail of a sentence; exercises share one. */
export function missingWords(missing: readonly Missing[]): readonly string[] {
  const notDriven = (one: Missing) => one.kind === 'exercise' && !one.attempted;
  const exercises = missing.flatMap((one) =>
    one.kind === 'exercise' && notDriven(one) ? [one.name.toLowerCase()] : [],
  );
  const others = missing.filter((one) => !notDriven(one)).map(describeMissing);
  if (exercises.length < 2) return missing.map(describeMissing);
  return [...others, `${inWords(exercises.length)} exercises were not driven (${exercises.join(', ')})`];
}

/** What is missing, as the tail of a sentence. */
export function describeMissing(missing: Missing): string {
  switch (missing.kind) {
    case 'not-ended':
      return 'the drive has not ended';
    case 'abandoned':
      return 'the drive was broken off';
    case 'not-moved-off':
      return 'the car never moved off';
    case 'not-judged':
      return `not judged: ${joinWords(strangeWords(missing.references))}`;
    case 'does-not-fit':
      return missing.placed < missing.marks
        ? `not judged: this standard does not fit this test, it has a place for ${missing.placed} of ${missing.marks} faults`
        : 'not judged: this standard does not fit this test, none of its exercises was driven';
    case 'unsettled-pins':
      return missing.count === 1 ? 'one pin is not settled' : `${inWords(missing.count)} pins are not settled`;
    case 'unsettled-doubles':
      return missing.count === 1
        ? 'one fault may have been marked twice'
        : `${inWords(missing.count)} faults may have been marked twice`;
    case 'driving-time':
      return `${minutes(missing.haveMs)} min driven, ${missing.needMin} min needed`;
    case 'exercise':
      return missing.attempted
        ? `no attempt at ${missing.name.toLowerCase()} succeeded so far`
        : `${missing.name.toLowerCase()} was not driven`;
    case 'section-time':
      return `${minutes(missing.haveMs)} min of ${missing.section} driving, ${missing.needMin} min needed`;
  }
}

const strangeNames: Readonly<Record<StrangeReference['kind'], string>> = {
  item: 'item',
  grade: 'grade',
  exercise: 'exercise',
  'briefing-step': 'step of the briefing',
};
/** So many are named; the others are counted. */
const mostNamed = 3;

/** What a log names and its standard does not have, each once: `this standard has no item "x"`. */
function strangeWords(references: readonly StrangeReference[]): readonly string[] {
  const all = new Set(
    references.map(
      ({ kind, code, item }) =>
        `this standard has no ${strangeNames[kind]} "${code}"${item === undefined ? '' : ` for "${item}"`}`,
    ),
  );
  const named = [...all].slice(0, mostNamed);
  return all.size > mostNamed ? [...named, `${all.size - mostNamed} more`] : named;
}

/** A measured value and a grade that contradict each other, and which of them counts. */
export function conflictSentence(standard: EffectiveStandard, { mark, byValue, counts }: MeasuredConflict): string {
  const { items, grades } = rulesOf(standard);
  const measured = items.get(mark.item)?.item.measured;
  const name = (code: string) => grades.get(code)?.name ?? code;
  const value = byValue === undefined ? 'no fault' : `a ${name(byValue)}`;
  const rule = counts === 'value' ? `The measurement counts.` : `The grade given counts.`;
  return `${itemName(standard, mark.item)}: ${mark.measured} ${measured?.unit ?? ''} is ${value} by this standard, but it was graded ${name(mark.grade)}. ${rule}`;
}

const causeWords: Readonly<Record<EndingCause, string>> = {
  learner: 'the learner did not want to go on',
  safety: 'the instructor stopped it for safety',
  car: 'the car let it down',
  conditions: 'weather or road let it down',
};

/** What stopped a drive for good, as the tail of a sentence. */
export function describeStop(stop: Stop): string {
  return stop.kind === 'check' ? `${stop.name.toLowerCase()} not passed` : causeWords[stop.cause];
}

function minutes(ms: number): number {
  return Math.floor(ms / 60_000);
}

/** The text with a capital first letter. */
export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
