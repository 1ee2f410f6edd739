import { readSample } from '@jasperwren/core/yard/sample';
import { runTracks } from '@jasperwren/core/yard/run-tracks';
import type { Layout } from '@jasperwren/motion/layout/layout';
import { leastGap } from '@jasperwren/motion/layout/touch';
import { atWay, type OnWay } from '@jasperwren/motion/moves/same-hands';
import { driveSteps } from '@jasperwren/motion/moves/steps';
import { firstTouch, type Saved } from '@jasperwren/motion/planner/last-saved';
import { isFolded } from '@jasperwren/motion/vehicle/parts';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import { t } from '@jasperwren/words/motion';
import { partName, savedSentence, stepSentence, thingName } from '@jasperwren/words/motion-sentences';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { Working } from '../../ui/states';
import { RunAwaited, useRunSamples } from '../../yard/public';
import { GroundPicture } from '../picture/GroundPicture';
import { frameOf } from '../picture/outline';
import { TracksShape } from '../picture/TracksShape';
import { VehicleShape } from '../picture/VehicleShape';
import { Scrub } from '../Scrub';
import { useSaved } from '../use-plan';
import styles from '../wheels.module.css';

interface Props {
  readonly vehicle: Vehicle;
  readonly layout: Layout;
  readonly name: string;
  readonly run: string;
  /** The exercise of the run's course, by its code. */
  readonly zone: string;
}

/** One exercise of a yard run on its ground: the ways of the wheels, where it went wrong, and what would have saved it. */
export default function RunPanel({ run, zone, ...rest }: Props) {
  const { samples, hearing } = useRunSamples(run);
  const { vehicle, layout } = rest;
  const way = useMemo(
    () =>
      samples &&
      runTracks(
        vehicle,
        layout.start,
        samples.map(readSample).filter((sample) => sample !== undefined),
        zone,
      ),
    [samples, vehicle, layout, zone],
  );
  return (
    <>
      <p>
        <Link to={`/yard/runs/${run}`}>{t('backToRun')}</Link>
      </p>
      {!way && <RunAwaited hearing={hearing} what={t('runWay')} />}
      {way?.length === 0 && <p>{t('noPositions')}</p>}
      {way && way.length > 0 && <Driven {...rest} way={way} />}
    </>
  );
}

function Driven({ vehicle, layout, name, way: all }: Omit<Props, 'run' | 'zone'> & { readonly way: readonly OnWay[] }) {
  // Where a trailer lies against its car, the rules it follows by hold no longer.
  const fold = useMemo(() => all.findIndex(({ placed }) => isFolded(vehicle, placed.hitch)), [vehicle, all]);
  const way = useMemo(() => (fold < 0 ? all : all.slice(0, fold + 1)), [all, fold]);
  const touch = useMemo(() => firstTouch(vehicle, layout, way), [vehicle, layout, way]);
  const [lookedM, setLooked] = useState<number>();
  const question = useMemo(() => ({ vehicle, layout, way, touch }), [vehicle, layout, way, touch]);
  const { bySteering, byCorrecting } = useSaved(question).parts;
  const lastM = way.at(-1)!.wayM;
  const shown = atWay(way, lookedM ?? (touch < 0 ? lastM : way[touch]!.wayM));
  const placed = useMemo(() => way.map((moment) => moment.placed), [way]);
  const near = leastGap(vehicle, shown.placed, layout);
  const touched = touch < 0 ? undefined : leastGap(vehicle, way[touch]!.placed, layout);
  const touches = near?.gapM === 0;
  return (
    <div className={styles.columns}>
      <div>
        <GroundPicture
          layout={layout}
          frame={frameOf(layout, vehicle, placed)}
          touched={new Set(touches ? [near.thing] : [])}
          label={t('picture', { exercise: name })}
        >
          <TracksShape vehicle={vehicle} way={placed} />
          {bySteering && <SavedWay vehicle={vehicle} way={way} saved={bySteering} />}
          <VehicleShape vehicle={vehicle} placed={shown.placed} touching={touches ? [near.part] : []} />
        </GroundPicture>
        <Scrub
          label={t('along')}
          min={0}
          max={lastM}
          step={0.05}
          value={shown.wayM}
          words={(value) => t('wayAt', { way: value.toFixed(1) })}
          onValue={setLooked}
        />
        <p className="muted">{t('legend')}</p>
      </div>
      <section aria-label={t('runWay')}>
        <p role="status" className={styles.answer}>
          {touched
            ? t('runTouched', {
                part: partName(touched.part),
                thing: thingName(touched),
                way: way[touch]!.wayM.toFixed(1),
              })
            : fold < 0
              ? t('runClean')
              : t('runFolded', { way: lastM.toFixed(1) })}
        </p>
        {touched && (
          <>
            <Told
              saved={bySteering}
              sentence={savedSentence(bySteering, 'steering', vehicle)}
              vehicle={vehicle}
              onLook={setLooked}
              way={way}
            />
            <Told
              saved={byCorrecting}
              sentence={savedSentence(byCorrecting, 'correcting', vehicle)}
              vehicle={vehicle}
              onLook={setLooked}
              way={way}
            />
          </>
        )}
        <p className="muted">{t('runWhy')}</p>
      </section>
    </div>
  );
}

interface ToldProps {
  readonly saved: Saved | null | undefined;
  readonly sentence: string;
  readonly vehicle: Vehicle;
  readonly way: readonly OnWay[];
  readonly onLook: (wayM: number) => void;
}

function Told({ saved, sentence, vehicle, way, onLook }: ToldProps) {
  if (saved === undefined) return <Working doing={t('lookingForSaved')} />;
  return (
    <>
      <h2>{sentence}</h2>
      {saved && (
        <ol className={styles.steps}>
          {saved.steps.map((step, i) => (
            <li key={i}>
              <button type="button" onClick={() => onLook(way[saved.index]!.wayM)}>
                {stepSentence(step, vehicle.lockDeg)}
              </button>
            </li>
          ))}
        </ol>
      )}
    </>
  );
}

/** The way that would have saved it, faint. */
function SavedWay({
  vehicle,
  way,
  saved,
}: {
  readonly vehicle: Vehicle;
  readonly way: readonly OnWay[];
  readonly saved: Saved;
}) {
  const moments = useMemo(() => driveSteps(vehicle, way[saved.index]!.placed, saved.steps, 0.1), [vehicle, way, saved]);
  return (
    <g className={styles.savedWay}>
      <TracksShape vehicle={vehicle} way={moments} />
      <VehicleShape vehicle={vehicle} placed={moments.at(-1)!} faint />
    </g>
  );
}
