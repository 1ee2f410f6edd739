import { weakFeatures } from '@jasperwren/core/routes/weak-features';
import type { FeatureKind } from '@jasperwren/roads/features/features';
import { joinWords } from '@jasperwren/words/lists';
import { t } from '@jasperwren/words/routes';
import { skipToken } from '@reduxjs/toolkit/query';
import { useEffect, useMemo, useState } from 'react';
import Button from '@mui/material/Button';
import { Link, useSearchParams } from 'react-router';
import { api } from '../../base/api';
import { LearnerSelect } from './LearnerSelect';

/** So many of the latest mock tests say where a learner is weak. */
const latest = 6;

interface Props {
  readonly onKinds: (kinds: readonly FeatureKind[]) => void;
}

/** Chooses a learner and proposes what of the roads they should meet more of, with the reason. */
export function WeakAreas({ onKinds }: Props) {
  const { data: learners } = api.useLearnersQuery({});
  const [search] = useSearchParams();
  const [learnerId, setLearnerId] = useState(search.get('for') ?? '');
  // Of this learner alone, not what was there for the one before.
  const { currentData: drives } = api.useLearnerDrivesQuery(learnerId === '' ? skipToken : { learnerId });
  const weak = useMemo(
    () =>
      drives &&
      weakFeatures(
        drives
          .filter(({ phase }) => phase === 'ended')
          .slice(-latest)
          .map(({ byArea }) => byArea),
      ),
    [drives],
  );
  useEffect(() => {
    if (weak) onKinds(weak.kinds);
  }, [weak, onKinds]);
  if (!learners || learners.length === 0) return null;
  const name = learners.find(({ id }) => id === learnerId)?.name.split(' ')[0] ?? '';
  return (
    <>
      <LearnerSelect
        label={t('planFor')}
        learners={learners}
        value={learners.some(({ id }) => id === learnerId) ? learnerId : ''}
        onChange={setLearnerId}
      />
      {learnerId !== '' && weak && (
        <p role="status" className="muted">
          {weak.areas.length === 0
            ? t('noWeakAreas', { name })
            : t('weakAreas', {
                name,
                areas: joinWords(weak.areas.map(({ name: area, faults }) => t('areaFaults', { area, count: faults }))),
              })}
        </p>
      )}
      {learnerId !== '' && (
        <Button variant="text" component={Link} to={`/routes/places?learner=${learnerId}&compare=school&span=all`}>
          {t('placesOf', { name })}
        </Button>
      )}
    </>
  );
}
