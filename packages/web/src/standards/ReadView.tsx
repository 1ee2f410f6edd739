import { bandWords } from '@jasperwren/core/marking/measured';
import { effective } from '@jasperwren/core/marking/options';
import { whatFails } from '@jasperwren/core/marking/read-out';
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
      <Section title="What fails you">
        <ol className={styles.fails}>
          {whatFails(standard).map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ol>
      </Section>
      <div className={styles.columns}>
        <div>
          <Section title="How errors are graded">
            <Rows>
              {standard.grades.map(({ code, name, meaning, sign, points }) => (
                <li key={code} className={styles.line}>
                  <GradeSign sign={sign} />
                  <b>
                    {name}
                    {points && `, ${points.value} ${points.value === 1 ? 'point' : 'points'}`}
                  </b>
                  <span>{meaning}</span>
                </li>
              ))}
            </Rows>
          </Section>
          <Section title="Where opinions differ">
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
          <Section title="Limits, and where they come from">
            <FigureTable label="Limits" rows={limitsOf(standard)} />
          </Section>
          <Section title="Times">
            <FigureTable label="Times" rows={timesOf(standard)} />
          </Section>
        </div>
      </div>
      {standard.exercises.length > 0 && (
        <Section title="Exercises">
          <Rows>
            {standard.exercises.map(({ code, name, task, clockStarts }) => (
              <li key={code} className={styles.plain}>
                <b>{name}</b>
                {task && <span>{task}</span>}
                {clockStarts && <span className="muted">Its clock starts {clockStarts}.</span>}
              </li>
            ))}
          </Rows>
        </Section>
      )}
      {standard.questions.length > 0 && (
        <Section title="Questions">
          <FigureTable
            label="Questions"
            rows={standard.questions.map(({ name, perTest }) => ({ name, sourced: perTest, unit: 'in a test' }))}
          />
        </Section>
      )}
      <Section title="What is watched">
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
    return own ? [`${own} ${own === 1 ? 'point' : 'points'}`] : [];
  });
  // Where some grades have points of this item's own, the others are what it can come to besides.
  const besides = grades.filter((grade) => item.points?.[grade.code] === undefined).map(({ name }) => name);
  const details = [
    cls,
    points.length > 0 && [...points, ...besides].join(' or '),
    item.sequence && item.sequence.join(', then '),
    ...(item.measured?.bands.map(
      (band) =>
        `${bandWords(band, item.measured!.unit)}: ${standard.grades.find(({ code }) => code === band.grade)?.name}`,
    ) ?? []),
    item.measured?.counts === 'grade' && 'the grade given counts where it differs',
    grades.length < standard.grades.length &&
      points.length === 0 &&
      `${grades.map(({ name }) => name).join(' or ')} only`,
  ].filter(Boolean);
  return details.length > 0 ? <small> ({details.join('; ')})</small> : null;
}
