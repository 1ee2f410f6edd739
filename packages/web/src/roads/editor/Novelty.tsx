import type { RouteStop } from '@jasperwren/core/routes/driving-route';
import { instructorStyle } from '@jasperwren/roads/directions/calls';
import type { StoredRoads } from '@jasperwren/roads/source';
import { percent } from '@jasperwren/words/lists';
import { t } from '@jasperwren/words/routes';
import { skipToken } from '@reduxjs/toolkit/query';
import dayjs from 'dayjs';
import { useMemo, useState } from 'react';
import { api } from '../../base/api';
import { longDate } from '../../ui/format';
import { useShared } from '../work/use-roads-work';
import { LearnerSelect } from './LearnerSelect';

interface Props {
  readonly stored: StoredRoads;
  readonly roadsId: string;
  readonly stops: readonly RouteStop[];
}

/** A road driven longer ago than this is as good as new. */
const weeks = 12;

/** How much of the route a learner has not driven on a route of late: a clean drive on known roads says less. */
export function Novelty({ stored, roadsId, stops }: Props) {
  const { data: learners } = api.useLearnersQuery({});
  const [learnerId, setLearnerId] = useState('');
  if (!learners || learners.length === 0) return null;
  const learner = learners.find(({ id }) => id === learnerId);
  return (
    <>
      <LearnerSelect label={t('newTo')} learners={learners} value={learnerId} onChange={setLearnerId} />
      {learner && (
        <NewShare {...{ stored, roadsId, stops }} learnerId={learner.id} name={learner.name.split(' ')[0]!} />
      )}
    </>
  );
}

function NewShare({
  stored,
  roadsId,
  stops,
  learnerId,
  name,
}: Props & { readonly learnerId: string; readonly name: string }) {
  // Of this learner alone, not what was there for the one before.
  const { currentData: drives } = api.useLearnerDrivesQuery(learnerId ? { learnerId } : skipToken);
  const { data: routes } = api.useRoutesQuery();
  // The day is enough: what was driven twelve weeks ago to the second is nobody's question.
  const since = dayjs().subtract(weeks, 'week').format('YYYY-MM-DD');
  const driven = useMemo(
    () => (drives ?? []).filter(({ route, startedAt }) => route && startedAt >= since),
    [drives, since],
  );
  const question = useMemo(() => {
    const known = new Set(driven.map(({ route }) => route!.id));
    const others = (routes ?? []).filter((one) => one.roadsId === roadsId && known.has(one.id));
    return { stored, routes: [stops, ...others.map((one) => one.stops)], style: instructorStyle };
  }, [stored, stops, routes, roadsId, driven]);
  const { parts, working } = useShared(question);
  if (!drives || working || !parts.shared) return <p role="status">{t('workingItOut')}</p>;
  const share = percent(1 - parts.shared.any);
  const first = driven.map(({ startedAt }) => startedAt).sort()[0];
  return (
    <p role="status">
      <b>{t('newShare', { name, share })}</b>
      <br />
      <span className="muted">
        {first === undefined
          ? t('noRouteDriven', { name, weeks })
          : t('testsOnRoutes', { count: driven.length, since: longDate(first) })}
      </span>
    </p>
  );
}
