import { givenWhy, stepDetail, whyWords } from '@jasperwren/words/why';
import { t } from '@jasperwren/words/briefing';
import Button from '@mui/material/Button';
import CheckRounded from '@mui/icons-material/CheckRounded';
import type { BriefingResult, Drive } from '@jasperwren/core/drive/drive';
import type { BriefingStep } from '@jasperwren/core/marking/briefing';
import { useState } from 'react';
import type { DriveMeta } from '../../base/device/device-db';
import { ReasonForm } from '../desk/panels/ReasonForm';
import styles from './briefing.module.css';
import { EyesightStep } from './EyesightStep';
import { ChecklistStep } from './ChecklistStep';
import { CallsStep } from './CallsStep';
import { QuestionsStep } from './QuestionsStep';
import { skipReasons, type BriefingActions } from './use-briefing';

interface Props {
  readonly step: BriefingStep;
  readonly meta: DriveMeta;
  readonly drive: Drive;
  readonly actions: BriefingActions;
}

/** One step of the briefing: done with a tap, or passed over with a reason. */
export function StepRow({ step, meta, drive, actions }: Props) {
  const [skipping, setSkipping] = useState(false);
  const check = drive.checks.find((one) => one.check === step.code);
  return (
    <li className={styles.step} aria-label={step.name} data-result={check?.result ?? 'open'}>
      <div className={styles.stepHead}>
        <div>
          <h2>
            {check?.result === 'done' && <CheckRounded fontSize="small" aria-hidden="true" />} {step.name}
          </h2>
          <p className="muted">{check ? resultWords(check) : step.task}</p>
        </div>
        {!check && !skipping && (
          <div className={styles.actions}>
            {step.kind === 'confirm' && (
              <Button
                variant="outlined"
                aria-label={t('stepDone', { step: step.name })}
                onClick={() => void actions.say(step, 'done')}
              >
                {t('done')}
              </Button>
            )}
            <Button variant="text" aria-label={t('skipStep', { step: step.name })} onClick={() => setSkipping(true)}>
              {t('skip')}
            </Button>
          </div>
        )}
      </div>
      {!check && skipping && (
        <ReasonForm
          reasons={skipReasons}
          action={t('skipStep2')}
          onGiven={(why) => {
            setSkipping(false);
            void actions.say(step, 'skipped', why);
          }}
        />
      )}
      {!check && !skipping && <StepBody step={step} meta={meta} drive={drive} actions={actions} />}
    </li>
  );
}

function StepBody({ step, meta, drive, actions }: Props) {
  switch (step.kind) {
    case 'confirm':
      return null;
    case 'eyesight':
      return <EyesightStep step={step} standard={meta.standard} actions={actions} />;
    case 'checklist':
      return <ChecklistStep step={step} actions={actions} />;
    case 'calls':
      return <CallsStep step={step} actions={actions} />;
    case 'questions':
      return <QuestionsStep step={step} meta={meta} drive={drive} actions={actions} />;
  }
}

function resultWords(step: BriefingResult): string {
  const why = step.why && whyWords(step.why);
  const detail = stepDetail(step);
  switch (step.result) {
    case 'done':
      return detail ? t('doneDetail', { detail }) : t('done2');
    case 'failed':
      return t('notPassedPart', { part: why ? `: ${why}` : '' });
    case 'skipped':
      return t('skippedReason', { reason: givenWhy(step.why) });
  }
}
