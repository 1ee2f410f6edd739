import type { LeavingStep } from '@jasperwren/core/marking/exercise';
import { leavingWords } from '@jasperwren/words/leaving';
import { t } from '@jasperwren/words/editor';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import { Sortable, SortableRow } from '../../ui/Sortable';
import type { EditProps } from './change';
import { moveExercise, otherSteps, setCourse, setLeaving, withStep } from './course-change';
import styles from './editor.module.css';
import { CourseExercise, itemsOf } from './CourseExercise';
import { ChoiceEdit } from './fields';

/** The course of a yard: what is read aloud, when clocks start, which looks are asked for, how the car is left. */
export function CourseFields({ standard, change }: EditProps) {
  return (
    <>
      <FormControlLabel
        control={<Checkbox checked={standard.course !== undefined} onChange={(_, on) => change(setCourse(on))} />}
        label={t('isCourse')}
      />
      {standard.course && (
        <>
          <Sortable
            rows={standard.exercises.map(({ code, name }) => ({ key: code, name }))}
            onMove={(code, to) => change(moveExercise(code, to))}
          >
            <ol className={styles.course}>
              {standard.exercises.map((exercise, i) => (
                <SortableRow
                  key={exercise.code}
                  id={exercise.code}
                  className={styles.courseExercise}
                  grip={t('moveName', { name: exercise.name })}
                >
                  {(grip) => (
                    <>
                      {grip}
                      <details>
                        <summary>
                          {i + 1} {exercise.name}
                        </summary>
                        <CourseExercise exercise={exercise} standard={standard} change={change} />
                      </details>
                    </>
                  )}
                </SortableRow>
              ))}
            </ol>
          </Sortable>
          <Leaving standard={standard} change={change} />
        </>
      )}
    </>
  );
}

/** The steps of leaving the car: taken in one after the other, in the order in which they are touched. */
function Leaving({ standard, change }: EditProps) {
  const items = itemsOf(standard);
  const { order = [], item = items[0]?.code } = standard.course?.leaving ?? {};
  const toggle = (step: LeavingStep) => change(setLeaving(withStep(order, step), item));
  return (
    <div className={styles.fields} role="group" aria-label={t('leavingTheCar')}>
      <b className={styles.wide}>
        {t('leavingTheCar')}: {order.length > 0 ? order.map(leavingWords).join(', ') : t('anyOrder')}
      </b>
      {order.length > 0 && item !== undefined && (
        <ChoiceEdit
          label={t('otherwiseIs')}
          value={item}
          choices={items.map((one) => [one.code, one.name] as const)}
          onChange={(value) => change(setLeaving(order, value))}
          width="18rem"
        />
      )}
      {[...order, ...otherSteps(order)].map((step) => (
        <FormControlLabel
          key={step}
          control={<Checkbox checked={order.includes(step)} onChange={() => toggle(step)} />}
          label={leavingWords(step)}
        />
      ))}
    </div>
  );
}
