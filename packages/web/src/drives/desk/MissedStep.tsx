import { t } from '@jasperwren/words/desk';
import type { Mark } from '@jasperwren/core/drive/drive';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { DeskActions } from './desk-actions';
import styles from './rooms.module.css';

interface Props {
  readonly standard: EffectiveStandard;
  readonly mark: Mark;
  readonly actions: DeskActions;
}

/** For a fault in a sequence: which of its steps was missed, at one touch. */
export function MissedStep({ standard, mark, actions }: Props) {
  const steps = rulesOf(standard).items.get(mark.item)?.item.sequence;
  if (!steps) return null;
  return (
    <span role="group" aria-label={t('whichStep')} className={styles.steps}>
      {steps.map((step) => (
        <button
          key={step}
          type="button"
          aria-pressed={mark.step === step}
          onClick={() => actions.missStep(mark.id, step)}
        >
          {step}
        </button>
      ))}
    </span>
  );
}
