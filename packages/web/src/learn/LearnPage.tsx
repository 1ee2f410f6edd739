import Button from '@mui/material/Button';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api } from '../app/api';
import { useAppDispatch } from '../app/hooks';
import { forgetAnswers } from '../app/offline';
import { DrillSession } from '../checks/drill/DrillSession';
import { NumbersRound } from '../checks/drill/NumbersRound';
import { forgetSentReviews } from '../checks/drill/review-log';
import { Standing } from '../checks/drill/Standing';
import { useSignOutMutation } from '../session/session-api';
import { counted, fromToday, longDate } from '../ui/format';
import { Page, Rows, Section } from '../ui/Page';
import { useLearning } from './LearnFrame';
import styles from './learn.module.css';

/** Where a learner stands, and the ten minutes of today. */
export default function LearnPage() {
  const { me, source } = useLearning();
  const [doing, setDoing] = useState<'drill' | 'numbers'>();
  const back = () => setDoing(undefined);
  if (doing === 'drill')
    return (
      <Page title="Ten minutes">
        <DrillSession source={source} onDone={back} />
      </Page>
    );
  if (doing === 'numbers')
    return (
      <Page title="Numbers">
        <NumbersRound onDone={back} />
      </Page>
    );
  const { unsent } = source.reviews;
  return (
    <Page
      title={`Hello ${me.firstName}`}
      over={me.school}
      sub={
        me.testDate ? `Your test is on ${longDate(me.testDate)}, ${fromToday(me.testDate)}.` : 'No test is booked yet.'
      }
    >
      <Standing source={source} />
      <div className={styles.start}>
        <Button variant="contained" size="large" onClick={() => setDoing('drill')}>
          Drill for ten minutes
        </Button>
        <Button variant="outlined" size="large" onClick={() => setDoing('numbers')}>
          Numbers, quick-fire
        </Button>
      </div>
      {unsent > 0 && (
        <p role="status" className="muted">
          {counted(unsent, 'answer is', 'answers are')} kept on this device until the server can be reached.
        </p>
      )}
      {me.workOn.length > 0 && (
        <Section title="Work on next">
          <Rows>
            {me.workOn.map((item) => (
              <li key={item} className={styles.line}>
                {item}
              </li>
            ))}
          </Rows>
        </Section>
      )}
      <SignOut unsent={unsent} />
    </Page>
  );
}

function SignOut({ unsent }: { readonly unsent: number }) {
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const [signOut] = useSignOutMutation();
  const [asked, setAsked] = useState(false);
  const leave = async () => {
    if ((await signOut()).error) return;
    await Promise.all([forgetAnswers(), forgetSentReviews()]);
    dispatch(api.util.resetApiState());
    void navigate('/learn/sign-in', { replace: true });
  };
  return (
    <div className={styles.leave}>
      {asked && (
        <p role="alert">
          {counted(unsent, 'answer has', 'answers have')} not been sent. They are sent when you sign in here again.
        </p>
      )}
      <Button variant="text" onClick={() => (unsent > 0 && !asked ? setAsked(true) : void leave())}>
        {asked ? 'Sign out all the same' : 'Sign out'}
      </Button>
    </div>
  );
}
