import { helpName, t } from '@jasperwren/words/help-given';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { standingMarks, type Drive, type Help, type HelpKind } from '@jasperwren/core/drive/drive';
import type { EventBody } from '@jasperwren/core/drive/event';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { itemName } from '@jasperwren/words/marking/names';
import { useState } from 'react';
import { clockTime } from '../ui/format';
import { useUnsaved } from './desk/panels/keypad-keys';
import styles from './help-why.module.css';

interface Props {
  readonly help: Help & { readonly kind: HelpKind };
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  readonly write: (body: EventBody) => unknown;
}

/** So many faults are offered, the nearest in time. */
const mostOffered = 8;
const [notSaid, inWords] = ['', ' in words'];

/** What made a prompt or taking control necessary: one of the faults near it, or a reason in words. */
export function HelpWhy({ help, standard, drive, write }: Props) {
  const { id, kind, atMs, mark, reason } = help;
  const [writing, setWriting] = useState(false);
  const [own, setOwn] = useState(reason ?? '');
  const taken = useUnsaved(own === (reason ?? '') ? '' : own);
  const near = [...standingMarks(drive)].sort((a, b) => Math.abs(a.atMs - atMs) - Math.abs(b.atMs - atMs));
  const offered = near.filter((one, i) => i < mostOffered || one.id === mark).sort((a, b) => a.atMs - b.atMs);
  const time = clockTime(atMs);
  return (
    <div className={styles.why}>
      <TextField
        select
        size="small"
        label={t('why')}
        value={writing || (reason && !mark) ? inWords : (mark ?? notSaid)}
        onChange={({ target: { value } }) => {
          setWriting(value === inWords);
          if (value !== inWords) write({ type: 'help-for', target: id, ...(value !== notSaid && { mark: value }) });
        }}
        slotProps={{
          inputLabel: { shrink: true },
          select: { displayEmpty: true, 'aria-label': t('whyHelpAtTime', { help: helpName(kind), time }) },
        }}
        fullWidth
      >
        <MenuItem value={notSaid}>{t('notSaid')}</MenuItem>
        {offered.map((one) => (
          <MenuItem key={one.id} value={one.id}>
            {t('faultAtTime', { fault: itemName(standard, one.item), time: clockTime(one.atMs) })}
          </MenuItem>
        ))}
        <MenuItem value={inWords}>{t('otherReason')}</MenuItem>
      </TextField>
      {(writing || (reason && !mark)) && (
        <form
          className={styles.own}
          onSubmit={(event) => {
            event.preventDefault();
            if (!own.trim()) return;
            taken();
            write({ type: 'help-for', target: id, reason: own.trim() });
            setWriting(false);
          }}
        >
          <TextField
            label={t('otherReason')}
            size="small"
            value={own}
            onChange={(event) => setOwn(event.target.value)}
            helperText={t('learnerSees')}
            slotProps={{ htmlInput: { maxLength: 2000 } }}
            autoFocus={writing}
            fullWidth
          />
          <Button type="submit" variant="outlined" disabled={!own.trim() || own.trim() === reason}>
            {t('save')}
          </Button>
        </form>
      )}
    </div>
  );
}
