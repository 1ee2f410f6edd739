import { readSample, type Sample, type SentSample } from '@jasperwren/core/yard/sample';
import { t } from '@jasperwren/words/yard-pages';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import { useEffect, useMemo, useState } from 'react';
import { clockTime } from '../../ui/format';
import styles from '../yard-pages.module.css';
import { Choose } from '../../ui/Choose';

interface Props {
  readonly samples: readonly SentSample[];
  readonly span: { readonly from: number; readonly to: number };
}

const paces = [1, 2, 5, 10] as const;
const tickMs = 100;

/** Plays a run again: what the sensors said at a moment that moves along. */
export function Replay({ samples, span }: Props) {
  const [atMs, setAtMs] = useState(span.from);
  const [playing, setPlaying] = useState(false);
  const [pace, setPace] = useState<number>(1);
  const ordered = useMemo(
    () => samples.flatMap((sent) => readSample(sent) ?? []).sort((a, b) => a.at - b.at),
    [samples],
  );
  const runs = playing && atMs < span.to;
  useEffect(() => {
    if (!runs) return;
    const timer = setInterval(() => setAtMs((now) => Math.min(span.to, now + tickMs * pace)), tickMs);
    return () => clearInterval(timer);
  }, [runs, pace, span.to]);
  const now = ordered.findLast(({ at }) => at <= atMs);
  return (
    <>
      <div className={styles.replay}>
        <Button
          variant="outlined"
          onClick={() => {
            if (atMs >= span.to) setAtMs(span.from);
            setPlaying(!runs);
          }}
        >
          {runs ? t('pause') : t('play')}
        </Button>
        <Slider
          aria-label={t('moment')}
          size="small"
          min={span.from}
          max={span.to}
          step={50}
          value={atMs}
          getAriaValueText={(value) => clockTime(value - span.from)}
          onChange={(_, value) => setAtMs(value)}
        />
        <Choose
          label={t('pace')}
          value={String(pace)}
          options={paces.map((times) => [String(times), t('paceTimes', { times })])}
          onChoose={(value) => setPace(Number(value))}
        />
      </div>
      {now && (
        <p className={styles.values}>{t('atMoment', { at: clockTime(atMs - span.from), values: valuesOf(now) })}</p>
      )}
    </>
  );
}

function valuesOf({ speed, gear, rpm, brake, clutch }: Sample): string {
  return [
    speed !== undefined && t('kmh', { value: Math.abs(speed).toFixed(1) }),
    gear !== undefined && t('gearNow', { gear }),
    rpm !== undefined && t('rpm', { value: Math.round(rpm) }),
    brake !== undefined && t('brakeNow', { value: Math.round(brake * 100) }),
    clutch !== undefined && t('clutchNow', { value: Math.round(clutch * 100) }),
  ]
    .filter(Boolean)
    .join(', ');
}
