import { behaviourCategories, behaviours } from '@jasperwren/core/catalogue/catalogue';
import { t } from '@jasperwren/words/traces';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useSearchParams } from 'react-router';
import { api } from '../../base/api';
import styles from './places.module.css';
import { schoolWide, spanOf, type Filter } from './use-filter';

interface Props {
  readonly filter: Filter;
  readonly compare: string | undefined;
  readonly onChange: (name: string, value: string) => void;
}

/** Whose faults, of what sort and since when. */
export function PlaceFilters({ filter, compare, onChange }: Props) {
  const { data: learners = [] } = api.useLearnersQuery({});
  const { data: accounts = [] } = api.useAccountsQuery();
  const [search] = useSearchParams();
  const people = learners.map(({ id, name }) => [id, name] as const);
  return (
    <div className={styles.filters}>
      <Choice
        label={t('learner')}
        value={filter.learner}
        all={t('allLearners')}
        options={people}
        onChange={(value) => onChange('learner', value)}
      />
      <Choice
        label={t('compareWith')}
        value={compare}
        all={t('noComparison')}
        options={[[schoolWide, t('wholeSchool')], ...people]}
        onChange={(value) => onChange('compare', value)}
      />
      <Choice
        label={t('instructor')}
        value={filter.instructor}
        all={t('allInstructors')}
        options={accounts.map(({ id, name }) => [id, name])}
        onChange={(value) => onChange('instructor', value)}
      />
      <Choice
        label={t('area')}
        value={filter.area}
        all={t('allAreas')}
        options={behaviourCategories.map(({ code, name }) => [code, name])}
        onChange={(value) => onChange('area', value)}
      />
      {filter.area !== undefined && (
        <Choice
          label={t('faultType')}
          value={filter.behaviour}
          all={t('allTypes')}
          options={behaviours
            .filter(({ category }) => category === filter.area)
            .map(({ code, name }) => [code, name] as const)}
          onChange={(value) => onChange('behaviour', value)}
        />
      )}
      <Choice
        label={t('severity')}
        value={filter.severity}
        all={t('allFaults')}
        options={[
          ['counted', t('counted')],
          ['outright', t('outright')],
        ]}
        onChange={(value) => onChange('severity', value)}
      />
      <TextField
        select
        size="small"
        label={t('since')}
        value={spanOf(search)}
        onChange={(event) => onChange('span', event.target.value)}
      >
        <MenuItem value="30">{t('days30')}</MenuItem>
        <MenuItem value="90">{t('days90')}</MenuItem>
        <MenuItem value="365">{t('year')}</MenuItem>
        <MenuItem value="all">{t('always')}</MenuItem>
      </TextField>
    </div>
  );
}

interface ChoiceProps {
  readonly label: string;
  readonly value: string | undefined;
  /** What no choice is called. */
  readonly all: string;
  readonly options: readonly (readonly [value: string, name: string])[];
  readonly onChange: (value: string) => void;
}

const everything = 'all';

function Choice({ label, value, all, options, onChange }: ChoiceProps) {
  // What is not there any more, or not yet, is no choice.
  const known = options.some(([one]) => one === value) ? value : everything;
  return (
    <TextField
      select
      size="small"
      label={label}
      value={known ?? everything}
      onChange={(event) => onChange(event.target.value === everything ? '' : event.target.value)}
    >
      <MenuItem value={everything}>{all}</MenuItem>
      {options.map(([one, name]) => (
        <MenuItem key={one} value={one}>
          {name}
        </MenuItem>
      ))}
    </TextField>
  );
}
