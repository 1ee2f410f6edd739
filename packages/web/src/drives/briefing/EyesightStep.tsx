import { t } from '@jasperwren/words/briefing';
import Button from '@mui/material/Button';
import { distanceWords } from '@jasperwren/words/marking/script';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import styles from './briefing.module.css';
import type { BriefingActions } from './use-briefing';
import type { Step } from './step';

/** A plate read at its distance, with or without glasses. */
export function EyesightStep({
  step,
  standard,
  actions,
}: {
  readonly step: Step<'eyesight'>;
  readonly standard: EffectiveStandard;
  readonly actions: BriefingActions;
}) {
  const wide =
    step.widePlateM &&
    t('distanceWordsForAnOlderWiderPlate', { distanceWords: distanceWords(standard, step.widePlateM.value) });
  return (
    <>
      <p>
        {t('fromDistanceWords', { distanceWords: distanceWords(standard, step.distanceM.value) })}
        {wide}.
      </p>
      <div className={styles.actions}>
        <Button variant="outlined" onClick={() => void actions.say(step, 'done')}>
          {t('couldReadIt')}
        </Button>
        <Button variant="outlined" onClick={() => void actions.say(step, 'done', { because: 'glasses' })}>
          {t('couldReadItWithGlasses')}
        </Button>
        <Button variant="outlined" onClick={() => void actions.say(step, 'failed')}>
          {t('couldNotReadIt')}
        </Button>
      </div>
    </>
  );
}
