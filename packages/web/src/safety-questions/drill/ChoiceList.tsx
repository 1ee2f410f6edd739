import { choiceState } from './choice-state';
import { t } from '@jasperwren/words/questions';
import styles from './drill.module.css';

interface Props {
  readonly options: readonly string[];
  readonly right: string;
  readonly chosen: string | undefined;
  readonly onChoose: (option: string) => void;
}

/** A few answers, one of them right; once one is chosen, the right one stands out. */
export function ChoiceList({ options, right, chosen, onChoose }: Props) {
  return (
    <ul className={styles.choices}>
      {options.map((option) => {
        const state = choiceState(option, right, chosen);
        return (
          <li key={option}>
            <button type="button" disabled={chosen !== undefined} data-state={state} onClick={() => onChoose(option)}>
              <span>{option}</span>
              {state === 'right' && <b>{t('right')}</b>}
              {state === 'wrong' && <b>{t('no')}</b>}
            </button>
          </li>
        );
      })}
    </ul>
  );
}
