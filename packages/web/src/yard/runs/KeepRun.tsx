import type { YardRunView } from '@jasperwren/contract/yard';
import { mostEventsInABatch } from '@jasperwren/contract/batch';
import type { JudgedRun } from '@jasperwren/core/yard/judge-run';
import { t } from '@jasperwren/words/yard-pages';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { v7 as newId } from 'uuid';
import { api } from '../../base/api';
import { apiError } from '../../base/client';
import styles from '../yard-pages.module.css';
import { Choose } from '../../ui/Choose';

/** Makes a mock test of a run for the learner who drove it. */
export function KeepRun({ run, judged }: { readonly run: YardRunView; readonly judged: JudgedRun }) {
  const navigate = useNavigate();
  const { data: learners } = api.useLearnersQuery();
  const [send, { isLoading, error }] = api.useSendEventsMutation();
  const [chosen, setChosen] = useState('');
  // Tried again after a part of it was sent, it is the same mock test.
  const [driveId] = useState(() => newId());
  if (run.driveId !== undefined)
    return (
      <p>
        <Link to={`/drive/${run.driveId}`}>{t('kept')}</Link>
      </p>
    );
  const active = learners?.filter(({ archivedAt }) => archivedAt === undefined) ?? [];
  const learnerId = chosen || active[0]?.id;
  if (learnerId === undefined) return null;

  async function keep(learner: string): Promise<void> {
    const events = judged.events.map((event) => (event.type === 'started' ? { ...event, learnerId: learner } : event));
    for (let i = 0; i < events.length; i += mostEventsInABatch)
      await send({ driveId, body: { events: events.slice(i, i + mostEventsInABatch) } }).unwrap();
    void navigate(`/drive/${driveId}`);
  }

  return (
    <div className={styles.choices}>
      <Choose
        label={t('keepOf')}
        value={learnerId}
        options={active.map(({ id, name }) => [id, name])}
        onChoose={setChosen}
      />
      <Button variant="contained" disabled={isLoading} onClick={() => void keep(learnerId).catch(() => undefined)}>
        {t('keep')}
      </Button>
      {error && <p role="alert">{apiError(error)?.message}</p>}
    </div>
  );
}
