import { t } from '@jasperwren/words/desk';
import Button from '@mui/material/Button';
import { unsettledPins, type Drive } from '@jasperwren/core/drive/drive';
import type { EndingCause } from '@jasperwren/core/drive/event';
import type { UsualReason } from '@jasperwren/core/drive/why';
import type { Verdict } from '@jasperwren/core/marking/verdict';
import { describeMissing } from '@jasperwren/words/marking/missing';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { RoadsChoice } from '../../RoadsChoice';
import styles from './panel.module.css';
import { Panel } from './Panel';
import { ReasonForm } from './ReasonForm';
import type { DeskActions } from '../desk-actions';

interface Props {
  readonly driveId: string;
  readonly drive: Drive;
  readonly verdict: Verdict;
  readonly actions: DeskActions;
}

const causes: readonly (readonly [cause: EndingCause, words: string, reasons: readonly UsualReason[]])[] = [
  ['safety', t('iStoppedItForSafety'), ['too-much-help', 'danger', 'not-fit']],
  ['learner', t('learnerWantsToStop'), ['nerves', 'not-well', 'no-time']],
  ['car', t('problemWithTheCar'), ['breakdown', 'puncture', 'warning-light']],
  ['conditions', t('weatherOrRoad'), ['weather', 'road-closed', 'accident-ahead']],
];

/** The end of a drive, as planned or broken off: whose doing it is decides what it amounts to. */
export function EndPanel({ driveId, drive, verdict, actions }: Props) {
  const navigate = useNavigate();
  const [breaking, setBreaking] = useState(false);
  const [cause, setCause] = useState<EndingCause>();
  const pins = unsettledPins(drive).length;
  const missing = verdict.missing.filter(({ kind }) => kind !== 'not-ended' && !kind.startsWith('unsettled'));
  const end = async (...how: Parameters<DeskActions['end']>) => {
    await actions.end(...how);
    void navigate(`/drive/${driveId}`);
  };
  const chosen = causes.find(([code]) => code === cause);
  if (chosen) {
    return (
      <Panel title={t('chosenWhatHappened', { chosen: chosen[1] })}>
        <ReasonForm
          reasons={chosen[2]}
          action={t('stopEarly')}
          onGiven={(why) => void end('abandoned', { cause: chosen[0], ...why })}
        />
      </Panel>
    );
  }
  if (breaking) {
    return (
      <Panel title={t('whyAreYouStoppingEarly')}>
        <div className={styles.reasons}>
          {causes.map(([code, words]) => (
            <Button key={code} variant="outlined" onClick={() => setCause(code)}>
              {words}
            </Button>
          ))}
        </div>
      </Panel>
    );
  }
  return (
    <Panel title={t('endTheMockTest')}>
      <p>{t('parkedEngineOffNextTheResult')}</p>
      {missing.length > 0 && verdict.outcome !== 'fail' && (
        <p>{t('noResultYetMap', { map: missing.map(describeMissing).join('; ') })}</p>
      )}
      {pins > 0 && (
        <p>
          {t('partStillToNameOrDiscard', {
            part: t('pins2', { count: pins }),
          })}
        </p>
      )}
      <div>
        <p className="muted">{t('howWellDidTheLearnerKnow')}</p>
        <RoadsChoice familiarity={drive.familiarity} onChoose={actions.sayRoads} />
      </div>
      <Button variant="contained" onClick={() => void end('completed')}>
        {t('endAndSeeResult')}
      </Button>
      <Button variant="outlined" onClick={() => setBreaking(true)}>
        {t('stopEarly')}
      </Button>
    </Panel>
  );
}
