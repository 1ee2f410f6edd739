import { t } from '@jasperwren/words/editor';
import Button from '@mui/material/Button';
import type { GradeSign } from '@jasperwren/core/marking/standard';
import { Rows } from '../../ui/Page';
import { inList, withNewGrade, withoutGrade, type EditProps } from './change';
import styles from './editor.module.css';
import { ChoiceEdit, NumberEdit, TextEdit } from './fields';

const gradeWords = ['name', 'plural', 'short'] as const;
const signs: readonly (readonly [GradeSign, string])[] = [
  ['noted', t('noteOnly')],
  ['counted', t('countsUp')],
  ['outright', t('oneFails')],
  ['highest', t('oneFailsMostSerious')],
];

/** The grades from least to most serious: their words, what one of them does, and their points where points count. */
export function GradeFields({ standard, change }: EditProps) {
  return (
    <>
      <Rows>
        {standard.grades.map((grade) => (
          <li key={grade.code} className={styles.fields} aria-label={t('gradeName', { name: grade.name })}>
            {gradeWords.map((field) => (
              <TextEdit
                key={field}
                label={{ name: t('one'), plural: t('several'), short: t('columnHeading') }[field]}
                value={grade[field]}
                onChange={(value) => change(inList('grades', grade.code, { [field]: value }))}
                width="12rem"
              />
            ))}
            <ChoiceEdit
              label={t('kind')}
              value={grade.sign}
              choices={signs}
              onChange={(sign) => change(inList('grades', grade.code, { sign }))}
              width="13rem"
            />
            {grade.points && (
              <NumberEdit
                label={t('worth')}
                unit={t('pointsUnit')}
                value={grade.points}
                onChange={(points) => change(inList('grades', grade.code, { points }))}
              />
            )}
            <div className={styles.wide}>
              <TextEdit
                label={t('meaning')}
                value={grade.meaning}
                onChange={(meaning) => change(inList('grades', grade.code, { meaning }))}
                multiline
              />
            </div>
            {standard.grades.length > 1 && (
              <Button
                variant="text"
                aria-label={t('removeName', { name: grade.name })}
                onClick={() => change(withoutGrade(grade.code))}
              >
                {t('remove')}
              </Button>
            )}
          </li>
        ))}
      </Rows>
      <Button variant="outlined" onClick={() => change(withNewGrade)}>
        {t('addGrade')}
      </Button>
    </>
  );
}
