import { setBySchool, type Sourced } from '@jasperwren/core/marking/provenance';
import { t as common } from '@jasperwren/words/common';
import { t } from '@jasperwren/words/editor';
import { joinWords } from '@jasperwren/words/lists';
import Checkbox from '@mui/material/Checkbox';
import InputBase from '@mui/material/InputBase';
import ListItemText from '@mui/material/ListItemText';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useRef, useState } from 'react';
import { typedNumber } from '../../ui/typed-number';
import styles from './phrase.module.css';
import { Touch } from './Touch';

/** A value that can be chosen, with its words. */
export type ChoiceOf<T extends string> = readonly [value: T, words: string];

interface Base {
  /** What the phrase says, for those who do not see the sentence around it. */
  readonly label: string;
}

interface RestProps extends Base {
  readonly shown: string;
  /** Nothing is said yet: what stands there is an invitation. */
  readonly empty: boolean;
  readonly onTouch: (at: HTMLElement) => void;
  readonly opensMenu?: boolean;
}

/** A phrase at rest: underlined words that are changed where they stand. */
const Rest = ({ label, shown, empty, ...touch }: RestProps) => (
  <Touch kind={empty ? 'empty' : 'phrase'} label={t('phraseIs', { label, is: shown })} {...touch}>
    {shown}
  </Touch>
);

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

interface ChoiceProps<T extends string> extends Base {
  readonly value: T | undefined;
  readonly choices: readonly ChoiceOf<T>[];
  readonly onChange: (value: T | undefined) => void;
  /** What stands where nothing is chosen, and how it is taken back. */
  readonly none?: string | undefined;
}

/** One of several. */
export function ChoicePhrase<T extends string>({ label, value, choices, onChange, none }: ChoiceProps<T>) {
  const [at, setAt] = useState<HTMLElement>();
  const close = () => setAt(undefined);
  const shown = choices.find(([code]) => code === value)?.[1] ?? none ?? value ?? '';
  const choose = (next: T | undefined) => {
    close();
    if (next !== value) onChange(next);
  };
  return (
    <>
      <Rest label={label} shown={shown} empty={value === undefined} onTouch={setAt} opensMenu />
      {at && (
        <Menu open anchorEl={at} onClose={close} slotProps={{ list: { 'aria-label': label } }}>
          {none !== undefined && (
            <MenuItem selected={value === undefined} onClick={() => choose(undefined)}>
              {none}
            </MenuItem>
          )}
          {choices.map(([code, words]) => (
            <MenuItem key={code} selected={code === value} onClick={() => choose(code)}>
              {words}
            </MenuItem>
          ))}
        </Menu>
      )}
    </>
  );
}

interface SeveralProps<T extends string> extends Base {
  readonly value: readonly T[];
  readonly choices: readonly ChoiceOf<T>[];
  readonly onChange: (value: readonly T[]) => void;
  readonly none: string;
  /** In the order in which they are touched; else in that of the choices. */
  readonly asTouched?: boolean;
}

/** Some of several: touched one after the other, until the list is left. */
export function SeveralPhrase<T extends string>(props: SeveralProps<T>) {
  const { label, value, choices, none, asTouched = false, onChange } = props;
  const [at, setAt] = useState<HTMLElement>();
  /** An order is whole only once the list is left. */
  const [order, setOrder] = useState<readonly T[]>();
  const wordsOf = (code: T) => choices.find(([one]) => one === code)?.[1] ?? code;
  const shown = value.length > 0 ? joinWords(value.map(wordsOf)) : none;
  return (
    <>
      <Rest label={label} shown={shown} empty={value.length === 0} onTouch={setAt} opensMenu />
      {at && (
        <CheckMenu
          {...props}
          value={order ?? value}
          onChange={asTouched ? setOrder : onChange}
          at={at}
          onClose={() => {
            setAt(undefined);
            setOrder(undefined);
            if (order) onChange(order);
          }}
        />
      )}
    </>
  );
}

type CheckProps<T extends string> = Omit<SeveralProps<T>, 'none'> & {
  readonly at: HTMLElement;
  readonly onClose: () => void;
  /** All of them can be touched at once. */
  readonly all?: boolean;
};

/** A list of which some are checked; it stays until it is left. */
export function CheckMenu<T extends string>({
  label,
  value,
  choices,
  onChange,
  asTouched = false,
  at,
  onClose,
  all = false,
}: CheckProps<T>) {
  const every = value.length === choices.length;
  const toggle = (code: T) => {
    if (value.includes(code)) return onChange(value.filter((one) => one !== code));
    onChange(
      asTouched ? [...value, code] : choices.map(([one]) => one).filter((one) => one === code || value.includes(one)),
    );
  };
  return (
    <Menu open anchorEl={at} onClose={onClose} slotProps={{ list: { 'aria-label': label } }}>
      {all && choices.length > 3 && (
        <MenuItem onClick={() => onChange(every ? [] : choices.map(([code]) => code))}>
          {t(every ? 'noneOfThem' : 'allOfThem')}
        </MenuItem>
      )}
      {choices.map(([code, words]) => (
        <MenuItem key={code} role="menuitemcheckbox" aria-checked={value.includes(code)} onClick={() => toggle(code)}>
          <Checkbox
            size="small"
            edge="start"
            checked={value.includes(code)}
            disableRipple
            tabIndex={-1}
            slotProps={{ input: { 'aria-hidden': true } }}
          />
          <ListItemText primary={words} />
        </MenuItem>
      ))}
    </Menu>
  );
}

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
