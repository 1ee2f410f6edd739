import { provenanceWords } from '@jasperwren/words/marking/provenance';
import { t } from '@jasperwren/words/questions';
import Button from '@mui/material/Button';
import { choices } from '@jasperwren/core/safety-questions/drill';
import { checkNumbers, numberWords } from '@jasperwren/core/safety-questions/numbers';
import { randomFrom, shuffled } from '@jasperwren/core/safety-questions/random';
import { useState } from 'react';
import { ChoiceList } from './ChoiceList';
import styles from './drill.module.css';

/** The numbers, one after the other as fast as you like. */
export function NumbersRound({ onDone }: { readonly onDone: () => void }) {
  const [seed] = useState(() => Date.now() % 1_000_000);
  const [numbers] = useState(() => shuffled(randomFrom(seed), checkNumbers));
  const [place, setPlace] = useState(0);
  const [right, setRight] = useState(0);
  const [chosen, setChosen] = useState<string>();
  const number = numbers[place];
  if (!number)
    return (
      <div className={styles.end} role="status">
        <h2>{t('rightOfCountRight', { right, count: numbers.length })}</h2>
        <p>{t('stoppingDistancesDryRoadGoodTyres')}</p>
        <Button variant="contained" onClick={onDone}>
          {t('done')}
        </Button>
      </div>
    );
  const answer = numberWords(number);
  const { provenance } = number.value;
  return (
    <div className={styles.session}>
      <div className={styles.progress}>
        <span className="muted">{t('placeOfCountRightRight', { place: place + 1, count: numbers.length, right })}</span>
        <Button variant="text" onClick={onDone}>
          {t('stop')}
        </Button>
      </div>
      <article className={styles.card} aria-label={t('numbers')}>
        <h2>{number.ask}</h2>
        <ChoiceList
          options={choices(answer, number.others, seed + place)}
          right={answer}
          chosen={chosen}
          onChoose={(option) => {
            setChosen(option);
            if (option === answer) setRight(right + 1);
          }}
        />
        {chosen !== undefined && (
          <>
            <p className="muted">
              {answer}: {provenanceWords(provenance)}
            </p>
            <div className={styles.thumb}>
              <Button
                variant="contained"
                size="large"
                autoFocus
                onClick={() => {
                  setChosen(undefined);
                  setPlace(place + 1);
                }}
              >
                {t('continue')}
              </Button>
            </div>
          </>
        )}
      </article>
    </div>
  );
}
