import TextField from '@mui/material/TextField';
import { useEffect, useRef, useState } from 'react';

interface Props {
  readonly label: string;
  readonly value: number;
  readonly step: number;
  readonly error?: boolean;
  readonly onFocus?: () => void;
  /** Told once the typing rests; undefined where the field is empty. */
  readonly onNumber: (value: number | undefined) => void;
}

const restMs = 400;

const numberOf = (text: string): number | undefined => (text.trim() === '' ? undefined : Number(text));

/** A number that is taken once its typing rests, so that nothing is worked out for half a number. */
export function NumberField({ label, value, step, error = false, onFocus, onNumber }: Props) {
  const [text, setText] = useState<string>();
  const tell = useRef(onNumber);
  useEffect(() => {
    tell.current = onNumber;
  }, [onNumber]);
  useEffect(() => {
    if (text === undefined) return;
    const timer = setTimeout(() => tell.current(numberOf(text)), restMs);
    return () => clearTimeout(timer);
  }, [text]);
  return (
    <TextField
      size="small"
      type="number"
      label={label}
      error={error}
      {...(onFocus && { onFocus })}
      value={text ?? String(Math.round(value * 1000) / 1000)}
      slotProps={{ htmlInput: { step } }}
      onChange={(event) => setText(event.target.value)}
      onBlur={() => {
        // Whoever goes on to the next field does not wait for the rest.
        if (text !== undefined && numberOf(text) !== value) onNumber(numberOf(text));
        setText(undefined);
      }}
    />
  );
}
