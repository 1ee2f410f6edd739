import { t } from '@jasperwren/words/editor';
import { joinWords } from '@jasperwren/words/lists';
import Checkbox from '@mui/material/Checkbox';
import ListItemText from '@mui/material/ListItemText';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { Rest, type Base } from './Rest';

/** A value that can be chosen, with its words. */
export type ChoiceOf<T extends string> = readonly [value: T, words: string];

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
