import type { ExerciseSpec } from '@jasperwren/motion/layout/exercises';
import type { Layout } from '@jasperwren/motion/layout/layout';
import type { Moment, Step } from '@jasperwren/motion/moves/steps';
import type { Reference } from '@jasperwren/motion/sight/tolerance';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import { exerciseName, referenceSentence, stepSentence, t, vehicleName } from '@jasperwren/words/motion';
import type { ReactNode } from 'react';
import { Mirrors } from '../sight/Mirrors';
import styles from './learner-sheet.module.css';

interface Props {
  readonly vehicle: Vehicle;
  readonly layout: Layout;
  readonly spec: ExerciseSpec;
  readonly steps: readonly Step[];
  readonly references: readonly Reference[];
  /** Where the vehicle is at the end of each step. */
  readonly ends: readonly Moment[];
  readonly children: ReactNode;
}

/** The page that a learner takes along: the picture, each step, what lines up as it ends and what the mirrors show. */
export function LearnerSheet({ vehicle, layout, spec, steps, references, ends, children }: Props) {
  return (
    <article className={styles.sheet}>
      <h2>
        {t('learnerSheet', {
          exercise: exerciseName(spec.code),
          side: t(spec.side).toLowerCase(),
          vehicle: vehicleName(vehicle.kind),
        })}
      </h2>
      <div className={styles.picture}>{children}</div>
      <ol className={styles.steps}>
        {steps.map((step, i) => (
          <li key={i}>
            <div>
              <div>
                <strong>{stepSentence(step, vehicle.lockDeg)}</strong>
                <p>{referenceSentence(references[i]!, vehicle)}</p>
              </div>
              <Mirrors vehicle={vehicle} placed={ends[i]!} layout={layout} />
            </div>
          </li>
        ))}
      </ol>
      <p>{t('learnerWhy')}</p>
    </article>
  );
}
