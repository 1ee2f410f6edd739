import { momentSentence } from '@jasperwren/words/safe-moment';
import { t } from '@jasperwren/words/questions';
import Button from '@mui/material/Button';
import { judgeMoment, type MomentVerdict } from '@jasperwren/core/safety-questions/safe-moment/judge-moment';
import type { Scenario } from '@jasperwren/core/safety-questions/safe-moment/road';
import { mpsPerKmh, mpsPerMph } from '@jasperwren/motion/stopping/units';
import { useCallback, useEffect, useRef, useState } from 'react';
import { inSight } from './in-sight';
import { RoadView } from './RoadView';
import styles from './safe.module.css';

/** How long a look in the mirror shows what is behind. */
const lookShownS = 1.2;

interface Props {
  readonly scenario: Scenario;
  /** What is to be done when it is safe, such as "sound the horn". */
  readonly task: string;
  readonly onJudged: (verdict: MomentVerdict) => void;
  readonly onNext: () => void;
  readonly onStop: () => void;
}

/** A stretch of road plays; the learner looks, picks the moment, and hears whether it was one. */
export function SafeMoment({ scenario, task, onJudged, onNext, onStop }: Props) {
  const [atS, setAtS] = useState(0);
  const [state, setState] = useState<'ready' | 'playing'>('ready');
  const [verdict, setVerdict] = useState<MomentVerdict>();
  const [looksS, setLooksS] = useState<readonly number[]>([]);
  const clock = useRef(0);
  const look = useCallback(() => setLooksS((before) => [...before, clock.current]), []);
  const settle = useCallback(
    (actAtS: number | undefined) => {
      const judged = judgeMoment(scenario, { looksS, actAtS });
      setVerdict(judged);
      setState('ready');
      onJudged(judged);
    },
    [scenario, looksS, onJudged],
  );
  useEffect(() => {
    if (state !== 'playing') return;
    let frame = 0;
    let last = performance.now();
    const tick = (now: number) => {
      clock.current += (now - last) / 1000;
      last = now;
      setAtS(clock.current);
      if (clock.current >= scenario.durationS) settle(undefined);
      else frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [state, scenario.durationS, settle]);
  useEffect(() => {
    if (state !== 'playing') return;
    const onKey = (event: KeyboardEvent) => {
      if (event.key === 'm' || event.key === 'M') look();
      else if (event.key === ' ') settle(clock.current);
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [state, settle, look]);
  const looking = state === 'playing' && atS - (looksS.at(-1) ?? -10) < lookShownS;
  return (
    <div className={styles.moment}>
      <RoadView scenario={scenario} atS={atS} looking={looking || verdict !== undefined} />
      <div className={styles.side}>
        <p className="muted">
          {t('sceneAtSpeed', {
            title: scenario.title,
            mph: Math.round(scenario.speedMps / mpsPerMph),
            kmh: Math.round(scenario.speedMps / mpsPerKmh),
            level: scenario.level,
          })}
        </p>
        <h2>{t('whenItIsSafeTask', { task })}</h2>
        <p className={styles.mirror} data-looking={looking}>
          {looking ? mirrorWords(scenario, atS) : t('mirrorTapToLook')}
        </p>
        <p className="visually-hidden" role="status">
          {state === 'playing' ? inSight(scenario, Math.floor(atS), looking) : ''}
        </p>
        {state === 'ready' && !verdict && (
          <div className={styles.buttons}>
            <Button variant="contained" size="large" autoFocus onClick={() => setState('playing')}>
              {t('start')}
            </Button>
            <Button variant="text" onClick={onStop}>
              {t('back')}
            </Button>
          </div>
        )}
        {state === 'playing' && (
          <div className={styles.buttons}>
            <Button variant="outlined" size="large" onClick={look}>
              {t('mirrorM')}
            </Button>
            <Button variant="contained" size="large" onClick={() => settle(clock.current)}>
              {t('nowSpace')}
            </Button>
          </div>
        )}
        {verdict && (
          <div role="status">
            <p className={styles.verdict}>
              <b>{outcomeWords[verdict.outcome]}</b> {momentSentence(verdict)}
            </p>
            {verdict.outcome !== 'good' && verdict.safeAtS !== undefined && (
              <p className="muted">{t('theFirstSafeMomentWasAt', { safeAtS: verdict.safeAtS.toFixed(1) })}</p>
            )}
            <div className={styles.buttons}>
              <Button variant="contained" size="large" autoFocus onClick={onNext}>
                {t('nextRoad')}
              </Button>
              <Button variant="text" onClick={onStop}>
                {t('stop')}
              </Button>
            </div>
          </div>
        )}
      </div>
    </div>
  );
}

const outcomeWords: Readonly<Record<MomentVerdict['outcome'], string>> = {
  good: t('good'),
  'not-looked': t('nearly'),
  unsafe: t('no2'),
  never: t('tooLate'),
};

function mirrorWords(scenario: Scenario, atS: number): string {
  const behind = scenario.hazards
    .filter(({ kind }) => kind === 'overtaker')
    .map((hazard) => hazard.atM + ('speedMps' in hazard ? (hazard.speedMps - scenario.speedMps) * atS : 0))
    .filter((gapM) => gapM < 0 && gapM > -120);
  return behind.length > 0
    ? t('mirrorACarAboutValueM', { value: Math.round(-Math.max(...behind) / 10) * 10 })
    : t('mirrorClearBehind');
}
