import { t } from '@jasperwren/words/common';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Radio from '@mui/material/Radio';
import { useState } from 'react';
import { apiError } from '../base/client';
import styles from './conflict.module.css';

/** One field that two people have changed differently. */
export interface Clash<F extends string> {
  readonly field: F;
  readonly label: string;
  /** In words, as the page shows them. */
  readonly mine: string;
  readonly theirs: string;
  /** I left it as it was when I began: theirs is the only change. */
  readonly untouched: boolean;
}

/** A text or a number as it stands; anything else needs words of its own. */
export const plainWords = (value: unknown): string =>
  typeof value === 'string' || typeof value === 'number' ? String(value) : '';

/** The fields in which what was typed differs from what stands now, in words; `begun` is what both began from. */
export function clashesOf<F extends string, T extends Partial<Record<F, unknown>>>(
  labels: Readonly<Record<F, string>>,
  begun: T,
  mine: T,
  theirs: T,
  words: (field: F, value: unknown) => string = (_, value) => plainWords(value),
): readonly Clash<F>[] {
  return (Object.entries(labels) as [F, string][]).flatMap(([field, label]) => {
    const both = { mine: words(field, mine[field]), theirs: words(field, theirs[field]) };
    const untouched = words(field, begun[field]) === both.mine;
    return both.mine === both.theirs ? [] : [{ field, label, ...both, untouched }];
  });
}

/** What was typed, with the other’s words in the fields for which they were chosen. */
export function mergedOf<F extends string, T extends object>(
  labels: Readonly<Record<F, string>>,
  mine: T,
  theirs: Partial<T>,
  chosen: ReadonlySet<F>,
): T {
  const fields = (Object.keys(labels) as F[]).filter((field) => chosen.has(field));
  return { ...mine, ...Object.fromEntries(fields.map((field) => [field, theirs[field as unknown as keyof T]])) };
}

/** What stands now, where the server has refused to write over it; undefined for any other answer. */
export function staleOf<T>(error: unknown): T | undefined {
  const failure = apiError(error);
  return failure?.code === 'stale' ? (failure.current as T) : undefined;
}

interface Props<F extends string> {
  readonly what: string;
  readonly clashes: readonly Clash<F>[];
  /** Saves anew, with the fields for which the other's words were chosen. */
  readonly onMerge: (theirs: ReadonlySet<F>) => void;
  readonly onClose: () => void;
}

/** Somebody else has saved meanwhile: shows both, field by field, and lets one choose. Nothing is lost. */
export function Conflict<F extends string>({ what, clashes, onMerge, onClose }: Props<F>) {
  // What only they have changed stands, unless one says otherwise.
  const [theirs, setTheirs] = useState<ReadonlySet<F>>(
    () => new Set(clashes.flatMap(({ field, untouched }) => (untouched ? [field] : []))),
  );
  const choose = (field: F, their: boolean) => {
    const next = new Set(theirs);
    if (their) next.add(field);
    else next.delete(field);
    setTheirs(next);
  };
  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="conflict">
      <DialogTitle id="conflict">{t('whatWasChangedBySomeoneElse', { what })}</DialogTitle>
      <DialogContent>
        {clashes.length === 0 ? (
          <p>{t('theyMadeTheSameChangeSave')}</p>
        ) : (
          <>
            <p>{t('nothingIsSavedYetChooseWhich')}</p>
            <table className={styles.table}>
              <thead>
                <tr>
                  <th scope="col">{t('field')}</th>
                  <th scope="col">{t('yours')}</th>
                  <th scope="col">{t('theirs')}</th>
                </tr>
              </thead>
              <tbody>
                {clashes.map(({ field, label, mine, theirs: other }) => (
                  <tr key={field}>
                    <th scope="row">{label}</th>
                    {[mine, other].map((words, i) => (
                      <td key={i}>
                        <label className={styles.choice}>
                          <Radio
                            size="small"
                            name={field}
                            checked={theirs.has(field) === (i === 1)}
                            onChange={() => choose(field, i === 1)}
                            slotProps={{
                              input: {
                                'aria-label': t('labelWhose', { label, whose: i === 1 ? t('theirs2') : t('yours2') }),
                              },
                            }}
                          />
                          <span>{words || t('nothing')}</span>
                        </label>
                      </td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          </>
        )}
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {t('keepEditing')}
        </Button>
        <Button variant="contained" onClick={() => onMerge(theirs)}>
          {t('save')}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
