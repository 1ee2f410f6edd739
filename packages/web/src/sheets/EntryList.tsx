import { t } from '@jasperwren/words/test-results';
import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { SheetEntry } from '@jasperwren/core/marking/sheet';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { itemName } from '@jasperwren/words/marking/names';
import { useRef, useState } from 'react';
import { GradeSign } from '../ui/GradeSign';
import { Rows } from '../ui/Page';
import { counting, digitAfter, readCode, standingFor, type Typed } from './entries';
import styles from './sheets.module.css';

interface Props {
  readonly standard: EffectiveStandard;
  readonly entries: readonly SheetEntry[];
  readonly onChange: (entries: readonly SheetEntry[]) => void;
}

/** The counts of a sheet: a code of three characters adds one, buttons correct. */
export function Entries({ standard, entries, onChange }: Props) {
  const [code, setCode] = useState('');
  const [last, setLast] = useState('');
  /** The entry whose other faults are named, by item and grade. */
  const [more, setMore] = useState<string>();
  /** The code that was taken without its digit, while the digit may still come. */
  const [taken, setTaken] = useState('');
  const field = useRef<HTMLInputElement>(null);
  const typed = readCode(standard, code);
  const { items, grades } = rulesOf(standard);
  const type = (text: string) => {
    const next = text.replace(/\s/g, '').slice(0, 3);
    setTaken('');
    if (taken && /^\d$/.test(next)) {
      const digit = digitAfter(standard, taken, next);
      if (digit === 'taken') return;
      const { item, grade } = readCode(standard, taken);
      onChange(counting(entries, item!.code, grade!, -1));
      setLast('');
      setCode(taken + next);
      return;
    }
    const read = readCode(standard, next);
    setCode(next);
    if (!read.item || read.grade === undefined) return;
    if (next.length === 2) setTaken(next);
    onChange(counting(entries, read.item.code, read.grade, 1));
    setLast(
      t('addedFaultGet', { fault: itemName(standard, read.item.code), get: String(grades.get(read.grade)?.name) }),
    );
    setCode('');
  };
  const order = [...items.keys()];
  const sorted = [...entries].sort((a, b) => order.indexOf(a.item) - order.indexOf(b.item));
  return (
    <section className={styles.entries} aria-label={t('faults')}>
      <h2>{t('faults')}</h2>
      <TextField
        label={t('areaFaultAndGrade')}
        value={code}
        onChange={(event) => type(event.target.value)}
        inputRef={field}
        error={typed.problem !== undefined}
        helperText={typed.problem ?? hint(standard, typed)}
        autoComplete="off"
        slotProps={{ htmlInput: { autoCapitalize: 'characters', spellCheck: false } }}
        onKeyDown={(event) => {
          if (event.key === 'Enter') event.preventDefault();
        }}
        fullWidth
      />
      <p role="status" className="muted">
        {last}
      </p>
      {sorted.length > 0 && (
        <Rows>
          {sorted.map((entry) => {
            const { item, grade, count, also = [] } = entry;
            const name = itemName(standard, item);
            const word = grades.get(grade)?.name ?? grade;
            return (
              <li key={`${item} ${grade}`} className={styles.entry} aria-label={`${name}, ${word}: ${count}`}>
                <GradeSign sign={grades.get(grade)?.sign ?? 'noted'} size={22} />
                <span>
                  {name} <span className="muted">{word}</span>
                  {also.length > 0 && (
                    <small>
                      {t('standsForAlso', { faults: also.map((code) => itemName(standard, code)).join('; ') })}
                    </small>
                  )}
                </span>
                <Button
                  variant="text"
                  aria-label={t('oneWordFewerName', { word, name })}
                  onClick={() => onChange(counting(entries, item, grade, -1))}
                >
                  −
                </Button>
                <b>{count}</b>
                <Button
                  variant="text"
                  aria-label={t('oneWordMoreName', { word, name })}
                  onClick={() => onChange(counting(entries, item, grade, 1))}
                >
                  +
                </Button>
                <Button
                  variant="text"
                  aria-expanded={more === item + grade}
                  aria-label={t('nameStandsForMore', { name })}
                  onClick={() => setMore(more === item + grade ? undefined : item + grade)}
                >
                  {t('also')}
                </Button>
                {more === item + grade && (
                  <Autocomplete
                    multiple
                    size="small"
                    className={styles.also}
                    options={order.filter((code) => code !== item)}
                    getOptionLabel={(code) => itemName(standard, code)}
                    value={[...also]}
                    onChange={(_, next) => onChange(standingFor(entries, entry, next))}
                    renderInput={(params) => (
                      <TextField {...params} label={t('nameStandsForMore', { name })} autoFocus />
                    )}
                  />
                )}
              </li>
            );
          })}
        </Rows>
      )}
    </section>
  );
}

/** What can be typed next. */
function hint(standard: EffectiveStandard, { category, item }: Typed): string {
  const list = (entries: readonly { readonly letter: string; readonly name: string }[]) =>
    entries.map(({ letter, name }) => `${letter} ${name.toLowerCase()}`).join(', ');
  if (!category) return list(standard.categories);
  if (!item) return `${category.name}: ${list(category.items)}`;
  return `${item.name}: ${standard.grades
    .map(({ code, name }, i) => [code, `${i + 1} ${name}`] as const)
    .filter(([code]) => item.grades?.includes(code) ?? true)
    .map(([, words]) => words)
    .join(', ')}`;
}
