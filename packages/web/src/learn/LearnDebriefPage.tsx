import { t } from '@jasperwren/words/learn';
import { skipToken } from '@reduxjs/toolkit/query';
import { useParams } from 'react-router';
import { api } from '../base/api';
import { SharedView } from '../drives/public';
import { Failed, Loading } from '../ui/states';

export default function LearnDebriefPage() {
  const { shareId = '' } = useParams();
  const { data, error, refetch } = api.useMyDebriefQuery({ shareId });
  const { data: road } = api.useMyDebriefRoadQuery(data ? { shareId } : skipToken);
  if (error) return <Failed error={error} onRetry={() => void refetch()} />;
  return data ? <SharedView shared={data} road={road} /> : <Loading what={t('debrief')} />;
}
