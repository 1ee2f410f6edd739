import { t } from '@jasperwren/words/editor';
import { Rows } from '../../ui/Page';
import { inList, type EditProps } from './change';
import styles from './editor.module.css';
import { ChoiceEdit, NumberEdit, TextEdit } from './fields';

const gradeWords = ['name', 'plural', 'short'] as const;

/** What practitioners disagree on: one choice each, with the school's reason. */
export function OptionFields({ standard, change }: EditProps) {
  return (
    <Rows>
      {standard.options.map(({ code, name, choices, chosen, reason }) => (
        <li key={code} className={styles.fields}>
          <ChoiceEdit
            label={name}
            value={chosen}
            choices={choices.map((choice) => [choice.code, choice.name] as const)}
            onChange={(value) => change(inList('options', code, { chosen: value }))}
            width="24rem"
          />
          <div className={styles.wide}>
            <TextEdit
              label={t('why')}
              value={reason}
              onChange={(value) => change(inList('options', code, { reason: value }))}
              multiline
            />
          </div>
        </li>
      ))}
    </Rows>
  );
}

/** The words for each grade, and its points where points are counted. */
export function GradeFields({ standard, change }: EditProps) {
  return (
    <Rows>
      {standard.grades.map((grade) => (
        <li key={grade.code} className={styles.fields}>
          {gradeWords.map((field) => (
            <TextEdit
              key={field}
              label={{ name: t('one'), plural: t('several'), short: t('columnHeading') }[field]}
              value={grade[field]}
              onChange={(value) => change(inList('grades', grade.code, { [field]: value }))}
              width="12rem"
            />
          ))}
          {grade.points && (
            <NumberEdit
              label={t('worth')}
              unit="points"
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
        </li>
      ))}
    </Rows>
  );
}
