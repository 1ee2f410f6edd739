import type { KeptView } from '@jasperwren/contract/wheels';
import { t } from '@jasperwren/words/motion';
import { lazy, Suspense, useEffect, useMemo } from 'react';
import { Link, useSearchParams } from 'react-router';
import { api } from '../base/api';
import { failureOf } from '../ui/failure';
import { Page } from '../ui/Page';
import { Failed, Loading } from '../ui/states';
import { Choices } from './Choices';
import { Kept } from './kept/Kept';
import { Measures } from './measures/Measures';
import { useQuestion, ways, type Question, type Way } from './use-question';
import styles from './wheels.module.css';

const planPanel = () => import('./plan/PlanPanel');
const PlanPanel = lazy(planPanel);
const RulePanel = lazy(() => import('./rule/RulePanel'));
const BenchPanel = lazy(() => import('./bench/BenchPanel'));
const SetOutPanel = lazy(() => import('./set-out/SetOutPanel'));
const DrawPanel = lazy(() => import('./draw/DrawPanel'));
const RunPanel = lazy(() => import('./run/RunPanel'));
const Widths = lazy(() => import('./plan/Widths'));

const wayNames: Readonly<Record<Way, string>> = {
  plan: t('planIt'),
  rule: t('ruleOfThumb'),
  drive: t('driveIt'),
  'set-out': t('setOut'),
  draw: t('drawIt'),
  run: t('runWay'),
};

const none: readonly KeptView[] = [];

/** Where the wheels of a vehicle go: the way with the fewest movements, driving it by hand, and setting it out. */
export default function WheelsPage() {
  const { data: all, ...asked } = api.useKeptWheelsQuery();
  const failed = failureOf(asked);
  const [params] = useSearchParams();
  // What is kept is needed only where the address begins with it.
  const waits = params.has('kept') && !all;
  return (
    <Page over={<Link to="/yard">{t('yard')}</Link>} title={t('wheels')} sub={t('wheelsWhy')}>
      {waits && !failed && <Loading what={t('keptHere')} />}
      {failed && <Failed {...failed} />}
      {!waits && <Asked all={all ?? none} />}
    </Page>
  );
}

function Asked({ all }: { readonly all: readonly KeptView[] }) {
  const question = useQuestion(all);
  const { way } = question;
  // The planner's worker starts with it: it is ready by the time a plan is asked for.
  useEffect(() => void planPanel(), []);
  return (
    <>
      <Choices question={question} all={all} />
      <nav className={styles.ways} aria-label={t('wheels')}>
        {ways
          .filter((one) => one !== 'run' || question.run)
          .map((one) => (
            <Link key={one} to={question.addressOf(one)} replace aria-current={one === way ? 'page' : undefined}>
              {wayNames[one]}
            </Link>
          ))}
      </nav>
      <Shown question={question} />
      <Measures question={question} />
      <Kept question={question} all={all} />
      <p className="muted">{t('caution')}</p>
    </>
  );
}

function Shown({ question }: { readonly question: Question }) {
  const { vehicle, ground, groundName, exercise, clearanceM, way, run } = question;
  // What is asked stays the same thing until something of it changes, however often the page is drawn.
  const key = JSON.stringify([vehicle, ground, clearanceM]);
  // eslint-disable-next-line react-hooks/exhaustive-deps -- the key says all of it
  const asked = useMemo(() => ground && { vehicle, ground, clearanceM }, [key]);
  if (!asked) return null;
  const { layout } = asked.ground;
  return (
    <Suspense fallback={<Loading what={wayNames[way]} />}>
      {way === 'plan' && <PlanPanel question={asked} name={groundName} />}
      {way === 'plan' && exercise?.code === 'turn-in-road' && <Widths vehicle={asked.vehicle} />}
      {way === 'rule' && <RulePanel key={key} asked={asked} name={groundName} question={question} />}
      {way === 'drive' && (
        <BenchPanel key={key} vehicle={asked.vehicle} layout={layout} exercise={exercise} name={groundName} />
      )}
      {way === 'set-out' && <SetOutPanel layout={layout} name={groundName} side={exercise?.side} />}
      {way === 'run' && run && <RunPanel vehicle={asked.vehicle} layout={layout} name={groundName} {...run} />}
      {way === 'draw' && <DrawPanel key={key} vehicle={asked.vehicle} layout={layout} question={question} />}
    </Suspense>
  );
}
