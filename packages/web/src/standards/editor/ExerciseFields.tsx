import { t } from '@jasperwren/words/editor';
import Button from '@mui/material/Button';
import { Rows } from '../../ui/Page';
import { inList, withNewExercise, withoutExercise, type EditProps } from './change';
import styles from './editor.module.css';
import { NumberEdit, TextEdit } from './fields';

const questionNumbers = ['perTest', 'tries'] as const;

/** The words of the exercises, and how many questions are asked. Clocks and attempts are limits. */
export function ExerciseFields({ standard, change }: EditProps) {
  return (
    <>
      <Rows>
        {standard.exercises.map(({ code, name, task = '', clockStarts }) => (
          <li key={code} className={styles.fields}>
            <TextEdit
              label={t('exercise')}
              value={name}
              onChange={(value) => change(inList('exercises', code, { name: value }))}
              width="16rem"
            />
            <div className={styles.wide}>
              <TextEdit
                label={t('task')}
                value={task}
                onChange={(value) => change(inList('exercises', code, { task: value }))}
                multiline
              />
            </div>
            {clockStarts !== undefined && (
              <TextEdit
                label={t('timedFrom')}
                value={clockStarts}
                onChange={(value) => change(inList('exercises', code, { clockStarts: value }))}
                width="14rem"
              />
            )}
            <Button variant="text" aria-label={t('removeName', { name })} onClick={() => change(withoutExercise(code))}>
              {t('remove')}
            </Button>
          </li>
        ))}
        {standard.questions.map((question, i) => (
          <li key={`${question.item} ${i}`} className={styles.fields}>
            <span className={styles.wide}>{question.name}</span>
            {questionNumbers.map((field) => (
              <NumberEdit
                key={field}
                label={field === 'perTest' ? t('inATest') : t('each')}
                unit={field === 'perTest' ? t('questionsUnit') : t('triesUnit')}
                value={question[field]}
                onChange={(value) =>
                  change((is) => ({
                    ...is,
                    questions: is.questions.map((q, at) => (at === i ? { ...q, [field]: value } : q)),
                  }))
                }
                width="10rem"
              />
            ))}
          </li>
        ))}
      </Rows>
      <Button variant="outlined" onClick={() => change(withNewExercise)}>
        {t('addExercise')}
      </Button>
    </>
  );
}
