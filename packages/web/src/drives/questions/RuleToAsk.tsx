import Button from '@mui/material/Button';
import { t } from '@jasperwren/words/ask';
import type { Asked } from '@jasperwren/core/marking/asked';
import { useState } from 'react';
import { AskQuestion } from './AskQuestion';
import type { AskProps } from './ask-props';

/** Which of the rules is asked now, the first that is left unless another was chosen, and what the last answer came to. */
export function useAsking(all: readonly Asked[]) {
  const [chosen, choose] = useState<string>();
  const [said, setSaid] = useState('');
  const left = all.filter((one) => one.left > 0);
  return { open: left.find(({ rule }) => rule.item === chosen) ?? left[0], choose, said, setSaid };
}

type Asking = ReturnType<typeof useAsking>;

/** What the last answer by key points came to: the next question has taken its place. */
export const Said = ({ asking: { said } }: { readonly asking: Asking }) =>
  said === '' ? null : (
    <p role="status">
      <b>{said}</b>
    </p>
  );

/** The next question of a rule where it is the one that is asked now, or the way to it. */
export function RuleToAsk({ asking, asked, onAnswer, ...of }: AskProps & { readonly asking: Asking }) {
  const { open, choose, setSaid } = asking;
  if (asked !== open)
    return asked.left > 0 ? (
      <Button
        variant="outlined"
        aria-label={t('askRule', { rule: asked.rule.name })}
        onClick={() => choose(asked.rule.item)}
      >
        {t('askNow')}
      </Button>
    ) : null;
  return (
    <AskQuestion
      {...of}
      asked={asked}
      onAnswer={(right, question, said = '') => {
        setSaid(said);
        onAnswer(right, question);
      }}
    />
  );
}
