import { setAllowance, type AllowanceKind } from '@jasperwren/core/marking/edit/exercises';
import type { Standard } from '@jasperwren/core/marking/standard';
import { t } from '@jasperwren/words/editor';
import { t as say } from '@jasperwren/words/editor-sentences';
import { ChoicePhrase } from './Chosen';
import { NumberPhrase } from './Phrase';

const names = {
  attempts: (exercise: string) => t('attemptsAt', { exercise: exercise.toLowerCase() }),
  failedAttempts: (exercise: string) => t('failedAttemptsAt', { exercise: exercise.toLowerCase() }),
  movements: (exercise: string) => t('movementsOf', { exercise: exercise.toLowerCase() }),
  time: (exercise: string) => t('timeOf', { exercise: exercise.toLowerCase() }),
};

const allowanceWords: Readonly<
  Record<AllowanceKind, { readonly words: (n: number) => string; readonly none: string; readonly label: string }>
> = {
  attempts: { words: (count) => say('attempts', { count }), none: say('anyAttempts'), label: t('attempts') },
  movements: { words: (count) => say('movements', { count }), none: say('anyMovements'), label: t('movements') },
  time: { words: (n) => say('inSeconds', { n }), none: say('noClock'), label: t('clock') },
};

interface AllowancesProps {
  readonly label: (what: string) => string;
  readonly valueOf: (kind: AllowanceKind) => number | undefined;
  readonly onChange: (kind: AllowanceKind, value: number | undefined) => void;
  readonly required: boolean;
  readonly onRequire: (required: boolean) => void;
  /** What an option that is chosen below sets; undefined where none does. */
  readonly byOption?: (kind: AllowanceKind) => number | undefined;
  /** What stands where the exercises differ. */
  readonly differ?: (kind: AllowanceKind) => string | undefined;
}

/** What an exercise, or every one, allows: a phrase each. */
export function allowancePhrases({ label, valueOf, onChange, required, onRequire, byOption, differ }: AllowancesProps) {
  const phrase = (kind: AllowanceKind) => {
    const set = byOption?.(kind);
    if (set !== undefined) return <b>{say('byOption', { n: allowanceWords[kind].words(set) })}</b>;
    return (
      <NumberPhrase
        {...allowanceWords[kind]}
        none={differ?.(kind) ?? allowanceWords[kind].none}
        label={label(allowanceWords[kind].label)}
        value={valueOf(kind)}
        onChange={(value) => onChange(kind, value)}
      />
    );
  };
  return {
    attempts: phrase('attempts'),
    movements: phrase('movements'),
    time: phrase('time'),
    required: (
      <ChoicePhrase
        label={label(t('forAWholeTest'))}
        value={required ? 'required' : 'notRequired'}
        choices={(['required', 'notRequired'] as const).map((one) => [one, say(one)] as const)}
        onChange={(one) => onRequire(one === 'required')}
      />
    ),
  };
}

/** Sets what an exercise allows, with limits named after it. */
export const allow = (exercise: string, kind: AllowanceKind, allowed: number | undefined) =>
  setAllowance(exercise, kind, allowed, names);

/** Whether a whole test has this exercise. */
export const isRequired = (standard: Standard, code: string) =>
  standard.requirements.some((one) => one.kind === 'exercise' && one.exercise === code);
