import { t } from '@jasperwren/words/questions';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { handSignals, HandPicture } from '../drawings/HandPicture';
import { Schematic } from '../drawings/Schematic';
import type { CardProps } from './card-props';
import styles from './drill.module.css';
import { byPoints } from './card-result';
import { PointTicks } from './PointTicks';

/** Say it aloud, then look: each point that was said is ticked, and the ticks are the grade. */
export function RevealCard({ card, source, onDone }: CardProps) {
  const { question } = card;
  const [shown, setShown] = useState(false);
  const [heard, setHeard] = useState<readonly string[]>([]);
  const all = question.points.map(({ code }) => code);
  if (!shown)
    return (
      <div className={styles.thumb}>
        <p className="muted">{t('sayTheAnswerAloud')}</p>
        <Button variant="contained" size="large" onClick={() => setShown(true)} autoFocus>
          {t('showTheAnswer')}
        </Button>
      </div>
    );
  const places = source.vehicle ? (question.controls ?? []).map((code) => source.vehicle!.controls[code].place) : [];
  return (
    <>
      <p className="muted">{t('tickWhatYouSaid')}</p>
      <PointTicks question={question} vehicle={source.vehicle} heard={heard} onHeard={setHeard} />
      {question.handSignal && handSignals.includes(question.handSignal) && <HandPicture signal={question.handSignal} />}
      {places.length > 0 && source.vehicle && <Schematic wheelSide={source.vehicle.wheelSide} shown={places} />}
      <div className={styles.thumb}>
        {heard.length < all.length && (
          <Button variant="outlined" size="large" onClick={() => onDone(byPoints(card, all))}>
            {t('iSaidAllOfIt')}
          </Button>
        )}
        <Button variant="contained" size="large" onClick={() => onDone(byPoints(card, heard))}>
          {heard.length === 0 ? t('iDidNotKnow') : t('continue')}
        </Button>
      </div>
    </>
  );
}
