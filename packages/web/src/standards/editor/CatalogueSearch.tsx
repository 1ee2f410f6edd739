import { behaviourCategories, behaviours } from '@jasperwren/core/catalogue/catalogue';
import { t } from '@jasperwren/words/editor';
import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Touch } from './Touch';

const areaNames = new Map(behaviourCategories.map(({ code, name }) => [code, name]));

interface Props {
  readonly label: string;
  /** What is seen of it where it stands in a sentence. */
  readonly short?: string;
  /** Behaviours that are there already. */
  readonly taken: readonly string[];
  readonly onAdd: (behaviour: string) => void;
}

/** Takes behaviours of the shared catalogue in, one after the other, so that drives under different standards go on to compare. */
export function CatalogueSearch({ label, short, taken, onAdd }: Props) {
  const [open, setOpen] = useState(false);
  const [typed, setTyped] = useState('');
  if (!open)
    return (
      <Touch kind="add" label={label} onTouch={() => setOpen(true)}>
        {short ?? label}
      </Touch>
    );
  return (
    <Autocomplete
      size="small"
      options={behaviours.filter(({ code }) => !taken.includes(code))}
      getOptionLabel={({ name, category, explanation }) =>
        t('behaviour', { name, area: areaNames.get(category) ?? '', explanation })
      }
      getOptionKey={({ code }) => code}
      value={null}
      inputValue={typed}
      onInputChange={(_, text, reason) => setTyped(reason === 'input' ? text : '')}
      openOnFocus
      autoHighlight
      disableCloseOnSelect
      onBlur={() => setOpen(false)}
      onKeyDown={(event) => {
        if (event.key === 'Escape') setOpen(false);
      }}
      onChange={(_, behaviour) => {
        if (behaviour) onAdd(behaviour.code);
      }}
      renderInput={(params) => <TextField {...params} label={label} autoFocus />}
      sx={{ maxWidth: '36rem' }}
    />
  );
}
