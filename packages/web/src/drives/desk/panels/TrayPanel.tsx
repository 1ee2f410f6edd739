import { sectionName } from '@jasperwren/words/names';
import { t } from '@jasperwren/words/desk';
import Button from '@mui/material/Button';
import { helpIn, unsettledPins, type Drive } from '@jasperwren/core/drive/drive';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { useAppDispatch } from '../../../base/hooks';
import { clockTime } from '../../../ui/format';
import { Rows } from '../../../ui/Page';
import { helpLine } from '../../help-line';
import { HelpWhy } from '../../HelpWhy';
import { VoiceOfPin } from '../../voice/VoiceOfPin';
import { DoubleRow } from '../../DoubleRow';
import styles from './panel.module.css';
import { panelOpened } from '../desk-slice';
import { Panel } from './Panel';
import type { DeskActions } from '../desk-actions';

interface Props {
  readonly driveId: string;
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  readonly actions: DeskActions;
}

/** What waits for the next stop: pins to be named, and faults that two people may have marked. */
export function TrayPanel({ driveId, standard, drive, actions }: Props) {
  const dispatch = useAppDispatch();
  const pins = unsettledPins(drive);
  // What was said stays in the list: it may be corrected.
  const helped = helpIn(drive);
  return (
    <Panel title={t('sortOutWhenParked')}>
      <Rows>
        {pins.map(({ id, atMs }) => (
          <li key={id} className={styles.exercise}>
            <span>
              <b>{t('pinAtTime', { time: clockTime(atMs) })}</b>
              <small>{whileWords(standard, drive, atMs)}</small>
            </span>
            <span className={styles.steps}>
              <VoiceOfPin driveId={driveId} pinId={id} atMs={atMs} />
              <Button
                variant="contained"
                aria-label={t('namePinAtTime', { time: clockTime(atMs) })}
                onClick={() => actions.settlePin(id)}
              >
                {t('namePin')}
              </Button>
              <Button
                variant="outlined"
                aria-label={t('discardPinAtTime', { time: clockTime(atMs) })}
                onClick={() => dispatch(panelOpened({ kind: 'drop-pin', pinId: id }))}
              >
                {t('discardPin')}
              </Button>
            </span>
          </li>
        ))}
        {helped.map((help) => (
          <li key={help.id} className={styles.exercise}>
            <span>
              <b>{helpLine(help).label}</b>
              <small>{whileWords(standard, drive, help.atMs)}</small>
            </span>
            <HelpWhy help={help} standard={standard} drive={drive} write={actions.keep} />
          </li>
        ))}
        {drive.doubles.map((double) => (
          <DoubleRow
            key={double.first.id}
            double={double}
            standard={standard}
            onStrike={(id) => actions.strike(id, { because: 'same-twice' })}
            onKeepBoth={() => actions.keepBoth(double.first.id, double.second.id)}
          />
        ))}
      </Rows>
      {pins.length === 0 && helped.length === 0 && drive.doubles.length === 0 && (
        <p className="muted">{t('noPinsToName')}</p>
      )}
    </Panel>
  );
}

function whileWords(standard: EffectiveStandard, drive: Drive, atMs: number): string {
  const span = drive.spans.findLast(({ fromMs }) => fromMs <= atMs);
  const exercise = standard.exercises.find(({ code }) => code === span?.exercise)?.name;
  return exercise ? t('duringExercise', { exercise: exercise.toLowerCase() }) : sectionName(span?.section ?? 'guided');
}
