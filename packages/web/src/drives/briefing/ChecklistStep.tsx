import { t } from '@jasperwren/words/briefing';
import Button from '@mui/material/Button';
import type { BriefingPart } from '@jasperwren/core/marking/briefing';
import { useState } from 'react';
import styles from './briefing.module.css';
import type { BriefingActions } from './use-briefing';
import type { Step } from './step';

/** Parts in their order: one tap when all are right, a tap more for each that was missed. */
export function ChecklistStep({
  step,
  actions,
}: {
  readonly step: Step<'checklist'>;
  readonly actions: BriefingActions;
}) {
  const [missed, setMissed] = useState<readonly string[]>([]);
  const [other, setOther] = useState(false);
  const byName = new Map(step.parts.map((part) => [part.name, part]));
  const parts = other && step.otherOrder ? step.otherOrder.flatMap((name) => byName.get(name) ?? []) : step.parts;
  const toggle = ({ name }: BriefingPart) =>
    setMissed(missed.includes(name) ? missed.filter((one) => one !== name) : [...missed, name]);
  return (
    <>
      <ol className={styles.parts}>
        {parts.map((part) => (
          <li key={part.name}>
            <button type="button" aria-pressed={missed.includes(part.name)} onClick={() => toggle(part)}>
              {part.name}
              {missed.includes(part.name) && <b> {t('missed')}</b>}
            </button>
          </li>
        ))}
      </ol>
      <div className={styles.actions}>
        <Button
          variant="outlined"
          aria-label={t('stepState', { step: step.name, state: missed.length === 0 ? t('allRight') : t('doneHere') })}
          onClick={() =>
            void actions.finish(
              step,
              step.parts.filter(({ name }) => missed.includes(name)),
            )
          }
        >
          {missed.length === 0 ? t('allRight2') : t('doneCountMissed', { count: missed.length })}
        </Button>
        {step.otherOrder && (
          <Button variant="text" onClick={() => setOther(!other)}>
            {other ? t('inTheUsualOrder') : t('inAnotherOrder')}
          </Button>
        )}
      </div>
    </>
  );
}
