import { t } from '@jasperwren/words/desk';
import keys from '../key.module.css';
import styles from './panel.module.css';
import { Panel } from './Panel';
import { commandKeys } from '../desk-keys';

const keyWords: readonly (readonly [keyof typeof commandKeys, string])[] = [
  ['pin', t('pin2')],
  ['spoke', t('prompt2')],
  ['tookControl', t('tookControl2')],
  ['undo', t('undo')],
  ['settle', t('nameNextPin')],
  ['advise', t('suggestGradeForLastFault')],
  ['section', t('withDirectionsOrIndependent')],
  ['more', t('exercisesAndMore')],
  ['questions', t('questions')],
  ['note', t('note2')],
  ['stopCount', t('countAStop')],
  ['signalCount', t('countASignal')],
  ['mirrors', t('mirrorInterval')],
  ['pulledUp', t('pulledUp')],
  ['movedOff', t('movedOff')],
  ['pause', t('pauseOrResume')],
  ['exercise', t('startOrEndAnExercise')],
  ['end', t('endMockTest')],
  ['back', t('back')],
];

/** Every key of the desk. */
export function KeysPanel() {
  return (
    <Panel title={t('keys')}>
      <p>{t('aLetterForTheAreaA')}</p>
      <dl className={styles.keyList}>
        {keyWords.map(([command, words]) => (
          <div key={command}>
            <dt>
              <kbd className={keys.named}>{commandKeys[command].word}</kbd>
            </dt>
            <dd>{words}</dd>
          </div>
        ))}
      </dl>
    </Panel>
  );
}
