import type { Field, Unit } from '@jasperwren/core/marking/edit/fields';
import type { Sourced } from '@jasperwren/core/marking/provenance';
import type { Standard } from '@jasperwren/core/marking/standard';
import { withField } from '@jasperwren/core/marking/edit/change';
import { t as say } from '@jasperwren/words/editor-sentences';
import type { ReactNode } from 'react';
import { choicesOf } from './choices';
import { ChoicePhrase, SeveralPhrase } from './Chosen';
import { LetterPhrase, SourcedPhrase, TextPhrase } from './Phrase';
import { WordsPhrase } from './WordsPhrase';

const unitWords: Readonly<Record<Unit, (n: number) => string>> = {
  min: (n) => say('min', { n }),
  s: (n) => say('inSeconds', { n }),
  m: (n) => say('metres', { n }),
  points: (count) => say('pointsOf', { count }),
  questions: (n) => say('questions', { n }),
  tries: (count) => say('tries', { count }),
  faults: (n) => say('questions', { n }),
};

interface Props<T, F extends keyof T> {
  readonly field: F;
  readonly is: Field;
  readonly entry: T;
  readonly standard: Standard;
  /** What the phrase says, for those who do not see the sentence around it. */
  readonly label: string;
  /** What stands where nothing is said. */
  readonly none?: string;
  /** How a number reads in this sentence. */
  readonly words?: (n: number) => string;
  readonly onChange: (by: (entry: T) => T) => void;
}

/** A field of an entry, where it stands in a sentence: what it is says how it is written. */
export function FieldPhrase<T, F extends keyof T>({
  field,
  is,
  entry,
  standard,
  label,
  none,
  words,
  onChange,
}: Props<T, F>): ReactNode {
  const set = (value: unknown) => onChange(withField<T, F>(field, value as T[F] | undefined));
  const value: unknown = entry[field];
  const absent = is.optional ? (none ?? say('nothingYet')) : undefined;
  switch (is.kind) {
    case 'text':
    case 'long':
      return (
        <TextPhrase
          label={label}
          value={(value as string | undefined) ?? ''}
          onChange={set}
          long={is.kind === 'long'}
          none={absent}
        />
      );
    case 'letter':
      return <LetterPhrase label={label} value={value as string} onChange={set} />;
    case 'number':
      return (
        <SourcedPhrase
          label={label}
          value={value as Sourced | undefined}
          words={words ?? unitWords[is.unit]}
          onChange={set}
          none={absent}
        />
      );
    case 'one':
      return (
        <ChoicePhrase
          label={label}
          value={value as string | undefined}
          choices={choicesOf(is.of, standard)}
          onChange={set}
          none={absent}
        />
      );
    case 'some':
      return (
        <SeveralPhrase
          label={label}
          value={(value as readonly string[] | undefined) ?? []}
          choices={choicesOf(is.of, standard)}
          onChange={set}
          none={none ?? say('nothingYet')}
        />
      );
    case 'words':
      return (
        <WordsPhrase label={label} value={(value as readonly string[] | undefined) ?? []} onChange={set} none={none} />
      );
    case 'own':
      return null;
  }
}
