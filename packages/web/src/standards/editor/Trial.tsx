import { t } from '@jasperwren/words/editor';
import { verdictSentence } from '@jasperwren/words/marking/verdict';
import { lintStandard } from '@jasperwren/core/marking/lint/lint';
import { effective } from '@jasperwren/core/marking/options';
import { judgeCounts, strangeEntries, type SheetEntry } from '@jasperwren/core/marking/sheet';
import type { Standard } from '@jasperwren/core/marking/standard';
import { useMemo, useState } from 'react';
import { Entries } from '../../sheets/public';

/** Faults of a made-up test under the draft as it stands: the result follows every change of either. */
export function Trial({ draft }: { readonly draft: Standard }) {
  const [entries, setEntries] = useState<readonly SheetEntry[]>([]);
  const standard = useMemo(() => effective(draft), [draft]);
  const sound = useMemo(() => lintStandard(draft).length === 0, [draft]);
  if (!sound) return <p className="muted">{t('fixTheProblemsToTry')}</p>;
  const strange = new Set(strangeEntries(standard, entries));
  const known = entries.filter((entry) => !strange.has(entry));
  const verdict = judgeCounts(standard, known);
  return (
    <>
      <p role="status">
        <strong>{verdictSentence(standard, verdict)}</strong>{' '}
        {strange.size > 0 && t('entriesGone', { count: strange.size })}
      </p>
      <Entries standard={standard} entries={known} onChange={setEntries} />
    </>
  );
}
