import { possible, type Measure } from '@jasperwren/motion/vehicle/check-vehicle';
import { kerbToKerb, lockForCircle } from '@jasperwren/motion/vehicle/turning';
import { measureName, t, vehicleProblemSentence } from '@jasperwren/words/motion';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { MeasurePicture } from './MeasurePicture';
import { NumberField } from '../NumberField';
import type { Question } from '../use-question';
import styles from '../wheels.module.css';

const asked = Object.keys(possible) as readonly Measure[];

/** The measures of a vehicle, to be replaced by those of one's own; whatever is strange about them is said. */
export function Measures({ question }: { readonly question: Question }) {
  const { vehicle, vehicleProblems, change } = question;
  const circle = kerbToKerb(vehicle, vehicle.lockDeg);
  const [measure, setMeasure] = useState<Measure>('wheelbaseM');
  return (
    <details className={styles.measures}>
      <summary>{t('measures')}</summary>
      <p>{t('measuresWhy')}</p>
      <MeasurePicture vehicle={vehicle} measure={measure} />
      <div className={styles.choices}>
        <NumberField
          key={`circle ${vehicle.lockDeg} ${vehicle.wheelbaseM}`}
          label={t('circle')}
          value={circle}
          step={0.1}
          onNumber={(value) => {
            const lock = value === undefined ? undefined : lockForCircle(vehicle, value);
            change({ lockDeg: lock?.toFixed(2) });
          }}
        />
        {asked.map((measure) => (
          <NumberField
            key={`${question.kind} ${measure}`}
            label={measureName(measure)}
            onFocus={() => setMeasure(measure)}
            value={vehicle[measure]}
            step={measure === 'lockDeg' ? 0.5 : 0.01}
            error={vehicleProblems.some((problem) => 'measure' in problem && problem.measure === measure)}
            onNumber={(value) => change({ [measure]: value === undefined ? undefined : String(value) })}
          />
        ))}
      </div>
      <Button
        variant="text"
        onClick={() => change(Object.fromEntries(Object.keys(possible).map((name) => [name, undefined])))}
      >
        {t('asUsual')}
      </Button>
      {vehicleProblems.map((problem) => (
        <p key={problem.code + ('measure' in problem ? problem.measure : '')} className={styles.problem} role="status">
          {vehicleProblemSentence(problem)}
        </p>
      ))}
    </details>
  );
}
