import { judgeTrial, type TrialAttempt } from '@jasperwren/core/marking/edit/trial';
import { effective } from '@jasperwren/core/marking/options';
import { strangeEntries, type SheetEntry } from '@jasperwren/core/marking/sheet';
import type { Standard } from '@jasperwren/core/marking/standard';
import { t } from '@jasperwren/words/editor';
import { t as say } from '@jasperwren/words/editor-sentences';
import { verdictSentence } from '@jasperwren/words/marking/verdict';
import { useMemo, useState } from 'react';
import { Entries } from '../../sheets/public';
import { AddMany } from './AddMany';
import { choicesOf } from './choices';
import styles from './editor.module.css';
import { ChoicePhrase } from './Chosen';
import { NumberPhrase, RemovePhrase } from './Phrase';
import { Sentence } from './Sentence';

interface TrialProps {
  readonly draft: Standard;
  /** Nothing in it contradicts itself. */
  readonly sound: boolean;
}

/** A made-up test under the draft as it stands: the result follows every change of either. */
export default function Trial({ draft, sound }: TrialProps) {
  const [entries, setEntries] = useState<readonly SheetEntry[]>([]);
  const [attempts, setAttempts] = useState<readonly TrialAttempt[]>([]);
  const standard = useMemo(() => effective(draft), [draft]);
  if (!sound) return <p className="muted">{t('fixTheProblemsToTry')}</p>;
  const strange = new Set(strangeEntries(standard, entries));
  const known = entries.filter((entry) => !strange.has(entry));
  const driven = attempts.filter(({ exercise }) => standard.exercises.some(({ code }) => code === exercise));
  const verdict = judgeTrial(standard, { attempts: driven, entries: known });
  return (
    <>
      <p role="status" className={styles.result}>
        <strong>{verdictSentence(standard, verdict)}</strong>{' '}
        {strange.size > 0 && t('entriesGone', { count: strange.size })}
      </p>
      <ul className={styles.lines} aria-label={t('attempts')}>
        {driven.map((attempt, i) => (
          <li key={i}>
            <AttemptSentence
              attempt={attempt}
              name={choicesOf('exercises', standard).find(([code]) => code === attempt.exercise)![1]}
              onChange={(next) => setAttempts(next ? driven.with(i, next) : driven.toSpliced(i, 1))}
            />
          </li>
        ))}
      </ul>
      <AddMany
        label={t('addAttempts')}
        choices={choicesOf('exercises', standard)}
        onAdd={(codes) =>
          setAttempts([...driven, ...codes.map((exercise) => ({ exercise, seconds: 30, movements: 1, failed: false }))])
        }
      />
      <Entries standard={standard} entries={known} onChange={setEntries} />
    </>
  );
}

interface AttemptProps {
  readonly attempt: TrialAttempt;
  readonly name: string;
  /** Nothing takes it out. */
  readonly onChange: (attempt: TrialAttempt | undefined) => void;
}

function AttemptSentence({ attempt, name, onChange }: AttemptProps) {
  const label = (what: string) => t('ofNamed', { what, name });
  return (
    <>
      <Sentence
        say={(holes) => say('attempt', { ...holes, exercise: name })}
        of={{
          went: (
            <ChoicePhrase
              label={label(t('howItWent'))}
              value={attempt.failed ? 'failed' : 'clean'}
              choices={(['clean', 'failed'] as const).map((one) => [one, say(`went-${one}`)] as const)}
              onChange={(went) => onChange({ ...attempt, failed: went === 'failed' })}
            />
          ),
          movements: (
            <NumberPhrase
              label={label(t('movements'))}
              value={attempt.movements}
              words={(count) => say('moved', { count })}
              onChange={(movements) => onChange({ ...attempt, movements: Math.round(movements ?? 0) })}
            />
          ),
          seconds: (
            <NumberPhrase
              label={label(t('clock'))}
              value={attempt.seconds}
              words={(n) => say('inSeconds', { n })}
              onChange={(seconds) => onChange({ ...attempt, seconds: seconds ?? 0 })}
            />
          ),
        }}
      />{' '}
      <RemovePhrase name={name} onRemove={() => onChange(undefined)} />
    </>
  );
}
