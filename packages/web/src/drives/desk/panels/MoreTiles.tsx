import { t } from '@jasperwren/words/desk';
import { counterTargetS } from '@jasperwren/core/drive/counter';
import type { Drive } from '@jasperwren/core/drive/drive';
import { roadStepKinds } from '@jasperwren/core/drive/event-kinds';
import type { StepKind } from '@jasperwren/core/drive/event';
import { askedOn } from '@jasperwren/core/marking/asked';
import { isChosen } from '@jasperwren/core/marking/options';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { useAppSelector } from '../../../base/hooks';
import styles from './panel.module.css';
import { Key } from '../Key';
import type { DeskActions } from '../desk-actions';
import { commandKeys } from '../desk-keys';

interface Props {
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  readonly actions: DeskActions;
}

const roadWords = { 'pull-up': t('pulledUp'), 'move-off': t('movedOff') } as const;
const roadKeys = { 'pull-up': commandKeys.pulledUp, 'move-off': commandKeys.movedOff } as const;

/** What the desk can do besides marking; each has its key, so that this need not be opened. */
export function MoreTiles({ standard, drive, actions }: Props) {
  const counting = useAppSelector((state) => state.desk.counter?.kind);
  const left = askedOn(standard, drive).reduce((sum, asked) => sum + asked.left, 0);
  const stopS = counterTargetS('stop', isChosen(standard, 'stop-hold', 'count-5'));
  const counters = [
    ['stop', t('stopStopSS', { stopS }), commandKeys.stopCount],
    [
      'signal',
      t('signalCounterTargetSS', { counterTargetS: counterTargetS('signal', false) }),
      commandKeys.signalCount,
    ],
    [
      'mirrors',
      t('mirrorsEveryCounterTargetSS', { counterTargetS: counterTargetS('mirrors', false) }),
      commandKeys.mirrors,
    ],
  ] as const;
  const counts = (step: StepKind) => drive.steps.filter((one) => one.step === step).length;
  return (
    <div className={styles.tiles}>
      {standard.questions.length > 0 && (
        <button type="button" onClick={actions.openQuestions}>
          {t('questions')} <small>{left === 0 ? t('allAsked') : t('leftToAsk', { left })}</small>
          <Key>{commandKeys.questions.word}</Key>
        </button>
      )}
      <button type="button" onClick={() => actions.openNote()}>
        {t('note2')} <Key>{commandKeys.note.word}</Key>
      </button>
      {standard.course && !drive.sensors && (
        <button type="button" onClick={actions.openSensors}>
          {t('sensorsTile')}
        </button>
      )}
      <button type="button" onClick={actions.openTrace}>
        {t('traceTile')}
      </button>
      <button type="button" onClick={actions.openVoice}>
        {t('voiceTile')}
      </button>
      {counters.map(([kind, words, { word }]) => (
        <button key={kind} type="button" aria-pressed={counting === kind} onClick={() => actions.switchCounter(kind)}>
          {words} <Key>{word}</Key>
        </button>
      ))}
      {roadStepKinds.map((step) => (
        <button key={step} type="button" disabled={!actions.running} onClick={() => actions.count(step)}>
          {roadWords[step]} <small>{t('countsSoFar', { counts: counts(step) })}</small>
          <Key>{roadKeys[step].word}</Key>
        </button>
      ))}
    </div>
  );
}
