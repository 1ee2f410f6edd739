import type { Mark } from '../drive/drive';
import { rulesOf } from './rules';
import type { Standard } from './standard';
import type { Headroom, Missing, Reason, Verdict } from './verdict';

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
export function countOfGrade(standard: Standard, grade: string, n: number): string {
  const known = standard.grades.find((candidate) => candidate.code === grade);
  return `${inWords(n)} ${n === 1 ? (known?.name ?? grade) : (known?.plural ?? grade)}`;
}

/** "one serious fault and two driving faults", gravest first. */
export function countMarks(standard: Standard, marks: readonly Mark[]): string {
  const parts = [...standard.grades]
    .reverse()
    .map((grade) => [grade.code, marks.filter((mark) => mark.grade === grade.code).length] as const)
    .filter(([, n]) => n > 0)
    .map(([grade, n]) => countOfGrade(standard, grade, n));
  return joinWords(parts);
}

/** "a", "a and b", "a, b and c". */
export function joinWords(parts: readonly string[]): string {
  return parts.length < 2 ? (parts[0] ?? '') : `${parts.slice(0, -1).join(', ')} and ${parts.at(-1)}`;
}

/** The verdict in a sentence. */
export function verdictSentence(standard: Standard, verdict: Verdict): string {
  const detail = verdictDetail(standard, verdict);
  switch (verdict.outcome) {
    case 'fail':
      return `Fail: ${detail}.`;
    case 'pass':
      return passedClean(verdict) ? `Pass, ${detail}.` : `Pass with ${detail}.`;
    case 'incomplete':
      return `No verdict yet: ${detail}.`;
  }
}

/** What the verdict rests on, to stand beside its word: "one serious fault". */
export function verdictDetail(standard: Standard, verdict: Verdict): string {
  switch (verdict.outcome) {
    case 'fail':
      return joinWords(verdict.reasons.map((reason) => countMarks(standard, reason.marks)));
    case 'pass': {
      const tightest = tightestLimit(verdict);
      if (!tightest || passedClean(verdict)) return 'without a mark against it';
      const used = countMeasured(standard, tightest, tightest.used);
      return `${used}; ${tightest.left === 0 ? 'not one more was allowed' : `${inWords(tightest.left)} more would still have passed`}`;
    }
    case 'incomplete':
      return joinWords(verdict.missing.map(describeMissing));
  }
}

function tightestLimit(verdict: Verdict): Headroom | undefined {
  return testHeadroom(verdict).find((room) => room.allowed > 0);
}

function passedClean(verdict: Verdict): boolean {
  return (tightestLimit(verdict)?.used ?? 0) === 0;
}

/** "five driving faults", or points where the limit counts points. */
function countMeasured(standard: Standard, room: Headroom, n: number): string {
  const { measure } = room.limit;
  if (measure.kind === 'points') return `${n} ${n === 1 ? 'point' : 'points'}`;
  if (measure.kind === 'failed-exercises') return `${inWords(n)} failed ${n === 1 ? 'exercise' : 'exercises'}`;
  return measure.grades.length === 1
    ? countOfGrade(standard, measure.grades[0]!, n)
    : `${inWords(n)} of ${room.limit.name.toLowerCase()}`;
}

/** The limits over the whole test that fail it. */
export function testHeadroom(verdict: Verdict): readonly Headroom[] {
  return verdict.headroom.filter((room) => room.limit.scope.kind === 'test' && room.limit.effect.kind === 'fail-test');
}

/** The name of an item, with its category: "Junctions: looking". */
export function itemName(standard: Standard, code: string): string {
  const found = rulesOf(standard).items.get(code);
  return found ? `${found.category.name}: ${found.item.name.toLowerCase()}` : code;
}

/** What a limit counts in this scope: "Driving faults", "Driving faults in Junctions". */
export function limitName(standard: Standard, of: Pick<Headroom, 'limit' | 'scope'>): string {
  const { limit, scope } = of;
  switch (limit.scope.kind) {
    case 'test':
      return limit.name;
    case 'item':
      return `${limit.name}, ${itemName(standard, scope)}`;
    case 'category':
      return `${limit.name}, ${standard.categories.find((category) => category.code === scope)?.name ?? scope}`;
    case 'exercise':
      return `${limit.name}, ${standard.exercises.find((exercise) => exercise.code === scope)?.name ?? scope}`;
    case 'class':
      return `${limit.name}, ${scope}`;
  }
}

/** Why the drive failed on this limit, in a sentence. */
export function reasonSentence(standard: Standard, reason: Reason): string {
  const allowed = reason.limit.allowed.value;
  const marks = countMarks(standard, reason.marks);
  return `${capital(marks)}${reason.scope ? ` (${limitName(standard, reason)})` : ''}, where ${allowed === 0 ? 'none is' : `${inWords(allowed)} ${allowed === 1 ? 'is' : 'are'}`} allowed.`;
}

/** What is missing, as the tail of a sentence. */
export function describeMissing(missing: Missing): string {
  switch (missing.kind) {
    case 'not-ended':
      return 'the drive has not ended';
    case 'abandoned':
      return 'the drive was broken off';
    case 'unsettled-pins':
      return missing.count === 1 ? 'one pin is not settled' : `${inWords(missing.count)} pins are not settled`;
    case 'driving-time':
      return `${minutes(missing.haveMs)} min driven, ${missing.needMin} min needed`;
    case 'section-time':
      return `${minutes(missing.haveMs)} min of ${missing.section} driving, ${missing.needMin} min needed`;
  }
}

function minutes(ms: number): number {
  return Math.floor(ms / 60_000);
}

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
