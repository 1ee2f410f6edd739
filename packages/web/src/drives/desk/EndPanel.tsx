import Button from '@mui/material/Button';
import { unsettledPins, type Drive } from '@jasperwren/core/drive/drive';
import type { EndingCause } from '@jasperwren/core/drive/event';
import type { Verdict } from '@jasperwren/core/marking/verdict';
import { describeMissing, inWords } from '@jasperwren/core/marking/wording';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { RoadsChoice } from '../RoadsChoice';
import styles from './panel.module.css';
import { Panel } from './Panel';
import { ReasonForm } from './ReasonForm';
import type { DeskActions } from './desk-actions';

interface Props {
  readonly driveId: string;
  readonly drive: Drive;
  readonly verdict: Verdict;
  readonly actions: DeskActions;
}

const causes: readonly (readonly [cause: EndingCause, words: string, reasons: readonly string[]])[] = [
  ['safety', 'I stop it for safety', ['Too much help needed', 'A danger to others', 'Not fit to drive today']],
  ['learner', 'The learner does not want to go on', ['Nerves', 'Not well', 'No time']],
  ['car', 'The car', ['Breakdown', 'Puncture', 'Warning lamp']],
  ['conditions', 'Weather or road', ['Unsafe weather', 'Road closed', 'Accident ahead']],
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
      <Panel title={`${chosen[1]}: what was it?`}>
        <ReasonForm
          reasons={chosen[2]}
          action="Break off"
          onGiven={(reason) => void end('abandoned', { cause: chosen[0], reason })}
        />
      </Panel>
    );
  }
  if (breaking) {
    return (
      <Panel title="Why is the drive broken off?">
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
    <Panel title="End the drive?">
      <p>Parked, engine off? The verdict comes next.</p>
      {missing.length > 0 && verdict.outcome !== 'fail' && (
        <p>It will stay without a verdict: {missing.map(describeMissing).join('; ')}.</p>
      )}
      {pins > 0 && (
        <p>
          {pins === 1 ? 'One pin is' : `${inWords(pins)} pins are`} still to be settled or dropped; until then the
          verdict is not final.
        </p>
      )}
      <div>
        <p className="muted">How well were the roads known?</p>
        <RoadsChoice familiarity={drive.familiarity} onChoose={actions.sayRoads} />
      </div>
      <Button variant="contained" onClick={() => void end('completed')}>
        End and see the verdict
      </Button>
      <Button variant="outlined" onClick={() => setBreaking(true)}>
        Break it off
      </Button>
    </Panel>
  );
}
