import Slider from '@mui/material/Slider';
import { useId } from 'react';
import styles from './wheels.module.css';

interface Props {
  readonly label: string;
  readonly min: number;
  readonly max: number;
  readonly step?: number;
  readonly value: number;
  /** A value in words, beside the slider and read aloud. */
  readonly words: (value: number) => string;
  readonly onValue: (value: number) => void;
}

/** A slider with its label and what its value says. */
export function Scrub({ label, min, max, step = 1, value, words, onValue }: Props) {
  const id = useId();
  return (
    <div className={styles.scrub}>
      <span id={id}>{label}</span>
      <Slider
        size="small"
        aria-labelledby={id}
        min={min}
        max={max}
        step={step}
        value={value}
        getAriaValueText={words}
        onChange={(_, next) => onValue(next)}
      />
      <span className={styles.number}>{words(value)}</span>
    </div>
  );
}
