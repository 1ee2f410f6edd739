import { t } from '@jasperwren/words/yard';
import type { YardRunView } from '@jasperwren/contract/yard';
import { csvHead } from '@jasperwren/core/yard/telemetry-csv';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { useEffect, useState } from 'react';
import { v7 as newId } from 'uuid';
import { api } from '../../base/api';
import { failureOf } from '../../ui/failure';
import { Failed, Loading } from '../../ui/states';
import { keepSimulated, learners, newLearner, watchRun, type LearnerKind } from '../../yard/public';
import { Panel } from '../desk/panels/Panel';
import type { DeskActions } from '../desk/desk-actions';
import styles from './sensors.module.css';

interface Props {
  readonly standard: EffectiveStandard;
  readonly actions: DeskActions;
}

/** While the list is open it is asked for again after so many milliseconds. */
const askMs = 2000;

/** Which car's sensors are read: one that is sending, or the simulated one. */
export default function SensorsPanel({ standard, actions }: Props) {
  const { data: runs, ...asked } = api.useYardRunsQuery(undefined, { pollingInterval: askMs });
  const failed = failureOf(asked);
  const [addRun, { error: notAdded, isLoading }] = api.useAddYardRunMutation();
  const [joining, setJoining] = useState<YardRunView>();
  const [retest, setRetest] = useState(false);
  const sending = runs?.filter((run) => run.sending && run.source === 'car');

  // From the moment on that its clock shows now: the last sample that is kept, or the first that comes. Whoever closes the
  // panel before that has changed their mind.
  useEffect(() => {
    if (!joining) return;
    const { id: run, car = '', samples: kept } = joining;
    const stop = watchRun(run, {
      from: Math.max(0, kept - 1),
      hearing: (hearing) => hearing === 'unknown' && setJoining(undefined),
      samples(samples) {
        const at = samples.at(-1)?.at;
        if (typeof at !== 'number') return;
        stop();
        actions.readSensors({ run, car, clockMs: Math.round(at), ...(retest && { retest }) });
      },
    });
    return stop;
  }, [joining, retest, actions]);

  async function simulate(kind: LearnerKind): Promise<void> {
    const learner = newLearner(kind);
    const id = newId();
    const car = t('simulatedCar');
    await addRun({
      body: { id, name: t(kind), source: 'simulated', standardId: standard.id, columns: csvHead },
    }).unwrap();
    keepSimulated(id, learner);
    actions.readSensors({ run: id, car, clockMs: 0, ...(retest && { retest }) });
  }

  return (
    <Panel title={t('readSensors')}>
      <p>{t('sensorsWhy')}</p>
      {standard.retestExtraS && (
        <FormControlLabel
          control={<Checkbox checked={retest} onChange={(_, checked) => setRetest(checked)} />}
          label={t('retest')}
        />
      )}
      {failed && <Failed {...failed} />}
      {!failed && !runs && <Loading what={t('carsSending')} />}
      {sending && (
        <section aria-label={t('carsSending')}>
          <h3>{t('carsSending')}</h3>
          {sending.length === 0 && <p className="muted">{t('noCarSending')}</p>}
          <ul className={styles.list}>
            {sending.map((run) => (
              <li key={run.id}>
                <button type="button" disabled={joining !== undefined} onClick={() => setJoining(run)}>
                  <b>{run.car}</b>
                  {joining?.id === run.id && <small>{t('connecting', { car: run.car ?? '' })}</small>}
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
      <section aria-label={t('simulatedCar')}>
        <h3>{t('simulatedCar')}</h3>
        <ul className={styles.list}>
          {(Object.keys(learners) as readonly LearnerKind[]).map((kind) => (
            <li key={kind}>
              <button type="button" disabled={isLoading} onClick={() => void simulate(kind).catch(() => undefined)}>
                <b>{t(kind)}</b>
              </button>
            </li>
          ))}
        </ul>
      </section>
      {notAdded && <p role="alert">{notAdded.message}</p>}
    </Panel>
  );
}
