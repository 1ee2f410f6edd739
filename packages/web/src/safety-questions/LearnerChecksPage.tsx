import { t } from '@jasperwren/words/questions';
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
import { told } from '../ui/told';
import styles from './safety-questions.module.css';
import { DrillSession } from './drill/DrillSession';
import { laneOfReviews } from '../base/device/lanes';
import { useSignedIn } from '../base/signed-in';
import { failureOf } from '../ui/failure';
import { StandardRetired } from '../ui/StandardRetired';
import { useDrillSource } from './drill/source';
import { Standing } from './drill/Standing';
import { Access } from './Access';
import { OralWith } from './oral/OralWith';

export default function LearnerChecksPage() {
  const { learnerId = '' } = useParams();
  const learner = api.useLearnerQuery({ learnerId });
  const checks = api.useChecksQuery();
  const standards = api.useStandardsQuery();
  const failed = failureOf(learner, checks, standards);
  if (failed) return <Failed {...failed} />;
  const standard = standards.data?.find(({ id }) => id === learner.currentData?.standardId);
  if (!learner.currentData || !checks.data || !standards.data) return <Loading what={t('theQuestions')} />;
  if (!standard) return <StandardRetired learner={learner.currentData} />;
  return <LearnerChecks learner={learner.currentData} checks={checks.data} standard={standard} />;
}

interface Props {
  readonly learner: LearnerView;
  readonly checks: ChecksView;
  readonly standard: EffectiveStandard;
}

/** The safety questions of one learner, with the instructor beside: ask aloud, drill, choose the car, let in. */
function LearnerChecks({ learner, checks, standard }: Props) {
  const { account } = useSignedIn();
  const reviews = api.useReviewsQuery({ learnerId: learner.id });
  const { currentData: known } = reviews;
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
  const failed = failureOf(reviews);
  if (failed) return <Failed {...failed} />;
  if (!source || !known) return <Loading what={t('theQuestions')} />;
  if (drilling)
    return (
      <Page title={t('practiceWithName', { name })}>
        <DrillSession source={source} onDone={() => setDrilling(false)} />
      </Page>
    );
  return (
    <Page
      title={t('safetyQuestionsWithName', { name })}
      over={<Link to={`/learners/${learner.id}`}>{learner.name}</Link>}
      sub={t('standardCountQuestionsToKnow', { standard: standard.name, count: source.questions.length })}
      actions={
        <Button variant="contained" onClick={() => setDrilling(true)}>
          {t('practiseFor10Minutes')}
        </Button>
      }
    >
      <Standing source={source} />
      <div className={styles.two}>
        <Section title={t('askAloud')}>
          <OralWith source={source} />
        </Section>
        <div>
          <Section title={t('theCarNameDrives', { name })}>
            <div className={styles.car}>
              <TextField
                select
                label={t('car')}
                value={source.vehicle?.id ?? ''}
                onChange={(event) =>
                  void choose({
                    learnerId: learner.id,
                    body: event.target.value === '' ? {} : { vehicleId: event.target.value },
                  }).then(told)
                }
                helperText={t('answersMatchThisCar')}
                fullWidth
              >
                <MenuItem value="">{t('notStated')}</MenuItem>
                {source.vehicles.map(({ id, name: car }) => (
                  <MenuItem key={id} value={id}>
                    {car}
                  </MenuItem>
                ))}
              </TextField>
            </div>
          </Section>
          <Section title={t('nameSOwnPractice', { name })}>
            <Access learnerId={learner.id} name={name} />
          </Section>
        </div>
      </div>
    </Page>
  );
}
