import type { Drive } from '../drive/drive';
import { gradesOf, rulesOf } from './rules';
import type { Grade, QuestionRule, EffectiveStandard } from './standard';

/** How a question of the standard stands on a drive. */
export interface Asked {
  readonly rule: QuestionRule;
  /** Questions answered to the end: right, or wrong at the last try. */
  readonly answered: number;
  readonly right: number;
  readonly wrong: number;
  /** Which try is next, from 1; above 1 only while a question has been answered wrongly and may be tried again. */
  readonly nextTry: number;
  /** Questions still to be asked. */
  readonly left: number;
}

/** How every question of the standard stands. */
export function askedOn(standard: EffectiveStandard, drive: Drive): readonly Asked[] {
  return standard.questions.map((rule) => askedOf(rule, drive));
}

function askedOf(rule: QuestionRule, drive: Drive): Asked {
  let right = 0;
  let wrong = 0;
  let tries = 0;
  for (const answer of drive.answers) {
    if (answer.item !== rule.item) continue;
    if (answer.right) right++;
    else if (tries + 1 >= rule.tries.value) wrong++;
    else {
      tries++;
      continue;
    }
    tries = 0;
  }
  const answered = right + wrong;
  return { rule, answered, right, wrong, nextTry: tries + 1, left: Math.max(0, rule.perTest.value - answered) };
}

/** Whether a wrong answer now is the last try of its question and so brings a mark. */
export function isLastTry({ rule, nextTry }: Asked): boolean {
  return nextTry >= rule.tries.value;
}

/** The grade that a slip of this item brings when nobody says otherwise: its mildest that counts. */
export function usualGrade(standard: EffectiveStandard, itemCode: string): Grade | undefined {
  const item = rulesOf(standard).items.get(itemCode)?.item;
  if (!item) return undefined;
  const grades = gradesOf(standard, item);
  return grades.find(({ sign }) => sign === 'counted') ?? grades[0];
}
