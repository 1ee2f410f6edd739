import { t } from '@jasperwren/words/questions';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { ratingOf } from '@jasperwren/core/safety-questions/memory';
import { inAskingOrder, questionsFor } from '@jasperwren/core/safety-questions/oral';
import { useState } from 'react';
import { Empty } from '../../ui/states';
import type { DrillSource } from '../drill/source';
import { OralMarking } from './OralMarking';
import styles from './oral.module.css';

/** Asking a learner aloud between drives: drawn as the standard draws, or chosen. */
export function OralWith({ source }: { readonly source: DrillSource }) {
  const { standard, bank, vehicle, memory, reviews } = source;
  const [item, setItem] = useState(standard.questions[0]?.item ?? '');
  const [asked, setAsked] = useState<readonly string[]>([]);
  const rule = standard.questions.find((one) => one.item === item);
  if (!rule) return <Empty>{t('standardAsksNoQuestions', { standard: standard.name })}</Empty>;
  const candidates = questionsFor(bank, standard, rule);
  const question = bank.find(({ id }) => id === asked.at(-1));
  const ask = (id: string | undefined) => id !== undefined && setAsked([...asked, id]);
  return (
    <div className={styles.oral}>
      <div className={styles.actions}>
        {standard.questions.length > 1 && (
          <TextField
            select
            label={t('ask')}
            value={item}
            onChange={(event) => setItem(event.target.value)}
            sx={{ minWidth: 190, flex: 1 }}
          >
            {standard.questions.map((one) => (
              <MenuItem key={one.item} value={one.item}>
                {one.name}
              </MenuItem>
            ))}
          </TextField>
        )}
        <TextField
          select
          label={t('question')}
          value={question && candidates.includes(question) ? question.id : ''}
          onChange={(event) => ask(event.target.value)}
          sx={{ minWidth: 190, flex: 1 }}
        >
          {candidates.map(({ id, topic, ask: words }) => (
            <MenuItem key={id} value={id}>
              {topic === 'Signs' ? words : topic}
            </MenuItem>
          ))}
        </TextField>
        <Button
          variant="outlined"
          onClick={() => ask(inAskingOrder(candidates, memory, asked.slice(-1), new Date(), Date.now())[0]?.id)}
        >
          {t('pickAQuestion')}
        </Button>
      </div>
      {question && (
        <OralMarking
          key={asked.length}
          question={question}
          vehicle={vehicle}
          allowed={rule.tries.value}
          onTry={({ right, last, heard }) => {
            if (!last) return;
            reviews.add({
              question: question.id,
              mode: 'oral',
              rating: right ? ratingOf(question, heard) : 'again',
              missed: question.points.map(({ code }) => code).filter((code) => !heard.includes(code)),
            });
          }}
        />
      )}
    </div>
  );
}
