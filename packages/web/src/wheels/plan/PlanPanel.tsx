import { standing } from '@jasperwren/motion/moves/roll';
import { t } from '@jasperwren/words/motion';
import { movementsWords, neededSentence, noPlanSentence } from '@jasperwren/words/motion-sentences';
import { Failed, Working } from '../../ui/states';
import { GroundPicture } from '../picture/GroundPicture';
import { frameOf } from '../picture/outline';
import { VehicleShape } from '../picture/VehicleShape';
import { mostMovements, usePlan, type PlanQuestion } from '../use-plan';
import styles from '../wheels.module.css';
import { FoundWay } from './FoundWay';

interface Props {
  readonly question: PlanQuestion;
  /** What the ground is called. */
  readonly name: string;
}

/** The way with the fewest movements: its picture, its steps, and how close it comes. */
export default function PlanPanel({ question, name }: Props) {
  const { layout } = question.ground;
  const { parts, failed, again } = usePlan(question);
  const { plan, progress, needed, references } = parts;
  return (
    <div className={styles.columns}>
      {plan?.found ? (
        <FoundWay
          key={JSON.stringify(plan.steps)}
          plan={plan}
          references={references}
          vehicle={question.vehicle}
          ground={question.ground}
          name={name}
        />
      ) : (
        <>
          <div>
            <GroundPicture
              layout={layout}
              frame={frameOf(layout, question.vehicle, [])}
              label={t('picture', { exercise: name })}
            >
              <VehicleShape vehicle={question.vehicle} placed={standing(layout.start)} />
              {layout.goal.kind === 'poses' && (
                <VehicleShape vehicle={question.vehicle} placed={standing(layout.goal.poses[0]!)} faint />
              )}
            </GroundPicture>
          </div>
          <section aria-label={t('steps')}>
            {failed !== undefined && <Failed error={new Error(failed)} onRetry={again} />}
            {!plan && failed === undefined && (
              <p role="status">
                {progress
                  ? t('searching', {
                      looked: progress.looked,
                      movements: movementsWords(progress.movements),
                    })
                  : `${t('searchingFirst')}…`}
              </p>
            )}
            {plan && (
              <>
                <p role="status">{noPlanSentence(plan, mostMovements)}</p>
                {plan.why !== 'start-blocked' &&
                  question.ground.exercise &&
                  (needed === undefined ? (
                    <Working doing={t('lookingForMore')} />
                  ) : (
                    <p>{neededSentence(needed ?? undefined)}</p>
                  ))}
              </>
            )}
          </section>
        </>
      )}
    </div>
  );
}
