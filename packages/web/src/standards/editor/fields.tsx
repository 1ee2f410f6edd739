import { t } from '@jasperwren/words/common';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Sourced } from '@jasperwren/core/marking/provenance';
import { useState } from 'react';
import { setBySchool } from '@jasperwren/core/marking/provenance';
import { typedNumber } from '../../ui/typed-number';

interface TextProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly multiline?: boolean;
  /** It may be left empty. */
  readonly optional?: boolean;
  readonly width?: string;
}

/** A text of a standard. */
export function TextEdit({ label, value, onChange, multiline = false, optional = false, width = '100%' }: TextProps) {
  return (
    <TextField
      size="small"
      label={label}
      value={value}
      onChange={(event) => onChange(event.target.value)}
      multiline={multiline}
      sx={{ width }}
      error={!optional && value.trim() === ''}
      slotProps={{ htmlInput: { maxLength: multiline ? 1000 : 200 } }}
    />
  );
}

interface NumberProps {
  readonly label: string;
  readonly value: Sourced;
  readonly unit: string;
  readonly onChange: (value: Sourced) => void;
  readonly width?: string;
}

/** A number with its unit. What is no number stays in the field and changes nothing. */
export function NumberEdit({ label, value, unit, onChange, width = '14rem' }: NumberProps) {
  const [typed, setTyped] = useState<string>();
  const text = typed ?? String(value.value);
  const wrong = typed !== undefined && typedNumber(typed) === undefined;
  return (
    <TextField
      size="small"
      label={`${label}, ${unit}`}
      value={text}
      onChange={(event) => {
        setTyped(event.target.value);
        const number = typedNumber(event.target.value);
        if (number !== undefined && number !== value.value) onChange(setBySchool(number));
      }}
      onBlur={() => {
        if (!wrong) setTyped(undefined);
      }}
      error={wrong}
      helperText={wrong ? t('aNumber0OrMore') : undefined}
      slotProps={{ htmlInput: { inputMode: 'decimal', maxLength: 8 } }}
      sx={{ width }}
    />
  );
}

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly choices: readonly (readonly [value: T, name: string])[];
  readonly onChange: (value: T) => void;
  readonly width?: string;
}

/** One of a few. */
export function ChoiceEdit<T extends string>({ label, value, choices, onChange, width = '14rem' }: ChoiceProps<T>) {
  return (
    <TextField
      select
      size="small"
      label={label}
      value={value}
      onChange={(event) => onChange(event.target.value as T)}
      sx={{ width }}
    >
      {choices.map(([code, name]) => (
        <MenuItem key={code} value={code}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}

/** One capital letter for the desk. */
export function LetterEdit({ label, value, onChange }: Pick<TextProps, 'label' | 'value' | 'onChange'>) {
  return (
    <TextField
      size="small"
      label={label}
      value={value}
      onChange={(event) => onChange(event.target.value.slice(-1).toUpperCase())}
      sx={{ width: '5.5rem' }}
      error={!/^[A-Z]$/.test(value)}
      slotProps={{ htmlInput: { maxLength: 2 } }}
    />
  );
}

interface SeveralProps<T extends string> {
  readonly label: string;
  readonly value: readonly T[];
  readonly choices: readonly (readonly [value: T, name: string])[];
  readonly onChange: (value: readonly T[]) => void;
  /** It may be left empty. */
  readonly optional?: boolean;
}

/** Some of a few. */
export function SeveralEdit<T extends string>({ label, value, choices, onChange, optional = false }: SeveralProps<T>) {
  return (
    <TextField
      select
      size="small"
      label={label}
      value={value}
      onChange={(event) => onChange(event.target.value as unknown as T[])}
      error={!optional && value.length === 0}
      slotProps={{ select: { multiple: true } }}
      sx={{ width: '14rem' }}
    >
      {choices.map(([code, name]) => (
        <MenuItem key={code} value={code}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}
