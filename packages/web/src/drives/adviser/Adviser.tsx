import { proposalSentence } from '@jasperwren/words/marking/proposal';
import { t } from '@jasperwren/words/adviser';
import { t as questions } from '@jasperwren/words/adviser-questions';
import Button from '@mui/material/Button';
import { propose, type Answers } from '@jasperwren/core/adviser/advise';
import { questionsFor } from '@jasperwren/core/adviser/questions';
import type { Mark } from '@jasperwren/core/drive/drive';
import type { EventBody } from '@jasperwren/core/drive/event';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { itemName } from '@jasperwren/words/marking/names';
import { GradeSign } from '../../ui/GradeSign';
import styles from './adviser.module.css';

interface Props {
  readonly standard: EffectiveStandard;
  readonly mark: Mark;
  /** How often the item was marked on this drive, this mark included. */
  readonly times: number;
  readonly onAnswers: (body: EventBody) => unknown;
  readonly onRegrade: (grade: string) => unknown;
}

/** How serious was it? A tap for each circumstance; a proposal with its reason; the grade changes only by a person. */
export function Adviser({ standard, mark, times, onAnswers, onRegrade }: Props) {
  const item = rulesOf(standard).items.get(mark.item)?.item;
  if (!item) return null;
  const answers: Answers = mark.advice?.answers ?? { times: times > 3 ? 'often' : times > 1 ? 'again' : 'once' };
  const proposal = propose(standard, mark.item, answers);
  const answer = (question: string, code: string) => {
    const next = { ...answers, [question]: code };
    if (answers[question] === code && mark.advice) delete (next as Record<string, string>)[question];
    const proposed = propose(standard, mark.item, next).grade?.code ?? 'none';
    onAnswers({ type: 'advice', target: mark.id, answers: next, proposed });
  };
  return (
    <section className={styles.adviser} aria-label={t('suggestGradeFault', { fault: itemName(standard, mark.item) })}>
      <div className={styles.proposal}>
        {mark.advice && proposal.grade && <GradeSign sign={proposal.grade.sign} size={24} />}
        <p role="status">{mark.advice ? proposalSentence(proposal) : t('answerWhatYouCanToGet')}</p>
        {mark.advice && proposal.grade && proposal.grade.code !== mark.grade && (
          <Button variant="outlined" onClick={() => onRegrade(proposal.grade!.code)}>
            {t('changeToGrade', { grade: proposal.grade.name })}
          </Button>
        )}
      </div>
      <div className={styles.questions}>
        {questionsFor(item.behaviour).map((question) => (
          <fieldset key={question.code}>
            <legend>{questions(question.code)}</legend>
            {question.answers.map(({ code, key }) => (
              <button
                key={code}
                type="button"
                aria-pressed={answers[question.code] === code}
                onClick={() => answer(question.code, code)}
              >
                {questions(key)}
              </button>
            ))}
          </fieldset>
        ))}
      </div>
      <p className="muted">{t('aSuggestionFromYourAnswersYou')}</p>
    </section>
  );
}
