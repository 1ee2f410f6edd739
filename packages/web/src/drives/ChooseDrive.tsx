import { t } from '@jasperwren/words/drives';
import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { AccountView } from '@jasperwren/contract/accounts';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api } from '../base/api';
import { useAppDispatch } from '../base/hooks';
import { useSignedIn } from '../base/signed-in';
import form from '../ui/form.module.css';
import { Section } from '../ui/Page';
import styles from './drive-page.module.css';
import { startDrive } from './log/append';
import { pastDrives } from './log/open-drive';

type Colleague = Pick<AccountView, 'id' | 'name'>;

/** Who drives, under which standard, and who else marks; then the drive begins. */
export function ChooseDrive({
  learners,
  standards,
  first,
}: {
  readonly learners: readonly LearnerView[];
  readonly standards: readonly EffectiveStandard[];
  readonly first: string | null;
}) {
  const navigate = useNavigate();
  const dispatch = useAppDispatch();
  const { account, school } = useSignedIn();
  const [fetchDrives] = api.useLazyLearnerDrivesQuery();
  const [learner, setLearner] = useState(learners.find(({ id }) => id === first) ?? null);
  const [chosenStandard, setChosenStandard] = useState<string>();
  const [starting, setStarting] = useState(false);
  const [helpers, setHelpers] = useState<readonly Colleague[]>([]);
  const { data: accounts = [] } = api.useAccountsQuery();
  const colleagues = accounts.filter(({ id }) => id !== account.id);
  const [asked, setAsked] = useState(false);
  const standard = standards.find(({ id }) => id === (chosenStandard ?? learner?.standardId)) ?? standards[0]!;
  const briefed = (standard.briefing?.length ?? 0) > 0;
  const start = async (briefing: boolean) => {
    setAsked(true);
    if (!learner) return;
    setStarting(true);
    // What is likely now rests on earlier drives; without a connection the usual faults stand in.
    const past = (await fetchDrives({ learnerId: learner.id }, true)).data ?? [];
    const driveId = await dispatch(
      startDrive(
        {
          schoolId: school.id,
          learnerId: learner.id,
          learnerName: learner.name,
          number: learner.drives + 1,
          standard,
          past: past.slice(-pastDrives).map(({ byItem }) => byItem),
        },
        account.id,
        briefing,
        helpers.map(({ id }) => id),
      ),
    );
    void navigate(`/drive/${driveId}/desk`);
  };
  return (
    <Section title={t('aNewMockTest')}>
      <div className={styles.columns}>
        <div className={form.form}>
          <Autocomplete
            options={learners}
            value={learner}
            onChange={(_, chosen) => setLearner(chosen)}
            getOptionLabel={({ name }) => name}
            isOptionEqualToValue={(a, b) => a.id === b.id}
            renderInput={(props) => (
              <TextField
                {...props}
                label={t('learner')}
                error={asked && !learner}
                helperText={asked && !learner ? t('chooseWhoDrives') : undefined}
              />
            )}
          />
          <TextField
            select
            label={t('markingStandard')}
            value={standard.id}
            onChange={(event) => setChosenStandard(event.target.value)}
            helperText={standard.summary}
          >
            {standards.map(({ id, name, version }) => (
              <MenuItem key={id} value={id}>
                {t('nameVersionVersion', { name, version })}
              </MenuItem>
            ))}
          </TextField>
          {colleagues.length > 0 && (
            <Autocomplete
              multiple
              options={colleagues}
              value={[...helpers]}
              onChange={(_, chosen) => setHelpers(chosen)}
              getOptionLabel={({ name }) => name}
              isOptionEqualToValue={(a, b) => a.id === b.id}
              renderInput={(props) => (
                <TextField {...props} label={t('whoElseMarks')} helperText={t('theyMayMarkFromADevice')} />
              )}
            />
          )}
          <p>
            {t('aboutTotalMinMin', { totalMin: standard.length.totalMin.value })}
            {standard.length.independentMin &&
              t('independentMinOfThemIndependent', { independentMin: standard.length.independentMin.value })}
            {t('theClockStartsAsTheCar')}
          </p>
          <div className={form.actions}>
            {briefed && (
              <Button variant="contained" disabled={starting} onClick={() => void start(true)}>
                {t('beginWithTheBriefing')}
              </Button>
            )}
            <Button variant={briefed ? 'outlined' : 'contained'} disabled={starting} onClick={() => void start(false)}>
              {t('startTheDrive')}
            </Button>
          </div>
        </div>
        <aside className={styles.cautions} aria-label={t('cautions')}>
          <h3>{t('beforeYouMove')}</h3>
          <ul>
            <li>{t('yourEyesBelongToTheRoad')}</li>
            <li>{t('takeControlWheneverItIsNeeded')}</li>
            <li>{t('rulesDifferByPlaceAndChange')}</li>
          </ul>
        </aside>
      </div>
    </Section>
  );
}
