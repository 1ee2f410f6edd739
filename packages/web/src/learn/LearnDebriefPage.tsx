import { t } from '@jasperwren/words/learn';
import { skipToken } from '@reduxjs/toolkit/query';
import { useParams } from 'react-router';
import { api } from '../base/api';
import { SharedView } from '../drives/public';
import { failureOf } from '../ui/failure';
import { Failed, Loading } from '../ui/states';

export default function LearnDebriefPage() {
  const { shareId = '' } = useParams();
  const asked = api.useMyDebriefQuery({ shareId });
  const { currentData: data } = asked;
  const failed = failureOf(asked);
  const { data: road } = api.useMyDebriefRoadQuery(data ? { shareId } : skipToken);
  if (failed) return <Failed {...failed} />;
  return data ? <SharedView shared={data} road={road} /> : <Loading what={t('debrief')} />;
}
