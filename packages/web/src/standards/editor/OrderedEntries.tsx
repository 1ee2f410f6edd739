import { moved, type Change } from '@jasperwren/core/marking/edit/change';
import { t } from '@jasperwren/words/editor';
import type { ReactNode } from 'react';
import { Sortable, SortableRow } from '../../ui/Sortable';
import styles from './editor.module.css';
import { Noted } from './Problems';

interface Props<T> {
  readonly list: 'grades' | 'categories' | 'exercises' | 'briefing';
  readonly entries: readonly T[];
  readonly change: (change: Change) => void;
  /** The sentence of an entry. */
  readonly children: (entry: T) => ReactNode;
}

/** The entries of a list whose order means something: a sentence each, put in order by its grip, with what is wrong with it. */
export function OrderedEntries<T extends { readonly code: string; readonly name: string }>({
  list,
  entries,
  change,
  children,
}: Props<T>) {
  return (
    <Sortable
      rows={entries.map(({ code, name }) => ({ key: code, name }))}
      onMove={(code, to) => change(moved(list, code, to))}
    >
      <ol className={styles.entries}>
        {entries.map((entry, i) => (
          <SortableRow
            key={entry.code}
            id={entry.code}
            className={styles.entry}
            grip={t('moveName', { name: entry.name })}
          >
            {(grip) => (
              <>
                {grip}
                <Noted at={`/${list}/${i}`}>{children(entry)}</Noted>
              </>
            )}
          </SortableRow>
        ))}
      </ol>
    </Sortable>
  );
}
