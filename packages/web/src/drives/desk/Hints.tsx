import { t } from '@jasperwren/words/desk';
import { counterTargetS, readCounter } from '@jasperwren/core/drive/counter';
import type { Drive } from '@jasperwren/core/drive/drive';
import { independentPart } from '@jasperwren/core/marking/independent';
import { isChosen } from '@jasperwren/core/marking/options';
import { useEffect, useState } from 'react';
import { useAppSelector } from '../../base/hooks';
import { wholeMinutes } from '../../ui/format';
import type { DriveMeta } from '../../base/device/device-db';
import { driveNowMs } from '../log/drive-clock';
import styles from './desk.module.css';
import { useNow } from './use-now';

const everyMs = 100;

/** What is being counted, while it is: shown, never sounded. */
export function Counting({ meta: { id, standard } }: { readonly meta: DriveMeta }) {
  const counter = useAppSelector((state) => state.desk.counter);
  const [nowMs, setNowMs] = useState(0);
  useEffect(() => {
    if (!counter) return;
    const timer = setInterval(() => setNowMs(driveNowMs(id)), everyMs);
    return () => clearInterval(timer);
  }, [counter, id]);
  if (!counter) return null;
  const targetS = counterTargetS(counter.kind, isChosen(standard, 'stop-hold', 'count-5'));
  const { seconds, reached } = readCounter(counter, nowMs, targetS);
  const words =
    counter.kind === 'mirrors'
      ? reached
        ? t('checkMirrorsNow')
        : t('mirrorsInCeilS', { ceil: Math.ceil(targetS - seconds) })
      : t('kindSecondsOfTargetSS', { kind: counter.kind, seconds: seconds.toFixed(1), targetS });
  return (
    <span className={styles.counter} data-reached={reached} role="timer" aria-label={t('counter')}>
      {words}
    </span>
  );
}

/** Says in time that the test will end without enough independent driving. */
export function IndependentWarning({ meta, drive }: { readonly meta: DriveMeta; readonly drive: Drive }) {
  const nowMs = useNow(meta.id, drive.phase === 'running');
  const part = independentPart(meta.standard, drive, nowMs);
  if (part?.state !== 'soon' && part?.state !== 'late') return null;
  const enough = wholeMinutes(part.enoughMs);
  return (
    <span className={styles.warning}>
      {part.state === 'soon'
        ? t('startIndependentDrivingNowToReach', { enough })
        : t('notEnoughTimeLeftForEnough', { enough })}
    </span>
  );
}
