import type { LimitMeasure, LimitScope } from '../standard';

/** A name that the standard does not have. */
export interface NoSuch {
  readonly code: 'noSuch';
  readonly what: 'grade' | 'item' | 'category' | 'class' | 'exercise' | 'limit';
  readonly name: string;
}

export const noSuch = (what: NoSuch['what'], name: string): NoSuch => ({ code: 'noSuch', what, name });

/** What can be wrong with one limit; its name is added. */
export type LimitProblem =
  | { readonly code: 'limitNegative' | 'limitNotWhole' | 'upgradesNothing' | 'countsNoGrade' }
  | { readonly code: 'failsExerciseElsewhere' | 'failsAttemptByOther' | 'failsAttemptElsewhere' }
  | { readonly code: 'reachesNoItem' | 'worthNothing' }
  | { readonly code: 'allowsTooMuch' | 'cappedBelow'; readonly most: number }
  | { readonly code: 'scopeDoesNotFit'; readonly measure: LimitMeasure['kind']; readonly scope: LimitScope['kind'] }
  | { readonly code: 'bindsLater'; readonly sooner: string };

/** What can be wrong with a standard: a code with the values its sentence needs. */
export type Problem =
  | { readonly code: 'testWithoutLength' | 'independentTooLong' | 'noGrades' | 'tooManyGrades' | 'negativePoints' }
  | { readonly code: 'noCategories' | 'scoreWithoutStart' | 'notACount' | 'negativeMinutes' | 'negativeAllowed' }
  | { readonly code: 'plateTooNear' | 'everybodyPasses' | 'failedExercisesUncounted' | 'courseWithoutExercise' }
  | { readonly code: 'tooManyCategories'; readonly room: number; readonly found: number }
  | {
      readonly code: 'twice';
      readonly list:
        | 'grades'
        | 'categories'
        | 'limits'
        | 'caps'
        | 'exercises'
        | 'options'
        | 'classes'
        | 'briefing'
        | 'items'
        | 'itemsHere'
        | 'looks';
      readonly field: 'code' | 'name' | 'letter';
      readonly value: string;
    }
  | { readonly code: 'notACapital'; readonly letter: string }
  | { readonly code: 'noItems'; readonly category: string }
  | { readonly code: 'tooManyItems'; readonly room: number; readonly category: string; readonly found: number }
  | { readonly code: 'unknownBehaviour'; readonly behaviour: string }
  | { readonly code: 'itemWithoutGrade' | 'notMeasured' | 'measuredTwice' | 'noQuestionOf'; readonly item: string }
  | { readonly code: 'emptyBand'; readonly from: number; readonly below: number }
  | { readonly code: 'gradeNotOfItem'; readonly grade: string }
  | {
      readonly code: 'capWithoutItem' | 'capWithoutGrade' | 'capOnFailing' | 'capCountsNone' | 'capDoesNothing';
      readonly cap: string;
    }
  | { readonly code: 'capFreesAll'; readonly cap: string; readonly most: number }
  | { readonly code: 'capMeetsUpgrade' | 'capWeighsUnevenly'; readonly cap: string; readonly limit: string }
  | { readonly code: 'requiresTooLong'; readonly required: number; readonly total: number }
  | { readonly code: 'stepWithoutParts' | 'otherOrderDiffers'; readonly step: string }
  | { readonly code: 'tooFewChoices'; readonly option: string }
  | { readonly code: 'chosenMissing'; readonly option: string; readonly chosen: string }
  | { readonly code: 'afterItself'; readonly exercise: string }
  | { readonly code: 'otherUnit'; readonly item: string; readonly unit: string }
  | { readonly code: 'noExerciseFails' | 'failedAttemptsUncounted'; readonly limit: string }
  | { readonly code: 'failsNothing'; readonly grade: string; readonly item: string; readonly others: number }
  | NoSuch
  | ((LimitProblem | NoSuch) & { readonly limit: string });

/** One thing that is wrong with a standard. */
export interface StandardProblem {
  /** JSON Pointer (RFC 6901) into the standard. */
  readonly path: string;
  readonly is: Problem;
}

/** Takes a problem down at its place. */
export type Add = (path: string, is: Problem) => void;

/** Collects problems. */
export function problemList() {
  const all: StandardProblem[] = [];
  return {
    all: all as readonly StandardProblem[],
    add: (path: string, is: Problem) => void all.push({ path, is }),
  };
}
