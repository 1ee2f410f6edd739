import { setBySchool, type Sourced } from '@jasperwren/core/marking/provenance';
import { t as common } from '@jasperwren/words/common';
import { t } from '@jasperwren/words/editor';
import InputBase from '@mui/material/InputBase';
import { useRef, useState } from 'react';
import { typedNumber } from '../../ui/typed-number';
import styles from './phrase.module.css';
import { Rest, type Base } from './Rest';
import { Touch } from './Touch';

interface WrittenProps extends Base {
  readonly typed: string;
  readonly wrong?: string | undefined;
  readonly long?: boolean;
  readonly numeric?: boolean;
  readonly most: number;
  readonly onType: (text: string) => void;
  /** The writing ends: kept, or given up. */
  readonly onEnd: (kept: boolean) => void;
}

/** A phrase while it is written: Enter or leaving keeps it, Escape gives it up. */
function Written({ label, typed, wrong, long = false, numeric = false, most, onType, onEnd }: WrittenProps) {
  const over = useRef(false);
  const end = (kept: boolean) => {
    if (over.current) return;
    over.current = true;
    onEnd(kept);
  };
  return (
    <span className={long ? styles.longField : styles.field}>
      <InputBase
        autoFocus
        multiline={long}
        value={typed}
        error={wrong !== undefined}
        onChange={(event) => onType(event.target.value)}
        onFocus={(event) => event.target.select()}
        onBlur={() => end(true)}
        onKeyDown={(event) => {
          if (event.key === 'Escape') end(false);
          if (event.key === 'Enter' && !event.shiftKey) {
            event.preventDefault();
            end(true);
          }
        }}
        inputProps={{
          'aria-label': label,
          'aria-invalid': wrong !== undefined,
          maxLength: most,
          ...(numeric && { inputMode: 'decimal' }),
        }}
        sx={{ font: 'inherit', fontWeight: 600, width: long ? '100%' : `${Math.max(4, typed.length + 2)}ch` }}
      />
      {wrong !== undefined && (
        <span role="alert" className={styles.wrong}>
          {wrong}
        </span>
      )}
    </span>
  );
}

interface TextProps extends Base {
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly long?: boolean;
  /** What stands where nothing is said; without it the text cannot be emptied. */
  readonly none?: string | undefined;
}

/** A text of a standard. What must be there and is emptied stays as it was. */
export function TextPhrase({ label, value, onChange, long = false, none }: TextProps) {
  const [typed, setTyped] = useState<string>();
  if (typed === undefined)
    return <Rest label={label} shown={value || (none ?? '')} empty={value === ''} onTouch={() => setTyped(value)} />;
  const next = typed.trim();
  const wrong = next === '' && none === undefined;
  return (
    <Written
      label={label}
      typed={typed}
      wrong={wrong ? t('cannotBeEmpty') : undefined}
      long={long}
      most={long ? 1000 : 200}
      onType={setTyped}
      onEnd={(kept) => {
        setTyped(undefined);
        if (kept && !wrong && next !== value) onChange(next);
      }}
    />
  );
}

/** One capital letter, for the desk. */
export function LetterPhrase({ label, value, onChange }: TextProps) {
  const [typed, setTyped] = useState<string>();
  if (typed === undefined) return <Rest label={label} shown={value} empty={false} onTouch={() => setTyped(value)} />;
  return (
    <Written
      label={label}
      typed={typed}
      most={2}
      onType={(text) => setTyped(text.slice(-1).toUpperCase())}
      onEnd={(kept) => {
        setTyped(undefined);
        if (kept && /^[A-Z]$/.test(typed)) onChange(typed);
      }}
    />
  );
}

interface NumberProps extends Base {
  readonly value: number | undefined;
  /** The number with its unit, as it stands in the sentence. */
  readonly words: (value: number) => string;
  readonly onChange: (value: number | undefined) => void;
  /** What stands where no number is set; without it there has to be one. */
  readonly none?: string | undefined;
}

/** A number in a sentence. What is no number is said there and then, and changes nothing. */
export function NumberPhrase({ label, value, words, onChange, none }: NumberProps) {
  const [typed, setTyped] = useState<string>();
  if (typed === undefined) {
    const shown = value === undefined ? (none ?? '') : words(value);
    return (
      <Rest
        label={label}
        shown={shown}
        empty={value === undefined}
        onTouch={() => setTyped(value === undefined ? '' : String(value))}
      />
    );
  }
  const number = typedNumber(typed);
  const cleared = typed.trim() === '' && none !== undefined;
  const wrong = number === undefined && !cleared;
  return (
    <Written
      label={label}
      typed={typed}
      wrong={wrong && typed.trim() !== '' ? common('aNumber0OrMore') : undefined}
      most={8}
      numeric
      onType={setTyped}
      onEnd={(kept) => {
        setTyped(undefined);
        if (!kept || wrong) return;
        const next = cleared ? undefined : number;
        if (next !== value) onChange(next);
      }}
    />
  );
}

/** A number that says where it comes from: set here, it is the school's. */
export const SourcedPhrase = ({
  value,
  onChange,
  ...rest
}: Omit<NumberProps, 'value' | 'onChange'> & {
  readonly value: Sourced | undefined;
  readonly onChange: (value: Sourced | undefined) => void;
}) => (
  <NumberPhrase
    {...rest}
    value={value?.value}
    onChange={(next) => onChange(next === undefined ? undefined : setBySchool(next))}
  />
);

interface AddProps {
  readonly label: string;
  readonly onAdd: () => void;
}

/** Adds something to a sentence. */
export const AddPhrase = ({ label, onAdd }: AddProps) => (
  <Touch kind="add" onTouch={onAdd}>
    {label}
  </Touch>
);

interface RemoveProps {
  readonly name: string;
  readonly onRemove: () => void;
  /** It says what it takes out, where that does not stand before it. */
  readonly named?: boolean;
}

/** Takes what stands before it out. */
export const RemovePhrase = ({ name, onRemove, named = false }: RemoveProps) => (
  <Touch kind="remove" label={t('removeName', { name })} onTouch={onRemove}>
    {named ? t('removeName', { name }) : t('remove')}
  </Touch>
);
