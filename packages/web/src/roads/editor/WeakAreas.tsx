import { weakFeatures } from '@jasperwren/core/routes/weak-features';
import type { FeatureKind } from '@jasperwren/roads/features/features';
import { joinWords } from '@jasperwren/words/lists';
import { t } from '@jasperwren/words/routes';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { skipToken } from '@reduxjs/toolkit/query';
import { useEffect, useMemo, useState } from 'react';
import { api } from '../../base/api';

/** So many of the latest mock tests say where a learner is weak. */
const latest = 6;

interface Props {
  readonly onKinds: (kinds: readonly FeatureKind[]) => void;
}

/** Chooses a learner and proposes what of the roads they should meet more of, with the reason. */
export function WeakAreas({ onKinds }: Props) {
  const { data: learners } = api.useLearnersQuery({});
  const [learnerId, setLearnerId] = useState('');
  const { data: drives } = api.useLearnerDrivesQuery(learnerId === '' ? skipToken : { learnerId });
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
      <TextField
        select
        size="small"
        label={t('planFor')}
        value={learnerId}
        onChange={(event) => setLearnerId(event.target.value)}
      >
        <MenuItem value="">–</MenuItem>
        {learners.map(({ id, name: whole }) => (
          <MenuItem key={id} value={id}>
            {whole}
          </MenuItem>
        ))}
      </TextField>
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
    </>
  );
}
