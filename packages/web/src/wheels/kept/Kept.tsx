import type { KeptView } from '@jasperwren/contract/wheels';
import { t } from '@jasperwren/words/motion';
import { keptKindName } from '@jasperwren/words/motion-sentences';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Link } from 'react-router';
import { api } from '../../base/api';
import { Choose } from '../../ui/Choose';
import { Rows } from '../../ui/Page';
import type { Question } from '../use-question';
import styles from '../wheels.module.css';
import { KeepForm } from './KeepForm';
import { useKeep } from './use-keep';

interface Props {
  readonly question: Question;
  readonly all: readonly KeptView[];
}

/** What the school keeps by name: plans to open, vehicles and grounds to choose above; and keeping what is asked now. */
export function Kept({ question, all }: Props) {
  const [drop, dropped] = api.useDropWheelsMutation();
  const { keep, busy, error } = useKeep();
  const [gone, setGone] = useState<KeptView>();
  const [kind, setKind] = useState<'question' | 'vehicle'>('question');
  const { file, vehicleProblems } = question;
  return (
    <details className={styles.measures}>
      <summary>{t('keptHere')}</summary>
      {all.length === 0 && <p className="muted">{t('nothingKept')}</p>}
      <Rows>
        {all.map((one) => (
          <li key={one.id} className={styles.kept}>
            <span>
              {one.kind === 'vehicle' ? one.name : <Link to={`?kept=${one.id}`}>{one.name}</Link>}{' '}
              <span className="muted">{keptKindName(one.kind)}</span>
            </span>
            <Button
              variant="text"
              onClick={() =>
                void drop({ keptId: one.id })
                  .unwrap()
                  .then(() => setGone(one))
                  .catch(() => undefined)
              }
            >
              {t('dropKept', { name: one.name })}
            </Button>
          </li>
        ))}
      </Rows>
      {gone && (
        <p role="status">
          {t('droppedKept', { name: gone.name })}{' '}
          <Button
            variant="text"
            onClick={() =>
              void keep(gone.kind, gone.name, gone.body, gone.id).then((id) => {
                if (id !== undefined) setGone(undefined);
              })
            }
          >
            {t('undoDrop')}
          </Button>
        </p>
      )}
      {dropped.error && <p role="alert">{dropped.error.message}</p>}
      {question.ground && vehicleProblems.length === 0 && (
        <div className={styles.keepRow}>
          <Choose
            label={t('keepWhat')}
            value={kind}
            options={[
              ['question', t('keepQuestion')],
              ['vehicle', t('keepVehicle')],
            ]}
            onChoose={setKind}
          />
          <KeepForm
            label={t('keepName')}
            button={t('keep')}
            busy={busy}
            error={error}
            onKeep={async (name) =>
              (await keep(
                kind,
                name,
                kind === 'vehicle' ? { vehicle: file.vehicle, measures: file.measures } : file,
              )) !== undefined
            }
          />
        </div>
      )}
    </details>
  );
}
