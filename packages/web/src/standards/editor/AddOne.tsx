import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import type { ChoiceOf } from './Chosen';
import { Touch } from './Touch';

interface Props<T extends string> {
  readonly label: string;
  readonly choices: readonly ChoiceOf<T>[];
  readonly onAdd: (chosen: T) => void;
}

/** Adds one of a few kinds. */
export function AddOne<T extends string>({ label, choices, onAdd }: Props<T>) {
  const [at, setAt] = useState<HTMLElement>();
  return (
    <>
      <Touch kind="add" opensMenu onTouch={setAt}>
        {label}
      </Touch>
      {at && (
        <Menu open anchorEl={at} onClose={() => setAt(undefined)} slotProps={{ list: { 'aria-label': label } }}>
          {choices.map(([code, words]) => (
            <MenuItem
              key={code}
              onClick={() => {
                setAt(undefined);
                onAdd(code);
              }}
            >
              {words}
            </MenuItem>
          ))}
        </Menu>
      )}
    </>
  );
}
