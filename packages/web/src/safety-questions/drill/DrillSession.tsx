import { t } from '@jasperwren/words/questions';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import { sessionCards, type DrillCard, weakestCards } from '@jasperwren/core/safety-questions/drill';
import { useEffect, useState } from 'react';
import { clockTime } from '../../ui/format';
import { CardBody } from './CardBody';
import type { CardResult } from './card-result';
import styles from './drill.module.css';
import type { DrillSource } from './source';

interface Props {
  readonly source: DrillSource;
  readonly onDone: () => void;
}

/** Ten minutes of cards, one after the other. What was forgotten comes back once before the end. */
export function DrillSession({ source, onDone }: Props) {
  const [seed] = useState(() => Date.now() % 1_000_000);
  const [cards, setCards] = useState<readonly DrillCard[]>(() =>
    sessionCards(source.questions, source.memory, new Date(), source.testDate, source.vehicle, seed),
  );
  const [place, setPlace] = useState(0);
  const [right, setRight] = useState(0);
  const [startMs] = useState(() => Date.now());
  const [tookMs, setTookMs] = useState(0);
  const card = cards[place];
  useEffect(() => {
    window.scrollTo({ top: 0 });
  }, [place]);
  const done = ({ rating, missed }: CardResult) => {
    if (!card) return;
    source.reviews.add({ question: card.question.id, rating, mode: card.mode, missed });
    if (rating !== 'again') setRight(right + 1);
    const again = cards.filter(({ question }) => question.id === card.question.id).length;
    if (rating === 'again' && again < 2) setCards([...cards, { ...card, mode: 'reveal', fresh: false }]);
    setTookMs(Date.now() - startMs);
    setPlace(place + 1);
  };
  if (cards.length === 0)
    return (
      <div className={styles.end}>
        <p>{t('nothingDueUntilTomorrow')}</p>
        {source.questions.length > 0 && (
          <Button
            variant="contained"
            onClick={() => setCards(weakestCards(source.questions, source.memory, new Date(), source.vehicle))}
          >
            {t('practiseAnyway')}
          </Button>
        )}
        <Button variant="outlined" onClick={onDone}>
          {t('back')}
        </Button>
      </div>
    );
  if (!card)
    return (
      <div className={styles.end} role="status">
        <h2>{t('rightOfCountedRight', { right, counted: t('answers', { count: place }) })}</h2>
        <p>{t('timeMinQuestionsYouMissedCome', { time: clockTime(tookMs) })}</p>
        <Button variant="contained" onClick={onDone}>
          {t('done')}
        </Button>
      </div>
    );
  return (
    <div className={styles.session}>
      <div className={styles.progress}>
        <LinearProgress
          variant="determinate"
          value={(100 * place) / cards.length}
          color="inherit"
          aria-label={t('cardPlaceOfCount', { place: place + 1, count: cards.length })}
        />
        <span className="muted">{t('placeOfCount', { place: place + 1, count: cards.length })}</span>
        <Button variant="text" onClick={onDone}>
          {t('stop')}
        </Button>
      </div>
      <CardBody key={place} card={card} source={source} seed={seed + place} onDone={done} />
    </div>
  );
}
