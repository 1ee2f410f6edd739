import keys from './key.module.css';
import styles from './panel.module.css';
import { Panel } from './Panel';
import { commandKeys } from './desk-keys';

const keyWords: readonly (readonly [keyof typeof commandKeys, string])[] = [
  ['pin', 'Drop a pin'],
  ['spoke', 'I spoke'],
  ['tookControl', 'I took control'],
  ['undo', 'Undo'],
  ['settle', 'Settle the next pin'],
  ['advise', 'How bad was the last mark?'],
  ['section', 'Guided or independent'],
  ['more', 'Exercises and more'],
  ['questions', 'Questions'],
  ['note', 'Note'],
  ['stopCount', 'Count a stop'],
  ['signalCount', 'Count a signal'],
  ['mirrors', 'Mirror interval'],
  ['pulledUp', 'Pulled up'],
  ['movedOff', 'Moved off'],
  ['pause', 'Pause or go on'],
  ['end', 'End the drive'],
  ['back', 'Back'],
];

/** Every key of the desk. */
export function KeysPanel() {
  return (
    <Panel title="Keys">
      <p>A letter for the category, a letter for the item, a digit for the grade. All of them stand on the board.</p>
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
