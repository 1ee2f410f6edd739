import { t } from '@jasperwren/words/debrief';
import { skipToken } from '@reduxjs/toolkit/query';
import { useParams } from 'react-router';
import { api } from '../../base/api';
import { apiError } from '../../base/client';
import { Page } from '../../ui/Page';
import { Failed, Loading } from '../../ui/states';
import { SharedView } from './SharedView';

/** What a learner sees by the link. */
export default function SharedPage() {
  const { token = '' } = useParams();
  const { data, error, refetch } = api.useSharedDebriefQuery({ token });
  // It comes after the debrief, or not at all.
  const { data: road } = api.useSharedDebriefRoadQuery(data ? { token } : skipToken);
  if (apiError(error)?.status === 404) {
    return (
      <Page title={t('thisLinkHasExpiredAskYour')}>
        <p>{apiError(error)?.message}</p>
      </Page>
    );
  }
  if (error) return <Failed error={error} onRetry={() => void refetch()} />;
  return data ? <SharedView shared={data} road={road} /> : <Loading what={t('debrief')} />;
}
