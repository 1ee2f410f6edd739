import { withGrades, withPoints } from '@jasperwren/core/marking/edit/items';
import { gradesOf } from '@jasperwren/core/marking/rules';
import type { Item } from '@jasperwren/core/marking/standard';
import { t } from '@jasperwren/words/editor';
import { t as say } from '@jasperwren/words/editor-sentences';
import { Fragment } from 'react';
import { choicesOf } from './choices';
import type { EditProps } from './edit-props';
import { SeveralPhrase } from './Chosen';
import { NumberPhrase } from './Phrase';
import { Sentence } from './Sentence';

interface Props extends EditProps {
  readonly name: string;
  /** Fault types that cost the same. */
  readonly items: readonly Item[];
  /** Points can be given even where no grade has any. */
  readonly every?: boolean;
}

/** Which grades fault types can have, and what they are worth where it is not what the grade is. */
export function CostPhrases({ name, items, standard, change, every = false }: Props) {
  const [item] = items;
  if (!item) return null;
  const grades = gradesOf(standard, item);
  const codes = items.map(({ code }) => code);
  return (
    <>
      <SeveralPhrase
        label={t('costOf', { name })}
        value={grades.map(({ code }) => code)}
        choices={choicesOf('grades', standard)}
        onChange={(next) => next.length > 0 && change(withGrades(codes, next))}
        none={say('anyGrade')}
      />
      {grades
        .filter((grade) => every || grade.points || item.points?.[grade.code])
        .map((grade) => (
          <Fragment key={grade.code}>
            <Sentence
              say={(holes) =>
                grades.length > 1 ? say('gradeWorth', { ...holes, grade: grade.short }) : say('worth', holes)
              }
              of={{
                points: (
                  <NumberPhrase
                    label={t('pointsOfIn', { grade: grade.short, name })}
                    value={item.points?.[grade.code]?.value}
                    words={(count) => say('pointsOf', { count })}
                    none={grade.points ? say('asGrade') : say('noPoints')}
                    onChange={(points) => change(withPoints(codes, grade.code, points))}
                  />
                ),
              }}
            />
          </Fragment>
        ))}
    </>
  );
}
