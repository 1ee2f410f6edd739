import { t } from '@jasperwren/words/drives';
import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { AccountView } from '@jasperwren/contract/accounts';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { Suspense, useState } from 'react';
import { api } from '../base/api';
import { useSignedIn } from '../base/signed-in';
import form from '../ui/form.module.css';
import { RouteChoice, type ChosenRoute } from '../roads/public';
import { Section } from '../ui/Page';
import styles from './drive-page.module.css';
import { useStartDrive } from './use-start-drive';

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
  const { account } = useSignedIn();
  const { start, starting } = useStartDrive();
  const [learner, setLearner] = useState(learners.find(({ id }) => id === first) ?? null);
  const [chosenStandard, setChosenStandard] = useState<string>();
  const [helpers, setHelpers] = useState<readonly Colleague[]>([]);
  const { data: accounts = [] } = api.useAccountsQuery();
  const colleagues = accounts.filter(({ id }) => id !== account.id);
  const [route, setRoute] = useState<ChosenRoute>();
  const [asked, setAsked] = useState(false);
  /** Wanted to start before the route was ready. */
  const [waiting, setWaiting] = useState<{ readonly briefing: boolean }>();
  const standard = standards.find(({ id }) => id === (chosenStandard ?? learner?.standardId)) ?? standards[0]!;
  const briefed = (standard.briefing?.length ?? 0) > 0;
  const begin = (briefing: boolean, along: ChosenRoute) => {
    setAsked(true);
    if (!learner || along === 'failed') return;
    // The route goes along: who starts before it is worked out waits for it.
    if (along === 'working') setWaiting({ briefing });
    else void start({ learner, standard, briefing, helpers: helpers.map(({ id }) => id), route: along });
  };
  const chooseRoute = (chosen: ChosenRoute) => {
    setRoute(chosen);
    if (!waiting || chosen === 'working') return;
    setWaiting(undefined);
    begin(waiting.briefing, chosen);
  };
  return (
    <Section title={t('newMockTest')}>
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
                helperText={asked && !learner ? t('chooseALearner') : undefined}
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
          <Suspense fallback={null}>
            <RouteChoice asked={asked} onChoose={chooseRoute} />
          </Suspense>
          {colleagues.length > 0 && (
            <Autocomplete
              multiple
              options={colleagues}
              value={[...helpers]}
              onChange={(_, chosen) => setHelpers(chosen)}
              getOptionLabel={({ name }) => name}
              isOptionEqualToValue={(a, b) => a.id === b.id}
              renderInput={(props) => (
                <TextField {...props} label={t('secondMarker')} helperText={t('theyMarkOnTheirOwnDevice')} />
              )}
            />
          )}
          <p>
            {t('aboutTotalMinMin', { totalMin: standard.length.totalMin.value })}
            {standard.length.independentMin &&
              t('independentMinOfItIndependentDriving', { independentMin: standard.length.independentMin.value })}
            {t('theTimerStartsWhenYouMove')}
          </p>
          {waiting && <p role="status">{t('startsOnceTheRouteIsReady')}</p>}
          <div className={form.actions}>
            {briefed && (
              <Button
                variant="contained"
                disabled={starting || waiting !== undefined}
                onClick={() => begin(true, route)}
              >
                {t('startWithBriefing')}
              </Button>
            )}
            <Button
              variant={briefed ? 'outlined' : 'contained'}
              disabled={starting || waiting !== undefined}
              onClick={() => begin(false, route)}
            >
              {t('startMockTest')}
            </Button>
          </div>
        </div>
        <aside className={styles.cautions} aria-label={t('cautions')}>
          <h3>{t('beforeYouDrive')}</h3>
          <ul>
            <li>{t('keepYourEyesOnTheRoad')}</li>
            <li>{t('takeControlWheneverYouNeedTo')}</li>
            <li>{t('rulesDifferByPlaceAndChange')}</li>
          </ul>
        </aside>
      </div>
    </Section>
  );
}
