import { allMeasures, measureOf, type AnyMeasure } from '@jasperwren/motion/vehicle/measures';
import { kerbToKerb, lockForCircle } from '@jasperwren/motion/vehicle/turning';
import { t } from '@jasperwren/words/motion';
import { measureName, vehicleProblemSentence } from '@jasperwren/words/motion-sentences';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { MeasurePicture } from './MeasurePicture';
import { NumberField } from '../NumberField';
import { noMeasures, type Question } from '../use-question';
import styles from '../wheels.module.css';

/** The measures of a vehicle, to be replaced by those of one's own; whatever is strange about them is said. */
export function Measures({ question }: { readonly question: Question }) {
  const { vehicle, vehicleProblems, change } = question;
  const circle = kerbToKerb(vehicle, vehicle.lockDeg);
  const [measure, setMeasure] = useState<AnyMeasure>('wheelbaseM');
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
        {allMeasures.map((measure) => {
          const value = measureOf(vehicle, measure);
          if (value === undefined) return null;
          return (
            <NumberField
              key={`${question.kind} ${measure}`}
              label={measureName(measure)}
              onFocus={() => setMeasure(measure)}
              value={value}
              step={measure === 'lockDeg' ? 0.5 : 0.01}
              error={vehicleProblems.some((problem) => 'measure' in problem && problem.measure === measure)}
              onNumber={(next) => change({ [measure]: next === undefined ? undefined : String(next) })}
            />
          );
        })}
      </div>
      <Button variant="text" onClick={() => change(noMeasures)}>
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
