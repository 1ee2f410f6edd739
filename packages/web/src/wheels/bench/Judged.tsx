import { itemName } from '@jasperwren/words/marking/names';
import { judgeRun } from '@jasperwren/core/yard/judge-run';
import { exerciseDriven, samplesOfDrive } from '@jasperwren/core/yard/driven';
import { csvHead, csvRows } from '@jasperwren/core/yard/telemetry-csv';
import { countingMarks } from '@jasperwren/core/marking/counting';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { Exercise } from '@jasperwren/core/marking/exercise';
import type { ExerciseSpec } from '@jasperwren/motion/layout/exercises';
import type { Layout } from '@jasperwren/motion/layout/layout';
import type { BenchDrive } from '@jasperwren/motion/moves/bench';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import { t } from '@jasperwren/words/motion';
import Button from '@mui/material/Button';
import { useMemo } from 'react';
import { api } from '../../base/api';
import { failureOf } from '../../ui/failure';
import { offerFile } from '../../ui/offer-file';
import { Failed, Loading } from '../../ui/states';
import styles from '../wheels.module.css';

interface Props {
  readonly vehicle: Vehicle;
  readonly layout: Layout;
  readonly spec: ExerciseSpec;
  readonly kept: readonly BenchDrive[];
  /** It is judged whenever the vehicle stands. */
  readonly stands: boolean;
}

/** The faults of a drive under each standard that has such an exercise, by the function that judges every run. */
export function Judged({ vehicle, layout, spec, kept, stands }: Props) {
  const { data: standards, ...asked } = api.useStandardsQuery();
  const failed = failureOf(asked);
  const judging = standards?.flatMap((standard) => {
    const exercise = exerciseDriven(standard, spec);
    return exercise ? [{ standard, exercise }] : [];
  });
  return (
    <>
      <h3>{t('judgedBy')}</h3>
      {failed && <Failed {...failed} />}
      {!failed && !standards && <Loading what={t('judgedBy')} />}
      {judging?.length === 0 && <p className="muted">{t('judgeNone')}</p>}
      {judging?.[0] && stands && kept.length > 1 && (
        <Button
          variant="text"
          onClick={() => {
            const samples = samplesOfDrive(vehicle, layout, judging[0]!.exercise, kept.map(toMoment));
            offerFile('bench.csv', 'text/csv', [csvHead, ...csvRows(samples), ''].join('\r\n'));
          }}
        >
          {t('saveRun')}
        </Button>
      )}
      {judging?.map(({ standard, exercise }) => (
        <Faults
          key={standard.id}
          standard={standard}
          exercise={exercise}
          vehicle={vehicle}
          layout={layout}
          moments={kept}
          stands={stands}
        />
      ))}
    </>
  );
}

const toMoment = ({ atMs, placed, speedMps, touching }: BenchDrive) => ({
  atMs,
  placed,
  speedMps,
  touching: touching.map(({ kind }) => kind),
});

interface FaultsProps extends Pick<Props, 'vehicle' | 'layout' | 'stands'> {
  readonly standard: EffectiveStandard;
  readonly exercise: Exercise;
  readonly moments: readonly BenchDrive[];
}

function Faults({ standard, exercise, vehicle, layout, moments, stands }: FaultsProps) {
  const faults = useMemo(() => {
    // Judging a moving car sixty times a second would be for nothing.
    if (!stands || moments.length < 2) return undefined;
    const facts = { run: 'bench', learnerId: 'bench', startedAt: new Date(0).toISOString(), by: 'bench' };
    const judged = judgeRun(standard, samplesOfDrive(vehicle, layout, exercise, moments.map(toMoment)), facts);
    const rules = rulesOf(standard);
    return (
      judged?.drive &&
      countingMarks(standard, judged.drive).map((mark) => ({
        id: mark.id,
        fault: itemName(standard, mark.item),
        grade: rules.grades.get(mark.grade)?.name ?? mark.grade,
      }))
    );
  }, [standard, exercise, vehicle, layout, moments, stands]);
  return (
    <div className={styles.judged} aria-live="polite">
      <strong>{standard.name}</strong>
      {faults === undefined || faults.length === 0 ? (
        <p className="muted">{t('judgeNothing')}</p>
      ) : (
        <ul className={styles.touches}>
          {faults.map(({ id, fault, grade }) => (
            <li key={id}>{t('judgeFault', { fault, grade })}</li>
          ))}
        </ul>
      )}
    </div>
  );
}
