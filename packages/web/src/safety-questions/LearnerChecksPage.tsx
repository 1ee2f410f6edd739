import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { ChecksView } from '@jasperwren/contract/safety-questions';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { api } from '../base/api';
import { firstName } from '../ui/format';
import { Page, Section } from '../ui/Page';
import { Failed, Loading } from '../ui/states';
import styles from './safety-questions.module.css';
import { DrillSession } from './drill/DrillSession';
import { laneOfReviews } from '../base/device/lanes';
import { useSignedIn } from '../base/signed-in';
import { useDrillSource } from './drill/source';
import { Standing } from './drill/Standing';
import { Access } from './Access';
import { OralWith } from './oral/OralWith';

export default function LearnerChecksPage() {
  const { learnerId = '' } = useParams();
  const learner = api.useLearnerQuery({ learnerId });
  const checks = api.useChecksQuery();
  const standards = api.useStandardsQuery();
  const error = learner.error ?? checks.error ?? standards.error;
  if (error) return <Failed error={error} onRetry={() => void learner.refetch()} />;
  const standard = standards.data?.find(({ id }) => id === learner.data?.standardId);
  if (!learner.data || !checks.data || !standards.data) return <Loading what="the questions" />;
  if (!standard)
    return (
      <Page title={learner.data.name}>
        <p>The standard of this learner is not in use any more. Choose another under Edit.</p>
      </Page>
    );
  return <LearnerChecks learner={learner.data} checks={checks.data} standard={standard} />;
}

interface Props {
  readonly learner: LearnerView;
  readonly checks: ChecksView;
  readonly standard: EffectiveStandard;
}

/** The safety questions of one learner, with the instructor beside: ask aloud, drill, choose the car, let in. */
function LearnerChecks({ learner, checks, standard }: Props) {
  const { account } = useSignedIn();
  const { data: known } = api.useReviewsQuery({ learnerId: learner.id });
  const [drilling, setDrilling] = useState(false);
  const [choose] = api.useChooseVehicleMutation();
  const name = firstName(learner.name);
  const source = useDrillSource({
    name,
    checks,
    standard,
    vehicleId: learner.vehicleId,
    testDate: learner.testDate,
    lane: laneOfReviews(learner.id),
    known,
    owner: account.id,
  });
  if (!source) return <Loading what="the questions" />;
  if (drilling)
    return (
      <Page title={`Ten minutes with ${name}`}>
        <DrillSession source={source} onDone={() => setDrilling(false)} />
      </Page>
    );
  return (
    <Page
      title={`Safety questions with ${name}`}
      over={<Link to={`/learners/${learner.id}`}>{learner.name}</Link>}
      sub={`${standard.name}: ${source.questions.length} questions to know.`}
      actions={
        <Button variant="contained" onClick={() => setDrilling(true)}>
          Drill for ten minutes
        </Button>
      }
    >
      <Standing source={source} />
      <div className={styles.two}>
        <Section title="Ask aloud">
          <OralWith source={source} />
        </Section>
        <div>
          <Section title={`The car ${name} drives`}>
            <div className={styles.car}>
              <TextField
                select
                label="Car"
                value={source.vehicle?.id ?? ''}
                onChange={(event) =>
                  void choose({
                    learnerId: learner.id,
                    body: event.target.value === '' ? {} : { vehicleId: event.target.value },
                  })
                }
                helperText="Answers are given in the words of this car."
                fullWidth
              >
                <MenuItem value="">Not known</MenuItem>
                {source.vehicles.map(({ id, name: car }) => (
                  <MenuItem key={id} value={id}>
                    {car}
                  </MenuItem>
                ))}
              </TextField>
            </div>
          </Section>
          <Section title={`${name} at home`}>
            <Access learnerId={learner.id} name={name} />
          </Section>
        </div>
      </div>
    </Page>
  );
}
