import { joinWords } from '@jasperwren/words/lists';
import { t } from '@jasperwren/words/standards';
import { joinChoices } from '@jasperwren/words/lists';
import { bandBrings } from '@jasperwren/words/marking/bands';
import { effective } from '@jasperwren/core/marking/options';
import { whatFails } from '@jasperwren/words/marking/read-out';
import { gradesOf } from '@jasperwren/core/marking/rules';
import type { Item, Standard } from '@jasperwren/core/marking/standard';
import { useMemo } from 'react';
import { GradeSign } from '../ui/GradeSign';
import { Rows, Section } from '../ui/Page';
import { FigureTable, limitsOf, timesOf } from './Figures';
import styles from './standards.module.css';

/** A standard as a learner could read it: what fails first, then everything else. */
export function ReadView({ standard: raw }: { readonly standard: Standard }) {
  const standard = useMemo(() => effective(raw), [raw]);
  return (
    <>
      <Section title={t('whatFailsTheTest')}>
        <ol className={styles.fails}>
          {whatFails(standard).map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ol>
      </Section>
      <div className={styles.columns}>
        <div>
          <Section title={t('grades')}>
            <Rows>
              {standard.grades.map(({ code, name, meaning, sign, points }) => (
                <li key={code} className={styles.line}>
                  <GradeSign sign={sign} />
                  <b>
                    {name}
                    {points && t('pointsEach', { count: points.value })}
                  </b>
                  <span>{meaning}</span>
                </li>
              ))}
            </Rows>
          </Section>
          <Section title={t('whereOpinionsDiffer')}>
            <Rows>
              {standard.options.map(({ code, name, choices, chosen, reason }) => (
                <li key={code} className={styles.plain}>
                  <span>
                    {name}: <b>{choices.find((choice) => choice.code === chosen)?.name}</b>
                  </span>
                  <span className="muted">{reason}</span>
                </li>
              ))}
            </Rows>
          </Section>
        </div>
        <div>
          <Section title={t('limitsAndWhereTheyComeFrom')}>
            <FigureTable label={t('limits')} rows={limitsOf(standard)} />
          </Section>
          <Section title={t('times')}>
            <FigureTable label={t('times')} rows={timesOf(standard)} />
          </Section>
        </div>
      </div>
      {standard.exercises.length > 0 && (
        <Section title={t('exercises')}>
          <Rows>
            {standard.exercises.map(({ code, name, task, clockStarts, script, looks }) => (
              <li key={code} className={styles.plain}>
                <b>{name}</b>
                {task && <span>{task}</span>}
                {clockStarts && <span className="muted">{t('timedFromClockStarts', { clockStarts })}</span>}
                {script && <q>{script}</q>}
                {looks && (
                  <span className="muted">{t('looksList', { list: joinWords(looks.map((look) => look.name)) })}</span>
                )}
              </li>
            ))}
          </Rows>
        </Section>
      )}
      {standard.questions.length > 0 && (
        <Section title={t('questions')}>
          <FigureTable
            label={t('questions')}
            rows={standard.questions.map(({ name, perTest }) => ({ name, sourced: perTest, unit: t('inATest') }))}
          />
        </Section>
      )}
      <Section title={t('whatIsObserved')}>
        <div className={styles.areas}>
          {standard.categories.map(({ code, name, items }) => (
            <div key={code} className={styles.area}>
              <h3>{name}</h3>
              <ul>
                {items.map((item) => (
                  <li key={item.code}>
                    {item.name}
                    <ItemDetail standard={standard} item={item} />
                  </li>
                ))}
              </ul>
            </div>
          ))}
        </div>
      </Section>
    </>
  );
}

/** What is special about an item: its class, points, sequence, bands and the grades it is held to. */
function ItemDetail({ standard, item }: { readonly standard: Standard; readonly item: Item }) {
  const cls = standard.classes?.find(({ code }) => code === item.class)?.name;
  const grades = gradesOf(standard, item);
  const points = grades.flatMap((grade) => {
    const own = item.points?.[grade.code]?.value;
    return own ? [t('points', { count: own })] : [];
  });
  // Where some grades have points of this item's own, the others are what it can come to besides.
  const besides = grades.filter((grade) => item.points?.[grade.code] === undefined).map(({ name }) => name);
  const details = [
    cls,
    points.length > 0 && joinChoices([...points, ...besides]),
    item.sequence?.reduce((one, other) => t('oneThenOther', { one, other })),
    ...(item.measured?.bands.map((band) => bandBrings(standard, band, item.measured!.unit)) ?? []),
    item.measured?.counts === 'grade' && t('yourGradeCountsWhereTheyDiffer'),
    grades.length < standard.grades.length &&
      points.length === 0 &&
      t('mapOnly', { map: joinChoices(grades.map(({ name }) => name)) }),
  ].filter(Boolean);
  return details.length > 0 ? <small> ({details.join('; ')})</small> : null;
}
