import type { Moment, Step } from '@jasperwren/motion/moves/steps';
import type { Ground } from '@jasperwren/motion/planner/plan-exercise';
import type { Reference } from '@jasperwren/motion/sight/tolerance';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import { t } from '@jasperwren/words/motion';
import { groundTitle, referenceSentence, stepSentence, vehicleName } from '@jasperwren/words/motion-sentences';
import type { ReactNode } from 'react';
import { Mirrors } from '../sight/Mirrors';
import styles from './learner-sheet.module.css';

interface Props {
  readonly vehicle: Vehicle;
  readonly ground: Ground;
  readonly name: string;
  readonly steps: readonly Step[];
  readonly references: readonly Reference[];
  /** Where the vehicle is at the end of each step. */
  readonly ends: readonly Moment[];
  readonly children: ReactNode;
}

/** The page that a learner takes along: the picture, each step, what lines up as it ends and what the mirrors show. */
export function LearnerSheet({ vehicle, ground, name, steps, references, ends, children }: Props) {
  return (
    <article className={styles.sheet}>
      <h2>
        {t('learnerSheet', { exercise: groundTitle(name, ground.exercise?.side), vehicle: vehicleName(vehicle.kind) })}
      </h2>
      <div className={styles.picture}>{children}</div>
      <ol className={styles.steps}>
        {steps.map((step, i) => (
          <li key={i}>
            <div>
              <div>
                <strong>{stepSentence(step, vehicle.lockDeg)}</strong>
                <p>{referenceSentence(references[i]!, vehicle, ends[i]!.hitch)}</p>
              </div>
              <div className={styles.mirrors}>
                <Mirrors vehicle={vehicle} placed={ends[i]!} layout={ground.layout} />
              </div>
            </div>
          </li>
        ))}
      </ol>
      <p>{t('learnerWhy')}</p>
    </article>
  );
}
