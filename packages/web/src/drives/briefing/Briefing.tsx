import Button from '@mui/material/Button';
import type { Drive } from '@jasperwren/core/drive/drive';
import { openingWords } from '@jasperwren/core/marking/script';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { counted } from '../../ui/format';
import { ReasonForm } from '../desk/ReasonForm';
import type { DriveMeta } from '../../base/device/device-db';
import styles from './briefing.module.css';
import { StepRow } from './StepRow';
import { useBriefing } from './use-briefing';

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
    await actions.end('Eyesight not passed');
    void navigate(`/drive/${meta.id}`);
  };
  return (
    <main className={styles.briefing}>
      <header className={styles.head}>
        <div>
          <p className="muted">
            {meta.learnerName}, {standard.name} v{standard.version}
          </p>
          <h1>Before you move</h1>
        </div>
        <div className={styles.actions}>
          <Button variant="text" onClick={() => void navigate('/')}>
            Leave it for now
          </Button>
          <Button variant="outlined" onClick={() => actions.undo()}>
            Undo
          </Button>
          <Button variant="contained" onClick={moveOff}>
            Move off
          </Button>
        </div>
      </header>
      <p role="status" className={styles.status}>
        {open.length === 0
          ? 'Every step is done. The clock starts as you move off.'
          : `${counted(open.length, 'step is', 'steps are')} open. The clock has not started.`}
      </p>
      {failedEyesight && (
        <section className={styles.stop} aria-label="Eyesight">
          <p>
            Without the eyesight the test ends here. Advise an eye test, and do not let {meta.learnerName} drive until
            the plate can be read.
          </p>
          <Button variant="contained" onClick={() => void endHere()}>
            End the test
          </Button>
        </section>
      )}
      {leaving && open.length > 0 && (
        <section className={styles.stop} aria-label="Why are steps left out?">
          <p>{open.map(({ name }) => name).join(', ')}: left out, why?</p>
          <ReasonForm
            reasons={['Done on an earlier drive', 'Not needed today', 'No time']}
            action="Move off"
            onGiven={(reason) => void actions.skipAll(open, reason).then(() => actions.moveOff())}
          />
        </section>
      )}
      <div className={styles.columns}>
        <ol className={styles.steps}>
          {steps.map((step) => (
            <StepRow key={step.code} step={step} standard={standard} drive={drive} actions={actions} />
          ))}
        </ol>
        <aside className={styles.script} aria-label="What to say">
          <h2>What to say</h2>
          {openingWords(standard).map((words) => (
            <p key={words}>{words}</p>
          ))}
        </aside>
      </div>
    </main>
  );
}
