import { t } from '@jasperwren/words/desk';
import Button from '@mui/material/Button';
import { unsettledPins, type Drive } from '@jasperwren/core/drive/drive';
import type { EndingCause } from '@jasperwren/core/drive/event';
import type { UsualReason } from '@jasperwren/core/drive/why';
import { judgeDrive } from '@jasperwren/core/marking/judge';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { isTimeAsked } from '@jasperwren/core/marking/verdict';
import { describeMissing } from '@jasperwren/words/marking/missing';
import { roomSentence } from '@jasperwren/words/marking/room';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { driveNowMs } from '../../log/drive-clock';
import { RoadsChoice } from '../../RoadsChoice';
import { ShortTest } from '../../ShortTest';
import styles from './panel.module.css';
import { Panel } from './Panel';
import { ReasonForm } from './ReasonForm';
import { SoFar } from '../Rooms';
import type { DeskActions } from '../desk-actions';

interface Props {
  readonly driveId: string;
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  readonly actions: DeskActions;
}

const causes: readonly (readonly [cause: EndingCause, words: string, reasons: readonly UsualReason[]])[] = [
  ['safety', t('iStoppedItForSafety'), ['too-much-help', 'danger', 'not-fit']],
  ['learner', t('learnerWantsToStop'), ['nerves', 'not-well', 'no-time']],
  ['car', t('problemWithTheCar'), ['breakdown', 'puncture', 'warning-light']],
  ['conditions', t('weatherOrRoad'), ['weather', 'road-closed', 'accident-ahead']],
];

/** The end of a drive, as planned or broken off: whose doing it is decides what it amounts to. */
export function EndPanel({ driveId, standard, drive, actions }: Props) {
  const navigate = useNavigate();
  // Of this moment: the last event may be minutes ago.
  const verdict = useMemo(() => judgeDrive(standard, drive, driveNowMs(driveId)), [standard, drive, driveId]);
  const [breaking, setBreaking] = useState(false);
  const [cause, setCause] = useState<EndingCause>();
  const pins = unsettledPins(drive).length;
  // What failed the test is in its sentence already.
  const crossedNarrow = verdict.headroom.filter(
    ({ left, limit }) => left < 0 && (limit.effect.kind === 'fail-exercise' || limit.effect.kind === 'fail-attempt'),
  );
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
      <p>
        {t('parkedEngineOffNextTheResult')}{' '}
        {missing.length > 0 &&
          verdict.outcome !== 'fail' &&
          `${t('noResultYetMap', { map: missing.map(describeMissing).join('; ') })} `}
        <SoFar standard={standard} verdict={verdict} />
        {pins > 0 && ` ${t('partStillToNameOrDiscard', { part: t('pins2', { count: pins }) })}`}
      </p>
      {crossedNarrow.map((room) => (
        <p key={`${room.limit.code} ${room.scope}`}>{roomSentence(standard, room)}</p>
      ))}
      {(verdict.missing.some(isTimeAsked) || drive.short) && <ShortTest short={drive.short} write={actions.keep} />}
      <div className={styles.asked}>
        <p className="muted">{t('howWellDidTheLearnerKnow')}</p>
        <RoadsChoice familiarity={drive.familiarity} onChoose={actions.sayRoads} />
      </div>
      <div className={styles.ends}>
        <Button variant="contained" onClick={() => void end('completed')}>
          {t('endAndSeeResult')}
        </Button>
        <Button variant="outlined" onClick={() => setBreaking(true)}>
          {t('stopEarly')}
        </Button>
      </div>
    </Panel>
  );
}
