import { t } from '@jasperwren/words/briefing';
import Button from '@mui/material/Button';
import type { Drive } from '@jasperwren/core/drive/drive';
import { openingWords } from '@jasperwren/words/marking/script';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { ReasonForm } from '../desk/panels/ReasonForm';
import type { DriveMeta } from '../../base/device/device-db';
import styles from './briefing.module.css';
import { StepRow } from './StepRow';
import { skipReasons, useBriefing } from './use-briefing';

interface Props {
  readonly meta: DriveMeta;
  readonly drive: Drive;
}

/** Everything before the car moves, in the order of the standard. The drive's clock waits. */
export function Briefing({ meta, drive }: Props) {
  const { standard } = meta;
  const navigate = useNavigate();
  const actions = useBriefing(meta.id, standard);
  const [leaving, setLeaving] = useState(false);
  const steps = standard.briefing ?? [];
  const open = steps.filter(({ code }) => !drive.checks.some(({ check }) => check === code));
  const failedEyesight = steps.find(
    ({ kind, code }) => kind === 'eyesight' && drive.checks.some((c) => c.check === code && c.result === 'failed'),
  );
  const moveOff = () => {
    if (open.length > 0) setLeaving(true);
    else void actions.moveOff();
  };
  const endHere = async () => {
    await actions.end('eyesight');
    void navigate(`/drive/${meta.id}`);
  };
  return (
    <main className={styles.briefing}>
      <header className={styles.head}>
        <div>
          <p className="muted">
            {t('learnerNameStandardVVersion', {
              learnerName: meta.learnerName,
              standard: standard.name,
              version: standard.version,
            })}
          </p>
          <h1>{t('briefing')}</h1>
          {drive.route && <p>{t('routeNamed', { route: drive.route.name })}</p>}
        </div>
        <div className={styles.actions}>
          <Button variant="text" onClick={() => void navigate('/')}>
            {t('exitBriefing')}
          </Button>
          <Button variant="outlined" onClick={() => actions.undo()}>
            {t('undo')}
          </Button>
          <Button variant="contained" onClick={moveOff}>
            {t('moveOff')}
          </Button>
        </div>
      </header>
      <p role="status" className={styles.status}>
        {open.length === 0
          ? t('allStepsDoneTheTimerStarts')
          : t('countedToDoTheTimerHas', { counted: t('steps', { count: open.length }) })}
      </p>
      {failedEyesight && (
        <section className={styles.stop} aria-label={t('eyesight')}>
          <p>{t('eyesightNotPassedTheTestEnds', { learnerName: meta.learnerName })}</p>
          <Button variant="contained" onClick={() => void endHere()}>
            {t('endTheTest')}
          </Button>
        </section>
      )}
      {leaving && open.length > 0 && (
        <section className={styles.stop} aria-label={t('whyAreYouSkippingSteps')}>
          <p>{t('mapWhySkipped', { map: open.map(({ name }) => name).join(', ') })}</p>
          <ReasonForm
            reasons={skipReasons}
            action={t('moveOff')}
            onGiven={(why) => void actions.skipAll(open, why).then(() => actions.moveOff())}
          />
        </section>
      )}
      <div className={styles.columns}>
        <ol className={styles.steps}>
          {steps.map((step) => (
            <StepRow key={step.code} step={step} meta={meta} drive={drive} actions={actions} />
          ))}
        </ol>
        <aside className={styles.script} aria-label={t('whatToSay')}>
          <h2>{t('whatToSay')}</h2>
          {openingWords(standard).map((words) => (
            <p key={words}>{words}</p>
          ))}
        </aside>
      </div>
    </main>
  );
}
