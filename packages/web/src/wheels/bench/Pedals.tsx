import { wheelLockDeg } from '@jasperwren/motion/moves/bench';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import { t } from '@jasperwren/words/motion';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import type { PointerEvent } from 'react';
import styles from '../wheels.module.css';
import type { BenchLoop } from './bench-loop';

interface Props {
  readonly vehicle: Vehicle;
  /** Degrees of the steering wheel to the left. */
  readonly wheelDeg: number;
  readonly loop: BenchLoop;
  readonly onAgain: () => void;
}

/** The steering wheel and the pedals of the driving bench, by pointer. */
export function Pedals({ vehicle, wheelDeg, loop, onAgain }: Props) {
  const lock = wheelLockDeg(vehicle);
  return (
    <>
      <div className={styles.scrub}>
        <span id="steering-wheel">{t('wheel')}</span>
        <Slider
          size="small"
          track={false}
          aria-labelledby="steering-wheel"
          // To the right on the slider is to the right on the road.
          min={-lock}
          max={lock}
          step={5}
          value={-wheelDeg}
          getAriaValueText={(value) => wheelWords(-value)}
          onChange={(_, value) => loop.turn({ toDeg: -value })}
        />
        <span className={styles.number}>{wheelWords(wheelDeg)}</span>
      </div>
      <div className={styles.pedals}>
        <Button
          variant="outlined"
          {...held(
            () => loop.roll(-1),
            () => loop.roll(0),
          )}
        >
          {t('back')}
        </Button>
        <Button variant="outlined" onClick={() => loop.turn({ toDeg: 0 })}>
          {t('straighten')}
        </Button>
        <Button
          variant="outlined"
          {...held(
            () => loop.roll(1),
            () => loop.roll(0),
          )}
        >
          {t('forward')}
        </Button>
        <Button variant="text" onClick={onAgain}>
          {t('startAgain')}
        </Button>
      </div>
    </>
  );
}

function wheelWords(degrees: number): string {
  const value = Math.round(degrees);
  if (value === 0) return t('wheelStraight');
  return t('wheelAt', { degrees: Math.abs(value), side: t(value > 0 ? 'toLeft' : 'toRight') });
}

/** A button that does something for as long as it is held, by pointer or by key. */
const held = (begin: () => void, end: () => void) => ({
  onPointerDown(event: PointerEvent<HTMLButtonElement>) {
    event.currentTarget.setPointerCapture(event.pointerId);
    begin();
  },
  onPointerUp: end,
  onPointerCancel: end,
  onKeyDown: ({ key }: { readonly key: string }) => {
    if (key === ' ' || key === 'Enter') begin();
  },
  onKeyUp: ({ key }: { readonly key: string }) => {
    if (key === ' ' || key === 'Enter') end();
  },
  onBlur: end,
});
