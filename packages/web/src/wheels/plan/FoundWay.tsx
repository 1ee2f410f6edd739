import { checkWay } from '@jasperwren/motion/layout/touch';
import type { Reference } from '@jasperwren/motion/sight/tolerance';
import type { FoundPlan } from '@jasperwren/motion/planner/plan';
import { driveSteps, rollingSteps, type Moment } from '@jasperwren/motion/moves/steps';
import { standing } from '@jasperwren/motion/moves/roll';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import { t } from '@jasperwren/words/motion';
import {
  movementsWords,
  partName,
  referenceSentence,
  stepSentence,
  thingName,
} from '@jasperwren/words/motion-sentences';
import Button from '@mui/material/Button';
import { useMemo, useState } from 'react';
import { Working } from '../../ui/states';
import { GroundPicture } from '../picture/GroundPicture';
import { frameOf } from '../picture/outline';
import { TracksShape } from '../picture/TracksShape';
import { VehicleShape } from '../picture/VehicleShape';
import type { PlanQuestion } from '../use-plan';
import { Scrub } from '../Scrub';
import { Sight } from '../sight/Sight';
import styles from '../wheels.module.css';
import { LearnerSheet } from './LearnerSheet';

/** Metres of way that a driver needs to turn from straight to full lock at walking pace. Common practice. */
const turnM = 0.6;

interface FoundProps {
  readonly plan: FoundPlan;
  readonly references: readonly Reference[] | undefined;
  readonly vehicle: Vehicle;
  readonly ground: PlanQuestion['ground'];
  readonly name: string;
}

/** A way that was found: its picture along a slider, its steps with what each forgives, and how close it comes. */
export function FoundWay({ plan, references, vehicle, ground, name }: FoundProps) {
  const { layout } = ground;
  const way = useMemo(() => driveSteps(vehicle, standing(layout.start), plan.steps, 0.1), [vehicle, layout, plan]);
  const [at, setAt] = useState(way.length - 1);
  const moment = way[at]!;
  const ends = plan.steps.map((_, step) => way.findLast((one) => one.step === step)!);
  const near = plan.check.closest;
  const rolling = useMemo(
    () =>
      checkWay(
        vehicle,
        driveSteps(vehicle, standing(layout.start), rollingSteps(vehicle, plan.steps, turnM), 0.03),
        layout,
      ),
    [vehicle, layout, plan],
  );
  const [touch] = rolling.touches;
  const picture = (shown: Moment) => (
    <GroundPicture layout={layout} frame={frameOf(layout, vehicle, way)} label={t('picture', { exercise: name })}>
      <TracksShape vehicle={vehicle} way={way} />
      <VehicleShape vehicle={vehicle} placed={standing(layout.start)} faint />
      {ends.slice(0, -1).map((end) => (
        <VehicleShape key={end.step} vehicle={vehicle} placed={end} faint />
      ))}
      <VehicleShape vehicle={vehicle} placed={shown} />
    </GroundPicture>
  );
  return (
    <>
      <div className={styles.onScreen}>
        {picture(moment)}
        <Scrub
          label={t('along')}
          min={0}
          max={way.length - 1}
          value={at}
          words={(value) => t('wayAt', { way: way[value]!.wayM.toFixed(1) })}
          onValue={setAt}
        />
        <p className="muted">{t('legend')}</p>
        <Sight
          vehicle={vehicle}
          placed={moment}
          layout={layout}
          heading={ends.includes(moment) ? t('youSeeAfter', { step: moment.step + 1 }) : t('youSee')}
        />
      </div>
      <section aria-label={t('steps')} className={styles.onScreen}>
        <p role="status" className={styles.answer}>
          {near
            ? t('summary', {
                movements: movementsWords(plan.movements),
                way: plan.wayM.toFixed(1),
                gap: Math.round(near.gapM * 100),
                part: partName(near.part),
                thing: thingName(near),
              })
            : t('summaryFree', { movements: movementsWords(plan.movements), way: plan.wayM.toFixed(1) })}
        </p>
        <h2>{t('steps')}</h2>
        <ol className={styles.steps}>
          {plan.steps.map((step, i) => (
            <li key={i} aria-current={moment.step === i ? 'step' : undefined}>
              <button type="button" onClick={() => setAt(way.findLastIndex((one) => one.step === i))}>
                {stepSentence(step, vehicle.lockDeg)}
              </button>
              {references?.[i] && (
                <p className={styles.reference}>{referenceSentence(references[i], vehicle, ends[i]!.hitch)}</p>
              )}
            </li>
          ))}
        </ol>
        {references ? (
          <p className="muted">{t(vehicle.trailer ? 'forgivesWhyTowing' : 'forgivesWhy')}</p>
        ) : (
          <Working doing={t('forgiving')} />
        )}
        {vehicle.trailer ? (
          <p>{t('towingWhy')}</p>
        ) : (
          <p>
            {touch
              ? t('standingTouches', { turn: turnM, part: partName(touch.part), thing: thingName(touch) })
              : t('standing', { turn: turnM, gap: Math.round((rolling.closest?.gapM ?? 0) * 100) })}
          </p>
        )}
        {references && (
          <div className={styles.pedals}>
            <Button variant="outlined" onClick={() => print()}>
              {t('printLearner')}
            </Button>
          </div>
        )}
      </section>
      {references && (
        <LearnerSheet {...{ vehicle, ground, name, steps: plan.steps, references, ends }}>
          {picture(way.at(-1)!)}
        </LearnerSheet>
      )}
    </>
  );
}
