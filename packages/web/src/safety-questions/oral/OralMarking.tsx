import { oralSentence } from '@jasperwren/words/oral';
import { t } from '@jasperwren/words/questions';
import Button from '@mui/material/Button';
import { judgeOral, type OralResult, type OralTry } from '@jasperwren/core/safety-questions/oral';
import type { SafetyQuestion } from '@jasperwren/core/safety-questions/question';
import type { VehicleProfile } from '@jasperwren/core/safety-questions/vehicle';
import { useState } from 'react';
import { QuestionPicture } from '../drawings/QuestionPicture';
import { PointTicks } from '../drill/PointTicks';
import styles from './oral.module.css';

/** A try that is over, as the caller keeps it. */
interface OralOutcome {
  readonly right: boolean;
  /** No further try. */
  readonly last: boolean;
  readonly heard: readonly string[];
  /** What it came to, in a sentence. */
  readonly said: string;
}

interface Props {
  readonly question: SafetyQuestion;
  readonly vehicle: VehicleProfile | undefined;
  /** How many tries the standard gives. */
  readonly allowed: number;
  /** Tries at it before this one. */
  readonly before?: number;
  readonly onTry: (outcome: OralOutcome) => void;
}

/** The instructor reads the question out and ticks what is heard; the standard's rule makes the result of it. */
export function OralMarking({ question, vehicle, allowed, before = 0, onTry }: Props) {
  const [tries, setTries] = useState<readonly OralTry[]>(() =>
    Array.from({ length: before }, () => ({ heard: [], hint: false })),
  );
  const [heard, setHeard] = useState<readonly string[]>([]);
  const [hint, setHint] = useState(false);
  const [result, setResult] = useState<OralResult>();
  const settle = () => {
    const all = [...tries, { heard, hint }];
    const judged = judgeOral(question, all, allowed);
    const { outcome } = judged;
    setTries(all);
    setResult(judged);
    onTry({ right: outcome === 'right', last: outcome !== 'again', heard, said: oralSentence(judged) });
    if (outcome === 'again') {
      setHeard([]);
      setHint(false);
    }
  };
  const done = result !== undefined && result.outcome !== 'again';
  return (
    <div className={styles.oral}>
      <p className={styles.ask}>{question.ask}</p>
      <QuestionPicture question={question} />
      <PointTicks question={question} vehicle={vehicle} heard={heard} onHeard={done ? undefined : setHeard} />
      {result && (
        <p role="status">
          <b>{oralSentence(result)}</b>
        </p>
      )}
      {!done && (
        <div className={styles.actions}>
          <Button variant={hint ? 'contained' : 'outlined'} aria-pressed={hint} onClick={() => setHint(!hint)}>
            {hint ? t('hintGiven') : t('iGaveAHint')}
          </Button>
          <Button variant="contained" onClick={settle}>
            {tries.length + 1 < allowed ? t('markAnswer') : t('markLastAnswer')}
          </Button>
        </div>
      )}
    </div>
  );
}
