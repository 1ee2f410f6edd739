import type { RouteStop } from '@jasperwren/core/routes/driving-route';
import type { RoadPlace } from '@jasperwren/core/places/passes';
import { mockTestWants } from '@jasperwren/core/routes/read-route';
import { featureKinds, type FeatureKind } from '@jasperwren/roads/features/features';
import type { StoredRoads } from '@jasperwren/roads/source';
import { joinWords, percent } from '@jasperwren/words/lists';
import { lengthWords, type Units } from '@jasperwren/words/roads/distances';
import { featureName } from '@jasperwren/words/roads/features';
import { roadsProblem } from '@jasperwren/words/roads/problems';
import { t } from '@jasperwren/words/routes';
import { placeWords } from '@jasperwren/words/traces';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { NotWorkedOut } from '../../ui/states';
import { usePlan } from '../work/use-roads-work';
import type { PlannedLoop, PlanQuestion } from '../work/roads.worker';
import { typedNumber } from '../../ui/typed-number';
import styles from './editor.module.css';
import { HotSpots } from './HotSpots';
import { Several } from './Several';
import { WeakAreas } from './WeakAreas';

interface Props {
  readonly stored: StoredRoads;
  readonly units: Units;
  /** The middle of the picture, where loops start. */
  readonly from: () => { readonly lat: number; readonly lon: number };
  readonly onUse: (stops: readonly RouteStop[]) => void;
  readonly onClose: () => void;
}

const loopMinutes = { least: 5, most: 180 };

/** Has loops planned for a wish. */
export default function PlanPanel({ stored, units, from, onUse, onClose }: Props) {
  const [minutes, setMinutes] = useState('40');
  const [wants, setWants] = useState<readonly FeatureKind[]>(Object.keys(mockTestWants) as FeatureKind[]);
  const [prefers, setPrefers] = useState<readonly FeatureKind[]>([]);
  const [avoids, setAvoids] = useState<readonly FeatureKind[]>([]);
  const [over, setOver] = useState<readonly RoadPlace[]>([]);
  const [question, setQuestion] = useState<PlanQuestion>();
  const seed = question?.seed ?? 0;
  const number = typedNumber(minutes) ?? 0;
  const valid = number >= loopMinutes.least && number <= loopMinutes.most;
  const ask = () =>
    setQuestion({
      stored,
      from: from(),
      minutes: number,
      wants: Object.fromEntries(wants.map((kind) => [kind, 1])),
      prefers,
      avoids,
      over,
      seed: seed + 1,
      mode: 'directions',
    });
  return (
    <div className={styles.plan}>
      <p className="muted">{t('planFrom')}</p>
      <TextField
        label={t('planMinutes')}
        type="number"
        size="small"
        value={minutes}
        error={!valid}
        helperText={valid ? undefined : t('planMinutesFrom', loopMinutes)}
        onChange={(event) => setMinutes(event.target.value)}
      />
      <WeakAreas onKinds={setPrefers} />
      <Several
        label={t('planWants')}
        options={featureKinds}
        value={wants}
        nameOf={featureName}
        keyOf={(kind) => kind}
        onChange={setWants}
      />
      <Several
        label={t('planPrefers')}
        options={featureKinds}
        value={prefers}
        nameOf={featureName}
        keyOf={(kind) => kind}
        onChange={setPrefers}
      />
      <Several
        label={t('planAvoids')}
        options={featureKinds}
        value={avoids}
        nameOf={featureName}
        keyOf={(kind) => kind}
        onChange={setAvoids}
      />
      <HotSpots value={over} onChange={setOver} />
      <div className={styles.buttons}>
        <Button variant="contained" disabled={!valid} onClick={ask}>
          {question ? t('planOther') : t('plan')}
        </Button>
        <Button variant="text" onClick={onClose}>
          {t('cancel')}
        </Button>
      </div>
      {question && <Loops question={question} units={units} onUse={onUse} onStop={() => setQuestion(undefined)} />}
    </div>
  );
}

interface LoopsProps {
  readonly question: PlanQuestion;
  readonly units: Units;
  readonly onUse: Props['onUse'];
  readonly onStop: () => void;
}

function Loops({ question, units, onUse, onStop }: LoopsProps) {
  const { parts, working, failed, again } = usePlan(question);
  if (failed !== undefined) return <NotWorkedOut what={t('routes')} why={failed} onAgain={again} />;
  const { planned, share = 0 } = parts;
  const done = planned && (!working || share === 1);
  if (!done)
    return (
      <div role="status">
        <p>{t('planning', { percent: Math.round(share * 100) })}</p>
        <LinearProgress variant="determinate" value={share * 100} color="inherit" aria-label={t('plan')} />
        <Button variant="text" onClick={onStop}>
          {t('stopPlanning')}
        </Button>
      </div>
    );
  if ('problem' in planned) return <p role="alert">{roadsProblem(planned.problem)}</p>;
  return (
    <>
      {planned.notHere.length > 0 && (
        <p role="alert">{t('placesNotHere', { places: joinWords(planned.notHere.map(placeWords)) })}</p>
      )}
      <ol className={styles.loops}>
        {planned.loops.map((loop, i) => (
          <li key={loop.metres}>
            <b>{t('loopNth', { nth: i + 1 })}</b>
            <p>
              {t('minute', { minute: Math.round(loop.seconds / 60) })}, {lengthWords(loop.metres, units)}
              {loop.repeated >= 0.02 && `; ${t('repeated', { share: percent(loop.repeated) })}`}
            </p>
            <p className="muted">{lacksWords(loop)}</p>
            <Button variant="outlined" size="small" onClick={() => onUse(loop.stops)}>
              {t('useLoop')}
            </Button>
          </li>
        ))}
      </ol>
    </>
  );
}

/** What a loop lacks of what was wished, with the nearest there is. */
function lacksWords({ unmet }: PlannedLoop): string {
  if (unmet.length === 0) return t('allMet');
  const lacks = unmet.map(({ kind, found, wanted, nearest }) =>
    t('lacks', {
      feature: featureName(kind),
      found,
      wanted,
      nearest: nearest === undefined ? t('noneInReach') : t('nearestMinutes', { minutes: Math.round(nearest / 60) }),
    }),
  );
  return t('loopLacks', { lacks: joinWords(lacks) });
}
