import { useState } from 'react';
import { CheckMenu, type ChoiceOf } from './Chosen';
import { Touch } from './Touch';

interface Props {
  readonly label: string;
  readonly choices: readonly ChoiceOf<string>[];
  readonly onAdd: (chosen: readonly string[]) => void;
}

/** Adds some of a list: each is touched, and all of them come once the list is left. */
export function AddMany({ label, choices, onAdd }: Props) {
  const [at, setAt] = useState<HTMLElement>();
  const [chosen, setChosen] = useState<readonly string[]>([]);
  if (choices.length === 0) return null;
  return (
    <>
      <Touch kind="add" opensMenu onTouch={setAt}>
        {label}
      </Touch>
      {at && (
        <CheckMenu
          label={label}
          value={chosen}
          choices={choices}
          onChange={setChosen}
          asTouched
          all
          at={at}
          onClose={() => {
            setAt(undefined);
            setChosen([]);
            if (chosen.length > 0) onAdd(chosen);
          }}
        />
      )}
    </>
  );
}
