import type { KeptView } from '@jasperwren/contract/wheels';
import { exerciseCodes, spaceOf } from '@jasperwren/motion/layout/exercises';
import type { SpaceName } from '@jasperwren/motion/layout/space';
import type { VehicleFile } from '@jasperwren/motion/read-spec';
import { vehicleClasses } from '@jasperwren/motion/vehicle/classes';
import { t } from '@jasperwren/words/motion';
import { exerciseName, spaceName, vehicleName } from '@jasperwren/words/motion-sentences';
import { Choose } from '../ui/Choose';
import { NumberField } from './NumberField';
import { noMeasures, noSpace, type Question } from './use-question';
import styles from './wheels.module.css';

const keptPrefix = 'kept:';

interface Props {
  readonly question: Question;
  readonly all: readonly KeptView[];
}

/** What is asked: a vehicle, an exercise or a ground of the school's own, its measures, and the room to keep. */
export function Choices({ question, all }: Props) {
  const { kind, vehicle, exercise, clearanceM, way, kept, spaceProblems, change } = question;
  const vehicles = all.filter((one) => one.kind === 'vehicle');
  const grounds = all.filter((one) => one.kind === 'ground');
  const own = vehicles.find(({ body }) => sameVehicle(body as VehicleFile, question));
  return (
    <>
      <div className={styles.choices}>
        <Choose
          label={t('vehicle')}
          value={own ? keptPrefix + own.id : kind}
          options={[
            ...Object.values(vehicleClasses).map((one) => [one.kind, vehicleName(one.kind)] as const),
            ...vehicles.map(({ id, name }) => [keptPrefix + id, name] as const),
          ]}
          onChoose={(value) => change(vehicleParams(value, vehicles))}
        />
        <Choose
          label={t('exercise')}
          value={exercise?.code ?? keptPrefix + (kept?.id ?? '')}
          options={[
            ...exerciseCodes.map((code) => [code, exerciseName(code)] as const),
            ...grounds.map(({ id, name }) => [keptPrefix + id, name] as const),
            // A kept question on a ground of its own brings it along.
            ...(!exercise && kept && kept.kind !== 'ground' ? [[keptPrefix + kept.id, kept.name] as const] : []),
          ]}
          // The ground of one exercise is none for another.
          onChoose={(value) =>
            change({
              ...noSpace,
              // What the kept question said of the vehicle stays.
              ...measureParams(question),
              ...(value.startsWith(keptPrefix)
                ? { kept: value.slice(keptPrefix.length), exercise: undefined }
                : { kept: undefined, exercise: value }),
            })
          }
        />
        {exercise && (
          <Choose
            label={t('side')}
            value={exercise.side}
            options={[
              ['left', t('left')],
              ['right', t('right')],
            ]}
            onChoose={(value) => change({ side: value })}
          />
        )}
        {exercise &&
          Object.entries(spaceOf(exercise, vehicle)).map(([name, metres]) => (
            <NumberField
              key={`${kind} ${exercise.code} ${name}`}
              label={t('metresOf', { name: spaceName(name as SpaceName) })}
              value={metres}
              step={0.1}
              error={spaceProblems.some(({ measure }) => measure === name)}
              onNumber={(value) => change({ [name]: value === undefined ? undefined : String(value) })}
            />
          ))}
        {way === 'plan' && (
          <NumberField
            label={t('centimetresOf', { name: t('clearance') })}
            value={clearanceM * 100}
            step={5}
            onNumber={(value) => change({ clearance: value === undefined ? undefined : String(value) })}
          />
        )}
      </div>
      {spaceProblems.map(({ measure, leastM, mostM }) => (
        <p key={measure} role="alert" className={styles.problem}>
          {t('tooSmall', { name: spaceName(measure), least: leastM, most: mostM })}
        </p>
      ))}
    </>
  );
}

const asText = (measures: VehicleFile['measures']) =>
  Object.fromEntries(Object.entries(measures ?? {}).map(([name, value]) => [name, String(value)]));

/** A vehicle in the address: its class, and what was measured of it. */
function vehicleParams(value: string, vehicles: readonly KeptView[]) {
  const kept = vehicles.find(({ id }) => keptPrefix + id === value);
  if (!kept) return { ...noMeasures, vehicle: value };
  const { vehicle, measures } = kept.body as VehicleFile;
  return { ...noMeasures, ...asText(measures), vehicle };
}

const measureParams = ({ file: { vehicle, measures } }: Question) => ({ vehicle, ...asText(measures) });

/** Whether a kept vehicle is the one of the question, measure by measure. */
function sameVehicle({ vehicle, measures = {} }: VehicleFile, { kind, file }: Question): boolean {
  const asked: Readonly<Record<string, number>> = file.measures ?? {};
  const entries = Object.entries(measures);
  return (
    vehicle === kind &&
    // One that is as usual is called by its class.
    entries.length > 0 &&
    entries.length === Object.keys(asked).length &&
    entries.every(([name, value]) => asked[name] === value)
  );
}
