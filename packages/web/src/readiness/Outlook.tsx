import type { Expected } from '@jasperwren/core/readiness/plan';
import type { Worked } from '../base/work/use-work';
import { counted, longDate, shortDate } from '../ui/format';
import { NotWorkedOut } from '../ui/states';
import { Perches } from './Perches';
import styles from './plan.module.css';
import type { PlanWork } from './use-plan-work';

interface Props {
  readonly worked: Worked<PlanWork>;
  readonly today: string;
  readonly until: string;
  readonly ahead: boolean;
  readonly name: string;
}

/** What is expected on the day, and from when a test could be booked. */
export function Outlook({ worked, today, until, ahead, name }: Props) {
  const { readiness, onDay, ready } = worked.parts;
  if (worked.failed) return <NotWorkedOut what="What to expect" why={worked.failed} onAgain={worked.again} />;
  if (!readiness) return <p className="muted">Working it out …</p>;
  // With too little driven a day to book would be made up.
  if (readiness.judgement.word === 'cannot-say')
    return (
      <p className={styles.advice}>
        <b>Too early to say when to take the test.</b> {readiness.judgement.next}
      </p>
    );
  return (
    <>
      <p>Today:</p>
      <Perches {...readiness.chance} small />
      {onDay && (
        <>
          <p>
            {ahead ? `On the day of the test, ${shortDate(until)}` : `On ${shortDate(until)}`}, if faults go on falling
            as they may:
          </p>
          <Perches {...onDay.chance} small />
        </>
      )}
      {ready !== undefined && (
        <p className={styles.advice}>
          <b>{adviceWords(ready, ahead, until)}</b>{' '}
          {ready
            ? `The trend, with its band, supports a test from ${ready.date <= today ? 'today' : longDate(ready.date)} on.`
            : `Within half a year the trend does not support a test: work on what would change it first.`}
        </p>
      )}
      <p className="muted">
        From {counted(readiness.drives, 'drive', 'drives')}. What is expected is no promise: {name} may learn faster or
        slower.
      </p>
    </>
  );
}

function adviceWords(ready: Expected | null, ahead: boolean, until: string): string {
  if (!ready) return ahead ? 'Move the test.' : 'Do not book yet.';
  if (!ahead) return 'Book a test.';
  return ready.date <= until ? 'Keep the date.' : 'Move the test.';
}
