import { exerciseCodes, layOut, spaceOf } from '@jasperwren/motion/layout/exercises';
import type { SpaceName } from '@jasperwren/motion/layout/space';
import { spaceNames } from '@jasperwren/motion/layout/space';
import { vehicleClasses } from '@jasperwren/motion/vehicle/classes';
import { exerciseName, spaceName, t, vehicleName } from '@jasperwren/words/motion';
import { lazy, Suspense, useMemo } from 'react';
import { Link } from 'react-router';
import { Choose } from '../ui/Choose';
import { Page } from '../ui/Page';
import { Loading } from '../ui/states';
import { Measures } from './Measures';
import { NumberField } from './NumberField';
import { useQuestion, ways, type Question, type Way } from './use-question';
import styles from './wheels.module.css';

const PlanPanel = lazy(() => import('./plan/PlanPanel'));
const BenchPanel = lazy(() => import('./bench/BenchPanel'));
const SetOutPanel = lazy(() => import('./set-out/SetOutPanel'));
const Widths = lazy(() => import('./plan/Widths'));

const wayNames: Readonly<Record<Way, string>> = { plan: t('planIt'), drive: t('driveIt'), 'set-out': t('setOut') };

/** Where the wheels of a vehicle go: the way with the fewest movements, driving it by hand, and setting it out. */
export default function WheelsPage() {
  const question = useQuestion();
  const { kind, vehicle, spec, clearanceM, way, spaceProblems, sound, change } = question;
  const space = spaceOf(spec, vehicle);
  return (
    <Page over={<Link to="/yard">{t('yard')}</Link>} title={t('wheels')} sub={t('wheelsWhy')}>
      <div className={styles.choices}>
        <Choose
          label={t('vehicle')}
          value={kind}
          options={Object.values(vehicleClasses).map((one) => [one.kind, vehicleName(one.kind)])}
          onChoose={(value) => change({ vehicle: value })}
        />
        <Choose
          label={t('exercise')}
          value={spec.code}
          options={exerciseCodes.map((code) => [code, exerciseName(code)])}
          // The ground of one exercise is none for another.
          onChoose={(value) =>
            change({ ...Object.fromEntries(spaceNames.map((name) => [name, undefined])), exercise: value })
          }
        />
        <Choose
          label={t('side')}
          value={spec.side}
          options={[
            ['left', t('left')],
            ['right', t('right')],
          ]}
          onChoose={(value) => change({ side: value })}
        />
        {Object.entries(space).map(([name, metres]) => (
          <NumberField
            key={`${kind} ${spec.code} ${name}`}
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
      <nav className={styles.ways} aria-label={t('wheels')}>
        {ways.map((one) => (
          <Link key={one} to={question.addressOf(one)} replace aria-current={one === way ? 'page' : undefined}>
            {wayNames[one]}
          </Link>
        ))}
      </nav>
      {sound && <Shown question={question} />}
      <Measures question={question} />
      <p className="muted">{t('caution')}</p>
    </Page>
  );
}

function Shown({ question: { vehicle, spec, clearanceM, way } }: { readonly question: Question }) {
  const layout = useMemo(() => layOut(spec, vehicle), [spec, vehicle]);
  const asked = useMemo(() => ({ vehicle, spec, clearanceM }), [vehicle, spec, clearanceM]);
  // Another ground or vehicle is another drive.
  const key = JSON.stringify([vehicle, spec]);
  if (way === 'plan' && vehicle.trailer) return <p>{t('trailerAlone')}</p>;
  return (
    <Suspense fallback={<Loading what={wayNames[way]} />}>
      {way === 'plan' && <PlanPanel question={asked} layout={layout} />}
      {way === 'plan' && spec.code === 'turn-in-road' && <Widths vehicle={vehicle} />}
      {way === 'drive' && <BenchPanel key={key} vehicle={vehicle} layout={layout} spec={spec} />}
      {way === 'set-out' && <SetOutPanel layout={layout} spec={spec} />}
    </Suspense>
  );
}
