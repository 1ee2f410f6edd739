import { t as say } from '@jasperwren/words/editor-sentences';
import { TextPhrase } from './Phrase';

interface Props {
  readonly label: string;
  readonly value: readonly string[];
  readonly onChange: (value: readonly string[]) => void;
  readonly none?: string | undefined;
}

/** Short texts in their order, written one after the other with commas between them; semicolons where one holds a comma. */
export function WordsPhrase({ label, value, onChange, none = say('noSteps') }: Props) {
  const between = value.some((word) => word.includes(',')) ? ';' : ',';
  return (
    <TextPhrase
      label={label}
      value={value.join(`${between} `)}
      onChange={(text) =>
        onChange(
          text
            .split(text.includes(';') ? ';' : between)
            .map((word) => word.trim())
            .filter((word) => word !== ''),
        )
      }
      none={none}
    />
  );
}
