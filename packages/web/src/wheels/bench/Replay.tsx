import type { BenchDrive } from '@jasperwren/motion/moves/bench';
import { t } from '@jasperwren/words/motion';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import { useEffect, useRef, useState } from 'react';
import styles from '../wheels.module.css';

interface Props {
  readonly kept: readonly BenchDrive[];
  /** The moment that is looked at, by its place in the drive; missing where the vehicle is where it was driven. */
  readonly at: number | undefined;
  readonly onLook: (at: number | undefined) => void;
}

/** Looks back along a drive: by hand, or as fast as it was driven. */
export function Replay({ kept, at, onLook }: Props) {
  const [playing, setPlaying] = useState(false);
  const look = useRef(onLook);
  useEffect(() => {
    look.current = onLook;
  }, [onLook]);
  useEffect(() => {
    if (!playing) return;
    let began: number | undefined;
    let frame = requestAnimationFrame(function step(now) {
      began ??= now;
      const next = kept.findIndex(({ atMs }) => atMs > now - began!);
      look.current(next < 0 ? undefined : next);
      if (next < 0) setPlaying(false);
      else frame = requestAnimationFrame(step);
    });
    return () => cancelAnimationFrame(frame);
  }, [playing, kept]);
  const last = kept.length - 1;
  const shown = at ?? last;
  return (
    <div className={styles.scrub}>
      <Button variant="text" disabled={last === 0} onClick={() => setPlaying(!playing)}>
        {playing ? t('pauseReplay') : t('playReplay')}
      </Button>
      <Slider
        size="small"
        aria-label={t('lookBack')}
        min={0}
        max={Math.max(1, last)}
        disabled={last === 0}
        value={shown}
        getAriaValueText={(value) => t('wayAt', { way: kept[Math.min(value, last)]!.wayM.toFixed(1) })}
        onChange={(_, value) => {
          setPlaying(false);
          onLook(value >= last ? undefined : value);
        }}
      />
      <span className={styles.number}>{t('wayAt', { way: kept[shown]!.wayM.toFixed(1) })}</span>
    </div>
  );
}
